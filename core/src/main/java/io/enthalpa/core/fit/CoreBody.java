package io.enthalpa.core.fit;

import io.enthalpa.core.exchanger.CorePorts;
import io.enthalpa.core.exchanger.CoreSpec;
import io.enthalpa.core.exchanger.EndTankSpec;
import io.enthalpa.core.space.Frustum;
import io.enthalpa.core.space.Hull;
import io.enthalpa.core.space.Pose;
import io.enthalpa.core.space.Solid;
import java.util.ArrayList;
import java.util.List;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * A charge cooler as a body: block, tanks, ports and the clamp rings on them, about the middle of its block. How a core is turned is told as
 * seen from the front of the car: what looks left there points to the right as one sits.
 */
public final class CoreBody {
    /** m of metal round a port; common practice, no source. */
    private static final double PORT_WALL = 2e-3;
    /** m that hose and clamp band stand out from a port, and how wide the band is; common practice, no source. */
    private static final double CLAMP_OUT = 8e-3;

    private static final double CLAMP_WIDTH = 15e-3;
    /** How the names of clamps end. */
    static final String CLAMP = " clamp";

    private final CoreSpec spec;
    private final EndTankSpec tanks;
    private final CorePorts ports;
    private final double half;
    private final double side;
    private final List<Solid.Part> parts = new ArrayList<>();

    private CoreBody(CoreSpec spec) {
        this.spec = spec;
        this.tanks = spec.tanks();
        this.ports = new CorePorts(spec);
        this.half = spec.size().width() / 2;
        this.side = spec.size().height() / 2;
    }

    /** @return its parts, the middle of its block at the origin, its face square to the rearward axis */
    public static List<Solid.Part> parts(CoreSpec spec) {
        CoreBody body = new CoreBody(spec);
        body.build();
        return body.parts;
    }

    private void build() {
        box("block", -half, half, -side, side);
        if (tanks.isOpen()) {
            return;
        }
        double end = half + tanks.depth();
        if (spec.arrangement().isTwoPass()) {
            boolean first = spec.inletEnd() == spec.usualEnd();
            box(first ? "inlet tank" : "outlet tank", -end, -half, -side, 0);
            box(first ? "outlet tank" : "inlet tank", -end, -half, 0, side);
            box("turning tank", half, end, -side, side);
        } else {
            box("inlet tank", -end, -half, -side, side);
            box("outlet tank", half, end, -side, side);
        }
        ports.all().forEach(this::port);
    }

    private void box(String element, double fromU, double toU, double fromV, double toV) {
        Vector3D middle = ports.point((fromU + toU) / 2, (fromV + toV) / 2);
        double wide = spec.isOnEnd() ? toV - fromV : toU - fromU;
        double high = spec.isOnEnd() ? toU - fromU : toV - fromV;
        parts.add(new Solid.Part(
                element,
                Hull.box(new Pose(middle, Pose.ORIGIN.turn()), spec.size().depth(), wide, high)));
    }

    private void port(CorePorts.Port port) {
        double radius = port.bore() / 2 + PORT_WALL;
        String element = port.role() + " port";
        List<Vector3D> line = port.elbow()
                .map(elbow -> elbow.points(port, tanks.stub()))
                .orElseGet(() -> List.of(port.root(), port.root().add(tanks.stub(), port.out())));
        for (int i = 1; i < line.size(); i++) {
            if (line.get(i).distance(line.get(i - 1)) > 0) {
                parts.add(new Solid.Part(element, Frustum.cylinder(line.get(i - 1), line.get(i), radius)));
            }
        }
        if (tanks.stub() > CLAMP_WIDTH) {
            // A band sits a little in from the end of its spigot.
            Vector3D out = port.elbow().map(elbow -> elbow.out(port)).orElse(port.out());
            Vector3D band = line.get(line.size() - 1).subtract(tanks.stub() / 2, out);
            parts.add(new Solid.Part(
                    port.role() + CLAMP,
                    Frustum.cylinder(
                            band.subtract(CLAMP_WIDTH / 2, out), band.add(CLAMP_WIDTH / 2, out), radius + CLAMP_OUT)));
        }
    }
}
