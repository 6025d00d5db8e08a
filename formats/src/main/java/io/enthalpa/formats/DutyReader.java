package io.enthalpa.formats;

import io.enthalpa.core.build.Field;
import io.enthalpa.core.duty.Duty;
import io.enthalpa.core.duty.DutyPiece;
import io.enthalpa.core.duty.DutyPlan;
import io.enthalpa.core.duty.DutyPoint;
import io.enthalpa.core.duty.Gearing;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import tools.jackson.databind.JsonNode;

/** Reads a duty, of rows or of pieces, and the gearing that it may need. */
final class DutyReader {
    private static final int MOST_PIECES = 200;
    private static final int MOST_GEARS = 12;
    private static final int DEEPEST = 3;

    private DutyReader() {
    }

    static Gearing gearing(JsonPlace place) {
        Gearing gearing = new Gearing(place.number(Field.GEAR_TYRE), place.number(Field.GEAR_FINAL), place.numbers("ratios", "gear", MOST_GEARS, 0.2, 20),
                place.number(Field.GEAR_CHANGE), place.number(Field.GEAR_IDLE));
        place.nothingElse();
        return gearing;
    }

    static Duty duty(JsonPlace place, Optional<Gearing> gearing) {
        if (place.has("rows") == place.has("pieces")) {
            throw JsonPlace.malformed(place.pointer() + "/rows", "duty", place.has("rows") ? "rows and pieces" : "neither rows nor pieces", "one of them");
        }
        List<DutyPiece> pieces = place.has("pieces") ? pieces(place, 0) : List.of();
        List<DutyPoint> rows = pieces.isEmpty() ? place.children("rows", "duty row", DutyPlan.MOST_ROWS).stream().map(DutyReader::row).toList() : DutyPlan.rows(pieces, gearing);
        Duty duty = new Duty(place.name("name"), place.flag("boostFollowsBrief"), place.number(Field.DUTY_START_ABOVE),
                place.count(Field.DUTY_REPEATS), place.number(Field.DUTY_WAIT), rows, pieces);
        place.nothingElse();
        return duty;
    }

    /** @return pieces read from a list on its own, as the screen sends them */
    static List<DutyPiece> pieces(JsonNode duty) {
        return pieces(new JsonPlace(duty, "/duty", "duty"), 0);
    }

    private static DutyPoint row(JsonPlace place) {
        DutyPoint row = new DutyPoint(place.number(Field.DUTY_TIME), place.number(Field.DUTY_SPEED), place.number(Field.DUTY_BOOST),
                place.number(Field.DUTY_ROAD_SPEED));
        place.nothingElse();
        return row;
    }

    private static List<DutyPiece> pieces(JsonPlace place, int depth) {
        List<JsonPlace> list = place.children("pieces", "duty piece", MOST_PIECES);
        if (list.isEmpty()) {
            throw JsonPlace.malformed(place.pointer() + "/pieces", "duty pieces", "an empty list", "at least one");
        }
        return list.stream().map(piece -> piece(piece, depth)).toList();
    }

    private static DutyPiece piece(JsonPlace place, int depth) {
        String kind = place.text("kind");
        DutyPiece piece = switch (kind) {
            case "hold" -> new DutyPiece.Hold(time(place), speed(place), engine(place), boost(place));
            case "ramp" -> new DutyPiece.Ramp(time(place), speed(place), engine(place), boost(place));
            case "pull" -> new DutyPiece.Pull(time(place), speed(place), engine(place), boost(place));
            case "brake" -> new DutyPiece.Brake(time(place), speed(place));
            case "climb" -> new DutyPiece.Climb(place.number(Field.PIECE_LENGTH), climbing(place), engine(place), boost(place));
            case "wait" -> new DutyPiece.Wait(time(place), place.flag("idling"));
            case "repeat" -> {
                if (depth >= DEEPEST) {
                    throw JsonPlace.malformed(place.pointer(), "duty piece, repeat", "inside " + DEEPEST + " others", "less deep");
                }
                yield new DutyPiece.Repeat(place.count(Field.PIECE_TIMES), pieces(place, depth + 1));
            }
            default -> throw JsonPlace.malformed(place.pointer() + "/kind", "duty piece, kind", "\"" + kind + "\"", "one of hold, ramp, pull, brake, climb, wait, repeat");
        };
        place.nothingElse();
        return piece;
    }

    private static double climbing(JsonPlace place) {
        double speed = speed(place);
        if (speed <= 0) {
            throw JsonPlace.malformed(place.pointer() + "/roadSpeed_km_h", "duty piece, climb, road speed", "0 km/h", "a speed above 0");
        }
        return speed;
    }

    private static double time(JsonPlace place) {
        return place.number(Field.PIECE_TIME);
    }

    private static double speed(JsonPlace place) {
        return place.number(Field.PIECE_ROAD_SPEED);
    }

    private static OptionalDouble engine(JsonPlace place) {
        return place.optionalNumber(Field.PIECE_SPEED);
    }

    private static double boost(JsonPlace place) {
        return place.number(Field.PIECE_BOOST);
    }
}
