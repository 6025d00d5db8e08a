package io.enthalpa.core.exchanger;

import org.hipparchus.geometry.euclidean.threed.Vector3D;

/** Which way an elbow on a port turns it, seen from the front of the car as the core stands there. */
public enum PortTurn {
    FORWARDS(Vector3D.MINUS_I),
    REARWARDS(Vector3D.PLUS_I),
    LEFT(Vector3D.PLUS_J),
    RIGHT(Vector3D.MINUS_J),
    UP(Vector3D.PLUS_K),
    DOWN(Vector3D.MINUS_K);

    private final Vector3D vector;

    PortTurn(Vector3D vector) {
        this.vector = vector;
    }

    /** @return unit vector along the room's axes: rearward, to the right as one sits, up */
    public Vector3D vector() {
        return vector;
    }

    /** @return where it turns to when the core is turned a quarter, clockwise seen from the front */
    PortTurn clockwise() {
        return switch (this) {
            case LEFT -> UP;
            case UP -> RIGHT;
            case RIGHT -> DOWN;
            case DOWN -> LEFT;
            default -> this;
        };
    }
}
