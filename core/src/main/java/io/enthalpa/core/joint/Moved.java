package io.enthalpa.core.joint;

import io.enthalpa.core.route.Bears;

/**
 * The most that one end of a joint moves against the other.
 *
 * @param offset m across
 * @param angle  rad of bend, with what it is out of square standing still
 * @param along  m
 */
public record Moved(double offset, double angle, double along) {
    /** m and rad: what bears nothing is true to as much. */
    private static final double TRUE = 0.1e-3;

    private static final double TRUE_ANGLE = Math.toRadians(0.1);

    /** Each over what a joint bears of it: 1 is all of it. */
    public record Used(double across, double along, double bend) {
        public double most() {
            return Math.max(Math.max(across, along), bend);
        }
    }

    public Used of(Bears bears) {
        return new Used(
                offset / Math.max(bears.offset(), TRUE),
                along / Math.max(bears.slack(), TRUE),
                angle / Math.max(bears.angle(), TRUE_ANGLE));
    }
}
