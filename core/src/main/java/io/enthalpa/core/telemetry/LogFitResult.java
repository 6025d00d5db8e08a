package io.enthalpa.core.telemetry;

import io.enthalpa.core.uncertainty.Calibration;
import io.enthalpa.core.uncertainty.Calibration.Together;
import io.enthalpa.core.uncertainty.Doubt;
import io.enthalpa.core.uncertainty.UncertainInput;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.hipparchus.linear.RealMatrix;

/**
 * What a fit comes to. Temperatures of the judged channel under load.
 *
 * @param unknowns   each as it is now
 * @param alike      how far each two go together
 * @param together   pairs that this log cannot tell apart
 * @param offsets    constant ones of the channels
 * @param before     K, root mean square in the fitted part as the build was believed
 * @param after      K, in the fitted part after it
 * @param heldBefore K, in the part that was held out; NaN where it has no load
 * @param heldAfter  K
 * @param advice     the one more sensor that would tell most; empty where none tells much
 */
public record LogFitResult(
        List<Known> unknowns,
        List<Together> alike,
        List<Together> together,
        List<Offset> offsets,
        double before,
        double after,
        double heldBefore,
        double heldAfter,
        Optional<Advice> advice) {
    /** Of two, from where they cannot be told apart. */
    private static final double ALIKE = 0.75;
    /** Share of its usual spread that an unknown keeps at least to count as not known yet. */
    private static final double OPEN = 0.4;
    /** Share of its spread by which an advised sensor narrows an unknown at least. */
    private static final double TELLS = 0.15;

    /** K. */
    private static final double NOTICED = 0.3;

    /** Spreads from where it is no doubt any more. */
    private static final double FAULT = 2;

    public LogFitResult {
        unknowns = List.copyOf(unknowns);
        alike = List.copyOf(alike);
        together = List.copyOf(together);
        offsets = List.copyOf(offsets);
    }

    /**
     * @param spread usual one, relative or K
     * @param by     what it is moved by, relative or K
     * @param sd     one standard deviation that is left, relative or K
     * @param beyond whether it lies farther from what the build says than doubt explains: a fault
     */
    public record Known(UncertainInput unknown, double spread, double by, double sd, boolean beyond) {
        /** @return whether it is told in K; else relative */
        public boolean isKelvin() {
            return unknown.isKelvin();
        }
    }

    /** @param by measured less predicted, K or in the channel's unit */
    public record Offset(Channel channel, double by) {}

    /**
     * @param channel to measure
     * @param unknown that it would tell most of
     * @param now     its standard deviation
     * @param then    with the sensor
     */
    public record Advice(Channel channel, UncertainInput unknown, double now, double then) {
        /** @return whether it is told in K; else relative */
        public boolean isKelvin() {
            return unknown.isKelvin();
        }
    }

    /**
     * @param point  in spreads
     * @param step   round it, or round a point close by
     * @param at     predicted at it
     * @param before predicted as the build was believed
     */
    static LogFitResult of(
            FitData data,
            List<Doubt> doubts,
            double[] point,
            FitStep step,
            Map<Channel, double[]> at,
            Map<Channel, double[]> before) {
        RealMatrix covariance = step.covariance(data.channels());
        List<Known> unknowns = new ArrayList<>();
        for (int u = 0; u < point.length; u++) {
            unknowns.add(known(doubts.get(u), point[u], sd(covariance, u)));
        }
        double[] offsets = new FitStep(data, at, List.of(), 1).offsets();
        List<Offset> told = new ArrayList<>();
        for (int c = 0; c < offsets.length; c++) {
            told.add(new Offset(data.channels().get(c), offsets[c]));
        }
        Channel judged = data.judged();
        double offset = offsets[data.column(judged)];
        return new LogFitResult(
                unknowns,
                correlations(doubts, covariance),
                together(doubts, covariance),
                told,
                data.rms(before.get(judged), 0, false),
                data.rms(at.get(judged), offset, false),
                data.rms(before.get(judged), 0, true),
                data.rms(at.get(judged), offset, true),
                advice(data, doubts, point, step, covariance));
    }

    private static double sd(RealMatrix covariance, int u) {
        return Math.sqrt(covariance.getEntry(u, u));
    }

    private static Known known(Doubt doubt, double spreads, double sd) {
        double by = LogFit.by(doubt, spreads);
        double scale = doubt.unknown().isKelvin() ? 1 : 1 + by;
        return new Known(doubt.unknown(), doubt.spread(), by, scale * doubt.spread() * sd, Math.abs(spreads) > FAULT);
    }

    private static List<Together> correlations(List<Doubt> doubts, RealMatrix covariance) {
        List<Together> pairs = new ArrayList<>();
        for (int u = 0; u < doubts.size(); u++) {
            for (int v = u + 1; v < doubts.size(); v++) {
                double alike = covariance.getEntry(u, v) / (sd(covariance, u) * sd(covariance, v));
                pairs.add(new Together(doubts.get(u).unknown(), doubts.get(v).unknown(), alike));
            }
        }
        return pairs;
    }

    private static List<Together> together(List<Doubt> doubts, RealMatrix covariance) {
        Set<UncertainInput> open = EnumSet.noneOf(UncertainInput.class);
        for (int u = 0; u < doubts.size(); u++) {
            if (sd(covariance, u) > OPEN) {
                open.add(doubts.get(u).unknown());
            }
        }
        return correlations(doubts, covariance).stream()
                .filter(t -> Math.abs(t.correlation()) > ALIKE && open.contains(t.one()) && open.contains(t.other()))
                .toList();
    }

    /** @return whether the part that was held out is met no worse than before, by more than anybody would notice; true where it has no load */
    public boolean holds() {
        return !(heldAfter > heldBefore + NOTICED);
    }

    /**
     * @param letter of the option that was fitted
     * @param log    its name
     * @param on     the day
     * @return what of it a build can take in: all but what was the day's
     */
    public Calibration calibration(String letter, String log, String on) {
        return new Calibration(
                        letter,
                        log,
                        on,
                        unknowns.stream()
                                .map(k -> new Calibration.Known(k.unknown(), k.by(), k.sd() / (1 + k.by())))
                                .toList(),
                        alike)
                .only(concerns -> concerns != UncertainInput.Concerns.DAY);
    }

    /** The channel not measured yet that narrows one unknown by most of its spread. */
    private static Optional<Advice> advice(
            FitData data, List<Doubt> doubts, double[] point, FitStep step, RealMatrix covariance) {
        Optional<Advice> best = Optional.empty();
        double most = TELLS;
        for (Channel channel : step.at().keySet()) {
            if (data.channels().contains(channel)) {
                continue;
            }
            RealMatrix then = step.covariance(step.with(channel));
            for (int u = 0; u < doubts.size(); u++) {
                double narrows = sd(covariance, u) - sd(then, u);
                if (narrows > most) {
                    most = narrows;
                    best = Optional.of(new Advice(
                            channel,
                            doubts.get(u).unknown(),
                            known(doubts.get(u), point[u], sd(covariance, u)).sd(),
                            known(doubts.get(u), point[u], sd(then, u)).sd()));
                }
            }
        }
        return best;
    }
}
