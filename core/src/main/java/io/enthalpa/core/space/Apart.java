package io.enthalpa.core.space;

import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * How far two convex shapes are apart.
 *
 * @param gap     m; less than 0 when they lie in one another: then the least way that parts them. Never larger than it is
 * @param loose   m by which it may be smaller than it is: {@link Separation#TOLERANCE} at most but where rounds were used up
 * @param onA     the place on the first
 * @param onB     and on the other
 * @param towards unit vector, from the first to the other, across the gap
 */
public record Apart(double gap, double loose, Vector3D onA, Vector3D onB, Vector3D towards) {
    /** @return the same seen from the other */
    public Apart turnedRound() {
        return new Apart(gap, loose, onB, onA, towards.negate());
    }

    /** @return the same where no more is known than that the gap is no smaller, m */
    Apart atLeast(double sure) {
        return sure < gap ? new Apart(sure, gap + loose - sure, onA, onB, towards) : this;
    }

    /** @return the same where so much of it does not count, m */
    public Apart less(double by) {
        return new Apart(gap - by, loose, onA, onB, towards);
    }
}
