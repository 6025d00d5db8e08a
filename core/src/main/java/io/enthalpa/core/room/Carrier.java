package io.enthalpa.core.room;

import io.enthalpa.core.space.Motion;

/**
 * What something hangs on that moves against the body.
 *
 * @param name   "engine"
 * @param motion as far as it moves to either side
 */
public record Carrier(String name, Motion motion) {
    /** What a usual place calls the engine that its parts hang on. */
    public static final String ENGINE = "engine";

    /** What does not move: the room itself. */
    public static final Carrier BODY = new Carrier("body", Motion.STILL);
}
