package io.enthalpa.core.commission;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.Benches;
import io.enthalpa.core.Systems;
import io.enthalpa.core.leak.LeakRecord;
import io.enthalpa.core.leak.LeakTest;
import io.enthalpa.core.telemetry.Channel;
import io.enthalpa.core.telemetry.LogSeries;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class SimulatedGaugeTest {
    /**
     * 12 L, 50 kPa above 100 kPa, 293.15 K, 1 mm2. Subsonic: x = 1 / 1.5; sqrt(7 (x^(2/1.4) - x^(2.4/1.4))) = 0.6551; 4 K warmer by 150e3 / sqrt(287.05 x 297.15)
     * = 513.6 that is 336.4 kg/(s m2), 3.364e-4 kg/s: 3.364e-4 x 287.05 x 297.08 / 0.012 = 2391 Pa in the first second, and 0.0661 K of cooling: 150e3 x 0.0661 / 297.15 = 33 Pa.
     */
    @Test
    void itFallsAsTheHoleLetsOut() {
        LeakTest leak = new LeakTest(0.012, 100e3);
        LogSeries shown = SimulatedGauge.readings(leak, 50e3, 293.15, 1e-6, 0, new Random(1));
        double[] gauge = shown.of(Channel.BOOST);
        assertThat(gauge[0]).isCloseTo(50e3, within(1e-6));
        assertThat(gauge[0] - gauge[1]).isCloseTo(2391 + 33, within(1.0));
        assertThat(gauge[gauge.length - 1]).isBetween(-1.0, 200.0);
    }

    @Test
    void withoutAHoleItOnlyCools() {
        LogSeries shown = SimulatedGauge.readings(new LeakTest(0.012, 100e3), 50e3, 293.15, 0, 0, new Random(1));
        double[] gauge = shown.of(Channel.BOOST);
        // 150 kPa at 297.15 K are 147.981 kPa at 293.15 K.
        assertThat(gauge[gauge.length - 1]).isCloseTo(47_981, within(1.0));
    }

    /** What it shows is judged like what anybody reads: tight, usable and leaking cars all come up. */
    @Test
    void everyVerdictComesUp() {
        Set<Step.Kind> verdicts = new HashSet<>();
        for (long seed : new Random(1).longs(20).toArray()) {
            LogSeries shown = SimulatedGauge.readings(Benches.build(Systems.standard()), record(List.of()), seed);
            List<LeakTest.Reading> read = IntStream.range(0, 60)
                    .mapToObj(i -> new LeakTest.Reading(
                            shown.time()[i], shown.of(Channel.BOOST)[i], shown.of(Channel.INTAKE)[i]))
                    .toList();
            LeakPlan.of(Benches.build(Systems.standard()), record(read)).steps().stream()
                    .map(Step::kind)
                    .filter(k -> k.part() == Step.Part.RESULT)
                    .forEach(verdicts::add);
        }
        assertThat(verdicts)
                .contains(Step.Kind.LEAK_GOOD, Step.Kind.LEAK_ACCEPTABLE, Step.Kind.LEAK_TOO_MUCH)
                .doesNotContain(Step.Kind.LEAK_OVER);
    }

    private static LeakRecord record(List<LeakTest.Reading> readings) {
        return new LeakRecord(
                LeakRecord.Side.CHARGE,
                "A",
                Optional.empty(),
                "",
                "",
                OptionalDouble.of(0.012),
                OptionalDouble.of(100e3),
                OptionalDouble.of(50e3),
                50,
                Optional.empty(),
                "",
                readings);
    }
}
