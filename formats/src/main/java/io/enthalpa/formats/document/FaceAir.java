package io.enthalpa.formats.document;

import static io.enthalpa.formats.document.Suffix.PCT;

import io.enthalpa.core.coolingair.FaceAirSpec;
import org.jspecify.annotations.Nullable;

@Part(value = "core/air", says = "air by a share of road speed, for what stands in no way of the air")
record FaceAir(
        @Figure(
                label = "face air share",
                min = 0.5,
                max = 100,
                usual = USUAL_SHARE_PCT,
                help =
                        "speed at the face over road speed: open front 15-35 %, sealed duct 30-50 %; common practice, no source")
        @Nullable
        Double faceShare_pct,

        @Figure(
                label = "face air standing",
                min = 0.05,
                max = 30,
                usual = USUAL_STANDSTILL_M_S,
                help = "what fan or warm air still moves; no fan about 0.3 m/s; common practice, no source")
        @Nullable
        Double standstill_m_s) {
    static final double USUAL_SHARE_PCT = 22;
    static final double USUAL_STANDSTILL_M_S = 0.5;

    static FaceAirSpec orUsual(@Nullable FaceAir air) {
        return new FaceAirSpec(
                PCT.si(air == null || air.faceShare_pct == null ? USUAL_SHARE_PCT : air.faceShare_pct),
                air == null || air.standstill_m_s == null ? USUAL_STANDSTILL_M_S : air.standstill_m_s);
    }

    static FaceAir of(FaceAirSpec a) {
        return new FaceAir(PCT.of(a.speedShare()), a.standstillSpeed());
    }
}
