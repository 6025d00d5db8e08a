package io.enthalpa.core.exchanger;

/** Kinds of fin in a layer. */
public enum FinType {
    /** Straight, uninterrupted: rectangular passages. */
    PLAIN,
    /** Offset strip (lanced): short strips, each shifted by half a pitch. */
    OFFSET,
    /** Louvred: slits turned into the stream. */
    LOUVRED
}
