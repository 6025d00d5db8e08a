package io.enthalpa.core.uncertainty;

import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import java.util.Arrays;
import java.util.List;
import java.util.function.Predicate;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;

/**
 * What a log taught of a build, taken into it: every answer then stands on it, and the band is as narrow as it left it.
 *
 * @param letter   of the option that was fitted
 * @param log      its name
 * @param on       the day it was taken in, as written
 * @param knowns   each unknown once
 * @param together how those go together that do
 */
public record Calibration(String letter, String log, String on, List<Known> knowns, List<Together> together) {
    public static final Method METHOD = Method.of(
                    "calibration",
                    "Fitted to a log",
                    "What a fit moved is multiplied onto what the build says; what it left of each doubt takes the place of the usual spread, and doubts that the log cannot tell apart are drawn together. What goes with the build holds "
                            + "for all its options; what goes with core, cooling air or water for the option that was fitted and for those that have the same. What was the day's alone is not taken in.")
            .formula("factor (1 + by)(1 + x); x = within L z, L L' = correlation")
            .source(Citation.commonPractice("which unknowns go with what"))
            .leavesOut("A core, way of air or loop that is changed after the fit: take the fit back then.");
    /** By which the correlation of what goes together entirely is drawn in, so that rounding cannot make it impossible. */
    private static final double DRAWN_IN = 0.995;

    /**
     * @param by     relative, what it is off from what the build says
     * @param within relative to the build's value moved so, one standard deviation that is left
     */
    public record Known(UncertainInput unknown, double by, double within) {}

    /** @param correlation between -1 and 1 */
    public record Together(UncertainInput one, UncertainInput other, double correlation) {}

    public Calibration {
        knowns = List.copyOf(knowns);
        together = List.copyOf(together);
    }

    /** @return what of it holds where these concerns are the same */
    public Calibration only(Predicate<UncertainInput.Concerns> same) {
        return new Calibration(
                letter,
                log,
                on,
                knowns.stream().filter(k -> same.test(k.unknown().concerns())).toList(),
                together.stream()
                        .filter(t -> same.test(t.one().concerns())
                                && same.test(t.other().concerns()))
                        .toList());
    }

    public Perturbation perturbation() {
        Perturbation all = Perturbation.NONE;
        for (Known known : knowns) {
            all = all.with(known.unknown(), known.by());
        }
        return all;
    }

    /** @return the doubt as the log left it; what it did not fit as it was */
    public Doubt left(Doubt doubt) {
        return knowns.stream()
                .filter(k -> k.unknown() == doubt.unknown())
                .findFirst()
                .map(k -> new Doubt(k.unknown(), k.within()))
                .orElse(doubt);
    }

    /** @return whether the log was asked about it */
    public boolean knows(UncertainInput unknown) {
        return knowns.stream().anyMatch(k -> k.unknown() == unknown);
    }

    /** @return lower triangle that makes independent draws go together as these do */
    public double[][] drawnTogether(List<Doubt> doubts) {
        int n = doubts.size();
        RealMatrix correlation = MatrixUtils.createRealIdentityMatrix(n);
        for (Together t : together) {
            int one = place(doubts, t.one());
            int other = place(doubts, t.other());
            if (one >= 0 && other >= 0) {
                correlation.setEntry(one, other, DRAWN_IN * t.correlation());
                correlation.setEntry(other, one, DRAWN_IN * t.correlation());
            }
        }
        return new CholeskyDecomposition(correlation).getL().getData();
    }

    private static int place(List<Doubt> doubts, UncertainInput unknown) {
        return Arrays.asList(doubts.stream().map(Doubt::unknown).toArray()).indexOf(unknown);
    }
}
