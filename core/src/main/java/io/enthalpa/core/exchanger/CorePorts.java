package io.enthalpa.core.exchanger;

import java.util.List;
import java.util.Optional;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * Where a core's ports stand and which way they look, about the middle of its block, as the core stands in the car before it is turned there:
 * the one place that knows, for what it takes up, for the drawing and for the pipes.
 */
public final class CorePorts {
    private final CoreSpec spec;
    private final EndTankSpec tanks;
    private final Vector3D along;
    private final Vector3D across;
    private final double half;
    private final double side;

    /**
     * @param role  "inlet", "outlet", "first outlet"
     * @param root  m, the middle of its mouth in the tank's wall
     * @param out   unit vector out of the tank
     * @param bore  m
     * @param elbow on it; empty where it is straight
     */
    public record Port(String role, Vector3D root, Vector3D out, double bore, Optional<PortElbow> elbow) {}

    public CorePorts(CoreSpec spec) {
        this.spec = spec;
        this.tanks = spec.tanks();
        // As seen from the front what looks left points to the right as one sits.
        this.along = switch (spec.inletTowards()) {
            case LEFT -> Vector3D.MINUS_J;
            case RIGHT -> Vector3D.PLUS_J;
            case UP -> Vector3D.MINUS_K;
            case DOWN -> Vector3D.PLUS_K;
        };
        this.across = spec.isOnEnd() ? Vector3D.MINUS_J : Vector3D.MINUS_K;
        this.half = spec.size().width() / 2;
        this.side = spec.size().height() / 2;
    }

    /** @return from the inlet's tank to the other */
    public Vector3D along() {
        return along;
    }

    /** @return across the passages, the inlet's side of an offset port being less than 0 */
    public Vector3D across() {
        return across;
    }

    /** @return m about the middle of the block */
    public Vector3D point(double u, double v) {
        return along.scalarMultiply(u).add(across.scalarMultiply(v));
    }

    /** @return the inlet first; none of a block that is fed over its whole face */
    public List<Port> all() {
        if (tanks.isOpen()) {
            return List.of();
        }
        double end = half + tanks.depth();
        double middle = half + tanks.depth() / 2;
        boolean atEnds = tanks.place() == EndTankSpec.PortPlace.END;
        if (spec.arrangement().isTwoPass()) {
            return List.of(
                    inlet(point(-end, -side / 2), along.negate()),
                    outlet("outlet", point(-end, side / 2), along.negate()));
        }
        Port inlet =
                atEnds ? inlet(point(-middle, -side), across.negate()) : inlet(point(-end, -shift()), along.negate());
        if (tanks.outlets() == 2) {
            return List.of(
                    inlet,
                    outlet("first outlet", point(end, -side / 2), along),
                    outlet("second outlet", point(end, side / 2), along));
        }
        return List.of(
                inlet,
                atEnds ? outlet("outlet", point(middle, side), across) : outlet("outlet", point(end, shift()), along));
    }

    private Port inlet(Vector3D root, Vector3D out) {
        return new Port("inlet", root, out, tanks.portBore(), tanks.inletElbow());
    }

    private Port outlet(String role, Vector3D root, Vector3D out) {
        return new Port(role, root, out, tanks.outletBore(), tanks.outletElbow());
    }

    /** m that an offset port stands off the middle: half way to the end of the tank, as far as it has room. */
    private double shift() {
        return tanks.place() == EndTankSpec.PortPlace.OFFSET
                ? Math.min(side / 2, Math.max(side - tanks.portBore() / 2, 0))
                : 0;
    }
}
