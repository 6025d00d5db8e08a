package io.enthalpa.core.mount;

import io.enthalpa.core.room.Mount;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * A point that holds a body, with what comes on it.
 *
 * @param mount    as it is
 * @param at       m, where it meets the body
 * @param reach    m from the bolt to there; less than 0 when the bolt stands inside the body
 * @param load     N, the most of all that the room is shaken by
 * @param standing N of the weight at rest
 * @param stress   Pa in a strap under that most; 0 of anything else
 */
public record Held(Mount mount, Vector3D at, double reach, double load, double standing, double stress) {
    /** Of a strap's yield that is left to it, for it is shaken a million times; common practice, no source. */
    public static final double SHARE_OF_YIELD = 0.5;
    /** m: farther than that neither a lug nor a bobbin comes; common practice, no source. */
    public static final double LUG = 0.04;

    /** @return what the stress is of what a strap bears; 0 of anything else */
    public double used() {
        return mount.hold() instanceof Mount.Strap strap
                ? stress / (SHARE_OF_YIELD * strap.metal().yieldStress())
                : 0;
    }

    public boolean isOutOfReach() {
        return !(mount.hold() instanceof Mount.Strap) && reach > LUG;
    }

    /** @return whether the weight at rest is more than the bobbin is made for */
    public boolean isOverloaded() {
        return mount.hold() instanceof Mount.Bobbin bobbin && bobbin.load() > 0 && standing > bobbin.load();
    }
}
