package io.enthalpa.server.jobs;

import io.enthalpa.core.telemetry.Channel;
import io.enthalpa.core.telemetry.LogBand;
import io.enthalpa.server.logs.LogView.LogFindingView;
import java.util.Arrays;
import java.util.List;

/**
 * How far what is predicted for a log may be off.
 *
 * @param time_s   of the log, of moments while the engine ran
 * @param says     whether that explains what was measured
 */
public record LogBandView(double[] time_s, List<WidthView> widths, List<LogFindingView> says) {
    private static final double DIGITS = 1e3;

    /** {@code half}: of the width at each moment, in {@code unit}. */
    public record WidthView(Channel channel, String unit, double[] half) {}

    public static LogBandView of(LogBand.Band band) {
        return new LogBandView(
                rounded(band.time(), 1),
                band.half().entrySet().stream()
                        .map(e -> new WidthView(
                                e.getKey(),
                                e.getKey().usualUnit().symbol(),
                                rounded(e.getValue(), e.getKey().usualUnit().factor())))
                        .toList(),
                band.findings().stream().map(LogFindingView::of).toList());
    }

    private static double[] rounded(double[] values, double factor) {
        return Arrays.stream(values)
                .map(v -> Math.rint(v / factor * DIGITS) / DIGITS)
                .toArray();
    }
}
