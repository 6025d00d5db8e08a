package io.enthalpa.core.telemetry;

import static io.enthalpa.core.telemetry.Channel.AFTER_CORE;
import static io.enthalpa.core.telemetry.Channel.BEFORE_CORE;
import static io.enthalpa.core.telemetry.Channel.BOOST;
import static io.enthalpa.core.telemetry.Channel.ENGINE_SPEED;
import static io.enthalpa.core.telemetry.Channel.INTAKE;
import static io.enthalpa.core.telemetry.Channel.OUTSIDE;
import static io.enthalpa.core.telemetry.Channel.ROAD_SPEED;
import static io.enthalpa.core.telemetry.Logs.RPM;
import static io.enthalpa.core.uncertainty.UncertainInput.BLOWER_EFFICIENCY;
import static io.enthalpa.core.uncertainty.UncertainInput.COOLING_AIR;
import static io.enthalpa.core.uncertainty.UncertainInput.CORE_CONDUCTANCE;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.endurance.SecondPlant;
import io.enthalpa.core.telemetry.LogFitResult.Known;
import io.enthalpa.core.uncertainty.UncertainInput;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import org.junit.jupiter.api.Test;

/** Fits to logs of a plant that is not the program's own: {@link SecondPlant}, with slow, noisy and slightly wrong sensors. */
class LogFitTest {
    private static final int CASES = 50;

    private static LogFitResult fit(LogSeries log) {
        MeasuredRun run = MeasuredRun.of(log, Logs.LOAD, SecondDrive.OUTSIDE_K);
        LogFit fit = new LogFit(MeasuredDuty.of(SecondDrive.build(), run), "A", run, () -> false);
        for (int i = 0; i < fit.runs(); i++) {
            fit.run(i);
        }
        return fit.result().orElseThrow();
    }

    private static Known of(LogFitResult result, UncertainInput unknown) {
        return result.unknowns().stream()
                .filter(k -> k.unknown() == unknown)
                .findFirst()
                .orElseThrow();
    }

    private static boolean holds(Known known, double truth) {
        return Math.abs(1 + known.by() - truth) <= 1.645 * known.sd();
    }

    /** A hundredth worse in the part that was held out is noise; half a kelvin is not. */
    @Test
    void whatNobodyWouldNoticeDoesNotSpeakAgainstAFit() {
        assertThat(held(0.30, 0.31).holds()).isTrue();
        assertThat(held(0.30, 0.59).holds()).isTrue();
        assertThat(held(0.30, 0.81).holds()).isFalse();
        assertThat(held(Double.NaN, Double.NaN).holds()).isTrue();
    }

    private static LogFitResult held(double before, double after) {
        return new LogFitResult(List.of(), List.of(), List.of(), List.of(), 1, 1, before, after, Optional.empty());
    }

    /** Sensors of 9 s where 5 are believed: 0.8 slower, told to a few hundredths by the steps of the load. */
    @Test
    void slowSensorsAreKnownByTheStepsOfTheLoad() {
        int held = 0;
        for (long seed = 1; seed <= 5; seed++) {
            Known lag = of(
                    fit(SecondDrive.log(new SecondDrive.Truth(1, 1, 1, seed), SecondDrive.OUTSIDE_K, 9)),
                    UncertainInput.SENSOR_LAG);
            assertThat(lag.by()).isCloseTo(0.8, within(0.35));
            assertThat(lag.sd()).isLessThan(0.5 * lag.spread() * (1 + lag.by()));
            held += holds(lag, 1.8) ? 1 : 0;
        }
        assertThat(held).isGreaterThanOrEqualTo(4);
    }

    /** Of nine in ten that the intervals promise at least eight; and they are no wider than before the log. */
    @Test
    void theIntervalsHoldWhatIsTrue() {
        int core = 0;
        int air = 0;
        int blower = 0;
        int better = 0;
        for (long seed = 1; seed <= CASES; seed++) {
            SecondDrive.Truth truth = SecondDrive.Truth.of(seed);
            LogFitResult result = fit(SecondDrive.log(truth));
            core += holds(of(result, CORE_CONDUCTANCE), truth.core()) ? 1 : 0;
            air += holds(of(result, COOLING_AIR), truth.air()) ? 1 : 0;
            blower += holds(of(result, BLOWER_EFFICIENCY), truth.blower()) ? 1 : 0;
            better += result.heldAfter() <= result.heldBefore() + 0.1 ? 1 : 0;
            assertThat(of(result, CORE_CONDUCTANCE).sd()).as("of 0.10").isLessThan(0.09);
            assertThat(of(result, COOLING_AIR).sd()).as("of 0.20").isLessThan(0.19);
            assertThat(of(result, BLOWER_EFFICIENCY).sd()).as("of 0.05").isLessThan(0.02);
        }
        assertThat(core).as("the core").isGreaterThanOrEqualTo(40);
        assertThat(air).as("its air").isGreaterThanOrEqualTo(40);
        assertThat(blower).as("the blower").isGreaterThanOrEqualTo(40);
        assertThat(better).as("right where it was not fitted").isGreaterThanOrEqualTo(45);
    }

    /**
     * One unknown and one channel, four moments of weight 1, slope 2, 3 off: (17 8; 8 5) (z b) = (24 12), z = 24/21; the variance of z is 5/21. With the slope 1 but only in half of the moments: (3 2; 2 5),
     * right side (2 x 3, 12): z = 6/11.
     */
    @Test
    void aStepByHand() {
        FitData data = new FitData(
                new double[] {1, 2, 3, 4, 5},
                new double[] {1, 1, 1, 1, 1},
                new boolean[] {true, true, true, true, true},
                new boolean[] {false, false, false, false, true},
                List.of(INTAKE),
                new double[][] {{303, 303, 303, 303, 999}},
                INTAKE);
        Map<Channel, double[]> at = Map.of(INTAKE, Logs.all(5, 300));
        FitStep alike = new FitStep(data, at, List.of(Map.of(INTAKE, Logs.all(5, 301))), 0.5);
        assertThat(alike.step(new double[] {0}, 9)[0]).isCloseTo(24 / 21.0, within(1e-9));
        assertThat(alike.step(new double[] {0}, 0.3)[0])
                .as("no longer than it may be")
                .isCloseTo(0.3, within(1e-9));
        assertThat(alike.covariance(data.channels()).getEntry(0, 0)).isCloseTo(5 / 21.0, within(1e-9));
        assertThat(alike.offsets()[0]).as("12 over 5").isCloseTo(2.4, within(1e-9));
        FitStep half = new FitStep(data, at, List.of(Map.of(INTAKE, new double[] {300.5, 300.5, 300, 300, 300})), 0.5);
        assertThat(half.step(new double[] {0}, 9)[0]).isCloseTo(6 / 11.0, within(1e-9));
        // Away from the usual value the prior pulls back: right side 24 - 2.
        assertThat(alike.step(new double[] {2}, 9)[0] - 2).isCloseTo((22 * 5 - 8 * 12) / 21.0, within(1e-9));
    }

    @Test
    void aLogWithOneSensorCannotTellBlowerFromCoreAndSaysWhatWould() {
        LogSeries whole = SecondDrive.log(new SecondDrive.Truth(0.85, 1, 1, 5));
        LogSeries.Growing rows = new LogSeries.Growing(List.of(ENGINE_SPEED, BOOST, ROAD_SPEED, OUTSIDE, AFTER_CORE));
        for (int i = 0; i < whole.length(); i++) {
            rows.row(whole.time()[i], new double[] {
                whole.of(ENGINE_SPEED)[i],
                whole.of(BOOST)[i],
                whole.of(ROAD_SPEED)[i],
                whole.of(OUTSIDE)[i],
                whole.of(AFTER_CORE)[i]
            });
        }
        LogFitResult one = fit(rows.series());
        LogFitResult two = fit(whole);
        assertThat(of(one, BLOWER_EFFICIENCY).sd())
                .isGreaterThan(1.5 * of(two, BLOWER_EFFICIENCY).sd());
        assertThat(one.advice()).hasValueSatisfying(a -> {
            assertThat(a.channel()).isEqualTo(BEFORE_CORE);
            assertThat(a.unknown()).isEqualTo(BLOWER_EFFICIENCY);
            assertThat(a.then()).isLessThan(a.now());
        });
    }

    /** Half the cooling air is three and a half spreads of it; a tenth less is not one. */
    @Test
    void whatDoubtDoesNotExplainIsAFault() {
        LogFitResult blocked = fit(SecondDrive.log(new SecondDrive.Truth(1, 0.5, 1, 3)));
        assertThat(of(blocked, COOLING_AIR).by()).isCloseTo(-0.5, within(0.12));
        assertThat(of(blocked, COOLING_AIR).beyond()).isTrue();
        assertThat(of(blocked, BLOWER_EFFICIENCY).beyond()).isFalse();
        assertThat(fit(SecondDrive.log(new SecondDrive.Truth(1, 0.9, 1, 3))).unknowns())
                .noneMatch(Known::beyond);
    }

    @Test
    void aLogWithoutEnoughLoadIsRefused() {
        Logs idle = Logs.of(ENGINE_SPEED, BOOST, ROAD_SPEED, OUTSIDE, AFTER_CORE)
                .then(60, 2000 * RPM, -30e3, 20, 300, 310)
                .then(35, 4000 * RPM, 90e3, 20, 300, 320);
        assertThatThrownBy(() -> fit(idle.series()))
                .hasMessageContaining("load in the log is 35 s; it must be 43 s or more");
    }

    @Test
    void whoDoesNotWaitIsNotWaitedFor() {
        MeasuredRun run = MeasuredRun.of(SecondDrive.log(SecondDrive.Truth.of(1)), Logs.LOAD, SecondDrive.OUTSIDE_K);
        LogFit fit = new LogFit(MeasuredDuty.of(SecondDrive.build(), run), "A", run, () -> true);
        assertThatThrownBy(() -> fit.run(fit.runs() - 1)).isInstanceOf(CancellationException.class);
        assertThat(fit.result()).isEmpty();
    }
}
