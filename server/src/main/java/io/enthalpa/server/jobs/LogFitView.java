package io.enthalpa.server.jobs;

import io.enthalpa.core.telemetry.Channel;
import io.enthalpa.core.telemetry.LogFitResult;
import io.enthalpa.core.uncertainty.UncertainInput;
import io.enthalpa.formats.BuildFile;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;

/**
 * What a fit comes to; root mean squares of the judged temperature under load in K, null where the part has no load.
 *
 * @param unknowns each as it is now
 * @param together pairs that the log cannot tell apart
 * @param offsets  constant ones of the channels
 * @param holds    whether the part that was held out is met no worse
 * @param advice   the one more sensor that would tell most; null where none tells much
 * @param fitted   as a build file takes it in
 */
public record LogFitView(
        List<FittedView> unknowns,
        List<TogetherView> together,
        List<OffsetView> offsets,
        double before_K,
        double after_K,
        @Nullable Double heldBefore_K,
        @Nullable Double heldAfter_K,
        boolean holds,
        @Nullable AdviceView advice,
        JsonNode fitted) {
    /**
     * Per cent, or K where {@code kelvin}: usual spread, what it is moved by, and the standard deviation that is left; {@code beyond} where doubt does not explain it.
     */
    public record FittedView(
            UncertainInput unknown, boolean kelvin, double spread, double by, double sd, boolean beyond) {
        static FittedView of(LogFitResult.Known k) {
            double scale = k.isKelvin() ? 1 : 100;
            return new FittedView(
                    k.unknown(), k.isKelvin(), scale * k.spread(), scale * k.by(), scale * k.sd(), k.beyond());
        }
    }

    public record TogetherView(UncertainInput one, UncertainInput other, double correlation) {}

    /** Measured less predicted in the channel's usual unit. */
    public record OffsetView(Channel channel, String words, String unit, double by) {}

    /** Per cent, or K where {@code kelvin}. */
    public record AdviceView(
            Channel channel, String words, UncertainInput unknown, boolean kelvin, double now, double then) {}

    /**
     * @param letter of the option that was fitted
     * @param log    its name
     */
    public static LogFitView of(LogFitResult r, String letter, String log) {
        return new LogFitView(
                r.unknowns().stream().map(FittedView::of).toList(),
                r.together().stream()
                        .map(t -> new TogetherView(t.one(), t.other(), t.correlation()))
                        .toList(),
                r.offsets().stream()
                        .map(o -> new OffsetView(
                                o.channel(),
                                o.channel().words(),
                                o.channel().usualUnit().symbol(),
                                o.by() / o.channel().usualUnit().factor()))
                        .toList(),
                r.before(),
                r.after(),
                orNull(r.heldBefore()),
                orNull(r.heldAfter()),
                r.holds(),
                r.advice()
                        .map(a -> new AdviceView(
                                a.channel(),
                                a.channel().words(),
                                a.unknown(),
                                a.isKelvin(),
                                (a.isKelvin() ? 1 : 100) * a.now(),
                                (a.isKelvin() ? 1 : 100) * a.then()))
                        .orElse(null),
                BuildFile.tree(r.calibration(
                        letter, log, LocalDate.now(ZoneId.systemDefault()).toString())));
    }

    private static @Nullable Double orNull(double value) {
        return Double.isNaN(value) ? null : value;
    }
}
