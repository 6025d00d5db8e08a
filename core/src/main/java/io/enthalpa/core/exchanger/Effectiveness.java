package io.enthalpa.core.exchanger;

import io.enthalpa.core.source.Citation;

/**
 * Effectiveness of an exchanger: heat moved over the most that could be moved.
 * {@code ntu = UA / Cmin}, {@code ratio = Cmin / Cmax} in 0 to 1.
 */
public enum Effectiveness {
    /** Single-pass crossflow, both streams unmixed; exact series of Nusselt (1930) as given by Mason (1955). */
    CROSSFLOW_UNMIXED {
        @Override
        public double of(double ntu, double ratio) {
            if (ntu <= 0) {
                return 0;
            }
            if (ratio < 1e-7) {
                return 1 - Math.exp(-ntu);
            }
            return crossflowSeries(ntu, ratio);
        }
    },
    /** Counterflow; Kays &amp; London (1984). */
    COUNTERFLOW {
        @Override
        public double of(double ntu, double ratio) {
            if (ntu <= 0) {
                return 0;
            }
            if (1 - ratio < 1e-9) {
                return ntu / (1 + ntu);
            }
            double e = Math.exp(-ntu * (1 - ratio));
            return (1 - e) / (1 - ratio * e);
        }
    };

    public static final Citation CROSSFLOW_SOURCE = Citation.published("Mason", 1955,
            "Heat transfer in crossflow, Proc. 2nd U.S. National Congress of Applied Mechanics; after Nusselt (1930)");
    public static final Citation COUNTERFLOW_SOURCE = Citation.published("Kays & London", 1984,
            "Compact Heat Exchangers, 3rd ed.");
    /** Largest NTU that is looked for; a core beyond it is not distinguishable from a perfect one. */
    static final double LARGEST_NTU = 40;

    /**
     * @param ntu   number of transfer units, 0 to 40
     * @param ratio capacity ratio, 0 to 1
     * @return effectiveness, 0 to 1
     */
    public abstract double of(double ntu, double ratio);

    /**
     * The NTU that gives an effectiveness, by bisection to 1e-10.
     *
     * @return NTU, at most {@value #LARGEST_NTU} when the effectiveness cannot be reached
     */
    public double ntuFor(double effectiveness, double ratio) {
        double low = 0;
        double high = LARGEST_NTU;
        if (of(high, ratio) <= effectiveness) {
            return high;
        }
        while (high - low > 1e-10 * (1 + low)) {
            double middle = (low + high) / 2;
            if (of(middle, ratio) < effectiveness) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return (low + high) / 2;
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
