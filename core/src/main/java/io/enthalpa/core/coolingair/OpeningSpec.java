package io.enthalpa.core.coolingair;

import java.util.List;

/**
 * Where the cooling air comes in.
 *
 * @param width    m, of the hole in the bodywork
 * @param height   m
 * @param pressure total pressure there over the dynamic pressure of the road wind: 1 facing it in clean air; a scoop 0.6 to 0.8, a flush
 *                 duct in the under-tray 0.3 to 0.5, a sidepod 0.5 to 0.7 (common practice, no source)
 * @param open     open share of a grille or mesh, above 0 to 1; 1 without
 * @param rounded  true with a rounded lip
 * @param walls    number plate, bumper bar, winch plate: what stands before the hole
 */
public record OpeningSpec(
        double width, double height, double pressure, double open, boolean rounded, List<Wall> walls) {
    /**
     * Something solid before the opening, its middle from the middle of the opening.
     *
     * @param across m, to the right
     * @param up     m
     */
    public record Wall(String name, double width, double height, double across, double up) {}

    public OpeningSpec {
        walls = List.copyOf(walls);
    }

    /** @return share of the hole that no wall covers, 0 to 1 */
    public double free() {
        Rectangle hole = Rectangle.centred(width, height, 0, 0);
        List<Rectangle> covers = walls.stream()
                .map(w -> Rectangle.centred(w.width(), w.height(), w.across(), w.up()))
                .toList();
        return 1 - Rectangle.covered(hole, covers) / hole.area();
    }

    /** @return m2 that air can really enter through (TF-34) */
    public double area() {
        return Math.max(free(), 0.01) * open * width * height;
    }

    public OpeningSpec withHeight(double other) {
        return new OpeningSpec(width, other, pressure, open, rounded, walls);
    }

    public OpeningSpec withWalls(List<Wall> others) {
        return new OpeningSpec(width, height, pressure, open, rounded, others);
    }
}
