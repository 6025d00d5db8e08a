package io.enthalpa.core.telemetry;

import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import io.enthalpa.core.verdict.Load;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Set;

/**
 * What of a log a fit is made to.
 *
 * @param moments  s of the run, evenly over the time the engine runs; left out while what stood warm is let out
 * @param weight   of each, in measurements of one unit of {@link #error}
 * @param loaded   whether each is under load
 * @param held     whether each is held out, to try the fit on
 * @param channels that are measured and known to the model
 * @param measured of each channel at the moments
 * @param judged   the channel that stands for the intake
 */
record FitData(
        double[] moments,
        double[] weight,
        boolean[] loaded,
        boolean[] held,
        List<Channel> channels,
        double[][] measured,
        Channel judged) {
    /** s for which what the model misses goes together. */
    private static final double TOGETHER = 20;
    /** K that it misses by, and of flows a share. */
    private static final double MISSES = 1;

    private static final double FLOW_MISSES = 0.05;
    private static final double FITTED = 0.7;
    /** s of load that are fitted. */
    private static final double LEAST_LOAD = 30;

    private static final int MOST = 900;

    /**
     * @param known channels that the model knows
     * @throws EnthalpaFault when the log cannot carry a fit
     */
    static FitData of(MeasuredRun run, Set<Channel> known) {
        Load load = Load.of(run.seen());
        double[] time = run.seen().time();
        double all = 0;
        for (int i = 0; i < time.length; i++) {
            all += load.judged(i) ? run.seen().duration()[i] : 0;
        }
        if (run.judged().isEmpty() || all * FITTED < LEAST_LOAD) {
            throw EnthalpaFault.of(
                    FaultKind.CONTRADICTION,
                    "",
                    "load in the log",
                    run.judged().isEmpty() ? "without an intake temperature" : "%.0f s".formatted(all),
                    "%.0f s or more, with the intake or the charge behind the core measured"
                            .formatted(LEAST_LOAD / FITTED),
                    "Log a longer pull, or several.");
        }
        List<Integer> counted = new ArrayList<>();
        double running = 0;
        for (int i = 0; i < time.length; i++) {
            if (run.seen().running()[i] && !load.isStartSoak(i)) {
                counted.add(i);
                running += run.seen().duration()[i];
            }
        }
        int n = Math.min(MOST, counted.size());
        List<Channel> channels =
                run.log().channels().stream().filter(known::contains).toList();
        double[][] columns = channels.stream().map(run.log()::held).toArray(double[][]::new);
        FitData data = new FitData(
                new double[n],
                new double[n],
                new boolean[n],
                new boolean[n],
                channels,
                new double[channels.size()][n],
                run.judged().get());
        double passed = 0;
        int i = 0;
        for (int k = 0; k < n; k++) {
            int at = counted.get((int) ((k + 0.5) * counted.size() / n));
            for (; i < at; i++) {
                passed += load.judged(i) ? run.seen().duration()[i] : 0;
            }
            data.moments[k] = time[at] - time[0];
            data.loaded[k] = load.judged(at);
            data.held[k] = passed > FITTED * all;
            data.weight[k] = running / n / TOGETHER;
            for (int c = 0; c < columns.length; c++) {
                data.measured[c][k] = columns[c][at];
            }
        }
        return data;
    }

    int column(Channel channel) {
        return channels.indexOf(channel);
    }

    /** @param predicted of the channel @return what one measurement of it is off by, one standard deviation */
    static double error(Channel channel, double[] predicted) {
        return channel.isTemperature()
                ? MISSES
                : FLOW_MISSES
                        * Math.max(
                                Arrays.stream(predicted)
                                        .filter(v -> !Double.isNaN(v))
                                        .average()
                                        .orElse(0),
                                1e-6);
    }

    /** @return root of the mean square of measured less predicted of the judged channel under load, in one of the two parts; NaN without */
    double rms(double[] predicted, double offset, boolean inHeld) {
        double[] truth = measured[column(judged)];
        double sum = 0;
        int n = 0;
        for (int k = 0; k < truth.length; k++) {
            double off = truth[k] - predicted[k] - offset;
            if (loaded[k] && held[k] == inHeld && !Double.isNaN(off)) {
                sum += off * off;
                n++;
            }
        }
        return n == 0 ? Double.NaN : Math.sqrt(sum / n);
    }
}
