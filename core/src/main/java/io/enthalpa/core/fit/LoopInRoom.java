package io.enthalpa.core.fit;

import java.util.List;

/**
 * A water loop whose heights are those of the room.
 *
 * @param core    whose loop it is
 * @param heights of its pieces, in the order of the water
 */
public record LoopInRoom(String core, List<Height> heights) {
    /**
     * @param up    m from the datum
     * @param typed true where it is not in the room itself, and stands as far from the cap as was typed
     */
    public record Height(double up, boolean typed) {}
}
