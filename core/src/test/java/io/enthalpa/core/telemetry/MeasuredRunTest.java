package io.enthalpa.core.telemetry;

import static io.enthalpa.core.telemetry.Channel.AFTER_CORE;
import static io.enthalpa.core.telemetry.Channel.BOOST;
import static io.enthalpa.core.telemetry.Channel.ENGINE_SPEED;
import static io.enthalpa.core.telemetry.Channel.INTAKE;
import static io.enthalpa.core.telemetry.Channel.MANIFOLD;
import static io.enthalpa.core.telemetry.Channel.OUTSIDE;
import static io.enthalpa.core.telemetry.Channel.ROAD_SPEED;
import static io.enthalpa.core.telemetry.Channel.THROTTLE;
import static io.enthalpa.core.telemetry.Logs.RPM;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** A log as a run: what each of its columns becomes. */
class MeasuredRunTest {
    @Test
    void boostIsTheLogsOwnOrManifoldLessOutsideOrWhatTheThrottleAsks() {
        assertThat(boost(Logs.of(ENGINE_SPEED, BOOST, MANIFOLD, INTAKE).then(1, 3000 * RPM, 40e3, 190e3, 300)))
                .isCloseTo(40e3, within(1.0));
        assertThat(boost(Logs.of(ENGINE_SPEED, MANIFOLD, INTAKE).then(1, 3000 * RPM, 165e3, 300)))
                .as("165 kPa less the 95 outside")
                .isCloseTo(70e3, within(1.0));
        assertThat(boost(Logs.of(ENGINE_SPEED, THROTTLE, INTAKE).then(1, 3000 * RPM, 0.5, 300)))
                .as("half way from shut, 60 kPa under, to 90 kPa")
                .isCloseTo(15e3, within(1.0));
    }

    private static double boost(Logs log) {
        return log.run().seen().boost()[5];
    }

    @Test
    void underThreeHundredTurnsTheEngineStands() {
        MeasuredRun run = Logs.of(ENGINE_SPEED, BOOST, INTAKE)
                .then(1, 299 * RPM, 50e3, 300)
                .then(1, 301 * RPM, 50e3, 300)
                .run();
        assertThat(run.seen().running()[5]).isFalse();
        assertThat(run.seen().boost()[5]).as("what stands makes no boost").isZero();
        assertThat(run.seen().running()[15]).isTrue();
    }

    @Test
    void outsideAirIsTheMiddleOfWhatWasLoggedWhileRolling() {
        MeasuredRun run = Logs.of(ENGINE_SPEED, BOOST, INTAKE, ROAD_SPEED, OUTSIDE)
                .then(60, 900 * RPM, 0, 330, 0, 318)
                .then(20, 3000 * RPM, 50e3, 320, 25, 303)
                .then(1, 3000 * RPM, 50e3, 320, 25, 340)
                .run();
        assertThat(run.seen().outside())
                .as("standing, its own bay warms the sensor")
                .isCloseTo(303, within(1e-3));
        assertThat(run.outsideMeasured()).isTrue();
        assertThat(Logs.of(ENGINE_SPEED, BOOST, INTAKE)
                        .then(2, 3000 * RPM, 0, 300)
                        .run()
                        .outsideMeasured())
                .isFalse();
    }

    @Test
    void temperaturesAreMeansOfTwoSecondsAndGapsHoldTheLastValue() {
        MeasuredRun run = Logs.of(ENGINE_SPEED, BOOST, INTAKE)
                .then(5, 3000 * RPM, 0, 300)
                .then(5, 3000 * RPM, 0, 321)
                .run();
        assertThat(run.seen().intake()[50]).as("11 of 21 rows are warm").isCloseTo(300 + 21 * 11 / 21.0, within(1e-3));
        assertThat(run.seen().intake()[39]).isCloseTo(300, within(1e-3));
        double[] held = Logs.of(INTAKE)
                .then(0.1, Double.NaN)
                .then(0.1, 310)
                .then(0.2, Double.NaN)
                .series()
                .held(INTAKE);
        assertThat(held).containsExactly(310, 310, 310, 310);
    }

    @Test
    void withoutIntakeTheChargeBehindTheCoreIsJudged() {
        assertThat(Logs.of(ENGINE_SPEED, BOOST, AFTER_CORE)
                        .then(1, 3000 * RPM, 0, 310)
                        .run()
                        .judged())
                .contains(AFTER_CORE);
        assertThat(Logs.of(ENGINE_SPEED, BOOST).then(1, 3000 * RPM, 0).run().judged())
                .isEqualTo(Optional.empty());
    }

    @Test
    void stepsAreMeansOfTheirRowsAndWhatHasNoRowIsLeftOut() {
        LogSeries.Growing growing = new LogSeries.Growing(List.of(INTAKE, BOOST));
        Averager averager = new Averager(0.5, 2, growing);
        averager.row(0, new double[] {300, Double.NaN});
        averager.row(0.2, new double[] {302, 10});
        averager.row(0.4, new double[] {307, 20});
        averager.row(2.6, new double[] {310, 0});
        averager.end();
        LogSeries series = growing.series();
        assertThat(series.time()).containsExactly(new double[] {0.2, 2.6}, within(1e-12));
        assertThat(series.of(INTAKE)).containsExactly(303, 310);
        assertThat(series.of(BOOST)).containsExactly(15, 0);
        assertThat(Averager.stepFor(600)).isEqualTo(0.1);
        assertThat(Averager.stepFor(36_000)).isEqualTo(1);
    }

    @Test
    void aPartOfALogBeginsAtZero() {
        LogSeries part = Logs.of(INTAKE)
                .to(10, new double[] {300}, new double[] {399})
                .series()
                .between(2, 3);
        assertThat(part.length()).isEqualTo(11);
        assertThat(part.time()[0]).isZero();
        assertThat(part.of(INTAKE)[0]).isCloseTo(320, within(1e-3));
        assertThat(part.seconds()).isCloseTo(1, within(1e-9));
    }
}
