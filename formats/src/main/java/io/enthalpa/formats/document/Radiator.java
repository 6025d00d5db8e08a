package io.enthalpa.formats.document;

import static io.enthalpa.formats.document.Suffix.C;
import static io.enthalpa.formats.document.Suffix.KPA;
import static io.enthalpa.formats.document.Suffix.KW;
import static io.enthalpa.formats.document.Suffix.L_MIN;
import static io.enthalpa.formats.document.Suffix.MM;
import static io.enthalpa.formats.document.Suffix.PA;

import io.enthalpa.core.exchanger.CoreSize;
import io.enthalpa.core.exchanger.FinSpec;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.waterloop.RadiatorBasis;
import io.enthalpa.core.waterloop.RadiatorSpec;
import org.jspecify.annotations.Nullable;

@Part(value = "core/water/radiator", says = "the radiator of a loop, known by its card or by its tubes")
record Radiator(
        @Figure(label = "radiator width", min = 30, max = 2500, usual = 400, help = "finned block")
        double width_mm,

        @Figure(label = "radiator height", min = 30, max = 1500, usual = 250, help = "finned block")
        double height_mm,

        @Figure(label = "radiator depth", min = 10, max = 400, usual = 32, help = "finned block")
        double depth_mm,

        @Figure(
                label = "width on its card",
                min = 30,
                max = 2500,
                usual = 400,
                help = "finned block that the card speaks of; the same where left out")
        @Nullable
        Double cardWidth_mm,

        @Figure(
                label = "height on its card",
                min = 30,
                max = 1500,
                usual = 250,
                help = "finned block that the card speaks of; the same where left out")
        @Nullable
        Double cardHeight_mm,

        @Figure(
                label = "depth on its card",
                min = 10,
                max = 400,
                usual = 32,
                help = "finned block that the card speaks of; the same where left out")
        @Nullable
        Double cardDepth_mm,

        @Figure(label = "radiator heat on its card", min = 0.1, max = 1000, usual = 12, help = "maker's card") @Nullable
        Double heat_kW,

        @Figure(label = "water flow on its card", min = 0.5, max = 1000, usual = 20, help = "maker's card") @Nullable
        Double waterFlow_L_min,

        @Figure(label = "water in on its card", min = 5, max = 120, usual = 60, help = "maker's card") @Nullable
        Double waterIn_C,

        @Figure(label = "face air on its card", min = 0.2, max = 40, usual = 5, help = "maker's card") @Nullable
        Double airSpeed_m_s,

        @Figure(label = "air in on its card", min = -20, max = 60, usual = 25, help = "maker's card") @Nullable
        Double airIn_C,

        @Figure(
                label = "water loss on its card",
                min = 0.1,
                max = 100,
                usual = 6,
                help = "maker's card; about 6 kPa where it is silent")
        @Nullable
        Double waterLoss_kPa,

        @Figure(
                label = "air loss on its card",
                min = 1,
                max = 3000,
                usual = 80,
                help =
                        "maker's card; 150 Pa for each metre of depth at 1 m/s where it is silent; common practice, no source")
        @Nullable
        Double airLoss_Pa,

        @Called(value = "radiator", alone = true) @Nullable Tubes tubes,
        @Called(value = "radiator", alone = true) @Nullable FaceAir air) {
    RadiatorSpec core(Place at) {
        CoreSize size = new CoreSize(MM.si(width_mm), MM.si(height_mm), MM.si(depth_mm));
        return new RadiatorSpec(size, tubes == null ? card(at) : tubes(at), FaceAir.orUsual(air));
    }

    private RadiatorBasis card(Place at) {
        CoreSize ofCard = new CoreSize(
                MM.si(cardWidth_mm == null ? width_mm : cardWidth_mm),
                MM.si(cardHeight_mm == null ? height_mm : cardHeight_mm),
                MM.si(cardDepth_mm == null ? depth_mm : cardDepth_mm));
        return new RadiatorBasis.Card(
                ofCard,
                KW.si(at.need("heat_kW", heat_kW)),
                L_MIN.si(at.need("waterFlow_L_min", waterFlow_L_min)),
                C.si(at.need("waterIn_C", waterIn_C)),
                at.need("airSpeed_m_s", airSpeed_m_s),
                C.si(at.need("airIn_C", airIn_C)),
                KPA.si(waterLoss_kPa),
                PA.si(airLoss_Pa));
    }

    private RadiatorBasis tubes(Place at) {
        at.none(
                "nothing, for the radiator is known by its tubes",
                "heat_kW",
                heat_kW,
                "waterFlow_L_min",
                waterFlow_L_min,
                "waterIn_C",
                waterIn_C,
                "airSpeed_m_s",
                airSpeed_m_s,
                "airIn_C",
                airIn_C,
                "waterLoss_kPa",
                waterLoss_kPa,
                "airLoss_Pa",
                airLoss_Pa,
                "cardWidth_mm",
                cardWidth_mm,
                "cardHeight_mm",
                cardHeight_mm,
                "cardDepth_mm",
                cardDepth_mm);
        return tubes.core(at.to("tubes"));
    }

    static Radiator of(RadiatorSpec r) {
        RadiatorBasis.Card c = r.basis() instanceof RadiatorBasis.Card card ? card : null;
        CoreSize other = c == null || c.size().equals(r.size()) ? null : c.size();
        return new Radiator(
                MM.of(r.size().width()),
                MM.of(r.size().height()),
                MM.of(r.size().depth()),
                other == null ? null : MM.of(other.width()),
                other == null ? null : MM.of(other.height()),
                other == null ? null : MM.of(other.depth()),
                c == null ? null : KW.of(c.heat()),
                c == null ? null : L_MIN.of(c.waterFlow()),
                c == null ? null : C.of(c.waterIn()),
                c == null ? null : c.airVelocity(),
                c == null ? null : C.of(c.airIn()),
                c == null ? null : KPA.of(c.waterLoss()),
                c == null ? null : PA.of(c.airLoss()),
                r.basis() instanceof RadiatorBasis.Geometry g ? Tubes.of(g) : null,
                FaceAir.of(r.air()));
    }

    @Part(value = "core/water/radiator/tubes", says = "its geometry")
    record Tubes(
            @Called(value = "radiator fin", alone = true) Block.Fin fin,

            @Figure(label = "tube height", min = 0.8, max = 20, usual = 2, help = "outside, across the flat tube")
            double tubeHeight_mm,

            @Figure(
                    label = "tube wall",
                    min = 0.1,
                    max = 2,
                    usual = 0.3,
                    help = "0.25-0.4 mm is usual; common practice, no source")
            double tubeWall_mm,

            @Figure(label = "passes", min = 1, max = 4, usual = 1, help = "1 straight through, 2 there and back")
            @Nullable
            Integer passes) {
        RadiatorBasis core(Place at) {
            FinSpec spec = fin.core(at.to("fin"));
            try {
                spec.checked("fin", "radiator fin");
            } catch (EnthalpaFault fault) {
                throw fault.at(at.pointer() + Pointers.below(at.shape(), fault.field()), fault.label());
            }
            if (2 * tubeWall_mm >= tubeHeight_mm) {
                throw at.contradiction(
                        "tubeWall_mm",
                        "tube wall",
                        "%.2f mm".formatted(tubeWall_mm),
                        "less than half the tube's height, %.2f mm".formatted(0.5 * tubeHeight_mm),
                        "");
            }
            return new RadiatorBasis.Geometry(
                    spec, MM.si(tubeHeight_mm), MM.si(tubeWall_mm), passes == null ? 1 : passes);
        }

        static Tubes of(RadiatorBasis.Geometry g) {
            return new Tubes(Block.Fin.of(g.fin()), MM.of(g.tubeHeight()), MM.of(g.tubeWall()), g.passes());
        }
    }
}
