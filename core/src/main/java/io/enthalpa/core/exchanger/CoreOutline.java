package io.enthalpa.core.exchanger;

/**
 * How far a core with its tanks and port stubs reaches from the middle of its finned block, seen from the front of the car, all m.
 *
 * @param left  to the left
 * @param right to the right
 * @param down  downwards
 * @param up    upwards
 */
public record CoreOutline(double left, double right, double down, double up) {
    /**
     * Ports that face the passages stand out along the charge, both on the inlet's tank where the charge turns round in the other; ports at
     * the ends of their tanks stand out across it, the inlet upwards, or to the left of a core on end.
     */
    public static CoreOutline of(CoreSpec spec) {
        EndTankSpec tanks = spec.tanks();
        double stub = tanks.isOpen() ? 0 : tanks.stub();
        boolean twoPass = spec.arrangement().isTwoPass();
        boolean atEnds = tanks.place() == EndTankSpec.PortPlace.END && !twoPass;
        double inlet = spec.size().width() / 2 + tanks.depth() + (atEnds ? 0 : stub);
        double other = spec.size().width() / 2 + tanks.depth() + (atEnds || twoPass ? 0 : stub);
        double side = spec.size().height() / 2 + (atEnds ? stub : 0);
        return switch (spec.inletTowards()) {
            case LEFT -> new CoreOutline(inlet, other, side, side);
            case RIGHT -> new CoreOutline(other, inlet, side, side);
            case UP -> new CoreOutline(side, side, other, inlet);
            case DOWN -> new CoreOutline(side, side, inlet, other);
        };
    }

    /**
     * @param across m, its middle to the right of the middle of a space
     * @param above  m, and above it
     * @return m that it stands outside a space of a width and height, where it does most; 0 when it is inside
     */
    public double outside(double across, double above, double width, double height) {
        double sideways = Math.max(left - across, right + across) - width / 2;
        double upright = Math.max(down - above, up + above) - height / 2;
        return Math.max(Math.max(sideways, upright), 0);
    }

    /** @return of what has no tanks and ports to count */
    public static CoreOutline bare(double width, double height) {
        return new CoreOutline(width / 2, width / 2, height / 2, height / 2);
    }
}
