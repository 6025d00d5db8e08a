package io.enthalpa.core.fluid;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import io.enthalpa.core.Cases;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class DewPointTest {
    static LongStream seeds() {
        return Cases.seeds();
    }

    /** Worked example (Çengel &amp; Boles, Thermodynamics, from memory): a room at 20 °C and 75 % humidity has its dew point at 15.4 °C. */
    @Test
    void roomAirOfTheTextbook() {
        assertThat(HumidAir.at(293.15, 101325, 0.75).dewPoint(101325) - 273.15).isCloseTo(15.4, within(0.1));
    }

    /** Doubling the pressure doubles the vapour's: from 15.4 °C (1.75 kPa) to where saturation is 3.5 kPa, 26.7 °C by the steam tables. */
    @Test
    void boostRaisesTheDewPoint() {
        HumidAir air = HumidAir.at(293.15, 101325, 0.75);
        assertThat(air.dewPoint(202650) - 273.15).isCloseTo(26.7, within(0.1));
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void dewPointIsTheInverseOfSaturation(long seed) {
        Cases cases = Cases.of(seed);
        double t = cases.between(275.0, 350.0);
        assertThat(WaterVapour.saturationTemperature(WaterVapour.saturationPressure(t)))
                .isCloseTo(t, within(1e-5));
        HumidAir air = HumidAir.at(300, 101325, cases.between(0.05, 1.0));
        double p = cases.between(100e3, 300e3);
        assertThat(air.dewPoint(p * 1.1)).isGreaterThan(air.dewPoint(p));
    }

    @Test
    void dryAirHasNone() {
        assertThat(HumidAir.DRY.dewPoint(3e5)).isZero();
        assertThat(HumidAir.DRY.waterMassFraction()).isZero();
    }

    /** Humidity ratio of the same textbook's 20 °C, 75 %: 0.0109 kg of water for each kg of dry air. */
    @Test
    void massFractionFollowsFromMoles() {
        double share = HumidAir.at(293.15, 101325, 0.75).waterMassFraction();
        assertThat(share / (1 - share)).isCloseTo(0.0109, withinPercentage(1));
    }

    /** Steam tables: 2441.7 kJ/kg at 25 °C, 2382.0 at 50 °C, 2308.0 at 80 °C. Methanol: 1.17 MJ/kg at 25 °C; boils at 64.7 °C. */
    @Test
    void latentHeatsOfTheTables() {
        assertThat(WaterVapour.latentHeat(298.15)).isCloseTo(2441.7e3, withinPercentage(0.3));
        assertThat(WaterVapour.latentHeat(323.15)).isCloseTo(2382.0e3, withinPercentage(0.3));
        assertThat(WaterVapour.latentHeat(353.15)).isCloseTo(2308.0e3, withinPercentage(0.3));
        assertThat(Methanol.latentHeat(298.15)).isCloseTo(1.17e6, withinPercentage(1));
        assertThat(Methanol.saturationPressure(337.85)).isCloseTo(101325, withinPercentage(1.5));
    }

    @Test
    void tableForEveryCellIsTheEquation() {
        for (double t = 200; t < 450; t += 0.37) {
            double exact = WaterVapour.saturationPressure(t);
            assertThat(WaterVapour.tabledPressure(t)).isCloseTo(exact, withinPercentage(1e-3));
            if (t > 231 && t < 419) {
                assertThat(WaterVapour.tabledSlope(t))
                        .isCloseTo(
                                (WaterVapour.saturationPressure(t + 0.05) - WaterVapour.saturationPressure(t - 0.05))
                                        / 0.1,
                                withinPercentage(1));
            }
        }
    }
}
