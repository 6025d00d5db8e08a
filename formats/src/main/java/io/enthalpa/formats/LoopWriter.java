package io.enthalpa.formats;

import static io.enthalpa.formats.BuildWriter.put;

import io.enthalpa.core.build.Field;
import io.enthalpa.core.loss.FallingCurve;
import io.enthalpa.core.waterloop.LoopPiece;
import io.enthalpa.core.waterloop.PumpSpec;
import io.enthalpa.core.waterloop.RadiatorBasis;
import io.enthalpa.core.waterloop.RadiatorSpec;
import io.enthalpa.core.waterloop.TankSpec;
import io.enthalpa.core.waterloop.WaterLoopSpec;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Writes the water side of a core as {@link LoopReader} reads it. */
final class LoopWriter {
    private LoopWriter() {
    }

    static void loop(WaterLoopSpec loop, ObjectNode node) {
        loop.measured().ifPresent(flow -> put(node, Field.WATER_FLOW, flow));
        put(node, Field.WATER_VOLUME, loop.volume());
        if (loop.soak() > 0) {
            put(node, Field.WATER_SOAK, loop.soak());
        }
        if (!loop.whileOff()) {
            node.put("pumpsWhileOff", false);
        }
        if (loop.coolant().share() > 0) {
            put(node, Field.WATER_GLYCOL, loop.coolant().share());
        }
        if (!loop.pieces().isEmpty()) {
            ArrayNode pieces = node.putArray("pieces");
            loop.pieces().forEach(piece -> piece(piece, pieces.addObject()));
        }
        loop.radiator().ifPresent(radiator -> radiator(radiator, node.putObject("radiator")));
        loop.tank().ifPresent(tank -> tank(tank, node.putObject("tank")));
        loop.chiller().ifPresent(chiller -> {
            ObjectNode c = node.putObject("chiller");
            put(c, Field.CHILLER_CAPACITY, chiller.capacity());
            put(c, Field.CHILLER_COLDEST, chiller.coldest());
            put(c, Field.CHILLER_DROP_OUT, chiller.dropOutBoost());
            c.put("whileWaiting", chiller.whileWaiting());
        });
        loop.raw().ifPresent(raw -> {
            ObjectNode r = node.putObject("raw");
            put(r, Field.RAW_TEMPERATURE, raw.temperature());
            put(r, Field.RAW_FOULING, raw.fouling());
        });
    }

    private static void piece(LoopPiece piece, ObjectNode node) {
        node.put("kind", kind(piece)).put("name", piece.name());
        put(node, Field.LOOP_HEIGHT, piece.height());
        if (piece.bore() > 0) {
            put(node, Field.LOOP_BORE, piece.bore());
            put(node, Field.LOOP_BESIDE, piece.beside());
        }
        if (piece instanceof LoopPiece.Pump pump) {
            pump(pump.spec(), node);
        } else if (piece instanceof LoopPiece.Hose hose) {
            node.put("material", Words.of(Words.MATERIALS, hose.spec().material()));
            put(node, Field.LOOP_LENGTH, hose.spec().length());
            PathWriter.bends(hose.spec(), node);
        } else if (piece instanceof LoopPiece.Fitting fitting) {
            put(node, Field.LOOP_LENGTH, fitting.length());
        } else if (piece instanceof LoopPiece.CoreSide core) {
            node.put("ports", Words.of(Words.WATER_PORTS, core.ports().layout())).put("fedFrom", Words.of(Words.FEEDS, core.ports().feed()))
                    .put("boss", core.ports().boss());
        } else if (piece instanceof LoopPiece.ChillerSide chiller) {
            put(node, Field.CHILLER_LOSS, chiller.loss());
            put(node, Field.CHILLER_FLOW, chiller.flow());
        }
    }

    private static String kind(LoopPiece piece) {
        if (piece instanceof LoopPiece.Fitting fitting) {
            return Words.of(Words.FITTINGS, fitting.type());
        }
        return piece instanceof LoopPiece.Pump ? "pump" : piece instanceof LoopPiece.Hose ? "hose" : piece instanceof LoopPiece.CoreSide ? "core"
                : piece instanceof LoopPiece.RadiatorSide ? "radiator" : piece instanceof LoopPiece.Tank ? "tank"
                : piece instanceof LoopPiece.ChillerSide ? "chiller" : piece instanceof LoopPiece.Source ? "source" : "outfall";
    }

    private static void pump(PumpSpec pump, ObjectNode node) {
        put(node, Field.PUMP_SPEED, pump.speedShare());
        pump.drivenAt().ifPresent(speed -> put(node, Field.PUMP_DRIVEN, speed));
        put(node, Field.PUMP_EFFICIENCY, pump.efficiency());
        ArrayNode curve = node.putArray("curve");
        for (FallingCurve.Point point : pump.curve().points()) {
            ObjectNode p = curve.addObject();
            put(p, Field.PUMP_FLOW, point.flow());
            put(p, Field.PUMP_PRESSURE, point.rise());
        }
    }

    private static void tank(TankSpec tank, ObjectNode node) {
        put(node, Field.TANK_HOLDS, tank.capacity());
        node.put("baffled", tank.baffled()).put("refilled", tank.refilled());
        tank.start().ifPresent(start -> put(node, Field.TANK_START, start));
        if (tank.ice().mass() > 0) {
            put(node, Field.ICE_MASS, tank.ice().mass());
            put(node, Field.ICE_PIECE, tank.ice().piece());
            node.put("stirred", Words.of(Words.STIRS, tank.ice().stir()));
        }
    }

    private static void radiator(RadiatorSpec radiator, ObjectNode node) {
        CoreWriter.size(radiator.size(), node, Field.RADIATOR_WIDTH, Field.RADIATOR_HEIGHT, Field.RADIATOR_DEPTH);
        if (radiator.basis() instanceof RadiatorBasis.Card card) {
            if (!card.size().equals(radiator.size())) {
                CoreWriter.size(card.size(), node, Field.RADIATOR_CARD_WIDTH, Field.RADIATOR_CARD_HEIGHT, Field.RADIATOR_CARD_DEPTH);
            }
            put(node, Field.RADIATOR_HEAT, card.heat());
            put(node, Field.RADIATOR_WATER_FLOW, card.waterFlow());
            put(node, Field.RADIATOR_WATER_IN, card.waterIn());
            put(node, Field.RADIATOR_AIR_SPEED, card.airVelocity());
            put(node, Field.RADIATOR_AIR_IN, card.airIn());
            card.waterLoss().ifPresent(loss -> put(node, Field.RADIATOR_WATER_LOSS, loss));
            card.airLoss().ifPresent(loss -> put(node, Field.RADIATOR_AIR_LOSS, loss));
        } else if (radiator.basis() instanceof RadiatorBasis.Geometry tubes) {
            ObjectNode t = node.putObject("tubes");
            CoreWriter.fin(tubes.fin(), t.putObject("fin"));
            put(t, Field.TUBE_HEIGHT, tubes.tubeHeight());
            put(t, Field.TUBE_WALL, tubes.tubeWall());
            put(t, Field.TUBE_PASSES, tubes.passes());
        }
        CoreWriter.face(radiator.air(), node.putObject("air"));
    }
}
