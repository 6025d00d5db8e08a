package io.enthalpa.core.exchanger;

import io.enthalpa.core.loss.BendLoss;
import java.util.ArrayList;
import java.util.List;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * A bend welded onto a port, the spigot for the hose behind it.
 *
 * @param towards which way it turns
 * @param radius  m, of its middle line, over its bore {@link BendLoss#RADIUS}
 * @param angle   rad, up to a right angle
 */
public record PortElbow(PortTurn towards, double radius, double angle) {
    /** Straight pieces that stand for the bend: it strays from them by less than half a percent of its radius. */
    private static final int PIECES = 8;
    /** Darcy's friction of a short smooth bend at the flows of a charge pipe; from memory, 0.016 to 0.022. */
    private static final double FRICTION = 0.02;

    /** @param bore m @return loss coefficient on the velocity head in it, as of any bend */
    double coefficient(double bore) {
        return BendLoss.coefficient(radius / bore, angle, FRICTION);
    }

    /**
     * The middle line of a port with it: along the bend, then straight for the spigot.
     *
     * @param stub m, of the spigot
     * @return points, the root first, the last two the spigot's ends
     */
    public List<Vector3D> points(CorePorts.Port port, double stub) {
        List<Vector3D> points = new ArrayList<>();
        for (int i = 0; i <= PIECES; i++) {
            points.add(on(port, angle * i / PIECES));
        }
        Vector3D end = points.get(PIECES);
        points.add(end.add(stub, out(port)));
        return points;
    }

    /** @return unit vector along which the hose comes off */
    public Vector3D out(CorePorts.Port port) {
        return port.out().scalarMultiply(Math.cos(angle)).add(Math.sin(angle), towards.vector());
    }

    private Vector3D on(CorePorts.Port port, double turned) {
        return port.root()
                .add(radius * Math.sin(turned), port.out())
                .add(radius * (1 - Math.cos(turned)), towards.vector());
    }

    PortElbow clockwise() {
        return new PortElbow(towards.clockwise(), radius, angle);
    }
}
