package io.enthalpa.core.endurance;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import io.enthalpa.core.Systems;
import io.enthalpa.core.chargepath.ChargePath;
import io.enthalpa.core.chargepath.OperatingPoint;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.chargepath.PathResult;
import io.enthalpa.core.duty.Duty;
import io.enthalpa.core.duty.DutyPoint;
import io.enthalpa.core.engine.InjectionSpec;
import io.enthalpa.core.plant.CoreTrace;
import io.enthalpa.core.steady.ChargeSystem;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** What a run writes down at each step, against what was asked of it. */
class TraceColumnsTest {
    private static final OperatingPoint POINT = Systems.point(4000, 120, 15);
    private static final Duty TWICE = new Duty(
            "twice",
            false,
            8,
            2,
            40,
            List.of(
                    new DutyPoint(0, POINT.speed(), 100e3, 10),
                    new DutyPoint(30, POINT.speed(), 120e3, 20),
                    new DutyPoint(50, POINT.speed(), 120e3, 20)));

    private static ChargeSystem sprayed() {
        ChargePath path = Systems.standard().path();
        List<PathElement> elements = new ArrayList<>(path.elements());
        elements.add(
                5,
                new PathElement.Injection(
                        "nozzle", 0.057, new InjectionSpec(0.5, 3e-6, 880e3, 1000e3, 110e3, 120e3, 5e-3, 0.5)));
        return new ChargeSystem(new ChargePath(path.ambient(), path.engine(), elements, path.bay()));
    }

    private static final Trace TRACE = EnduranceRun.run(sprayed(), TWICE, Sensor.USUAL, 0.25);

    private static int at(double time) {
        return IntStream.range(0, TRACE.length())
                .filter(i -> TRACE.time()[i] > time)
                .findFirst()
                .orElseThrow();
    }

    @Test
    void stepsFillTheDuty() {
        double sum = 0;
        for (int i = 0; i < TRACE.length(); i++) {
            sum += TRACE.duration()[i];
            assertThat(TRACE.time()[i]).isCloseTo(sum, within(1e-9));
        }
        assertThat(sum).isCloseTo(140, within(1e-9));
        assertThat(TRACE.duration()[at(10)]).isCloseTo(0.25, within(1e-12));
        assertThat(TRACE.duration()[at(60)])
                .as("while hot and cold come together")
                .isCloseTo(0.5, within(1e-12));
        assertThat(TRACE.duration()[at(85)]).as("then longer").isCloseTo(2, within(1e-12));
        assertThat(EnduranceRun.stepFor(TWICE))
                .as("100 s over 4000, not under 0.05")
                .isCloseTo(0.05, within(1e-12));
        assertThat(EnduranceRun.stepFor(Systems.hold(POINT, 0, 1200))).isCloseTo(0.3, within(1e-12));
        assertThat(EnduranceRun.stepFor(Systems.hold(POINT, 0, 36_000)))
                .as("12,000 of them")
                .isCloseTo(3, within(1e-12));
    }

    /** Straight between rows, in the middle of each step; in the wait all stands. */
    @Test
    void askedIsWhatTheDutySays() {
        int i = at(15);
        double middle = TRACE.time()[i] - TRACE.duration()[i] / 2;
        assertThat(TRACE.columns().asked()[i]).isCloseTo(100e3 + 20e3 * middle / 30, within(1e-6));
        assertThat(TRACE.roadSpeed()[i]).isCloseTo(10 + 10 * middle / 30, within(1e-9));
        assertThat(TRACE.speed()[i]).isCloseTo(POINT.speed(), within(1e-9));
        int waiting = at(70);
        assertThat(TRACE.speed()[waiting]).isZero();
        assertThat(TRACE.roadSpeed()[waiting]).isZero();
        assertThat(TRACE.flow()[waiting]).isZero();
        assertThat(TRACE.boost()[waiting]).isZero();
        assertThat(TRACE.columns().loss()[waiting]).isZero();
        assertThat(TRACE.columns().blowerFlow()[waiting]).isZero();
        assertThat(TRACE.columns().blowerRatio()[waiting]).isEqualTo(1);
        assertThat(TRACE.limited()[waiting]).isFalse();
        for (Trace.Station station : TRACE.stations()) {
            assertThat(station.temperature()[waiting]).isEqualTo(300);
            assertThat(station.pressure()[waiting]).isEqualTo(101325);
        }
    }

    /** At the end of a run its figures are those of the path held there with the core as it stands. */
    @Test
    void pathIsWrittenDown() {
        int i = at(49.5);
        PathResult held =
                sprayed().steady(new OperatingPoint(POINT.speed(), 120e3, 20)).path();
        assertThat(TRACE.flow()[i]).isCloseTo(held.flow(), withinPercentage(0.5));
        assertThat(TRACE.boost()[i]).isCloseTo(120e3, within(120.0));
        assertThat(TRACE.columns().loss()[i]).isCloseTo(held.totalLoss(), withinPercentage(1.5));
        assertThat(TRACE.columns().blowerFlow()[i]).isCloseTo(held.flow(), withinPercentage(0.5));
        assertThat(TRACE.columns().blowerRatio()[i]).isCloseTo(held.pressureRatio(), withinPercentage(0.5));
        for (int k = 0; k < TRACE.stations().size(); k++) {
            Trace.Station station = TRACE.stations().get(k);
            assertThat(station.name()).isEqualTo(held.stations().get(k + 1).name());
            assertThat(station.temperature()[i])
                    .isCloseTo(held.stations().get(k + 1).temperature(), within(2.0));
            assertThat(station.pressure()[i])
                    .isCloseTo(held.stations().get(k + 1).totalPressure(), withinPercentage(0.5));
        }
        assertThat(TRACE.hottest(i)).isEqualTo(TRACE.stations().get(1).temperature()[i]);
        assertThat(TRACE.coldAt(i)).isEqualTo(300);
        assertThat(TRACE.coreIn()[i]).isEqualTo(TRACE.cores().get(0).in()[i]);
    }

    /** 3 mL/s at the pump's 880 kPa over 120 kPa, from 110 kPa on straight to 120: nothing while it is asked for less. By hand 20 s at full and the mean half of 15 s. */
    @Test
    void sprayIsCounted() {
        assertThat(TRACE.sprayed()[at(14.5)]).isZero();
        assertThat(TRACE.sprayed()[at(49.9) - 1]).isCloseTo(3e-6 * (20 + 7.5), withinPercentage(1.5));
        assertThat(TRACE.sprayed()[at(80)]).as("none while it waits").isEqualTo(TRACE.sprayed()[at(60)]);
        assertThat(TRACE.sprayed()[TRACE.length() - 1]).isCloseTo(2 * 3e-6 * 27.5, withinPercentage(1.5));
    }

    @Test
    void intakeIsReadAtMoments() {
        double[] read = TRACE.intakeAt(new double[] {0, 20, 70, 139, 1000});
        assertThat(read[0]).isEqualTo(TRACE.intake()[0]);
        assertThat(read[1]).isEqualTo(TRACE.intake()[at(20) - 1]);
        assertThat(read[2]).as("engine off").isNaN();
        assertThat(read[3]).isEqualTo(TRACE.intake()[at(139) - 1]);
        assertThat(read[4]).isEqualTo(TRACE.intake()[TRACE.length() - 1]);
    }

    /** Sixty pictures of the metal, evenly over the steps; the first as it starts, 8 K over outside. */
    @Test
    void metalIsPictured() {
        List<CoreTrace.Frame> frames = TRACE.core().frames();
        assertThat(frames).hasSize(60);
        assertThat(frames.get(0).time()).isZero();
        assertThat(frames.get(0).cells()).containsOnly(308);
        int step = (int) Math.ceil(30 * TRACE.length() / 60.0);
        assertThat(frames.get(30).time()).isCloseTo(TRACE.time()[step - 1], within(0.3));
    }

    /** A blower that cannot make the boost says so, and what it reaches is less. */
    @Test
    void blowerThatFallsShortIsMarked() {
        Systems s = Systems.standard();
        s.maxRatio = 1.8;
        Trace trace = EnduranceRun.run(s.system(), Systems.hold(POINT, 0, 5));
        assertThat(trace.limited()[trace.length() - 1]).isTrue();
        assertThat(trace.boost()[trace.length() - 1]).isLessThan(100e3);
        assertThat(TRACE.limited()[at(40)]).isFalse();
    }

    /** 100 kJ taken, 30 kept and 60 given away leave 10 in 100 that do not balance; nothing moved balances. */
    @Test
    void accountsThatDoNotBalanceSayBySoMuch() {
        assertThat(new EnergyAudit(100, 30, 60, 0).error()).isCloseTo(0.1, within(1e-12));
        assertThat(new EnergyAudit(10, -200, 205, 0).error()).isCloseTo(5 / 205.0, within(1e-12));
        assertThat(new EnergyAudit(0, 0, 0, 0).error()).isZero();
    }
}
