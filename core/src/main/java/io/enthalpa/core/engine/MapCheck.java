package io.enthalpa.core.engine;

import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import java.util.List;

/** Refuses speed lines that do not make a map, naming line and point. */
final class MapCheck {
    private MapCheck() {}

    static void check(List<SpeedLine> lines, double leastEfficiency, double mostEfficiency) {
        if (lines.size() < 2) {
            throw contradiction(
                    "lines",
                    "number of speed lines on the map",
                    String.valueOf(lines.size()),
                    "2 or more",
                    "Read at least two speed lines off the map, with three points each or more.");
        }
        for (int i = 0; i < lines.size(); i++) {
            SpeedLine line = lines.get(i);
            line(line, leastEfficiency, mostEfficiency);
            if (i > 0 && line.speed() - lines.get(i - 1).speed() < 1e-6 * line.speed()) {
                throw contradiction(
                        "lines",
                        "speed of two map lines",
                        rpm(line),
                        "different on each line",
                        "Give each speed line its own speed.");
            }
            if (i > 0) {
                crossing(lines.get(i - 1), line);
            }
        }
    }

    private static void line(SpeedLine line, double leastEfficiency, double mostEfficiency) {
        List<SpeedLine.Point> points = line.points();
        if (points.size() < 2) {
            throw contradiction(
                    "lines",
                    "number of points on the map line " + rpm(line),
                    String.valueOf(points.size()),
                    "2 or more",
                    "One point is not a line: read surge, middle and choke at least.");
        }
        for (int k = 0; k < points.size(); k++) {
            SpeedLine.Point p = points.get(k);
            String place = "map line %s, point %d".formatted(rpm(line), k + 1);
            if (!(p.flow() > 0) || k > 0 && p.flow() <= points.get(k - 1).flow()) {
                throw contradiction(
                        "lines",
                        place + ", flow",
                        "%.4f kg/s".formatted(p.flow()),
                        k == 0
                                ? "above 0"
                                : "above that of the point before, %.4f kg/s"
                                        .formatted(points.get(k - 1).flow()),
                        "Points run from surge to choke, flow rising.");
            }
            if (!(p.ratio() >= 1) || p.ratio() > 8) {
                throw contradiction(
                        "lines",
                        place + ", pressure ratio",
                        "%.2f".formatted(p.ratio()),
                        "between 1 and 8",
                        "Ratio of absolute total pressures, not boost.");
            }
            if (!(p.efficiency() >= leastEfficiency && p.efficiency() <= mostEfficiency)) {
                throw contradiction(
                        "lines",
                        place + ", efficiency",
                        "%.0f %%".formatted(100 * p.efficiency()),
                        "between %.0f and %.0f %%".formatted(100 * leastEfficiency, 100 * mostEfficiency),
                        "");
            }
        }
    }

    /** Where both lines have a flow, the faster one must have the higher ratio; and it must reach higher at all. */
    private static void crossing(SpeedLine slow, SpeedLine fast) {
        if (highest(fast) <= highest(slow)) {
            throw contradiction(
                    "lines",
                    "highest ratios of map lines %s and %s".formatted(rpm(slow), rpm(fast)),
                    "%.2f and %.2f".formatted(highest(slow), highest(fast)),
                    "rising with speed",
                    "The lines cross: check which speed each point belongs to.");
        }
        for (SpeedLine.Point p : slow.points()) {
            double ratio = ratioAt(fast, p.flow());
            if (ratio <= p.ratio()) {
                throw contradiction(
                        "lines",
                        "map lines %s and %s at %.4f kg/s".formatted(rpm(slow), rpm(fast), p.flow()),
                        "%.2f and %.2f".formatted(p.ratio(), ratio),
                        "rising with speed",
                        "The lines cross: check which speed each point belongs to.");
            }
        }
        for (SpeedLine.Point p : fast.points()) {
            double ratio = ratioAt(slow, p.flow());
            if (ratio >= p.ratio()) {
                throw contradiction(
                        "lines",
                        "map lines %s and %s at %.4f kg/s".formatted(rpm(slow), rpm(fast), p.flow()),
                        "%.2f and %.2f".formatted(ratio, p.ratio()),
                        "rising with speed",
                        "The lines cross: check which speed each point belongs to.");
            }
        }
    }

    private static double highest(SpeedLine line) {
        return line.points().stream().mapToDouble(SpeedLine.Point::ratio).max().orElseThrow();
    }

    /** NaN where the line has no such flow: comparisons with it are false. */
    private static double ratioAt(SpeedLine line, double flow) {
        List<SpeedLine.Point> points = line.points();
        for (int k = 1; k < points.size(); k++) {
            SpeedLine.Point a = points.get(k - 1);
            SpeedLine.Point b = points.get(k);
            if (flow >= a.flow() && flow <= b.flow()) {
                return a.towards(b, (flow - a.flow()) / (b.flow() - a.flow())).ratio();
            }
        }
        return Double.NaN;
    }

    private static String rpm(SpeedLine line) {
        return "%.0f rpm".formatted(line.speed() * 30 / Math.PI);
    }

    private static EnthalpaFault contradiction(
            String field, String label, String value, String allowed, String remedy) {
        return EnthalpaFault.of(FaultKind.CONTRADICTION, field, label, value, allowed, remedy);
    }
}
