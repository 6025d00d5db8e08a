package io.enthalpa.core.exchanger;

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
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;

class ExchangerTest {
    private static final CoreSize SIZE = new CoreSize(0.5, 0.25, 0.064);

    static List<ReferenceTable.Row> table() {
        return ReferenceTable.rows("exchanger-effectiveness.csv");
    }

    static LongStream seeds() {
        return Cases.seeds();
    }

    /** Nusselt (1930), Mason (1955); Kays &amp; London for counterflow. */
    @ParameterizedTest
    @MethodSource("table")
    void effectivenessAgreesWithThePublishedTable(ReferenceTable.Row row) {
        double ntu = row.get("ntu");
        double ratio = row.get("capacity_ratio");
        assertThat(Effectiveness.CROSSFLOW_UNMIXED.of(ntu, ratio))
                .isCloseTo(row.get("crossflow_both_unmixed"), withinPercentage(0.01));
        assertThat(Effectiveness.COUNTERFLOW.of(ntu, ratio)).isCloseTo(row.get("counterflow"), withinPercentage(0.01));
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void effectivenessRisesWithSizeAndFallsWithCapacityRatio(long seed) {
        Cases cases = Cases.of(seed);
        double ntu = cases.between(0.05, 12.0);
        double ratio = cases.between(0.0, 0.95);
        for (Effectiveness arrangement : Effectiveness.values()) {
            double e = arrangement.of(ntu, ratio);
            assertThat(e).isBetween(0.0, 1.0);
            assertThat(arrangement.of(ntu * 1.1, ratio)).isGreaterThanOrEqualTo(e);
            assertThat(arrangement.of(ntu, ratio + 0.05)).isLessThanOrEqualTo(e + 1e-12);
        }
        assertThat(Effectiveness.COUNTERFLOW.of(ntu, ratio))
                .isGreaterThanOrEqualTo(Effectiveness.CROSSFLOW_UNMIXED.of(ntu, ratio) - 1e-12);
    }

    @ParameterizedTest
    @EnumSource(Effectiveness.class)
    void ntuIsTheInverseOfEffectiveness(Effectiveness arrangement) {
        for (double ntu : new double[] {0.1, 1, 3, 7}) {
            assertThat(arrangement.ntuFor(arrangement.of(ntu, 0.4), 0.4, true))
                    .isCloseTo(ntu, withinPercentage(0.0001));
        }
        assertThat(arrangement.ntuFor(0, 0.5, true)).isCloseTo(0, within(1e-6));
        assertThat(arrangement.of(0, 0.5)).isZero();
    }

    private static RatedExchanger rated(CoreSize size) {
        ReferencePoint card = ReferencePoint.fromTemperatures(
                0.2, 1012, 413.15, 320.15, 1.2, 1006, 298.15, SIZE, Effectiveness.CROSSFLOW_UNMIXED);
        return new RatedExchanger(
                List.of(card), ScalingLaw.chargeToAir(0.35, 0.03), size, Effectiveness.CROSSFLOW_UNMIXED);
    }

    @Test
    void reproducesItsOwnCard() {
        HeatTransfer transfer = rated(SIZE).transfer(0.2, 0.2 * 1012, 1.2, 1.2 * 1006);
        double out = 413.15 - transfer.conductancePerKelvin() * (413.15 - 298.15) / (0.2 * 1012);
        assertThat(out).isCloseTo(320.15, within(1e-6));
        assertThat(transfer.effectiveness()).isCloseTo((413.15 - 320.15) / (413.15 - 298.15), within(1e-9));
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void biggerCoreMovesMoreAndMoreCoolantNeverHurts(long seed) {
        Cases cases = Cases.of(seed);
        double hot = cases.between(0.05, 0.35);
        double cold = cases.between(0.2, 3.0);
        double depth = cases.between(0.04, 0.1);
        RatedExchanger small = rated(new CoreSize(0.5, 0.25, depth));
        RatedExchanger wide = rated(new CoreSize(0.55, 0.25, depth));
        double base = small.transfer(hot, hot * 1012, cold, cold * 1006).conductancePerKelvin();
        assertThat(wide.transfer(hot, hot * 1012, cold * 1.1, cold * 1.1 * 1006).conductancePerKelvin())
                .isGreaterThan(base);
        assertThat(small.transfer(hot, hot * 1012, cold * 1.2, cold * 1.2 * 1006)
                        .conductancePerKelvin())
                .isGreaterThan(base);
    }

    @Test
    void resistancesAddUp() {
        Conductances c = rated(SIZE).conductances(0.15, 0.9);
        assertThat(1 / c.hotToMetal() + 1 / c.metalToCold()).isCloseTo(1 / c.overall(), withinPercentage(1e-9));
    }

    @Test
    void cardThatContradictsItselfIsRefused() {
        assertThatThrownBy(() -> ReferencePoint.fromTemperatures(
                        0.2, 1012, 413.15, 290, 1.2, 1006, 298.15, SIZE, Effectiveness.CROSSFLOW_UNMIXED))
                .isInstanceOf(EnthalpaFault.class)
                .hasMessageContaining("outlet temperature on the rating card");
        assertThatThrownBy(() -> ReferencePoint.fromTemperatures(
                        0.2, 1012, 413.15, 420, 1.2, 1006, 298.15, SIZE, Effectiveness.CROSSFLOW_UNMIXED))
                .isInstanceOf(EnthalpaFault.class);
        assertThatThrownBy(() -> ReferencePoint.fromHeat(90e3, 0.33, 4180, 333.15, 0.6, 1006, 298.15, SIZE))
                .isInstanceOf(EnthalpaFault.class)
                .hasMessageContaining("90.00 kW");
    }
}
