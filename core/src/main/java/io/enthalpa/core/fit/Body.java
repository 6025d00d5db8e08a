package io.enthalpa.core.fit;

import io.enthalpa.core.exchanger.CoreSize;
import io.enthalpa.core.room.Stand;
import io.enthalpa.core.space.Solid;
import java.util.List;
import java.util.Optional;

/**
 * A body of an option in its place.
 *
 * @param name  what a reader calls it, "front core", "radiator of front core"
 * @param stand its place, a number of the option's stands
 * @param usual true when its size is only the usual one, for nobody gave it
 * @param face  the block as it stands before it is turned, of what cooling air goes through from its front to its rear
 * @param ports the ends of its ports, as far as they are known
 * @param floats of a pipe between two carriers that nothing holds on its way
 */
public record Body(
        String name,
        int index,
        Stand stand,
        Solid solid,
        boolean usual,
        Optional<CoreSize> face,
        List<OpenPort> ports,
        Optional<Floats> floats) {
    public Body {
        ports = List.copyOf(ports);
    }

    /** @return the same without what a pipe that comes on one of its ports goes over: its tube and its clamp */
    Body without(OpenPort port) {
        return of(solid.parts().stream().filter(p -> !port.owns(p.element())).toList());
    }

    /** @return only so much of it */
    Body of(List<Solid.Part> parts) {
        return new Body(name, index, stand, Solid.of(parts), usual, face, ports, floats);
    }
}
