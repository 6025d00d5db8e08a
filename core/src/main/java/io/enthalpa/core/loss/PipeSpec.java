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

    /**
     * Loss coefficient of the whole run on its velocity head: {@code f L / d} and each bend's own.
     *
     * @param reynolds on the bore
     */
    public double lossCoefficient(double reynolds) {
        double friction = FrictionFactor.darcy(reynolds, material.roughness() / bore);
        double k = friction * length / bore;
        for (Bend bend : bends) {
            k += BendLoss.coefficient(bend.radius() / bore, bend.angle(), friction);
        }
        return k;
    }
}
