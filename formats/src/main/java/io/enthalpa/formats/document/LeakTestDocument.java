package io.enthalpa.formats.document;

import static io.enthalpa.formats.document.Suffix.C;
import static io.enthalpa.formats.document.Suffix.KPA;
import static io.enthalpa.formats.document.Suffix.L;

import io.enthalpa.core.leak.LeakRecord;
import io.enthalpa.core.leak.LeakTest;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

@Part(value = "leakTest", says = "a side shut, pumped up and watched, as it was written down")
record LeakTestDocument(
        LeakRecord.Side side,
        String option,
        @Nullable String loop,
        @Blank String by,
        @Blank String on,

        @Figure(
                label = "shut in",
                min = 0.1,
                max = 10000,
                usual = 10,
                help = "empty for what the pieces of the option hold")
        @Nullable
        Double volume_L,

        @Figure(
                label = "outside at the test",
                min = 40,
                max = 110,
                usual = 101.3,
                help = "absolute, as measured where you stand; empty for the Brief's")
        @Nullable
        Double barometer_kPa,

        @Figure(
                label = "weakest part rated to",
                min = 1,
                max = 2000,
                usual = 200,
                help = "above outside, as its maker says: core, hose, cap; the test never goes above it")
        @Nullable
        Double rated_kPa,

        @Figure(
                label = "gauge reads to",
                min = 0.001,
                max = 50,
                usual = 0.5,
                help = "half of its smallest division is usual; common practice, no source")
        double gaugeError_kPa,

        @Nullable String gauge,

        @Blank String soaped,

        @Called(value = "reading", alone = true, most = 500) List<LeakReading> readings,

        @Nullable String id) {
    @Part(value = "leakTest/reading", says = "gauge and clock")
    record LeakReading(
            @Figure(label = "clock", min = 0, max = 864000, usual = 0, help = "since the pump was shut off")
            double time_s,

            @Figure(label = "gauge", min = -100, max = 2000, usual = 100, help = "above outside")
            double gauge_kPa,

            @Figure(label = "air inside", min = -40, max = 150, usual = 20, help = "of the pipe's wall, if not inside")
            double air_C,

            @Nullable String id) {}

    LeakRecord core() {
        return new LeakRecord(
                side,
                option,
                Optional.ofNullable(loop),
                by,
                on,
                L.si(volume_L),
                KPA.si(barometer_kPa),
                KPA.si(rated_kPa),
                KPA.si(gaugeError_kPa),
                Optional.ofNullable(gauge),
                soaped,
                readings.stream()
                        .map(r -> new LeakTest.Reading(r.time_s, KPA.si(r.gauge_kPa), C.si(r.air_C)))
                        .toList());
    }

    static LeakTestDocument of(LeakRecord r) {
        return new LeakTestDocument(
                r.side(),
                r.letter(),
                r.loop().orElse(null),
                r.by(),
                r.on(),
                L.of(r.volume()),
                KPA.of(r.barometer()),
                KPA.of(r.rated()),
                KPA.of(r.gaugeError()),
                r.gauge().orElse(null),
                r.soaped(),
                r.readings().stream()
                        .map(x -> new LeakReading(x.time(), KPA.of(x.gauge()), C.of(x.temperature()), null))
                        .toList(),
                null);
    }
}
