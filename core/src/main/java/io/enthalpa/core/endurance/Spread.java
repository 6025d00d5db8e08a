package io.enthalpa.core.endurance;

import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Random;

/**
 * How far the answer can be off because its inputs are not known better: a seeded sample of them, each run through the duty, the band that holds
 * the middle eight tenths of the traces, and what each unknown has to do with it. Samples may be run in any order and on any thread;
 * the result depends on the seed alone.
 */
public final class Spread {
    public static final Method METHOD = Method.of(
                    "spread",
                    "How far it can be off",
                    "Every input that is not exactly known is drawn from a normal distribution of its usual spread, cut at two and a half times it, stratified so that few samples cover it "
                            + "evenly. Each sample runs the whole duty in four times longer steps. The band holds the middle 80 % of the traces at each moment. An unknown counts "
                            + "by its squared correlation with the worst intake temperature.")
            .source(
                    Citation.fromMemory(
                            "McKay, Beckman & Conover",
                            1979,
                            "A comparison of three methods for selecting values of input variables, Technometrics 21"),
                    Citation.commonPractice(
                            "the spreads themselves: what a careful fabricator knows without measuring"))
            .leavesOut("Errors of the methods themselves; unknowns that go together.");
    /** Points in time at which the band is told. */
    public static final int MOMENTS = 240;

    private static final double CUT = 2.5;
    private final List<Unknown> unknowns;
    private final int samples;
    private final double[][] draws;
    private final double[] times;
    private final double[][] traces;
    private final double[] worst;
    private final double[] over;

    /**
     * @param samples 20 or more
     * @param length  s of the duty
     */
    public Spread(List<Unknown> unknowns, int samples, long seed, double length) {
        this.unknowns = List.copyOf(unknowns);
        this.samples = samples;
        draws = draw(unknowns.size(), samples, seed);
        times = new double[MOMENTS];
        for (int k = 0; k < MOMENTS; k++) {
            times[k] = length * (k + 0.5) / MOMENTS;
        }
        traces = new double[samples][];
        worst = new double[samples];
        over = new double[samples];
        Arrays.fill(worst, Double.NaN);
    }

    /** Stratified: of each unknown one value in each of as many equally likely slices as there are samples. */
    private static double[][] draw(int unknowns, int samples, long seed) {
        Random random = new Random(seed);
        double[][] draws = new double[samples][unknowns];
        for (int u = 0; u < unknowns; u++) {
            List<Double> column = new ArrayList<>();
            for (int s = 0; s < samples; s++) {
                column.add(normal((s + random.nextDouble()) / samples));
            }
            java.util.Collections.shuffle(column, random);
            for (int s = 0; s < samples; s++) {
                draws[s][u] = column.get(s);
            }
        }
        return draws;
    }

    /** Standard normal value of a probability, cut. */
    private static double normal(double probability) {
        double z = Math.sqrt(2) * org.hipparchus.special.Erf.erfInv(2 * probability - 1);
        return Math.max(-CUT, Math.min(CUT, z));
    }

    public int samples() {
        return samples;
    }

    /** @return the inputs of a sample */
    public Doubt doubt(int sample) {
        Doubt doubt = Doubt.NONE;
        for (int u = 0; u < unknowns.size(); u++) {
            doubt = doubt.with(
                    unknowns.get(u), draws[sample][u] * unknowns.get(u).spread());
        }
        return doubt;
    }

    /** Takes what a sample's run came to; each sample once. */
    public void accept(int sample, Trace trace, Targets targets) {
        double[] intake = new double[MOMENTS];
        int i = 0;
        for (int k = 0; k < MOMENTS; k++) {
            while (i < trace.length() - 1 && trace.time()[i] < times[k]) {
                i++;
            }
            intake[k] = trace.flow()[i] > 0 ? trace.intake()[i] : Double.NaN;
        }
        Load load = Load.of(trace);
        double high = Double.NaN;
        double seconds = 0;
        for (int n = 0; n < trace.length(); n++) {
            if (load.judged(n)) {
                high = load.held(n) <= high ? high : load.held(n);
                seconds += load.held(n) > targets.intake() ? trace.duration()[n] : 0;
            }
        }
        traces[sample] = intake;
        worst[sample] = high;
        over[sample] = seconds;
    }

    /** @return what all samples accepted so far say */
    public SpreadResult result(Targets targets) {
        int[] done = java.util.stream.IntStream.range(0, samples)
                .filter(s -> !Double.isNaN(worst[s]))
                .toArray();
        double[] low = new double[MOMENTS];
        double[] high = new double[MOMENTS];
        for (int k = 0; k < MOMENTS; k++) {
            int moment = k;
            double[] there = Arrays.stream(done)
                    .mapToDouble(s -> traces[s][moment])
                    .filter(t -> !Double.isNaN(t))
                    .sorted()
                    .toArray();
            low[k] = quantile(there, 0.1);
            high[k] = quantile(there, 0.9);
        }
        double[] sorted =
                Arrays.stream(done).mapToDouble(s -> worst[s]).sorted().toArray();
        double holds =
                Arrays.stream(done).filter(s -> worst[s] <= targets.intake()).count()
                        / (double) Math.max(done.length, 1);
        double pulls =
                Arrays.stream(done).filter(s -> worst[s] > targets.timingPull()).count()
                        / (double) Math.max(done.length, 1);
        return new SpreadResult(
                done.length,
                times,
                low,
                high,
                quantile(sorted, 0.1),
                quantile(sorted, 0.5),
                quantile(sorted, 0.9),
                holds,
                pulls,
                ranking(done));
    }

    private static double quantile(double[] sorted, double share) {
        if (sorted.length == 0) {
            return Double.NaN;
        }
        double at = share * (sorted.length - 1);
        int below = (int) at;
        return below + 1 < sorted.length
                ? sorted[below] + (at - below) * (sorted[below + 1] - sorted[below])
                : sorted[below];
    }

    private List<SpreadResult.Weight> ranking(int[] done) {
        double[] squares = new double[unknowns.size()];
        double[] slopes = new double[unknowns.size()];
        double mean = Arrays.stream(done).mapToDouble(s -> worst[s]).average().orElse(0);
        double sum = 0;
        for (int u = 0; u < squares.length; u++) {
            int unknown = u;
            double middle = Arrays.stream(done)
                    .mapToDouble(s -> draws[s][unknown])
                    .average()
                    .orElse(0);
            double together = 0;
            double own = 0;
            double other = 0;
            for (int s : done) {
                double x = draws[s][u] - middle;
                double y = worst[s] - mean;
                together += x * y;
                own += x * x;
                other += y * y;
            }
            slopes[u] = own == 0 ? 0 : together / own;
            squares[u] = own == 0 || other == 0 ? 0 : together * together / own / other;
            sum += squares[u];
        }
        List<SpreadResult.Weight> weights = new ArrayList<>();
        for (int u = 0; u < squares.length; u++) {
            weights.add(new SpreadResult.Weight(unknowns.get(u), sum == 0 ? 0 : squares[u] / sum, slopes[u]));
        }
        weights.sort(Comparator.comparingDouble((SpreadResult.Weight w) -> -w.share()));
        return weights;
    }
}
