package io.enthalpa.core.verdict;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.Systems;
import io.enthalpa.core.chargepath.OperatingPoint;
import io.enthalpa.core.duty.Duty;
import io.enthalpa.core.duty.DutyPoint;
import io.enthalpa.core.endurance.EnduranceRun;
import io.enthalpa.core.endurance.EnergyAudit;
import io.enthalpa.core.endurance.Trace;
import io.enthalpa.core.exchanger.CoreSize;
import io.enthalpa.core.plant.CoreTrace;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is judged, on traces written by hand: steps of a tenth of a second, temperatures in K, boost in kPa. */
class LoadTest {
    private static final double OUTSIDE = 300;
    private final List<double[]> steps = new ArrayList<>();
    /** s for which a core gives out more than it takes in; 0 without a core. */
    private double coolsDown;

    /** Adds so many seconds of one boost and intake; boost NaN is engine off. */
    private LoadTest then(double seconds, double boost, double intake) {
        for (int i = 0; i < Math.round(seconds * 10); i++) {
            steps.add(new double[] {boost, intake});
        }
        return this;
    }

    private Trace trace() {
        double[] tenths = new double[steps.size()];
        Arrays.fill(tenths, 0.1);
        Trace.Columns columns = Trace.Columns.of(tenths);
        for (int i = 0; i < tenths.length; i++) {
            boolean runs = !Double.isNaN(steps.get(i)[0]);
            columns.time()[i] = 0.1 * (i + 1);
            columns.boost()[i] = runs ? 1000 * steps.get(i)[0] : 0;
            columns.flow()[i] = runs ? 0.2 : 0;
            columns.intake()[i] = steps.get(i)[1];
            columns.shown()[i] = steps.get(i)[1];
        }
        return new Trace(
                columns,
                OUTSIDE,
                cores(tenths.length),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                new EnergyAudit(0, 0, 0, 0));
    }

    /** None, or one that gives 20 kW to the air for so many seconds and then what it takes: 0.2 kg/s from 400 K to 350 K, 10.1 kW. */
    private List<CoreTrace> cores(int n) {
        if (coolsDown == 0) {
            return List.of();
        }
        double[] in = new double[n];
        double[] out = new double[n];
        double[] flow = new double[n];
        Arrays.fill(in, 400);
        Arrays.fill(out, 350);
        Arrays.fill(flow, 0.2);
        CoreTrace.Cold cold = CoreTrace.Cold.of(false, false, false, n);
        for (int i = 0; i < n; i++) {
            cold.rejected()[i] = i < 10 * coolsDown ? 20e3 : 10.1e3;
        }
        return List.of(new CoreTrace("core", in, out, flow, new double[n], cold, List.of()));
    }

    private Verdict verdict() {
        return Verdict.of(Systems.standard().system(), trace(), new Targets(330, 345));
    }

    @Test
    void aTenthOfASecondOfHeatIsNotNoticed() {
        Verdict verdict = then(10, 90, 320).then(0.1, 90, 350).then(10, 90, 320).verdict();
        assertThat(verdict.worst()).as("the plateau and half a kelvin").isCloseTo(320.5, within(1e-9));
        assertThat(verdict.outcome()).isEqualTo(Verdict.Outcome.HOLDS);
    }

    @Test
    void halfASecondOfHeatIs() {
        Verdict verdict = then(10, 90, 320).then(0.5, 90, 350).then(10, 90, 320).verdict();
        assertThat(verdict.worst()).isEqualTo(350);
        assertThat(verdict.outcome()).isEqualTo(Verdict.Outcome.PULLS_TIMING);
        assertThat(verdict.firstOverPull()).isCloseTo(10.1, within(1e-9));
        assertThat(verdict.secondsOverPull()).isCloseTo(0.5, within(1e-9));
    }

    /** Boost falls below the start of an injection for a moment, and with it the charge is unsprayed: no load is left to notice it. */
    @Test
    void aDipOfBoostIsNoLoad() {
        Verdict verdict = then(10, 90, 320).then(0.3, 20, 360).then(10, 90, 320).verdict();
        assertThat(verdict.worst()).isEqualTo(320);
        assertThat(verdict.beside().idle()).as("told beside it").isEqualTo(360);
        assertThat(verdict.beside().idleTime()).isCloseTo(10.1, within(1e-9));
    }

    @Test
    void idlingHotIsToldBesideTheVerdict() {
        Verdict verdict = then(20, 90, 320).then(30, -55, 352).then(20, 90, 321).verdict();
        assertThat(verdict.outcome()).isEqualTo(Verdict.Outcome.HOLDS);
        assertThat(verdict.worst()).isEqualTo(321);
        assertThat(verdict.secondsOverPull()).isZero();
        assertThat(verdict.beside().idle()).isEqualTo(352);
        assertThat(RunShape.of(trace()))
                .as("idling hotter than load is no tooth")
                .isEqualTo(RunShape.FLAT);
    }

    /** Falls by 1 K a second for 20 s while the boost stands: soak down to 1 K above the lowest, 19 s. */
    @Test
    void whatSoakedInBeforeTheStartIsToldApart() {
        for (int s = 0; s < 20; s++) {
            then(1, 90, 340 - s);
        }
        Verdict verdict = then(40, 90, 321).verdict();
        assertThat(verdict.beside().startSoak()).isEqualTo(340);
        assertThat(verdict.beside().startSoakUntil()).isCloseTo(18, within(0.11));
        assertThat(verdict.worst()).isCloseTo(322, within(1e-9));
        assertThat(verdict.firstOverTarget()).as("never under load").isNaN();
    }

    /** The charge climbs while the core still gives out what it held before: that is no climb of the load's. */
    @Test
    void whileACoreGivesOutMoreThanItTakesItIsStartSoak() {
        coolsDown = 5;
        Load load = Load.of(then(2, 90, 330).then(3, 90, 336).then(30, 90, 322).trace());
        assertThat(load.isStartSoak(49)).isTrue();
        assertThat(load.isStartSoak(50)).isFalse();
        assertThat(load.held(load.worst())).isEqualTo(322);
    }

    @Test
    void aRunThatIsOverBeforeItsSoakIsOutIsJudgedByIt() {
        coolsDown = 60;
        Load load = Load.of(then(8, 90, 336).trace());
        assertThat(load.isStartSoak(0)).isFalse();
        assertThat(load.held(load.worst())).isEqualTo(336);
    }

    /** A gear is changed in the middle: it is one load, and what comes out behind it soaked in before all the same. */
    @Test
    void aGearChangeDoesNotEndTheStartSoak() {
        for (int s = 0; s < 10; s++) {
            then(1, 90, 340 - s);
        }
        then(0.2, 70, 330.5).then(0.2, 5, 330.4).then(0.1, 60, 330.3);
        for (int s = 10; s < 20; s++) {
            then(1, 90, 340 - s);
        }
        Verdict verdict = then(40, 90, 321).verdict();
        assertThat(verdict.worst()).isCloseTo(322, within(1e-9));
        assertThat(verdict.beside().startSoakUntil()).isCloseTo(18.5, within(0.11));
    }

    @Test
    void chargeThatFallsBecauseTheBoostDoesIsNoSoak() {
        Verdict verdict = then(5, 90, 340).then(5, 75, 330).then(20, 60, 322).verdict();
        assertThat(verdict.beside().startSoak()).isNaN();
        assertThat(verdict.worst()).isEqualTo(340);
    }

    @Test
    void aRunWithoutBoostIsLoadAllAlong() {
        Verdict verdict = then(10, -60, 318).then(5, 0, 325).verdict();
        assertThat(verdict.worst()).isEqualTo(325);
        assertThat(verdict.beside().idle()).isNaN();
    }

    @Test
    void boostThatNeverLastsIsJudgedByAllItsRunning() {
        Verdict verdict = then(10, 0, 318).then(0.2, 90, 340).then(10, 0, 318).verdict();
        assertThat(verdict.outcome()).isEqualTo(Verdict.Outcome.HOLDS);
        assertThat(verdict.worst()).isCloseTo(318.5, within(1e-9));
    }

    /** The last tooth stands where the run ends: each tooth climbs, the run does not. */
    @Test
    void theLastToothOfASawDoesNotClimb() {
        for (int lap = 0; lap < 10; lap++) {
            then(7, -40, 305);
            for (int s = 0; s < 8; s++) {
                then(1, 90, 312 + s + 0.05 * lap);
            }
        }
        assertThat(RunShape.of(trace())).isEqualTo(RunShape.SAW_TEETH);
        assertThat(verdict().stillClimbing()).isFalse();
    }

    /** A hot start was the worst of every core, so that it told nothing about any. */
    @ParameterizedTest
    @CsvSource({"0.25", "0.35", "0.5"})
    void aHotStartIsNotTheWorstOfACore(double height) {
        OperatingPoint point = Systems.point(4500, 80, 30);
        Duty duty = new Duty(
                "hot start",
                true,
                45,
                1,
                0,
                List.of(
                        new DutyPoint(0, point.speed(), point.boost(), point.roadSpeed()),
                        new DutyPoint(240, point.speed(), point.boost(), point.roadSpeed())));
        Systems s = Systems.standard();
        s.size = new CoreSize(0.5, height, 0.064);
        Trace trace = EnduranceRun.run(s.system(), duty);
        Verdict verdict = Verdict.of(s.system(), trace, new Targets(320, 340));
        double settled = trace.intake()[trace.length() - 1];
        assertThat(trace.intake()[0])
                .as("the start is hotter than what the core then holds")
                .isGreaterThan(settled + 3);
        assertThat(verdict.worst()).as("what the core holds").isCloseTo(settled, within(1.6));
        assertThat(verdict.beside().startSoak()).isGreaterThan(verdict.worst());
    }

    /** Three minutes at the limiter, standing, nothing cools: what comes is the blower's heat, and no soak. */
    @Test
    void heatOfTheBlowerIsNoSoak() {
        for (int s = 0; s < 180; s++) {
            then(1, 69, 409 - 0.04 * s);
        }
        assertThat(RunShape.of(trace())).isNotEqualTo(RunShape.SOAKED);
    }
}
