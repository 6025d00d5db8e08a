package io.enthalpa.core.exchanger;

/** Which way the tank with the inlet port looks, or which end of a tank is meant, seen from the front of the car: how the core is turned. */
public enum PortSide {
    LEFT,
    RIGHT,
    UP,
    DOWN;

    /** @return where it comes to when the core is turned a quarter, clockwise seen from the front */
    PortSide clockwise() {
        return switch (this) {
            case RIGHT -> DOWN;
            case DOWN -> LEFT;
            case LEFT -> UP;
            case UP -> RIGHT;
        };
    }

    PortSide opposite() {
        return clockwise().clockwise();
    }

    boolean isUpright() {
        return this == UP || this == DOWN;
    }
}
