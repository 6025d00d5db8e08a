package io.enthalpa.core.waterloop;

import java.util.OptionalDouble;

/**
 * A reservoir.
 *
 * @param capacity m3 that it holds
 * @param baffled  true when plates make the water pass through in order; else it mixes
 * @param start    K of its water at the start; empty to take the soak temperature of the duty, or ice water
 * @param ice      put in before the start; mass 0 for none
 * @param refilled ice is topped up before every run
 * @param cap      Pa over outside air that its cap holds; 0 for an open one
 */
public record TankSpec(
        double capacity, boolean baffled, OptionalDouble start, IceSpec ice, boolean refilled, double cap) {
    public static final TankSpec PLAIN = new TankSpec(5e-3, false, OptionalDouble.empty(), IceSpec.NONE, false);

    /** With an open cap. */
    public TankSpec(double capacity, boolean baffled, OptionalDouble start, IceSpec ice, boolean refilled) {
        this(capacity, baffled, start, ice, refilled, 0);
    }

    public TankSpec withIce(IceSpec other) {
        return new TankSpec(capacity, baffled, start, other, refilled, cap);
    }
}
