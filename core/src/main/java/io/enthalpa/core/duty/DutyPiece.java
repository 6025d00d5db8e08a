package io.enthalpa.core.duty;

import java.util.List;
import java.util.OptionalDouble;

/**
 * A piece that a duty is built from. Speeds m/s, engine speeds rad/s (by gearing where empty), boost Pa above outside air.
 * A piece begins where the one before it ended; the first begins standing, at idle, unless it holds.
 */
public sealed interface DutyPiece {
    /** Held. */
    record Hold(double seconds, double roadSpeed, OptionalDouble engineSpeed, double boost) implements DutyPiece {
    }

    /** Everything straight from where it was to these. */
    record Ramp(double seconds, double roadSpeed, OptionalDouble engineSpeed, double boost) implements DutyPiece {
    }

    /** Full boost from the start, up through the gears to a road speed. */
    record Pull(double seconds, double roadSpeed, OptionalDouble engineSpeed, double boost) implements DutyPiece {
    }

    /** Throttle shut, down to a road speed. */
    record Brake(double seconds, double roadSpeed) implements DutyPiece {
    }

    /**
     * A hill at one speed.
     *
     * @param length m of road
     */
    record Climb(double length, double roadSpeed, OptionalDouble engineSpeed, double boost) implements DutyPiece {
    }

    /** @param idling false with the engine off */
    record Wait(double seconds, boolean idling) implements DutyPiece {
    }

    record Repeat(int times, List<DutyPiece> pieces) implements DutyPiece {
        public Repeat {
            pieces = List.copyOf(pieces);
        }
    }
}
