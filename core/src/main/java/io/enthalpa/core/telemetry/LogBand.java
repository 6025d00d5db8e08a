package io.enthalpa.core.telemetry;

import io.enthalpa.core.build.Answer;
import io.enthalpa.core.build.Build;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.quantity.Quantity;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import io.enthalpa.core.uncertainty.Doubt;
import io.enthalpa.core.uncertainty.Perturbation;
import io.enthalpa.core.verdict.Load;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import org.hipparchus.linear.MatrixUtils;

/** How far what is predicted for a log may be off because not everything is known exactly. Made of runs that any threads may do in any order. */
public final class LogBand {
    public static final Method METHOD = Method.of(
                    "log-band",
                    "Band behind a log",
                    "The log's drive is run once as believed and twice for each thing that is not known exactly, moved by its spread up and down; what an earlier log could not tell apart is moved together. The squares of what each moves add up. "
                            + "The band holds the middle 80 %. Whether doubt explains what was measured is told with a sensor that may be 1 K off.")
            .formula(
                    "s^2 = sum ((predicted(L e_j) - predicted(-L e_j)) / 2)^2; predicted +- 1.2816 s; L L' = correlation")
            .source(
                    Citation.fromMemory(
                            "Joint Committee for Guides in Metrology",
                            2008,
                            "Guide to the expression of uncertainty in measurement, law of propagation"),
                    Citation.commonPractice("what is not known exactly, and by how much"))
            .leavesOut("That two doubts together may do more or less than each alone.");
    /** Times the standard deviation that the middle 80 % lie within. */
    static final double MIDDLE = 1.2816;

    /** K by which a sensor may be off. */
    private static final double SENSOR = 1;
    /** Share of the time under load within it below which doubt does not explain what was measured (judgement: 80 % lie within by chance alone, and what is off stays off). */
    private static final double EXPLAINED = 0.5;

    /** Moments at which it is told. */
    private static final int MOST = 2000;

    private final Build build;
    private final String letter;
    private final Optional<Channel> judged;
    private final List<Doubt> doubts;
    private final double[][] together;
    private final double coarser;
    private final double[] time;
    private final double[] moments;
    private final boolean[] loaded;
    private final Map<Channel, double[]> measured = new EnumMap<>(Channel.class);
    /** As believed, then with each moved up, and down; null until it was run. */
    private final List<Map<Channel, double[]>> answers;

    private Band band;

    /**
     * @param time     s of the log, of moments while the engine ran
     * @param half     half the width at each, K or m3/s, by channel
     * @param within   share of the time under load that each temperature was measured within it
     * @param findings whether doubt explains what was measured: the intake; where that is, what else is not
     */
    public record Band(
            double[] time, Map<Channel, double[]> half, Map<Channel, Double> within, List<LogFinding> findings) {}

    /** @param driven the build as the log drove it */
    public LogBand(MeasuredDuty driven, String letter, MeasuredRun run) {
        this.build = driven.build();
        this.letter = letter;
        this.judged = run.judged();
        this.coarser = driven.coarser();
        this.doubts = DrivenDoubts.of(driven, letter, run);
        this.together = build.calibration(build.option(letter))
                .map(k -> k.drawnTogether(doubts))
                .orElseGet(() ->
                        MatrixUtils.createRealIdentityMatrix(doubts.size()).getData());
        boolean[] running = run.seen().running();
        int[] all = IntStream.range(0, running.length).filter(i -> running[i]).toArray();
        int n = Math.min(MOST, all.length);
        int[] rows = IntStream.range(0, n)
                .map(k -> all[(int) ((long) k * (all.length - 1) / Math.max(n - 1, 1))])
                .toArray();
        // Of a log of hours no more is kept than is told.
        double[] seen = run.seen().time();
        this.time = at(rows, seen);
        this.moments = Arrays.stream(time).map(t -> t - seen[0]).toArray();
        Load load = Load.of(run.seen());
        this.loaded = new boolean[n];
        for (int k = 0; k < n; k++) {
            loaded[k] = load.judged(rows[k]);
        }
        run.log().channels().stream()
                .filter(Channel::isTemperature)
                .forEach(channel -> measured.put(channel, at(rows, run.log().of(channel))));
        this.answers = new ArrayList<>(Collections.nCopies(2 * doubts.size() + 1, null));
    }

    private static double[] at(int[] rows, double[] column) {
        return Arrays.stream(rows).mapToDouble(i -> column[i]).toArray();
    }

    /** @return how many runs of the model it is made of */
    public int runs() {
        return 2 * doubts.size() + 1;
    }

    /** Does one run. */
    public void run(int part) {
        Map<Channel, double[]> answer;
        try {
            Answer moved = new Answer(build, letter, part == 0 ? Perturbation.NONE : moved(part - 1));
            answer = Beside.predicted(
                    moved.soak(coarser), moments, moved.targets().sensor());
        } catch (EnthalpaFault noPoint) {
            if (part == 0) {
                throw noPoint;
            }
            // Moved so far that nothing runs, it says nothing of how far off the answer is.
            answer = Map.of();
        }
        take(part, answer);
    }

    private Perturbation moved(int way) {
        int column = way / 2;
        double spreads = way % 2 == 0 ? 1 : -1;
        Perturbation moved = Perturbation.NONE;
        for (int u = 0; u < doubts.size(); u++) {
            if (together[u][column] != 0) {
                moved = moved.with(
                        doubts.get(u).unknown(),
                        spreads * together[u][column] * doubts.get(u).spread());
            }
        }
        return moved;
    }

    private synchronized void take(int part, Map<Channel, double[]> answer) {
        answers.set(part, answer);
        if (!answers.contains(null)) {
            band = told();
            answers.clear();
        }
    }

    /** @return what the runs come to once all are done; empty before */
    public synchronized Optional<Band> band() {
        return Optional.ofNullable(band);
    }

    private Band told() {
        Map<Channel, double[]> half = new EnumMap<>(Channel.class);
        answers.get(0).forEach((channel, believed) -> half.put(channel, half(channel, believed)));
        Map<Channel, Double> within = new EnumMap<>(Channel.class);
        half.forEach((channel, may) -> {
            double share = measured.containsKey(channel) ? within(channel, may) : Double.NaN;
            if (!Double.isNaN(share)) {
                within.put(channel, share);
            }
        });
        return new Band(time, half, within, findings(within));
    }

    private double[] half(Channel channel, double[] believed) {
        double[] half = new double[believed.length];
        for (int k = 0; k < half.length; k++) {
            double squares = 0;
            for (int part = 1; part < answers.size(); part += 2) {
                double by = (at(part, channel, k, believed) - at(part + 1, channel, k, believed)) / 2;
                squares += Double.isNaN(by) ? 0 : by * by;
            }
            half[k] = MIDDLE * Math.sqrt(squares);
        }
        return half;
    }

    private double at(int part, Channel channel, int moment, double[] believed) {
        double[] there = answers.get(part).get(channel);
        return there == null ? believed[moment] : there[moment];
    }

    private double within(Channel channel, double[] may) {
        double[] was = measured.get(channel);
        double[] believed = answers.get(0).get(channel);
        int all = 0;
        int in = 0;
        for (int k = 0; k < may.length; k++) {
            double off = Math.abs(was[k] - believed[k]);
            if (loaded[k] && !Double.isNaN(off)) {
                all++;
                in += off <= Math.hypot(may[k], MIDDLE * SENSOR) ? 1 : 0;
            }
        }
        return all == 0 ? Double.NaN : (double) in / all;
    }

    private List<LogFinding> findings(Map<Channel, Double> within) {
        List<LogFinding> found = new ArrayList<>();
        judged.filter(within::containsKey).ifPresent(c -> found.add(finding(c, within.get(c))));
        // Where the intake itself is not explained, what leads to it is no news.
        if (found.stream().allMatch(f -> f.kind() == LogFinding.Kind.BESIDE_WITHIN_DOUBT)) {
            within.entrySet().stream()
                    .filter(e -> e.getValue() < EXPLAINED)
                    .min(Map.Entry.comparingByValue())
                    .ifPresent(least -> found.add(finding(least.getKey(), least.getValue())));
        }
        return found;
    }

    private static LogFinding finding(Channel channel, double within) {
        LogFinding.Kind kind =
                within < EXPLAINED ? LogFinding.Kind.BESIDE_BEYOND_DOUBT : LogFinding.Kind.BESIDE_WITHIN_DOUBT;
        return LogFinding.of(kind, channel).with("within", within, Quantity.SHARE);
    }
}
