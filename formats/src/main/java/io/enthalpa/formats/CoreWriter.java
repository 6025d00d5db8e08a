package io.enthalpa.formats;

import static io.enthalpa.formats.BuildWriter.put;

import io.enthalpa.core.build.Field;
import io.enthalpa.core.chargepath.CoolingSide;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.coolingair.FaceAirSpec;
import io.enthalpa.core.exchanger.Coolant;
import io.enthalpa.core.exchanger.CoreSize;
import io.enthalpa.core.exchanger.CoreSpec;
import io.enthalpa.core.exchanger.EndTankSpec;
import io.enthalpa.core.exchanger.FinSpec;
import io.enthalpa.core.exchanger.FinType;
import io.enthalpa.core.exchanger.FinnedBlock;
import io.enthalpa.core.exchanger.RatingCard;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Writes a core as {@link CoreReader} reads it. */
final class CoreWriter {
    private CoreWriter() {
    }

    static void core(PathElement.Core core, ObjectNode node) {
        CoreSpec spec = core.spec();
        node.put("construction", spec.construction()).put("cooledBy", Words.of(Words.COOLED_BY, core.cooling() instanceof CoolingSide.Air));
        size(spec.size(), node, Field.CORE_WIDTH, Field.CORE_HEIGHT, Field.CORE_DEPTH);
        node.put("arrangement", Words.of(Words.ARRANGEMENTS, spec.arrangement())).put("inletTowards", Words.of(Words.SIDES, spec.inletTowards()));
        EndTankSpec tanks = spec.tanks();
        put(node, Field.CORE_PORT, tanks.portBore());
        put(node, Field.CORE_TANK_DEPTH, tanks.depth());
        node.put("portPlace", Words.of(Words.PLACES, tanks.place())).put("dividedInlet", tanks.divided());
        put(node, Field.CORE_BLOCKED, tanks.blocked());
        put(node, Field.CORE_OUTLETS, tanks.outlets());
        if (spec.basis() instanceof RatingCard card) {
            card(card, node.putObject("card"));
        } else if (spec.basis() instanceof FinnedBlock block) {
            block(block, node.putObject("block"));
        }
        if (core.cooling() instanceof CoolingSide.Air air) {
            face(air.face(), node.putObject("air"));
        } else if (core.cooling() instanceof CoolingSide.Water water) {
            LoopWriter.loop(water.loop(), node.putObject("water"));
        }
    }

    private static void block(FinnedBlock block, ObjectNode node) {
        node.put("layers", Words.of(Words.CONSTRUCTIONS, block.construction()));
        put(node, Field.BLOCK_PLATE, block.plate());
        put(node, Field.BLOCK_BAR, block.bar());
        put(node, Field.BLOCK_CONDUCTIVITY, block.conductivity());
        put(node, Field.BLOCK_CHARGE_FOULING, block.chargeFouling());
        put(node, Field.BLOCK_COLD_FOULING, block.coldFouling());
        fin(block.charge(), node.putObject("chargeFin"));
        fin(block.cold(), node.putObject("coldFin"));
    }

    static void fin(FinSpec fin, ObjectNode node) {
        node.put("type", Words.of(Words.FINS, fin.type()));
        put(node, Field.FIN_GAP, fin.gap());
        put(node, Field.FIN_PITCH, fin.pitch());
        put(node, Field.FIN_THICKNESS, fin.thickness());
        if (fin.type() != FinType.PLAIN) {
            put(node, Field.FIN_INTERVAL, fin.interval());
        }
        if (fin.type() == FinType.LOUVRED) {
            put(node, Field.FIN_ANGLE, fin.louvreAngle());
        }
    }

    private static void card(RatingCard card, ObjectNode node) {
        size(card.size(), node, Field.CARD_WIDTH, Field.CARD_HEIGHT, Field.CARD_DEPTH);
        put(node, Field.CARD_MASS, card.metalMass());
        boolean air = card.coolant() == Coolant.AIR;
        point(card.points().get(0), node, air);
        put(node, Field.CARD_CHARGE_SHARE, card.chargeShare());
        put(node, Field.CARD_WALL_SHARE, card.wallShare());
        card.coolantLoss().ifPresent(loss -> put(node, Field.CARD_COOLANT_LOSS, loss));
        if (card.points().size() > 1) {
            ArrayNode more = node.putArray("morePoints");
            card.points().stream().skip(1).forEach(p -> point(p, more.addObject(), air));
        }
    }

    private static void point(RatingCard.Point point, ObjectNode node, boolean air) {
        put(node, Field.CARD_FLOW, point.chargeFlow());
        put(node, Field.CARD_PRESSURE, point.chargePressure());
        put(node, Field.CARD_IN, point.chargeIn());
        put(node, Field.CARD_OUT, point.chargeOut());
        put(node, Field.CARD_LOSS, point.loss());
        if (air) {
            put(node, Field.CARD_AIR_SPEED, point.coolantVelocity());
        } else {
            put(node, Field.CARD_WATER_FLOW, point.coolantFlow());
        }
        put(node, Field.CARD_COOLANT_IN, point.coolantIn());
    }

    static void face(FaceAirSpec face, ObjectNode node) {
        put(node, Field.AIR_FACE_SHARE, face.speedShare());
        put(node, Field.AIR_STANDSTILL, face.standstillSpeed());
    }

    static void size(CoreSize size, ObjectNode node, Field width, Field height, Field depth) {
        put(node, width, size.width());
        put(node, height, size.height());
        put(node, depth, size.depth());
    }
}
