package io.enthalpa.core.fit;

import java.util.List;

/**
 * A water loop whose heights are taken from the room.
 *
 * @param core    whose loop it is
 * @param heights of its pieces, in the order of the water
 */
public record LoopInRoom(String core, List<Height> heights) {
    /**
     * @param up    m, counted as those of the loop are, from the height that its tank was given
     * @param typed true where it is not in the room, and of the tank
     */
    public record Height(double up, boolean typed) {}
}
