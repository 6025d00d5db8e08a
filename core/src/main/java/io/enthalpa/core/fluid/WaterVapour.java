package io.enthalpa.core.fluid;

import io.enthalpa.core.source.Citation;

/** Saturated water vapour over liquid water. */
public final class WaterVapour {
    public static final Citation SATURATION = Citation.fromMemory("Wagner & Pruss", 2002,
            "The IAPWS formulation 1995, auxiliary equation for the vapour pressure, J. Phys. Chem. Ref. Data 31");
    private static final double CRITICAL_T = 647.096;
    private static final double CRITICAL_P = 22.064e6;

    private WaterVapour() {
    }

    /**
     * Saturation pressure over liquid, by Wagner &amp; Pruss (2002). Established from 273.16 K to 647 K; below
     * freezing it is continued smoothly (supercooled liquid), which weather stations use as well.
     *
     * @param t K, above 200
     * @return Pa
     */
    public static double saturationPressure(double t) {
        double th = 1 - t / CRITICAL_T;
        double root = Math.sqrt(th);
        double cube = th * th * th;
        double sum = -7.85951783 * th + 1.84408259 * th * root - 11.7866497 * cube + 22.6807411 * cube * root
                - 15.9618719 * cube * th + 1.80122502 * cube * cube * th * root;
        return CRITICAL_P * Math.exp(sum * CRITICAL_T / t);
    }
}
