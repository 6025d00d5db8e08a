package io.enthalpa.core.room;

/**
 * How the scroll of a turbo or centrifugal blower is clocked: before it is turned in the room its inlet looks forwards.
 *
 * @param clocked rad, which way its outlet looks: from straight up, clockwise seen from its inlet
 * @param runs    which way the charge runs round in it
 */
public record Scroll(double clocked, Runs runs) {
    /** Seen from the inlet. */
    public enum Runs {
        CLOCKWISE,
        ANTICLOCKWISE
    }

    /** @return the same housing clocked otherwise */
    public Scroll clocked(double other) {
        return new Scroll(other, runs);
    }
}
