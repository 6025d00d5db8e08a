package io.enthalpa.core.telemetry;

import io.enthalpa.core.build.Answer;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.chargepath.Pieces;
import io.enthalpa.core.endurance.Sensor;
import io.enthalpa.core.endurance.Trace;
import io.enthalpa.core.fluid.GlycolWater;
import io.enthalpa.core.plant.CoreTrace;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import io.enthalpa.core.verdict.Load;
import io.enthalpa.core.verdict.SeenRun;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A log beside what the model says of the same drive.
 *
 * @param run       as measured
 * @param trace     as predicted for the same speeds, boost and air
 * @param predicted K, Pa or m3/s at the steps of the log, of each channel that the model knows
 * @param matches   how far each of those is off
 */
public record Beside(MeasuredRun run, Trace trace, Map<Channel, double[]> predicted, List<Match> matches) {
    public static final Method METHOD = Method.of(
                    "measured-beside-predicted",
                    "Measured beside predicted",
                    "The model runs the log's own speeds and boost in its own air. What it says of each channel, seen through a sensor as slow as the intake's, is laid over what was measured; means of the difference under load and "
                            + "running without load tell which way it is off. Where there is a channel before the core, the part of the difference that comes with the charge is told from that of the core; "
                            + "where there is one of the water, the part that comes with the water.")
            .formula("of the blower: (1 - e) dTb; of the water or air: e dTc; e = predicted effectiveness")
            .source(Citation.commonPractice("a difference of less than 2 K under load is agreement"))
            .leavesOut("The lag of each sensor, which is the intake's for all.");

    /**
     * @param channel     compared
     * @param load        mean of predicted less measured under load; NaN without load
     * @param rest        mean of it, running without load; NaN without
     * @param rms         root of the mean square over all running
     * @param measured    mean under load
     * @param predicted   mean under load
     * @param loadSeconds of load
     */
    public record Match(
            Channel channel,
            double load,
            double rest,
            double rms,
            double measured,
            double predicted,
            double loadSeconds) {}

    /** @param answer of an option whose build is driven by the log ({@link MeasuredDuty}) */
    public static Beside of(MeasuredRun run, Answer answer) {
        Trace trace = answer.soak();
        Map<Channel, double[]> predicted =
                predicted(trace, sinceStart(run), answer.targets().sensor());
        List<Match> matches = new ArrayList<>();
        Load load = Load.of(run.seen());
        predicted.forEach((channel, values) -> {
            if (run.log().has(channel)) {
                matches.add(match(channel, run, load, values));
            }
        });
        return new Beside(run, trace, predicted, List.copyOf(matches));
    }

    public Optional<Match> match(Channel channel) {
        return matches.stream().filter(m -> m.channel() == channel).findFirst();
    }

    /** @return kg/s of charge at the steps of the log */
    public double[] flow() {
        return at(trace, trace.flow(), sinceStart(run));
    }

    /** @return whether water cools the core nearest the plenum */
    public boolean byWater() {
        return trace.core() != null && trace.core().cold().byWater();
    }

    /** @return the coolant of the core nearest the plenum; water where air cools it */
    public static GlycolWater coolant(List<PathElement> path) {
        List<PathElement.Core> cores = Pieces.cores(path);
        return cores.isEmpty()
                ? GlycolWater.WATER
                : Pieces.loopOf(cores.get(cores.size() - 1), path)
                        .map(loop -> loop.coolant())
                        .orElse(GlycolWater.WATER);
    }

    private static Match match(Channel channel, MeasuredRun run, Load load, double[] predicted) {
        SeenRun seen = run.seen();
        double[] measured = run.log().of(channel);
        double[] off = new double[measured.length];
        double square = 0;
        double all = 0;
        double rest = 0;
        double resting = 0;
        double loaded = 0;
        for (int i = 0; i < off.length; i++) {
            off[i] = predicted[i] - measured[i];
            if (!seen.running()[i] || Double.isNaN(off[i])) {
                continue;
            }
            double dt = seen.duration()[i];
            square += off[i] * off[i] * dt;
            all += dt;
            loaded += load.judged(i) ? dt : 0;
            if (!load.judged(i) && !load.isStartSoak(i)) {
                rest += off[i] * dt;
                resting += dt;
            }
        }
        return new Match(
                channel,
                Loaded.mean(seen, load, off),
                resting == 0 ? Double.NaN : rest / resting,
                all == 0 ? Double.NaN : Math.sqrt(square / all),
                Loaded.mean(seen, load, measured),
                Loaded.mean(seen, load, predicted),
                loaded);
    }

    /** The run begins with the first row of the log. */
    private static double[] sinceStart(MeasuredRun run) {
        double[] time = run.seen().time().clone();
        double zero = time.length == 0 ? 0 : time[0];
        for (int i = 0; i < time.length; i++) {
            time[i] -= zero;
        }
        return time;
    }

    /** @param time s of the run @return what sensors in a run would show at moments of it, by channel */
    static Map<Channel, double[]> predicted(Trace trace, double[] time, Sensor sensor) {
        Map<Channel, double[]> of = new EnumMap<>(Channel.class);
        of.put(Channel.INTAKE, at(trace, trace.shown(), time));
        CoreTrace core = trace.core();
        if (core == null) {
            return of;
        }
        of.put(Channel.BEFORE_CORE, at(trace, seenBy(sensor, trace, trace.coreIn()), time));
        of.put(Channel.AFTER_CORE, at(trace, seenBy(sensor, trace, core.out()), time));
        CoreTrace.Cold cold = core.cold();
        if (cold.byWater()) {
            of.put(Channel.WATER_TO_CORE, at(trace, cold.in(), time));
            of.put(Channel.WATER_FROM_CORE, at(trace, cold.out(), time));
            of.put(Channel.WATER_FLOW, at(trace, cold.water(), time));
            if (cold.leads()) {
                of.put(Channel.WATER_TANK, at(trace, cold.tank(), time));
            }
        }
        return of;
    }

    /** @return what a sensor in the stream shows; it holds what it last showed while the engine stands */
    private static double[] seenBy(Sensor sensor, Trace trace, double[] truth) {
        double[] shown = new double[truth.length];
        double now = Double.NaN;
        for (int i = 0; i < truth.length; i++) {
            if (trace.flow()[i] > 0) {
                now = Double.isNaN(now)
                        ? truth[i]
                        : sensor.after(now, truth[i], Sensor.REFERENCE_FLUX, trace.duration()[i]);
            }
            shown[i] = now;
        }
        return shown;
    }

    /** @param time s of the run @return straight between the steps of the trace; before the first its value */
    static double[] at(Trace trace, double[] column, double[] time) {
        double[] values = new double[time.length];
        int i = 0;
        for (int k = 0; k < time.length; k++) {
            double t = time[k];
            while (i < column.length - 1 && trace.time()[i] < t) {
                i++;
            }
            if (i == 0 || trace.time()[i] <= t) {
                values[k] = column[i];
            } else {
                double share = (t - trace.time()[i - 1]) / (trace.time()[i] - trace.time()[i - 1]);
                values[k] = column[i - 1] + share * (column[i] - column[i - 1]);
            }
        }
        return values;
    }
}
