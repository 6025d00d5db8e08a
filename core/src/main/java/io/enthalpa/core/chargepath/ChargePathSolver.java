package io.enthalpa.core.chargepath;

import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import io.enthalpa.core.fluid.HumidAir;
import io.enthalpa.core.loss.PipeSpec;
import java.util.ArrayList;
import java.util.List;
import org.hipparchus.analysis.solvers.BrentSolver;

/**
 * Finds the flow and the blower's pressure ratio that leave the asked pressure in the manifold: the path's own loss raises
 * the ratio, the ratio heats the air, warm air thins the flow, and so on. Newton's method on ln(flow) and ln(ratio).
 *
 * <p>Below a ratio of one the blower is left at one and a throttle takes the rest. Above the blower's limit the
 * limit is kept and the manifold pressure follows ({@link PathResult#blowerLimited}).
 *
 * <p>Holds a workspace: one instance for one thread. Keeps its last answer as the start for the next, which makes a duty
 * in small steps cheap.
 */
public final class ChargePathSolver {
    private static final double TOLERANCE = 1e-8;
    private static final double DIFFERENCE = 1e-5;
    private static final int MOST_ITERATIONS = 30;

    private final ChargePath path;
    private final HumidAir air;
    private final int n;
    private final double[] pressure;
    private final double[] temperature;
    private final PipeSpec.Loss[] pipeLoss;
    private final FlowState state = new FlowState();
    private int chokedAt;

    private OperatingPoint point;
    private ChargeCooling cooling = ChargeCooling.NONE;
    private double target;
    private double flow;
    private double ratio;
    private double throttleLoss;
    private boolean limited;
    private double residual;
    private int iterations;
    private boolean slopesKnown;
    private double ax;
    private double ay;
    private double bx;
    private double by;
    private double determinant;

    public ChargePathSolver(ChargePath path) {
        this.path = path;
        this.air = path.ambient().air();
        this.n = path.elements().size();
        this.pressure = new double[n + 1];
        this.temperature = new double[n + 1];
        this.pipeLoss = path.elements().stream()
                .map(e -> e instanceof PathElement.Pipe pipe ? pipe.spec().loss() : null).toArray(PipeSpec.Loss[]::new);
        pressure[0] = path.ambient().pressure();
        temperature[0] = path.ambient().temperature();
    }

    /**
     * @param point   engine speed above 0, boost above minus ambient
     * @param cooling what cools the charge in the core
     * @return the solved path
     * @throws EnthalpaFault {@link FaultKind#NO_SOLUTION} when no flow passes the path
     */
    public PathResult solve(OperatingPoint point, ChargeCooling cooling) {
        advance(point, cooling);
        return result();
    }

    /** Solves without building the answer; read it through {@link #flow()}, {@link #temperatureAt} and their like. */
    public void advance(OperatingPoint point, ChargeCooling cooling) {
        this.point = point;
        this.cooling = cooling;
        this.target = path.ambient().pressure() + point.boost();
        this.throttleLoss = 0;
        this.limited = false;
        boolean found = newton();
        if (!found || ratio > path.blower().maxPressureRatio()) {
            solveAtLimit();
        } else if (ratio < 1) {
            solveThrottled();
        }
    }

    public double flow() {
        return flow;
    }

    public double pressureRatio() {
        return ratio;
    }

    public boolean blowerLimited() {
        return limited;
    }

    /** @param station 0 for the air in, i + 1 behind element i @return K, total */
    public double temperatureAt(int station) {
        return temperature[station];
    }

    /** @param station as in {@link #temperatureAt} @return Pa absolute, total */
    public double pressureAt(int station) {
        return pressure[station];
    }

    /** @return Pa absolute */
    public double manifoldPressure() {
        return pressure[n] - throttleLoss;
    }

    private double demand(double manifold) {
        return path.engine().airDemand(air, manifold, temperature[n], point.speed());
    }

    private boolean newton() {
        double x = flow > 0 ? Math.log(flow) : startFlow();
        double y = ratio > 0 ? Math.log(ratio) : Math.log(Math.max(target / pressure[0], 1)) + 0.03;
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
            if (residual < TOLERANCE) {
                flow = Math.exp(x);
                ratio = Math.exp(y);
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
        temperature[n] = temperature[0] + 30;
        return Math.log(demand(target));
    }

    private double pressureError() {
        return Math.log(pressure[n] / target);
    }

    private double flowError(double x) {
        return x - Math.log(demand(target));
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
        for (iterations = 1; iterations <= 200; iterations++) {
            march(flow, 1);
            double next = demand(target);
            residual = Math.abs(next / flow - 1);
            flow = next;
            if (residual < TOLERANCE) {
                break;
            }
        }
        throttleLoss = Math.max(pressure[n] - target, 0);
    }

    /** At the blower's limit the manifold pressure follows: one unknown, the flow, by Brent's method. */
    private void solveAtLimit() {
        double most = path.blower().maxPressureRatio();
        temperature[n] = temperature[0];
        double upper = 2 * demand(pressure[0] * most);
        BrentSolver brent = new BrentSolver(1e-12, 1e-14 * upper, 1e-15);
        try {
            flow = brent.solve(200, m -> march(m, most) ? m - demand(pressure[n]) : m, 1e-6 * upper, upper);
        } catch (RuntimeException notBracketed) {
            throw noSolution();
        }
        iterations = brent.getEvaluations();
        ratio = most;
        if (!march(flow, most)) {
            throw noSolution();
        }
        residual = Math.abs(flow / demand(pressure[n]) - 1);
        limited = true;
        boolean strangled = pressure[n] < pressure[0] && target >= pressure[0];
        if (pressure[n] > target * (1 + 1e-6) || strangled) {
            chokedAt = narrowest();
            throw noSolution();
        }
    }

    /** @return index of the piece that loses most */
    private int narrowest() {
        int worst = 0;
        for (int i = 1; i < n; i++) {
            worst = pressure[i] - pressure[i + 1] > pressure[worst] - pressure[worst + 1] ? i : worst;
        }
        return worst;
    }

    private EnthalpaFault noSolution() {
        String where = chokedAt >= 0 ? "the air does not get through the " + path.elements().get(chokedAt).name() : "the path passes no air";
        flow = 0;
        return EnthalpaFault.of(FaultKind.NO_SOLUTION, "/boost_kPa", "boost", "%.0f kPa".formatted(point.boost() / 1000), where,
                "Give that piece a larger bore, or ask for less boost or engine speed.");
    }

    /** Carries the air through every piece; false when it chokes on the way. */
    private boolean march(double m, double pressureRatio) {
        chokedAt = -1;
        for (int i = 0; i < n; i++) {
            if (!pass(path.elements().get(i), i, m, pressureRatio) || !(pressure[i + 1] > 0)) {
                chokedAt = i;
                return false;
            }
        }
        return true;
    }

    private boolean pass(PathElement element, int i, double m, double pressureRatio) {
        double p = pressure[i];
        double t = temperature[i];
        if (element instanceof PathElement.Filter filter) {
            double share = m / filter.flow();
            temperature[i + 1] = t + filter.heatGain();
            pressure[i + 1] = p - filter.loss() * share * share * PathElement.Filter.REFERENCE_DENSITY / air.density(p, t);
        } else if (element instanceof PathElement.Blower blower) {
            temperature[i + 1] = blower.spec().outletTemperature(air, t, pressureRatio);
            pressure[i + 1] = p * pressureRatio;
        } else if (element instanceof PathElement.Pipe) {
            return passPipe(pipeLoss[i], i, m);
        } else if (element instanceof PathElement.Core) {
            temperature[i + 1] = cooling.outletTemperature(air, m, t);
            double density = air.density(p, (t + temperature[i + 1]) / 2);
            pressure[i + 1] = p - path.cooler().loss(m, density);
        } else if (element instanceof PathElement.Plenum plenum) {
            if (!state.set(air, p, t, m, area(plenum.bore()))) {
                return false;
            }
            temperature[i + 1] = t;
            pressure[i + 1] = p - state.density * state.velocity * state.velocity / 2;
        }
        return true;
    }

    /** Loss on the velocity head at the middle of the run: one correction of the inlet estimate. */
    private boolean passPipe(PipeSpec.Loss pipe, int i, double m) {
        double p = pressure[i];
        double t = temperature[i];
        temperature[i + 1] = t;
        if (!state.set(air, p, t, m, pipe.area())) {
            return false;
        }
        double reynolds = 4 * m / (Math.PI * pipe.bore() * air.viscosity(state.temperature));
        double k = pipe.coefficient(reynolds);
        double loss = k * state.density * state.velocity * state.velocity / 2;
        if (loss > 0.5 * p || !state.set(air, p - loss / 2, t, m, pipe.area())) {
            return false;
        }
        pressure[i + 1] = p - k * state.density * state.velocity * state.velocity / 2;
        return true;
    }

    private static double area(double bore) {
        return Math.PI / 4 * bore * bore;
    }

    private PathResult result() {
        List<PathElement> elements = path.elements();
        List<Station> stations = new ArrayList<>(n + 1);
        List<PieceResult> pieces = new ArrayList<>(n);
        stations.add(station("air in", 0, elements.get(0).bore()));
        for (int i = 0; i < n; i++) {
            PathElement element = elements.get(i);
            boolean last = i == n - 1;
            boolean beforeCore = !last && elements.get(i + 1) instanceof PathElement.Core;
            String name = beforeCore ? elements.get(i + 1).name() + " in" : element.name() + " out";
            Station station = last ? plenum(element) : station(name, i + 1, element.bore());
            stations.add(station);
            double loss = pressure[i] - pressure[i + 1];
            Station fastest = last ? stations.get(i) : station;
            pieces.add(new PieceResult(element, loss, temperature[i + 1] - temperature[i],
                    flow * (air.enthalpy(temperature[i + 1]) - air.enthalpy(temperature[i])),
                    fastest.velocity(), fastest.mach()));
        }
        int blower = path.blowerIndex();
        double power = flow * (air.enthalpy(temperature[blower + 1]) - air.enthalpy(temperature[blower]));
        return new PathResult(stations, pieces, flow, ratio, power, manifoldPressure(), target, throttleLoss, limited,
                residual, iterations);
    }

    private Station station(String name, int i, double bore) {
        state.set(air, pressure[i], temperature[i], flow, area(bore));
        return new Station(name, pressure[i], state.pressure, temperature[i], state.temperature, state.density,
                state.velocity, state.mach, bore);
    }

    /** In the plenum the air stands. */
    private Station plenum(PathElement element) {
        double p = manifoldPressure();
        double t = temperature[n];
        return new Station(element.name(), p, p, t, t, air.density(p, t), 0, 0, element.bore());
    }
}
