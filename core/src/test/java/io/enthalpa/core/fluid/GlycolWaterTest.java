package io.enthalpa.core.fluid;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import io.enthalpa.core.Cases;
import io.enthalpa.core.ReferenceTable;
import java.util.List;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

class GlycolWaterTest {
    static LongStream seeds() {
        return Cases.seeds();
    }

    static List<ReferenceTable.Row> water() {
        return ReferenceTable.rows("water-properties.csv");
    }

    /** water-properties.csv: IAPWS-IF97 and the IAPWS transport releases. */
    @ParameterizedTest
    @MethodSource("water")
    void withoutGlycolItIsTheWaterOfTheTable(ReferenceTable.Row row) {
        double t = row.get("temperature_C") + 273.15;
        assertThat(GlycolWater.WATER.density(t)).isCloseTo(row.get("density_kg_m3"), withinPercentage(1));
        assertThat(GlycolWater.WATER.heatCapacity(t)).isCloseTo(row.get("cp_J_kgK"), withinPercentage(1));
        assertThat(GlycolWater.WATER.viscosity(t)).isCloseTo(row.get("viscosity_Pa_s"), withinPercentage(1));
        assertThat(GlycolWater.WATER.conductivity(t)).isCloseTo(row.get("conductivity_W_mK"), withinPercentage(1));
        assertThat(GlycolWater.WATER.transport(t).prandtl()).isCloseTo(row.get("prandtl"), withinPercentage(1.5));
    }

    /** ASHRAE Fundamentals (2017), freezing points of aqueous ethylene glycol by volume; from memory, rounded. */
    @ParameterizedTest
    @CsvSource({"0, 0", "0.2, -8", "0.3, -14", "0.4, -24", "0.5, -36"})
    void freezesWhereTheTablesSay(double share, double celsius) {
        assertThat(new GlycolWater(share).freezing() - 273.15).isCloseTo(celsius, within(2.5));
    }

    /**
     * Worked by hand with figures of tables, half and half by volume at 60 °C (ASHRAE, from memory): k 0.41, viscosity 1.6 mPa s, cp 3450; water 0.654, 0.466, 4185. Pr 13.5 over
     * 2.98, its cube root 1.65; (0.466 / 1.6)^0.6 0.477, so 0.627 (0.477) 1.65 = 0.494; laminar, n 0.3, 0.714.
     */
    @Test
    void thickCoolantCostsTurbulentFilmsMore() {
        GlycolWater half = new GlycolWater(0.5);
        assertThat(half.filmFactor(333.15, 0.6)).isCloseTo(0.494, withinPercentage(6));
        assertThat(half.filmFactor(333.15, 0.3)).isCloseTo(0.714, withinPercentage(6));
        assertThat(GlycolWater.WATER.filmFactor(333.15, 0.6)).isEqualTo(1);
    }

    /** Steam tables: 100.0 °C at 101.325 kPa, 120.0 at 198.5, 95.7 at 86.6 (1300 m); half and half by volume 107 °C at one atmosphere (ASHRAE, from memory). */
    @ParameterizedTest
    @CsvSource({"0, 101325, 100.0, 0.1", "0, 198530, 120.0, 0.2", "0, 86600, 95.7, 0.2", "0.5, 101325, 107.2, 1.0"})
    void boilsWhereTheTablesSay(double share, double pressure, double celsius, double within) {
        assertThat(new GlycolWater(share).boiling(pressure) - 273.15).isCloseTo(celsius, within(within));
    }

    /**
     * ASHRAE Fundamentals (2017), half and half by volume at 20 °C: about 1070 kg/m3, 3300 J/(kg K), 0.39 W/(m K); from memory. Viscosity: CRC Handbook,
     * half and half by mass, about 4.2 mPa s, from memory; ASHRAE's table lies some 15 % below it.
     */
    @Test
    void halfAndHalfAtTwentyDegrees() {
        GlycolWater half = new GlycolWater(0.5);
        assertThat(half.density(293.15)).isCloseTo(1070, withinPercentage(2));
        assertThat(half.heatCapacity(293.15)).isCloseTo(3300, withinPercentage(3));
        GlycolWater byMass = new GlycolWater(0.4728);
        assertThat(byMass.massShare()).isCloseTo(0.5, within(1e-3));
        assertThat(byMass.viscosity(293.15)).isCloseTo(4.2e-3, withinPercentage(6));
        assertThat(half.conductivity(293.15)).isCloseTo(0.39, withinPercentage(6));
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void moreGlycolIsHeavierThickerAndCarriesLess(long seed) {
        Cases c = Cases.of(seed);
        double t = c.between(275.0, 365.0);
        double share = c.between(0.02, 0.5);
        GlycolWater less = new GlycolWater(share);
        GlycolWater more = new GlycolWater(share + 0.08);
        assertThat(more.density(t)).isGreaterThan(less.density(t));
        assertThat(more.viscosity(t)).isGreaterThan(less.viscosity(t));
        assertThat(more.heatCapacity(t)).isLessThan(less.heatCapacity(t));
        assertThat(more.conductivity(t)).isLessThan(less.conductivity(t));
        assertThat(more.freezing()).isLessThan(less.freezing());
        assertThat(more.filmFactor(t, 0.6)).isLessThan(less.filmFactor(t, 0.6)).isBetween(0.1, 1.0);
        assertThat(new GlycolWater(1e-6).density(t))
                .as("joins water without a step")
                .isCloseTo(Water.density(t), withinPercentage(0.001));
    }
}
