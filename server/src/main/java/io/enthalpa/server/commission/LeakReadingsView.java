package io.enthalpa.server.commission;

import io.enthalpa.core.leak.LeakTest.Reading;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Readings of a leak test, from when the pump was shut off. */
public record LeakReadingsView(List<LeakReadingView> readings) {
    /** {@code air_C} is missing where no temperature was read. */
    public record LeakReadingView(
            double time_s, double gauge_kPa, @Nullable Double air_C) {}

    public static LeakReadingsView of(List<Reading> readings) {
        return new LeakReadingsView(readings.stream()
                .map(r -> new LeakReadingView(
                        round(r.time()),
                        round(r.gauge() / 1000),
                        Double.isNaN(r.temperature()) ? null : Double.valueOf(round(r.temperature() - 273.15))))
                .toList());
    }

    private static double round(double value) {
        return Math.round(value * 1e4) / 1e4;
    }
}
