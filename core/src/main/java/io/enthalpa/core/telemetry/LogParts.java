package io.enthalpa.core.telemetry;

import io.enthalpa.core.fluid.GlycolWater;
import io.enthalpa.core.quantity.Quantity;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import io.enthalpa.core.verdict.Load;
import io.enthalpa.core.verdict.SeenRun;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What the channels themselves say of core and water, each with what sensors of usual error leave open. */
public final class LogParts {
    public static final Method METHOD = Method.of(
                    "log-effectiveness",
                    "Effectiveness and water flow from a log",
                    "Means under load, start soak left out. The charge's way down over the whole way to what cools it is the effectiveness; the charge's heat over the water's warming is the water's flow. "
                            + "Each sensor may be wrong by 1 K (one standard deviation), the charge's flow by 5 %.")
            .formula(
                    "e = (Tb - Ta)/(Tb - Tc); s(e) = s sqrt(1 + (1-e)^2 + e^2)/(Tb - Tc); V = m cp (Tb - Ta)/(rho cw (Tw2 - Tw1))")
            .source(
                    Citation.fromMemory("Kays & London", 1984, "Compact Heat Exchangers, 3rd ed., effectiveness"),
                    Citation.commonPractice("a temperature sensor of a car is good for 1 to 2 K"))
            .leavesOut("The lag of the sensors, which means over whole pulls mostly take out.");
    /** K, one standard deviation of a sensor. */
    public static final double SENSOR = 1;

    private static final double FLOW_ERROR = 0.05;
    /** J/(kg K) of charge at 350 K. */
    private static final double CHARGE_HEAT = 1008;

    private static final double LEAST_WAY = 10;
    private static final double LEAST_WARMING = 0.5;

    private LogParts() {}

    /**
     * @param value share
     * @param sd    one standard deviation
     */
    public record Effectiveness(double value, double sd) {}

    /**
     * @param value m3/s
     * @param sd    one standard deviation
     */
    public record WaterFlow(double value, double sd) {}

    /** @param cold K of what cools the core @return empty where the charge comes hardly warmer than that */
    public static Optional<Effectiveness> effectiveness(double before, double after, double cold) {
        double way = before - cold;
        if (!(way > LEAST_WAY)) {
            return Optional.empty();
        }
        double e = (before - after) / way;
        return Optional.of(new Effectiveness(e, SENSOR * Math.sqrt(1 + (1 - e) * (1 - e) + e * e) / way));
    }

    /**
     * @param flow    kg/s of charge
     * @param before  K of charge before the core
     * @param after   K behind it
     * @param waterIn K to the core
     * @param out     K behind it
     * @return empty where the water warms by less than sensors can tell
     */
    public static Optional<WaterFlow> waterFlow(
            double flow, double before, double after, double waterIn, double out, GlycolWater coolant) {
        double warming = out - waterIn;
        double drop = before - after;
        if (!(warming > LEAST_WARMING) || !(drop > LEAST_WAY) || !(flow > 0)) {
            return Optional.empty();
        }
        double middle = (waterIn + out) / 2;
        double v = flow * CHARGE_HEAT * drop / (coolant.density(middle) * coolant.heatCapacity(middle) * warming);
        double pair = SENSOR * Math.sqrt(2);
        return Optional.of(
                new WaterFlow(v, v * Math.sqrt(square(pair / warming) + square(pair / drop) + square(FLOW_ERROR))));
    }

    /**
     * @param byWater whether water cools the core
     * @param flow    kg/s of charge at each step as predicted; empty where nothing was
     */
    public static List<LogFinding> of(MeasuredRun run, boolean byWater, Optional<double[]> flow, GlycolWater coolant) {
        SeenRun seen = run.seen();
        Load load = Load.of(seen);
        LogSeries log = run.log();
        List<LogFinding> found = new ArrayList<>();
        Channel behind = log.has(Channel.AFTER_CORE) ? Channel.AFTER_CORE : Channel.INTAKE;
        double before = Loaded.mean(seen, load, log.of(Channel.BEFORE_CORE));
        double after = Loaded.mean(seen, load, log.of(behind));
        double water = Loaded.mean(seen, load, log.of(Channel.WATER_TO_CORE));
        if (!log.has(Channel.BEFORE_CORE)) {
            found.add(LogFinding.of(LogFinding.Kind.LOG_WANTS_BEFORE_CORE));
        } else if (Double.isNaN(after)) {
            found.add(LogFinding.of(LogFinding.Kind.LOG_WANTS_AFTER_CORE));
        } else {
            boolean againstWater = byWater && !Double.isNaN(water);
            effectiveness(before, after, againstWater ? water : seen.outside())
                    .ifPresent(e -> found.add(LogFinding.of(LogFinding.Kind.LOG_EFFECTIVENESS)
                            .with("share", e.value(), Quantity.SHARE)
                            .with("sd", 2 * e.sd(), Quantity.SHARE)
                            .with("water", againstWater ? 1 : 0, Quantity.NUMBER)));
        }
        double loss = Loaded.mean(seen, load, log.of(Channel.PRESSURE_BEFORE))
                - Loaded.mean(seen, load, log.of(Channel.PRESSURE_AFTER));
        if (!Double.isNaN(loss)) {
            found.add(LogFinding.of(LogFinding.Kind.LOG_CORE_LOSS).with("loss", loss, Quantity.PRESSURE));
        }
        double charge = flow.map(f -> Loaded.mean(seen, load, f)).orElse(Double.NaN);
        waterFlow(charge, before, after, water, Loaded.mean(seen, load, log.of(Channel.WATER_FROM_CORE)), coolant)
                .ifPresent(w -> found.add(LogFinding.of(LogFinding.Kind.LOG_WATER_FLOW)
                        .with("flow", w.value(), Quantity.VOLUME_FLOW)
                        .with("sd", 2 * w.sd(), Quantity.VOLUME_FLOW)));
        return found;
    }

    private static double square(double x) {
        return x * x;
    }
}
