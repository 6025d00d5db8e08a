package io.enthalpa.core.fit;

import io.enthalpa.core.exchanger.CorePorts;
import io.enthalpa.core.exchanger.CoreSpec;
import io.enthalpa.core.exchanger.EndTankSpec;
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
        parts.addAll(Spigot.parts(port.role(), line(port, tanks), port.bore()));
    }

    private static List<Vector3D> line(CorePorts.Port port, EndTankSpec tanks) {
        return port.elbow()
                .map(elbow -> elbow.points(port, tanks.stub()))
                .orElseGet(() -> List.of(port.root(), port.root().add(tanks.stub(), port.out())));
    }

    /** @return the ends of its ports, the inlet first, about the middle of its block */
    static List<OpenPort> ports(CoreSpec spec) {
        return new CorePorts(spec)
                .all().stream()
                        .map(port -> OpenPort.of(port.role(), line(port, spec.tanks())))
                        .toList();
    }
}
