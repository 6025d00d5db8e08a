package io.enthalpa.core.loss;

import java.util.List;

/**
 * A run of round pipe of one bore.
 *
 * @param material decides the roughness
 * @param bore     m
 * @param length   m of straight pipe, bends not counted
 * @param bends    in any order
 */
public record PipeSpec(PipeMaterial material, double bore, double length, List<Bend> bends) {

    /**
     * @param angle  rad
     * @param radius m, of the centre line
     */
    public record Bend(double angle, double radius) {
    }

    public PipeSpec {
        bends = List.copyOf(bends);
    }

    public double area() {
        return Math.PI / 4 * bore * bore;
    }

    /** @return m3 inside, bends included */
    public double volume() {
        return area() * (length + bends.stream().mapToDouble(b -> b.angle() * b.radius()).sum());
    }

    /** @return the loss of the whole run as a function of friction alone, worked out once */
    public Loss loss() {
        return new Loss(bore, material.roughness() / bore, k(1) - k(0), k(0));
    }

    /** {@code f L / d} and each bend's own, at a friction factor; linear in it. */
    private double k(double friction) {
        double k = friction * length / bore;
        for (Bend bend : bends) {
            k += BendLoss.coefficient(bend.radius() / bore, bend.angle(), friction);
        }
        return k;
    }

    /**
     * Loss coefficient of a run on its velocity head: {@code slope * f + constant}.
     *
     * @param bore              m
     * @param relativeRoughness roughness over bore
     * @param slope             per unit of Darcy friction factor
     * @param constant          what does not depend on friction
     */
    public record Loss(double bore, double relativeRoughness, double slope, double constant) {
        /** @param reynolds on the bore @return K */
        public double coefficient(double reynolds) {
            return slope * FrictionFactor.darcy(reynolds, relativeRoughness) + constant;
        }

        public double area() {
            return Math.PI / 4 * bore * bore;
        }
    }
}
