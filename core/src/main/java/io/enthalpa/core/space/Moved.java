package io.enthalpa.core.space;

import java.util.Optional;
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
    private final double least;
    private Apart best;

    private Moved(Convex a, Motion ofA, Opposite b, Motion ofB, double[][] travel, double least) {
        this.a = a;
        this.ofA = ofA;
        this.b = b;
        this.ofB = ofB;
        this.travel = travel;
        this.reachA = a.bounds().reachFrom(ofA.point(), ofA.axis());
        this.reachB = b.reachFrom(ofB);
        this.least = least;
    }

    /**
     * @param travel of both, half-ways
     * @param least  m: of a gap that is no smaller by {@link #TOLERANCE} it is only said that it is not
     * @param hint   from the first across a gap that is near this one; empty without
     */
    static Apart between(
            Convex a, Motion ofA, Opposite b, Motion ofB, double[][] travel, double least, Optional<Vector3D> hint) {
        return ofA.roll() == 0 && ofB.roll() == 0
                ? b.from(a, travel, least, hint)
                : new Moved(a, ofA, b, ofB, travel, least).search(hint);
    }

    /** Angles of both round middles, to either side; what no gap there is smaller than, and across which plane. */
    private record Cell(double angleA, double halfA, double angleB, double halfB, double bound, Vector3D towards) {}

    private Apart search(Optional<Vector3D> hint) {
        if (hint.isPresent()) {
            Vector3D n = hint.get();
            double known = bound(a, b, n, ofA.roll(), ofB.roll());
            if (known >= least - TOLERANCE) {
                Vector3D there = a.bounds().middle();
                return new Apart(known, Double.POSITIVE_INFINITY, there, there, n);
            }
        }
        PriorityQueue<Cell> cells = new PriorityQueue<>((x, y) -> Double.compare(x.bound, y.bound));
        cells.add(exact(0, ofA.roll(), 0, ofB.roll(), a, b, hint));
        int looked = 1;
        while (looked < MOST_CELLS && cells.element().bound < worthLess()) {
            Cell c = cells.remove();
            if (c.halfA * reachA >= c.halfB * reachB) {
                cells.add(look(c.angleA - c.halfA / 2, c.halfA / 2, c.angleB, c.halfB, c.towards));
                cells.add(look(c.angleA + c.halfA / 2, c.halfA / 2, c.angleB, c.halfB, c.towards));
            } else {
                cells.add(look(c.angleA, c.halfA, c.angleB - c.halfB / 2, c.halfB / 2, c.towards));
                cells.add(look(c.angleA, c.halfA, c.angleB + c.halfB / 2, c.halfB / 2, c.towards));
            }
            looked += 2;
        }
        double bound = Math.min(cells.element().bound, best.gap());
        return new Apart(bound, best.gap() - bound + best.loose(), best.onA(), best.onB(), best.towards());
    }

    /** m: where no gap is smaller nobody looks. */
    private double worthLess() {
        return Math.min(best.gap(), least) - TOLERANCE;
    }

    /** The plane of the angles round it parts the two here too, or their nearest places are looked for. */
    private Cell look(double angleA, double halfA, double angleB, double halfB, Vector3D hint) {
        Convex rolled = ofA.roll() == 0 ? a : a.moved(ofA.at(angleA));
        Opposite other = ofB.roll() == 0 ? b : b.moved(ofB.at(angleB));
        double known = bound(rolled, other, hint, halfA, halfB);
        return known >= worthLess()
                ? new Cell(angleA, halfA, angleB, halfB, known, hint)
                : exact(angleA, halfA, angleB, halfB, rolled, other, Optional.of(hint));
    }

    private Cell exact(
            double angleA,
            double halfA,
            double angleB,
            double halfB,
            Convex rolled,
            Opposite other,
            Optional<Vector3D> hint) {
        Apart apart = other.from(rolled, travel, least, hint);
        if (best == null || apart.gap() < best.gap()) {
            best = apart;
        }
        double bound = bound(rolled, other, apart.towards(), halfA, halfB);
        return new Cell(angleA, halfA, angleB, halfB, Math.min(bound, apart.gap()), apart.towards());
    }

    /** @param n unit vector, square to a plane @return m that the plane parts the two by at least, at all angles to either side */
    private double bound(Convex rolled, Opposite other, Vector3D n, double halfA, double halfB) {
        double ways = 0;
        for (double[] line : travel) {
            ways += Math.abs(n.getX() * line[0] + n.getY() * line[1] + n.getZ() * line[2]);
        }
        return -reach(rolled::reach, n, ofA, halfA)
                - reach(other::reach, n.negate(), ofB, halfB)
                - rolled.rounding()
                - other.rounding()
                - ways
                - halfA * halfA * reachA / 2
                - halfB * halfB * reachB / 2;
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
