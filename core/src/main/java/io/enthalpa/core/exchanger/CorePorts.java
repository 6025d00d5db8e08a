package io.enthalpa.core.exchanger;

import java.util.ArrayList;
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
        boolean two = spec.arrangement().isTwoPass();
        List<Port> all = new ArrayList<>();
        all.add(port("inlet", true, inletAcross(), tanks.inlet()));
        List<Double> outlets = outletsAcross();
        for (int i = 0; i < outlets.size(); i++) {
            String role = outlets.size() == 1 ? "outlet" : i == 0 ? "first outlet" : "second outlet";
            all.add(port(role, two, outlets.get(i), tanks.outlet()));
        }
        return all;
    }

    /** @param near whether its tank is the inlet's @param v m across the passages, of the middle of the port */
    private Port port(String role, boolean near, double v, PortSeat seat) {
        boolean inlet = role.equals("inlet");
        double bore = inlet ? tanks.portBore() : tanks.outletBore();
        Optional<PortElbow> elbow = inlet ? tanks.inletElbow() : tanks.outletElbow();
        Vector3D away = near ? along.negate() : along;
        if (seat.place() == EndTankSpec.PortPlace.END) {
            double middle = half + tanks.depth() / 2;
            return new Port(role, point(near ? -middle : middle, v), v < 0 ? across.negate() : across, bore, elbow);
        }
        double end = half + tanks.depth();
        return new Port(role, point(near ? -end : end, v), away, bore, elbow);
    }

    /** m across the passages that the inlet stands off the middle. */
    private double inletAcross() {
        int end = spec.inletEnd() == spec.usualEnd() ? -1 : 1;
        return end
                * off(
                        tanks.inlet().place(),
                        tanks.portBore(),
                        spec.arrangement().isTwoPass());
    }

    private List<Double> outletsAcross() {
        boolean two = spec.arrangement().isTwoPass();
        if (tanks.outlets() == 2 && !two) {
            double off = off(tanks.outlet().place(), tanks.outletBore(), true);
            return List.of(-off, off);
        }
        int end = spec.outletEnd() == spec.usualEnd() ? -1 : 1;
        return List.of(end * off(tanks.outlet().place(), tanks.outletBore(), two));
    }

    /** @param halves whether it is one of two that share the tank's height @return m that a port stands off the middle */
    private double off(EndTankSpec.PortPlace place, double bore, boolean halves) {
        return switch (place) {
            case END -> side;
            case MIDDLE -> halves ? side / 2 : 0;
            // Half way to the end of the tank, as far as it has room.
            case OFFSET -> halves ? side / 2 : Math.min(side / 2, Math.max(side - bore / 2, 0));
        };
    }

    /** @return share of its tank's height, 0 to 1, at which the inlet stands, counted as {@link #across} runs; of two passes of its half, from outside */
    double inletAt() {
        return spec.arrangement().isTwoPass() ? fromOutside(inletAcross()) : share(inletAcross());
    }

    /** @return the same of the outlets */
    List<Double> outletsAt() {
        return outletsAcross().stream()
                .map(v -> spec.arrangement().isTwoPass() ? fromOutside(v) : share(v))
                .toList();
    }

    private double share(double v) {
        return (v + side) / (2 * side);
    }

    private double fromOutside(double v) {
        return (side - Math.abs(v)) / side;
    }
}
