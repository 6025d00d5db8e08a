package io.enthalpa.core.telemetry;

import static io.enthalpa.core.telemetry.Channel.AFTER_CORE;
import static io.enthalpa.core.telemetry.Channel.BEFORE_CORE;
import static io.enthalpa.core.telemetry.Channel.BOOST;
import static io.enthalpa.core.telemetry.Channel.ENGINE_SPEED;
import static io.enthalpa.core.telemetry.Channel.OUTSIDE;
import static io.enthalpa.core.telemetry.Channel.ROAD_SPEED;
import static io.enthalpa.core.telemetry.Logs.RPM;
import static io.enthalpa.core.uncertainty.UncertainInput.BLOWER_EFFICIENCY;

import io.enthalpa.core.Systems;
import io.enthalpa.core.build.Answer;
import io.enthalpa.core.build.Build;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.chargepath.CoolingSide;
import io.enthalpa.core.coolingair.FaceAirSpec;
import io.enthalpa.core.duty.Duty;
import io.enthalpa.core.duty.DutyPoint;
import io.enthalpa.core.endurance.SecondPlant;
import io.enthalpa.core.endurance.Trace;
import io.enthalpa.core.engine.EngineSpec;
import io.enthalpa.core.uncertainty.Perturbation;
import io.enthalpa.core.verdict.Targets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;

/** A drive of a plant that is not the program's own, {@link SecondPlant}: four pulls at four road speeds. */
final class SecondDrive {
    static final double OUTSIDE_K = 300;
    private static final double START = 310;

    private SecondDrive() {}

    static Build build() {
        return build(OUTSIDE_K);
    }

    private static Build build(double outside) {
        Systems s = Systems.standard();
        s.cooling = new CoolingSide.Air(new FaceAirSpec(0.4, 0.5));
        List<DutyPoint> rows = new ArrayList<>();
        double t = 0;
        for (double road : new double[] {12, 30, 20, 40}) {
            rows.add(new DutyPoint(t, 4000 * RPM, 110e3, road));
            rows.add(new DutyPoint(t + 45, 4000 * RPM, 110e3, road));
            rows.add(new DutyPoint(t + 46, 2500 * RPM, 10e3, road));
            rows.add(new DutyPoint(t + 58, 2500 * RPM, 10e3, road));
            t += 60;
        }
        return new Build(
                "bench",
                "",
                new EngineSpec(0.0023, 4, 0.92, 7000 * RPM),
                new Build.Climate(outside, 0, 0.4, OptionalDouble.empty()),
                new Targets(325, 340),
                new Build.FullLoad(5000 * RPM, 20),
                new Duty("pulls", false, START - outside, 1, 0, rows),
                Optional.empty(),
                Optional.empty(),
                List.of(new BuildOption("A", "first", 110e3, s.path().elements(), List.of())));
    }

    /** Of one case: what is true, as a factor. */
    record Truth(double core, double air, double blower, long seed) {
        static Truth of(long seed) {
            Random random = new Random(seed * 7919);
            return new Truth(
                    Math.exp(0.10 * random.nextGaussian()),
                    Math.exp(0.20 * random.nextGaussian()),
                    Math.exp(0.05 * random.nextGaussian()),
                    seed);
        }
    }

    /** A card of the second plant whose conductance is so many times that of the core's own. */
    private static SecondPlant.Card card(double times) {
        double onCard = 8 * 0.5 * 0.25 * 101325 / (287.05 * 298.15) * 1006;
        double wanted = times * new SecondPlant.Card(0.2, 0.2 * 1011, 413.15, 320.15, onCard, 298.15).conductance();
        double cold = 299;
        double hot = 400;
        for (int i = 0; i < 40; i++) {
            double middle = (cold + hot) / 2;
            boolean more = new SecondPlant.Card(0.2, 0.2 * 1011, 413.15, middle, onCard, 298.15).conductance() > wanted;
            cold = more ? middle : cold;
            hot = more ? hot : middle;
        }
        return new SecondPlant.Card(0.2, 0.2 * 1011, 413.15, cold, onCard, 298.15);
    }

    /** What slow, noisy sensors, each off by a constant, show of the second plant. */
    static LogSeries log(Truth truth) {
        return log(truth, OUTSIDE_K);
    }

    /** @param outside K of the day, and of all but the start */
    static LogSeries log(Truth truth, double outside) {
        return log(truth, outside, 5);
    }

    /** @param lag s, of the sensors */
    static LogSeries log(Truth truth, double outside, double lag) {
        Trace charge =
                new Answer(build(outside), "A", Perturbation.NONE.with(BLOWER_EFFICIENCY, truth.blower() - 1)).soak();
        SecondPlant plant = new SecondPlant(card(truth.core()), new double[] {0.35, 0.03}, 0.55, 6 * 910, START);
        double perSpeed = truth.air() * 0.5 * 0.25 * 101325 / (287.4 * outside) * 1007;
        Random noise = new Random(truth.seed());
        double offBefore = 0.7 * noise.nextGaussian();
        double offAfter = 0.7 * noise.nextGaussian();
        LogSeries.Growing rows =
                new LogSeries.Growing(List.of(ENGINE_SPEED, BOOST, ROAD_SPEED, OUTSIDE, BEFORE_CORE, AFTER_CORE));
        double now = 0;
        double before = charge.coreIn()[0];
        double after = START;
        double next = 0;
        for (int i = 0; i < charge.length(); i++) {
            for (; now < charge.time()[i] - 1e-9; now += SecondPlant.DT) {
                plant.air(charge.flow()[i], charge.coreIn()[i], perSpeed * 0.4 * charge.roadSpeed()[i], outside);
                before += SecondPlant.DT / lag * (charge.coreIn()[i] - before);
                after += SecondPlant.DT / lag * (plant.out() - after);
            }
            if (charge.time()[i] >= next) {
                rows.row(next, new double[] {
                    charge.speed()[i],
                    charge.boost()[i] + 300 * noise.nextGaussian(),
                    charge.roadSpeed()[i],
                    outside + 0.2 * noise.nextGaussian(),
                    before + offBefore + 0.3 * noise.nextGaussian(),
                    after + offAfter + 0.3 * noise.nextGaussian()
                });
                next += 0.2;
            }
        }
        return rows.series();
    }
}
