package io.enthalpa.core.room;

import io.enthalpa.core.space.Motion;
import java.util.List;

/**
 * The room of a build: all its options stand in it.
 *
 * @param datum     in words, a place and two edges that a tape finds again
 * @param carriers  what moves against the body, the body itself not among them
 * @param obstacles that must be missed
 * @param shaking   what mounts must bear
 */
public record RoomSpec(String datum, List<Carrier> carriers, List<Obstacle> obstacles, Shaking shaking) {
    /** Shaken as usual. */
    public RoomSpec(String datum, List<Carrier> carriers, List<Obstacle> obstacles) {
        this(datum, carriers, obstacles, Shaking.USUAL);
    }

    public RoomSpec {
        carriers = List.copyOf(carriers);
        obstacles = List.copyOf(obstacles);
    }

    /** @return how a carrier moves; the body, and one that is not there, not at all */
    public Motion motion(String carrier) {
        return carriers.stream()
                .filter(c -> c.name().equals(carrier))
                .map(Carrier::motion)
                .findFirst()
                .orElse(Motion.STILL);
    }

    /** @return the same room with one obstacle elsewhere */
    public RoomSpec with(int index, Obstacle other) {
        List<Obstacle> all = new java.util.ArrayList<>(obstacles);
        all.set(index, other);
        return new RoomSpec(datum, carriers, all, shaking);
    }
}
