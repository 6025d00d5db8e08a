package io.enthalpa.core.uncertainty;

import java.util.List;

/**
 * @param samples   run
 * @param time      s
 * @param low       K below which a tenth of the samples stand at that time; NaN while the engine is off
 * @param high      K above which a tenth stand
 * @param worstLow  K, the same of the worst intake of a run
 * @param worstMid  K, its median
 * @param worstHigh K
 * @param holds     share of the samples that never pass the target
 * @param pulls     share that reach the timing line
 * @param ranking   what matters most first
 */
public record MonteCarloResult(
        int samples,
        double[] time,
        double[] low,
        double[] high,
        double worstLow,
        double worstMid,
        double worstHigh,
        double holds,
        double pulls,
        List<Weight> ranking) {
    public MonteCarloResult {
        ranking = List.copyOf(ranking);
    }

    /**
     * @param share  of what can be explained, all together 1
     * @param kelvin that the worst intake moves for one usual spread of it
     */
    public record Weight(UncertainInput unknown, double share, double kelvin) {}
}
