package io.enthalpa.core.exchanger;

import io.enthalpa.core.exchanger.EndTankSpec.PortPlace;
import java.util.Optional;

/**
 * Where a port stands on its tank.
 *
 * @param place   in the middle, towards one end, or on the end
 * @param towards which end of the tank, seen from the front of the car as the core stands there; empty for the usual: of an inlet the upper
 *     end, of a core on end the left one, of an outlet the end across from the inlet's
 */
public record PortSeat(PortPlace place, Optional<PortSide> towards) {
    /** @return at the usual end */
    public static PortSeat usual(PortPlace place) {
        return new PortSeat(place, Optional.empty());
    }

    PortSeat at(PortSide side) {
        return new PortSeat(place, Optional.of(side));
    }

    /** @return turned a quarter with its core, clockwise seen from the front */
    PortSeat clockwise() {
        return new PortSeat(place, towards.map(PortSide::clockwise));
    }
}
