package io.enthalpa.core.fit;

import io.enthalpa.core.exchanger.EndTankSpec;
import io.enthalpa.core.room.Scroll;
import io.enthalpa.core.room.Stand.Size;
import io.enthalpa.core.space.Frustum;
import io.enthalpa.core.space.Solid;
import java.util.ArrayList;
import java.util.List;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * A turbo's or centrifugal blower's housing as a body, about its middle, its inlet forwards: a round housing as wide as the larger of its two
 * sides, and the outlet square off its rim, its outside flush with the rim, on the side from which the charge comes round.
 */
final class ScrollBody {
    private static final String OUTLET = "outlet";

    private ScrollBody() {}

    /** @param bore m, of its outlet */
    static List<Solid.Part> parts(Size size, Scroll scroll, double bore) {
        double radius = radius(size);
        List<Solid.Part> parts = new ArrayList<>();
        Vector3D half = new Vector3D(size.deep() / 2, 0, 0);
        parts.add(new Solid.Part("housing", Frustum.cylinder(half.negate(), half, radius)));
        parts.addAll(Spigot.parts(OUTLET, line(radius, scroll, bore), bore));
        return parts;
    }

    private static List<Vector3D> line(double radius, Scroll scroll, double bore) {
        // Seen from its inlet, which looks forwards, what is to the right is the car's left.
        Vector3D out = looks(scroll.clocked());
        double quarter = scroll.runs() == Scroll.Runs.CLOCKWISE ? -Math.PI / 2 : Math.PI / 2;
        double off = Math.max(0, radius - bore / 2 - Spigot.WALL);
        Vector3D tangent = looks(scroll.clocked() + quarter).scalarMultiply(off);
        return List.of(tangent, tangent.add(radius, out), tangent.add(radius + EndTankSpec.USUAL_STUB, out));
    }

    /** @return the end of its outlet, about its middle */
    static OpenPort port(Size size, Scroll scroll, double bore) {
        return OpenPort.of(OUTLET, line(radius(size), scroll, bore));
    }

    private static double radius(Size size) {
        return Math.max(size.wide(), size.high()) / 2;
    }

    /** @return unit vector, rad clockwise from straight up seen from the front */
    private static Vector3D looks(double clocked) {
        return new Vector3D(0, -Math.sin(clocked), Math.cos(clocked));
    }
}
