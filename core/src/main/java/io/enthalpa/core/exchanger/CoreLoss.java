package io.enthalpa.core.exchanger;

import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import io.enthalpa.core.source.ValidityRange;

/** Loss of a finned block between its tanks: entrance, change of speed, friction, exit. */
public final class CoreLoss {
    public static final Method METHOD = Method.of(
                    "core-loss",
                    "Loss of a finned block",
                    "The stream speeds up into the passages, rubs along the fins, slows down as it cools and expands at the exit. Entrance and exit "
                            + "coefficients are those of turbulent flow between parallel plates, read from the charts as simple forms.")
            .formula(
                    "dp = G^2/(2 rho1) ((Kc + 1 - s^2) + 2 (rho1/rho2 - 1) + 4 f L/D rho1/rhom - (1 - s^2 - Ke) rho1/rho2); "
                            + "Kc = 0.42 (1 - s^2), Ke = (1 - s)^2, s free over frontal section")
            .range(new ValidityRange("free over frontal section", 0.1, 0.95, ""))
            .source(Citation.fromMemory(
                    "Kays & London", 1984, "Compact Heat Exchangers, 3rd ed., eq. 2-26a and figure 5-3"))
            .leavesOut(
                    "The larger entrance coefficient of laminar flow; in a charge cooler friction is nine tenths of the loss.");

    private CoreLoss() {}

    /**
     * @param massFlux    kg/(m2 s) in the free section
     * @param densityIn   kg/m3
     * @param densityOut  kg/m3
     * @param openShare   free over frontal section
     * @param friction    Fanning factor
     * @param lengths     passage length over hydraulic diameter
     * @return Pa
     */
    public static double of(
            double massFlux, double densityIn, double densityOut, double openShare, double friction, double lengths) {
        double ratio = densityIn / densityOut;
        double mean = 2 * densityIn / (densityIn + densityOut);
        double closed = 1 - openShare * openShare;
        double heads = entrance(openShare)
                + closed
                + 2 * (ratio - 1)
                + 4 * friction * lengths * mean
                - (closed - exit(openShare)) * ratio;
        return massFlux * massFlux / (2 * densityIn) * heads;
    }

    static double entrance(double openShare) {
        return 0.42 * (1 - openShare * openShare);
    }

    static double exit(double openShare) {
        return (1 - openShare) * (1 - openShare);
    }
}
