package io.enthalpa.core.engine;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import io.enthalpa.core.Cases;
import io.enthalpa.core.fluid.HumidAir;
import io.enthalpa.core.fluid.WaterVapour;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

class InjectionTest {
    static LongStream seeds() {
        return Cases.seeds();
    }

    private static InjectionSpec spec(double alcohol, double litresPerMinute, double evaporated) {
        return new InjectionSpec(alcohol, litresPerMinute / 60e3, 700e3, 1000e3, 40e3, 90e3, 5e-3, evaporated);
    }

    /** @param water g/s @param alcohol g/s of methanol @return both sprayed at any boost, all of it free to evaporate */
    private static InjectionSpec grams(double water, double alcohol) {
        double litres = water / 998.2 + alcohol / 791.8;
        return new InjectionSpec(alcohol / 791.8 / litres, litres * 1e-3, 1e6, 1e6, -1, 0, 1, 1);
    }

    /**
     * Adiabatic saturation (Çengel &amp; Boles, Thermodynamics, from memory): air of 25 °C and 33.2 % at 1 atm takes up water of 15 °C until it
     * stands at its wet-bulb temperature, 15 °C.
     */
    @Test
    void muchWaterInDryAirEndsAtTheWetBulb() {
        HumidAir air = HumidAir.at(298.15, 101325, 0.332);
        // Just above what saturation takes, all at 15 °C.
        InjectionCooling cooled = InjectionCooling.of(
                new InjectionSpec(0, 4.3e-6, 1e6, 1e6, -1, 0, 1, 1), air, 1, 298.15, 101325, 0, 288.15);
        assertThat(cooled.saturated()).isTrue();
        assertThat(cooled.temperature() - 273.15).isCloseTo(15.0, within(0.25));
        assertThat(cooled.gas().waterMoleFraction() * 101325)
                .isCloseTo(WaterVapour.saturationPressure(cooled.temperature()), withinPercentage(1));
    }

    /** By hand: 2 g/s of water all evaporated in 0.3 kg/s: 2e-3 x 2.37 MJ/kg + warming over 0.3 x 1010: about 16 K. */
    @Test
    void littleWaterEvaporatesWhollyAndCoolsByItsLatentHeat() {
        InjectionCooling cooled = InjectionCooling.of(
                new InjectionSpec(0, 2e-6, 1e6, 1e6, -1, 0, 1, 1), HumidAir.DRY, 0.3, 350, 2e5, 0, 298.15);
        assertThat(cooled.saturated()).isFalse();
        assertThat(cooled.water()).isCloseTo(2e-3 * 0.998, withinPercentage(0.5));
        assertThat(350 - cooled.temperature()).isCloseTo(16.5, within(0.8));
    }

    /**
     * Worked out beside the program: both liquids' equilibrium by halving, vapour pressures of Wagner and Antoine, air at 1.0075 kJ/(kg K), in 0.2 kg/s of dry air, liquid of 25 °C.
     * Ten and five g/s into 330 K and 150 kPa: saturated at 293.66 K with 1.778 g/s of water and 2.724 of methanol evaporated. Four and three into 380 K, 180 kPa: all evaporates, 313.41 K. Water alone:
     * 297.93 K, 2.650 g/s.
     */
    @ParameterizedTest
    @CsvSource({
        "10, 5, 330, 150e3, 293.66, 1.778, 2.724, true",
        "4, 3, 380, 180e3, 313.41, 4, 3, false",
        "10, 0, 330, 150e3, 297.93, 2.650, 0, true"
    })
    void workedOutBesideTheProgram(
            double water, double alcohol, double inlet, double pressure, double t, double w, double a, boolean full) {
        InjectionSpec spray = grams(water, alcohol);
        InjectionCooling cooled = InjectionCooling.of(spray, HumidAir.DRY, 0.2, inlet, pressure, 0, 298.15);
        assertThat(cooled.temperature()).isCloseTo(t, within(0.15));
        assertThat(cooled.water() * 1000).isCloseTo(w, within(0.02));
        assertThat(cooled.alcohol() * 1000).isCloseTo(a, within(0.02));
        assertThat(cooled.saturated()).isEqualTo(full);
        InjectionCooling near = InjectionCooling.of(spray, HumidAir.DRY, 0.2, inlet, pressure, 0, 298.15, t + 3);
        assertThat(near.temperature()).as("from close by").isCloseTo(cooled.temperature(), within(1e-6));
    }

    /**
     * Likewise into a charge that carries 0.02 mol of water and 0.03 of methanol for each of dry air: ten and five g/s into 330 K and 150 kPa, 306.81 K with 1.183 and 1.250 g/s evaporated; two and two into 380 K and
     * 180 kPa all, 343.98 K, 0.036811 and 0.039452 mol.
     */
    @ParameterizedTest
    @CsvSource({
        "10, 5, 330, 150e3, 306.807, 0.029945, 0.035910, true",
        "2, 2, 380, 180e3, 343.981, 0.036811, 0.039452, false"
    })
    void intoAChargeThatCarriesBoth(
            double water, double alcohol, double inlet, double pressure, double t, double w, double a, boolean full) {
        InjectionSpec spray = grams(water, alcohol);
        HumidAir charge = HumidAir.DRY.carrying(0.02, 0.03);
        InjectionCooling cooled = InjectionCooling.of(spray, charge, 0.2, inlet, pressure, 0, 298.15);
        assertThat(cooled.temperature()).isCloseTo(t, within(0.2));
        assertThat(cooled.gas().water()).isCloseTo(w, within(1e-4));
        assertThat(cooled.gas().methanol()).isCloseTo(a, within(1e-4));
        assertThat(cooled.saturated()).isEqualTo(full);
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void laws(long seed) {
        Cases cases = Cases.of(seed);
        HumidAir air = HumidAir.at(300, 101325, cases.between(0.0, 1.0));
        double inlet = cases.between(310.0, 400.0);
        double pressure = cases.between(130e3, 300e3);
        double alcohol = cases.between(0.0, 1.0);
        InjectionCooling some = InjectionCooling.of(spec(alcohol, 0.3, 0.6), air, 0.2, inlet, pressure, 90e3, 298);
        InjectionCooling more = InjectionCooling.of(spec(alcohol, 0.6, 0.6), air, 0.2, inlet, pressure, 90e3, 298);
        assertThat(some.temperature()).isLessThan(inlet).isGreaterThan(240);
        double dryMoles = 0.2 / air.massPerDryMole();
        assertThat(some.gas().water()).isCloseTo(air.water() + some.water() / 18.01528e-3 / dryMoles, within(1e-9));
        assertThat(some.gas().methanol()).isCloseTo(some.alcohol() / 32.042e-3 / dryMoles, within(1e-9));
        if (!some.saturated()) {
            assertThat(more.temperature()).isLessThan(some.temperature());
        }
        double mass = 0.3 / 60e3 * Math.sqrt((1000e3 - 90e3) / 700e3) * 1000;
        assertThat(some.water() + some.alcohol())
                .as("never more than is sprayed")
                .isLessThanOrEqualTo(mass * 0.6 + 1e-9);
    }

    /** Methanol evaporates where water cannot: at 30 °C its vapour pressure is five times water's. */
    @Test
    void alcoholHelpsACoolCharge() {
        InjectionCooling water =
                InjectionCooling.of(spec(0, 0.5, 1), HumidAir.at(300, 101325, 0.7), 0.2, 310, 2e5, 90e3, 298);
        InjectionCooling mix =
                InjectionCooling.of(spec(0.5, 0.5, 1), HumidAir.at(300, 101325, 0.7), 0.2, 310, 2e5, 90e3, 298);
        assertThat(water.saturated()).isTrue();
        assertThat(mix.temperature()).isLessThan(water.temperature() - 3);
    }

    /** A cold core leaves the charge saturated: what came out there is not sprayed in again as heat. */
    @Test
    void chargeBelowTheDewPointOfItsWeatherStillHasAnAnswer() {
        for (double inlet = 270; inlet < 330; inlet += 2.5) {
            for (double pressure : new double[] {1.1e5, 2e5, 3e5}) {
                InjectionCooling cooled = InjectionCooling.of(
                        spec(0.5, 0.5, 1), HumidAir.at(308, 101325, 1), 0.2, inlet, pressure, 90e3, 308);
                assertThat(cooled.temperature())
                        .as("%s K, %s Pa", inlet, pressure)
                        .isBetween(inlet - 60, Math.max(inlet, 308) + 5);
            }
        }
    }

    /** TF-28, common practice, no source: starts at one boost, full at another; the nozzle sees pump less boost. */
    @Test
    void nozzleFollowsBoost() {
        InjectionSpec spec = spec(0.5, 0.42, 0.5);
        assertThat(spec.flow(39e3)).isZero();
        assertThat(spec.flow(65e3)).isCloseTo(0.5 * 0.42 / 60e3 * Math.sqrt(935.0 / 700), withinPercentage(1e-6));
        assertThat(spec.flow(90e3)).isCloseTo(0.42 / 60e3 * Math.sqrt(910.0 / 700), withinPercentage(1e-6));
        assertThat(spec.flow(300e3)).isLessThan(spec.flow(90e3));
        assertThat(spec.flow(1200e3)).isZero();
        InjectionSpec atOnce = new InjectionSpec(0, 7e-6, 700e3, 1000e3, 90e3, 90e3, 5e-3, 1);
        assertThat(atOnce.flow(89e3)).isZero();
        assertThat(atOnce.flow(90e3)).isCloseTo(7e-6 * Math.sqrt(910.0 / 700), withinPercentage(1e-6));
        InjectionCooling off = InjectionCooling.of(spec, HumidAir.DRY, 0.2, 350, 2e5, 10e3, 298);
        assertThat(off.temperature()).isEqualTo(350);
        assertThat(off.gas()).isSameAs(HumidAir.DRY);
    }
}
