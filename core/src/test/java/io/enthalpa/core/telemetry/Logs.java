package io.enthalpa.core.telemetry;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;

/** Logs written by hand: ten rows a second. */
final class Logs {
    static final double RPM = Math.PI / 30;
    static final LoggedLoad LOAD = new LoggedLoad(Optional.empty(), 95e3, 90e3, 7000 * RPM);
    private final List<Channel> channels;
    private final List<double[]> rows = new ArrayList<>();

    private Logs(Channel... channels) {
        this.channels = List.of(channels);
    }

    static Logs of(Channel... channels) {
        return new Logs(channels);
    }

    /** Adds so many seconds of values, SI. */
    Logs then(double seconds, double... values) {
        return to(seconds, values, values);
    }

    /** Adds so many seconds, straight from the one to the other. */
    Logs to(double seconds, double[] from, double[] to) {
        int n = (int) Math.round(10 * seconds);
        for (int i = 0; i < n; i++) {
            double share = n == 1 ? 0 : i / (n - 1.0);
            rows.add(IntStream.range(0, from.length)
                    .mapToDouble(c -> from[c] + share * (to[c] - from[c]))
                    .toArray());
        }
        return this;
    }

    /** Adds noise to one channel, seeded. */
    Logs noisy(Channel channel, double sd, long seed) {
        Random random = new Random(seed);
        int c = channels.indexOf(channel);
        rows.replaceAll(row -> {
            double[] other = row.clone();
            other[c] += sd * random.nextGaussian();
            return other;
        });
        return this;
    }

    LogSeries series() {
        LogSeries.Growing growing = new LogSeries.Growing(channels);
        for (int i = 0; i < rows.size(); i++) {
            growing.row(0.1 * i, rows.get(i));
        }
        return growing.series();
    }

    MeasuredRun run() {
        return MeasuredRun.of(series(), LOAD, 300);
    }

    static List<LogFinding.Kind> kinds(List<LogFinding> findings) {
        return findings.stream().map(LogFinding::kind).toList();
    }

    static double figure(LogFinding finding, String name) {
        return finding.figures().stream()
                .filter(f -> f.name().equals(name))
                .findFirst()
                .orElseThrow()
                .value();
    }

    static double[] all(int n, double value) {
        double[] all = new double[n];
        Arrays.fill(all, value);
        return all;
    }
}
