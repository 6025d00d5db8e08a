package io.enthalpa.formats.document;

import static io.enthalpa.formats.document.Suffix.KM_H;
import static io.enthalpa.formats.document.Suffix.KPA;
import static io.enthalpa.formats.document.Suffix.RPM;

import io.enthalpa.core.duty.DutyPiece;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;

/** A piece of a duty; each begins where the one before it ended. */
sealed interface DutyPieceDocument
        permits DutyPieceDocument.DrivenPiece,
                DutyPieceDocument.BrakePiece,
                DutyPieceDocument.ClimbPiece,
                DutyPieceDocument.WaitPiece,
                DutyPieceDocument.RepeatPiece {
    int MOST = 200;
    int DEEPEST = 3;

    DutyPiece core(Place at, int depth);

    static List<DutyPiece> core(List<DutyPieceDocument> pieces, Place owner, int depth) {
        if (pieces.isEmpty()) {
            throw Place.malformed(owner.pointer() + "/pieces", "duty pieces", "an empty list", "at least one");
        }
        List<DutyPiece> all = new ArrayList<>();
        for (int i = 0; i < pieces.size(); i++) {
            all.add(pieces.get(i).core(owner.to("pieces", i, pieces.get(i)), depth));
        }
        return all;
    }

    static List<DutyPieceDocument> of(List<DutyPiece> pieces) {
        return pieces.stream().map(piece -> piece.to(new DutyPieces())).toList();
    }

    @Part(
            value = "duty/pieces",
            says = "hold: that for a time; ramp: straight to these; pull: full boost, up through the gears")
    record DrivenPiece(
            @Kind({"hold", "ramp", "pull"}) String kind,

            @Figure(label = "for", min = 0.1, max = 36000, usual = 20, help = "how long this piece lasts")
            double time_s,

            @Figure(
                    label = "road speed",
                    min = 0,
                    max = 600,
                    usual = 100,
                    help = "held, or where a ramp, pull or braking ends")
            double roadSpeed_km_h,

            @Figure(
                    label = "engine speed",
                    min = 0,
                    max = 20000,
                    usual = 4000,
                    help = "empty: by the gearing of the Brief")
            @Nullable
            Double engineSpeed_rpm,

            @Figure(
                    label = "boost",
                    min = -90,
                    max = 500,
                    usual = 100,
                    help = "above outside air; below zero is throttled")
            double boost_kPa,

            @Nullable String id)
            implements DutyPieceDocument {
        @Override
        public DutyPiece core(Place at, int depth) {
            double speed = KM_H.si(roadSpeed_km_h);
            double boost = KPA.si(boost_kPa);
            OptionalDouble engine = RPM.si(engineSpeed_rpm);
            return switch (kind) {
                case "hold" -> new DutyPiece.Hold(time_s, speed, engine, boost);
                case "ramp" -> new DutyPiece.Ramp(time_s, speed, engine, boost);
                default -> new DutyPiece.Pull(time_s, speed, engine, boost);
            };
        }
    }

    @Part(value = "duty/pieces", says = "throttle shut")
    record BrakePiece(
            @Kind("brake") String kind,
            @Like(DrivenPiece.class) double time_s,
            @Like(DrivenPiece.class) double roadSpeed_km_h,
            @Nullable String id)
            implements DutyPieceDocument {
        @Override
        public DutyPiece core(Place at, int depth) {
            return new DutyPiece.Brake(time_s, KM_H.si(roadSpeed_km_h));
        }
    }

    @Part(value = "duty/pieces", says = "a hill at one speed")
    record ClimbPiece(
            @Kind("climb") String kind,

            @Figure(label = "length of the hill", min = 10, max = 200000, usual = 5000, help = "of road")
            double length_m,

            @Like(DrivenPiece.class) double roadSpeed_km_h,
            @Like(DrivenPiece.class) @Nullable Double engineSpeed_rpm,
            @Like(DrivenPiece.class) double boost_kPa,
            @Nullable String id)
            implements DutyPieceDocument {
        @Override
        public DutyPiece core(Place at, int depth) {
            if (roadSpeed_km_h <= 0) {
                throw Place.malformed(
                        at.pointer() + "/roadSpeed_km_h", "duty piece, climb, road speed", "0 km/h", "a speed above 0");
            }
            return new DutyPiece.Climb(length_m, KM_H.si(roadSpeed_km_h), RPM.si(engineSpeed_rpm), KPA.si(boost_kPa));
        }
    }

    @Part(value = "duty/pieces", says = "standing; idling false is engine off")
    record WaitPiece(
            @Kind("wait") String kind,
            @Like(DrivenPiece.class) double time_s,
            boolean idling,
            @Nullable String id) implements DutyPieceDocument {
        @Override
        public DutyPiece core(Place at, int depth) {
            return new DutyPiece.Wait(time_s, idling);
        }
    }

    @Part(value = "duty/pieces", says = "what stands inside, again and again; up to three deep")
    record RepeatPiece(
            @Kind("repeat") String kind,

            @Figure(label = "times", min = 1, max = 500, usual = 2, help = "how often what stands inside is run")
            int times,

            @Called(value = "duty piece", alone = true, most = MOST)
            List<DutyPieceDocument> pieces,

            @Nullable String id)
            implements DutyPieceDocument {
        @Override
        public DutyPiece core(Place at, int depth) {
            if (depth >= DEEPEST) {
                throw Place.malformed(at.pointer(), "duty piece, repeat", "inside " + DEEPEST + " others", "less deep");
            }
            return new DutyPiece.Repeat(times, DutyPieceDocument.core(pieces, at, depth + 1));
        }
    }
}
