package io.enthalpa.formats.document;

import static io.enthalpa.formats.document.Suffix.C;
import static io.enthalpa.formats.document.Suffix.KW;
import static io.enthalpa.formats.document.Suffix.MM;
import static io.enthalpa.formats.document.Suffix.PA;

import io.enthalpa.core.coolingair.Layer;
import io.enthalpa.core.coolingair.OtherExchanger;
import io.enthalpa.core.exchanger.CoreSize;
import io.enthalpa.core.fault.EnthalpaFault;
import org.jspecify.annotations.Nullable;

@Part(
        value = "airWay/layer",
        says =
                "a layer of the stack, front first: a core or radiator of the option by its name, or another exchanger by its card",
        named = true)
record AirLayer(
        @Kind Layer.Kind kind,
        String name,

        @Figure(
                label = "off the middle",
                min = -2000,
                max = 2000,
                usual = 0,
                help = "to the right, middle to middle of the opening")
        double across_mm,

        @Figure(
                label = "above the middle",
                min = -2000,
                max = 2000,
                usual = 0,
                help = "middle to middle of the opening")
        double up_mm,

        @Figure(
                label = "free before it",
                min = 0,
                max = 2000,
                usual = 15,
                help = "to the layer in front, or to the opening")
        double gap_mm,

        @Figure(part = OTHER, label = "width", min = 30, max = 2500, usual = 600, help = "finned block") @Nullable
        Double width_mm,

        @Figure(part = OTHER, label = "height", min = 30, max = 1500, usual = 380, help = "finned block") @Nullable
        Double height_mm,

        @Figure(
                part = OTHER,
                label = "depth",
                min = 8,
                max = 400,
                usual = 20,
                help = "finned block: condensers 16-25, radiators 26-50 mm; common practice, no source")
        @Nullable
        Double depth_mm,

        @Figure(
                part = OTHER,
                label = "width on its card",
                min = 30,
                max = 2500,
                usual = 600,
                help = "finned block that the card speaks of; the same where left out")
        @Nullable
        Double cardWidth_mm,

        @Figure(
                part = OTHER,
                label = "height on its card",
                min = 30,
                max = 1500,
                usual = 380,
                help = "the same where left out")
        @Nullable
        Double cardHeight_mm,

        @Figure(
                part = OTHER,
                label = "depth on its card",
                min = 8,
                max = 400,
                usual = 20,
                help = "the same where left out")
        @Nullable
        Double cardDepth_mm,

        @Figure(part = OTHER, label = "heat on its card", min = 0.1, max = 1000, usual = 10, help = "maker's card")
        @Nullable
        Double heat_kW,

        @Figure(part = OTHER, label = "hot side on its card", min = 20, max = 200, usual = 60, help = "maker's card")
        @Nullable
        Double hotOnCard_C,

        @Figure(part = OTHER, label = "face air on its card", min = 0.2, max = 40, usual = 4, help = "maker's card")
        @Nullable
        Double airSpeed_m_s,

        @Figure(part = OTHER, label = "air in on its card", min = -20, max = 60, usual = 35, help = "maker's card")
        @Nullable
        Double airIn_C,

        @Figure(part = OTHER, label = "air loss on its card", min = 1, max = 3000, usual = 40, help = "maker's card")
        @Nullable
        Double airLoss_Pa,

        @Figure(
                part = OTHER,
                label = "hot side at most",
                min = 20,
                max = 200,
                usual = 68,
                help =
                        "in the car: condensing 60-75 °C, where the pressure switch cuts out; coolant 105-118, oil 125-145 °C; common practice, no source")
        @Nullable
        Double hot_C,

        @Figure(
                part = OTHER,
                label = "heat it has to give",
                min = 0,
                max = 1000,
                usual = 8,
                help =
                        "in the car, full load, 35 °C outside; empty: a condenser its card's, engine radiator 6.9 and oil cooler 0.9 MJ for each kg of fuel; common practice, no source")
        @Nullable
        Double load_kW,

        @Nullable String id)
        implements Named {
    static final String OTHER = "airWay/layer/other";

    Layer core(Place at) {
        return new Layer(
                name,
                kind,
                MM.si(across_mm),
                MM.si(up_mm),
                MM.si(gap_mm),
                kind == Layer.Kind.CORE || kind == Layer.Kind.RADIATOR ? own(at) : other(at));
    }

    private @Nullable OtherExchanger own(Place at) {
        at.none(
                "nothing, for its size and card stand with the piece it names",
                "width_mm",
                width_mm,
                "height_mm",
                height_mm,
                "depth_mm",
                depth_mm,
                "cardWidth_mm",
                cardWidth_mm,
                "cardHeight_mm",
                cardHeight_mm,
                "cardDepth_mm",
                cardDepth_mm,
                "heat_kW",
                heat_kW,
                "hotOnCard_C",
                hotOnCard_C,
                "airSpeed_m_s",
                airSpeed_m_s,
                "airIn_C",
                airIn_C,
                "airLoss_Pa",
                airLoss_Pa,
                "hot_C",
                hot_C,
                "load_kW",
                load_kW);
        return null;
    }

    private OtherExchanger other(Place at) {
        CoreSize size = new CoreSize(
                MM.si(at.need("width_mm", width_mm)),
                MM.si(at.need("height_mm", height_mm)),
                MM.si(at.need("depth_mm", depth_mm)));
        CoreSize card = new CoreSize(
                MM.si(cardWidth_mm).orElse(size.width()),
                MM.si(cardHeight_mm).orElse(size.height()),
                MM.si(cardDepth_mm).orElse(size.depth()));
        OtherExchanger other = new OtherExchanger(
                size,
                card,
                KW.si(at.need("heat_kW", heat_kW)),
                C.si(at.need("hotOnCard_C", hotOnCard_C)),
                at.need("airSpeed_m_s", airSpeed_m_s),
                C.si(at.need("airIn_C", airIn_C)),
                PA.si(airLoss_Pa),
                C.si(at.need("hot_C", hot_C)),
                KW.si(load_kW));
        try {
            other.check();
            return other;
        } catch (EnthalpaFault fault) {
            throw fault.at(at.pointer() + "/heat_kW", at.join(fault.label()));
        }
    }

    static AirLayer of(Layer l) {
        OtherExchanger o = l.isOther() ? l.other() : null;
        return new AirLayer(
                l.kind(),
                l.name(),
                MM.of(l.across()),
                MM.of(l.up()),
                MM.of(l.gap()),
                o == null ? null : MM.of(o.size().width()),
                o == null ? null : MM.of(o.size().height()),
                o == null ? null : MM.of(o.size().depth()),
                o == null || o.card().width() == o.size().width()
                        ? null
                        : MM.of(o.card().width()),
                o == null || o.card().height() == o.size().height()
                        ? null
                        : MM.of(o.card().height()),
                o == null || o.card().depth() == o.size().depth()
                        ? null
                        : MM.of(o.card().depth()),
                o == null ? null : KW.of(o.heat()),
                o == null ? null : C.of(o.hotOnCard()),
                o == null ? null : o.speed(),
                o == null ? null : C.of(o.airOnCard()),
                o == null ? null : PA.of(o.airLoss()),
                o == null ? null : C.of(o.hot()),
                o == null ? null : KW.of(o.load()),
                null);
    }
}
