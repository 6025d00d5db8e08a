package io.enthalpa.core.space;

import java.util.PriorityQueue;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * The least gap of a convex shape over all it may do. Shifts along lines are exact: they are added to the shape. Rolls are searched by halves:
 * the plane that parts the two at one angle parts them at angles beside it too, by so much as a point on a circle of radius r strays from its
 * tangent, {@code r w^2 / 2} for w to either side, so that few angles are looked at.
 */
final class Moved {
    /** m: with what the chords of a bend stray from it still less than what a gap is promised to. */
    private static final double TOLERANCE = 4e-6;

    private static final int MOST_CELLS = 4000;

    private final Convex a;
    private final Motion ofA;
    private final Opposite b;
    private final Motion ofB;
    private final double[][] travel;
    private final double reachA;
    private final double reachB;
    private Apart best;

    private Moved(Convex a, Motion ofA, Opposite b, Motion ofB, double[][] travel) {
        this.a = a;
        this.ofA = ofA;
        this.b = b;
        this.ofB = ofB;
        this.travel = travel;
        this.reachA = a.bounds().reachFrom(ofA.point(), ofA.axis());
        this.reachB = b.reachFrom(ofB);
    }

    /**
     * @param travel of both, half-ways
     * @param least  m: a gap above it need not be found exactly
     */
    static Apart between(Convex a, Motion ofA, Opposite b, Motion ofB, double[][] travel, double least) {
        return ofA.roll() == 0 && ofB.roll() == 0 ? b.from(a, travel) : new Moved(a, ofA, b, ofB, travel).search(least);
    }

    /** Angles of both round middles, to either side; and what no gap there is smaller than. */
    private record Cell(double angleA, double halfA, double angleB, double halfB, double bound) {}

    private Apart search(double least) {
        PriorityQueue<Cell> cells = new PriorityQueue<>((x, y) -> Double.compare(x.bound, y.bound));
        cells.add(look(0, ofA.roll(), 0, ofB.roll()));
        int looked = 1;
        while (looked < MOST_CELLS && cells.element().bound < Math.min(best.gap() - TOLERANCE, least)) {
            Cell c = cells.remove();
            if (c.halfA * reachA >= c.halfB * reachB) {
                cells.add(look(c.angleA - c.halfA / 2, c.halfA / 2, c.angleB, c.halfB));
                cells.add(look(c.angleA + c.halfA / 2, c.halfA / 2, c.angleB, c.halfB));
            } else {
                cells.add(look(c.angleA, c.halfA, c.angleB - c.halfB / 2, c.halfB / 2));
                cells.add(look(c.angleA, c.halfA, c.angleB + c.halfB / 2, c.halfB / 2));
            }
            looked += 2;
        }
        double bound = Math.min(cells.element().bound, best.gap());
        return new Apart(bound, best.gap() - bound + best.loose(), best.onA(), best.onB(), best.towards());
    }

    private Cell look(double angleA, double halfA, double angleB, double halfB) {
        Convex rolled = ofA.roll() == 0 ? a : a.moved(ofA.at(angleA));
        Opposite other = ofB.roll() == 0 ? b : b.moved(ofB.at(angleB));
        Apart apart = other.from(rolled, travel);
        if (best == null || apart.gap() < best.gap()) {
            best = apart;
        }
        Vector3D n = apart.towards();
        double ways = 0;
        for (double[] line : travel) {
            ways += Math.abs(n.dotProduct(new Vector3D(line)));
        }
        double bound = -reach(rolled::reach, n, ofA, halfA)
                - reach(other::reach, n.negate(), ofB, halfB)
                - rolled.rounding()
                - other.rounding()
                - ways
                - halfA * halfA * reachA / 2
                - halfB * halfB * reachB / 2;
        return new Cell(angleA, halfA, angleB, halfB, Math.min(bound, apart.gap()));
    }

    private interface Reach {
        double in(double x, double y, double z);
    }

    /** The most that a shape reaches along n while its points go along their tangents, by so much to either side. */
    private static double reach(Reach reach, Vector3D n, Motion motion, double half) {
        if (half == 0) {
            return reach.in(n.getX(), n.getY(), n.getZ());
        }
        Vector3D turning = n.crossProduct(motion.axis()).scalarMultiply(half);
        double about = turning.dotProduct(motion.point());
        Vector3D plus = n.add(turning);
        Vector3D minus = n.subtract(turning);
        return Math.max(
                reach.in(plus.getX(), plus.getY(), plus.getZ()) - about,
                reach.in(minus.getX(), minus.getY(), minus.getZ()) + about);
    }
}
