package io.enthalpa.core.exchanger;

/** What takes the heat from a core. */
public enum Coolant {
    AIR,
    WATER
}
