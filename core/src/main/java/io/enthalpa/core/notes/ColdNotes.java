package io.enthalpa.core.notes;

import io.enthalpa.core.chargepath.Ambient;
import io.enthalpa.core.coolingair.AirFlow;
import io.enthalpa.core.coolingair.Layer;
import io.enthalpa.core.exchanger.CoreOutline;
import io.enthalpa.core.exchanger.CoreSpec;
import io.enthalpa.core.fluid.GlycolWater;
import io.enthalpa.core.notes.Note.Kind;
import io.enthalpa.core.place.Spot;
import io.enthalpa.core.place.Subject;
import io.enthalpa.core.steady.AirWayResult;
import io.enthalpa.core.steady.AirWayResult.LayerResult;
import io.enthalpa.core.steady.LoopResult;
import io.enthalpa.core.steady.SteadyResult;
import io.enthalpa.core.waterloop.CorePorts;
import io.enthalpa.core.waterloop.LoopHeights;
import io.enthalpa.core.waterloop.LoopPiece;
import io.enthalpa.core.waterloop.PieceLoss;
import io.enthalpa.core.waterloop.Radiator;
import java.util.List;
import java.util.Optional;

/** What a user should know about water and cooling air at a steady point. */
final class ColdNotes {
    private static final double STRANGLED = 0.3;
    private static final double FAST = 3;
    private static final double STALLED = 0.5e-3 / 60;
    private static final double WALLED = 0.5;
    private static final double BYPASS = 0.25;
    private static final double PREHEATED = 3;
    /** m that nobody measures. */
    private static final double NEGLIGIBLE = 0.5e-3;
    /** K/s worth a word. */
    private static final double WARMING = 1e-4;

    /** s. */
    private static final double A_MINUTE = 60;

    private ColdNotes() {}

    private static String name(LoopResult loop) {
        return loop.slot().element().name() + ", water";
    }

    static void about(List<Note> notes, SteadyResult result, Ambient ambient) {
        for (LoopResult loop : result.loops()) {
            flow(notes, loop);
            air(notes, loop);
            heat(notes, loop, ambient);
        }
        for (int w = 0; w < result.ways().size(); w++) {
            way(notes, result.ways().get(w), w);
            room(notes, result, w);
        }
    }

    /** What reaches out of the space: a core with its tanks and stubs, anything else by its own size. */
    private static void room(List<Note> notes, SteadyResult result, int number) {
        AirWayResult way = result.ways().get(number);
        for (int k = 0; k < way.layers().size(); k++) {
            Layer layer = way.spec().layers().get(k);
            AirWayResult.LayerResult size = way.layers().get(k);
            Optional<CoreSpec> core = layer.kind() == Layer.Kind.CORE ? result.spec(layer.name()) : Optional.empty();
            CoreOutline outline =
                    core.map(CoreOutline::of).orElseGet(() -> CoreOutline.bare(size.width(), size.height()));
            double outside = outline.outside(
                    layer.across(),
                    layer.up(),
                    way.spec().spaceWidth(),
                    way.spec().spaceHeight());
            if (outside > NEGLIGIBLE) {
                notes.add(new Note(
                        Kind.STANDS_OUTSIDE,
                        new Subject.Layer(number, k),
                        layer.name(),
                        outside,
                        core.isPresent() ? 1 : 0));
            }
        }
    }

    private static void flow(List<Note> notes, LoopResult loop) {
        Spot core = loop.slot().spot();
        String name = name(loop);
        if (loop.flow().flow() < STALLED) {
            notes.add(new Note(
                    Kind.PUMP_STALLED, new Subject.Loop(core), name, loop.flow().flow(), STALLED));
            return;
        }
        for (int i = 0; i < loop.flow().pieces().size(); i++) {
            PieceLoss piece = loop.flow().pieces().get(i);
            Subject at = new Subject.LoopPiece(core, i);
            if (piece.share() > STRANGLED && piece.piece().bore() > 0) {
                notes.add(new Note(Kind.LOOP_STRANGLED, at, piece.piece().name(), piece.share(), STRANGLED));
            }
            if (piece.velocity() > FAST) {
                notes.add(new Note(Kind.LOOP_FAST, at, piece.piece().name(), piece.velocity(), FAST));
            }
            if (piece.isLaminar() && piece.piece().bore() > 0) {
                notes.add(new Note(Kind.LOOP_LAMINAR, at, piece.piece().name(), piece.reynolds(), PieceLoss.LAMINAR));
            }
            if (piece.piece() instanceof LoopPiece.Pump && loop.flow().pastCurve()) {
                notes.add(new Note(
                        Kind.PUMP_BEYOND_CURVE,
                        at,
                        piece.piece().name(),
                        loop.flow().flow(),
                        0));
            }
            if (piece.piece() instanceof LoopPiece.CoreSide side) {
                ports(notes, side, at);
            }
        }
    }

    private static void ports(List<Note> notes, LoopPiece.CoreSide side, Subject at) {
        CorePorts ports = side.ports();
        if (ports.feed() == CorePorts.Feed.TOP) {
            notes.add(
                    new Note(Kind.FED_FROM_TOP, at, side.name(), ports.spread().dry(), 0));
        }
        if (ports.layout() != CorePorts.Layout.OPPOSITE_CORNERS || ports.boss()) {
            notes.add(new Note(
                    Kind.PORTS_WASH_PART, at, side.name(), ports.spread().slow(), 0));
        }
    }

    private static void air(List<Note> notes, LoopResult loop) {
        Spot core = loop.slot().spot();
        if (loop.spec().isOpen() || loop.spec().pieces().isEmpty()) {
            return;
        }
        if (!loop.heights().hasTank()) {
            notes.add(new Note(Kind.LOOP_WITHOUT_TANK, new Subject.Loop(core), name(loop), 0, 0));
        } else if (loop.heights().over() > 1e-3) {
            int highest = loop.heights().highest();
            notes.add(new Note(
                    loop.heights().over() <= LoopHeights.BEARABLE ? Kind.LOOP_HIGH_SPOT : Kind.LOOP_HOLDS_AIR,
                    new Subject.LoopPiece(core, highest),
                    loop.spec().pieces().get(highest).name(),
                    loop.heights().over(),
                    LoopHeights.BEARABLE));
        }
    }

    private static void heat(List<Note> notes, LoopResult loop, Ambient ambient) {
        Subject here = new Subject.Loop(loop.slot().spot());
        String name = name(loop);
        GlycolWater coolant = loop.spec().coolant();
        if (!loop.spec().isOpen() && ambient.temperature() < coolant.freezing() + GlycolWater.MARGIN) {
            notes.add(new Note(Kind.COOLANT_FREEZES, here, name, ambient.temperature(), coolant.freezing()));
        }
        if (loop.hottest() > loop.boiling()) {
            notes.add(new Note(Kind.LOOP_BOILS, here, name, loop.hottest(), loop.boiling()));
        }
        if (!loop.spec().isOpen() && loop.coldest() < coolant.freezing() - NEGLIGIBLE) {
            notes.add(new Note(Kind.LOOP_FREEZES, here, name, loop.coldest(), coolant.freezing()));
        }
        loop.spec()
                .radiator()
                .map(r -> Radiator.of(r, coolant).finBeyond())
                .filter(beyond -> !beyond.isEmpty())
                .ifPresent(beyond -> notes.add(new Note(
                        Kind.RADIATOR_FIN_UNLIKE, here, name, beyond.get(0).place(), beyond.size())));
        if (loop.ice() > 0) {
            notes.add(new Note(Kind.ICE_LASTS, here, name, loop.iceLasts(), 0));
        }
        if (loop.chillerOut()) {
            notes.add(new Note(
                    Kind.CHILLER_CUT_OUT,
                    here,
                    name,
                    0,
                    loop.spec().chiller().orElseThrow().dropOutBoost()));
        }
        if (loop.rise() > WARMING) {
            notes.add(new Note(Kind.LOOP_WARMS, here, name, A_MINUTE * loop.rise(), 0));
        }
        if (loop.sweats()) {
            boolean bare = loop.spec().pieces().isEmpty()
                    || loop.spec().pieces().stream()
                            .anyMatch(p -> p instanceof LoopPiece.Hose hose && hose.wrap() == 0);
            notes.add(new Note(
                    bare ? Kind.SWEATS : Kind.CORE_SWEATS,
                    here,
                    name,
                    Math.min(loop.waterIn(), loop.back()),
                    loop.dewPoint()));
        }
    }

    private static void way(List<Note> notes, AirWayResult way, int number) {
        Subject here = new Subject.Way(number);
        String name = way.spec().name();
        AirFlow flow = way.flow();
        if (way.spec().opening().free() < WALLED) {
            notes.add(new Note(
                    Kind.OPENING_WALLED, here, name, way.spec().opening().free(), WALLED));
        }
        if (flow.bypass() > BYPASS * flow.total()) {
            notes.add(new Note(Kind.AIR_BYPASS, here, name, flow.bypass() / flow.total(), BYPASS));
        }
        if (way.spec().fan().isPresent() && way.spec().fan().get().backwards()) {
            notes.add(new Note(Kind.FAN_AGAINST, here, name, flow.fan(), flow.wind()));
        }
        if (flow.wind() < 0) {
            notes.add(new Note(Kind.WIND_AGAINST, here, name, -flow.wind(), 0));
        }
        if (flow.outLoss() > flow.stackLoss()) {
            notes.add(new Note(Kind.EXIT_STRANGLES, here, name, flow.outLoss(), flow.stackLoss()));
        }
        for (int k = 0; k < way.layers().size(); k++) {
            Layer layer = way.spec().layers().get(k);
            double warmed = way.layers().get(k).airIn() - way.warmth().front();
            if (!layer.isOther() && warmed > PREHEATED) {
                notes.add(new Note(Kind.AIR_PREHEATED, new Subject.Layer(number, k), layer.name(), warmed, PREHEATED));
            }
            LayerResult result = way.layers().get(k);
            if (result.fallsShort()) {
                Kind kind = layer.kind() == Layer.Kind.CONDENSER ? Kind.CONDENSER_SHORT : Kind.COOLER_SHORT;
                notes.add(new Note(kind, new Subject.Layer(number, k), layer.name(), result.heat(), result.asked()));
            }
        }
    }
}
