package io.enthalpa.core.trial;

/** What is changed where there is no way. */
public enum Opening {
    TIGHT_BENDS,
    CLOCKED,
    PORT_TURNED,
    TURNED_OVER,
    OVAL,
    SMALLER,
    TWO_TUBES,
    WIRED,
    MOULDED,
    MOVED
}
