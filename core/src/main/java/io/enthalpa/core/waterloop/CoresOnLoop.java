package io.enthalpa.core.waterloop;

import io.enthalpa.core.exchanger.ChargeCooler;
import io.enthalpa.core.fault.Budget;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import java.util.Arrays;
import java.util.List;

/** The cores of one loop as its water meets them: stages behind each other, in each the cores side by side. */
public final class CoresOnLoop {
    public static final Method METHOD = Method.of(
                    "cores-on-loop",
                    "Several cores on one loop",
                    "Cores side by side part the water so that each loses the same pressure, and give it back mixed; cores behind each other all get the whole of it, "
                            + "the later one warmed by those before. Pump, hoses, tank and radiator carry the sum. The parting is sought until no core's loss is more than a part in a million off.")
            .formula("sum Q_k = Q; dp_1 = dp_2 = ...; T_in of a stage = T_feed + sum of the heat before it / C")
            .source(Citation.fromMemory("Crane", 2009, "Flow of Fluids, Technical Paper 410, pipes side by side"))
            .leavesOut("Branch hoses of unequal length: the longer one starves its core.");
    private static final double SAME_LOSS = 1e-6;
    private static final int MOST_ROUNDS = 60;

    private final List<ChargeCooler> cores;
    private final int[] stage;

    /**
     * @param cores in the order of their numbers
     * @param stage of each, from 0 without gaps
     */
    public CoresOnLoop(List<ChargeCooler> cores, List<Integer> stage) {
        this.cores = List.copyOf(cores);
        this.stage = stage.stream().mapToInt(Integer::intValue).toArray();
    }

    public static CoresOnLoop alone(ChargeCooler core) {
        return new CoresOnLoop(List.of(core), List.of(0));
    }

    public int count() {
        return cores.size();
    }

    public int stage(int core) {
        return stage[core];
    }

    /** @param flow kg/s through the loop @param t K @return Pa over all stages */
    double loss(double flow, double t) {
        if (cores.size() == 1) {
            return cores.get(0).waterLoss(flow, t);
        }
        double[] share = shares(flow, t);
        double sum = 0;
        for (int first = 0; first < share.length; first++) {
            if (isFirstOfStage(first)) {
                sum += cores.get(first).waterLoss(share[first] * flow, t);
            }
        }
        return sum;
    }

    private boolean isFirstOfStage(int core) {
        for (int k = 0; k < core; k++) {
            if (stage[k] == stage[core]) {
                return false;
            }
        }
        return true;
    }

    /** @return Reynolds number of the water in the first core; 0 where a card does not tell */
    double reynolds(double flow, double t) {
        return cores.get(0).waterReynolds(cores.size() == 1 ? flow : shares(flow, t)[0] * flow, t);
    }

    /** @param flow kg/s through the loop, above 0 @param t K @return of each core, its share of the loop's flow, 0 to 1 */
    public double[] shares(double flow, double t) {
        double[] share = new double[cores.size()];
        int stages = Arrays.stream(stage).max().orElse(0) + 1;
        for (int s = 0; s < stages; s++) {
            part(s, flow, t, share);
        }
        return share;
    }

    /** Parts the flow of a stage; a core whose card tells no loss takes as much as any other. */
    private void part(int s, double flow, double t, double[] share) {
        int[] here = beside(s);
        Arrays.stream(here).forEach(k -> share[k] = 1.0 / here.length);
        if (alike(here)) {
            return;
        }
        double[] loss = new double[here.length];
        for (int round = 0; round < MOST_ROUNDS; round++) {
            double mean = 0;
            for (int k = 0; k < here.length; k++) {
                loss[k] = cores.get(here[k]).waterLoss(share[here[k]] * flow, t);
                mean += loss[k] / here.length;
                if (!(loss[k] > 0)) {
                    Arrays.stream(here).forEach(c -> share[c] = 1.0 / here.length);
                    return;
                }
            }
            double off = 0;
            double sum = 0;
            for (int k = 0; k < here.length; k++) {
                off = Math.max(off, Math.abs(loss[k] / mean - 1));
                // The loss goes with a power of the flow between 1 and 2: the root of its ratio never overshoots.
                share[here[k]] *= Math.sqrt(mean / loss[k]);
                sum += share[here[k]];
            }
            for (int k : here) {
                share[k] /= sum;
            }
            if (off < SAME_LOSS) {
                return;
            }
        }
        throw Budget.spent("how the cores of a loop share its water", MOST_ROUNDS);
    }

    private int[] beside(int s) {
        int[] here = new int[stage.length];
        int n = 0;
        for (int k = 0; k < stage.length; k++) {
            if (stage[k] == s) {
                here[n++] = k;
            }
        }
        return Arrays.copyOf(here, n);
    }

    private boolean alike(int[] here) {
        return Arrays.stream(here)
                .allMatch(k -> cores.get(k).spec().equals(cores.get(here[0]).spec()));
    }
}
