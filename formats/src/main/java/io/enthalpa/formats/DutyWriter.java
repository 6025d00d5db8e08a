package io.enthalpa.formats;

import static io.enthalpa.formats.BuildWriter.put;

import io.enthalpa.core.build.Field;
import io.enthalpa.core.duty.Duty;
import io.enthalpa.core.duty.DutyLibrary;
import io.enthalpa.core.duty.DutyPiece;
import io.enthalpa.core.duty.DutyPoint;
import io.enthalpa.core.duty.Gearing;
import java.util.List;
import java.util.OptionalDouble;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Writes duties and gearing as {@link DutyReader} reads them. */
public final class DutyWriter {
    private DutyWriter() {
    }

    static void gearing(Gearing gearing, ObjectNode node) {
        put(node, Field.GEAR_TYRE, gearing.tyre());
        put(node, Field.GEAR_FINAL, gearing.finalDrive());
        ArrayNode ratios = node.putArray("ratios");
        gearing.ratios().forEach(ratios::add);
        put(node, Field.GEAR_CHANGE, gearing.changeUp());
        put(node, Field.GEAR_IDLE, gearing.idle());
    }

    static void duty(Duty duty, ObjectNode node) {
        head(node, duty.name(), duty.followsBoost(), duty.startAbove(), duty.repeats(), duty.waitTime());
        if (!duty.pieces().isEmpty()) {
            pieces(duty.pieces(), node.putArray("pieces"));
        } else {
            rows(duty.rows(), node.putArray("rows"));
        }
    }

    /** @return a duty of the library as it stands in a build file */
    public static ObjectNode tree(DutyLibrary.Entry entry) {
        ObjectNode node = JsonMapper.shared().createObjectNode();
        head(node, entry.name(), true, entry.startAbove(), entry.repeats(), entry.between());
        pieces(entry.pieces(), node.putArray("pieces"));
        return node;
    }

    /** @return rows as they stand in a build file */
    public static ArrayNode tree(List<DutyPoint> rows) {
        ArrayNode list = JsonMapper.shared().createArrayNode();
        rows(rows, list);
        return list;
    }

    private static void head(ObjectNode node, String name, boolean follows, double above, int repeats, double wait) {
        node.put("name", name).put("boostFollowsBrief", follows);
        put(node, Field.DUTY_START_ABOVE, above);
        put(node, Field.DUTY_REPEATS, repeats);
        put(node, Field.DUTY_WAIT, wait);
    }

    private static void rows(List<DutyPoint> points, ArrayNode rows) {
        for (DutyPoint point : points) {
            ObjectNode row = rows.addObject();
            put(row, Field.DUTY_TIME, point.time());
            put(row, Field.DUTY_SPEED, point.speed());
            put(row, Field.DUTY_BOOST, point.boost());
            put(row, Field.DUTY_ROAD_SPEED, point.roadSpeed());
        }
    }

    private static void pieces(List<DutyPiece> pieces, ArrayNode list) {
        pieces.forEach(piece -> piece(piece, list.addObject()));
    }

    private static void piece(DutyPiece piece, ObjectNode node) {
        node.put("kind", piece.getClass().getSimpleName().toLowerCase(java.util.Locale.ROOT));
        if (piece instanceof DutyPiece.Hold p) {
            put(node, Field.PIECE_TIME, p.seconds());
            driven(node, p.roadSpeed(), p.engineSpeed(), p.boost());
        } else if (piece instanceof DutyPiece.Ramp p) {
            put(node, Field.PIECE_TIME, p.seconds());
            driven(node, p.roadSpeed(), p.engineSpeed(), p.boost());
        } else if (piece instanceof DutyPiece.Pull p) {
            put(node, Field.PIECE_TIME, p.seconds());
            driven(node, p.roadSpeed(), p.engineSpeed(), p.boost());
        } else if (piece instanceof DutyPiece.Brake p) {
            put(node, Field.PIECE_TIME, p.seconds());
            put(node, Field.PIECE_ROAD_SPEED, p.roadSpeed());
        } else if (piece instanceof DutyPiece.Climb p) {
            put(node, Field.PIECE_LENGTH, p.length());
            driven(node, p.roadSpeed(), p.engineSpeed(), p.boost());
        } else if (piece instanceof DutyPiece.Wait p) {
            put(node, Field.PIECE_TIME, p.seconds());
            node.put("idling", p.idling());
        } else if (piece instanceof DutyPiece.Repeat p) {
            put(node, Field.PIECE_TIMES, p.times());
            pieces(p.pieces(), node.putArray("pieces"));
        }
    }

    private static void driven(ObjectNode node, double roadSpeed, OptionalDouble engine, double boost) {
        put(node, Field.PIECE_ROAD_SPEED, roadSpeed);
        engine.ifPresent(n -> put(node, Field.PIECE_SPEED, n));
        put(node, Field.PIECE_BOOST, boost);
    }
}
