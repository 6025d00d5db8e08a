package io.enthalpa.core.telemetry;

import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;

/**
 * What a reader put right in a log: borders between parts that were moved, and where the start line was passed once.
 *
 * @param moved     in order of being moved
 * @param startLine s of a moment at which the start line was passed; empty where nobody said
 */
public record Marks(List<Moved> moved, OptionalDouble startLine) {
    public static final Marks NONE = new Marks(List.of(), OptionalDouble.empty());
    public static final Method METHOD = Method.of(
                    "laps-by-speed",
                    "Laps by the pattern of speed",
                    "Where no marker tells laps, one pass of the start line is pointed at. Road speed from 5 s before it to 20 s after it is looked for in the whole log: every place where it fits best, and to within a fourth of how much the speed varies, is a pass.")
            .formula(
                    "d(s) = mean (v(t0 + u) - v(s + u))^2, u = -5 ... 20 s; a pass where d is least within 15 s and d < var(v)/16")
            .source(Citation.commonPractice("a lap is told by where one brakes"))
            .leavesOut("Laps of traffic, whose speeds are like no other lap's.");
    /** s. */
    private static final double BEFORE = 5;

    private static final double BEHIND = 20;
    private static final double STEP = 0.25;
    /** s between two passes at least. */
    private static final double SHORTEST = 15;

    private static final double LIKE = 1.0 / 16;

    /** A border: @param was s where it was found @param is s where it belongs */
    public record Moved(double was, double is) {}

    public Marks {
        moved = List.copyOf(moved);
    }

    public boolean isEmpty() {
        return moved.isEmpty() && startLine.isEmpty();
    }

    /** @return s at which the start line was passed, in order; none where the speed was not logged or nobody pointed at it */
    List<Double> passes(MeasuredRun run) {
        List<Double> passes = new ArrayList<>();
        if (startLine.isEmpty() || run.log().length() < 2 || !run.log().has(Channel.ROAD_SPEED)) {
            return passes;
        }
        double[] time = run.seen().time();
        double first = time[0];
        int n = (int) ((time[time.length - 1] - first) / STEP) + 1;
        double[] speed = even(time, run.roadSpeed(), n);
        int before = (int) (BEFORE / STEP);
        int behind = (int) (BEHIND / STEP);
        int at = (int) Math.round((startLine.getAsDouble() - first) / STEP);
        if (at < before || at + behind >= n) {
            return passes;
        }
        double allowed = LIKE * variance(speed);
        double[] off = new double[n];
        for (int i = 0; i < n; i++) {
            off[i] = i < before || i + behind >= n ? Double.POSITIVE_INFINITY : apart(speed, at, i, before, behind);
        }
        int near = (int) (SHORTEST / STEP);
        for (int i = 0; i < n; i++) {
            boolean least = off[i] < allowed;
            for (int k = Math.max(0, i - near); least && k <= Math.min(n - 1, i + near); k++) {
                least = off[k] > off[i] || off[k] == off[i] && k >= i;
            }
            if (least) {
                passes.add(first + i * STEP);
            }
        }
        return passes;
    }

    private static double apart(double[] speed, int one, int other, int before, int behind) {
        double sum = 0;
        for (int u = -before; u <= behind; u++) {
            double d = speed[one + u] - speed[other + u];
            sum += d * d;
        }
        return sum / (before + behind + 1);
    }

    private static double variance(double[] values) {
        double sum = 0;
        double square = 0;
        for (double v : values) {
            sum += v;
            square += v * v;
        }
        return square / values.length - sum * sum / values.length / values.length;
    }

    private static double[] even(double[] time, double[] values, int n) {
        double[] even = new double[n];
        int i = 0;
        for (int k = 0; k < n; k++) {
            double t = time[0] + k * STEP;
            while (i < time.length - 1 && time[i + 1] <= t) {
                i++;
            }
            even[k] = Double.isNaN(values[i]) ? 0 : values[i];
        }
        return even;
    }
}
