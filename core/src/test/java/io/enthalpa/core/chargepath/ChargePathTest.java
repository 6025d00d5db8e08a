package io.enthalpa.core.chargepath;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import io.enthalpa.core.Cases;
import io.enthalpa.core.Systems;
import io.enthalpa.core.engine.BlowerSpec;
import io.enthalpa.core.engine.BlowerType;
import io.enthalpa.core.exchanger.Condensate;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import io.enthalpa.core.fluid.HumidAir;
import io.enthalpa.core.steady.SteadyResult;
import java.util.List;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class ChargePathTest {
    static LongStream seeds() {
        return Cases.seeds();
    }

    private static Systems random(Cases cases) {
        Systems s = cases.between(0, 1) == 0 ? Systems.standard() : Systems.water();
        s.ambientT = cases.between(265.0, 315.0);
        s.ambientP = cases.between(75e3, 103e3);
        s.humidity = cases.between(0.0, 1.0);
        s.efficiency = cases.between(0.5, 0.8);
        s.displacement = cases.between(0.001, 0.0028);
        s.bore = cases.between(0.045, 0.08);
        return s;
    }

    private static OperatingPoint randomPoint(Cases cases) {
        return Systems.point(cases.between(1500.0, 6000.0), cases.between(20.0, 150.0), cases.between(0.0, 50.0));
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void reachesTheAskedPressureAndObeysTheLaws(long seed) {
        Cases cases = Cases.of(seed);
        Systems s = random(cases);
        OperatingPoint point = randomPoint(cases);
        SteadyResult result = s.system().steady(point);
        PathResult path = result.path();
        assertThat(path.blowerLimited()).isFalse();
        assertThat(path.manifoldPressure()).isCloseTo(s.ambientP + point.boost(), withinPercentage(1e-6));
        assertThat(path.residual()).isLessThan(1e-8);
        assertThat(path.iterations()).isLessThan(15);
        HumidAir air = s.path().ambient().air();
        double breathed =
                s.path().engine().airDemand(air, path.manifoldPressure(), path.intakeTemperature(), point.speed());
        double cameOut = result.core().condensate().flow() / 18.015e-3 * air.molarMass();
        assertThat(path.flow())
                .as("as many moles as the cylinders hold, and in front of the core those that come out there")
                .isCloseTo(breathed + cameOut, withinPercentage(1e-4));
        for (PieceResult piece : path.pieces()) {
            if (!(piece.element() instanceof PathElement.Blower)) {
                assertThat(piece.loss()).as(piece.element().name()).isPositive();
            }
        }
        assertThat(result.core().transfer().effectiveness()).isBetween(0.0, 1.0);
        assertThat(path.intakeTemperature())
                .as("no outlet colder than the air that cools it")
                .isGreaterThanOrEqualTo(s.ambientT);
        double between = path.stations().get(3).temperature() - result.core().coldIn();
        double taken = path.flow()
                * (air.enthalpy(path.stations().get(3).temperature())
                        - air.enthalpy(path.stations().get(4).temperature()));
        Condensate condensate = result.core().condensate();
        double kept = path.flow() * air.heatCapacity(result.core().out()) * condensate.warmer();
        assertThat(taken + kept)
                .as(
                        "the charge gives what the exchanger moves between these inlets, but for what condensing water keeps warm")
                .isCloseTo(
                        result.core().transfer().conductancePerKelvin() * between,
                        withinPercentage(condensate.warmer() > 0 ? 0.5 : 0.01));
        assertThat(result.core().heat()).isCloseTo(taken + condensate.latentHeat(), withinPercentage(1e-6));
        var shares = result.core().shares();
        assertThat(shares.charge() + shares.wall() + shares.coldFilm() + shares.coldFlow() + shares.radiator())
                .isCloseTo(1, within(1e-9));
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void moreBoostNeverGivesACoolerBlowerOutlet(long seed) {
        Cases cases = Cases.of(seed);
        Systems s = random(cases);
        OperatingPoint point = randomPoint(cases);
        OperatingPoint more = new OperatingPoint(point.speed(), point.boost() + 5000, point.roadSpeed());
        double before = s.system().steady(point).path().stations().get(2).temperature();
        assertThat(s.system().steady(more).path().stations().get(2).temperature())
                .isGreaterThan(before);
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void narrowerPipeCostsPressureAndRatio(long seed) {
        Cases cases = Cases.of(seed);
        Systems s = random(cases);
        OperatingPoint point = randomPoint(cases);
        PathResult wide = s.evenBore(s.bore).system().steady(point).path();
        PathResult narrow = s.evenBore(0.9 * s.bore).system().steady(point).path();
        assertThat(narrow.totalLoss()).isGreaterThan(wide.totalLoss());
        assertThat(narrow.pressureRatio()).isGreaterThan(wide.pressureRatio());
    }

    /**
     * TF-01, common practice, no source: roots-type blower, about 0.69 bar, no cooler, three minutes at the limiter standing
     * still: charge a little over 120 °C. Standing, the intake eats bay heat (12 K over 25 °C assumed).
     */
    @Test
    void uncooledRootsBlowerCooksTheCharge() {
        Systems s = Systems.standard();
        s.core = false;
        s.type = BlowerType.ROOTS;
        s.efficiency = 0.55;
        s.ambientT = 298.15;
        s.filterHeat = 12;
        double charge = s.system().steady(Systems.point(6500, 69, 0)).path().intakeTemperature() - 273.15;
        assertThat(charge).isBetween(112.0, 135.0);
    }

    /** Hand-worked with constant cp 1005 and gamma 1.4: 300 K, ratio 2, 70 %: 300 (1 + (2^0.2857 - 1) / 0.7) = 393.9 K. */
    @Test
    void blowerOutletNearTheConstantGammaValue() {
        double t = BlowerSpec.outletTemperature(HumidAir.DRY, 300, 2, 0.7);
        assertThat(t).isCloseTo(393.9, within(0.6));
        assertThat(BlowerSpec.outletTemperature(HumidAir.DRY, 300, 1, 0.7)).isEqualTo(300);
    }

    @Test
    void blowerAtItsLimitGivesWhatItCan() {
        Systems s = Systems.standard();
        s.maxRatio = 1.8;
        PathResult path = s.system().steady(Systems.point(4000, 120, 20)).path();
        assertThat(path.blowerLimited()).isTrue();
        assertThat(path.pressureRatio()).isEqualTo(1.8);
        assertThat(path.manifoldPressure()).isLessThan(path.askedPressure());
        assertThat(path.residual()).isLessThan(1e-8);
    }

    @Test
    void throttleTakesWhatIsNotAskedFor() {
        PathResult path =
                Systems.standard().system().steady(Systems.point(900, -60, 0)).path();
        assertThat(path.pressureRatio()).isEqualTo(1);
        assertThat(path.manifoldPressure()).isCloseTo(101325 - 60000, within(1.0));
        assertThat(path.throttleLoss()).isGreaterThan(50000);
    }

    @Test
    void chokedPathIsRefusedByName() {
        Systems s = Systems.standard();
        s.bore = 0.012;
        s.displacement = 0.008;
        assertThatThrownBy(() -> s.system().steady(Systems.point(6500, 150, 30)))
                .isInstanceOfSatisfying(EnthalpaFault.class, fault -> {
                    assertThat(fault.kind()).isEqualTo(FaultKind.NO_SOLUTION);
                    assertThat(fault.sentence()).contains("boost is 150 kPa").contains("larger bore");
                });
    }

    @Test
    void staticPressureFollowsFromTotalAndVelocity() {
        PathResult path =
                Systems.standard().system().steady(Systems.point(4000, 120, 20)).path();
        Station hot = path.stations().get(3);
        double dynamic = hot.density() * hot.velocity() * hot.velocity() / 2;
        assertThat(hot.totalPressure() - hot.staticPressure()).isCloseTo(dynamic, withinPercentage(2));
        assertThat(hot.density() * hot.velocity() * Math.PI / 4 * hot.bore() * hot.bore())
                .isCloseTo(path.flow(), withinPercentage(1e-6));
    }

    @Test
    void pathWithoutItsPiecesIsRefused() {
        List<PathElement> none = List.of(new PathElement.Plenum("plenum", 0.06, 0.003));
        assertThatThrownBy(() -> new ChargePath(
                        Ambient.of(300, 1e5, 0), Systems.standard().path().engine(), none))
                .isInstanceOf(EnthalpaFault.class)
                .hasMessageContaining("blowers");
    }
}
