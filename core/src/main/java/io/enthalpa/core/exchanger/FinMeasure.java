package io.enthalpa.core.exchanger;

/** What a fin correlation was fitted over beside the Reynolds number, in the order that sentences name them. */
public enum FinMeasure {
    FIN_PITCH,
    FIN_HEIGHT,
    FIN_THICKNESS,
    LOUVRE_PITCH,
    LOUVRE_ANGLE,
    DEPTH,
    /** Height of the tube, or of the other stream's layer between plates, over that of the fin. */
    TUBE_TO_FIN,
    /** Free width over free height of a passage. */
    WIDTH_TO_HEIGHT,
    THICKNESS_TO_STRIP,
    THICKNESS_TO_WIDTH;

    /** So many times as far as its authors say may a formula miss where a fin lies beyond those they measured (judgement, no source). */
    public static final double BEYOND = 2;
}
