package io.enthalpa.core.waterloop;

import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;

/**
 * All that takes heat out of a loop at a moment, as one straight line of the water's temperature: heat = conductance (T - level), T
 * where the water enters the core.
 *
 * @param conductance W/K; 0 when nothing takes any
 * @param level       K at which nothing flows
 * @param radiator    W/K the radiator moves for each kelvin between its inlets; it comes behind the core
 */
public record LoopSinks(double conductance, double level, double radiator) {
    public static final LoopSinks NONE = new LoopSinks(0, 0, 0);
    public static final Method METHOD = Method.of(
                    "loop-steady",
                    "A water loop held steady",
                    "What the charge gives, radiator, chiller and ice take. Each is a straight line of the water's temperature near where it stands, as is what the air of the bay gives it, so that together they "
                            + "are one sink behind one resistance. A loop with nothing that takes heat for good is answered as it is at its start, and the tank's rise told; "
                            + "one with ice as long as the ice lasts.")
            .formula("q (1 - G_r/C) = G_r (T - T_air) + sum s_j (T - T_j); R = (1 - G_r/C) / (G_r + sum s)")
            .source(Citation.fromMemory(
                    "Kays & London", 1984, "Compact Heat Exchangers, 3rd ed., liquid-coupled exchangers"))
            .leavesOut("A thermostat or a valve that parts the water by its temperature.");

    /** @return this with another sink beside it */
    public LoopSinks and(double slope, double at) {
        double sum = conductance + slope;
        return slope <= 0 ? this : new LoopSinks(sum, (conductance * level + slope * at) / sum, radiator);
    }

    /** @param perKelvin W/K between the radiator's inlets @param airIn K */
    public static LoopSinks radiator(double perKelvin, double airIn) {
        return new LoopSinks(perKelvin, airIn, perKelvin);
    }

    /** @param waterRate W/K of the flow @return K/W from the core's water inlet to {@link #level} */
    public double resistance(double waterRate) {
        return (1 - radiator / waterRate) / conductance;
    }
}
