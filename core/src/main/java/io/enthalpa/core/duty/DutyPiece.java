package io.enthalpa.core.duty;

import java.util.List;
import java.util.OptionalDouble;

/**
 * A piece that a duty is built from. Speeds m/s, engine speeds rad/s (by gearing where empty), boost Pa above outside air.
 * A piece begins where the one before it ended; the first begins standing, at idle, unless it holds.
 */
public sealed interface DutyPiece {
    /** One case for each kind, so that a new kind does not compile until every place that must know it does. */
    interface Cases<T> {
        T hold(Hold hold);

        T ramp(Ramp ramp);

        T pull(Pull pull);

        T brake(Brake brake);

        T climb(Climb climb);

        T wait(Wait wait);

        T repeat(Repeat repeat);
    }

    /** @return what its case says */
    <T> T to(Cases<T> cases);

    /** Held. */
    record Hold(double seconds, double roadSpeed, OptionalDouble engineSpeed, double boost) implements DutyPiece {
        @Override
        public <T> T to(Cases<T> cases) {
            return cases.hold(this);
        }
    }

    /** Everything straight from where it was to these. */
    record Ramp(double seconds, double roadSpeed, OptionalDouble engineSpeed, double boost) implements DutyPiece {
        @Override
        public <T> T to(Cases<T> cases) {
            return cases.ramp(this);
        }
    }

    /** Full boost from the start, up through the gears to a road speed. */
    record Pull(double seconds, double roadSpeed, OptionalDouble engineSpeed, double boost) implements DutyPiece {
        @Override
        public <T> T to(Cases<T> cases) {
            return cases.pull(this);
        }
    }

    /** Throttle shut, down to a road speed. */
    record Brake(double seconds, double roadSpeed) implements DutyPiece {
        @Override
        public <T> T to(Cases<T> cases) {
            return cases.brake(this);
        }
    }

    /**
     * A hill at one speed.
     *
     * @param length m of road
     */
    record Climb(double length, double roadSpeed, OptionalDouble engineSpeed, double boost) implements DutyPiece {
        @Override
        public <T> T to(Cases<T> cases) {
            return cases.climb(this);
        }
    }

    /** @param idling false with the engine off */
    record Wait(double seconds, boolean idling) implements DutyPiece {
        @Override
        public <T> T to(Cases<T> cases) {
            return cases.wait(this);
        }
    }

    record Repeat(int times, List<DutyPiece> pieces) implements DutyPiece {
        @Override
        public <T> T to(Cases<T> cases) {
            return cases.repeat(this);
        }

        public Repeat {
            pieces = List.copyOf(pieces);
        }
    }
}
