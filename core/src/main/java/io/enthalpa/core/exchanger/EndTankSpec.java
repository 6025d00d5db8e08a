package io.enthalpa.core.exchanger;

import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import java.util.Optional;

/**
 * The tanks at both ends of a core.
 *
 * @param portBore m, of the inlet port
 * @param depth     m, from the block's face to the back of the tank; 0 without tanks, where the block is fed over its whole face
 * @param inlet     where the inlet port stands on its tank
 * @param outlet    where the outlet stands; two of them both stand so, one in each half of their tank
 * @param divided   true when a vane in the inlet parts the stream to both halves of the tank
 * @param blocked   share of the passages that get no air: a boss, a weld, dirt; 0 to 0.9
 * @param outlets   1, or 2 for two banks
 * @param outletBore m, of each outlet port
 * @param stub      m, that a port stands out of its tank, or out of its elbow
 * @param inletElbow on the inlet port; empty where it is straight
 * @param outletElbow on each outlet port
 */
public record EndTankSpec(
        double portBore,
        double depth,
        PortSeat inlet,
        PortSeat outlet,
        boolean divided,
        double blocked,
        int outlets,
        double outletBore,
        double stub,
        Optional<PortElbow> inletElbow,
        Optional<PortElbow> outletElbow) {
    /** With straight ports, at the usual ends of their tanks. */
    public EndTankSpec(
            double portBore,
            double depth,
            PortPlace place,
            boolean divided,
            double blocked,
            int outlets,
            double outletBore,
            double stub) {
        this(
                portBore,
                depth,
                PortSeat.usual(place),
                PortSeat.usual(place),
                divided,
                blocked,
                outlets,
                outletBore,
                stub,
                Optional.empty(),
                Optional.empty());
    }

    public EndTankSpec withElbows(Optional<PortElbow> inlet, Optional<PortElbow> outlet) {
        return with(this.inlet, this.outlet, inlet, outlet);
    }

    public EndTankSpec withSeats(PortSeat inlet, PortSeat outlet) {
        return with(inlet, outlet, inletElbow, outletElbow);
    }

    private EndTankSpec with(PortSeat in, PortSeat out, Optional<PortElbow> inElbow, Optional<PortElbow> outElbow) {
        return new EndTankSpec(
                portBore, depth, in, out, divided, blocked, outlets, outletBore, stub, inElbow, outElbow);
    }

    /** @return turned a quarter with its core, clockwise seen from the front */
    EndTankSpec clockwise() {
        return with(
                inlet.clockwise(),
                outlet.clockwise(),
                inletElbow.map(PortElbow::clockwise),
                outletElbow.map(PortElbow::clockwise));
    }

    /** Loss of the elbows on the inlet port's velocity head. */
    double elbowHeads() {
        double out = portArea() / outletArea();
        return inletHeads()
                + outletElbow.map(e -> e.coefficient(outletBore) * out * out).orElse(0.0);
    }

    /** Of the inlet's alone. */
    double inletHeads() {
        return inletElbow.map(e -> e.coefficient(portBore)).orElse(0.0);
    }

    /** Spigot for a hose and its clamp, m: common practice, no source. */
    public static final double USUAL_STUB = 40e-3;
    /** A port wider than this many core depths cannot be blended into the tank (common practice, no source). */
    private static final double WIDEST_PORT = 1.6;

    /** Where a port stands. */
    public enum PortPlace {
        /** Facing the passages, in the middle of the tank's height. */
        MIDDLE,
        /** Facing the passages, towards one end. */
        OFFSET,
        /** At the end of the tank, blowing along it. */
        END
    }

    /** @return with one outlet like the inlet, on usual stubs */
    public static EndTankSpec alike(
            double portBore, double depth, PortPlace place, boolean divided, double blocked, int outlets) {
        return new EndTankSpec(portBore, depth, place, divided, blocked, outlets, portBore, USUAL_STUB);
    }

    /** @return usual tanks for a port: as deep as the port, the port in the middle */
    public static EndTankSpec usual(double portBore) {
        return alike(portBore, portBore, PortPlace.MIDDLE, false, 0, 1);
    }

    public double portArea() {
        return Math.PI / 4 * portBore * portBore;
    }

    /** @return m2 of all outlets */
    public double outletArea() {
        return outlets * Math.PI / 4 * outletBore * outletBore;
    }

    /** @return whether the block is fed over its whole face */
    public boolean isOpen() {
        return depth == 0;
    }

    /**
     * Loss into the outlet ports on the inlet port's velocity head, half of what is left of their area; {@link TankEffect}.
     *
     * @param outlets m2 of all of them together
     */
    double outletHeads(CoreSize size, double outlets) {
        double share = Math.min(outlets / size.chargeSection(), 0.95);
        return 0.5 * (1 - share) * Math.pow(portArea() / outlets, 2);
    }

    /** @throws EnthalpaFault {@link FaultKind#CONTRADICTION} when a port is larger than the tank it should stand on */
    public EndTankSpec checkedFor(CoreSize size) {
        if (!isOpen()) {
            check(size, portBore, 1, "portBore", "core port bore");
            check(size, outletBore, outlets, "outletBore", "core outlet bore");
        }
        return this;
    }

    /** @return whether tanks of a core of that size carry the ports */
    public boolean fitOn(CoreSize size) {
        return isOpen() || portBore <= widest(size, 1) && outletBore <= widest(size, outlets);
    }

    /** @return m, the least height and depth of a core whose tanks carry the ports; its width is 0 */
    public CoreSize least() {
        double bore = isOpen() ? 0 : Math.max(portBore, outletBore);
        double high = isOpen() ? 0 : Math.max(portBore, outlets * outletBore);
        return new CoreSize(0, high, bore / WIDEST_PORT);
    }

    private static double widest(CoreSize size, int beside) {
        return Math.min(WIDEST_PORT * size.depth(), size.height() / beside);
    }

    private static void check(CoreSize size, double bore, int beside, String field, String label) {
        double room = widest(size, beside);
        if (bore > room) {
            throw EnthalpaFault.of(
                    FaultKind.CONTRADICTION,
                    field,
                    label,
                    "%.0f mm".formatted(bore * 1000),
                    "at most %.0f mm on a tank for a core %.0f mm high and %.0f mm deep%s"
                            .formatted(
                                    room * 1000,
                                    size.height() * 1000,
                                    size.depth() * 1000,
                                    beside == 2 ? " with two outlets" : ""),
                    "Take a smaller port or a deeper core.");
        }
    }
}
