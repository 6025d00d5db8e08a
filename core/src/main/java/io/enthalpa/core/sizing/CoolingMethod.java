package io.enthalpa.core.sizing;

/** Ways of cooling a charge that are compared on the same duty. */
public enum CoolingMethod {
    /** No cooler at all, to see what it is worth. */
    NONE,
    /** A core in the outside air. */
    AIR,
    /** A water core with a low-temperature radiator. */
    WATER_RADIATOR,
    /** A water core with an ice tank. */
    ICE,
    /** A water core with a tank chilled by the air conditioning. */
    CHILLER,
    /** Water and alcohol sprayed in, no core. */
    INJECTION,
    /** The option as it is, with injection on top. */
    INJECTION_ON_TOP
}
