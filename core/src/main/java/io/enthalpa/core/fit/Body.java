package io.enthalpa.core.fit;

import io.enthalpa.core.exchanger.CoreSize;
import io.enthalpa.core.room.Stand;
import io.enthalpa.core.space.Solid;
import java.util.Optional;

/**
 * A body of an option in its place.
 *
 * @param name  what a reader calls it, "front core", "radiator of front core"
 * @param stand its place, a number of the option's stands
 * @param usual true when its size is only the usual one, for nobody gave it
 * @param face  the block as it stands before it is turned, of what cooling air goes through from its front to its rear
 */
public record Body(String name, int index, Stand stand, Solid solid, boolean usual, Optional<CoreSize> face) {}
