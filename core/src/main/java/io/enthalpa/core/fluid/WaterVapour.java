package io.enthalpa.core.fluid;

import io.enthalpa.core.fault.Budget;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import io.enthalpa.core.source.ValidityRange;

/** Saturated water vapour over liquid water. */
public final class WaterVapour {
    public static final Citation SATURATION = Citation.fromMemory(
            "Wagner & Pruss",
            2002,
            "The IAPWS formulation 1995, auxiliary equation for the vapour pressure, J. Phys. Chem. Ref. Data 31");
    private static final double CRITICAL_T = 647.096;
    private static final double CRITICAL_P = 22.064e6;

    public static final Method METHOD = Method.of(
                    "saturation",
                    "Dew point and condensate",
                    "Saturation by the reference equation for water. Boosting humid air raises the pressure of its vapour too, so its dew point rises: "
                            + "a core colder than that drips inside. Along the core, vapour goes to the metal as heat does; what it holds "
                            + "above what stays vapour at the metal's temperature comes out, and its latent heat goes to the metal with it, at full load and in every cell of a run: "
                            + "metal and coolant get warmer, ice melts sooner, the charge leaves a little warmer.")
            .formula("ln(ps/pc) = (Tc/T)(a1 v + a2 v^1.5 + a3 v^3 + a4 v^3.5 + a5 v^4 + a6 v^7.5), v = 1 - T/Tc; "
                    + "dew point: ps(T) = y p; latent heat 2.501 - 0.00239 t MJ/kg, t in °C")
            .range(new ValidityRange("temperature", 0, 80, "°C"))
            .source(
                    SATURATION,
                    Citation.fromMemory(
                            "Chilton & Colburn",
                            1934,
                            "Mass transfer coefficients, Ind. Eng. Chem. 26: heat and vapour go to the metal alike"))
            .leavesOut(
                    "Fog within the stream (a twentieth of what comes out where much does) and drops carried along; frost below 0 °C is counted as water.");

    private static final int MOST_STEPS = 40;
    private static final double TABLE_FROM = 230;
    private static final double TABLE_STEP = 0.05;
    private static final double[] TABLE = java.util.stream.IntStream.rangeClosed(0, 3800)
            .mapToDouble(i -> saturationPressure(TABLE_FROM + i * TABLE_STEP))
            .toArray();

    private WaterVapour() {}

    /** {@link #saturationPressure} from a table in steps of 0.05 K, straight between, which changes it by less than 1e-5: for every cell of every step. */
    public static double tabledPressure(double t) {
        double at = (t - TABLE_FROM) / TABLE_STEP;
        int below = (int) at;
        return at >= 0 && below + 1 < TABLE.length
                ? TABLE[below] + (at - below) * (TABLE[below + 1] - TABLE[below])
                : saturationPressure(t);
    }

    /** @return Pa/K, slope of {@link #tabledPressure} */
    public static double tabledSlope(double t) {
        int below = (int) Math.max(0, Math.min(TABLE.length - 2, (t - TABLE_FROM) / TABLE_STEP));
        return (TABLE[below + 1] - TABLE[below]) / TABLE_STEP;
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
        double sum = -7.85951783 * th
                + 1.84408259 * th * root
                - 11.7866497 * cube
                + 22.6807411 * cube * root
                - 15.9618719 * cube * th
                + 1.80122502 * cube * cube * th * root;
        return CRITICAL_P * Math.exp(sum * CRITICAL_T / t);
    }

    /** @param t K, 273 to 373 @return J/kg to evaporate it; linear fit to the steam tables, 0.3 %, from memory */
    public static double latentHeat(double t) {
        return 2.5009e6 - 2386 * (t - 273.15);
    }

    /**
     * The temperature whose saturation pressure is given, by Newton's method on its logarithm.
     *
     * @param pressure Pa of vapour, 1 to 1e6
     * @return K
     */
    public static double saturationTemperature(double pressure) {
        double t = 293.15;
        for (int i = 0; i < MOST_STEPS; i++) {
            double error = Math.log(saturationPressure(t) / pressure);
            double slope = (Math.log(saturationPressure(t + 0.01)) - Math.log(saturationPressure(t))) / 0.01;
            double step = Math.max(-40, Math.min(40, error / slope));
            t = Math.max(t - step, 180);
            if (Math.abs(step) < 1e-8) {
                return t;
            }
        }
        throw Budget.spent("temperature of saturated vapour", MOST_STEPS);
    }
}
