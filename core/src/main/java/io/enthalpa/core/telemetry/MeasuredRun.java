package io.enthalpa.core.telemetry;

import io.enthalpa.core.build.Build;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import io.enthalpa.core.verdict.SeenRun;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;

/**
 * A log as a run that can be judged as a computed one is.
 *
 * @param log             in equal steps
 * @param seen            what it is judged by
 * @param judged          the channel that stands for the intake; empty where neither it nor the charge behind the core was logged
 * @param speed           rad/s of the crankshaft
 * @param roadSpeed       m/s; NaN where it was not logged
 * @param outsideMeasured whether the outside air was logged
 */
public record MeasuredRun(
        LogSeries log,
        SeenRun seen,
        Optional<Channel> judged,
        double[] speed,
        double[] roadSpeed,
        boolean outsideMeasured) {
    public static final Method METHOD = Method.of(
                    "measured-run",
                    "A log as a run",
                    "The engine runs from 300 rpm. Boost is the log's own, or manifold pressure less the outside pressure, or what the throttle asks. Outside air is the middle of what was "
                            + "logged while the car rolls, for a sensor behind a standing car reads its own heat. Temperatures are smoothed over two seconds before they are judged.")
            .source(Citation.commonPractice("an idling engine turns at 600 rpm or more; under 300 it is being cranked"))
            .leavesOut("Weather that changes during the log.");
    static final double RUNS = 300 * Math.PI / 30;
    private static final double ROLLS = 20 / 3.6;
    /** s to each side. */
    private static final double SMOOTH = 1;

    /** @return a log of a build, judged as one of its options; what was not logged is the build's */
    public static MeasuredRun of(LogSeries log, Build build, String letter) {
        return of(
                log,
                new LoggedLoad(
                        build.gearing(),
                        build.climate().ambient().pressure(),
                        build.option(letter).boost(),
                        build.engine().maxSpeed()),
                build.climate().temperature());
    }

    /** @param outside K where the log has none */
    public static MeasuredRun of(LogSeries log, LoggedLoad load, double outside) {
        Set<Channel> logged = EnumSet.noneOf(Channel.class);
        logged.addAll(log.channels());
        int n = log.length();
        double[] duration = new double[n];
        for (int i = 0; i < n; i++) {
            duration[i] = i == 0 ? (n > 1 ? log.time()[1] - log.time()[0] : 1) : log.time()[i] - log.time()[i - 1];
        }
        double[] roadSpeed = log.held(Channel.ROAD_SPEED);
        double[] speed = new double[n];
        boolean known = logged.contains(Channel.ENGINE_SPEED)
                || load.gearing().isPresent() && logged.contains(Channel.ROAD_SPEED);
        double[] engine = log.held(Channel.ENGINE_SPEED);
        double[] boost = new double[n];
        Optional<Channel> loaded = LoggedLoad.loadChannel(logged);
        double[] asked = loaded.map(log::held).orElse(boost);
        boolean[] running = new boolean[n];
        for (int i = 0; i < n; i++) {
            int at = i;
            speed[i] = known
                    ? load.speed(logged, c -> c == Channel.ENGINE_SPEED ? engine[at] : roadSpeed[at])
                    : Double.NaN;
            running[i] = !known || speed[i] > RUNS;
            double here = asked[i];
            boost[i] = running[i] && !Double.isNaN(here)
                    ? loaded.map(c -> load.boost(c, here)).orElse(0.0)
                    : 0;
        }
        Optional<Channel> judged = logged.contains(Channel.INTAKE)
                ? Optional.of(Channel.INTAKE)
                : Optional.of(Channel.AFTER_CORE).filter(logged::contains);
        double[] intake = judged.map(c -> smooth(log.time(), log.held(c))).orElseGet(() -> {
            double[] none = new double[n];
            Arrays.fill(none, outside);
            return none;
        });
        double[] air = log.of(Channel.OUTSIDE);
        double middle = middle(air, roadSpeed);
        double[] cold = logged.contains(Channel.WATER_TO_CORE)
                ? smooth(log.time(), log.held(Channel.WATER_TO_CORE))
                : new double[0];
        return new MeasuredRun(
                log,
                new SeenRun(
                        log.time(),
                        duration,
                        running,
                        boost,
                        intake,
                        Double.isNaN(middle) ? outside : middle,
                        cold,
                        new boolean[n]),
                judged,
                speed,
                roadSpeed,
                !Double.isNaN(middle));
    }

    /** The middle of what was logged while rolling; of all where the car never rolls; NaN without any. */
    private static double middle(double[] air, double[] roadSpeed) {
        double[] rolling = new double[air.length];
        double[] all = new double[air.length];
        int r = 0;
        int a = 0;
        for (int i = 0; i < air.length; i++) {
            if (!Double.isNaN(air[i])) {
                all[a++] = air[i];
                if (roadSpeed[i] > ROLLS) {
                    rolling[r++] = air[i];
                }
            }
        }
        double[] taken = r > 0 ? Arrays.copyOf(rolling, r) : Arrays.copyOf(all, a);
        Arrays.sort(taken);
        return taken.length == 0 ? Double.NaN : taken[taken.length / 2];
    }

    /** @return means over a second to each side */
    static double[] smooth(double[] time, double[] values) {
        double[] smooth = new double[values.length];
        double sum = 0;
        int from = 0;
        int to = 0;
        for (int i = 0; i < values.length; i++) {
            while (to < values.length && time[to] <= time[i] + SMOOTH) {
                sum += values[to++];
            }
            while (time[from] < time[i] - SMOOTH) {
                sum -= values[from++];
            }
            smooth[i] = sum / (to - from);
        }
        return smooth;
    }
}
