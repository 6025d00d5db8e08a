package io.enthalpa.core.waterloop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import io.enthalpa.core.Cases;
import io.enthalpa.core.Systems;
import io.enthalpa.core.chargepath.Ambient;
import io.enthalpa.core.chargepath.OperatingPoint;
import io.enthalpa.core.coolingair.FaceAirSpec;
import io.enthalpa.core.fluid.GlycolWater;
import io.enthalpa.core.fluid.HumidAir;
import io.enthalpa.core.fluid.Water;
import io.enthalpa.core.plant.CoreResult;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class WaterLoopTest {
    private static final OperatingPoint POINT = Systems.point(5000, 110, 25);

    static LongStream seeds() {
        return Cases.seeds();
    }

    private static CoreResult core(double flow) {
        Systems s = Systems.water();
        s.cooling = Systems.waterLoop(flow / 60e3, 6e-3);
        return s.system().steady(POINT).core();
    }

    @Test
    void radiatorReproducesItsCard() {
        Radiator radiator = Radiator.of(Systems.radiator(), GlycolWater.WATER);
        double water = 20e-3 / 60 * Water.density(333.15);
        double air = 5 * 0.4 * 0.25 * HumidAir.DRY.density(101325, 298.15);
        double perKelvin = radiator.transfer(
                        water,
                        water * Water.heatCapacity(333.15),
                        333.15,
                        air,
                        air * HumidAir.DRY.heatCapacity(298.15),
                        298.15)
                .conductancePerKelvin();
        assertThat(perKelvin * (333.15 - 298.15)).isCloseTo(12e3, withinPercentage(0.01));
    }

    /** What the core takes from the charge is what the radiator, rated by itself at the same water and air, gives away. */
    @ParameterizedTest
    @MethodSource("seeds")
    void radiatorGivesAwayWhatTheCoreTakes(long seed) {
        double flow = Cases.of(seed).between(5.0, 40.0);
        CoreResult core = core(flow);
        RadiatorSpec radiator = Systems.radiator();
        Ambient outside = Ambient.of(300, 101325, 0.4);
        double air = radiator.air()
                .flow(
                        POINT.roadSpeed(),
                        radiator.size().face(),
                        outside.air(),
                        outside.pressure(),
                        outside.temperature());
        double water = flow / 60e3 * Water.density(core.coldIn());
        double perKelvin = Radiator.of(radiator, GlycolWater.WATER)
                .transfer(
                        water,
                        water * Water.heatCapacity(core.coldIn()),
                        core.coldIn(),
                        air,
                        air * outside.air().heatCapacity(300),
                        300)
                .conductancePerKelvin();
        assertThat(perKelvin * (core.coldOut() - 300)).isCloseTo(core.heat(), withinPercentage(0.1));
        assertThat(core.coldIn())
                .as("water is never colder than the air that cools it")
                .isGreaterThan(300);
    }

    /** TF-05, common practice, no source: a strangled loop is helped more by flow than a well-fed one. */
    @Test
    void moreWaterHelpsAndHelpsLessEachTime() {
        double thin = core(6).recovered();
        double fair = core(14).recovered();
        double rich = core(30).recovered();
        assertThat(fair).isGreaterThan(thin);
        assertThat(rich).isGreaterThan(fair);
        assertThat((fair - thin) / 8).isGreaterThan((rich - fair) / 16);
        assertThat(core(6).shares().coldFlow()).isGreaterThan(core(30).shares().coldFlow());
    }

    /** TF-03, common practice, no source: a low-temperature loop works at 30 to 60 °C against 20 to 30 °C air. */
    @Test
    void loopWorksAtTheUsualTemperatures() {
        CoreResult core = core(20);
        assertThat(core.coldIn() - 273.15).isBetween(30.0, 60.0);
        assertThat(core.coldOut() - 273.15).isBetween(30.0, 70.0);
    }

    @Test
    void faceAirIsTheLargerOfRoadAndStanding() {
        FaceAirSpec face = new FaceAirSpec(0.25, 0.8);
        assertThat(face.faceSpeed(0)).isEqualTo(0.8);
        assertThat(face.faceSpeed(20)).isEqualTo(5);
        assertThat(face.flow(20, 0.1, HumidAir.DRY, 101325, 300)).isCloseTo(5 * 0.1 * 1.1766, within(1e-3));
    }
}
