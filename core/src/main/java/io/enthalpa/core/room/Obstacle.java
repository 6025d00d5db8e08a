package io.enthalpa.core.room;

import io.enthalpa.core.space.Solid;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Something that must be missed.
 *
 * @param name    "crash bar"
 * @param nature  what it is
 * @param carrier by name
 * @param gap     m asked of it; empty for the usual
 * @param shape   as measured
 * @param moving  what it costs to move it out of the way; empty for what stays
 */
public record Obstacle(
        String name, Nature nature, String carrier, OptionalDouble gap, ObstacleShape shape, Optional<Moving> moving) {
    /**
     * @param hours of work
     * @param price in the shop's currency
     * @param words "relocation kit, bleed the brakes"
     */
    public record Moving(double hours, double price, String words) {}

    /** @return where it stands, with itself as its only element */
    public Solid solid() {
        return shape.solid(name);
    }

    /** @return the same a little way off, m */
    public Obstacle shifted(double back, double right, double up) {
        return new Obstacle(name, nature, carrier, gap, shape.shifted(back, right, up), moving);
    }
}
