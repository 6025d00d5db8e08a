package io.enthalpa.core.telemetry;

/**
 * A part of a drive.
 *
 * @param kind            what it is
 * @param from            s
 * @param to              s
 * @param start           K of the judged temperature at its beginning
 * @param lowest          K
 * @param highest         K
 * @param mean            K
 * @param rate            K/s, straight line of least squares through it
 * @param overTarget      s above the target
 * @param overTimingLine  s above the line from which timing is pulled
 * @param recovered       s from its end until the temperature is within 1 K of its start again; NaN where it never was, or the next load came first
 */
public record Segment(
        Kind kind,
        double from,
        double to,
        double start,
        double lowest,
        double highest,
        double mean,
        double rate,
        double overTarget,
        double overTimingLine,
        double recovered) {
    /** What a part of a drive can be. */
    public enum Kind {
        /** Engine off. */
        OFF,
        /** Running, standing. */
        IDLE,
        /** Rolling without load. */
        CRUISE,
        /** Under load. */
        PULL,
        /** From pass to pass of the start line, over whatever lies between. */
        LAP
    }

    public double seconds() {
        return to - from;
    }
}
