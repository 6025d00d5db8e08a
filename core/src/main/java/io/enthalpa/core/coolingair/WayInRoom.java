package io.enthalpa.core.coolingair;

import io.enthalpa.core.coolingair.OpeningSpec.Wall;
import java.util.List;
import java.util.Optional;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * Where the opening of a way of the air is in a measured room.
 *
 * @param opening       m, its middle; the air comes in rearwards
 * @param wallsFromRoom what stands before it is what the room has there, instead of what is typed
 * @param exitFromRoom  the exit is what the room leaves free behind the stack, instead of what is typed
 * @param found         what the room has there, once it was looked at
 */
public record WayInRoom(Vector3D opening, boolean wallsFromRoom, boolean exitFromRoom, Optional<Found> found) {
    /**
     * @param walls    pieces of what covers the opening, each by the name of what it is of
     * @param exitArea m2 that the air has behind the stack
     */
    public record Found(List<Wall> walls, double exitArea) {
        public Found {
            walls = List.copyOf(walls);
        }
    }

    public WayInRoom with(Found other) {
        return new WayInRoom(opening, wallsFromRoom, exitFromRoom, Optional.of(other));
    }
}
