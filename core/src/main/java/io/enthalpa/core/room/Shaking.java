package io.enthalpa.core.room;

/**
 * What everything in the room is shaken by, as so many times its weight.
 *
 * @param vertical up and down, the weight itself counted
 * @param across   to any side
 */
public record Shaking(double vertical, double across) {
    /** Common practice, no source: a car or van on roads. On a boat or a sled the user's own figures. */
    public static final Shaking USUAL = new Shaking(5, 3);
}
