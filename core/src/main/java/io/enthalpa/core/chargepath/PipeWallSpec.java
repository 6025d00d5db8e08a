package io.enthalpa.core.chargepath;

import io.enthalpa.core.loss.PipeMaterial;
import java.util.Optional;

/**
 * The wall of a pipe and what it meets outside.
 *
 * @param thickness m
 * @param inBay     true in the engine bay's air, false in outside air
 * @param wrap      m of fibre wrap round it; 0 without
 * @param neighbour something hot beside it; empty without
 */
public record PipeWallSpec(double thickness, boolean inBay, double wrap, Optional<HotNeighbour> neighbour) {
    /** @return stock wall, in the bay, bare, nothing hot beside it */
    public static PipeWallSpec usual(PipeMaterial material) {
        return new PipeWallSpec(material.usualWall(), true, 0, Optional.empty());
    }

    /** @param length m of the pipe @return the same; what is hot stands beside no more of it than there is */
    public PipeWallSpec within(double length) {
        return new PipeWallSpec(thickness, inBay, wrap, neighbour.map(n -> n.within(length)));
    }

    /** @param bore m @return m2 of metal, cut across: a ring of its thickness round the bore */
    public double section(double bore) {
        return Math.PI * (bore + thickness) * thickness;
    }
}
