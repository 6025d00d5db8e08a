package io.enthalpa.core.leak;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.leak.LeakTest.Reading;
import io.enthalpa.core.leak.LeakTest.Result;
import io.enthalpa.core.leak.LeakTest.Verdict;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** A volume of 12 L at 100 kPa outside, by the ideal gas and by hand. */
class LeakTestTest {
    private static final LeakTest TEST = new LeakTest(0.012, 100e3);
    private static final double T = 293.15;

    /** 200 kPa x 12 L x ln 2 = 1663.55 J: a kilogram from 169.63 m. */
    @Test
    void storedEnergyAndTheHammer() {
        assertThat(TEST.storedEnergy(100e3)).isCloseTo(1663.55, within(0.01));
        assertThat(TEST.asHammer(100e3)).isCloseTo(169.63, within(0.01));
        assertThat(TEST.storedEnergy(0)).isZero();
    }

    /**
     * 1 kPa in a minute at 20 °C: 0.012 x 1000 / (287.05 x 293.15 x 60) = 2.37674e-6 kg/s. At 50 kPa of boost and 50 °C, from a test at 99.5 kPa: tested choked, G = 199.5e3 / sqrt(287.05 x
     * 293.15) x 0.684731 = 470.91; driven subsonic, x = 2/3: sqrt(7 (x^1.428571 - x^1.714286)) = sqrt(7 (0.560347 - 0.499037)) = 0.655103, G = 150e3 / sqrt(287.05 x 323.15) x 0.655103 = 322.64. So 1.62838e-6 kg/s.
     */
    @Test
    void aFallAtOneTemperature() {
        Result r = TEST.result(List.of(new Reading(0, 100e3, T), new Reading(60, 99e3, T)), 0, 50e3, 323.15, 0.1);
        assertThat(r.leak()).isCloseTo(2.37674e-6, within(1e-11));
        assertThat(r.fall()).isCloseTo(-1000 / 60.0, within(1e-9));
        assertThat(r.driving()).isCloseTo(1.62838e-6, within(2e-10));
        assertThat(r.share()).isCloseTo(1.62838e-5, within(2e-9));
        assertThat(r.verdict()).isEqualTo(Verdict.GOOD);
    }

    /**
     * A hole of 1 mm2 from 400 to 200 kPa, choked all the way: dp/dt = -A 0.684731 sqrt(R T) p / V, sqrt(287.05 x 293.15) = 290.084; 0.0165524 of it a second, so ln 2 / 0.0165524 = 41.876 s. At the mean of both
     * 300 kPa: 1e-6 x 300e3 / 290.084 x 0.684731 = 7.0813e-4 kg/s.
     */
    @Test
    void aGreatFallIsNoStraightLine() {
        List<Reading> two = List.of(new Reading(0, 300e3, T), new Reading(41.876, 100e3, T));
        assertThat(TEST.result(two, 0, 50e3, 323.15, 0.1).leak()).isCloseTo(7.0813e-4, within(2e-8));
        // With one between, 400 kPa / 2^(1/4) after a quarter of the time, nothing changes but the mean.
        List<Reading> three =
                List.of(two.get(0), new Reading(10.469, 400e3 / Math.pow(2, 0.25) - 100e3, T), two.get(1));
        Result more = TEST.result(three, 0, 50e3, 323.15, 0.1);
        assertThat(more.driving())
                .isCloseTo(TEST.result(two, 0, 50e3, 323.15, 0.1).driving(), within(1e-8));
        assertThat(more.sd()).isLessThan(1e-6);
    }

    /** What has run empty is no tight car, however long the gauge then stands still. */
    @Test
    void whatIsEmptyTellsNothingMore() {
        List<Reading> soon = List.of(new Reading(0, 50e3, T), new Reading(10, 30e3, T), new Reading(20, 14e3, T));
        List<Reading> waited = new ArrayList<>(soon);
        for (int i = 2; i < 40; i++) {
            waited.add(new Reading(60 * i, i % 2 == 0 ? 40 : -30, T));
        }
        Result r = TEST.result(waited, 100, 50e3, 323.15, 0.1);
        assertThat(r.driving())
                .isEqualTo(TEST.result(soon, 100, 50e3, 323.15, 0.1).driving());
        assertThat(r.emptied()).isFalse();

        List<Reading> late = List.of(new Reading(0, 50e3, T), new Reading(60, 0, T), new Reading(120, 0, T));
        Result least = TEST.result(late, 1, 50e3, 323.15, 0.1);
        assertThat(least.share()).isBetween(0.002, 0.01);
        assertThat(least.emptied()).isTrue();
        assertThat(least.verdict()).as("nobody knows how much more").isEqualTo(Verdict.OPEN);
        assertThat(TEST.result(late, 100, 50e3, 323.15, 0.005).verdict()).isEqualTo(Verdict.TOO_MUCH);
    }

    /** 200 kPa at 23 °C are 197.974 kPa at 20 °C: the same air. */
    @Test
    void whatOnlyCoolsDoesNotLeak() {
        double cooled = 200e3 * 293.15 / 296.15 - 100e3;
        Result r = TEST.result(
                List.of(new Reading(0, 100e3, 296.15), new Reading(300, cooled, 293.15)), 0, 50e3, 323.15, 0.1);
        assertThat(r.leak()).isCloseTo(0, within(1e-15));
        // Taken for one temperature it would have been a leak of 6.75 Pa/s.
        Result fooled = TEST.result(
                List.of(new Reading(0, 100e3, 296.15), new Reading(300, cooled, 296.15)), 0, 50e3, 323.15, 0.1);
        assertThat(fooled.fall()).isCloseTo(-6.753, within(0.001));
    }

    /**
     * 100 Pa in ten minutes at 20 °C and 90 kPa: 0.012 x 100 / (287.05 x 293.15 x 600) = 2.37674e-8 kg/s through a hole that passes, x = 100 / 189.95: choked, 189.95e3 / sqrt(287.05 x 293.15) x 0.684731 =
     * 448.37 kg/(s m2): 5.3008e-11 m2. Water at 110 kPa through it: sqrt(220e3 / 998) = 14.8473 m/s, 7.8703e-10 m3/s, 2.83 mL an hour.
     */
    @Test
    void aWaterLoopByTheSameHole() {
        List<Reading> readings = List.of(new Reading(0, 90e3, T), new Reading(600, 89.9e3, T));
        LeakTest.WaterResult r = TEST.water(readings, 0, 110e3);
        assertThat(r.leak()).isCloseTo(2.37674e-8, within(1e-13));
        assertThat(r.water()).isCloseTo(7.8703e-10, within(1e-13));
        assertThat(r.verdict()).isEqualTo(Verdict.ACCEPTABLE);
        assertThat(TEST.water(readings, 50, 110e3).verdict()).isEqualTo(Verdict.OPEN);
    }

    @Test
    void verdictsAndWhatReadingsLeaveOpen() {
        assertThat(verdict(0.0019 / 0.002, 0)).isEqualTo(Verdict.GOOD);
        assertThat(verdict(0.0021 / 0.002, 0)).isEqualTo(Verdict.ACCEPTABLE);
        assertThat(verdict(0.0099 / 0.002, 0)).isEqualTo(Verdict.ACCEPTABLE);
        assertThat(verdict(0.0101 / 0.002, 0)).isEqualTo(Verdict.TOO_MUCH);
        assertThat(verdict(0.0019 / 0.002, 0.06))
                .as("a gauge of six hundredths of the fall")
                .isEqualTo(Verdict.OPEN);
    }

    /** @param times the leak that is 0.2 % of the air; @param error of a reading, times the fall */
    private static Verdict verdict(double times, double error) {
        List<Reading> readings = List.of(new Reading(0, 100e3, T), new Reading(60, 99e3, T));
        double driving = TEST.result(readings, 0, 50e3, 323.15, 1).driving();
        return TEST.result(readings, error * 1000, 50e3, 323.15, driving / (0.002 * times))
                .verdict();
    }

    /**
     * Two readings of 100 Pa, 200 and 199 kPa. What has gone out over what a hole lets out is ln(200 / 199) where G is as the pressure, and each end is off by 100 Pa over its own: 100 sqrt(1 / 200e3^2 + 1 / 199e3^2) /
     * ln(200 / 199) = 7.08886e-4 / 5.01254e-3 = 0.141422 of it.
     */
    @Test
    void theErrorByHand() {
        Result r = TEST.result(List.of(new Reading(0, 100e3, T), new Reading(60, 99e3, T)), 100, 50e3, 323.15, 0.1);
        assertThat(r.sd() / r.share()).isCloseTo(0.141422, within(1e-6));
    }

    @Test
    void pumpingUpIsNoPartOfTheTest() {
        double[] shown = {0, 20e3, 60e3, 98.5e3, 99e3, 100e3, 99.9e3, 99.95e3, 99.6e3, 99.7e3};
        List<Reading> readings = new ArrayList<>();
        for (int i = 0; i < shown.length; i++) {
            readings.add(new Reading(i, shown[i], T));
        }
        assertThat(LeakTest.sincePumped(readings)).extracting(Reading::time).containsExactly(5.0, 6.0, 7.0, 8.0, 9.0);
        assertThat(LeakTest.sincePumped(readings.subList(5, 10))).hasSize(5);
        assertThat(LeakTest.sincePumped(List.of())).isEmpty();
    }

    @Test
    void whatIsNoTestIsRefused() {
        assertThatThrownBy(() -> TEST.result(List.of(new Reading(0, 1e5, T)), 0, 5e4, 320, 0.1))
                .hasMessageContaining("readings is 1");
        assertThatThrownBy(() -> TEST.result(List.of(new Reading(9, 1e5, T), new Reading(9, 1e5, T)), 0, 5e4, 320, 0.1))
                .hasMessageContaining("time of reading 2 is 9 s");
        assertThatThrownBy(
                        () -> TEST.result(List.of(new Reading(0, 150, T), new Reading(9, 100, T)), 100, 5e4, 320, 0.1))
                .hasMessageContaining("gauge of reading 1 is 0.15 kPa");
        assertThatThrownBy(() -> new LeakTest(0, 1e5)).hasMessageContaining("volume");
    }
}
