package io.enthalpa.formats.document;

import static io.enthalpa.formats.document.Suffix.KPA;
import static io.enthalpa.formats.document.Suffix.L_MIN;
import static io.enthalpa.formats.document.Suffix.MM;
import static io.enthalpa.formats.document.Suffix.PCT;
import static io.enthalpa.formats.document.Suffix.RPM;

import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.loss.FittingLoss;
import io.enthalpa.core.loss.PerformanceCurve;
import io.enthalpa.core.loss.PipeMaterial;
import io.enthalpa.core.loss.PipeSpec;
import io.enthalpa.core.waterloop.CorePorts;
import io.enthalpa.core.waterloop.HoseMake;
import io.enthalpa.core.waterloop.LoopPiece;
import io.enthalpa.core.waterloop.PumpSpec;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** A piece of a water loop, in the order of the water. */
sealed interface LoopPieceDocument extends Named
        permits LoopPieceDocument.PumpPiece,
                LoopPieceDocument.HosePiece,
                LoopPieceDocument.CoreSidePiece,
                LoopPieceDocument.PlainPiece,
                LoopPieceDocument.ChillerPiece,
                LoopPieceDocument.FittingPiece {
    @Figure(
            label = "height",
            min = -3000,
            max = 5000,
            usual = 400,
            help = "above the ground or any datum, the same for all; of a hose its highest place",
            part = "water/piece")
    double height_mm();

    LoopPiece core(Place at);

    static List<LoopPiece> core(List<LoopPieceDocument> pieces, Place loop) {
        List<LoopPiece> all = new ArrayList<>();
        for (int i = 0; i < pieces.size(); i++) {
            all.add(pieces.get(i).core(loop.to("pieces", i, pieces.get(i))));
        }
        return all;
    }

    static LoopPieceDocument of(LoopPiece piece) {
        return piece.to(new LoopPieces());
    }

    /** What has a bore of its own. */
    interface Bored {
        @Figure(
                label = "bore",
                min = 3,
                max = 200,
                usual = 19,
                help = "inside; the smallest bore of a loop rules it",
                part = "water/piece")
        double bore_mm();

        @Figure(
                label = "side by side",
                min = 1,
                max = 6,
                usual = 1,
                help = "equal ones that share the flow",
                part = "water/piece")
        @Nullable
        Integer beside();

        default int together() {
            return beside() == null ? 1 : beside();
        }
    }

    @Part(value = "water/pump", says = "a pump with its curve", named = true)
    record PumpPiece(
            @Kind("pump") String kind,
            String name,
            double height_mm,
            double bore_mm,
            @Nullable Integer beside,

            @Figure(
                    label = "pump speed",
                    min = 5,
                    max = 200,
                    usual = 100,
                    help = "over that of its curve; voltage changes it about in proportion")
            @Nullable
            Double speed_pct,

            @Figure(
                    label = "driven by the engine at",
                    min = 100,
                    max = 20000,
                    usual = 2000,
                    help = "engine speed that the curve belongs to; empty for its own motor")
            @Nullable
            Double drivenAt_rpm,

            @Figure(
                    label = "pump efficiency",
                    min = 2,
                    max = 90,
                    usual = USUAL_EFFICIENCY_PCT,
                    help = "hydraulic power over power drawn: small electric pumps 20-40 %; common practice, no source")
            @Nullable
            Double efficiency_pct,

            @Called(value = "curve point", alone = true, most = 40)
            List<CurvePoint> curve,

            @Nullable String id)
            implements LoopPieceDocument, Bored {
        static final double USUAL_EFFICIENCY_PCT = 25;

        @Override
        public LoopPiece core(Place at) {
            List<PerformanceCurve.Point> points = curve.stream()
                    .map(p -> new PerformanceCurve.Point(L_MIN.si(p.flow_L_min), KPA.si(p.pressure_kPa)))
                    .toList();
            PumpSpec spec = new PumpSpec(
                    falling(at, points, PerformanceCurve.Machine.PUMP, name),
                    PCT.si(speed_pct).orElse(1),
                    RPM.si(drivenAt_rpm),
                    PCT.si(efficiency_pct).orElse(PCT.si(USUAL_EFFICIENCY_PCT)));
            return new LoopPiece.Pump(name, spec, MM.si(bore_mm), together(), MM.si(height_mm));
        }
    }

    @Part(value = "water/pump/curve", says = "a point of a pump's curve")
    record CurvePoint(
            @Figure(label = "curve flow", min = 0, max = 3000, usual = 30, help = "from its maker, or bucket and watch")
            double flow_L_min,

            @Figure(label = "curve pressure", min = 0, max = 600, usual = 40, help = "from its maker, or a gauge")
            double pressure_kPa,

            @Nullable String id) {}

    /** Refuses a curve that does not fall, by the place of the point that is to blame. */
    static PerformanceCurve falling(
            Place at, List<PerformanceCurve.Point> points, PerformanceCurve.Machine machine, String what) {
        try {
            return new PerformanceCurve(points, machine, what);
        } catch (EnthalpaFault fault) {
            String names = "curve" + (fault.field().isEmpty() ? "" : "/" + fault.field());
            throw fault.at(at.pointer() + Pointers.below(at.shape(), names), fault.label());
        }
    }

    @Part(value = "water/piece", says = "a hose", named = true)
    record HosePiece(
            @Kind("hose") String kind,
            String name,
            double height_mm,
            double bore_mm,
            @Nullable Integer beside,
            @Nullable PipeMaterial material,

            @Figure(
                    label = "length",
                    min = 0,
                    max = 20000,
                    usual = 800,
                    help = "straight length of a hose, bends not counted; of a spigot its narrow part")
            double length_mm,

            @Called(value = "bend", most = PipePiece.Bend.MOST) @Nullable
            List<PipePiece.Bend> bends,

            @Figure(
                    label = "wrap",
                    min = 0,
                    max = 50,
                    usual = 0,
                    help =
                            "foam or fibre round it, so that a cold hose does not drip; its heat from the bay is that of the loop")
            @Nullable
            Double wrap_mm,

            @Nullable HoseMake make,

            @Figure(
                    label = "bends to no less than",
                    min = 5,
                    max = 2000,
                    usual = 50,
                    help =
                            "radius of its middle line, as its maker says; empty for 5 bores plain, 2.5 wired, 1.5 moulded")
            @Nullable
            Double least_mm,

            @Nullable String id)
            implements LoopPieceDocument, Bored {
        @Override
        public LoopPiece core(Place at) {
            PipeSpec spec = new PipeSpec(
                    material == null ? PipeMaterial.SILICONE : material,
                    MM.si(bore_mm),
                    MM.si(length_mm),
                    bends == null ? List.of() : PipePiece.Bend.all(bends, at, MM.si(bore_mm), MM.si(bore_mm)));
            return new LoopPiece.Hose(
                    name,
                    spec,
                    together(),
                    MM.si(height_mm),
                    MM.si(wrap_mm).orElse(0),
                    make == null ? HoseMake.PLAIN : make,
                    MM.si(least_mm));
        }
    }

    @Part(value = "water/piece", says = "the core itself, by its water ports", named = true)
    record CoreSidePiece(
            @Kind("core") String kind,
            String name,
            double height_mm,
            CorePorts.Layout ports,
            CorePorts.Feed fedFrom,
            @Nullable Boolean boss,
            @Nullable String id)
            implements LoopPieceDocument {
        @Override
        public LoopPiece core(Place at) {
            return new LoopPiece.CoreSide(
                    name, new CorePorts(ports, fedFrom, Boolean.TRUE.equals(boss)), MM.si(height_mm));
        }
    }

    @Part(
            value = "water/piece",
            says = "radiator and tank, described beside the pieces; first and last of an open line",
            named = true)
    record PlainPiece(
            @Kind({"radiator", "tank", "source", "outfall"}) String kind,
            String name,
            double height_mm,
            @Nullable String id)
            implements LoopPieceDocument {
        @Override
        public LoopPiece core(Place at) {
            double height = MM.si(height_mm);
            return switch (kind) {
                case "radiator" -> new LoopPiece.RadiatorSide(name, height);
                case "tank" -> new LoopPiece.Tank(name, height);
                case "source" -> new LoopPiece.Source(name, height);
                default -> new LoopPiece.Outfall(name, height);
            };
        }
    }

    @Part(value = "water/chiller", says = "the chiller, described beside the pieces", named = true)
    record ChillerPiece(
            @Kind("chiller") String kind,
            String name,
            double height_mm,

            @Figure(label = "chiller loss", min = 0, max = 100, usual = 8, help = "of water through it")
            double loss_kPa,

            @Figure(label = "at flow", min = 0.5, max = 1000, usual = 20, help = "that the loss was read at")
            double flow_L_min,

            @Nullable String id)
            implements LoopPieceDocument {
        @Override
        public LoopPiece core(Place at) {
            return new LoopPiece.ChillerSide(name, KPA.si(loss_kPa), L_MIN.si(flow_L_min), MM.si(height_mm));
        }
    }

    @Part(value = "water/piece", says = "a fitting or a valve", named = true)
    record FittingPiece(
            @Kind FittingLoss kind,
            String name,
            double height_mm,
            double bore_mm,
            @Nullable Integer beside,
            @Like(HosePiece.class) @Nullable Double length_mm,
            @Nullable String id)
            implements LoopPieceDocument, Bored {
        @Override
        public LoopPiece core(Place at) {
            return new LoopPiece.Fitting(
                    name, kind, MM.si(bore_mm), MM.si(length_mm).orElse(0), together(), MM.si(height_mm));
        }
    }
}
