package io.enthalpa.core.exchanger;

/**
 * The three resistances that heat passes, as conductances in W/K.
 *
 * @param hot  film of the hot side
 * @param wall wall and fouling
 * @param cold film of the cold side
 */
public record Conductances(double hot, double wall, double cold) {
    /** @return each so many times */
    public Conductances times(double factor) {
        return factor == 1 ? this : new Conductances(hot * factor, wall * factor, cold * factor);
    }

    /** @return W/K from stream to stream */
    public double overall() {
        return 1 / (1 / hot + 1 / wall + 1 / cold);
    }

    /** @return W/K from the hot stream to the middle of the wall */
    public double hotToMetal() {
        return 1 / (1 / hot + 0.5 / wall);
    }

    /** @return W/K from the middle of the wall to the cold stream */
    public double metalToCold() {
        return 1 / (1 / cold + 0.5 / wall);
    }
}
