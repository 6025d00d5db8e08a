package io.enthalpa.core.endurance;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import io.enthalpa.core.Cases;
import io.enthalpa.core.Systems;
import io.enthalpa.core.chargepath.OperatingPoint;
import io.enthalpa.core.duty.Duty;
import io.enthalpa.core.duty.DutyPoint;
import io.enthalpa.core.plant.PlantEquations;
import io.enthalpa.core.steady.ChargeSystem;
import io.enthalpa.core.steady.SteadyResult;
import io.enthalpa.core.verdict.Targets;
import io.enthalpa.core.verdict.Verdict;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CancellationException;
import java.util.stream.LongStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class EnduranceTest {
    static LongStream seeds() {
        return Cases.seeds().limit(25);
    }

    static Stream<Systems> kinds() {
        return Stream.of(Systems.standard(), Systems.water());
    }

    private static Duty hold(OperatingPoint point, double seconds) {
        return new Duty(
                "hold",
                true,
                5,
                1,
                0,
                List.of(
                        new DutyPoint(0, point.speed(), point.boost(), point.roadSpeed()),
                        new DutyPoint(seconds, point.speed(), point.boost(), point.roadSpeed())));
    }

    private static Duty climb() {
        return new Duty(
                "climb",
                true,
                5,
                2,
                120,
                List.of(
                        new DutyPoint(0, 100, -30e3, 0),
                        new DutyPoint(4, 400, 120e3, 8),
                        new DutyPoint(40, 420, 120e3, 25),
                        new DutyPoint(41, 380, 20e3, 25),
                        new DutyPoint(60, 420, 110e3, 15),
                        new DutyPoint(90, 90, -40e3, 0)));
    }

    private static double last(double[] values) {
        return values[values.length - 1];
    }

    @ParameterizedTest
    @MethodSource("kinds")
    void steadyLimitIsTheSteadySolver(Systems s) {
        OperatingPoint point = Systems.point(4000, 120, 15);
        Trace trace = EnduranceRun.run(s.system(), hold(point, 1800));
        SteadyResult steady = s.system().steady(point);
        double fall =
                steady.path().stations().get(3).temperature() - steady.path().intakeTemperature();
        double traceFall = last(trace.coreIn()) - last(trace.intake());
        assertThat(traceFall).isCloseTo(fall, withinPercentage(1));
        assertThat(last(trace.flow())).isCloseTo(steady.path().flow(), withinPercentage(0.5));
        assertThat(last(trace.core().coldIn())).isCloseTo(steady.core().coldIn(), within(0.6));
    }

    @ParameterizedTest
    @MethodSource("kinds")
    void heatAccountsBalance(Systems s) {
        EnergyAudit audit = EnduranceRun.run(s.system(), climb()).audit();
        assertThat(audit.taken()).isPositive();
        assertThat(audit.error()).isLessThan(0.005);
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void laws(long seed) {
        Cases cases = Cases.of(seed);
        Systems s = cases.between(0, 1) == 0 ? Systems.standard() : Systems.water();
        s.ambientT = cases.between(270.0, 312.0);
        s.efficiency = cases.between(0.5, 0.8);
        Trace trace = EnduranceRun.run(s.system(), climb(), cases.between(0.05, 2.0));
        assertThat(trace.audit().error()).isLessThan(0.005);
        for (int i = 0; i < trace.length(); i++) {
            assertThat(trace.intake()[i]).isGreaterThanOrEqualTo(s.ambientT - 1e-9);
            assertThat(trace.intake()[i]).isLessThan(600);
        }
    }

    @ParameterizedTest
    @MethodSource("kinds")
    void halvingTheStepChangesNothing(Systems s) {
        double step = EnduranceRun.stepFor(climb());
        Trace whole = EnduranceRun.run(s.system(), climb(), step);
        Trace half = EnduranceRun.run(s.system(), climb(), step / 2);
        int compared = 0;
        for (int i = 1; i < whole.length(); i++) {
            int j = indexAt(half.time(), whole.time()[i]);
            if (whole.flow()[i] > 0 && half.flow()[j] > 0 && half.flow()[j - 1] > 0 && whole.duration()[i] < 1) {
                double middle = (half.intake()[j - 1] + half.intake()[j]) / 2;
                assertThat(whole.intake()[i]).as("at %.2f s", whole.time()[i]).isCloseTo(middle, within(0.1));
                compared++;
            }
        }
        assertThat(compared).isGreaterThan(1000);
    }

    private static int indexAt(double[] times, double time) {
        int i = java.util.Arrays.binarySearch(times, time - 1e-6);
        return i >= 0 ? i : -i - 1;
    }

    /** The whole plant, charge path, core and water, through a duty: an adaptive integrator of eighth order on the same equations agrees within 0.2 K. */
    @ParameterizedTest
    @MethodSource("kinds")
    void adaptiveIntegratorAgreesOverADuty(Systems s) {
        Duty duty = new Duty(
                "climb",
                true,
                5,
                1,
                0,
                List.of(
                        new DutyPoint(0, 200, -20e3, 5),
                        new DutyPoint(4, 400, 120e3, 8),
                        new DutyPoint(40, 420, 120e3, 25),
                        new DutyPoint(42, 380, 20e3, 25),
                        new DutyPoint(60, 420, 110e3, 15),
                        new DutyPoint(90, 300, 60e3, 20)));
        double[] times = {2, 6, 15, 39, 50, 65, 89};
        double[] adaptive = new PlantEquations(s.system(), duty).intakeAt(times);
        Trace trace = EnduranceRun.run(s.system(), duty);
        for (int k = 0; k < times.length; k++) {
            int j = indexAt(trace.time(), times[k]);
            assertThat(trace.intake()[j]).as("at %.0f s", times[k]).isCloseTo(adaptive[k], within(0.2));
        }
    }

    /** TF-11, common practice, no source: the mass of core and water hides a short load. */
    @Test
    void waterHidesAShortPull() {
        Systems s = Systems.water();
        OperatingPoint point = Systems.point(5500, 100, 30);
        double start = 300 + 5;
        Trace shortPull = EnduranceRun.run(s.system(), hold(point, 10));
        Trace longPull = EnduranceRun.run(s.system(), hold(point, 900));
        assertThat(last(shortPull.core().coldIn()) - start)
                .isLessThan(0.5 * (last(longPull.core().coldIn()) - start));
    }

    /** TF-12, common practice, no source: a heat-soaked car starts hot and rolling air cools it. */
    @Test
    void rollingAirCoolsASoakedCore() {
        Systems s = Systems.standard();
        OperatingPoint point = Systems.point(3000, 30, 30);
        Duty soaked = new Duty("soaked", true, 45, 1, 0, hold(point, 60).rows());
        Trace trace = EnduranceRun.run(s.system(), soaked);
        assertThat(trace.intake()[0]).isGreaterThan(last(trace.intake()) + 10);
    }

    @Test
    void verdictCountsWhatTheTraceShows() {
        Systems s = Systems.standard();
        OperatingPoint point = Systems.point(5000, 140, 3);
        Trace trace = EnduranceRun.run(s.system(), hold(point, 400));
        double steady = s.system().steady(point).path().intakeTemperature();
        Verdict holds = Verdict.of(s.system(), trace, new Targets(steady + 5, steady + 20));
        assertThat(holds.outcome()).isEqualTo(Verdict.Outcome.HOLDS);
        assertThat(holds.firstOverTarget()).isNaN();
        assertThat(holds.worst()).isCloseTo(steady, within(1.0));
        Verdict over = Verdict.of(s.system(), trace, new Targets(steady - 10, steady + 20));
        assertThat(over.outcome()).isEqualTo(Verdict.Outcome.OVER_TARGET);
        assertThat(over.secondsOverTarget()).isCloseTo(400 - over.firstOverTarget(), within(0.5));
        Verdict pulls = Verdict.of(s.system(), trace, new Targets(steady - 20, steady - 10));
        assertThat(pulls.outcome()).isEqualTo(Verdict.Outcome.PULLS_TIMING);
        assertThat(pulls.firstOverPull()).isGreaterThan(pulls.firstOverTarget());
        assertThat(pulls.atWorst().coldFilm() + pulls.atWorst().coldFlow())
                .as("at walking pace the cooling air limits")
                .isGreaterThan(0.5);
    }

    @Test
    void blowerThatCannotFollowIsNamedByTime() {
        Systems s = Systems.standard();
        s.maxRatio = 1.9;
        Trace trace = EnduranceRun.run(s.system(), climb());
        Verdict verdict = Verdict.of(s.system(), trace, new Targets(350, 370));
        assertThat(verdict.limitedFrom()).isBetween(1.0, 5.0);
    }

    @Test
    void engineOffThroughoutHasNoVerdict() {
        Duty off = new Duty("off", true, 5, 1, 0, List.of(new DutyPoint(0, 0, 0, 0), new DutyPoint(60, 0, 0, 0)));
        Trace trace = EnduranceRun.run(Systems.water().system(), off);
        assertThat(Verdict.of(Systems.water().system(), trace, new Targets(320, 340))
                        .outcome())
                .isEqualTo(Verdict.Outcome.NEVER_RUNS);
        assertThat(trace.audit().error()).isLessThan(0.005);
    }

    @Test
    void systemWithoutCoreRunsThroughADuty() {
        Systems s = Systems.standard();
        s.core = false;
        Trace trace = EnduranceRun.run(s.system(), climb());
        assertThat(trace.cores()).isEmpty();
        assertThat(trace.audit().taken()).isZero();
        assertThat(Verdict.of(s.system(), trace, new Targets(320, 340)).outcome())
                .isEqualTo(Verdict.Outcome.PULLS_TIMING);
    }

    /** A page that asked something newer interrupts the thread that still works on what it asked before. */
    @Test
    void aRunThatNobodyWaitsForStopsInTheMiddle() {
        ChargeSystem system = Systems.water().system();
        Thread.currentThread().interrupt();
        try {
            assertThatThrownBy(() -> EnduranceRun.run(system, climb())).isInstanceOf(CancellationException.class);
        } finally {
            assertThat(Thread.interrupted())
                    .as("who asked decides what becomes of the thread")
                    .isTrue();
        }
    }

    /** Five hours of pulling and resting a minute each: in longer steps, and to the same heat within what anybody measures. */
    @Test
    void aRunOfManyHoursIsNotCutFinerThanAnybodyCanUse() {
        List<DutyPoint> points = new ArrayList<>();
        for (int minute = 0; minute < 300; minute += 2) {
            points.add(new DutyPoint(60 * minute, 400, 90e3, 20));
            points.add(new DutyPoint(60 * minute + 59, 400, 90e3, 20));
            points.add(new DutyPoint(60 * minute + 61, 150, 0, 20));
            points.add(new DutyPoint(60 * minute + 119, 150, 0, 20));
        }
        Duty day = new Duty("day", true, 5, 1, 0, points);
        Trace usual = EnduranceRun.run(Systems.water().system(), day);
        Trace fine = EnduranceRun.run(Systems.water().system(), day, 0.5);
        assertThat(usual.length()).isEqualTo(12_000);
        assertThat(fine.length()).isGreaterThan(35_000);
        assertThat(java.util.Arrays.stream(usual.intake()).max().orElseThrow())
                .isCloseTo(java.util.Arrays.stream(fine.intake()).max().orElseThrow(), within(0.3));
        assertThat(usual.audit().taken()).isCloseTo(fine.audit().taken(), withinPercentage(0.5));
    }
}
