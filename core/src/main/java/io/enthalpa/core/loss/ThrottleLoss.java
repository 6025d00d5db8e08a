package io.enthalpa.core.loss;

import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;

/** Loss of a wide open butterfly: plate and shaft stand across the bore; the stream closes on what is left and opens again. */
public final class ThrottleLoss {
    public static final Method METHOD = Method.of(
                    "throttle",
                    "Throttle, wide open",
                    "The shaft blocks a strip of the bore. The stream contracts into the two openings beside it and widens suddenly behind.")
            .formula(
                    "s = 1 - 4 t / (pi d); K = (1 / (s Cc) - 1)^2, Cc = 0.63 + 0.37 s^3; t shaft or plate thickness, d bore")
            .source(Citation.fromMemory(
                    "Idelchik",
                    2007,
                    "Handbook of Hydraulic Resistance, 4th ed., obstructions; contraction by Weisbach's table"))
            .leavesOut(
                    "Screw heads, a plate that does not open fully. A closing throttle is not a loss of this formula: it takes whatever the engine is not asked for.");

    private ThrottleLoss() {}

    /** @param bore m @param thickness m of shaft and plate across the bore, less than half the bore @return K on the velocity head of the bore */
    public static double coefficient(double bore, double thickness) {
        double open = 1 - 4 * thickness / (Math.PI * bore);
        double contraction = 0.63 + 0.37 * open * open * open;
        double excess = 1 / (open * contraction) - 1;
        return excess * excess;
    }
}
