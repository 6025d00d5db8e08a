package io.enthalpa.core.fluid;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import io.enthalpa.core.Cases;
import io.enthalpa.core.ReferenceTable;
import io.enthalpa.core.fault.EnthalpaFault;
import java.util.List;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class HumidAirTest {
    static List<ReferenceTable.Row> table() {
        return ReferenceTable.rows("air-properties.csv");
    }

    static LongStream seeds() {
        return Cases.seeds();
    }

    /** Incropera &amp; DeWitt, table A.4. */
    @ParameterizedTest
    @MethodSource("table")
    void agreesWithThePublishedTable(ReferenceTable.Row row) {
        double t = row.get("temperature_K");
        assertThat(HumidAir.DRY.heatCapacity(t)).isCloseTo(row.get("cp_J_kgK"), withinPercentage(0.5));
        assertThat(HumidAir.DRY.viscosity(t)).isCloseTo(row.get("viscosity_Pa_s"), withinPercentage(1.0));
        assertThat(HumidAir.DRY.conductivity(t)).isCloseTo(row.get("conductivity_W_mK"), withinPercentage(1.5));
        // The table's densities belong to 100 kPa, 1.3 % below the atmosphere in its heading (300 K: 1e5 / (287.05 *
        // 300) = 1.1613).
        assertThat(HumidAir.DRY.density(1e5, t)).isCloseTo(row.get("density_kg_m3"), withinPercentage(0.3));
        assertThat(HumidAir.DRY.prandtl(t)).isCloseTo(row.get("prandtl"), withinPercentage(2));
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void enthalpyIsTheIntegralOfHeatCapacity(long seed) {
        Cases cases = Cases.of(seed);
        HumidAir air = HumidAir.at(cases.between(260, 315), cases.between(60e3, 105e3), cases.between(0, 1.0));
        double t = cases.between(240, 580);
        double slope = (air.enthalpy(t + 0.5) - air.enthalpy(t - 0.5));
        assertThat(slope).isCloseTo(air.heatCapacity(t), within(1e-3));
        assertThat(air.temperatureAtEnthalpy(air.enthalpy(t), 300)).isCloseTo(t, within(1e-7));
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void isentropicThereAndBackReturns(long seed) {
        Cases cases = Cases.of(seed);
        double t = cases.between(250, 350);
        double ratio = cases.between(1.05, 4);
        double up = HumidAir.DRY.isentropicTemperature(t, ratio);
        assertThat(up).isGreaterThan(t);
        assertThat(HumidAir.DRY.isentropicTemperature(up, 1 / ratio)).isCloseTo(t, within(1e-6));
    }

    /** Constant-gamma textbook relation holds closely near room temperature, where gamma is 1.40. */
    @Test
    void isentropicRiseMatchesTheConstantGammaRelationForSmallRatios() {
        assertThat(HumidAir.DRY.isentropicTemperature(300, 1.2)).isCloseTo(300 * Math.pow(1.2, 0.4 / 1.4), within(0.1));
    }

    @Test
    void humidityMakesAirLighter() {
        HumidAir wet = HumidAir.at(313.15, 101325, 1.0);
        assertThat(wet.density(101325, 313.15)).isLessThan(HumidAir.DRY.density(101325, 313.15));
        // 7.38 kPa of vapour at 40 °C: mole fraction 0.0729 (steam table value).
        assertThat(wet.waterMoleFraction()).isCloseTo(0.0729, within(0.0003));
    }

    /** Incropera &amp; DeWitt: ratio of heat capacities of air at 300 K 1.400; sound travels at 347 m/s (sqrt(1.4 x 287.05 x 300) = 347.2). */
    @Test
    void soundAndRatioOfHeatCapacities() {
        assertThat(HumidAir.DRY.gamma(300)).isCloseTo(1.400, within(0.002));
        assertThat(HumidAir.DRY.soundSpeed(300)).isCloseTo(347.2, within(0.4));
        HumidAir both = HumidAir.DRY.carrying(0.02, 0.03);
        assertThat(both.water()).isCloseTo(0.02, within(1e-12));
        assertThat(both.methanol()).isCloseTo(0.03, within(1e-12));
        assertThat(both.methanolMoleFraction()).isCloseTo(0.03 / 1.05, within(1e-12));
    }

    /** Methanol vapour at 298.15 K: 44.1 J/(mol K) (Poling, Prausnitz &amp; O'Connell, 2001, from memory). */
    @Test
    void vapourCountsAsWeightRoomAndHeat() {
        HumidAir half = HumidAir.DRY.carrying(0, 1);
        double dry = HumidAir.DRY.heatCapacity(298.15) * HumidAir.DRY.molarMass();
        assertThat(2 * half.heatCapacity(298.15) * half.molarMass() - dry).isCloseTo(44.1, withinPercentage(1));
        assertThat(half.massPerDryMole()).isCloseTo(28.9645e-3 + 32.042e-3, within(1e-5));
        HumidAir wet = HumidAir.DRY.carrying(0.05, 0);
        assertThat(wet.waterMoleFraction()).isCloseTo(0.05 / 1.05, within(1e-12));
        assertThat(wet.water()).isCloseTo(0.05, within(1e-12));
        assertThat(wet.molarMass()).isCloseTo((28.9645e-3 + 0.05 * 18.01528e-3) / 1.05, within(2e-6));
        // Steam tables: 1.87 kJ/(kg K) near 50 °C.
        double mixed = (28.9645e-3 * HumidAir.DRY.heatCapacity(323) + 0.05 * 18.01528e-3 * 1870)
                / (28.9645e-3 + 0.05 * 18.01528e-3);
        assertThat(wet.heatCapacity(323)).isCloseTo(mixed, withinPercentage(0.1));
    }

    @Test
    void refusesWhatIsNotAir() {
        assertThatThrownBy(() -> HumidAir.at(300, 101325, 1.4))
                .isInstanceOf(EnthalpaFault.class)
                .hasMessageContaining("relative humidity");
        assertThatThrownBy(() -> HumidAir.at(Double.NaN, 101325, 0.4))
                .isInstanceOf(EnthalpaFault.class)
                .hasMessageContaining("air temperature");
        assertThatThrownBy(() -> HumidAir.at(300, -1, 0.4))
                .isInstanceOf(EnthalpaFault.class)
                .hasMessageContaining("air pressure");
    }
}
