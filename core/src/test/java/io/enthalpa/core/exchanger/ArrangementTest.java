package io.enthalpa.core.exchanger;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import io.enthalpa.core.Cases;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;

class ArrangementTest {
    static LongStream seeds() {
        return Cases.seeds();
    }

    /**
     * Worked example (Incropera &amp; DeWitt, crossflow finned-tube exchanger, from memory): exhaust from 300 to 100 °C heats 1 kg/s of water from
     * 35 to 125 °C, U 100 W/(m2 K): effectiveness 0.755, ratio 0.45, NTU about 2.1, area 39.7 m2 (read off a chart).
     */
    @Test
    void finnedTubeExchangerOfTheTextbook() {
        double hotRate = 4197.0 * 90 / 200;
        double ntu = Effectiveness.CROSSFLOW_UNMIXED.ntuFor(200.0 / 265, hotRate / 4197, true);
        assertThat(ntu * hotRate / 100).isCloseTo(39.7, withinPercentage(4));
    }

    /** Kays &amp; London (1984), table of crossflow with one stream mixed, from memory: NTU 2, equal rates: 0.579. */
    @Test
    void oneStreamMixed() {
        assertThat(Effectiveness.CROSSFLOW_HOT_MIXED.of(2, 1, true)).isCloseTo(0.579, within(0.001));
        assertThat(Effectiveness.CROSSFLOW_COLD_MIXED.of(2, 1, true)).isCloseTo(0.579, within(0.001));
        assertThat(Effectiveness.CROSSFLOW_HOT_MIXED.of(3, 0.5, true))
                .isEqualTo(Effectiveness.CROSSFLOW_COLD_MIXED.of(3, 0.5, false));
    }

    /**
     * Beside the program: crossflow in 400 by 400 cells of its two equations; two passes behind each other and above each other made up of such, both streams or the hot one mixed between; the others in closed form, NTU 2
     * and equal rates 2/3, 1 - exp(-(1 - exp(-2))) = 0.57881. Where the hot stream is the lesser.
     */
    @ParameterizedTest
    @CsvSource({
        "2, 1, 0.61425, 0.57881, 0.57881, 0.66667, 0.64519, 0.59830",
        "2, 0.5, 0.73241, 0.71755, 0.70201, 0.77460, 0.75914, 0.72566",
        "1, 0.75, 0.51031, 0.50516, 0.50340, 0.53186, 0.52493, 0.50783",
        "4, 0.25, 0.93402, 0.92022, 0.87050, 0.96219, 0.95121, 0.92840"
    })
    void eachArrangement(
            double ntu,
            double ratio,
            double unmixed,
            double hotMixed,
            double coldMixed,
            double counter,
            double behind,
            double above) {
        assertThat(Effectiveness.CROSSFLOW_UNMIXED.of(ntu, ratio)).isCloseTo(unmixed, within(2e-5));
        assertThat(Effectiveness.CROSSFLOW_HOT_MIXED.of(ntu, ratio)).isCloseTo(hotMixed, within(1e-5));
        assertThat(Effectiveness.CROSSFLOW_COLD_MIXED.of(ntu, ratio)).isCloseTo(coldMixed, within(1e-5));
        assertThat(Effectiveness.COUNTERFLOW.of(ntu, ratio)).isCloseTo(counter, within(1e-5));
        assertThat(Effectiveness.U_FLOW_CROSS_COUNTER.of(ntu, ratio)).isCloseTo(behind, within(2e-5));
        assertThat(Effectiveness.U_FLOW_STACKED.of(ntu, ratio)).isCloseTo(above, within(2e-5));
        for (Effectiveness each : Effectiveness.values()) {
            assertThat(each.ntuFor(each.of(ntu, ratio, false), ratio, false)).isCloseTo(ntu, within(1e-6));
        }
    }

    /** Above each other, each with half of the lesser cold stream: as above. */
    @ParameterizedTest
    @CsvSource({"2, 1, 0.59830", "2, 0.5, 0.71794", "1, 0.75, 0.50697", "4, 0.25, 0.90280"})
    void stackedPassesWithTheColdStreamTheLesser(double ntu, double ratio, double above) {
        assertThat(Effectiveness.U_FLOW_STACKED.of(ntu, ratio, false)).isCloseTo(above, within(2e-5));
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void everyArrangementStandsInItsOrder(long seed) {
        Cases cases = Cases.of(seed);
        double ntu = cases.between(0.2, 8.0);
        double ratio = cases.between(0.05, 1.0);
        boolean hot = cases.between(0, 1) == 0;
        double counter = Effectiveness.COUNTERFLOW.of(ntu, ratio, hot);
        double unmixed = Effectiveness.CROSSFLOW_UNMIXED.of(ntu, ratio, hot);
        double crossCounter = Effectiveness.U_FLOW_CROSS_COUNTER.of(ntu, ratio, hot);
        assertThat(crossCounter)
                .as("two passes behind each other lie between crossflow and counterflow")
                .isBetween(unmixed - 1e-9, counter + 1e-9);
        assertThat(Effectiveness.CROSSFLOW_HOT_MIXED.of(ntu, ratio, hot)).isLessThanOrEqualTo(unmixed + 1e-6);
        assertThat(Effectiveness.CROSSFLOW_COLD_MIXED.of(ntu, ratio, hot)).isLessThanOrEqualTo(unmixed + 1e-6);
    }

    @ParameterizedTest
    @EnumSource(Effectiveness.class)
    void boundsAndLimits(Effectiveness arrangement) {
        for (boolean hot : new boolean[] {true, false}) {
            assertThat(arrangement.of(0, 0.5, hot)).isZero();
            assertThat(arrangement.of(1.7, 0, hot)).isCloseTo(1 - Math.exp(-1.7), within(1e-12));
            for (long seed : Cases.seeds().toArray()) {
                Cases cases = Cases.of(seed);
                double ntu = cases.between(0.05, 12.0);
                double ratio = cases.between(0.01, 0.95);
                double e = arrangement.of(ntu, ratio, hot);
                assertThat(e).as("seed %d", seed).isBetween(0.0, 1.0);
                assertThat(arrangement.of(ntu * 1.1, ratio, hot)).isGreaterThanOrEqualTo(e - 1e-9);
                assertThat(arrangement.of(ntu, ratio + 0.05, hot)).isLessThanOrEqualTo(e + 1e-9);
            }
        }
    }

    @ParameterizedTest
    @EnumSource(Effectiveness.class)
    void conductanceBetweenStreamsAgreesWithTheLesserOne(Effectiveness arrangement) {
        assertThat(arrangement.between(300, 100, 400)).isEqualTo(arrangement.of(3, 0.25, true));
        assertThat(arrangement.between(300, 400, 100)).isEqualTo(arrangement.of(3, 0.25, false));
    }
}
