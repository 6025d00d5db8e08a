package io.enthalpa.core.uncertainty;

import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Random;

/**
 * How far the answer can be off because its inputs are not known better: a seeded sample of them, each run through the duty, the band that holds
 * the middle eight tenths of the traces, and what each unknown has to do with it. Samples may be run in any order and on any thread;
 * the result depends on the seed alone.
 */
public final class MonteCarlo {
    public static final Method METHOD = Method.of(
                    "spread",
                    "How far it can be off",
                    "Every input that is not exactly known is drawn from a normal distribution of its usual spread, and so is what a formula may miss by: half of what its authors say most of their measurements lie within, the whole of it where the fins lie beyond theirs. Each is cut at two and a half times it, stratified so that few samples cover it "
                            + "evenly. Each sample runs the whole duty in four times longer steps. The band holds the middle 80 % of the traces at each moment. An unknown counts "
                            + "by its squared correlation with the worst intake temperature.")
            .source(
                    Citation.fromMemory(
                            "McKay, Beckman & Conover",
                            1979,
                            "A comparison of three methods for selecting values of input variables, Technometrics 21"),
                    Citation.commonPractice(
                            "the spreads of inputs: what a careful fabricator knows without measuring; of the losses of bends 20 to 40 %, of fins 15 to 20 % as published with their formulas"))
            .leavesOut("Unknowns that go together.");
    /** Points in time at which the band is told. */
    public static final int MOMENTS = 240;

    private static final double CUT = 2.5;
    private final List<Doubt> unknowns;
    private final int samples;
    private final double[][] draws;
    private final double[] times;
    private final double[][] traces;
    private final double[] worst;

    /**
     * @param samples 20 or more
     * @param length  s of the duty
     */
    public MonteCarlo(List<Doubt> unknowns, int samples, long seed, double length) {
        this(unknowns, Optional.empty(), samples, seed, length);
    }

    /** @param known by which unknowns go together */
    public MonteCarlo(List<Doubt> unknowns, Optional<Calibration> known, int samples, long seed, double length) {
        this.unknowns = List.copyOf(unknowns);
        this.samples = samples;
        draws = draw(unknowns.size(), samples, seed);
        known.ifPresent(k -> goTogether(k.drawnTogether(unknowns)));
        times = new double[MOMENTS];
        for (int k = 0; k < MOMENTS; k++) {
            times[k] = length * (k + 0.5) / MOMENTS;
        }
        traces = new double[samples][];
        worst = new double[samples];
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

    private void goTogether(double[][] lower) {
        for (double[] draw : draws) {
            // From the last on: each needs those ahead of it as they were drawn.
            for (int u = draw.length - 1; u >= 0; u--) {
                double sum = 0;
                for (int v = 0; v <= u; v++) {
                    sum += lower[u][v] * draw[v];
                }
                draw[u] = sum;
            }
        }
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
    public Perturbation perturbation(int sample) {
        Perturbation perturbation = Perturbation.NONE;
        for (int u = 0; u < unknowns.size(); u++) {
            perturbation = perturbation.with(
                    unknowns.get(u).unknown(),
                    draws[sample][u] * unknowns.get(u).spread());
        }
        return perturbation;
    }

    /** @return s, the moments at which the band is told */
    public double[] times() {
        return times.clone();
    }

    /**
     * Takes what a sample's run came to; each sample once.
     *
     * @param intake K at each of {@link #times()}; NaN while the engine is off
     * @param high   K, worst under load
     */
    public void accept(int sample, double[] intake, double high) {
        traces[sample] = intake.clone();
        worst[sample] = high;
    }

    /**
     * @param target K that the worst should stay under
     * @param pull   K from which timing is pulled
     * @return what all samples accepted so far say
     */
    public MonteCarloResult result(double target, double pull) {
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
        double holds = Arrays.stream(done).filter(s -> worst[s] <= target).count() / (double) Math.max(done.length, 1);
        double pulls = Arrays.stream(done).filter(s -> worst[s] > pull).count() / (double) Math.max(done.length, 1);
        return new MonteCarloResult(
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

    private List<MonteCarloResult.Weight> ranking(int[] done) {
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
        List<MonteCarloResult.Weight> weights = new ArrayList<>();
        for (int u = 0; u < squares.length; u++) {
            weights.add(
                    new MonteCarloResult.Weight(unknowns.get(u).unknown(), sum == 0 ? 0 : squares[u] / sum, slopes[u]));
        }
        weights.sort(Comparator.comparingDouble((MonteCarloResult.Weight w) -> -w.share()));
        return weights;
    }
}
