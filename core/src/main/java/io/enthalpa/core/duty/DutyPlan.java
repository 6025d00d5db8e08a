package io.enthalpa.core.duty;

import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import io.enthalpa.core.place.Subject;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/** Turns pieces into the rows of a duty. */
public final class DutyPlan {
    public static final Method METHOD = Method.of(
                    "duty-pieces",
                    "A duty from pieces",
                    "Pieces follow each other, straight between their ends. A pull has full boost within a second and loses it for each change of gear; a throttle that is shut "
                            + "and an idling engine stand 60 kPa below outside air; a hold is reached within a second.")
            .source(Citation.commonPractice(
                    "0.3 s for a change of gear, 60 kPa below outside air with the throttle shut"))
            .leavesOut(
                    "How the car accelerates by itself: the times are the user's. The outside air of a climb stays that of the Brief.");
    /** Most rows a duty may have. */
    public static final int MOST_ROWS = 5000;
    /** Manifold with the throttle shut, Pa (common practice, no source). */
    public static final double SHUT = -60e3;

    private static final double BLEND = 1;
    private static final double CHANGE = 0.3;
    private final Optional<Gearing> gearing;
    private final double idle;
    private final List<DutyPoint> rows = new ArrayList<>();

    private DutyPlan(Optional<Gearing> gearing) {
        this.gearing = gearing;
        this.idle = gearing.map(Gearing::idle).orElse(Gearing.USUAL_IDLE);
    }

    /**
     * @param gearing empty where every piece gives its engine speed
     * @return rows from 0 s on
     * @throws EnthalpaFault naming the piece that lacks an engine speed or makes too many rows
     */
    public static List<DutyPoint> rows(List<DutyPiece> pieces, Optional<Gearing> gearing) {
        DutyPlan plan = new DutyPlan(gearing);
        plan.all(pieces, "pieces", "duty piece ");
        return List.copyOf(plan.rows);
    }

    private void all(List<DutyPiece> pieces, String place, String words) {
        for (int i = 0; i < pieces.size(); i++) {
            piece(pieces.get(i), place + "/" + i, words + (i + 1));
            if (rows.size() > MOST_ROWS) {
                throw EnthalpaFault.of(
                        FaultKind.CONTRADICTION,
                        Subject.Whole.DUTY,
                        place + "/" + i,
                        "duty made of pieces",
                        "longer than " + MOST_ROWS + " rows",
                        "shorter",
                        "Repeat less, or take fewer pieces.");
            }
        }
    }

    private void piece(DutyPiece piece, String place, String words) {
        if (piece instanceof DutyPiece.Repeat repeat) {
            for (int k = 0; k < repeat.times() && rows.size() <= MOST_ROWS; k++) {
                all(repeat.pieces(), place + "/pieces", words + ", piece ");
            }
        } else if (piece instanceof DutyPiece.Hold hold) {
            hold(
                    hold.seconds(),
                    hold.roadSpeed(),
                    speed(hold.engineSpeed(), hold.roadSpeed(), place, words),
                    hold.boost());
        } else if (piece instanceof DutyPiece.Climb climb) {
            hold(
                    climb.length() / climb.roadSpeed(),
                    climb.roadSpeed(),
                    speed(climb.engineSpeed(), climb.roadSpeed(), place, words),
                    climb.boost());
        } else if (piece instanceof DutyPiece.Wait wait) {
            hold(wait.seconds(), 0, wait.idling() ? idle : 0, wait.idling() ? SHUT : 0);
        } else if (piece instanceof DutyPiece.Ramp ramp) {
            speed(ramp.engineSpeed(), ramp.roadSpeed(), place, words);
            double from = last().boost();
            drive(ramp.seconds(), ramp.roadSpeed(), ramp.engineSpeed(), from, ramp.boost(), 0);
        } else if (piece instanceof DutyPiece.Pull pull) {
            speed(pull.engineSpeed(), pull.roadSpeed(), place, words);
            drive(pull.seconds(), pull.roadSpeed(), pull.engineSpeed(), pull.boost(), pull.boost(), CHANGE);
        } else if (piece instanceof DutyPiece.Brake brake) {
            drive(
                    brake.seconds(),
                    brake.roadSpeed(),
                    gearing.isPresent()
                            ? OptionalDouble.empty()
                            : OptionalDouble.of(Math.max(idle, 0.5 * last().speed())),
                    SHUT,
                    SHUT,
                    0);
        }
    }

    private double speed(OptionalDouble given, double roadSpeed, String place, String words) {
        if (given.isEmpty() && gearing.isEmpty()) {
            throw EnthalpaFault.of(
                    FaultKind.CONTRADICTION,
                    Subject.Whole.DUTY,
                    place + "/engineSpeed",
                    words + ", engine speed",
                    "not given, and the gearing is not known",
                    "one or the other",
                    "Give the gearing in the Brief, or the engine speed here.");
        }
        return given.orElseGet(() -> gearing.get().engineSpeed(roadSpeed));
    }

    private DutyPoint last() {
        if (rows.isEmpty()) {
            rows.add(new DutyPoint(0, idle, SHUT, 0));
        }
        return rows.get(rows.size() - 1);
    }

    private void hold(double seconds, double roadSpeed, double speed, double boost) {
        if (rows.isEmpty()) {
            rows.add(new DutyPoint(0, speed, boost, roadSpeed));
        }
        DutyPoint was = last();
        boolean same = was.speed() == speed && was.boost() == boost && was.roadSpeed() == roadSpeed;
        if (!same) {
            rows.add(new DutyPoint(was.time() + Math.min(BLEND, seconds / 4), speed, boost, roadSpeed));
        }
        rows.add(new DutyPoint(was.time() + seconds, speed, boost, roadSpeed));
    }

    /** Road speed straight over the time; engine speed straight too, or through the gears; boost from one to the other after a second's blend. */
    private void drive(
            double seconds,
            double roadSpeed,
            OptionalDouble engineSpeed,
            double boostFrom,
            double boostTo,
            double change) {
        DutyPoint was = last();
        double blend = Math.min(BLEND, seconds / 4);
        List<Double> stops = new ArrayList<>();
        if (was.boost() != boostFrom) {
            stops.add(blend);
        }
        if (engineSpeed.isEmpty() && gearing.isPresent()) {
            changes(was.roadSpeed(), roadSpeed, seconds, stops);
        }
        stops.add(seconds);
        stops.sort(null);
        double before = 0;
        for (double at : stops) {
            if (at - before < 1e-3) {
                continue;
            }
            double share = at / seconds;
            double v = was.roadSpeed() + share * (roadSpeed - was.roadSpeed());
            double b = at < blend && was.boost() != boostFrom
                    ? was.boost() + at / blend * (boostFrom - was.boost())
                    : boostFrom + share * (boostTo - boostFrom);
            double n = engineSpeed.isPresent()
                    ? was.speed() + share * (engineSpeed.getAsDouble() - was.speed())
                    : gearing.orElseThrow().engineSpeed(v);
            rows.add(new DutyPoint(was.time() + at, n, b, v));
            before = at;
            if (change > 0 && at + change < seconds && isChange(v, roadSpeed)) {
                double later = was.roadSpeed() + (at + change) / seconds * (roadSpeed - was.roadSpeed());
                rows.add(new DutyPoint(was.time() + at + change / 2, n, 0, (v + later) / 2));
                rows.add(new DutyPoint(was.time() + at + change, gearing.get().engineSpeed(later), b, later));
                before = at + change;
            }
        }
    }

    private boolean isChange(double v, double to) {
        return gearing.isPresent()
                && to > v
                && gearing.get().gearAt(v * (1 + 1e-6)) != gearing.get().gearAt(v * (1 - 1e-6));
    }

    /** Moments at which the road speed passes a change of gear; going down the engine takes the lower gear a moment later. */
    private void changes(double from, double to, double seconds, List<Double> stops) {
        Gearing gears = gearing.orElseThrow();
        for (int gear = 0; gear < gears.ratios().size() - 1; gear++) {
            double at = gears.changesAt(gear);
            if (at > Math.min(from, to) && at < Math.max(from, to)) {
                double moment = (at - from) / (to - from) * seconds;
                stops.add(moment);
                if (to < from) {
                    stops.add(Math.max(moment - 0.2, 0));
                }
            }
        }
    }
}
