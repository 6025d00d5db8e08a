package io.enthalpa.core.school;

import io.enthalpa.core.build.Answer;
import io.enthalpa.core.build.Build;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.duty.Duty;
import io.enthalpa.core.duty.DutyPoint;
import io.enthalpa.core.duty.Gearing;
import io.enthalpa.core.endurance.Trace;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import io.enthalpa.core.telemetry.Channel;
import io.enthalpa.core.telemetry.FaultSearch;
import io.enthalpa.core.telemetry.LogSeries;
import io.enthalpa.core.telemetry.MeasuredDuty;
import io.enthalpa.core.telemetry.MeasuredRun;
import io.enthalpa.core.telemetry.SimulatedLog;
import io.enthalpa.core.telemetry.SoakedSensor;
import io.enthalpa.core.telemetry.Suspect;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;

/**
 * A drive with a hidden fault: which one, how large and what the car has sensors for follow from the seed alone.
 *
 * @param build   whose car it is, with the drive as its duty
 * @param letter  of its option
 * @param hidden  empty where nothing is wrong
 * @param size    in usual faults
 * @param offered what it could be
 * @param log     as the car's sensors showed it
 * @param healthy what a car without a fault would have shown; empty where the reader does without
 */
public record TraceCase(
        Build build,
        String letter,
        Optional<Suspect> hidden,
        double size,
        List<Suspect> offered,
        LogSeries log,
        Optional<LogSeries> healthy) {
    public static final Method METHOD = Method.of(
                    "trace-school",
                    "Cases to learn on",
                    "A car, a fault and its size are drawn by the seed; the drive idles, pulls three times and rolls in between. Easy: a large fault, a sensor everywhere, what a healthy car shows beside it. Fair: a usual one, a sensor before and behind the "
                            + "core and one in the water. Hard: a small one, the intake and the outside air alone. One in seven cars is healthy. An answer counts that names the fault, and half that names one the log cannot tell from it: whose odds are a fourth or more.")
            .source(Citation.commonPractice("what can be told from how many sensors"))
            .leavesOut("Two faults at once.");
    /** Odds from which an answer is as good as the log lets it be. */
    private static final double AS_GOOD = 0.25;

    private static final int HEALTHY = 7;
    private static final double IDLE_ROAD = 0;
    private static final double[] PULLS = {0.6, 1, 0.8};

    /** How hard it is. */
    public enum Level {
        EASY(0, 1.5, 2.1),
        FAIR(1, 0.8, 1.3),
        HARD(2, 0.5, 0.9);

        /** So that one seed is another case at another level. */
        private final int salt;

        private final double smallest;
        private final double largest;

        Level(int salt, double smallest, double largest) {
            this.salt = salt;
            this.smallest = smallest;
            this.largest = largest;
        }

        private boolean hasSensor(Channel channel) {
            return switch (this) {
                case EASY -> channel != Channel.WATER_FLOW;
                case FAIR -> FAIR_SENSORS.contains(channel);
                case HARD -> HARD_SENSORS.contains(channel);
            };
        }
    }

    private static final Set<Channel> HARD_SENSORS =
            EnumSet.of(Channel.ENGINE_SPEED, Channel.ROAD_SPEED, Channel.BOOST, Channel.OUTSIDE, Channel.INTAKE);
    private static final Set<Channel> FAIR_SENSORS = EnumSet.of(
            Channel.ENGINE_SPEED,
            Channel.ROAD_SPEED,
            Channel.BOOST,
            Channel.OUTSIDE,
            Channel.INTAKE,
            Channel.BEFORE_CORE,
            Channel.AFTER_CORE,
            Channel.WATER_TO_CORE);

    /** What an answer is worth. */
    public enum Worth {
        RIGHT,
        /** This log cannot tell it from what was hidden. */
        AS_GOOD,
        WRONG
    }

    /**
     * @param cause   of the fault that was named
     * @param test    whether the first test finds it
     * @param ranking what the log itself says
     */
    public record Grade(Worth cause, boolean test, FaultSearch.Ranking ranking) {}

    /** @param cars to draw one from */
    public static TraceCase of(List<Build> cars, Level level, long seed) {
        Random random = new Random(seed * 0x9E3779B97F4A7C15L + level.salt);
        Build car = cars.get(random.nextInt(cars.size()));
        BuildOption option = car.options().get(random.nextInt(car.options().size()));
        Build build = car.withDuty(car.climate(), drive(car, option, random));
        Answer well = new Answer(build, option.letter());
        List<Suspect> offered = Suspect.of(well);
        boolean healthy = random.nextInt(HEALTHY) == 0;
        Suspect drawn = offered.get(random.nextInt(offered.size()));
        double size = level.smallest + random.nextDouble() * (level.largest - level.smallest);
        Optional<Suspect> hidden = healthy ? Optional.empty() : Optional.of(drawn);
        Answer sick =
                hidden.map(s -> new Answer(build, option.letter(), s.at(size))).orElse(well);
        Trace trace = sick.soak();
        List<Channel> channels = SimulatedLog.channels(sick, trace).stream()
                .filter(level::hasSensor)
                .toList();
        double soaked = by(hidden, Suspect.SENSOR, size);
        // The weather is what it is, whatever air the car draws.
        double warmer = by(hidden, Suspect.WARM_AIR, size);
        return new TraceCase(
                build,
                option.letter(),
                hidden,
                healthy ? 0 : size,
                offered,
                log(sick, trace, channels, seed, soaked, warmer),
                level == Level.EASY ? Optional.of(log(well, well.soak(), channels, seed, 0, 0)) : Optional.empty());
    }

    private static double by(Optional<Suspect> hidden, Suspect suspect, double size) {
        return hidden.filter(s -> s == suspect).map(s -> s.by(size)).orElse(0.0);
    }

    private static LogSeries log(
            Answer answer, Trace trace, List<Channel> channels, long seed, double soaked, double warmer) {
        LogSeries.Growing rows = new LogSeries.Growing(channels);
        int intake = channels.indexOf(Channel.INTAKE);
        int outside = channels.indexOf(Channel.OUTSIDE);
        SoakedSensor sensor = new SoakedSensor(trace, soaked);
        SimulatedLog.write(answer, trace, channels, seed, (time, row) -> {
            double[] shown = row.clone();
            shown[intake] += soaked == 0 ? 0 : sensor.at(time);
            shown[outside] -= warmer;
            rows.row(time, shown);
        });
        return rows.series();
    }

    private static Duty drive(Build car, BuildOption option, Random random) {
        double idle =
                car.gearing().map(Gearing::idle).orElse(0.16 * car.engine().maxSpeed());
        double full = car.fullLoad().speed();
        double road = car.fullLoad().roadSpeed();
        List<DutyPoint> rows = new ArrayList<>();
        double t = 0;
        t = hold(rows, t, 60, idle, 0, IDLE_ROAD);
        for (double share : PULLS) {
            t = hold(rows, t, 30 + random.nextInt(20), full, option.boost(), share * road);
            t = hold(rows, t, 25 + random.nextInt(25), 0.4 * full, 0.05 * option.boost(), share * road);
        }
        hold(rows, t, 40, idle, 0, IDLE_ROAD);
        return new Duty("three pulls", true, 5 + random.nextInt(10), 1, 0, rows);
    }

    private static double hold(
            List<DutyPoint> rows, double from, double seconds, double speed, double boost, double road) {
        rows.add(new DutyPoint(from, speed, boost, road));
        rows.add(new DutyPoint(from + seconds, speed, boost, road));
        return from + seconds + 1;
    }

    /**
     * @param cause empty where the reader holds the car for healthy
     * @param test  first test; empty where there is nothing to test
     */
    public Grade grade(Optional<Suspect> cause, Optional<Suspect> test) {
        MeasuredRun run = MeasuredRun.of(log, build, letter);
        FaultSearch search = new FaultSearch(MeasuredDuty.of(build, run), letter, run);
        for (int i = 0; i < search.parts(); i++) {
            search.run(i);
        }
        FaultSearch.Ranking ranking = search.ranking().orElseThrow();
        boolean right = cause.equals(hidden);
        Worth worth = right ? Worth.RIGHT : odds(ranking, cause) >= AS_GOOD ? Worth.AS_GOOD : Worth.WRONG;
        return new Grade(worth, test.equals(hidden), ranking);
    }

    private static double odds(FaultSearch.Ranking ranking, Optional<Suspect> cause) {
        for (int i = 0; i < ranking.found().size(); i++) {
            if (cause.isPresent() && ranking.found().get(i).suspect() == cause.get()) {
                return ranking.odds()[i];
            }
        }
        return cause.isEmpty() ? ranking.nothing() : 0;
    }
}
