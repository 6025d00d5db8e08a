package io.enthalpa.core.chargepath;

import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;

/**
 * Two banks that are filled by a way of their own.
 *
 * @param more   name of the one that gets more air
 * @param less   and of the other
 * @param off    how much more
 * @param apart  Pa between their plenums
 * @param warmer K between them
 */
public record Banks(String more, String less, double off, double apart, double warmer) {
    public static final Method METHOD = Method.of(
                    "banks",
                    "Two ways side by side, two banks",
                    "The narrowest place of each way counts for its area. A bank draws by the density in its own plenum, so what it gets more than the other is the ratio of "
                            + "the two densities; a balance tube is put in, or taken out, and the whole way of the air solved again. From 2 % on it is told as uneven: one fuel "
                            + "trim does for both.")
            .formula("m1 / m2 = rho1 / rho2")
            .source(Citation.commonPractice(
                    "two of 38 mm have half the area of one of 76; one fuel trim serves both banks"))
            .leavesOut("Pulses between the banks; what cylinders of one bank draw from one another.");
    /** Of the air; common practice, no source. */
    private static final double UNEVEN = 0.02;

    /** Of the air: what a tenth of a per cent does not show. */
    private static final double ALIKE = 0.5e-3;

    /** @param pair that ends in two plenums */
    public static Banks of(PieceResult pair) {
        LegResult a = pair.legs().get(0);
        LegResult b = pair.legs().get(1);
        boolean first = fills(a) >= fills(b);
        LegResult more = first ? a : b;
        LegResult less = first ? b : a;
        return new Banks(
                more.name(),
                less.name(),
                fills(more) / fills(less) - 1,
                Math.abs(last(a).totalPressure() - last(b).totalPressure()),
                Math.abs(last(a).temperature() - last(b).temperature()));
    }

    /** @return Pa/K: density of the same air at rest */
    private static double fills(LegResult leg) {
        return last(leg).totalPressure() / last(leg).temperature();
    }

    private static Station last(LegResult leg) {
        return leg.stations().get(leg.stations().size() - 1);
    }

    /** @return whether one fuel trim does not do for both */
    public boolean uneven() {
        return off > UNEVEN;
    }

    /** @return whether there is nothing to tell between them */
    public boolean alike() {
        return off < ALIKE;
    }
}
