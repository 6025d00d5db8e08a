package io.enthalpa.core.trial;

/** Sorts of changes. */
public enum What {
    /** What the blower draws. */
    INTAKE,
    PIPE,
    PLENUM,
    CORE_SIZE,
    /** The air that meets a core or radiator in no way of the air. */
    FACE_AIR,
    WATER,
    RADIATOR,
    ICE,
    CHILLER,
    AIR_WAY,
    /** A core where there is none. */
    COOLER
}
