package io.enthalpa.core.duty;

import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import java.util.ArrayList;
import java.util.List;

/**
 * Takes a log of any length, one row after the other, and keeps the few between which everything runs straight. Holds a bounded number of
 * rows, whatever comes.
 */
public final class DutyThinner {
    public static final Method METHOD = Method.of(
                    "duty-thinning",
                    "A long log as a duty",
                    "Rows are left out as long as straight lines between those kept stay within 30 rpm, 1 kPa and 0.5 km/h of every row. Where that still leaves "
                            + "too many, the tolerance doubles until it does not.")
            .source(Citation.fromMemory("Bristol", 1990, "Swinging door trending: adaptive trend recording"))
            .leavesOut("What a row between two kept ones did within the tolerance.");
    /** Rows of a duty that a screen and a build file carry with ease. */
    public static final int MOST_KEPT = 3000;

    private static final double SPEED = 30 * Math.PI / 30;
    private static final double BOOST = 1e3;
    private static final double ROAD_SPEED = 0.5 / 3.6;
    private final int most;
    private final List<DutyPoint> kept = new ArrayList<>();
    private final double[] low = new double[3];
    private final double[] high = new double[3];
    private DutyPoint newest;
    private double tolerance = 1;

    /** @param most rows kept, 10 or more */
    public DutyThinner(int most) {
        this.most = most;
    }

    /** @param point later than the one before */
    public void accept(DutyPoint point) {
        if (kept.isEmpty()) {
            keep(point);
            return;
        }
        if (newest != null && !narrow(point)) {
            keep(newest);
            if (kept.size() >= most) {
                thinAgain();
            }
            narrow(point);
        } else if (newest == null) {
            narrow(point);
        }
        newest = point;
    }

    private void keep(DutyPoint point) {
        kept.add(point);
        newest = null;
        open();
    }

    private void open() {
        java.util.Arrays.fill(low, Double.NEGATIVE_INFINITY);
        java.util.Arrays.fill(high, Double.POSITIVE_INFINITY);
    }

    /** Narrows the doors so that a line from the last row kept passes this one too. @return false when none does */
    private boolean narrow(DutyPoint point) {
        DutyPoint from = kept.get(kept.size() - 1);
        double dt = point.time() - from.time();
        boolean open = narrow(0, from.speed(), point.speed(), SPEED * tolerance, dt);
        open &= narrow(1, from.boost(), point.boost(), BOOST * tolerance, dt);
        return open & narrow(2, from.roadSpeed(), point.roadSpeed(), ROAD_SPEED * tolerance, dt);
    }

    private boolean narrow(int door, double from, double to, double slack, double dt) {
        double straight = (to - from) / dt;
        boolean passes = straight >= low[door] && straight <= high[door];
        low[door] = Math.max(low[door], (to - slack - from) / dt);
        high[door] = Math.min(high[door], (to + slack - from) / dt);
        return passes;
    }

    private void thinAgain() {
        List<DutyPoint> all = new ArrayList<>(kept);
        while (kept.size() > most / 2) {
            tolerance *= 2;
            kept.clear();
            newest = null;
            DutyThinner coarser = new DutyThinner(Integer.MAX_VALUE);
            coarser.tolerance = tolerance;
            all.forEach(coarser::accept);
            kept.addAll(coarser.rows());
        }
        open();
    }

    /** @return how many times wider than at first the tolerance had to be; 1 when it never had */
    public double tolerance() {
        return tolerance;
    }

    /** @return the rows kept, the last one included */
    public List<DutyPoint> rows() {
        List<DutyPoint> rows = new ArrayList<>(kept);
        if (newest != null) {
            rows.add(newest);
        }
        return rows;
    }
}
