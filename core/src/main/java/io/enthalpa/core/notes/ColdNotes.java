package io.enthalpa.core.notes;

import io.enthalpa.core.chargepath.Ambient;
import io.enthalpa.core.coolingair.AirFlow;
import io.enthalpa.core.coolingair.Layer;
import io.enthalpa.core.fluid.GlycolWater;
import io.enthalpa.core.notes.Note.Kind;
import io.enthalpa.core.place.Spot;
import io.enthalpa.core.place.Subject;
import io.enthalpa.core.steady.AirWayResult;
import io.enthalpa.core.steady.LoopResult;
import io.enthalpa.core.steady.SteadyResult;
import io.enthalpa.core.waterloop.CorePorts;
import io.enthalpa.core.waterloop.LoopHeights;
import io.enthalpa.core.waterloop.LoopPiece;
import io.enthalpa.core.waterloop.PieceLoss;
import java.util.List;

/** What a user should know about water and cooling air at a steady point. */
final class ColdNotes {
    private static final double STRANGLED = 0.3;
    private static final double FAST = 3;
    private static final double STALLED = 0.5e-3 / 60;
    private static final double WALLED = 0.5;
    private static final double BYPASS = 0.25;
    private static final double PREHEATED = 3;
    /** K/s worth a word. */
    private static final double WARMING = 1e-4;

    private ColdNotes() {}

    static void about(List<Note> notes, SteadyResult result, Ambient ambient) {
        for (LoopResult loop : result.loops()) {
            flow(notes, loop);
            air(notes, loop);
            heat(notes, loop, ambient);
        }
        for (int w = 0; w < result.ways().size(); w++) {
            way(notes, result.ways().get(w), w);
        }
    }

    private static void flow(List<Note> notes, LoopResult loop) {
        Spot core = loop.slot().spot();
        if (loop.flow().flow() < STALLED) {
            notes.add(new Note(
                    Kind.PUMP_STALLED, new Subject.Loop(core), loop.flow().flow(), STALLED));
            return;
        }
        for (int i = 0; i < loop.flow().pieces().size(); i++) {
            PieceLoss piece = loop.flow().pieces().get(i);
            Subject at = new Subject.LoopPiece(core, i);
            if (piece.share() > STRANGLED && piece.piece().bore() > 0) {
                notes.add(new Note(Kind.LOOP_STRANGLED, at, piece.share(), STRANGLED));
            }
            if (piece.velocity() > FAST) {
                notes.add(new Note(Kind.LOOP_FAST, at, piece.velocity(), FAST));
            }
            if (piece.isLaminar() && piece.piece().bore() > 0) {
                notes.add(new Note(Kind.LOOP_LAMINAR, at, piece.reynolds(), PieceLoss.LAMINAR));
            }
            if (piece.piece() instanceof LoopPiece.Pump && loop.flow().pastCurve()) {
                notes.add(new Note(Kind.PUMP_BEYOND_CURVE, at, loop.flow().flow(), 0));
            }
            if (piece.piece() instanceof LoopPiece.CoreSide side) {
                ports(notes, side.ports(), at);
            }
        }
    }

    private static void ports(List<Note> notes, CorePorts ports, Subject at) {
        if (ports.feed() == CorePorts.Feed.TOP) {
            notes.add(new Note(Kind.FED_FROM_TOP, at, ports.washed(), 1));
        }
        if (ports.layout() != CorePorts.Layout.OPPOSITE_CORNERS || ports.boss()) {
            notes.add(new Note(Kind.PORTS_WASH_PART, at, ports.washed(), 1));
        }
    }

    private static void air(List<Note> notes, LoopResult loop) {
        Spot core = loop.slot().spot();
        if (loop.spec().isOpen() || loop.spec().pieces().isEmpty()) {
            return;
        }
        if (!loop.heights().hasTank()) {
            notes.add(new Note(Kind.LOOP_WITHOUT_TANK, new Subject.Loop(core), 0, 0));
        } else if (loop.heights().over() > 1e-3) {
            notes.add(new Note(
                    Kind.LOOP_HIGH_SPOT,
                    new Subject.LoopPiece(core, loop.heights().highest()),
                    loop.heights().over(),
                    LoopHeights.BEARABLE));
        }
    }

    private static void heat(List<Note> notes, LoopResult loop, Ambient ambient) {
        Subject here = new Subject.Loop(loop.slot().spot());
        GlycolWater coolant = loop.spec().coolant();
        if (!loop.spec().isOpen() && ambient.temperature() < coolant.freezing() + GlycolWater.MARGIN) {
            notes.add(new Note(Kind.COOLANT_FREEZES, here, ambient.temperature(), coolant.freezing()));
        }
        if (loop.ice() > 0) {
            notes.add(new Note(Kind.ICE_LASTS, here, loop.iceLasts(), 0));
        }
        if (loop.chillerOut()) {
            notes.add(new Note(
                    Kind.CHILLER_CUT_OUT,
                    here,
                    0,
                    loop.spec().chiller().orElseThrow().dropOutBoost()));
        }
        if (loop.rise() > WARMING) {
            notes.add(new Note(Kind.LOOP_WARMS, here, loop.rise(), 0));
        }
        if (loop.sweats()) {
            notes.add(new Note(Kind.SWEATS, here, Math.min(loop.waterIn(), loop.back()), loop.dewPoint()));
        }
    }

    private static void way(List<Note> notes, AirWayResult way, int number) {
        Subject here = new Subject.Way(number);
        AirFlow flow = way.flow();
        if (way.spec().opening().free() < WALLED) {
            notes.add(new Note(Kind.OPENING_WALLED, here, way.spec().opening().free(), WALLED));
        }
        if (flow.bypass() > BYPASS * flow.total()) {
            notes.add(new Note(Kind.AIR_BYPASS, here, flow.bypass() / flow.total(), BYPASS));
        }
        if (way.spec().fan().isPresent() && way.spec().fan().get().backwards()) {
            notes.add(new Note(Kind.FAN_AGAINST, here, flow.fan(), flow.wind()));
        }
        if (flow.wind() < 0) {
            notes.add(new Note(Kind.WIND_AGAINST, here, flow.wind(), 0));
        }
        if (flow.outLoss() > flow.stackLoss()) {
            notes.add(new Note(Kind.EXIT_STRANGLES, here, flow.outLoss(), flow.stackLoss()));
        }
        for (int k = 0; k < way.layers().size(); k++) {
            Layer layer = way.spec().layers().get(k);
            double warmed = way.layers().get(k).airIn() - way.warmth().front();
            if (!layer.isOther() && warmed > PREHEATED) {
                notes.add(new Note(Kind.AIR_PREHEATED, new Subject.Layer(number, k), warmed, PREHEATED));
            }
        }
    }
}
