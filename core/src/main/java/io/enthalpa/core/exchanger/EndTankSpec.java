package io.enthalpa.core.exchanger;

import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;

/**
 * The tanks at both ends of a core.
 *
 * @param portBore  m, of each port
 * @param depth     m, from the block's face to the back of the tank
 * @param place     where the inlet port stands on its tank
 * @param divided   true when a vane in the inlet parts the stream to both halves of the tank
 * @param blocked   share of the passages that get no air: a boss, a weld, dirt; 0 to 0.9
 * @param outlets   1, or 2 for two banks
 */
public record EndTankSpec(
        double portBore, double depth, PortPlace place, boolean divided, double blocked, int outlets) {
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

    /** @return usual tanks for a port: as deep as the port, the port in the middle */
    public static EndTankSpec usual(double portBore) {
        return new EndTankSpec(portBore, portBore, PortPlace.MIDDLE, false, 0, 1);
    }

    public double portArea() {
        return Math.PI / 4 * portBore * portBore;
    }

    /** @throws EnthalpaFault {@link FaultKind#CONTRADICTION} when a port is larger than the tank it should stand on */
    public EndTankSpec checkedFor(CoreSize size) {
        double room = Math.min(WIDEST_PORT * size.depth(), outlets == 2 ? size.height() / 2 : size.height());
        if (portBore > room) {
            throw EnthalpaFault.of(
                    FaultKind.CONTRADICTION,
                    "portBore",
                    "core port bore",
                    "%.0f mm".formatted(portBore * 1000),
                    "at most %.0f mm on a tank for a core %.0f mm high and %.0f mm deep%s"
                            .formatted(
                                    room * 1000,
                                    size.height() * 1000,
                                    size.depth() * 1000,
                                    outlets == 2 ? " with two outlets" : ""),
                    "Take a smaller port or a deeper core.");
        }
        return this;
    }
}
