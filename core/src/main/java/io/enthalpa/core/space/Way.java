package io.enthalpa.core.space;

import org.hipparchus.geometry.euclidean.threed.Vector3D;

/** The six ways along the room's axes. */
public enum Way {
    FORWARDS(Vector3D.MINUS_I),
    REARWARDS(Vector3D.PLUS_I),
    LEFT(Vector3D.MINUS_J),
    RIGHT(Vector3D.PLUS_J),
    UP(Vector3D.PLUS_K),
    DOWN(Vector3D.MINUS_K);

    private final Vector3D vector;

    Way(Vector3D vector) {
        this.vector = vector;
    }

    /** @return unit vector */
    public Vector3D vector() {
        return vector;
    }

    /** @return m, the farthest that a box reaches that way */
    public double reach(Bounds box) {
        return switch (this) {
            case FORWARDS -> -box.minX();
            case REARWARDS -> box.maxX();
            case LEFT -> -box.minY();
            case RIGHT -> box.maxY();
            case UP -> box.maxZ();
            case DOWN -> -box.minZ();
        };
    }

    public Way opposite() {
        return switch (this) {
            case FORWARDS -> REARWARDS;
            case REARWARDS -> FORWARDS;
            case LEFT -> RIGHT;
            case RIGHT -> LEFT;
            case UP -> DOWN;
            case DOWN -> UP;
        };
    }
}
