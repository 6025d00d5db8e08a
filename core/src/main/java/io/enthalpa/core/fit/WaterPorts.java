package io.enthalpa.core.fit;

import io.enthalpa.core.exchanger.CoreSize;
import io.enthalpa.core.exchanger.CoreSpec;
import io.enthalpa.core.exchanger.EndTankSpec;
import io.enthalpa.core.room.Stand.Size;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import io.enthalpa.core.waterloop.CorePorts;
import java.util.List;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/** Where water goes in and out of what a loop joins, before it is turned. */
public final class WaterPorts {
    static final String IN = "water inlet";
    static final String OUT = "water outlet";

    public static final Method METHOD = Method.of(
                    "water-ports-in-room",
                    "Where hoses come on",
                    "Of a core on its front, 30 mm in from its edges, as its water ports are said to be: at opposite corners, at the end where the charge leaves, or in the middle; fed from the bottom or the top. "
                            + "Of a radiator low on its left and high on its right, so that air goes along with the water. A tank gives water low on its front and takes it back high on it. "
                            + "A pump takes it in the middle of its front and gives it on its top. Each is a stub of 40 mm that is no obstacle itself. Where yours are elsewhere, type where the hose begins or ends.")
            .source(Citation.commonPractice("ports as they are mostly found; no two makers agree"))
            .leavesOut(
                    "A second pump on the same loop, a chiller, what is drawn from outside: type where the hose begins or ends.");

    /** m from the edge to the middle of a port. */
    private static final double IN_FROM_EDGE = 0.03;

    private WaterPorts() {}

    static List<OpenPort> ofCore(CoreSpec spec, CorePorts ports) {
        CoreSize block = spec.standing();
        double front = -block.depth() / 2;
        double aside = inFrom(block.width());
        double high = inFrom(block.height());
        Vector3D along = new io.enthalpa.core.exchanger.CorePorts(spec).along();
        // Against the charge: the coldest water meets the charge where that leaves.
        double leaves = along.getY() < 0 ? -aside : aside;
        double first = ports.layout() == CorePorts.Layout.MIDDLE ? 0 : leaves;
        double last = ports.layout() == CorePorts.Layout.ONE_END ? first : -first;
        double enters = ports.feed() == CorePorts.Feed.BOTTOM ? -high : high;
        return List.of(
                port(IN, new Vector3D(front, first, enters), Vector3D.MINUS_I),
                port(OUT, new Vector3D(front, last, -enters), Vector3D.MINUS_I));
    }

    static List<OpenPort> ofRadiator(Size size) {
        double high = inFrom(size.high());
        return List.of(
                port(IN, new Vector3D(0, -size.wide() / 2, -high), Vector3D.MINUS_J),
                port(OUT, new Vector3D(0, size.wide() / 2, high), Vector3D.PLUS_J));
    }

    static List<OpenPort> ofTank(Size size) {
        double high = inFrom(size.high());
        return List.of(
                port(IN, new Vector3D(-size.deep() / 2, 0, high), Vector3D.MINUS_I),
                port(OUT, new Vector3D(-size.deep() / 2, 0, -high), Vector3D.MINUS_I));
    }

    static List<OpenPort> ofPump(Size size) {
        return List.of(
                port(IN, new Vector3D(-size.deep() / 2, 0, 0), Vector3D.MINUS_I),
                port(OUT, new Vector3D(0, 0, size.high() / 2), Vector3D.PLUS_K));
    }

    /** m from the middle; of what is small half way out. */
    private static double inFrom(double across) {
        return Math.max(across / 2 - IN_FROM_EDGE, across / 4);
    }

    private static OpenPort port(String role, Vector3D root, Vector3D out) {
        return new OpenPort(role, root.add(EndTankSpec.USUAL_STUB, out), out);
    }
}
