package io.enthalpa.core.exchanger;

/**
 * Size of the finned block without tanks. The charge (or water) runs along the width, the cooling air along the depth.
 *
 * @param width  m, along the hot stream
 * @param height m
 * @param depth  m, along the cold stream
 */
public record CoreSize(double width, double height, double depth) {
    public double volume() {
        return width * height * depth;
    }

    /** @return m2, the front that the cooling air meets */
    public double face() {
        return width * height;
    }

    /** @return m2, the section that the charge meets */
    public double chargeSection() {
        return height * depth;
    }

    public CoreSize withWidth(double other) {
        return new CoreSize(other, height, depth);
    }

    public CoreSize withHeight(double other) {
        return new CoreSize(width, other, depth);
    }

    public CoreSize withDepth(double other) {
        return new CoreSize(width, height, other);
    }

    /** @return the same block turned on end */
    public CoreSize onEnd() {
        return new CoreSize(/* width= */ height, /* height= */ width, depth);
    }
}
