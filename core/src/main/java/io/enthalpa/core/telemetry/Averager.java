package io.enthalpa.core.telemetry;

import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;

/** Hands a log on as the means of equal steps: what is judged and compared needs no more, and ten hours fit into little memory. */
public final class Averager implements RowTaker {
    public static final Method METHOD = Method.of(
                    "log-steps",
                    "A log in equal steps",
                    "For judging and comparing, a log is taken as means over steps of a tenth of a second, or longer ones where it is longer than an hour. "
                            + "A step without a row is left out; what is drawn and kept is every row.")
            .source(Citation.commonPractice("air temperature sensors follow within seconds, not tenths"))
            .leavesOut("What is quicker than a step.");
    private final double step;
    private final RowTaker next;
    private final double[] sum;
    private final int[] count;
    private final double[] mean;
    private double timeSum;
    private int rows;
    private long bin = -1;

    /**
     * @param step     s
     * @param channels how many
     */
    public Averager(double step, int channels, RowTaker next) {
        this.step = step;
        this.next = next;
        this.sum = new double[channels];
        this.count = new int[channels];
        this.mean = new double[channels];
    }

    /** @param seconds of the log @return s of a step that a log so long is judged by */
    public static double stepFor(double seconds) {
        return Math.max(0.1, seconds / 36_000);
    }

    @Override
    public void row(double time, double[] values) {
        long now = (long) Math.floor(time / step + 1e-9);
        if (now != bin) {
            end();
            bin = now;
        }
        rows++;
        timeSum += time;
        for (int c = 0; c < sum.length; c++) {
            if (!Double.isNaN(values[c])) {
                sum[c] += values[c];
                count[c]++;
            }
        }
    }

    /** Hands on what is still gathered. */
    public void end() {
        if (rows == 0) {
            return;
        }
        for (int c = 0; c < sum.length; c++) {
            mean[c] = count[c] == 0 ? Double.NaN : sum[c] / count[c];
            sum[c] = 0;
            count[c] = 0;
        }
        double at = timeSum / rows;
        timeSum = 0;
        rows = 0;
        next.row(at, mean);
    }
}
