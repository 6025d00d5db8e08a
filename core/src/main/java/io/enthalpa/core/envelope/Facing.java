package io.enthalpa.core.envelope;

import io.enthalpa.core.room.Stand;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/** How a core can sensibly be stood in a car: which way the air that comes through it goes. */
public enum Facing {
    /** Air from front to rear. */
    FRONT(0, 0),
    /** Air from below upwards, or from above downwards: lying flat. */
    FLAT(0, Math.PI / 2),
    /** Air across the car. */
    SIDE(Math.PI / 2, 0),
    /** Turned as it stands now. */
    AS_IT_STANDS(0, 0);

    private final double turned;
    private final double tipped;

    Facing(double turned, double tipped) {
        this.turned = turned;
        this.tipped = tipped;
    }

    /** @return the stand turned so, its middle where it is */
    Stand turn(Stand stand) {
        return this == AS_IT_STANDS ? stand : stand.turned(turned, tipped, 0);
    }

    /** @return whether a stand's block is turned alike but for which of its sides is the front */
    boolean isAlike(Stand stand) {
        Vector3D own = turn(stand).pose().turn().applyTo(Vector3D.PLUS_I);
        Vector3D its = stand.pose().turn().applyTo(Vector3D.PLUS_I);
        Vector3D ownUp = turn(stand).pose().turn().applyTo(Vector3D.PLUS_K);
        Vector3D itsUp = stand.pose().turn().applyTo(Vector3D.PLUS_K);
        return Math.abs(own.dotProduct(its)) > ALIKE && Math.abs(ownUp.dotProduct(itsUp)) > ALIKE;
    }

    private static final double ALIKE = 1 - 1e-9;
}
