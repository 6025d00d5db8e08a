package io.enthalpa.core.router;

import io.enthalpa.core.route.RunSpec;
import io.enthalpa.core.space.Convex;
import io.enthalpa.core.space.Frustum;
import io.enthalpa.core.space.Hull;
import io.enthalpa.core.space.Solid;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/** A way that is thought of: its ends and corners, all rounded by the bend of its tube. */
final class Draft {
    /** m that the chords of an arc stray from it: so much more is asked of them. */
    private static final double STRAY = 1e-4;
    /** rad: what turns less goes straight on. */
    static final double STRAIGHT_ON = 1e-6;

    private final Tube tube;
    private final List<Vector3D> points;
    private final Vector3D[] way;
    private final double[] far;
    private final double[] turn;
    private final double[] tangent;

    Draft(Tube tube, List<Vector3D> points) {
        this.tube = tube;
        this.points = List.copyOf(points);
        int legs = points.size() - 1;
        way = new Vector3D[legs];
        far = new double[legs];
        turn = new double[legs + 1];
        tangent = new double[legs + 1];
        for (int i = 0; i < legs; i++) {
            Vector3D along = points.get(i + 1).subtract(points.get(i));
            far[i] = along.getNorm();
            way[i] = far[i] == 0 ? Vector3D.PLUS_I : along.scalarMultiply(1 / far[i]);
            if (i > 0) {
                turn[i] = turn(way[i - 1], way[i]);
                tangent[i] = turn[i] < STRAIGHT_ON ? 0 : tube.tangent(turn[i]);
            }
        }
    }

    static double turn(Vector3D a, Vector3D b) {
        double x = a.getY() * b.getZ() - a.getZ() * b.getY();
        double y = a.getZ() * b.getX() - a.getX() * b.getZ();
        double z = a.getX() * b.getY() - a.getY() * b.getX();
        double along = a.getX() * b.getX() + a.getY() * b.getY() + a.getZ() * b.getZ();
        return Math.atan2(Math.sqrt(x * x + y * y + z * z), along);
    }

    List<Vector3D> points() {
        return points;
    }

    int legs() {
        return far.length;
    }

    /** @return m of straight between the bends of a leg, less than 0 where there is none */
    double straight(int leg) {
        return far[leg] - tangent[leg] - tangent[leg + 1];
    }

    /** @return m of straight that a leg needs: seats at the ends, something to weld between bends */
    private double needs(int leg) {
        double ends = (leg == 0 ? tube.seat() : 0) + (leg == legs() - 1 ? tube.seat() : 0);
        boolean between = turn[leg] >= STRAIGHT_ON && turn[leg + 1] >= STRAIGHT_ON;
        return Math.max(ends, between ? tube.tack() : 0);
    }

    /** @return whether it can be made at all */
    boolean canBeMade() {
        for (int i = 0; i < legs(); i++) {
            if (turn[i] > Tube.MOST_TURN || far[i] == 0 || straight(i) < needs(i) - 1e-9) {
                return false;
            }
        }
        return true;
    }

    double cost(Taste taste) {
        double sum = 0;
        for (int i = 0; i < legs(); i++) {
            sum += straight(i) + (turn[i] < STRAIGHT_ON ? 0 : taste.bend(turn[i], tube));
        }
        return sum;
    }

    /** @return m along its middle */
    double length() {
        return IntStream.range(0, legs())
                .mapToDouble(i -> straight(i) + turn[i] * tube.bend())
                .sum();
    }

    /** @return whether it keeps off what it must, and off itself */
    boolean isClear(Passage passage) {
        for (int i = 0; i < legs(); i++) {
            if (!legIsClear(i, passage) || i > 0 && !bendIsClear(i, passage)) {
                return false;
            }
        }
        return !crossesItself();
    }

    boolean legIsClear(int leg, Passage passage) {
        return passage.isClear(leg(leg), 0);
    }

    private Convex leg(int leg) {
        Vector3D from = points.get(leg).add(tangent[leg], way[leg]);
        Vector3D to = points.get(leg + 1).subtract(tangent[leg + 1], way[leg]);
        // Flat where it is on a port, whose own body begins right behind.
        return leg == 0 || leg == legs() - 1
                ? Frustum.cylinder(from, to, tube.radius())
                : Hull.rod(from, to, tube.radius());
    }

    /** What holds the whole bend first: where that is clear the bend is. */
    boolean bendIsClear(int corner, Passage passage) {
        if (turn[corner] < STRAIGHT_ON) {
            return true;
        }
        Optional<Passage> against = passage.against(around(corner));
        if (against.isEmpty()) {
            return true;
        }
        List<Vector3D> arc = new ArrayList<>(arc(corner));
        if (tube.lead() > 0) {
            arc.add(0, arc.get(0).subtract(lead(corner - 1), way[corner - 1]));
            arc.add(arc.get(arc.size() - 1).add(lead(corner), way[corner]));
        }
        for (int i = 1; i < arc.size(); i++) {
            if (!against.get().isClear(Hull.rod(arc.get(i - 1), arc.get(i), tube.round() / 2), STRAY)) {
                return false;
            }
        }
        return true;
    }

    private double lead(int leg) {
        return Math.min(tube.lead(), Math.max(0, straight(leg)));
    }

    /** Its ends, and where the tangents there meet the one in its middle: the arc lies between. */
    private Convex around(int corner) {
        double shoulder = tube.bend() * Math.tan(turn[corner] / 4);
        Vector3D from = points.get(corner).subtract(tangent[corner], way[corner - 1]);
        Vector3D to = points.get(corner).add(tangent[corner], way[corner]);
        return Hull.of(
                List.of(
                        from.subtract(lead(corner - 1), way[corner - 1]),
                        from.add(shoulder, way[corner - 1]),
                        to.subtract(shoulder, way[corner]),
                        to.add(lead(corner), way[corner])),
                tube.round() / 2);
    }

    private List<Vector3D> arc(int corner) {
        Vector3D from = points.get(corner).subtract(tangent[corner], way[corner - 1]);
        Vector3D along = way[corner - 1];
        Vector3D inward =
                way[corner].subtract(way[corner].dotProduct(along), along).normalize();
        int chords = Math.max(1, (int) Math.ceil(turn[corner] / (2 * Math.sqrt(2 * STRAY / tube.bend()))));
        List<Vector3D> arc = new ArrayList<>();
        for (int i = 0; i <= chords; i++) {
            double turned = turn[corner] * i / chords;
            arc.add(from.add(tube.bend() * Math.sin(turned), along).add(tube.bend() * (1 - Math.cos(turned)), inward));
        }
        return arc;
    }

    /** Legs that do not follow one another, as near as their own thickness. */
    private boolean crossesItself() {
        for (int i = 0; i < legs(); i++) {
            for (int j = i + 2; j < legs(); j++) {
                if (Passage.gap(leg(i), leg(j)) < tube.tack() / 2) {
                    return true;
                }
            }
        }
        return false;
    }

    /** @return the place along it where least is to spare */
    Passage.Tight tightest(Passage passage) {
        List<Convex> pieces = new ArrayList<>();
        for (int i = 0; i < legs(); i++) {
            if (i > 0 && turn[i] >= STRAIGHT_ON) {
                List<Vector3D> arc = arc(i);
                for (int k = 1; k < arc.size(); k++) {
                    pieces.add(Hull.rod(arc.get(k - 1), arc.get(k), tube.radius()));
                }
            }
            pieces.add(leg(i));
        }
        return passage.tightest(Solid.of("", pieces.toArray(Convex[]::new)));
    }

    RunSpec spec() {
        return new RunSpec(
                points.get(0),
                points.subList(1, points.size() - 1).stream()
                        .map(p -> new RunSpec.Corner(p, tube.bend()))
                        .toList(),
                points.get(points.size() - 1));
    }
}
