package io.enthalpa.core.telemetry;

import io.enthalpa.core.build.Answer;
import io.enthalpa.core.build.Build;
import io.enthalpa.core.endurance.Trace;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import io.enthalpa.core.uncertainty.Doubt;
import io.enthalpa.core.uncertainty.Perturbation;
import io.enthalpa.core.uncertainty.UncertainInput;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.CancellationException;
import java.util.function.BooleanSupplier;

/**
 * Fits what is not known exactly to a log. Made of runs that any threads may do as long as none is begun before the one ahead of it: each round runs the
 * model once as it is believed by now and once for each unknown moved, and the last of a round takes the step.
 */
public final class LogFit {
    public static final Method METHOD = Method.of(
                    "log-fit",
                    "Fit to a log",
                    "What is not known exactly is moved, each from its usual value with its usual spread, until the model comes nearest to all channels at once: least squares with the spreads as prior, by Gauss-Newton steps of at "
                            + "most two and a half spreads each. Every temperature channel may also be off by a constant of 1 K. The seven first tenths of the time under load are fitted, the rest is held out to try the fit on. What "
                            + "the model misses by goes together for some twenty seconds, so that much of a log counts as one measurement of 1 K.")
            .formula(
                    "min sum w (measured - predicted(z) - b)^2 + z^2 + b^2, w = dt/(20 s (1 K)^2); covariance (J'WJ + 1)^-1")
            .source(
                    Citation.fromMemory(
                            "Tarantola", 2005, "Inverse Problem Theory, least squares with Gaussian priors"),
                    Citation.commonPractice("how long what a model misses goes together"))
            .leavesOut("Faults that no unknown stands for; sensors that drift.");
    /** Steps that a fit is made of. */
    static final int ROUNDS = 4;

    private static final double LONGEST_STEP = 2.5;
    /** Spreads by which an unknown is moved to see what it does. */
    private static final double MOVED = 0.5;

    private static final long WAIT_MS = 100;
    /** Formulas beside what they compute: a log tells of both together only. */
    private static final Set<UncertainInput> LEFT_OUT = EnumSet.of(
            UncertainInput.CHARGE_FINS,
            UncertainInput.COLD_FINS,
            UncertainInput.PATH_LOSSES,
            UncertainInput.WATER_PORTS);

    private final Build build;
    private final String letter;
    private final List<Doubt> doubts;
    private final FitData data;
    private final BooleanSupplier cancelled;
    private final double coarser;

    /** As believed in each round, in spreads; null until it is known. */
    private final double[][] points = new double[ROUNDS + 1][];

    /** Of the round that is under way: as believed, and with each unknown moved. */
    private final List<Map<Channel, double[]>> answers;

    private int finished;
    private RuntimeException broken;
    private Map<Channel, double[]> before;
    private FitStep step;
    private LogFitResult result;

    /**
     * @param driven    the build as the log drove it
     * @param cancelled whether nobody waits any more
     * @throws EnthalpaFault when the log cannot carry a fit
     */
    public LogFit(MeasuredDuty driven, String letter, MeasuredRun run, BooleanSupplier cancelled) {
        // What an earlier log taught is not known twice.
        this.build = driven.build().withFitted(Optional.empty());
        this.letter = letter;
        this.cancelled = cancelled;
        this.coarser = driven.coarser();
        this.doubts = doubts(driven, run);
        this.data = FitData.of(
                run,
                Beside.predicted(
                                new Answer(build, letter).soak(coarser),
                                new double[0],
                                build.targets().sensor())
                        .keySet());
        this.answers = new ArrayList<>(Collections.nCopies(doubts.size() + 1, Map.of()));
        this.points[0] = new double[doubts.size()];
    }

    private List<Doubt> doubts(MeasuredDuty driven, MeasuredRun run) {
        List<Doubt> all = DrivenDoubts.of(new MeasuredDuty(build, driven.start()), letter, run);
        double fins = Math.sqrt(all.stream()
                .filter(d -> d.unknown() == UncertainInput.CHARGE_FINS || d.unknown() == UncertainInput.COLD_FINS)
                .mapToDouble(d -> d.spread() * d.spread())
                .sum());
        return all.stream()
                .filter(d -> !LEFT_OUT.contains(d.unknown()))
                .map(d -> d.unknown() == UncertainInput.CORE_CONDUCTANCE
                        ? new Doubt(d.unknown(), Math.hypot(d.spread(), fins))
                        : d)
                .toList();
    }

    /** @return how many runs of the model the fit is made of */
    public int runs() {
        return ROUNDS * (doubts.size() + 1) + 1;
    }

    /** Does one run; waits for the round before it. Those of lower number are begun before it. */
    public void run(int index) {
        int round = index / (doubts.size() + 1);
        int moved = index % (doubts.size() + 1) - 1;
        double[] point = await(round).clone();
        if (moved >= 0) {
            point[moved] += MOVED;
        }
        try {
            Answer answer = new Answer(build, letter, perturbation(point));
            Trace trace = answer.soak(coarser);
            take(
                    round,
                    moved,
                    Beside.predicted(trace, data.moments(), answer.targets().sensor()));
        } catch (RuntimeException e) {
            fail(e);
            throw e;
        }
    }

    private synchronized double[] await(int round) {
        while (points[round] == null) {
            if (broken != null) {
                throw broken;
            }
            if (cancelled.getAsBoolean()) {
                throw new CancellationException("nobody waits for this fit any more");
            }
            try {
                wait(WAIT_MS);
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                throw new CancellationException("nobody waits for this fit any more");
            }
        }
        return points[round];
    }

    private synchronized void fail(RuntimeException e) {
        broken = e;
        notifyAll();
    }

    private Perturbation perturbation(double[] point) {
        Perturbation perturbation = Perturbation.NONE;
        for (int u = 0; u < point.length; u++) {
            perturbation = perturbation.with(doubts.get(u).unknown(), by(doubts.get(u), point[u]));
        }
        return perturbation;
    }

    /** A relative one is a factor whose logarithm has the spread, so that none turns round. @return relative, or K */
    static double by(Doubt doubt, double spreads) {
        return doubt.unknown().isKelvin() ? spreads * doubt.spread() : Math.expm1(spreads * doubt.spread());
    }

    private synchronized void take(int round, int moved, Map<Channel, double[]> answer) {
        if (round == ROUNDS) {
            result = LogFitResult.of(data, doubts, points[ROUNDS], step, answer, before);
            return;
        }
        answers.set(moved + 1, answer);
        finished++;
        if (finished <= doubts.size()) {
            return;
        }
        finished = 0;
        before = round == 0 ? answers.get(0) : before;
        step = new FitStep(data, answers.get(0), answers.subList(1, answers.size()), MOVED);
        points[round + 1] = step.step(points[round], LONGEST_STEP);
        notifyAll();
    }

    /** @return what came of it, once all runs are done */
    public synchronized Optional<LogFitResult> result() {
        return Optional.ofNullable(result);
    }
}
