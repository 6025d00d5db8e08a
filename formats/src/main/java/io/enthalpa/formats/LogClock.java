package io.enthalpa.formats;

import io.enthalpa.core.duty.Duty;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import java.util.ArrayList;
import java.util.List;

/** The time of a log, row by row: runs forward, stands still in rows that are repeated, has holes, and an end. */
final class LogClock {
    /** Times the usual step, and s, from where a log has a hole. */
    private static final double GAP_TIMES = 20;

    private static final double LEAST_GAP = 2;
    /** Steps from which the usual one is known. */
    private static final int SETTLED = 10;

    private static final int MOST_TOLD = 20;

    private final LogHead.Column column;
    private final List<DutyCsv.Gap> gaps = new ArrayList<>();
    private long repeated;
    private long steps;
    private double first = Double.NaN;
    private double last;

    LogClock(LogHead.Column column) {
        this.column = column;
    }

    /**
     * @param at line of the row
     * @return whether the row is a new moment; not where it has the time of the row above
     * @throws EnthalpaFault where time runs back, or on for longer than a log may
     */
    boolean isNew(double time, long at) {
        if (Double.isNaN(first)) {
            first = time;
        } else if (time < last) {
            throw EnthalpaFault.of(
                    FaultKind.CONTRADICTION,
                    "",
                    LogLines.place(column, at),
                    "%.2f s".formatted(time),
                    "at least that of the row above, %.2f s".formatted(last),
                    "Time runs backwards there: cut the file in two, or mend the row.");
        } else if (time == last) {
            repeated++;
            return false;
        } else {
            gap(at, time);
        }
        last = time;
        if (time - first > Duty.LONGEST) {
            throw EnthalpaFault.of(
                    FaultKind.CONTRADICTION,
                    "",
                    "%s, line %d, length".formatted(LogHead.WHAT, at),
                    "more than 10 h",
                    "at most 10 h",
                    "Cut the file.");
        }
        return true;
    }

    private void gap(long at, double time) {
        double typical = (last - first) / Math.max(steps, 1);
        if (steps > SETTLED && time - last > Math.max(GAP_TIMES * typical, LEAST_GAP) && gaps.size() < MOST_TOLD) {
            gaps.add(new DutyCsv.Gap(at, last - first, time - last));
        }
        steps++;
    }

    /** @return s from the first row to the newest */
    double seconds() {
        return last - first;
    }

    long repeated() {
        return repeated;
    }

    /** @return the first twenty holes */
    List<DutyCsv.Gap> gaps() {
        return List.copyOf(gaps);
    }
}
