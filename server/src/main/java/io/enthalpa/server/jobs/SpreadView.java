package io.enthalpa.server.jobs;

import io.enthalpa.core.uncertainty.MonteCarloResult;
import io.enthalpa.core.uncertainty.UncertainInput;
import java.util.Arrays;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * How far an option's answer can be off. {@code low_C} and {@code high_C} hold the middle 80 % of the samples at each time, null while the
 * engine is off.
 */
record SpreadView(
        int samples,
        double[] time_s,
        @Nullable Double[] low_C,
        @Nullable Double[] high_C,
        @Nullable Double worstLow_C,
        @Nullable Double worstMid_C,
        @Nullable Double worstHigh_C,
        double holds_pct,
        double pulls_pct,
        List<WeightView> ranking) {
    /** {@code kelvin}: what the worst intake moves for one usual spread, {@code spread} relative or K. */
    record WeightView(UncertainInput unknown, double share_pct, double kelvin, double spread) {}

    static SpreadView of(MonteCarloResult r) {
        return new SpreadView(
                r.samples(),
                r.time(),
                celsius(r.low()),
                celsius(r.high()),
                celsius(r.worstLow()),
                celsius(r.worstMid()),
                celsius(r.worstHigh()),
                100 * r.holds(),
                100 * r.pulls(),
                r.ranking().stream()
                        .map(w -> new WeightView(
                                w.unknown(),
                                100 * w.share(),
                                w.kelvin(),
                                w.unknown().spread()))
                        .toList());
    }

    private static @Nullable Double[] celsius(double[] kelvin) {
        return Arrays.stream(kelvin).mapToObj(SpreadView::celsius).toArray(Double[]::new);
    }

    private static @Nullable Double celsius(double kelvin) {
        return Double.isFinite(kelvin) ? Math.rint((kelvin - 273.15) * 100) / 100 : null;
    }
}
