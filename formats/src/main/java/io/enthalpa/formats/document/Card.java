package io.enthalpa.formats.document;

import static io.enthalpa.formats.document.Suffix.C;
import static io.enthalpa.formats.document.Suffix.KG_S;
import static io.enthalpa.formats.document.Suffix.KPA;
import static io.enthalpa.formats.document.Suffix.L_MIN;
import static io.enthalpa.formats.document.Suffix.MM;
import static io.enthalpa.formats.document.Suffix.PA;
import static io.enthalpa.formats.document.Suffix.PCT;

import io.enthalpa.core.exchanger.Coolant;
import io.enthalpa.core.exchanger.CoreSize;
import io.enthalpa.core.exchanger.RatingCard;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

@Part(value = "core/card", says = "what its maker measured")
record Card(
        @Figure(label = "card: core width", min = 30, max = 2500, usual = 500, help = "size that was measured")
        double width_mm,

        @Figure(label = "card: core height", min = 30, max = 1500, usual = 250, help = "size that was measured")
        double height_mm,

        @Figure(label = "card: core depth", min = 10, max = 400, usual = 64, help = "size that was measured")
        double depth_mm,

        @Figure(label = "card: core mass", min = 0.1, max = 300, usual = 6, help = "dry, with tanks")
        double mass_kg,

        double chargeFlow_kg_s,
        double chargePressure_kPa,
        double chargeIn_C,
        double chargeOut_C,
        double loss_kPa,
        @Nullable Double airSpeed_m_s,
        @Nullable Double waterFlow_L_min,
        double coolantIn_C,

        @Figure(
                label = "card: charge side share",
                min = 5,
                max = 90,
                usual = 35,
                help =
                        "of the whole resistance; air-cooled about 35, water-cooled about 75 %; common practice, no source")
        double chargeShare_pct,

        @Figure(
                label = "card: wall share",
                min = 0.1,
                max = 50,
                usual = 3,
                help = "wall and fouling; a clean brazed core 1-4 %; common practice, no source")
        double wallShare_pct,

        @Figure(
                label = "card: coolant loss",
                min = 1,
                max = 200000,
                usual = 8000,
                help = "of water or air at the card's flow; where it is silent 8 kPa of water, 150 Pa of air "
                        + "for each metre of depth at 1 m/s; common practice, no source")
        @Nullable
        Double coolantLoss_Pa,

        @Called(value = "card point", alone = true, most = 60) @Nullable
        List<CardPoint> morePoints)
        implements CardReading {
    RatingCard core(Place at, Coolant coolant) {
        List<RatingCard.Point> points = new ArrayList<>();
        points.add(point(at, coolant));
        for (int i = 0; morePoints != null && i < morePoints.size(); i++) {
            points.add(morePoints.get(i).point(at.to("morePoints", i, morePoints.get(i)), coolant));
        }
        RatingCard card = new RatingCard(
                new CoreSize(MM.si(width_mm), MM.si(height_mm), MM.si(depth_mm)),
                mass_kg,
                coolant,
                points,
                PCT.si(chargeShare_pct),
                PCT.si(wallShare_pct),
                PA.si(coolantLoss_Pa));
        double together = card.chargeShare() + card.wallShare();
        if (together > 0.97) {
            String label = "card: charge and wall share together";
            throw at.contradiction(
                    "wallShare_pct",
                    label,
                    "%.0f %%".formatted(100 * together),
                    "at most 97 %",
                    "The rest is the cooling side, which always has some.");
        }
        return card;
    }

    static Card of(RatingCard c) {
        CardPoint p = CardPoint.of(c.points().get(0), c.coolant());
        return new Card(
                MM.of(c.size().width()),
                MM.of(c.size().height()),
                MM.of(c.size().depth()),
                c.metalMass(),
                p.chargeFlow_kg_s,
                p.chargePressure_kPa,
                p.chargeIn_C,
                p.chargeOut_C,
                p.loss_kPa,
                p.airSpeed_m_s,
                p.waterFlow_L_min,
                p.coolantIn_C,
                PCT.of(c.chargeShare()),
                PCT.of(c.wallShare()),
                PA.of(c.coolantLoss()),
                c.points().size() == 1
                        ? null
                        : c.points().stream()
                                .skip(1)
                                .map(more -> CardPoint.of(more, c.coolant()))
                                .toList());
    }

    @Part(value = "core/card", says = "one more point of a card")
    record CardPoint(
            double chargeFlow_kg_s,
            double chargePressure_kPa,
            double chargeIn_C,
            double chargeOut_C,
            double loss_kPa,
            @Nullable Double airSpeed_m_s,
            @Nullable Double waterFlow_L_min,
            double coolantIn_C,
            @Nullable String id)
            implements CardReading {
        static CardPoint of(RatingCard.Point p, Coolant by) {
            return new CardPoint(
                    KG_S.of(p.chargeFlow()),
                    KPA.of(p.chargePressure()),
                    C.of(p.chargeIn()),
                    C.of(p.chargeOut()),
                    KPA.of(p.loss()),
                    by == Coolant.AIR ? Double.valueOf(p.coolantVelocity()) : null,
                    by == Coolant.AIR ? null : Double.valueOf(L_MIN.of(p.coolantFlow())),
                    C.of(p.coolantIn()),
                    null);
        }
    }
}
