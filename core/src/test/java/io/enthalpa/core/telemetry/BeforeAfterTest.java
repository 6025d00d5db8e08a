package io.enthalpa.core.telemetry;

import static io.enthalpa.core.telemetry.Channel.AFTER_CORE;
import static io.enthalpa.core.telemetry.Channel.BOOST;
import static io.enthalpa.core.telemetry.Channel.ENGINE_SPEED;
import static io.enthalpa.core.telemetry.Channel.INTAKE;
import static io.enthalpa.core.telemetry.Channel.OUTSIDE;
import static io.enthalpa.core.telemetry.Logs.RPM;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.build.Answer;
import io.enthalpa.core.endurance.EnergyAudit;
import io.enthalpa.core.endurance.Trace;
import io.enthalpa.core.telemetry.LogFinding.Kind;
import io.enthalpa.core.verdict.Load;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** A change of known size under other weather, on a plant that is not the program's own; and its arithmetic by hand. */
class BeforeAfterTest {
    private static Beside beside(LogSeries log) {
        MeasuredRun run = MeasuredRun.of(log, SecondDrive.build(), "A");
        return Beside.of(
                run, new Answer(MeasuredDuty.of(SecondDrive.build(), run).build(), "A"));
    }

    private static double loaded(LogSeries log) {
        MeasuredRun run = MeasuredRun.of(log, SecondDrive.build(), "A");
        return Loaded.mean(run.seen(), Load.of(run.seen()), log.of(AFTER_CORE));
    }

    /** A duct that doubles the air, tried on a day 8 K cooler; sensors are the same in both logs. */
    @Test
    void aChangeIsFoundWithTheDayTakenOut() {
        int found = 0;
        for (long seed = 1; seed <= 5; seed++) {
            SecondDrive.Truth without = new SecondDrive.Truth(0.95, 0.6, 1.02, seed);
            SecondDrive.Truth with = new SecondDrive.Truth(0.95, 1.2, 1.02, seed);
            LogSeries after = SecondDrive.log(with, 292);
            double truth = loaded(SecondDrive.log(without, 292)) - loaded(after);
            BeforeAfter change = BeforeAfter.of(beside(SecondDrive.log(without, 300)), beside(after));
            found += Math.abs(change.gain() - truth) <= 2 * change.sd() ? 1 : 0;
            assertThat(change.looked())
                    .as("the day would have been taken for part of it")
                    .isGreaterThan(truth + 5);
            assertThat(change.outside()).isCloseTo(-8, within(0.1));
            assertThat(Logs.kinds(change.findings())).startsWith(Kind.CHANGE_GAINS);
        }
        assertThat(found).isGreaterThanOrEqualTo(4);
    }

    @Test
    void noChangeIsSaidToBeNone() {
        for (long seed = 1; seed <= 5; seed++) {
            SecondDrive.Truth same = SecondDrive.Truth.of(seed);
            BeforeAfter change = BeforeAfter.of(
                    beside(SecondDrive.log(same, 303)),
                    beside(SecondDrive.log(new SecondDrive.Truth(same.core(), same.air(), same.blower(), seed), 293)));
            assertThat(change.looked()).isGreaterThan(7);
            assertThat(Logs.kinds(change.findings())).startsWith(Kind.CHANGE_NOTHING);
        }
    }

    /** Two pulls of ten seconds; the intake stands at the given, the model at 320 and 318. */
    private static Beside pulls(double first, double second, double model, double outside, double boost) {
        Logs log = Logs.of(ENGINE_SPEED, BOOST, OUTSIDE, INTAKE)
                .then(10, 4000 * RPM, boost, outside, first)
                .then(5, 2000 * RPM, -40e3, outside, first)
                .then(10, 4000 * RPM, boost, outside, second);
        MeasuredRun run = log.run();
        double load = model - (first + second) / 2;
        return new Beside(
                run,
                new Trace(
                        Trace.Columns.of(new double[] {1}),
                        outside,
                        List.of(),
                        List.of(),
                        List.of(),
                        List.of(),
                        List.of(),
                        new EnergyAudit(0, 0, 0, 0)),
                Map.of(INTAKE, Logs.all(250, model)),
                List.of(new Beside.Match(INTAKE, load, Double.NaN, 0, (first + second) / 2, model, 20)));
    }

    /**
     * Before 330 and 332 where the model says 320: 11 over it. After 320 and 322 where it says 318: 3 over it. The change is worth 8 K; it looked like 10. The pulls of each differ by 2 K: s = sqrt 2, standard
     * error 1 each; corrected 2 K, of which 0.3; drift 0.5: s = sqrt(1 + 1 + 0.09 + 0.25) = 1.52971.
     */
    @Test
    void theArithmeticByHand() {
        BeforeAfter change = BeforeAfter.of(pulls(330, 332, 320, 300, 90e3), pulls(320, 322, 318, 296, 85e3));
        assertThat(change.gain()).isCloseTo(8, within(1e-9));
        assertThat(change.looked()).isCloseTo(10, within(1e-9));
        assertThat(change.sd()).isCloseTo(1.52971, within(1e-5));
        assertThat(change.outside()).isCloseTo(-4, within(1e-3));
        assertThat(change.boost()).isCloseTo(-5e3, within(1.0));
        LogFinding looked = change.findings().get(1);
        assertThat(Logs.figure(looked, "air")).as("cooler").isEqualTo(1);
        assertThat(Logs.figure(looked, "blown")).as("less").isEqualTo(2);
        assertThat(Logs.kinds(BeforeAfter.of(pulls(320, 322, 318, 296, 85e3), pulls(330, 332, 320, 300, 90e3))
                        .findings()))
                .startsWith(Kind.CHANGE_COSTS);
    }

    @Test
    void aLogWithoutLoadIsRefused() {
        Beside idle = new Beside(
                Logs.of(ENGINE_SPEED, BOOST).then(9, 900, 0).run(),
                pulls(1, 1, 1, 1, 9e4).trace(),
                Map.of(),
                List.of());
        assertThatThrownBy(() -> BeforeAfter.of(idle, idle)).hasMessageContaining("without load");
    }
}
