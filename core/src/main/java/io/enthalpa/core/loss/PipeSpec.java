package io.enthalpa.core.loss;

import java.util.List;

/**
 * A run of pipe of one bore, round but where it is made flat.
 *
 * @param material decides the roughness
 * @param bore     m
 * @param length   m of straight pipe, bends not counted
 * @param bends    in any order
 * @param ovals    stretches of the straight that are flat
 */
public record PipeSpec(PipeMaterial material, double bore, double length, List<Bend> bends, List<OvalSection> ovals) {
    /** Straight length between two bends, in bores, below which they disturb each other. */
    public static final double APART = 5;
    /** Darcy friction factor of tube with charge air in it, near enough to weigh bends against one another; common practice, no source. */
    public static final double USUAL_FRICTION = 0.018;

    /**
     * @param angle  rad
     * @param radius m, of the centre line; 0 for a mitre
     * @param stock  true when the radius is whatever stock of that pipe has, so that another pipe brings its own
     */
    public record Bend(double angle, double radius, boolean stock) {
        /** Centre line radius of stock bends over the pipe's nominal size: common practice, no source. */
        public static final double STOCK = 1.5;

        /** @return a bend of a radius of its own */
        public Bend(double angle, double radius) {
            this(angle, radius, false);
        }

        /** @param size m, outside diameter of a tube, bore of a hose @return as stock has it */
        public static Bend stock(double angle, double size) {
            return new Bend(angle, STOCK * size, true);
        }

        /** @return two straight ends cut and welded */
        public static Bend mitre(double angle) {
            return new Bend(angle, 0);
        }

        public boolean isMitre() {
            return radius == 0;
        }

        /** @return m along the centre line */
        public double length() {
            return angle * radius;
        }

        double coefficient(double bore, double friction) {
            return isMitre() ? MitreLoss.coefficient(angle) : BendLoss.coefficient(radius / bore, angle, friction);
        }
    }

    public PipeSpec {
        bends = List.copyOf(bends);
        ovals = List.copyOf(ovals);
    }

    /** Round all along. */
    public PipeSpec(PipeMaterial material, double bore, double length, List<Bend> bends) {
        this(material, bore, length, bends, List.of());
    }

    public double area() {
        return Math.PI / 4 * bore * bore;
    }

    /** @return m along its middle, bends included */
    public double developed() {
        return length + bends.stream().mapToDouble(Bend::length).sum();
    }

    /** @return m3 inside, bends included */
    public double volume() {
        return area() * developed()
                - ovals.stream().mapToDouble(o -> o.lost(bore)).sum();
    }

    /** @return bores of straight pipe between two bends if all are spread evenly; infinite with fewer than two */
    public double apart() {
        return bends.size() < 2 ? Double.POSITIVE_INFINITY : length / (bends.size() + 1) / bore;
    }

    /** @return the loss of the whole run as a function of friction alone, worked out once */
    public Loss loss() {
        return new Loss(
                bore,
                material.roughness() / bore,
                FrictionFactor.roughnessTerm(material.roughness() / bore),
                k(1) - k(0),
                k(0));
    }

    /** @return the part of the run's loss that each bend makes, in their order, at a friction factor */
    public double[] shares(double friction) {
        double all = k(friction);
        return bends.stream()
                .mapToDouble(bend -> all == 0 ? 0 : bend.coefficient(bore, friction) / all)
                .toArray();
    }

    /** {@code f L / d}, each bend's own and what each oval adds, at a friction factor; linear in it. */
    private double k(double friction) {
        return friction * length / bore
                + bends.stream()
                        .mapToDouble(bend -> bend.coefficient(bore, friction))
                        .sum()
                + ovals.stream().mapToDouble(o -> o.added(bore, friction)).sum();
    }

    /**
     * Loss coefficient of a run on its velocity head: {@code slope * f + constant}.
     *
     * @param bore              m
     * @param relativeRoughness roughness over bore
     * @param roughnessTerm     of it, see {@link FrictionFactor}
     * @param slope             per unit of Darcy friction factor
     * @param constant          what does not depend on friction
     */
    public record Loss(double bore, double relativeRoughness, double roughnessTerm, double slope, double constant) {
        /** @return a fixed coefficient on the velocity head of a bore */
        public static Loss fixed(double bore, double coefficient) {
            return new Loss(bore, 0, 0, 0, coefficient);
        }

        /** @param reynolds on the bore @return K */
        public double coefficient(double reynolds) {
            return slope == 0
                    ? constant
                    : slope * FrictionFactor.darcy(reynolds, relativeRoughness, roughnessTerm) + constant;
        }

        public double area() {
            return Math.PI / 4 * bore * bore;
        }
    }

    /** @return the same run of something else */
    public PipeSpec of(PipeMaterial other) {
        return new PipeSpec(other, bore, length, bends, ovals);
    }

    /** @return the same run as hose of another bore, m; stock bends are those of that hose, others keep their radius */
    public PipeSpec withBore(double other) {
        return sized(other, other);
    }

    /** @param outside m @param wall m @return the same run as tube of another size, likewise */
    public PipeSpec asTube(double outside, double wall) {
        return sized(outside - 2 * wall, outside);
    }

    private PipeSpec sized(double other, double size) {
        List<Bend> bent = bends.stream()
                .map(b -> b.stock() ? Bend.stock(b.angle(), size) : b)
                .toList();
        return new PipeSpec(material, other, length, bent, ovals);
    }
}
