package io.enthalpa.core.quantity;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.withinPercentage;

import io.enthalpa.core.Cases;
import io.enthalpa.core.Paths;
import io.enthalpa.core.Systems;
import io.enthalpa.core.steady.ChargeSystem;
import io.enthalpa.core.steady.SteadyResult;
import java.math.BigDecimal;
import java.util.stream.LongStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;

/** What is typed in one unit or another is the same thing, and gives the same answer. */
class UnitsChangeNothingTest {
    static LongStream seeds() {
        return Cases.seeds().limit(20);
    }

    private static double typed(double si, Quantity quantity, Unit unit) {
        String text = BigDecimal.valueOf(unit.fromSi(si)).toPlainString() + " " + unit.symbol();
        return QuantityText.read("value", text, quantity, quantity.units().get(0));
    }

    @ParameterizedTest
    @EnumSource(Quantity.class)
    void everyUnitOfAQuantityReadsBackToTheSameValue(Quantity quantity) {
        for (long seed : seeds().toArray()) {
            double si = Cases.of(seed).between(280.0, 400.0);
            for (Unit unit : quantity.units()) {
                assertThat(typed(si, quantity, unit))
                        .as("%s in %s, seed %d", quantity, unit.symbol(), seed)
                        .isCloseTo(si, withinPercentage(1e-9));
            }
        }
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void pathTypedInInchesAnswersAsTheSamePathInMillimetres(long seed) {
        Cases cases = Cases.of(seed);
        double bore = cases.between(0.045, 0.08);
        double length = cases.between(0.2, 2.0);
        double boost = cases.between(40e3, 140e3);
        SteadyResult metric = solve(bore, length, boost, "mm", "kPa");
        SteadyResult us = solve(bore, length, boost, "in", "psi");
        assertThat(us.path().flow()).isCloseTo(metric.path().flow(), withinPercentage(1e-6));
        assertThat(us.path().totalLoss()).isCloseTo(metric.path().totalLoss(), withinPercentage(1e-6));
        assertThat(us.path().intakeTemperature()).isCloseTo(metric.path().intakeTemperature(), withinPercentage(1e-6));
    }

    private static SteadyResult solve(
            double bore, double length, double boost, String lengthUnit, String pressureUnit) {
        double b = typed(bore, Quantity.LENGTH, Quantity.LENGTH.requireUnit(lengthUnit));
        double l = typed(length, Quantity.LENGTH, Quantity.LENGTH.requireUnit(lengthUnit));
        double p = typed(boost, Quantity.PRESSURE, Quantity.PRESSURE.requireUnit(pressureUnit));
        return new ChargeSystem(Paths.of(
                        Paths.filter(), Paths.blower(), Paths.pipe("hot", b, l, 2), Paths.core("core"), Paths.plenum()))
                .steady(Systems.point(4500, p / 1000, 20));
    }
}
