package io.enthalpa.core.chargepath;

import io.enthalpa.core.engine.BlowerSpec;
import io.enthalpa.core.engine.InjectionSpec;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import io.enthalpa.core.fluid.HumidAir;
import io.enthalpa.core.place.Subject;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import io.enthalpa.core.source.ValidityRange;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;
import org.hipparchus.analysis.solvers.BrentSolver;

/**
 * Finds the flow and the blower's pressure ratio that leave the asked pressure in the manifold: the path's own loss raises
 * the ratio, the ratio heats the air, warm air thins the flow, and so on. Newton's method on ln(flow) and ln(ratio); where the
 * path parts in two, the share of each leg is found inside every step.
 *
 * <p>Below a ratio of one the blower is left at one and a throttle takes the rest. Above the blower's limit the
 * limit is kept and the manifold pressure follows ({@link PathResult#blowerLimited}).
 *
 * <p>Holds a workspace: one instance for one thread. Keeps its last answer as the start for the next, which makes a duty
 * in small steps cheap.
 */
public final class ChargePathSolver {
    public static final Method METHOD = Method.of(
                    "path",
                    "Charge path",
                    "Total pressure and temperature are carried from piece to piece. Newton's method finds the flow and the pressure ratio that leave the "
                            + "asked pressure in the manifold, to 1e-8 in 30 rounds; two pipes side by side share the flow so that the same pressure stands behind both, to 1e-10. What disagrees by more than 1e-6 in the end is told with the answer. More "
                            + "than the blower can make is answered with what it gives; less than free flow is left to a throttle. Steps of bore between pieces "
                            + "are counted as sudden changes.")
            .formula("p_plenum(m, PR) = p_outside + boost; m = demand(p_plenum, T_plenum)")
            .range(new ValidityRange("Mach number", 0, 0.4, ""))
            .source(Citation.published(
                    "Heywood", 1988, "Internal Combustion Engine Fundamentals, one-dimensional steady flow"))
            .leavesOut("Pulses of the cylinders; walls of cones, joints and tanks.");
    private static final double TOLERANCE = 1e-8;
    private static final double DIFFERENCE = 1e-5;
    private static final int MOST_ITERATIONS = 30;
    private static final int MOST_THROTTLED = 200;
    /** Points whose pressures differ by less than this share follow each other. */
    private static final double NEAR = 0.02;

    private final ChargePath path;
    private final HumidAir air;
    private final March march;
    private final Chain chain;
    private final List<InjectionSpec> sprays;
    private final BlowerSpec lastBlower;
    private OperatingPoint point;
    private double flow;
    private double ratio;
    private double throttleLoss;
    private boolean limited;
    private final double tolerance;
    private double residual;
    private double solvedSpeed;
    private double solvedTarget;
    private int iterations;
    private boolean slopesKnown;
    private double ax;
    private double ay;
    private double bx;
    private double by;
    private double determinant;
    /** What the start of the answer before had missed of it, in logarithms: along a duty the next one misses much the same. */
    private double missedX;

    private double missedY;

    public ChargePathSolver(ChargePath path) {
        this(path, TOLERANCE);
    }

    /** @param tolerance relative, of pressure and flow: for a run, whose steps follow each other closely, less than for one point */
    public ChargePathSolver(ChargePath path, double tolerance) {
        this.path = path;
        this.tolerance = tolerance;
        this.air = path.ambient().air();
        this.march = new March(path.ambient());
        this.chain = new Chain(path.elements(), march, path, 0, 0, Double.NaN);
        this.sprays = path.sprays();
        this.lastBlower = path.blowers().get(path.blowers().size() - 1);
        chain.start(path.ambient().pressure(), path.ambient().temperature(), air);
    }

    /**
     * @param point   engine speed above 0, boost above minus ambient
     * @param cooling what cools the charge in the cores
     * @return the solved path
     * @throws EnthalpaFault {@link FaultKind#NO_SOLUTION} when no flow passes the path
     */
    public PathResult solve(OperatingPoint point, ChargeCooling cooling) {
        advance(point, cooling);
        return result();
    }

    /** Solves without building the answer; read it through {@link #flow()}, {@link #intakeTemperature} and their like, or {@link #result}. */
    public void advance(OperatingPoint point, ChargeCooling cooling) {
        this.point = point;
        march.cooling = cooling;
        march.ask(point);
        this.throttleLoss = 0;
        this.limited = false;
        boolean found = newton();
        if (!found || ratio > march.mostRatio * (1 + 1e-9)) {
            solveAtLimit();
        } else if (ratio < 1) {
            solveThrottled();
        }
        solvedSpeed = point.speed();
        solvedTarget = march.target;
    }

    /** Carries the air through every piece once more, at the flow and ratio found last: temperatures follow what cores and walls have become since. */
    public void again() {
        march(flow, ratio);
    }

    /** @param kelvin air in the engine bay, for a filter that draws from it; outside air until told */
    public void bayAir(double kelvin) {
        march.bay = kelvin;
    }

    /** @return what every piece costs at the point solved last, legs' pieces after the pair they belong to */
    public List<Price> prices() {
        return new Pricing(this, result()).prices();
    }

    /** Solves the point of last time again with one piece in place but free of loss; null for none. */
    PathResult without(PathElement free) {
        march.free = free;
        try {
            return solve(point, march.cooling);
        } finally {
            march.free = null;
        }
    }

    public double flow() {
        return flow;
    }

    public double pressureRatio() {
        return ratio;
    }

    /** @return kg/s through the blower, corrected to its map's inlet where it has one; of the second of two */
    public double blowerFlow() {
        return lastBlower
                .map()
                .map(m -> m.corrected(march.blowerFlow, march.blowerTemperature, march.blowerPressure))
                .orElse(march.blowerFlow);
    }

    /** @return outlet over inlet pressure of that blower */
    public double blowerRatio() {
        return march.blowerRatio;
    }

    public boolean blowerLimited() {
        return limited;
    }

    /** @return K at the plenum, total */
    public double intakeTemperature() {
        return chain.temperatureOut();
    }

    /** @return names of the stations behind each piece of the main way */
    public List<String> stationNames() {
        return IntStream.range(0, chain.size())
                .mapToObj(i -> PathAnswer.stationName(chain.elements, i))
                .toList();
    }

    /** @return K behind a piece of the main way, total */
    public double temperatureBehind(int piece) {
        return chain.temperature[piece + 1];
    }

    /** @return Pa absolute behind a piece of the main way, total */
    public double pressureBehind(int piece) {
        return chain.pressure[piece + 1] - (piece == chain.size() - 1 ? throttleLoss : 0);
    }

    /** @return Pa that all pieces but the blower take on the main way, at the point solved last */
    public double loss() {
        return chain.lost(march.blowerRatio) + throttleLoss;
    }

    /** @return m3/s of injection liquid that all nozzles spray at the point solved last */
    public double sprayFlow() {
        return sprays.isEmpty()
                ? 0
                : sprays.stream()
                        .mapToDouble(spec ->
                                spec.flow(manifoldPressure() - path.ambient().pressure()))
                        .sum();
    }

    /** @return Pa absolute */
    public double manifoldPressure() {
        return chain.pressureOut() - throttleLoss;
    }

    /** Where the pieces end in two banks each has half of the cylinders, at its own pressure. */
    private double demand(double manifold) {
        Legs last = chain.legs[chain.size() - 1];
        if (last == null || !last.endsInBanks()) {
            return demand(chain, manifold);
        }
        double sum = 0;
        for (Chain bank : last.chain) {
            sum += demand(bank, manifold * bank.pressureOut() / chain.pressureOut()) / 2;
        }
        return sum;
    }

    /** @return kg/s of outside air: vapour beside it takes its part of the cylinders */
    private double demand(Chain of, double manifold) {
        return path.engine().airDemand(of.gasOut(), manifold, of.temperatureOut(), point.speed())
                / march.mass(of.gasOut());
    }

    private boolean newton() {
        // Flow goes with speed and pressure, the ratio with pressure: a good start from the answer before.
        double denser = solvedTarget > 0 ? Math.log(march.target / solvedTarget) : 0;
        double x = flow > 0
                ? Math.log(flow) + (solvedSpeed > 0 ? Math.log(point.speed() / solvedSpeed) + denser : 0)
                : startFlow();
        double y =
                ratio > 0 ? Math.log(ratio) + denser : Math.log(Math.max(march.target / chain.pressure[0], 1)) + 0.03;
        double startX = x;
        double startY = y;
        boolean follows = solvedSpeed > 0 && Math.abs(denser) < NEAR;
        if (follows) {
            x += missedX;
            y += missedY;
        }
        double before = Double.POSITIVE_INFINITY;
        for (iterations = 1; iterations <= MOST_ITERATIONS; iterations++) {
            if (!march(Math.exp(x), Math.exp(y))) {
                x -= 0.3;
                slopesKnown = false;
                continue;
            }
            double a = pressureError();
            double b = flowError(x);
            residual = Math.max(Math.abs(a), Math.abs(b));
            if (residual < tolerance) {
                flow = Math.exp(x);
                ratio = Math.exp(y);
                missedX = follows && Math.abs(x - startX) < NEAR ? x - startX : 0;
                missedY = follows && Math.abs(y - startY) < NEAR ? y - startY : 0;
                return true;
            }
            if ((!slopesKnown || residual > 0.2 * before) && !findSlopes(x, y, a, b)) {
                return false;
            }
            before = residual;
            x += limitedStep((-a * by + b * ay) / determinant);
            y += limitedStep((-b * ax + a * bx) / determinant);
        }
        return false;
    }

    private double startFlow() {
        return Math.log(path.engine().airDemand(air, march.target, chain.temperature[0] + 30, point.speed()));
    }

    private double pressureError() {
        return Math.log(chain.pressureOut() / march.target);
    }

    private double flowError(double x) {
        return x - Math.log(demand(march.target));
    }

    /** Slopes of both errors by differences; kept for the next steps and the next duty point while they serve. */
    private boolean findSlopes(double x, double y, double a, double b) {
        if (!march(Math.exp(x + DIFFERENCE), Math.exp(y))) {
            return false;
        }
        ax = (pressureError() - a) / DIFFERENCE;
        bx = (flowError(x + DIFFERENCE) - b) / DIFFERENCE;
        march(Math.exp(x), Math.exp(y + DIFFERENCE));
        ay = (pressureError() - a) / DIFFERENCE;
        by = (flowError(x) - b) / DIFFERENCE;
        determinant = ax * by - ay * bx;
        slopesKnown = true;
        return true;
    }

    private static double limitedStep(double step) {
        return Double.isFinite(step) ? Math.max(-0.5, Math.min(0.5, step)) : 0;
    }

    private void solveThrottled() {
        ratio = 1;
        for (iterations = 1; iterations <= MOST_THROTTLED; iterations++) {
            march(flow, 1);
            double next = demand(march.target);
            residual = Math.abs(next / flow - 1);
            flow = next;
            if (residual < tolerance) {
                break;
            }
        }
        throttleLoss = Math.max(chain.pressureOut() - march.target, 0);
    }

    /** At the blower's limit the manifold pressure follows: one unknown, the flow, by Brent's method. */
    private void solveAtLimit() {
        march.atLimit = true;
        double most = path.blowers().stream()
                .mapToDouble(b -> b.map()
                        .map(m -> Math.min(m.highestRatio(), b.maxPressureRatio()))
                        .orElse(b.maxPressureRatio()))
                .max()
                .orElseThrow();
        double upper = 2 * path.engine().airDemand(air, chain.pressure[0] * most, chain.temperature[0], point.speed());
        BrentSolver brent = new BrentSolver(1e-12, 1e-14 * upper, 1e-15);
        try {
            flow = brent.solve(300, m -> march(m, 1) ? m - demand(chain.pressureOut()) : m, 1e-6 * upper, upper);
        } catch (RuntimeException notBracketed) {
            throw noSolution();
        }
        iterations = brent.getEvaluations();
        if (!march(flow, 1)) {
            throw noSolution();
        }
        ratio = march.mostRatio;
        residual = Math.abs(flow / demand(chain.pressureOut()) - 1);
        limited = true;
        double reached = chain.pressureOut();
        boolean strangled = reached < chain.pressure[0] && march.target >= chain.pressure[0];
        if (reached > march.target * (1 + 1e-6) || strangled) {
            march.chokedAt = narrowest();
            throw noSolution();
        }
    }

    /** @return the piece that the air is fastest in */
    private PathElement narrowest() {
        return result().pieces().stream()
                .max(Comparator.comparingDouble(PieceResult::mach))
                .orElseThrow()
                .element();
    }

    private EnthalpaFault noSolution() {
        String where = march.chokedAt != null
                ? "the air does not get through the " + march.chokedAt.name()
                : "the path passes no air";
        flow = 0;
        return EnthalpaFault.of(
                FaultKind.NO_SOLUTION,
                Subject.Whole.OPTION,
                "boost",
                "boost",
                "%.0f kPa".formatted(point.boost() / 1000),
                where,
                "Give that piece a larger bore, or ask for less boost or engine speed.");
    }

    /** Carries the air through every piece; false when it chokes on the way. */
    private boolean march(double m, double pressureRatio) {
        march.chokedAt = null;
        march.disagreement = 0;
        march.ratio = pressureRatio;
        march.mostRatio = Double.POSITIVE_INFINITY;
        return chain.pass(m);
    }

    /** @return the path as solved last by {@link #advance} */
    public PathResult result() {
        PathAnswer answer = new PathAnswer(march);
        PathAnswer.Row row = answer.row(chain, flow, throttleLoss, "air in", false);
        return new PathResult(
                row.stations(),
                row.pieces(),
                flow,
                ratio,
                answer.shaftPower(),
                manifoldPressure(),
                march.target,
                throttleLoss,
                limited,
                answer.filling(flow),
                Math.max(residual, march.disagreement),
                iterations);
    }
}
