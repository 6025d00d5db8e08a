package io.enthalpa.core.router;

import io.enthalpa.core.route.Centreline;

/**
 * What is laid.
 *
 * @param outside m that must be clear, wrap included
 * @param bore    m
 * @param bend    m, middle line of its bends
 * @param seat    m of straight that a joint wants at either end of it
 * @param tack    m of straight between two bends, to weld them: {@link #TACK}
 * @param round   m that must be clear where it is bent and where it sits on a port: as much, or more where it is made flat between
 * @param lead    m of straight beside them that are as wide
 */
public record Tube(double outside, double bore, double bend, double seat, double tack, double round, double lead) {
    /** m of straight between two bends that are welded to one another; common practice, no source. */
    public static final double TACK = 20e-3;
    /** rad: of one that turns farther back the corner would lie far from the pipe, and no hand finds it; {@link Centreline} ends at 175 degrees. */
    static final double MOST_TURN = Math.toRadians(170);

    /** Round all along. */
    public Tube(double outside, double bore, double bend, double seat, double tack) {
        this(outside, bore, bend, seat, tack, outside, 0);
    }

    /**
     * @param height m, of the flat stretches that it may have
     * @param taper  m that lead over to each
     */
    public Tube flat(double height, double taper) {
        return new Tube(height, bore, bend, seat, Math.max(tack, 2 * taper), outside, taper);
    }

    double radius() {
        return outside / 2;
    }

    /** @return m from a corner to where its bend begins */
    double tangent(double turn) {
        return bend * Math.tan(turn / 2);
    }
}
