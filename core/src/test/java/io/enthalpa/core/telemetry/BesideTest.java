package io.enthalpa.core.telemetry;

import static io.enthalpa.core.telemetry.Channel.AFTER_CORE;
import static io.enthalpa.core.telemetry.Channel.BEFORE_CORE;
import static io.enthalpa.core.telemetry.Channel.BOOST;
import static io.enthalpa.core.telemetry.Channel.ENGINE_SPEED;
import static io.enthalpa.core.telemetry.Channel.INTAKE;
import static io.enthalpa.core.telemetry.Channel.OUTSIDE;
import static io.enthalpa.core.telemetry.Channel.ROAD_SPEED;
import static io.enthalpa.core.telemetry.Channel.WATER_TANK;
import static io.enthalpa.core.telemetry.Channel.WATER_TO_CORE;
import static io.enthalpa.core.telemetry.Logs.RPM;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.Systems;
import io.enthalpa.core.build.Answer;
import io.enthalpa.core.build.Build;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.duty.Duty;
import io.enthalpa.core.duty.DutyPoint;
import io.enthalpa.core.endurance.EnergyAudit;
import io.enthalpa.core.endurance.Trace;
import io.enthalpa.core.engine.EngineSpec;
import io.enthalpa.core.plant.CoreTrace;
import io.enthalpa.core.telemetry.Beside.Match;
import io.enthalpa.core.telemetry.LogFinding.Kind;
import io.enthalpa.core.verdict.Targets;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

/** A log beside the model: how it drives it, how far they are apart, and what that means. */
class BesideTest {
    private static Build build(Systems s) {
        return new Build(
                "bench",
                "",
                new EngineSpec(0.0023, 4, 0.92, 7000 * RPM),
                new Build.Climate(290, 0, 0.4, OptionalDouble.empty()),
                new Targets(325, 340),
                new Build.FullLoad(5000 * RPM, 20),
                new Duty(
                        "hold",
                        true,
                        10,
                        1,
                        0,
                        List.of(new DutyPoint(0, 500, 90e3, 15), new DutyPoint(9, 500, 90e3, 15))),
                Optional.empty(),
                Optional.empty(),
                List.of(new BuildOption("A", "first", 90e3, s.path().elements(), List.of())));
    }

    /** 20 s without load, 60 s of load, 20 s without, 60 s of load. */
    private static Logs drive(double intake) {
        Logs log = Logs.of(ENGINE_SPEED, BOOST, ROAD_SPEED, OUTSIDE, INTAKE);
        for (int i = 0; i < 2; i++) {
            log.then(20, 2000 * RPM, -30e3, 20, 303, intake).then(60, 5000 * RPM, 90e3, 25, 303, intake);
        }
        return log;
    }

    @Test
    void theLogIsTheDutyAndItsAirTheWeather() {
        MeasuredDuty driven =
                MeasuredDuty.of(build(Systems.standard()), drive(318).run());
        Duty duty = driven.build().duty();
        assertThat(driven.build().climate().temperature()).isCloseTo(303, within(1e-3));
        assertThat(duty.startAbove())
                .as("the intake's, without a channel of the water")
                .isCloseTo(15, within(1e-3));
        assertThat(driven.start()).contains(INTAKE);
        assertThat(duty.runLength()).isCloseTo(159.9, within(1e-6));
        Duty.Cursor at = duty.cursor();
        at.moveTo(50);
        assertThat(at.speed()).isCloseTo(5000 * RPM, within(1e-3));
        assertThat(at.boost()).isCloseTo(90e3, within(1.0));
        assertThat(at.roadSpeed()).isCloseTo(25, within(1e-6));
        assertThat(duty.followsBoost()).as("what was logged is not scaled").isFalse();
    }

    @Test
    void waterSaysHowWarmItStartsBeforeTheIntakeDoes() {
        Logs log = Logs.of(ENGINE_SPEED, BOOST, OUTSIDE, INTAKE, WATER_TO_CORE, WATER_TANK)
                .then(30, 5000 * RPM, 90e3, 303, 330, 309, 295);
        assertThat(MeasuredDuty.of(build(Systems.standard()), log.run()).start())
                .contains(WATER_TANK);
        assertThat(MeasuredDuty.of(build(Systems.standard()), log.run())
                        .build()
                        .duty()
                        .startAbove())
                .as("colder than outside counts as outside")
                .isZero();
    }

    @Test
    void whatTheModelCannotDoWithoutIsAskedFor() {
        assertThatThrownBy(() -> MeasuredDuty.of(
                        build(Systems.standard()),
                        Logs.of(BOOST, INTAKE).then(9, 90e3, 310).run()))
                .hasMessageContaining("without engine speed");
        assertThatThrownBy(() -> MeasuredDuty.of(
                        build(Systems.standard()),
                        Logs.of(ENGINE_SPEED, INTAKE).then(9, 400, 310).run()))
                .hasMessageContaining("without boost");
    }

    /** The model's own answer as a log, 5 K warmer at the plenum, 7 without load, and 12 K before the core. */
    @Test
    void aKnownDifferenceIsFoundWhereItIs() {
        Build build = build(Systems.standard());
        Build driven = MeasuredDuty.of(build, drive(318).run()).build();
        Trace trace = new Answer(driven, "A").soak();
        MeasuredRun run = drive(318).run();
        Beside own = Beside.of(run, new Answer(driven, "A"));
        LogSeries.Growing rows =
                new LogSeries.Growing(List.of(ENGINE_SPEED, BOOST, OUTSIDE, BEFORE_CORE, AFTER_CORE, INTAKE));
        for (int i = 0; i < run.seen().length(); i++) {
            rows.row(run.seen().time()[i], new double[] {
                run.speed()[i],
                run.seen().boost()[i],
                303,
                own.predicted().get(BEFORE_CORE)[i] + 12,
                own.predicted().get(AFTER_CORE)[i],
                own.predicted().get(INTAKE)[i] + (run.seen().boost()[i] > 0 ? 5 : 7)
            });
        }
        Beside beside = Beside.of(MeasuredRun.of(rows.series(), Logs.LOAD, 303), new Answer(driven, "A"));
        assertThat(beside.match(INTAKE).orElseThrow().load()).isCloseTo(-5, within(0.02));
        assertThat(beside.match(INTAKE).orElseThrow().rest()).isCloseTo(-7, within(0.05));
        assertThat(beside.match(INTAKE).orElseThrow().rms())
                .as("a quarter of the time 7, the rest 5")
                .isCloseTo(Math.sqrt((49 + 3 * 25) / 4.0), within(0.02));
        assertThat(beside.match(BEFORE_CORE).orElseThrow().load()).isCloseTo(-12, within(0.02));
        assertThat(beside.match(AFTER_CORE).orElseThrow().load()).isCloseTo(0, within(0.02));
        assertThat(beside.match(WATER_TO_CORE)).isEmpty();
        double half = own.predicted().get(INTAKE)[800];
        int at = 0;
        while (trace.time()[at] < run.seen().time()[800]) {
            at++;
        }
        assertThat(half).as("at the same moment").isCloseTo(trace.shown()[at], within(0.1));
        assertThat(Logs.kinds(BesideFindings.of(beside))).first().isEqualTo(Kind.BESIDE_COLD_ALL);
    }

    /** Moments are those of the run, wherever the first of them lies. */
    @Test
    void whatIsAskedLaterIsToldOfThen() {
        Trace.Columns columns = Trace.Columns.of(new double[] {1, 1, 1, 1});
        for (int i = 0; i < 4; i++) {
            columns.time()[i] = i + 1;
        }
        Trace trace = new Trace(
                columns, 300, List.of(), List.of(), List.of(), List.of(), List.of(), new EnergyAudit(0, 0, 0, 0));
        assertThat(Beside.at(trace, new double[] {10, 20, 30, 40}, new double[] {2.5, 3, 9}))
                .containsExactly(new double[] {25, 30, 40}, within(1e-12));
    }

    /** A core of effectiveness 0.75: charge 400 K, behind it 325, water 300. */
    private static Beside apart(boolean byWater, Match... matches) {
        CoreTrace.Cold cold = CoreTrace.Cold.of(byWater, false, false, 2);
        Arrays.fill(cold.in(), 300);
        CoreTrace core = new CoreTrace(
                "core", Logs.all(2, 400), Logs.all(2, 325), Logs.all(2, 0.2), new double[2], cold, List.of());
        Trace trace = new Trace(
                Trace.Columns.of(new double[] {1, 1}),
                300,
                List.of(core),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                new EnergyAudit(0, 0, 0, 0));
        return new Beside(drive(318).run(), trace, Map.of(), List.of(matches));
    }

    private static Match off(Channel channel, double load, double rest) {
        return new Match(channel, load, rest, 0, 0, 0, 60);
    }

    private static List<LogFinding> says(boolean byWater, Match... matches) {
        return BesideFindings.of(apart(byWater, matches));
    }

    @Test
    void whichWayItIsOffIsSaidAsAFabricatorWould() {
        assertThat(Logs.kinds(says(false, off(INTAKE, 1.9, -1.9)))).containsExactly(Kind.BESIDE_AGREES);
        assertThat(Logs.kinds(says(false, off(INTAKE, 0.5, 4)))).containsExactly(Kind.BESIDE_AT_REST);
        assertThat(Logs.kinds(says(false, off(INTAKE, -4, 0.4)))).first().isEqualTo(Kind.BESIDE_COLD_LOAD);
        assertThat(Logs.kinds(says(false, off(INTAKE, -4, 3)))).first().isEqualTo(Kind.BESIDE_COLD_LOAD);
        assertThat(Logs.kinds(says(false, off(INTAKE, 4, Double.NaN)))).first().isEqualTo(Kind.BESIDE_WARM_LOAD);
        assertThat(Logs.kinds(says(false, off(INTAKE, 4, 3)))).first().isEqualTo(Kind.BESIDE_WARM_ALL);
        assertThat(Logs.kinds(says(false, off(INTAKE, Double.NaN, 3)))).containsExactly(Kind.BESIDE_NO_LOAD);
        LogFinding cold = says(false, off(INTAKE, -4, 0.4)).get(0);
        assertThat(Logs.figure(cold, "load")).isEqualTo(4);
    }

    /** Of 12 K before the core a quarter comes through: 3 K of 5. Of 8 K: 2 of 5, less than half. */
    @Test
    void theBlowersPartIsWhatComesThroughTheCore() {
        assertThat(Logs.kinds(says(false, off(INTAKE, -5, 0), off(BEFORE_CORE, -12, 0))))
                .containsExactly(Kind.BESIDE_COLD_LOAD, Kind.BESIDE_OF_BLOWER);
        assertThat(Logs.kinds(says(false, off(INTAKE, -5, 0), off(BEFORE_CORE, -8, 0))))
                .containsExactly(Kind.BESIDE_COLD_LOAD, Kind.BESIDE_OF_CORE);
        assertThat(Logs.kinds(says(false, off(INTAKE, -5, 0), off(BEFORE_CORE, 12, 0))))
                .as("the blower speaks the other way")
                .containsExactly(Kind.BESIDE_COLD_LOAD, Kind.BESIDE_OF_CORE);
    }

    /** Of 4 K of water three quarters come through: 3 K of 5. Of 3 K: 2.25 of 5. */
    @Test
    void theWatersPartIsWhatTheCoreHandsOn() {
        assertThat(Logs.kinds(says(true, off(INTAKE, 5, 0), off(BEFORE_CORE, 0, 0), off(WATER_TO_CORE, 4, 0))))
                .containsExactly(Kind.BESIDE_WARM_LOAD, Kind.BESIDE_OF_WATER);
        assertThat(Logs.kinds(says(true, off(INTAKE, 5, 0), off(BEFORE_CORE, 0, 0), off(WATER_TO_CORE, 3, 0))))
                .containsExactly(Kind.BESIDE_WARM_LOAD, Kind.BESIDE_OF_CORE);
    }

    private static Match under(Channel channel, double measured, double predicted) {
        return new Match(channel, predicted - measured, 0, 0, measured, predicted, 60);
    }

    /** 14 K where 8 were predicted is 1.75 times as much; 10 where 8 were is 1.25 times. */
    @Test
    void waterThatWarmsByMuchMoreGoesRoundTooSlowly() {
        LogFinding flow = says(
                        true,
                        off(INTAKE, -5, 0),
                        off(BEFORE_CORE, 0, 0),
                        under(WATER_TO_CORE, 308, 308),
                        under(Channel.WATER_FROM_CORE, 322, 316))
                .get(1);
        assertThat(flow.kind()).isEqualTo(Kind.BESIDE_OF_FLOW);
        assertThat(Logs.figure(flow, "measured")).isCloseTo(14, within(1e-9));
        assertThat(Logs.figure(flow, "predicted")).isCloseTo(8, within(1e-9));
        assertThat(Logs.figure(flow, "less")).isZero();
        assertThat(says(
                                true,
                                off(INTAKE, -5, 0),
                                off(BEFORE_CORE, 0, 0),
                                under(WATER_TO_CORE, 308, 308),
                                under(Channel.WATER_FROM_CORE, 318, 316))
                        .get(1)
                        .kind())
                .isEqualTo(Kind.BESIDE_OF_CORE);
        assertThat(Logs.figure(
                        says(
                                        true,
                                        off(INTAKE, 5, 0),
                                        under(WATER_TO_CORE, 308, 308),
                                        under(Channel.WATER_FROM_CORE, 311, 316))
                                .get(1),
                        "less"))
                .as("more goes round")
                .isOne();
    }

    @Test
    void whatIsOffAllAlongIsNoMatterOfTheCore() {
        assertThat(Logs.kinds(says(false, off(INTAKE, -4, -3))))
                .containsExactly(Kind.BESIDE_COLD_ALL, Kind.BESIDE_OFFSET);
    }

    @Test
    void withoutTheSensorsNothingIsBlamed() {
        LogFinding air = says(false, off(INTAKE, 5, 0)).get(1);
        assertThat(air.kind()).isEqualTo(Kind.BESIDE_CANNOT_TELL);
        assertThat(Logs.figure(air, "before")).isZero();
        assertThat(Logs.figure(air, "water")).isZero();
        LogFinding water = says(true, off(INTAKE, 5, 0), off(BEFORE_CORE, 0, 0)).get(1);
        assertThat(water.kind()).isEqualTo(Kind.BESIDE_CANNOT_TELL);
        assertThat(Logs.figure(water, "water"))
                .as("one in the water would tell")
                .isOne();
    }
}
