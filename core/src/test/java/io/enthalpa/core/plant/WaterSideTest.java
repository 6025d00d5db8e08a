package io.enthalpa.core.plant;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import io.enthalpa.core.Loops;
import io.enthalpa.core.Systems;
import io.enthalpa.core.fluid.GlycolWater;
import io.enthalpa.core.fluid.Water;
import io.enthalpa.core.waterloop.IceSpec;
import io.enthalpa.core.waterloop.TankSpec;
import io.enthalpa.core.waterloop.WaterLoopSpec;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Water and ice in a tank, against what can be worked out by hand. */
class WaterSideTest {
    private static WaterSide iceWater(double kg, double volume, boolean baffled) {
        Loops l = new Loops();
        l.radiator = Optional.empty();
        l.volume = volume;
        l.tank = Optional.of(new TankSpec(
                60e-3, baffled, OptionalDouble.empty(), new IceSpec(kg, 0.01, IceSpec.Stir.SPRAYED), false));
        return new WaterSide(l.spec(), 273.15, 300);
    }

    /** Under constant heat ice lasts its latent heat over that heat, less what the water itself has warmed by. */
    @ParameterizedTest
    @CsvSource({"5, false", "20, false", "20, true"})
    void iceMeltsInTheTimeItsLatentHeatTakes(double kg, boolean baffled) {
        WaterSide water = iceWater(kg, 4e-3, baffled);
        double heat = 20e3;
        double start = water.stored();
        double seconds = 0;
        while (water.ice() > 0 && seconds < 1e4) {
            water.send(
                    new WaterSide.Step(0.1, 2000, new RadiatorMetal.Sides(0, Double.POSITIVE_INFINITY), 300, 0, 0, 0));
            water.take(heat);
            seconds += 0.1;
        }
        assertThat(water.stored() - start)
                .as("all heat is kept, in melt and water")
                .isCloseTo(heat * seconds, withinPercentage(0.5));
        // No water is colder than the melting ice, none warmer than what comes back from the core.
        double warmest = (4 + kg) * 4200 * (water.out() + heat / 2000 - 273.15);
        assertThat(seconds * heat)
                .isBetween(kg * IceSpec.LATENT_HEAT * 0.999, (kg * IceSpec.LATENT_HEAT + warmest) * 1.001);
    }

    /** A stirred tank under constant heat and a radiator: exponential, whatever the step. */
    @ParameterizedTest
    @CsvSource({"0.05", "1", "20"})
    void stirredTankFollowsItsExponential(double dt) {
        WaterLoopSpec spec = WaterLoopSpec.measured(20e-3 / 60, 6e-3, Systems.radiator());
        WaterSide water = new WaterSide(spec, 300, 300);
        double at = 315;
        double capacity = spec.volume() * Water.density(at) * Water.heatCapacity(at);
        double rate = 1300;
        double radiator = 400;
        for (int i = 0; i < Math.round(60 / dt); i++) {
            water.send(new WaterSide.Step(
                    dt, rate, new RadiatorMetal.Sides(radiator, Double.POSITIVE_INFINITY), 300, 0, 0, 0));
            water.take(9e3);
        }
        double limit = 300 + 9e3 * (1 / radiator - 1 / rate);
        assertThat(water.out()).isCloseTo(limit + (300 - limit) * Math.exp(-radiator * 60 / capacity), within(1e-6));
    }

    /** A baffled tank gives cold water for longer before the warmed water comes round; a mixed one warms from the start. */
    @Test
    void baffledTankHoldsBackTheWarmedWater() {
        WaterSide mixed = iceWater(0.001, 20e-3, false);
        WaterSide baffled = iceWater(0.001, 20e-3, true);
        for (int i = 0; i < 40; i++) {
            mixed.send(
                    new WaterSide.Step(0.5, 2000, new RadiatorMetal.Sides(0, Double.POSITIVE_INFINITY), 300, 0, 0, 0));
            mixed.take(30e3);
            baffled.send(
                    new WaterSide.Step(0.5, 2000, new RadiatorMetal.Sides(0, Double.POSITIVE_INFINITY), 300, 0, 0, 0));
            baffled.take(30e3);
        }
        assertThat(baffled.out()).isLessThan(mixed.out() - 2);
    }

    /**
     * By hand: 1 kg of ice in 5 kg of water at 40 °C, nothing else. The mixture holds 5 (40) 4.18 - 334 kJ over 0 °C, in 6 kg: 20.0 °C.
     * Were the melt water lost from the account it would be 24.0.
     */
    @Test
    void whatMeltsIsWarmedWithTheRest() {
        WaterLoopSpec spec = new WaterLoopSpec(
                GlycolWater.WATER,
                OptionalDouble.of(20e-3 / 60),
                5e-3 * 1000 / Water.density(315),
                List.of(),
                Optional.empty(),
                Optional.of(new TankSpec(
                        8e-3, false, OptionalDouble.empty(), new IceSpec(1, 0.01, IceSpec.Stir.SPRAYED), false)),
                Optional.empty(),
                Optional.empty());
        WaterSide water = new WaterSide(spec, 313.15, 300);
        for (int i = 0; i < 4000; i++) {
            water.send(
                    new WaterSide.Step(0.1, 1400, new RadiatorMetal.Sides(0, Double.POSITIVE_INFINITY), 300, 0, 0, 0));
            water.take(0);
        }
        assertThat(water.ice()).isZero();
        double c = Water.heatCapacity(315);
        assertThat(water.out() - 273.15).isCloseTo((5 * 40 * c - 334e3) / (6 * c), within(0.03));
        assertThat(water.out() - 273.15).isCloseTo(20.0, within(0.1));
    }
}
