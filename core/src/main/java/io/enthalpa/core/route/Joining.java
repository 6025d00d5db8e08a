package io.enthalpa.core.route;

import java.util.Optional;
import java.util.OptionalDouble;

/**
 * How a joint is made.
 *
 * @param clamp   of a hose; of no account to others
 * @param beaded  whether both ends have a bead rolled on, or a ring welded
 * @param hold    N that a T-bolt clamp on a bead holds
 * @param own     what it bears, where its maker says so; empty as is usual of its kind
 * @param hottest K that it bears for long, likewise
 */
public record Joining(
        Coupling coupling, Clamp clamp, boolean beaded, double hold, Optional<Bears> own, OptionalDouble hottest) {
    /**
     * N: an M6 T-bolt at 5 N m pulls with some 4.2 kN (torque over 0.2 d), which presses the hose on all round with 2 pi times as much; at a friction of 0.1,
     * oily, that holds 2.6 kN on a bead. Common practice, no source.
     */
    public static final double HOLD = 2500;
    /** Of a hose on a plain end against one on a bead; common practice, no source. */
    public static final double PLAIN = 0.2;

    /** Straight silicone, T-bolt clamps, beaded. */
    public static final Joining USUAL = of(Coupling.HOSE);

    /** As is usual of its kind. */
    public static Joining of(Coupling coupling) {
        return new Joining(coupling, Clamp.T_BOLT, true, HOLD, Optional.empty(), OptionalDouble.empty());
    }

    /** @return made of another kind, as is usual of that */
    public Joining as(Coupling other) {
        return other == coupling
                ? this
                : new Joining(other, clamp, beaded, hold, Optional.empty(), OptionalDouble.empty());
    }

    public Bears bears() {
        return own.orElse(coupling.bears());
    }

    /** @return K */
    public double most() {
        return hottest.orElse(coupling.hottest());
    }

    /** @return N that it takes to push it off; infinite where it is locked */
    public double holds() {
        return coupling.isHose() ? hold * clamp.share() * (beaded ? 1 : PLAIN) : Double.POSITIVE_INFINITY;
    }
}
