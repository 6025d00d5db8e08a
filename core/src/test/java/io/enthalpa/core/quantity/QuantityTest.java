package io.enthalpa.core.quantity;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** The grammar itself is tested in the formats module on the cases that the browser is tested on too. */
class QuantityTest {
    private static final double INCH = 0.0254;
    private static final double FOOT = 12 * INCH;
    private static final double POUND = 0.45359237;
    private static final double GALLON = 231 * INCH * INCH * INCH;
    private static final double GRAVITY = 9.80665;
    private static final double HORSEPOWER = 550 * FOOT * POUND * GRAVITY;
    private static final double HOUR = 3600;

    /**
     * Every unit from its definition: yard and pound (1959), standard gravity, US gallon 231 cubic inches, horsepower 550 foot-pounds a second, conventional
     * columns of water (1000 kg/m3) and mercury (13 595.1 kg/m3), the degree Fahrenheit 5/9 K from 459.67 below zero, nautical mile 1852 m.
     */
    static Stream<Arguments> definitions() {
        return Stream.of(
                of(Quantity.LENGTH, Map.of("mm", 1e-3, "cm", 1e-2, "m", 1.0, "in", INCH, "ft", FOOT)),
                of(
                        Quantity.PRESSURE,
                        Map.of(
                                "kPa",
                                1e3,
                                "bar",
                                1e5,
                                "mbar",
                                100.0,
                                "Pa",
                                1.0,
                                "psi",
                                POUND * GRAVITY / (INCH * INCH),
                                "inH2O",
                                1000 * GRAVITY * INCH,
                                "inHg",
                                13_595.1 * GRAVITY * INCH)),
                of(Quantity.TEMPERATURE, Map.of("°C", 1.0, "°F", 5 / 9.0, "K", 1.0)),
                of(Quantity.TEMPERATURE_DIFFERENCE, Map.of("K", 1.0, "°F", 5 / 9.0)),
                of(
                        Quantity.VOLUME,
                        Map.of("L", 1e-3, "cm3", 1e-6, "m3", 1.0, "cu in", INCH * INCH * INCH, "US gal", GALLON)),
                of(Quantity.MASS, Map.of("kg", 1.0, "g", 1e-3, "lb", POUND)),
                of(Quantity.MASS_FLOW, Map.of("kg/s", 1.0, "g/s", 1e-3, "kg/h", 1 / HOUR, "lb/min", POUND / 60)),
                of(
                        Quantity.VOLUME_FLOW,
                        Map.of(
                                "L/min",
                                1e-3 / 60,
                                "L/h",
                                1e-3 / HOUR,
                                "m3/s",
                                1.0,
                                "US gal/min",
                                GALLON / 60,
                                "cfm",
                                FOOT * FOOT * FOOT / 60)),
                of(
                        Quantity.AIR_FLOW,
                        Map.of("m³/h", 1 / HOUR, "m³/s", 1.0, "L/s", 1e-3, "cfm", FOOT * FOOT * FOOT / 60)),
                of(Quantity.DRAUGHT, Map.of("Pa", 1.0, "kPa", 1e3, "mbar", 100.0, "inH2O", 1000 * GRAVITY * INCH)),
                of(Quantity.AREA, Map.of("cm²", 1e-4, "m²", 1.0, "mm²", 1e-6, "sq in", INCH * INCH)),
                of(
                        Quantity.SPEED,
                        Map.of(
                                "km/h",
                                1000 / HOUR,
                                "m/s",
                                1.0,
                                "mph",
                                5280 * FOOT / HOUR,
                                "ft/s",
                                FOOT,
                                "kn",
                                1852 / HOUR)),
                of(Quantity.ROTATION, Map.of("rpm", 2 * Math.PI / 60, "rad/s", 1.0)),
                of(Quantity.ANGLE, Map.of("°", 2 * Math.PI / 360, "rad", 1.0)),
                of(Quantity.TIME, Map.of("s", 1.0, "min", 60.0, "h", HOUR)),
                of(Quantity.POWER, Map.of("kW", 1e3, "W", 1.0, "hp", HORSEPOWER)),
                of(Quantity.DENSITY, Map.of("kg/m3", 1.0, "lb/ft3", POUND / (FOOT * FOOT * FOOT))),
                of(Quantity.THERMAL_CONDUCTIVITY, Map.of("W/mK", 1.0)),
                of(Quantity.FOULING, Map.of("m²K/kW", 1e-3, "m²K/W", 1.0)),
                of(Quantity.CONDUCTANCE, Map.of("W/K", 1.0, "kW/K", 1e3)),
                of(Quantity.FUEL_RATE, Map.of("g/kWh", 1e-3 / (1e3 * HOUR), "lb/hph", POUND / (HORSEPOWER * HOUR))),
                of(Quantity.FORCE, Map.of("N", 1.0, "kN", 1e3, "lbf", POUND * 9.80665)),
                of(Quantity.STIFFNESS, Map.of("N/mm", 1e3, "lbf/in", POUND * 9.80665 / (FOOT / 12))),
                of(Quantity.STRESS, Map.of("MPa", 1e6, "ksi", 1000 * POUND * 9.80665 / (FOOT / 12 * (FOOT / 12)))),
                of(Quantity.FREQUENCY, Map.of("Hz", 1.0)),
                of(Quantity.SHARE, Map.of("%", 0.01)),
                of(Quantity.NUMBER, Map.of("", 1.0)));
    }

    private static Arguments of(Quantity quantity, Map<String, Double> factors) {
        return Arguments.of(quantity, factors);
    }

    @ParameterizedTest
    @MethodSource("definitions")
    void everyFactorIsItsDefinition(Quantity quantity, Map<String, Double> factors) {
        assertThat(quantity.units()).extracting(Unit::symbol).containsExactlyInAnyOrderElementsOf(factors.keySet());
        for (Unit unit : quantity.units()) {
            assertThat(unit.factor()).as(unit.symbol()).isCloseTo(factors.get(unit.symbol()), withinPercentage(1e-5));
            assertThat(quantity.unit(unit.symbol())).contains(unit);
            assertThat(unit.toSi(3)).isEqualTo(3 * unit.factor() + unit.offset());
            assertThat(unit.fromSi(unit.offset() + 7 * unit.factor())).isCloseTo(7, within(1e-9));
        }
    }

    @Test
    void everyQuantityIsDefined() {
        assertThat(definitions().map(a -> a.get()[0])).containsExactlyInAnyOrder((Object[]) Quantity.values());
    }

    /** Water freezes at 32 °F and 273.15 K and boils at 212 °F; a difference of 9 °F is one of 5 K. */
    @Test
    void scalesBeginWhereTheyShould() {
        assertThat(Quantity.TEMPERATURE.requireUnit("°F").toSi(32)).isCloseTo(273.15, within(1e-9));
        assertThat(Quantity.TEMPERATURE.requireUnit("°F").toSi(212)).isCloseTo(373.15, within(1e-9));
        assertThat(Quantity.TEMPERATURE.requireUnit("°C").toSi(0)).isEqualTo(273.15);
        assertThat(Quantity.TEMPERATURE_DIFFERENCE.requireUnit("°F").toSi(9)).isCloseTo(5, within(1e-12));
        for (Quantity quantity : Quantity.values()) {
            assertThat(quantity.units())
                    .filteredOn(u -> quantity != Quantity.TEMPERATURE)
                    .allMatch(u -> u.offset() == 0);
        }
    }

    @Test
    void unitsAreReadAsPeopleWriteThem() {
        assertThat(Quantity.PRESSURE.unit("PSI")).map(Unit::symbol).contains("psi");
        assertThat(Quantity.PRESSURE.unit(" hPa ")).map(Unit::symbol).contains("mbar");
        assertThat(Quantity.LENGTH.unit("inches")).map(Unit::symbol).contains("in");
        assertThat(Quantity.VOLUME.unit("L")).map(Unit::symbol).contains("L");
        assertThat(Quantity.VOLUME.unit("furlong")).isEmpty();
    }

    @Test
    void unknownUnitIsAProgrammingMistake() {
        assertThatThrownBy(() -> Quantity.LENGTH.requireUnit("psi")).isInstanceOf(IllegalArgumentException.class);
    }
}
