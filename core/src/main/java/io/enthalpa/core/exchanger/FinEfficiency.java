package io.enthalpa.core.exchanger;

import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;

/** How much of a fin works: it is cooler in the middle than at the plates that feed it. */
public final class FinEfficiency {
    public static final Method METHOD = Method.of(
                    "fin-efficiency",
                    "Fin efficiency",
                    "A straight fin fed from both plates; its middle passes no heat. The surface efficiency counts plate and fin together.")
            .formula(
                    "m = sqrt(2 film / (k t)); eta = tanh(m l) / (m l), l half the gap; surface: 1 - finShare (1 - eta)")
            .source(Citation.fromMemory(
                    "Incropera & DeWitt", 2007, "Fundamentals of Heat and Mass Transfer, 6th ed., section 3.6"))
            .leavesOut("Braze that did not take: a fin that stands loose works hardly at all.");

    private FinEfficiency() {}

    /**
     * @param film         W/(m2 K)
     * @param conductivity W/(m K) of the fin
     * @param thickness    m
     * @param length       m from the plate to where no heat passes
     * @return 0 to 1
     */
    public static double straight(double film, double conductivity, double thickness, double length) {
        double ml = Math.sqrt(2 * film / (conductivity * thickness)) * length;
        return ml < 1e-6 ? 1 : Math.tanh(ml) / ml;
    }

    /** @return efficiency of the whole surface of a layer, 0 to 1 */
    public static double surface(FinSpec fin, double film, double conductivity) {
        return 1 - fin.finShare() * (1 - straight(film, conductivity, fin.thickness(), fin.gap() / 2));
    }
}
