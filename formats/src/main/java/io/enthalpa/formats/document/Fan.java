package io.enthalpa.formats.document;

import static io.enthalpa.formats.document.Suffix.KM_H;
import static io.enthalpa.formats.document.Suffix.M3_H;
import static io.enthalpa.formats.document.Suffix.PA;

import io.enthalpa.core.coolingair.FanSpec;
import io.enthalpa.core.loss.PerformanceCurve;
import java.util.List;
import org.jspecify.annotations.Nullable;

@Part(value = "airWay/fan", says = "a fan behind the stack")
record Fan(
        @Called(value = "curve point", alone = true, most = 40)
        List<FanPoint> curve,

        @Nullable Boolean backwards,

        @Figure(label = "off above", min = 0, max = 600, usual = 60, help = "road speed from which it is switched off")
        double offAbove_km_h,

        @Nullable Boolean whileOff) {
    FanSpec core(Place at) {
        List<PerformanceCurve.Point> points = curve.stream()
                .map(p -> new PerformanceCurve.Point(M3_H.si(p.flow_m3_h), PA.si(p.pressure_Pa)))
                .toList();
        return new FanSpec(
                LoopPieceDocument.falling(at, points, PerformanceCurve.Machine.FAN, "fan"),
                Boolean.TRUE.equals(backwards),
                KM_H.si(offAbove_km_h),
                !Boolean.FALSE.equals(whileOff));
    }

    static Fan of(FanSpec f) {
        return new Fan(
                f.curve().points().stream()
                        .map(p -> new FanPoint(M3_H.of(p.flow()), PA.of(p.rise()), null))
                        .toList(),
                f.backwards(),
                KM_H.of(f.upTo()),
                f.whileOff() ? null : false);
    }

    @Part(value = "airWay/fan/curve", says = "a point of its curve")
    record FanPoint(
            @Figure(label = "fan flow", min = 0, max = 30000, usual = 2200, help = "from its maker")
            double flow_m3_h,

            @Figure(label = "fan pressure", min = 0, max = 2000, usual = 200, help = "from its maker")
            double pressure_Pa,

            @Nullable String id) {}
}
