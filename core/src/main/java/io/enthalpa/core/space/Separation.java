package io.enthalpa.core.space;

import io.enthalpa.core.space.Difference.Vertex;
import java.util.Optional;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * The gap between two convex shapes. Outside one another: Gilbert, Johnson and Keerthi (1988), A fast procedure for computing the distance
 * between complex objects in three-dimensional space. In one another: an expanding polytope, van den Bergen (2001), Proximity queries and
 * penetration depth computation on 3D game objects. Both from memory. Both know at every round between which bounds the answer lies, and end
 * when those are {@link #TOLERANCE} apart; the safer bound is the answer.
 */
public final class Separation {
    /** m: a hundredth of what a gap is promised to. */
    static final double TOLERANCE = 1e-7;

    private static final int MOST_ROUNDS = 200;
    /** m: nearer cores count as touching, and the polytope says how deep. */
    private static final double TOUCHING = 1e-10;

    private static final double[][] STILL = {};

    private Separation() {}

    public static Apart between(Convex a, Convex b) {
        return between(a, b, STILL, Double.POSITIVE_INFINITY, Optional.empty());
    }

    /**
     * @param travel half-ways, m, that the first may be shifted by to either side: the gap is the least of all places it can be in
     * @param enough m: of a gap that is known to be more it is only said that it is
     * @param hint   unit vector from the first to the other across a gap that is near this one; empty without
     */
    static Apart between(Convex a, Convex b, double[][] travel, double enough, Optional<Vector3D> hint) {
        Difference difference = new Difference(a, b, travel);
        Simplex simplex = new Simplex();
        Vector3D start = hint.map(Vector3D::negate)
                .orElseGet(() -> a.bounds().middle().subtract(b.bounds().middle()));
        simplex.add(difference.support(-start.getX(), -start.getY(), -start.getZ()));
        double plenty = enough + difference.rounding();
        double lower = 0;
        double[] best = null;
        if (hint.isPresent()) {
            lower = simplex.vertex[0].along(start.getX(), start.getY(), start.getZ());
            best = start.toArray();
            if (lower > plenty) {
                simplex.reduce();
                return outside(difference, simplex, lower, lower, best);
            }
        }
        for (int round = 0; round < MOST_ROUNDS; round++) {
            if (!simplex.reduce()) {
                return inside(difference, simplex, plenty);
            }
            double[] v = simplex.nearest;
            double length = Math.sqrt(Simplex.dot(v, v));
            if (length < TOUCHING) {
                return inside(difference, simplex, plenty);
            }
            Vertex w = difference.support(-v[0], -v[1], -v[2]);
            double bound = w.along(v[0], v[1], v[2]) / length;
            if (best == null || bound > lower) {
                lower = bound;
                best = new double[] {v[0] / length, v[1] / length, v[2] / length};
            }
            if (length - lower <= TOLERANCE || lower > plenty || simplex.has(w)) {
                return outside(difference, simplex, lower, length, best);
            }
            simplex.add(w);
        }
        simplex.reduce();
        return outside(difference, simplex, lower, Math.sqrt(Simplex.dot(simplex.nearest, simplex.nearest)), best);
    }

    /** @return whether two shapes lie in one another: no plane parts them. Of two that touch it may say either */
    static boolean meet(Convex a, Convex b) {
        Difference difference = new Difference(a, b, STILL);
        Simplex simplex = new Simplex();
        Vector3D start = a.bounds().middle().subtract(b.bounds().middle());
        simplex.add(difference.support(-start.getX(), -start.getY(), -start.getZ()));
        for (int round = 0; round < MOST_ROUNDS; round++) {
            if (!simplex.reduce()) {
                return true;
            }
            double[] v = simplex.nearest;
            double length = Math.sqrt(Simplex.dot(v, v));
            if (length <= Math.max(difference.rounding(), TOUCHING)) {
                return true;
            }
            Vertex w = difference.support(-v[0], -v[1], -v[2]);
            if (w.along(v[0], v[1], v[2]) > difference.rounding() * length || simplex.has(w)) {
                return false;
            }
            simplex.add(w);
        }
        return true;
    }

    private static Apart outside(Difference difference, Simplex simplex, double lower, double upper, double[] normal) {
        Vector3D towards = new Vector3D(-normal[0], -normal[1], -normal[2]);
        return answer(difference, lower, upper - lower, simplex, towards);
    }

    private static Apart answer(Difference difference, double gap, double loose, Simplex simplex, Vector3D towards) {
        Vector3D onA = Vector3D.ZERO;
        Vector3D onB = Vector3D.ZERO;
        for (int i = 0; i < simplex.size; i++) {
            onA = onA.add(simplex.share[i], new Vector3D(simplex.vertex[i].onA));
            onB = onB.add(simplex.share[i], new Vector3D(simplex.vertex[i].onB));
        }
        return rounded(difference, gap, loose, onA, onB, towards);
    }

    /** The rounding is taken off, and the places lie on its surface. */
    static Apart rounded(
            Difference difference, double gap, double loose, Vector3D onA, Vector3D onB, Vector3D towards) {
        return new Apart(
                gap - difference.rounding(),
                loose,
                onA.add(difference.roundingOfA(), towards),
                onB.subtract(difference.roundingOfB(), towards),
                towards);
    }

    private static Apart inside(Difference difference, Simplex simplex, double plenty) {
        return new Polytope(difference).depth(simplex, plenty);
    }
}
