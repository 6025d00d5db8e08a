package io.enthalpa.core.exchanger;

import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import io.enthalpa.core.source.ValidityRange;

/**
 * Effectiveness of an exchanger: heat moved over the most that could be moved.
 * {@code ntu = UA / Cmin}, {@code ratio = Cmin / Cmax} in 0 to 1.
 */
public enum Effectiveness {
    /** Single-pass crossflow, both streams unmixed; exact series of Nusselt (1930) as given by Mason (1955). */
    CROSSFLOW_UNMIXED {
        @Override
        double least(double ntu, double ratio, boolean hotIsLeast) {
            return crossflowSeries(ntu, ratio);
        }
    },
    /** Single-pass crossflow, the hot stream mixed across its way (one wide passage), the cold one unmixed. */
    CROSSFLOW_HOT_MIXED {
        @Override
        double least(double ntu, double ratio, boolean hotIsLeast) {
            return oneMixed(ntu, ratio, hotIsLeast);
        }
    },
    /** Single-pass crossflow, the cold stream mixed across its way, the hot one unmixed. */
    CROSSFLOW_COLD_MIXED {
        @Override
        double least(double ntu, double ratio, boolean hotIsLeast) {
            return oneMixed(ntu, ratio, !hotIsLeast);
        }
    },
    /** Counterflow; Kays &amp; London (1984). */
    COUNTERFLOW {
        @Override
        double least(double ntu, double ratio, boolean hotIsLeast) {
            if (1 - ratio < 1e-9) {
                return ntu / (1 + ntu);
            }
            double e = Math.exp(-ntu * (1 - ratio));
            return (1 - e) / (1 - ratio * e);
        }
    },
    /**
     * Two passes of the hot stream, there and back, one above the other: both ports on one side, a divider in that tank.
     * Each pass meets fresh cold air with half of it; the hot stream is mixed in the far tank.
     */
    U_FLOW_STACKED {
        @Override
        double least(double ntu, double ratio, boolean hotIsLeast) {
            double hot = hotIsLeast ? 1 : 1 / ratio;
            double halfCold = (hotIsLeast ? 1 / ratio : 1) / 2;
            double leastInPass = Math.min(hot, halfCold);
            double pass = crossflowSeries(ntu / 2 / leastInPass, leastInPass / Math.max(hot, halfCold));
            double left = 1 - pass * leastInPass / hot;
            return Math.min(hot * (1 - left * left), 1);
        }
    },
    /**
     * Two passes of the hot stream, there and back, one behind the other: the second pass meets the cold air first.
     * Both streams mixed between the passes; Kays &amp; London (1984), overall counterflow of two crossflow passes.
     */
    U_FLOW_CROSS_COUNTER {
        @Override
        double least(double ntu, double ratio, boolean hotIsLeast) {
            double pass = crossflowSeries(ntu / 2, ratio);
            if (1 - ratio < 1e-9) {
                return 2 * pass / (1 + pass);
            }
            double term = (1 - pass * ratio) / (1 - pass);
            return (term * term - 1) / (term * term - ratio);
        }
    };

    public static final Citation CROSSFLOW_SOURCE = Citation.published(
            "Mason",
            1955,
            "Heat transfer in crossflow, Proc. 2nd U.S. National Congress of Applied Mechanics; after Nusselt (1930)");
    public static final Citation COUNTERFLOW_SOURCE =
            Citation.published("Kays & London", 1984, "Compact Heat Exchangers, 3rd ed.");
    public static final Method METHOD = Method.of(
                    "effectiveness",
                    "Effectiveness by arrangement",
                    "Heat moved over the most that could be moved. Crossflow with both streams unmixed by its exact series; one stream mixed and "
                            + "counterflow in closed form; U-flow as two crossflow passes, either one above the other (each pass meets fresh air) or one behind the "
                            + "other (the second pass meets the air first). When one stream hardly changes temperature all become 1 - exp(-NTU).")
            .formula(
                    "NTU = UA / Cmin, r = Cmin / Cmax; counterflow (1 - e^(-NTU (1 - r))) / (1 - r e^(-NTU (1 - r))); "
                            + "Cmax mixed (1 - e^(-r (1 - e^-NTU))) / r; Cmin mixed 1 - e^(-(1 - e^(-r NTU)) / r); "
                            + "two passes overall counter ((1 - p r)/(1 - p))^2 - 1 over ((1 - p r)/(1 - p))^2 - r, p of one pass")
            .range(new ValidityRange("NTU", 0, 40, ""), new ValidityRange("capacity ratio", 0, 1, ""))
            .source(CROSSFLOW_SOURCE, COUNTERFLOW_SOURCE)
            .leavesOut(
                    "Heat along the metal from the hot to the cold end, which costs a percent or two in short cores.");
    /** Largest NTU that is looked for; a core beyond it is not distinguishable from a perfect one. */
    static final double LARGEST_NTU = 40;

    private static final double NO_RATIO = 1e-7;

    /** @param ntu above 0 @param ratio above 0 @param hotIsLeast whether the hot stream has the lesser capacity rate */
    abstract double least(double ntu, double ratio, boolean hotIsLeast);

    /** @return true when the hot stream goes there and back through half of the passages each way */
    public boolean isTwoPass() {
        return this == U_FLOW_STACKED || this == U_FLOW_CROSS_COUNTER;
    }

    /**
     * @param ntu        number of transfer units, 0 to 40
     * @param ratio      capacity ratio, 0 to 1
     * @param hotIsLeast whether the hot stream has the lesser capacity rate; matters when only one stream is mixed or goes there and back
     * @return effectiveness, 0 to 1
     */
    public double of(double ntu, double ratio, boolean hotIsLeast) {
        if (ntu <= 0) {
            return 0;
        }
        return ratio < NO_RATIO ? 1 - Math.exp(-ntu) : least(ntu, ratio, hotIsLeast);
    }

    /** As {@link #of(double, double, boolean)} with the hot stream the lesser. */
    public double of(double ntu, double ratio) {
        return of(ntu, ratio, true);
    }

    /**
     * @param conductance W/K from stream to stream
     * @param hotRate     W/K, above 0
     * @param coldRate    W/K, above 0
     * @return effectiveness on the lesser stream
     */
    public double between(double conductance, double hotRate, double coldRate) {
        double least = Math.min(hotRate, coldRate);
        return of(conductance / least, least / Math.max(hotRate, coldRate), hotRate <= coldRate);
    }

    /**
     * The NTU that gives an effectiveness, by bisection to 1e-10.
     *
     * @return NTU, at most {@value #LARGEST_NTU} when the effectiveness cannot be reached
     */
    public double ntuFor(double effectiveness, double ratio, boolean hotIsLeast) {
        double low = 0;
        double high = LARGEST_NTU;
        if (of(high, ratio, hotIsLeast) <= effectiveness) {
            return high;
        }
        while (high - low > 1e-10 * (1 + low)) {
            double middle = (low + high) / 2;
            if (of(middle, ratio, hotIsLeast) < effectiveness) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return (low + high) / 2;
    }

    /** Kays &amp; London (1984): the mixed stream is the lesser one, or the greater. */
    private static double oneMixed(double ntu, double ratio, boolean leastIsMixed) {
        return leastIsMixed
                ? 1 - Math.exp(-(1 - Math.exp(-ratio * ntu)) / ratio)
                : (1 - Math.exp(-ratio * (1 - Math.exp(-ntu)))) / ratio;
    }

    /**
     * Sum over m of P(m, N) P(m, rN) / (rN), P(m, x) the chance that a Poisson variable of mean x exceeds m.
     * All terms are positive; the sum ends when a term no longer counts.
     */
    private static double crossflowSeries(double ntu, double ratio) {
        double rn = ratio * ntu;
        double termN = Math.exp(-ntu);
        double termR = Math.exp(-rn);
        double tailN = 1 - termN;
        double tailR = -Math.expm1(-rn);
        double sum = 0;
        for (int m = 0; m < 400; m++) {
            double product = tailN * tailR;
            sum += product;
            if (product < 1e-14 * sum) {
                break;
            }
            termN *= ntu / (m + 1);
            termR *= rn / (m + 1);
            tailN = Math.max(tailN - termN, 0);
            tailR = Math.max(tailR - termR, 0);
        }
        return Math.min(sum / rn, 1);
    }
}
