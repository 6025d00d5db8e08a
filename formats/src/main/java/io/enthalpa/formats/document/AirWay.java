package io.enthalpa.formats.document;

import static io.enthalpa.formats.document.Suffix.C;
import static io.enthalpa.formats.document.Suffix.CM2;
import static io.enthalpa.formats.document.Suffix.KM_H;
import static io.enthalpa.formats.document.Suffix.KW;
import static io.enthalpa.formats.document.Suffix.M3_H;
import static io.enthalpa.formats.document.Suffix.MM;
import static io.enthalpa.formats.document.Suffix.PA;
import static io.enthalpa.formats.document.Suffix.PCT;

import io.enthalpa.core.coolingair.AirWaySpec;
import io.enthalpa.core.coolingair.FanSpec;
import io.enthalpa.core.coolingair.Layer;
import io.enthalpa.core.coolingair.OpeningSpec;
import io.enthalpa.core.coolingair.OtherExchanger;
import io.enthalpa.core.exchanger.CoreSize;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.loss.PerformanceCurve;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

@Part(value = "airWay", says = "a way of the cooling air: an opening, a stack and an exit", named = true)
record AirWay(
        String name,

        @Figure(
                label = "space width",
                min = 30,
                max = 3000,
                usual = 900,
                help = "between what cannot move, left and right")
        double spaceWidth_mm,

        @Figure(
                label = "space height",
                min = 30,
                max = 2500,
                usual = 600,
                help = "between what cannot move, below and above")
        double spaceHeight_mm,

        @Called("opening") Opening opening,

        @Figure(
                label = "seal round the stack",
                min = 0,
                max = 100,
                usual = 80,
                help = "100 is foam all round; an open front 60-80 %; common practice, no source")
        double seal_pct,

        boolean ducted,
        @Called(value = "layer", alone = true, most = 6) List<AirLayer> layers,
        @Called("fan") @Nullable Fan fan,
        @Called("exit") Exit exit,

        @Figure(
                label = "comes round again, standing",
                min = 0,
                max = 80,
                usual = 15,
                help = "share of the warm air that reaches the front again; 5-30 %; common practice, no source")
        double recirculation_pct,

        @Nullable String id)
        implements Named {
    static final int MOST = 6;

    AirWaySpec core(Place at) {
        if (layers.isEmpty()) {
            throw at.contradiction("layers", "layers", "an empty list", "at least one exchanger", "");
        }
        List<Layer> stack = new ArrayList<>();
        for (int i = 0; i < layers.size(); i++) {
            stack.add(layers.get(i).core(at.to("layers", i, layers.get(i))));
        }
        return new AirWaySpec(
                name,
                MM.si(spaceWidth_mm),
                MM.si(spaceHeight_mm),
                opening.core(),
                PCT.si(seal_pct),
                ducted,
                stack,
                Optional.ofNullable(fan).map(f -> f.core(at.to("fan"))),
                CM2.si(exit.area_cm2),
                PCT.si(exit.pressure_pct),
                PCT.si(recirculation_pct));
    }

    static AirWay of(AirWaySpec w) {
        return new AirWay(
                w.name(),
                MM.of(w.spaceWidth()),
                MM.of(w.spaceHeight()),
                Opening.of(w.opening()),
                PCT.of(w.seal()),
                w.ducted(),
                w.layers().stream().map(AirLayer::of).toList(),
                w.fan().map(Fan::of).orElse(null),
                new Exit(CM2.of(w.exitArea()), PCT.of(w.exitPressure())),
                PCT.of(w.recirculation()),
                null);
    }

    @Part(value = "airWay/opening", says = "the hole in the bodywork")
    record Opening(
            @Figure(label = "opening width", min = 10, max = 3000, usual = 600, help = "hole in the bodywork")
            double width_mm,

            @Figure(label = "opening height", min = 10, max = 2000, usual = 200, help = "hole in the bodywork")
            double height_mm,

            @Figure(
                    label = "pressure at the opening",
                    min = -50,
                    max = 120,
                    usual = 90,
                    help =
                            "of the road wind's: facing it 85-100, scoop 60-80, sidepod 50-70, under-tray 30-50 %; common practice, no source")
            double pressure_pct,

            @Figure(
                    label = "open share of the grille",
                    min = 5,
                    max = 100,
                    usual = 80,
                    help = "mesh 60-75, bars 75-90, none 100 %; common practice, no source")
            double open_pct,

            @Nullable Boolean roundedLip,

            @Called(value = "wall", alone = true, most = 20) @Nullable
            List<Wall> walls) {
        OpeningSpec core() {
            return new OpeningSpec(
                    MM.si(width_mm),
                    MM.si(height_mm),
                    PCT.si(pressure_pct),
                    PCT.si(open_pct),
                    Boolean.TRUE.equals(roundedLip),
                    walls == null ? List.of() : walls.stream().map(Wall::core).toList());
        }

        static Opening of(OpeningSpec o) {
            return new Opening(
                    MM.of(o.width()),
                    MM.of(o.height()),
                    PCT.of(o.pressure()),
                    PCT.of(o.open()),
                    o.rounded(),
                    o.walls().stream().map(Wall::of).toList());
        }
    }

    @Part(value = "airWay/opening/wall", says = "what stands before the opening", named = true)
    record Wall(
            String name,

            @Figure(label = "width", min = 1, max = 3000, usual = 520, help = "of what stands before the opening")
            double width_mm,

            @Figure(label = "height", min = 1, max = 2000, usual = 110, help = "of what stands before the opening")
            double height_mm,

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

            @Nullable String id)
            implements Named {
        OpeningSpec.Wall core() {
            return new OpeningSpec.Wall(name, MM.si(width_mm), MM.si(height_mm), MM.si(across_mm), MM.si(up_mm));
        }

        static Wall of(OpeningSpec.Wall w) {
            return new Wall(w.name(), MM.of(w.width()), MM.of(w.height()), MM.of(w.across()), MM.of(w.up()), null);
        }
    }

    @Part(value = "airWay/fan", says = "a fan behind the stack")
    record Fan(
            @Called(value = "curve point", alone = true, most = 40)
            List<FanPoint> curve,

            @Nullable Boolean backwards,

            @Figure(
                    label = "off above",
                    min = 0,
                    max = 600,
                    usual = 60,
                    help = "road speed from which it is switched off")
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
    }

    @Part(value = "airWay/fan/curve", says = "a point of its curve")
    record FanPoint(
            @Figure(label = "fan flow", min = 0, max = 30000, usual = 2200, help = "from its maker")
            double flow_m3_h,

            @Figure(label = "fan pressure", min = 0, max = 2000, usual = 200, help = "from its maker")
            double pressure_Pa,

            @Nullable String id) {}

    @Part(value = "airWay/exit", says = "where the air leaves")
    record Exit(
            @Figure(
                    label = "exit area",
                    min = 1,
                    max = 30000,
                    usual = 1200,
                    help = "smallest section behind the stack that the air must leave through")
            double area_cm2,

            @Figure(
                    label = "pressure at the exit",
                    min = -100,
                    max = 100,
                    usual = -10,
                    help = "of the road wind's: engine bay 0 to 20, under the car -10 to -20, "
                            + "behind a wheel or over the bonnet -20 to -40 %; common practice, no source")
            double pressure_pct) {}

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

            @Figure(part = OTHER, label = "heat on its card", min = 0.1, max = 1000, usual = 10, help = "maker's card")
            @Nullable
            Double heat_kW,

            @Figure(
                    part = OTHER,
                    label = "hot side on its card",
                    min = 20,
                    max = 200,
                    usual = 60,
                    help = "maker's card")
            @Nullable
            Double hotOnCard_C,

            @Figure(part = OTHER, label = "face air on its card", min = 0.2, max = 40, usual = 4, help = "maker's card")
            @Nullable
            Double airSpeed_m_s,

            @Figure(part = OTHER, label = "air in on its card", min = -20, max = 60, usual = 35, help = "maker's card")
            @Nullable
            Double airIn_C,

            @Figure(
                    part = OTHER,
                    label = "air loss on its card",
                    min = 1,
                    max = 3000,
                    usual = 40,
                    help = "maker's card")
            @Nullable
            Double airLoss_Pa,

            @Figure(
                    part = OTHER,
                    label = "hot side in the car",
                    min = 20,
                    max = 200,
                    usual = 60,
                    help = "condensing 50-65 °C, coolant 85-105 °C, oil 100-130 °C; common practice, no source")
            @Nullable
            Double hot_C,

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
                    hot_C);
            return null;
        }

        private OtherExchanger other(Place at) {
            CoreSize size = new CoreSize(
                    MM.si(at.need("width_mm", width_mm)),
                    MM.si(at.need("height_mm", height_mm)),
                    MM.si(at.need("depth_mm", depth_mm)));
            OtherExchanger other = new OtherExchanger(
                    size,
                    KW.si(at.need("heat_kW", heat_kW)),
                    C.si(at.need("hotOnCard_C", hotOnCard_C)),
                    at.need("airSpeed_m_s", airSpeed_m_s),
                    C.si(at.need("airIn_C", airIn_C)),
                    PA.si(airLoss_Pa),
                    C.si(at.need("hot_C", hot_C)));
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
                    o == null ? null : KW.of(o.heat()),
                    o == null ? null : C.of(o.hotOnCard()),
                    o == null ? null : o.speed(),
                    o == null ? null : C.of(o.airOnCard()),
                    o == null ? null : PA.of(o.airLoss()),
                    o == null ? null : C.of(o.hot()),
                    null);
        }
    }
}
