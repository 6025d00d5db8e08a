package io.enthalpa.core.loss;

import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import java.util.Arrays;
import java.util.List;

/**
 * What a pump or a fan gives against flow: always less pressure at more flow. Two points make a parabola with its top at the first;
 * more are joined by straight lines. Beyond the last point the curve goes on falling, below zero: a machine pushed through is in the way.
 */
public final class PerformanceCurve {
    public static final Method METHOD = Method.of(
                    "pump-curve",
                    "Pump and fan curves",
                    "Two points, shut-off and free flow, make a parabola; more are joined by straight lines. At another speed flow goes with it, pressure with its "
                            + "square, power with its cube. Pumps side by side share the flow, pumps behind each other add their pressure.")
            .formula("p(q, n) = n^2 p0(q / n)")
            .source(Citation.fromMemory("Karassik et al.", 2008, "Pump Handbook, 4th ed., affinity laws"))
            .leavesOut("Cavitation; the weaker curve of a worn pump.");

    private final double[] flow;
    private final double[] rise;

    /**
     * @param flow m3/s
     * @param rise Pa
     */
    public record Point(double flow, double rise) {}

    /** Whose curve it is: how its numbers are called and written when they are refused. */
    public enum Machine {
        PUMP(60e3, "%.1f L/min", 1e-3, "%.2f kPa"),
        FAN(3600, "%.0f m³/h", 1, "%.0f Pa");

        private final double flowFactor;
        private final String flowText;
        private final double riseFactor;
        private final String riseText;

        Machine(double flowFactor, String flowText, double riseFactor, String riseText) {
            this.flowFactor = flowFactor;
            this.flowText = flowText;
            this.riseFactor = riseFactor;
            this.riseText = riseText;
        }

        private String flow(double q) {
            return flowText.formatted(q * flowFactor);
        }

        private String rise(double p) {
            return riseText.formatted(p * riseFactor);
        }
    }

    /**
     * @param points by flow
     * @param machine whose curve
     * @param what   its name, for the refusal
     * @throws EnthalpaFault {@link FaultKind#CONTRADICTION} with fewer than two points, flows that do not grow, or pressure that does not fall;
     *                       the field is the point's index and name, "2/pressure"
     */
    public PerformanceCurve(List<Point> points, Machine machine, String what) {
        if (points.size() < 2) {
            throw EnthalpaFault.of(
                    FaultKind.CONTRADICTION,
                    "",
                    what + " curve",
                    points.size() + " point",
                    "at least two: pressure with the outlet shut, and flow with nothing against it",
                    "");
        }
        flow = points.stream().mapToDouble(Point::flow).toArray();
        rise = points.stream().mapToDouble(Point::rise).toArray();
        for (int i = 1; i < flow.length; i++) {
            if (!(flow[i] > flow[i - 1])) {
                throw EnthalpaFault.of(
                        FaultKind.CONTRADICTION,
                        i + "/flow",
                        what + " curve, flow of point " + (i + 1),
                        machine.flow(flow[i]),
                        "more than that of the point before, " + machine.flow(flow[i - 1]),
                        "Put the points in the order of flow.");
            }
            if (!(rise[i] < rise[i - 1])) {
                throw EnthalpaFault.of(
                        FaultKind.CONTRADICTION,
                        i + "/pressure",
                        what + " curve, pressure of point " + (i + 1),
                        machine.rise(rise[i]),
                        "less than at the smaller flow, " + machine.rise(rise[i - 1]),
                        "A curve that rises has no steady operating point; check the order of its points.");
            }
        }
    }

    /** @param q m3/s @return Pa at the speed the curve was taken at */
    public double at(double q) {
        if (q <= flow[0]) {
            return rise[0];
        }
        if (flow.length == 2) {
            double x = (q - flow[0]) / (flow[1] - flow[0]);
            return rise[0] - (rise[0] - rise[1]) * x * x;
        }
        int i = 1;
        while (i < flow.length - 1 && q > flow[i]) {
            i++;
        }
        double share = (q - flow[i - 1]) / (flow[i] - flow[i - 1]);
        return rise[i - 1] + share * (rise[i] - rise[i - 1]);
    }

    /** @param q m3/s @param speed over that of the curve, above 0 @return Pa, by the affinity laws */
    public double at(double q, double speed) {
        return speed * speed * at(q / speed);
    }

    /** @return m3/s where nothing is left, at the speed of the curve */
    public double freeFlow() {
        int n = flow.length - 1;
        if (rise[n] <= 0) {
            int i = 1;
            while (rise[i] > 0) {
                i++;
            }
            double share = rise[i - 1] / (rise[i - 1] - rise[i]);
            return flow[i - 1] + (n == 1 ? Math.sqrt(share) : share) * (flow[i] - flow[i - 1]);
        }
        double drop = rise[n - 1] - rise[n];
        return n == 1
                ? flow[0] + (flow[1] - flow[0]) * Math.sqrt(rise[0] / drop)
                : flow[n] + rise[n] / drop * (flow[n] - flow[n - 1]);
    }

    /** @return Pa with the outlet shut */
    public double shutOff() {
        return rise[0];
    }

    /** @return m3/s of the last point that was given */
    public double lastFlow() {
        return flow[flow.length - 1];
    }

    public List<Point> points() {
        return java.util.stream.IntStream.range(0, flow.length)
                .mapToObj(i -> new Point(flow[i], rise[i]))
                .toList();
    }

    /** Of the same points. */
    @Override
    public boolean equals(Object other) {
        return other instanceof PerformanceCurve curve
                && Arrays.equals(flow, curve.flow)
                && Arrays.equals(rise, curve.rise);
    }

    @Override
    public int hashCode() {
        return 31 * Arrays.hashCode(flow) + Arrays.hashCode(rise);
    }
}
