package io.enthalpa.core.exchanger;

/** What a fin correlation was fitted over beside the Reynolds number. */
public enum FinMeasure {
    FIN_PITCH(0),
    FIN_HEIGHT(1),
    FIN_THICKNESS(2),
    LOUVRE_PITCH(3),
    LOUVRE_ANGLE(4),
    DEPTH(5),
    /** Height of the tube, or of the other stream's layer between plates, over that of the fin. */
    TUBE_TO_FIN(6),
    /** Free width over free height of a passage. */
    WIDTH_TO_HEIGHT(7),
    THICKNESS_TO_STRIP(8),
    THICKNESS_TO_WIDTH(9);

    /** So many times as far as its authors say may a formula miss where a fin lies beyond those they measured (judgement, no source). */
    public static final double BEYOND = 2;

    private final int place;

    FinMeasure(int place) {
        this.place = place;
    }

    /** @return its place among the words that a sentence chooses from, from 0 */
    public int place() {
        return place;
    }
}
