package io.enthalpa.core.duty;

import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import io.enthalpa.core.place.Subject;
import java.util.ArrayList;
import java.util.List;

/**
 * What the system must survive: a table of time, engine speed, boost and road speed, straight between its rows,
 * run once or several times with a wait between.
 *
 * @param name          as the user calls it
 * @param followsBoost  true when the boost figures scale so that the highest becomes the boost asked for
 * @param startAbove    K by which core and water are warmer than the outside air at the start
 * @param repeats       how often the table is run, 1 or more
 * @param waitTime        s between the runs, engine off, car standing
 * @param rows          at least two, times rising from 0
 * @param pieces        that the rows were made of; empty where the rows themselves were given
 */
public record Duty(
        String name,
        boolean followsBoost,
        double startAbove,
        int repeats,
        double waitTime,
        List<DutyPoint> rows,
        List<DutyPiece> pieces) {
    /** Longest run, s: ten hours. */
    public static final double LONGEST = 36_000;

    public Duty(
            String name, boolean followsBoost, double startAbove, int repeats, double waitTime, List<DutyPoint> rows) {
        this(name, followsBoost, startAbove, repeats, waitTime, rows, List.of());
    }

    public Duty {
        rows = List.copyOf(rows);
        pieces = List.copyOf(pieces);
        if (rows.size() < 2) {
            throw EnthalpaFault.of(
                    FaultKind.CONTRADICTION,
                    Subject.Whole.DUTY,
                    "rows",
                    "number of duty rows",
                    String.valueOf(rows.size()),
                    "2 or more",
                    "Give at least a start and an end.");
        }
        for (int i = 1; i < rows.size(); i++) {
            if (rows.get(i).time() <= rows.get(i - 1).time()) {
                throw EnthalpaFault.of(
                        FaultKind.CONTRADICTION,
                        Subject.Whole.DUTY,
                        "rows/" + i + "/time",
                        "time in duty row " + (i + 1),
                        "%s s".formatted(rows.get(i).time()),
                        "later than the row above, %s s"
                                .formatted(rows.get(i - 1).time()),
                        "Rows run forward in time.");
            }
        }
        if (rows.get(0).time() != 0) {
            throw EnthalpaFault.of(
                    FaultKind.CONTRADICTION,
                    Subject.Whole.DUTY,
                    "rows/0/time",
                    "time in duty row 1",
                    "%s s".formatted(rows.get(0).time()),
                    "0 s",
                    "A duty starts at zero.");
        }
        double total = repeats * rows.get(rows.size() - 1).time() + (repeats - 1) * waitTime;
        if (total > LONGEST) {
            throw EnthalpaFault.of(
                    FaultKind.CONTRADICTION,
                    Subject.Whole.DUTY,
                    "repeats",
                    "length of the whole duty",
                    "%.1f h".formatted(total / 3600),
                    "at most 10 h",
                    "Shorten the table, the wait or the number of runs.");
        }
    }

    /** @return s, of one run */
    public double runLength() {
        return rows.get(rows.size() - 1).time();
    }

    /** @return s, all runs and waits */
    public double length() {
        return repeats * runLength() + (repeats - 1) * waitTime;
    }

    /** @return Pa, the highest boost in the table */
    public double highestBoost() {
        return rows.stream().mapToDouble(DutyPoint::boost).max().orElse(0);
    }

    /** @param boost Pa asked for @return this duty with its positive boosts scaled to it, where they follow; else unchanged */
    public Duty scaledTo(double boost) {
        double highest = highestBoost();
        if (!followsBoost || highest <= 0) {
            return this;
        }
        List<DutyPoint> scaled = new ArrayList<>(rows.size());
        for (DutyPoint row : rows) {
            double b = row.boost() > 0 ? row.boost() * boost / highest : row.boost();
            scaled.add(new DutyPoint(row.time(), row.speed(), b, row.roadSpeed()));
        }
        return new Duty(name, followsBoost, startAbove, repeats, waitTime, scaled, pieces);
    }

    /** @param kelvin over outside air @return this duty with core and water so warm at its start */
    public Duty startingAbove(double kelvin) {
        return kelvin == startAbove ? this : new Duty(name, followsBoost, kelvin, repeats, waitTime, rows, pieces);
    }

    /** @return a reader that walks forward through the table */
    public Cursor cursor() {
        return new Cursor();
    }

    /** Walks forward through the duty; the wait between two runs reads as speed, boost and road speed zero. */
    public final class Cursor {
        private int row;
        private double speed;
        private double boost;
        private double roadSpeed;

        /** @param time s, within the duty @return false while waiting between runs */
        public boolean moveTo(double time) {
            double cycle = runLength() + waitTime;
            double local = repeats == 1 ? time : time - cycle * Math.min(Math.floor(time / cycle), repeats - 1);
            if (local > runLength() && repeats > 1) {
                speed = 0;
                boost = 0;
                roadSpeed = 0;
                return false;
            }
            interpolate(Math.min(local, runLength()));
            return true;
        }

        private void interpolate(double local) {
            if (rows.get(row).time() > local) {
                row = 0;
            }
            while (row < rows.size() - 2 && rows.get(row + 1).time() <= local) {
                row++;
            }
            DutyPoint from = rows.get(row);
            DutyPoint to = rows.get(row + 1);
            double share = (local - from.time()) / (to.time() - from.time());
            speed = from.speed() + share * (to.speed() - from.speed());
            boost = from.boost() + share * (to.boost() - from.boost());
            roadSpeed = from.roadSpeed() + share * (to.roadSpeed() - from.roadSpeed());
        }

        public double speed() {
            return speed;
        }

        public double boost() {
            return boost;
        }

        public double roadSpeed() {
            return roadSpeed;
        }
    }
}
