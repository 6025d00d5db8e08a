package io.enthalpa.core.engine;

import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;

/**
 * A measured blower: speed lines of pressure ratio and efficiency over corrected flow. Between the lines it is interpolated along
 * curves that join equal shares of the way from surge to choke; outside it nothing is invented: the nearest edge answers and the
 * answer says so.
 */
public final class CompressorMap {
    public static final Method METHOD = Method.of(
                    "compressor-map",
                    "Compressor map",
                    "Flow is corrected to the map's inlet state. Each speed line is cut into equal shares of its way from surge to choke; the point "
                            + "sought lies on one such curve, between two lines. Below the lowest line flow goes with speed and pressure rise with its square. "
                            + "Left of the first points the blower surges, right of the last ones it chokes, above the top line it cannot turn: each is said "
                            + "with its margin, and the nearest edge gives the efficiency.")
            .formula(
                    "mc = m sqrt(T1/Tref) pref/p1; surge margin = flow over surge flow at that ratio, less one; choke margin = choke flow over flow, less one")
            .source(Citation.fromMemory(
                    "SAE J1826", 1995, "Turbocharger gas stand test code, corrected flow and speed"))
            .leavesOut(
                    "Where the line from surge lies between two measured speeds; heat from the turbine into the compressor at low speed.");
    /** Parts that a line is cut into. */
    private static final int PARTS = 24;

    private static final double LEAST_EFFICIENCY = 0.2;
    private static final double MOST_EFFICIENCY = 0.92;
    /** How steeply the ratio falls beyond the last point of the top line, per share of flow: choke is nearly a wall. */
    private static final double CHOKE_SLOPE = 40;

    private final String name;
    private final double referenceTemperature;
    private final double referencePressure;
    private final List<SpeedLine> lines;
    /** Each line cut into {@link #PARTS} equal shares of its way, lowest speed first. */
    private final SpeedLine.Point[][] grid;

    private final double[][] flows;
    private final double[][] ratios;

    /**
     * @param referenceTemperature K, that flow and speed are corrected to
     * @param referencePressure    Pa absolute
     * @param given                in any order, at least two
     * @throws EnthalpaFault {@link FaultKind#CONTRADICTION} when the lines do not make a map; names line and point
     */
    public CompressorMap(double referenceTemperature, double referencePressure, List<SpeedLine> given) {
        this("", referenceTemperature, referencePressure, given);
    }

    /** As {@link #CompressorMap(double, double, List)}, with the name that the user knows it by; empty for none. */
    public CompressorMap(String name, double referenceTemperature, double referencePressure, List<SpeedLine> given) {
        this.name = name;
        this.referenceTemperature = referenceTemperature;
        this.referencePressure = referencePressure;
        this.lines = given.stream()
                .sorted(Comparator.comparingDouble(SpeedLine::speed))
                .toList();
        MapCheck.check(lines, LEAST_EFFICIENCY, MOST_EFFICIENCY);
        double flowSpan = lines.stream()
                .flatMap(l -> l.points().stream())
                .mapToDouble(SpeedLine.Point::flow)
                .max()
                .orElseThrow();
        double ratioSpan = lines.stream()
                .flatMap(l -> l.points().stream())
                .mapToDouble(SpeedLine.Point::ratio)
                .max()
                .orElseThrow();
        grid = lines.stream()
                .map(line -> cut(line.points(), flowSpan, ratioSpan))
                .toArray(SpeedLine.Point[][]::new);
        flows = Arrays.stream(grid)
                .map(line ->
                        Arrays.stream(line).mapToDouble(SpeedLine.Point::flow).toArray())
                .toArray(double[][]::new);
        ratios = Arrays.stream(grid)
                .map(line ->
                        Arrays.stream(line).mapToDouble(SpeedLine.Point::ratio).toArray())
                .toArray(double[][]::new);
    }

    private static SpeedLine.Point[] cut(List<SpeedLine.Point> points, double flowSpan, double ratioSpan) {
        double[] way = new double[points.size()];
        for (int i = 1; i < way.length; i++) {
            way[i] = way[i - 1]
                    + Math.hypot(
                            (points.get(i).flow() - points.get(i - 1).flow()) / flowSpan,
                            (points.get(i).ratio() - points.get(i - 1).ratio()) / ratioSpan);
        }
        SpeedLine.Point[] cut = new SpeedLine.Point[PARTS + 1];
        int at = 0;
        for (int k = 0; k <= PARTS; k++) {
            double wanted = way[way.length - 1] * k / PARTS;
            while (at < way.length - 2 && way[at + 1] < wanted) {
                at++;
            }
            double share = Math.min(1, (wanted - way[at]) / (way[at + 1] - way[at]));
            cut[k] = points.get(at).towards(points.get(at + 1), share);
        }
        return cut;
    }

    /** @return the same map with all efficiencies so much higher, within what a map may hold */
    public CompressorMap timesEfficiency(double factor) {
        return new CompressorMap(
                name,
                referenceTemperature,
                referencePressure,
                lines.stream()
                        .map(line -> new SpeedLine(
                                line.speed(),
                                line.points().stream()
                                        .map(p -> new SpeedLine.Point(
                                                p.flow(),
                                                p.ratio(),
                                                Math.max(
                                                        LEAST_EFFICIENCY,
                                                        Math.min(MOST_EFFICIENCY, p.efficiency() * factor))))
                                        .toList()))
                        .toList());
    }

    /** @return as the user knows it; empty for none */
    public String name() {
        return name;
    }

    public double referenceTemperature() {
        return referenceTemperature;
    }

    public double referencePressure() {
        return referencePressure;
    }

    /** @return slowest first */
    public List<SpeedLine> lines() {
        return lines;
    }

    /** @param flow kg/s @param temperature K, total, at the inlet @param pressure Pa, total, at the inlet @return kg/s */
    public double corrected(double flow, double temperature, double pressure) {
        return flow * Math.sqrt(temperature / referenceTemperature) * referencePressure / pressure;
    }

    /**
     * @param flow  kg/s, corrected
     * @param ratio above 1
     * @return where that lies, from the nearest edge when it lies outside
     */
    public MapPoint at(double flow, double ratio) {
        double low = 0;
        double high = PARTS;
        if (ratio > grid[grid.length - 1][0].ratio()) {
            SpeedLine.Point top = grid[grid.length - 1][0];
            return new MapPoint(
                    flow,
                    ratio,
                    top.efficiency(),
                    lines.get(lines.size() - 1).speed(),
                    flow / top.flow() - 1,
                    0,
                    MapPoint.Place.ABOVE);
        }
        if (ratio > grid[grid.length - 1][PARTS].ratio()) {
            high = topCrossing(ratio);
        }
        Cut surge = along(low, ratio);
        Cut choke = along(high, ratio);
        double surgeMargin = flow / surge.flow - 1;
        double chokeMargin = choke.flow / flow - 1;
        if (flow <= surge.flow) {
            return surge.point(
                    flow,
                    ratio,
                    surgeMargin,
                    chokeMargin,
                    flow < surge.flow * (1 - 1e-9) ? MapPoint.Place.SURGE : place(surge));
        }
        if (flow >= choke.flow) {
            return choke.point(
                    flow, ratio, surgeMargin, chokeMargin, high < PARTS ? MapPoint.Place.ABOVE : MapPoint.Place.CHOKE);
        }
        Cut middle = along(share(flow, ratio, low, surge.flow - flow, high, choke.flow - flow), ratio);
        return middle.point(flow, ratio, surgeMargin, chokeMargin, place(middle));
    }

    /**
     * Share of the way from surge to choke where a ratio has a flow: the part by false position from node to node, the place in it by false position with
     * Anderson and Björck's weights.
     */
    private double share(double flow, double ratio, double from, double below, double to, double above) {
        double low = from;
        double high = to;
        double atLow = below;
        double atHigh = above;
        while (Math.ceil(high) - Math.floor(low) > 1.5) {
            double guess = Math.rint(low - atLow * (high - low) / (atHigh - atLow));
            double node = Math.max(Math.floor(low) + 1, Math.min(Math.ceil(high) - 1, guess));
            double error = flowAlong(node, ratio) - flow;
            if (error < 0) {
                low = node;
                atLow = error;
            } else {
                high = node;
                atHigh = error;
            }
        }
        double k = low;
        for (int i = 0; i < 40; i++) {
            k = low - atLow * (high - low) / (atHigh - atLow);
            double error = flowAlong(k, ratio) - flow;
            if (Math.abs(error) < 1e-11 * flow || high - low < 1e-12) {
                break;
            }
            if (error < 0) {
                atHigh *= weight(error, atLow);
                low = k;
                atLow = error;
            } else {
                atLow *= weight(error, atHigh);
                high = k;
                atHigh = error;
            }
        }
        return k;
    }

    /** What the end that stays counts for, so that it does not hold the search up: Anderson and Björck (1973). */
    private static double weight(double error, double replaced) {
        double left = 1 - error / replaced;
        return left > 0 ? left : 0.5;
    }

    /** @return isentropic efficiency alone, as {@link #at} gives it */
    public double efficiencyAt(double flow, double ratio) {
        int top = ratios.length - 1;
        if (ratio > ratios[top][0]) {
            return grid[top][0].efficiency();
        }
        double high = ratio > ratios[top][PARTS] ? topCrossing(ratio) : PARTS;
        double surge = flowAlong(0, ratio) - flow;
        double choke = flowAlong(high, ratio) - flow;
        double k = surge >= 0 ? 0 : choke <= 0 ? high : share(flow, ratio, 0, surge, high, choke);
        return along(k, ratio).efficiency;
    }

    /** As {@link #along}, the flow alone: asked for often. */
    private double flowAlong(double k, double ratio) {
        int index = Math.min((int) k, PARTS - 1);
        double share = k - index;
        double belowRatio = 1;
        double belowFlow = 0;
        for (int i = 0; i < ratios.length; i++) {
            double aboveRatio = ratios[i][index] + share * (ratios[i][index + 1] - ratios[i][index]);
            double aboveFlow = flows[i][index] + share * (flows[i][index + 1] - flows[i][index]);
            if (ratio <= aboveRatio || i == ratios.length - 1) {
                double part = Math.min(1, Math.max(ratio - belowRatio, 1e-9) / Math.max(aboveRatio - belowRatio, 1e-9));
                return i == 0 ? aboveFlow * Math.sqrt(part) : belowFlow + part * (aboveFlow - belowFlow);
            }
            belowRatio = aboveRatio;
            belowFlow = aboveFlow;
        }
        return belowFlow;
    }

    private static MapPoint.Place place(Cut cut) {
        return cut.below ? MapPoint.Place.BELOW : MapPoint.Place.INSIDE;
    }

    /** Share of the top line's way where it has a ratio. */
    private double topCrossing(double ratio) {
        SpeedLine.Point[] top = grid[grid.length - 1];
        for (int k = PARTS; k > 0; k--) {
            if (top[k - 1].ratio() >= ratio) {
                double span = top[k - 1].ratio() - top[k].ratio();
                return k - (span <= 0 ? 0 : (ratio - top[k].ratio()) / span);
            }
        }
        return 0;
    }

    /** Where a curve of equal share meets a ratio. */
    private record Cut(double flow, double efficiency, double speed, boolean below) {
        MapPoint point(double asked, double ratio, double surgeMargin, double chokeMargin, MapPoint.Place place) {
            return new MapPoint(asked, ratio, efficiency, speed, surgeMargin, chokeMargin, place);
        }
    }

    private Cut along(double k, double ratio) {
        int index = Math.min((int) k, PARTS - 1);
        double share = k - index;
        SpeedLine.Point below = grid[0][index].towards(grid[0][index + 1], share);
        if (ratio <= below.ratio()) {
            double part = Math.sqrt(Math.max(ratio - 1, 1e-9) / Math.max(below.ratio() - 1, 1e-9));
            return new Cut(
                    below.flow() * Math.min(part, 1),
                    below.efficiency(),
                    lines.get(0).speed() * Math.min(part, 1),
                    part < 1 - 1e-9);
        }
        for (int i = 1; i < grid.length; i++) {
            SpeedLine.Point above = grid[i][index].towards(grid[i][index + 1], share);
            if (ratio <= above.ratio() || i == grid.length - 1) {
                double part = Math.min(1, (ratio - below.ratio()) / (above.ratio() - below.ratio()));
                SpeedLine.Point found = below.towards(above, part);
                double slow = lines.get(i - 1).speed();
                return new Cut(
                        found.flow(),
                        found.efficiency(),
                        slow + part * (lines.get(i).speed() - slow),
                        false);
            }
            below = above;
        }
        throw new IllegalStateException("a map has at least two lines");
    }

    /**
     * @param flow kg/s, corrected
     * @return the highest ratio at that flow: the top line, left of it the line through the surge points
     */
    public double mostRatio(double flow) {
        SpeedLine.Point[] top = grid[grid.length - 1];
        if (flow >= top[PARTS].flow()) {
            return Math.max(top[PARTS].ratio() - CHOKE_SLOPE * (flow / top[PARTS].flow() - 1), 0.2);
        }
        if (flow <= top[0].flow()) {
            return surgeRatio(flow);
        }
        int k = 0;
        while (top[k + 1].flow() < flow) {
            k++;
        }
        return top[k].towards(top[k + 1], (flow - top[k].flow()) / (top[k + 1].flow() - top[k].flow()))
                .ratio();
    }

    private double surgeRatio(double flow) {
        double atFlow = 0;
        double atRatio = 1;
        for (SpeedLine.Point[] line : grid) {
            if (line[0].flow() >= flow) {
                double span = line[0].flow() - atFlow;
                return span <= 0 ? line[0].ratio() : atRatio + (flow - atFlow) / span * (line[0].ratio() - atRatio);
            }
            atFlow = line[0].flow();
            atRatio = line[0].ratio();
        }
        return atRatio;
    }

    /** @return the highest ratio anywhere on the map */
    public double highestRatio() {
        return lines.stream()
                .flatMap(line -> line.points().stream())
                .mapToDouble(SpeedLine.Point::ratio)
                .max()
                .orElseThrow();
    }
}
