package io.enthalpa.core.quantity;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** The grammar itself is tested in the formats module on the cases that the browser is tested on too. */
class QuantityTest {
    @ParameterizedTest
    @EnumSource(Quantity.class)
    void everyUnitConvertsThereAndBack(Quantity quantity) {
        for (Unit unit : quantity.units()) {
            assertThat(unit.fromSi(unit.toSi(12.5))).isCloseTo(12.5, within(1e-9));
            assertThat(quantity.unit(unit.symbol())).contains(unit);
        }
    }

    /** NIST SP 811 (2008), appendix B. */
    @Test
    void factorsArePublishedOnes() {
        assertThat(Quantity.PRESSURE.requireUnit("psi").toSi(1)).isCloseTo(6894.757, withinPercentage(0.0001));
        assertThat(Quantity.TEMPERATURE.requireUnit("°F").toSi(212)).isCloseTo(373.15, within(1e-9));
        assertThat(Quantity.VOLUME.requireUnit("cu in").toSi(1)).isCloseTo(1.638706e-5, withinPercentage(0.0001));
        assertThat(Quantity.POWER.requireUnit("hp").toSi(1)).isCloseTo(745.6999, withinPercentage(0.0001));
    }

    @Test
    void unknownUnitIsAProgrammingMistake() {
        assertThatThrownBy(() -> Quantity.LENGTH.requireUnit("psi")).isInstanceOf(IllegalArgumentException.class);
    }
}
