package io.enthalpa.core.plant;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import io.enthalpa.core.Cases;
import io.enthalpa.core.Loops;
import io.enthalpa.core.Systems;
import io.enthalpa.core.chargepath.Ambient;
import io.enthalpa.core.chargepath.BaySpec;
import io.enthalpa.core.chargepath.ChargePath;
import io.enthalpa.core.chargepath.CoolingSide;
import io.enthalpa.core.chargepath.HotNeighbour;
import io.enthalpa.core.chargepath.OperatingPoint;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.chargepath.PathWall;
import io.enthalpa.core.chargepath.PipeWallSpec;
import io.enthalpa.core.chargepath.PlenumWallSpec;
import io.enthalpa.core.coolingair.FaceAirSpec;
import io.enthalpa.core.duty.Duty;
import io.enthalpa.core.duty.DutyPoint;
import io.enthalpa.core.endurance.EnduranceRun;
import io.enthalpa.core.endurance.Trace;
import io.enthalpa.core.engine.BlowerType;
import io.enthalpa.core.engine.InjectionSpec;
import io.enthalpa.core.fluid.Water;
import io.enthalpa.core.loss.PipeMaterial;
import io.enthalpa.core.steady.ChargeSystem;
import io.enthalpa.core.steady.SteadyResult;
import io.enthalpa.core.waterloop.IceSpec;
import io.enthalpa.core.waterloop.TankSpec;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** Bay, walls, hoses and sensor: what the charge meets besides the core. */
class SurroundingsTest {
    private static final BaySpec BAY = new BaySpec(45, 14, 240);
    private static final PlenumWallSpec PLENUM = new PlenumWallSpec(4, 0.12, 363, 8);
    private static final OperatingPoint POINT = Systems.point(4000, 90, 20);

    static LongStream seeds() {
        return Cases.seeds().limit(20);
    }

    private static Systems soaked() {
        Systems s = Systems.standard();
        s.bay = Optional.of(BAY);
        s.plenumWall = Optional.of(PLENUM);
        return s;
    }

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

    private static double last(double[] values) {
        return values[values.length - 1];
    }

    @Test
    void bayGivesBackItsTwoReadings() {
        assertThat(BAY.rise(0)).isCloseTo(45, within(1e-9));
        assertThat(BAY.rise(60 / 3.6)).isCloseTo(14, within(1e-9));
        assertThat(BAY.rise(40)).isBetween(0.0, 14.0);
        assertThat(BAY.timeConstant(0)).isCloseTo(240, within(1e-9));
    }

    /** A lump towards a constant level: exponential, whatever the step. */
    @ParameterizedTest
    @CsvSource({"1", "30", "600"})
    void bayFollowsItsExponential(double dt) {
        BayAir bay = new BayAir(Optional.of(BAY), 300, 60 / 3.6);
        assertThat(bay.temperature()).as("settled at the speed it starts with").isCloseTo(314, within(1e-9));
        for (int i = 0; i < Math.round(600 / dt); i++) {
            bay.advance(dt, true, 0);
        }
        assertThat(bay.temperature()).isCloseTo(345 - 31 * Math.exp(-600 / 240.0), within(1e-9));
    }

    @Test
    void engineSwitchedOffCoolsOverAnHour() {
        BayAir bay = new BayAir(Optional.of(BAY), 300, 0);
        for (int i = 0; i < 3600; i++) {
            bay.advance(1, false, 0);
        }
        assertThat(bay.warm()).isCloseTo(Math.exp(-1), within(1e-9));
        assertThat(bay.temperature() - 300).isBetween(45 * Math.exp(-1), 20.0);
    }

    /** Bare metal of one temperature towards what it meets: exponential, whatever the step. */
    @ParameterizedTest
    @CsvSource({"0.5", "10", "300"})
    void wallWithoutChargeFollowsItsExponential(double dt) {
        Ambient ambient = Ambient.of(300, 101325, 0.4);
        PathWall wall = soaked().path().walls().get(2);
        PathWall.Meeting met = wall.meets(320, 330, ambient, 1, 0);
        WallPlant plant = new WallPlant(wall, ambient, 320);
        for (int i = 0; i < Math.round(300 / dt); i++) {
            plant.advance(dt, false, 330, 1, 0);
        }
        double left = Math.exp(-300 * met.conductance() / wall.capacity());
        assertThat(plant.temperature()).isCloseTo(met.level() + (320 - met.level()) * left, within(1e-9));
        assertThat(plant.rejected())
                .isCloseTo(wall.capacity() * (320 - plant.temperature()), within(1e-6 * wall.capacity()));
    }

    @Test
    void steadyLimitWithWallsIsTheSteadySolver() {
        Systems s = soaked();
        s.coldWall = new PipeWallSpec(0.0016, true, 0, Optional.of(new HotNeighbour(800, 0.15, 0.06, 0.3, false)));
        s.bayShare = 0.3;
        SteadyResult steady = s.system().steady(POINT);
        Trace trace = EnduranceRun.run(s.system(), hold(POINT, 5, 3600));
        double fall =
                steady.path().stations().get(3).temperature() - steady.path().intakeTemperature();
        assertThat(last(trace.coreIn()) - last(trace.intake())).isCloseTo(fall, withinPercentage(1));
        assertThat(last(trace.intake())).isCloseTo(steady.path().intakeTemperature(), within(0.01 * fall));
        assertThat(trace.audit().error()).isLessThan(0.005);
        assertThat(last(trace.stations().get(2).temperature()))
                .isCloseTo(steady.path().stations().get(3).temperature(), within(0.5));
    }

    private static ChargeSystem sprayed() {
        List<PathElement> pieces = new ArrayList<>(soaked().path().elements());
        pieces.add(
                pieces.size() - 1,
                new PathElement.Injection(
                        "nozzle", 0.057, new InjectionSpec(0.5, 0.3e-3 / 60, 700e3, 700e3, 30e3, 80e3, 5e-3, 0.7)));
        return new ChargeSystem(
                new ChargePath(soaked().path().ambient(), soaked().path().engine(), pieces, Optional.of(BAY)));
    }

    /** What evaporates takes part of what the core changes by: the plenum must follow within each step. */
    @Test
    void halvingTheStepChangesNothingBehindANozzle() {
        List<DutyPoint> rows = new ArrayList<>();
        for (int k = 0; k < 40; k++) {
            rows.add(new DutyPoint(2 * k, k % 2 == 0 ? 300 : 500, k % 2 == 0 ? 90e3 : 130e3, 5 + 20 * (k % 2)));
        }
        Duty duty = new Duty("swings", true, 10, 1, 0, rows);
        Trace whole = EnduranceRun.run(sprayed(), duty, 0.2);
        Trace half = EnduranceRun.run(sprayed(), duty, 0.1);
        for (int i = 10; i < whole.length(); i++) {
            assertThat(whole.intake()[i])
                    .as("at %.1f s", whole.time()[i])
                    .isCloseTo((half.intake()[2 * i] + half.intake()[2 * i + 1]) / 2, within(0.1));
        }
    }

    /** Also with water and alcohol sprayed in behind the core. */
    @Test
    void steadyLimitWithInjectionIsTheSteadySolver() {
        ChargeSystem system = sprayed();
        SteadyResult steady = system.steady(POINT);
        Trace trace = EnduranceRun.run(system, hold(POINT, 5, 3600));
        double fall =
                steady.path().stations().get(3).temperature() - steady.path().intakeTemperature();
        assertThat(last(trace.coreIn()) - last(trace.intake())).isCloseTo(fall, withinPercentage(1));
        assertThat(last(trace.sprayed())).isPositive();
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void accountsBalanceAndNothingLeavesItsSurroundings(long seed) {
        Cases cases = Cases.of(seed);
        Systems s = soaked();
        s.ambientT = cases.between(270.0, 312.0);
        s.bay = Optional.of(
                new BaySpec(cases.between(20.0, 60.0), cases.between(4.0, 19.0), cases.between(60.0, 600.0)));
        s.bayShare = cases.between(0.0, 1.0);
        Duty duty = new Duty(
                "runs",
                true,
                cases.between(0.0, 30.0),
                2,
                300,
                List.of(
                        new DutyPoint(0, 90, -40e3, 0),
                        new DutyPoint(5, 400, 100e3, 10),
                        new DutyPoint(60, 430, 100e3, 30),
                        new DutyPoint(70, 90, -40e3, 0)));
        Trace trace = EnduranceRun.run(s.system(), duty, cases.between(0.05, 1.5));
        assertThat(trace.audit().error()).isLessThan(0.005);
        for (int i = 0; i < trace.length(); i++) {
            assertThat(trace.intake()[i]).isBetween(s.ambientT - 1e-6, 600.0);
            assertThat(trace.columns().bay()[i]).isBetween(s.ambientT - 1e-6, s.ambientT + 60.001);
        }
    }

    @Test
    void halvingTheStepChangesNothingWithWallsAndBay() {
        Duty duty = new Duty(
                "go",
                true,
                20,
                1,
                0,
                List.of(
                        new DutyPoint(0, 90, -40e3, 0),
                        new DutyPoint(30, 90, -40e3, 0),
                        new DutyPoint(34, 400, 100e3, 10),
                        new DutyPoint(120, 430, 100e3, 30)));
        Trace whole = EnduranceRun.run(soaked().system(), duty, 0.1);
        Trace half = EnduranceRun.run(soaked().system(), duty, 0.05);
        for (int i = 1; i < whole.length(); i++) {
            assertThat(whole.intake()[i])
                    .as("at %.2f s", whole.time()[i])
                    .isCloseTo((half.intake()[2 * i] + half.intake()[2 * i + 1]) / 2, within(0.1));
        }
    }

    /** TF-12, common practice, no source: a heat-soaked car shows about 70 °C at the start line and 50 °C at the end, rolling air cools it. */
    @Test
    void soakedBlowerCarStartsHotAndFallsWhenRolling() {
        Systems s = Systems.standard();
        s.cooling = new CoolingSide.Air(new FaceAirSpec(0.3, 0.05));
        s.type = BlowerType.ROOTS;
        s.efficiency = 0.55;
        s.ambientT = 303;
        s.plenumWall = Optional.of(new PlenumWallSpec(6, 0.2, 368, 20));
        s.bay = Optional.of(new BaySpec(45, 12, 240));
        s.bayShare = 0.5;
        Duty duty = new Duty(
                "staging and run",
                true,
                40,
                1,
                0,
                List.of(
                        new DutyPoint(0, 95, -55e3, 0),
                        new DutyPoint(300, 95, -55e3, 0),
                        new DutyPoint(301, 300, 60e3, 2),
                        new DutyPoint(313, 600, 70e3, 55)));
        Trace trace = EnduranceRun.run(s.system(), duty);
        int line = firstAfter(trace, 300);
        assertThat(trace.intake()[line] - 273.15).isBetween(60.0, 80.0);
        assertThat(last(trace.intake())).isLessThan(trace.intake()[line] - 8);
    }

    private static int firstAfter(Trace trace, double time) {
        int i = 0;
        while (trace.time()[i] < time) {
            i++;
        }
        return i;
    }

    @Test
    void hotNeighbourHeatsByDistanceAndAShieldHelps() {
        assertThat(coldPipeWarmsBy(0.05, false)).isGreaterThan(coldPipeWarmsBy(0.2, false) + 0.2);
        assertThat(coldPipeWarmsBy(0.05, true)).isLessThan(0.6 * coldPipeWarmsBy(0.05, false));
    }

    private static double coldPipeWarmsBy(double distance, boolean shielded) {
        Systems s = Systems.standard();
        s.bay = Optional.of(new BaySpec(45, 14, 240));
        s.coldWall = new PipeWallSpec(
                PipeMaterial.ALUMINIUM.usualWall(),
                false,
                0,
                Optional.of(new HotNeighbour(950, 0.2, distance, 0.4, shielded)));
        SteadyResult with = s.system().steady(Systems.point(2000, 30, 5));
        s.coldWall = new PipeWallSpec(PipeMaterial.ALUMINIUM.usualWall(), false, 0, Optional.empty());
        SteadyResult without = s.system().steady(Systems.point(2000, 30, 5));
        return with.path().intakeTemperature() - without.path().intakeTemperature();
    }

    @Test
    void wrapKeepsAColdPipeColderInAHotBay() {
        Systems s = Systems.standard();
        s.bay = Optional.of(new BaySpec(60, 30, 240));
        SteadyResult bare = s.system().steady(Systems.point(1500, 10, 2));
        s.coldWall = new PipeWallSpec(0.0016, true, 0.01, Optional.empty());
        SteadyResult wrapped = s.system().steady(Systems.point(1500, 10, 2));
        assertThat(wrapped.path().intakeTemperature()).isLessThan(bare.path().intakeTemperature() - 0.1);
    }

    /** A standing tank in warm air: exponential towards it, in its own time. */
    @Test
    void standingWaterWarmsTowardsTheBay() {
        Loops l = new Loops();
        l.radiator = Optional.empty();
        l.soak = 5;
        l.volume = 10e-3;
        l.tank = Optional.of(new TankSpec(12e-3, false, OptionalDouble.of(280), IceSpec.NONE, false));
        WaterSide water = new WaterSide(l.spec(), 280, 300);
        water.standIn(330);
        double before = water.stored();
        for (int i = 0; i < 1800; i++) {
            water.send(new WaterSide.Step(1, 500, new RadiatorMetal.Sides(0, Double.POSITIVE_INFINITY), 300, 0, 0, 0));
            water.take(0);
        }
        double at = 315;
        double capacity = l.volume * Water.density(at) * Water.heatCapacity(at);
        assertThat(water.stored() - before)
                .isCloseTo(capacity * 50 * -Math.expm1(-5 * 1800 / capacity), withinPercentage(0.5));
    }

    /** A loop that nothing cools for good is answered as it starts, whatever its tank leaks. */
    @Test
    void leakOfATankIsNoCoolingHeldSteady() {
        Loops l = new Loops();
        l.radiator = Optional.empty();
        l.soak = 5;
        l.tank = Optional.of(new TankSpec(12e-3, false, OptionalDouble.of(280), IceSpec.NONE, false));
        SteadyResult steady = l.systems().system().steady(POINT);
        assertThat(steady.core().coldIn()).isEqualTo(280);
        assertThat(steady.loops().get(0).rise())
                .as("and told how fast it warms")
                .isPositive();
    }

    @Test
    void withoutABayNoWallCounts() {
        Systems s = Systems.standard();
        s.plenumWall = Optional.of(PLENUM);
        assertThat(s.path().walls()).isEmpty();
        assertThat(EnduranceRun.run(s.system(), hold(POINT, 5, 20)).walls()).isEmpty();
    }
}
