package io.enthalpa.core.route;

/**
 * Movement of one pipe end against the other that a joint bears to either side of where it was put together.
 *
 * @param offset m across
 * @param angle  rad of bend
 * @param slack  m along
 */
public record Bears(double offset, double angle, double slack) {
    public static final Bears NOTHING = new Bears(0, 0, 0);
}
