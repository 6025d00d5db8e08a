package io.enthalpa.core.verdict;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.Loops;
import io.enthalpa.core.Systems;
import io.enthalpa.core.chargepath.BaySpec;
import io.enthalpa.core.chargepath.CoolingSide;
import io.enthalpa.core.chargepath.OperatingPoint;
import io.enthalpa.core.chargepath.PlenumWallSpec;
import io.enthalpa.core.coolingair.FaceAirSpec;
import io.enthalpa.core.duty.Duty;
import io.enthalpa.core.duty.DutyPoint;
import io.enthalpa.core.endurance.EnduranceRun;
import io.enthalpa.core.endurance.Sensor;
import io.enthalpa.core.endurance.Trace;
import io.enthalpa.core.engine.BlowerType;
import io.enthalpa.core.exchanger.CoreSize;
import io.enthalpa.core.fluid.GlycolWater;
import io.enthalpa.core.plant.ResistanceShares;
import io.enthalpa.core.waterloop.ChillerSpec;
import io.enthalpa.core.waterloop.IceSpec;
import io.enthalpa.core.waterloop.TankSpec;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Shapes of traces from their physical causes, and what common practice sees (no source) where it gives figures. */
class ShapeTest {
    private static final Targets TARGETS = new Targets(323, 338);

    private static Duty hold(OperatingPoint point, double above, double seconds) {
        return new Duty(
                "hold",
                true,
                above,
                1,
                0,
                List.of(
                        new DutyPoint(0, point.speed(), point.boost(), point.roadSpeed()),
                        new DutyPoint(seconds, point.speed(), point.boost(), point.roadSpeed())));
    }

    private static Duty laps(int laps) {
        return laps(laps, 90e3);
    }

    /** Laps: 8 s of full load, 7 s of none. */
    private static Duty laps(int laps, double boost) {
        List<DutyPoint> rows = new ArrayList<>();
        for (int i = 0; i < laps; i++) {
            double t = 15 * i;
            rows.add(new DutyPoint(t, 420, -20e3, 30));
            rows.add(new DutyPoint(t + 1, 450, boost, 30));
            rows.add(new DutyPoint(t + 8, 600, boost, 45));
            rows.add(new DutyPoint(t + 9, 420, -40e3, 30));
        }
        rows.add(new DutyPoint(15.0 * laps, 420, -20e3, 30));
        return new Duty("laps", true, 8, 1, 0, rows);
    }

    private static double last(double[] values) {
        return values[values.length - 1];
    }

    private static int at(Trace trace, double time) {
        int i = 0;
        while (trace.time()[i] < time) {
            i++;
        }
        return i;
    }

    /** TF-04: a core with plenty of air, cruising. */
    @Test
    void plentyOfAirUnderASteadyLoadIsFlat() {
        Trace trace = EnduranceRun.run(Systems.standard().system(), hold(Systems.point(3500, 40, 33), 8, 600));
        assertThat(RunShape.of(trace)).isEqualTo(RunShape.FLAT);
    }

    /** A tank that nothing cools: its water makes the ramp, and the verdict's figures say so. */
    @Test
    void aTankThatFillsWithHeatIsARampOfItsWater() {
        Loops l = new Loops();
        l.radiator = Optional.empty();
        l.volume = 12e-3;
        Trace trace = EnduranceRun.run(l.systems().system(), hold(Systems.point(4000, 120, 15), 8, 300));
        assertThat(RunShape.of(trace)).isEqualTo(RunShape.RAMP);
        assertThat(RunFigures.of(trace, TARGETS).climbByCoolant()).isBetween(0.7, 1.3);
    }

    /** A minute to get warm and then hours of the same is no saw. */
    @Test
    void aLongSteadyHaulIsFlatThoughItBeganCold() {
        Trace trace = EnduranceRun.run(Systems.standard().system(), hold(Systems.point(4000, 120, 15), 0, 1800));
        assertThat(trace.intake()[0]).isLessThan(last(trace.intake()) - 6);
        assertThat(RunShape.of(trace)).isEqualTo(RunShape.FLAT);
    }

    /** TF-04: laps with an air-cooled core return to the base each time. */
    @Test
    void lapsWithEnoughAirAreSawTeeth() {
        Trace trace = EnduranceRun.run(Systems.standard().system(), laps(20, 120e3));
        assertThat(RunShape.of(trace)).isEqualTo(RunShape.SAW_TEETH);
    }

    /** TF-04: too little water flow climbs until the water is at 60 to 70 °C, and the water, not the radiator, is what limits. */
    @Test
    void tooLittleWaterIsARampThatSettlesHotAndTheWaterIsToBlame() {
        Systems s = Systems.water();
        s.size = new CoreSize(0.5, 0.25, 0.128);
        s.cooling = Systems.waterLoop(1.5e-3 / 60, 9e-3);
        Trace trace = EnduranceRun.run(s.system(), laps(20));
        assertThat(RunShape.of(trace)).isEqualTo(RunShape.RAMP);
        int end = at(trace, 293);
        double heat = trace.flow()[end]
                * 1010
                * (trace.core().in()[end] - trace.core().out()[end]);
        assertThat(heat).isPositive();
        Verdict verdict = Verdict.of(s.system(), trace, TARGETS);
        assertThat(verdict.worst() - 273.15).as("settles between 60 and 70").isBetween(58.0, 72.0);
        ResistanceShares shares = verdict.atWorst();
        assertThat(shares.coldFlow() + shares.coldFilm())
                .isGreaterThan(shares.radiator())
                .isGreaterThan(shares.charge());
        assertThat(RunFigures.of(trace, TARGETS).climbByCoolant())
                .as("the water comes to the core as cool as ever")
                .isLessThan(0.3);
        s.cooling = Systems.waterLoop(20e-3 / 60, 9e-3);
        assertThat(RunShape.of(EnduranceRun.run(s.system(), laps(20))))
                .as("with enough water")
                .isEqualTo(RunShape.SAW_TEETH);
    }

    /** TF-04, TF-12: soaked metal and a standing core, then air. */
    @Test
    void soakedStartThatFallsWhenRolling() {
        Systems s = Systems.standard();
        s.cooling = new CoolingSide.Air(new FaceAirSpec(0.3, 0.05));
        s.type = BlowerType.ROOTS;
        s.efficiency = 0.55;
        s.bay = Optional.of(new BaySpec(45, 12, 240));
        s.plenumWall = Optional.of(new PlenumWallSpec(6, 0.2, 368, 20));
        Duty duty = new Duty(
                "soaked",
                true,
                45,
                1,
                0,
                List.of(
                        new DutyPoint(0, 95, -55e3, 0),
                        new DutyPoint(20, 95, -55e3, 0),
                        new DutyPoint(24, 300, 30e3, 10),
                        new DutyPoint(200, 350, 30e3, 35)));
        Trace trace = EnduranceRun.run(s.system(), duty);
        assertThat(RunShape.of(trace)).isEqualTo(RunShape.SOAKED);
    }

    /** TF-01: roots-type blower, about 0.69 bar, no cooler, three minutes at the limiter standing: a little over 120 °C. */
    @Test
    void rootsBlowerWithoutCoolerAtTheLimiter() {
        Systems s = Systems.standard();
        s.core = false;
        s.type = BlowerType.ROOTS;
        s.efficiency = 0.55;
        s.ambientT = 303;
        s.bayShare = 0.3;
        s.bay = Optional.of(new BaySpec(45, 14, 240));
        Trace trace = EnduranceRun.run(s.system(), hold(Systems.point(6500, 69, 0), 5, 180));
        assertThat(last(trace.intake()) - 273.15).isBetween(115.0, 150.0);
    }

    /** TF-08: a bigger reservoir lasts longer. */
    @Test
    void biggerReservoirLastsLonger() {
        assertThat(secondsBelow(20)).isLessThan(secondsBelow(38) - 10);
    }

    private static double secondsBelow(double litres) {
        Loops l = new Loops();
        l.volume = litres * 1e-3;
        l.tank = Optional.of(new TankSpec(litres * 1e-3, false, OptionalDouble.empty(), IceSpec.NONE, false));
        Trace trace = EnduranceRun.run(l.systems().system(), hold(Systems.point(5500, 100, 3), 5, 1200));
        int i = 0;
        while (i < trace.length() - 1 && trace.intake()[i] < 330) {
            i++;
        }
        return trace.time()[i];
    }

    /** TF-09: ice loop, about 0.9 bar, 9 s run: from 4 to 10 °C to about 27 °C, the climb hinting at little water flow. */
    @Test
    void iceLoopOverANineSecondRun() {
        Loops l = new Loops();
        l.radiator = Optional.empty();
        l.volume = 38e-3;
        l.hose = 0.012;
        l.spigot = l.oddSpigot = 0.010;
        l.tank = Optional.of(new TankSpec(
                60e-3, false, OptionalDouble.empty(), new IceSpec(10, 0.03, IceSpec.Stir.RETURNED), false));
        Systems s = l.systems();
        s.displacement = 0.003;
        s.size = new CoreSize(0.5, 0.3, 0.12);
        Trace trace = EnduranceRun.run(s.system(), pull(90));
        assertThat(trace.intake()[at(trace, 60)] - 273.15).as("staging").isBetween(0.0, 12.0);
        assertThat(trace.intake()[at(trace, 69.9)] - 273.15).as("at the end").isBetween(17.0, 40.0);
        assertThat(EnduranceRun.run(more(l).system(), pull(90)).intake()[at(trace, 69.9)])
                .as("more water climbs less")
                .isLessThan(trace.intake()[at(trace, 69.9)] - 3);
    }

    private static Systems more(Loops l) {
        l.hose = 0.019;
        l.spigot = l.oddSpigot = 0.0175;
        Systems s = l.systems();
        s.displacement = 0.003;
        s.size = new CoreSize(0.5, 0.3, 0.12);
        return s;
    }

    /** Staging for a minute, 9 s of full load, two minutes of idling back. */
    private static Duty pull(double kPa) {
        return new Duty(
                "run",
                true,
                8,
                1,
                0,
                List.of(
                        new DutyPoint(0, 95, -55e3, 0),
                        new DutyPoint(60, 95, -55e3, 0),
                        new DutyPoint(60.5, 500, kPa * 1e3, 5),
                        new DutyPoint(69.9, 650, kPa * 1e3, 60),
                        new DutyPoint(71, 95, -55e3, 20),
                        new DutyPoint(190, 95, -55e3, 5)));
    }

    /** TF-10: chiller loop of 20 L, about 1 bar: from 0 to 5 °C to 11 to 15 °C, falling again after; the compressor drops out at full throttle. */
    @Test
    void chillerLoopOverARunFallsAgainAfter() {
        Loops l = new Loops();
        l.radiator = Optional.empty();
        l.coolant = new GlycolWater(0.3);
        l.volume = 20e-3;
        l.tank = Optional.of(new TankSpec(20e-3, false, OptionalDouble.of(273.15), IceSpec.NONE, false));
        l.chiller = Optional.of(new ChillerSpec(4.5e3, 268, 20e3, true));
        Systems s = l.systems();
        s.displacement = 0.003;
        s.size = new CoreSize(0.5, 0.3, 0.12);
        Trace trace = EnduranceRun.run(s.system(), pull(100));
        double before = trace.intake()[at(trace, 60)];
        double peak = trace.intake()[at(trace, 69.9)];
        assertThat(before - 273.15).isBetween(-3.0, 7.0);
        assertThat(peak - 273.15).isBetween(8.0, 30.0);
        double warmest = java.util.Arrays.stream(trace.core().coldIn())
                .skip(at(trace, 60))
                .max()
                .orElseThrow();
        assertThat(last(trace.core().coldIn())).as("falling again after").isLessThan(warmest - 1);
        assertThat(warmest)
                .as("nothing chills while the boost is up")
                .isGreaterThan(trace.core().coldIn()[at(trace, 60)] + 1);
    }

    /** TF-11: large water core without chiller: 40 °C at the start, about 45 °C at the end of one long pull. */
    @Test
    void massOfCoreAndWaterHidesOneLongPull() {
        Loops l = new Loops();
        l.volume = 20e-3;
        l.tank = Optional.of(new TankSpec(20e-3, false, OptionalDouble.of(311), IceSpec.NONE, false));
        Trace trace = EnduranceRun.run(l.systems().system(), pull(70));
        assertThat(trace.intake()[at(trace, 60)] - 273.15).isBetween(33.0, 43.0);
        assertThat(trace.intake()[at(trace, 69.9)] - trace.intake()[at(trace, 60)])
                .isBetween(1.0, 12.0);
    }

    @Test
    void figuresSayWhatTheTraceShows() {
        Systems s = Systems.standard();
        Trace trace = EnduranceRun.run(s.system(), laps(10));
        double peak = java.util.Arrays.stream(trace.intake()).max().orElseThrow();
        RunFigures figures = RunFigures.of(trace, new Targets(peak - 3, peak + 40));
        assertThat(figures.recoveredAfter()).as("between two straights").isBetween(0.1, 12.0);
        assertThat(figures.wonBack()).isBetween(0.4, 1.0);
        assertThat(figures.density()).isBetween(0.8, 1.0);
        assertThat(figures.shownOverPull()).isZero();
        assertThat(figures.runs()).hasSize(1);
        assertThat(figures.runs().get(0).worst()).isEqualTo(peak);
        assertThat(RunFigures.of(trace, new Targets(peak + 1, peak + 40)).recoveredAfter())
                .as("never above")
                .isNaN();
    }

    @Test
    void withoutACoolerNothingIsWonBack() {
        Systems s = Systems.standard();
        s.core = false;
        RunFigures figures = RunFigures.of(EnduranceRun.run(s.system(), laps(3)), TARGETS);
        assertThat(figures.wonBack()).isCloseTo(0, within(1e-9));
        assertThat(figures.density()).isLessThan(0.85);
    }

    @Test
    void eachRunOfADayIsTold() {
        Loops l = new Loops();
        l.radiator = Optional.empty();
        l.volume = 20e-3;
        l.soak = 4;
        l.tank = Optional.of(
                new TankSpec(40e-3, false, OptionalDouble.empty(), new IceSpec(8, 0.03, IceSpec.Stir.RETURNED), false));
        OperatingPoint p = Systems.point(5500, 90, 30);
        Duty day = new Duty("day", true, 5, 4, 1800, hold(p, 5, 20).rows());
        RunFigures figures = RunFigures.of(EnduranceRun.run(l.systems().system(), day), TARGETS);
        assertThat(figures.runs()).hasSize(4);
        assertThat(figures.runs())
                .extracting(RunFigures.OneRun::iceEnd)
                .isSortedAccordingTo(java.util.Comparator.reverseOrder());
        assertThat(figures.runs().get(1).from()).isCloseTo(1820, within(0.5));
        assertThat(figures.ice()).isEqualTo(figures.runs().get(3).iceEnd()).isPositive();
    }

    @ParameterizedTest
    @CsvSource({"true", "false"})
    void condensateComesOnlyOutOfAColdCore(boolean cold) {
        Loops l = new Loops();
        l.radiator = Optional.empty();
        l.tank = Optional.of(new TankSpec(40e-3, false, OptionalDouble.of(cold ? 276 : 325), IceSpec.NONE, false));
        l.volume = 38e-3;
        Systems s = l.systems();
        s.humidity = 0.8;
        s.ambientT = 303;
        RunFigures figures =
                RunFigures.of(EnduranceRun.run(s.system(), hold(Systems.point(4000, 60, 20), 5, 60)), TARGETS);
        assertThat(figures.condensed() > 1e-3).isEqualTo(cold);
    }

    @Test
    void sensorThatLagsShowsTheLineLater() {
        Systems s = Systems.standard();
        s.core = false;
        Trace trace = EnduranceRun.run(
                s.system(),
                new Duty(
                        "pull",
                        true,
                        5,
                        1,
                        0,
                        List.of(
                                new DutyPoint(0, 300, 0, 20),
                                new DutyPoint(2, 450, 100e3, 20),
                                new DutyPoint(40, 550, 100e3, 40))),
                new Sensor(8),
                0.05);
        Targets line = new Targets(330, 350);
        RunFigures figures = RunFigures.of(trace, line);
        assertThat(figures.firstShownOverPull())
                .isGreaterThan(Verdict.of(s.system(), trace, line).firstOverPull() + 2);
    }
}
