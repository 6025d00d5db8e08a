package io.enthalpa.core.exchanger;

/** Which way the tank with the inlet port looks, seen from the front of the car: how the core is turned. */
public enum PortSide {
    LEFT,
    RIGHT,
    UP,
    DOWN
}
