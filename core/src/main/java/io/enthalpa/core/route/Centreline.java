package io.enthalpa.core.route;

import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import io.enthalpa.core.space.Convex;
import io.enthalpa.core.space.Frustum;
import io.enthalpa.core.space.Hull;
import io.enthalpa.core.space.Solid;
import java.util.ArrayList;
import java.util.List;
import java.util.function.BiFunction;
import org.hipparchus.geometry.euclidean.threed.Rotation;
import org.hipparchus.geometry.euclidean.threed.RotationConvention;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/** The middle line of a pipe as it is made: straights and arcs, each beginning square where the one before it ends. */
public final class Centreline {
    public static final Method METHOD = Method.of(
                    "run",
                    "A pipe by its corners",
                    "Between two straights that meet in a corner lies an arc that touches both. What is left of the straights between the arcs is what is cut.")
            .formula("tangent = R tan(a/2), arc = R a")
            .source(Citation.commonPractice("the geometry of a circle that touches two lines"))
            .leavesOut("Spring-back and the flattening of a bend: it is as round as the pipe.");
    /** m: points nearer than that are one place, and a bend may reach so far over the end of its straight. */
    public static final double SAME = 1e-9;
    /** rad: a corner that turns less goes straight on. */
    public static final double STRAIGHT_ON = 1e-9;
    /** rad: a bend farther back reaches too far to be told by its corner. */
    static final double MOST = Math.toRadians(175);

    public static final int MOST_CORNERS = 60;

    /** m that the chords of an arc stray from it at most: half of what a gap is promised to. */
    public static final double STRAY = 5e-6;

    /** A stretch of it. */
    public sealed interface Stretch {
        /** @return m along the middle line */
        double length();

        /** @param along m from its beginning */
        Vector3D at(double along);

        /** @return unit vector, the way of the flow */
        Vector3D heading(double along);
    }

    /** @param heading unit vector */
    public record Straight(Vector3D from, Vector3D heading, double length) implements Stretch {
        @Override
        public Vector3D at(double along) {
            return from.add(along, heading);
        }

        @Override
        public Vector3D heading(double along) {
            return heading;
        }
    }

    /**
     * @param corner its number, from 0
     * @param from   m
     * @param way    unit vector in which it begins
     * @param inward unit vector from its beginning to its middle
     * @param angle  rad
     * @param radius m; 0 for a mitre
     */
    public record Bend(int corner, Vector3D from, Vector3D way, Vector3D inward, double angle, double radius)
            implements Stretch {
        @Override
        public double length() {
            return radius * angle;
        }

        @Override
        public Vector3D at(double along) {
            return radius == 0 ? from : on(along / radius);
        }

        private Vector3D on(double turned) {
            return from.add(radius * Math.sin(turned), way).add(radius * (1 - Math.cos(turned)), inward);
        }

        @Override
        public Vector3D heading(double along) {
            double turned = radius == 0 ? angle : along / radius;
            return way.scalarMultiply(Math.cos(turned)).add(Math.sin(turned), inward);
        }
    }

    private final List<Stretch> stretches;

    private Centreline(List<Stretch> stretches) {
        this.stretches = List.copyOf(stretches);
    }

    /**
     * @param name of the run, as a reader knows it
     * @throws EnthalpaFault when it cannot be made so: two points in one place, a bend that is longer than its straights, one that turns all
     *                       the way back, a radius less than 0, too many corners
     */
    public static Centreline of(RunSpec spec, String name) {
        List<Vector3D> points = spec.points();
        List<RunSpec.Corner> corners = spec.corners();
        if (corners.size() > MOST_CORNERS) {
            throw EnthalpaFault.of(
                    FaultKind.CONTRADICTION,
                    "corners",
                    "number of corners of " + name,
                    Integer.toString(corners.size()),
                    MOST_CORNERS + " at most",
                    "Leave corners out that turn little.");
        }
        List<Vector3D> ways = ways(points, name);
        double[] tangent = new double[points.size()];
        double[] angle = new double[points.size()];
        for (int i = 1; i < points.size() - 1; i++) {
            angle[i] = angle(ways.get(i - 1), ways.get(i));
            tangent[i] = tangent(corners.get(i - 1), i - 1, angle[i], name);
        }
        List<Stretch> all = new ArrayList<>();
        for (int i = 1; i < points.size(); i++) {
            Vector3D way = ways.get(i - 1);
            double far = points.get(i).distance(points.get(i - 1));
            double left = far - tangent[i - 1] - tangent[i];
            if (left < -SAME) {
                throw tooLong(i, points.size(), tangent, angle, far, name);
            }
            if (left > SAME) {
                all.add(new Straight(points.get(i - 1).add(tangent[i - 1], way), way, left));
            }
            if (angle[i] > STRAIGHT_ON) {
                Vector3D next = ways.get(i);
                Vector3D inward =
                        next.subtract(way.scalarMultiply(next.dotProduct(way))).normalize();
                all.add(new Bend(
                        i - 1,
                        points.get(i).subtract(tangent[i], way),
                        way,
                        inward,
                        angle[i],
                        corners.get(i - 1).radius()));
            }
        }
        return new Centreline(all);
    }

    private static List<Vector3D> ways(List<Vector3D> points, String name) {
        List<Vector3D> ways = new ArrayList<>();
        for (int i = 1; i < points.size(); i++) {
            Vector3D way = points.get(i).subtract(points.get(i - 1));
            if (!(way.getNorm() > SAME)) {
                boolean last = i == points.size() - 1;
                throw EnthalpaFault.of(
                        FaultKind.CONTRADICTION,
                        last ? "to" : "corners/" + (i - 1),
                        (last ? "end" : "corner " + i) + " of " + name,
                        "where the point before it is",
                        "elsewhere",
                        "Move it or take it out.");
            }
            ways.add(way.normalize());
        }
        return ways;
    }

    /** Exact for small and for large ones. */
    static double angle(Vector3D a, Vector3D b) {
        return Math.atan2(a.crossProduct(b).getNorm(), a.dotProduct(b));
    }

    private static double tangent(RunSpec.Corner corner, int number, double angle, String name) {
        if (!(corner.radius() >= 0)) {
            throw EnthalpaFault.of(
                    FaultKind.OUT_OF_RANGE,
                    "corners/" + number + "/radius",
                    "radius of corner " + (number + 1) + " of " + name,
                    mm(corner.radius()),
                    "0 mm and what its straights have room for",
                    "");
        }
        if (angle > MOST) {
            throw EnthalpaFault.of(
                    FaultKind.CONTRADICTION,
                    "corners/" + number,
                    "turn at corner " + (number + 1) + " of " + name,
                    Math.round(Math.toDegrees(angle)) + "\u00b0",
                    "175\u00b0 at most",
                    "Make two corners of it.");
        }
        return corner.radius() * Math.tan(angle / 2);
    }

    /** The bends at both ends of a straight need more of it than there is: the one that needs more is told how much less would do. */
    private static EnthalpaFault tooLong(
            int end, int points, double[] tangent, double[] angle, double far, String name) {
        boolean first = end == points - 1 || tangent[end - 1] > tangent[end];
        int point = first ? end - 1 : end;
        double other = tangent[end - 1] + tangent[end] - tangent[point];
        double most = Math.max(0, far - other) / Math.tan(angle[point] / 2);
        return EnthalpaFault.of(
                FaultKind.CONTRADICTION,
                "corners/" + (point - 1) + "/radius",
                "radius of corner " + point + " of " + name,
                mm(tangent[point] / Math.tan(angle[point] / 2)),
                mm(Math.floor(most * 1e4) / 1e4) + " at most, for the straight there is only " + mm(far) + " long",
                "Move the corner farther off, or take a tighter bend.");
    }

    private static String mm(double m) {
        return Math.rint(m * 1e4) / 10 + " mm";
    }

    /** @return straights and bends in the order of the flow; a straight of no length is none */
    public List<Stretch> stretches() {
        return stretches;
    }

    public List<Bend> bends() {
        return stretches.stream()
                .filter(Bend.class::isInstance)
                .map(Bend.class::cast)
                .toList();
    }

    /** @return m of straight pipe */
    public double straight() {
        return stretches.stream()
                .filter(Straight.class::isInstance)
                .mapToDouble(Stretch::length)
                .sum();
    }

    /** @return m from end to end */
    public double length() {
        return stretches.stream().mapToDouble(Stretch::length).sum();
    }

    /** @return m up from the datum, of the highest place of its middle line */
    public double highest() {
        double most = Double.NEGATIVE_INFINITY;
        for (Stretch s : stretches) {
            most = Math.max(most, Math.max(s.at(0).getZ(), s.at(s.length()).getZ()));
            if (s instanceof Bend b) {
                // Highest where R (sin t way + (1 - cos t) inward) is.
                double top = Math.atan2(b.way.getZ(), -b.inward.getZ());
                most = top > 0 && top < b.angle ? Math.max(most, b.on(top).getZ()) : most;
            }
        }
        return most;
    }

    /** @param along m from its beginning, held between its ends */
    public Vector3D at(double along) {
        return on(along, Stretch::at);
    }

    /** @param along m from its beginning, held between its ends @return unit vector, the way of the flow */
    public Vector3D heading(double along) {
        return on(along, Stretch::heading);
    }

    /** @param clock rad from straight up, clockwise in the way of the flow; where it goes upright, from the rear @return unit vector out of its side */
    public Vector3D side(double along, double clock) {
        Vector3D way = heading(along);
        return new Rotation(way, clock, RotationConvention.VECTOR_OPERATOR).applyTo(TurnList.begin(way));
    }

    private Vector3D on(double along, BiFunction<Stretch, Double, Vector3D> what) {
        double left = Math.max(0, along);
        for (Stretch s : stretches) {
            if (left <= s.length()) {
                return what.apply(s, left);
            }
            left -= s.length();
        }
        Stretch last = stretches.get(stretches.size() - 1);
        return what.apply(last, last.length());
    }

    /** @return as a body: flat at its ends; an arc as chords that stray 0.005 mm from it at most */
    public Solid solid(String element, double outside) {
        return solid(element, outside, STRAY);
    }

    /** @param stray m, of the chords of an arc from it */
    public Solid solid(String element, double outside, double stray) {
        return solid(element, outside, stray, (from, to) -> List.of(Frustum.cylinder(at(from), at(to), outside / 2)));
    }

    /** What stands on a straight. */
    public interface Along {
        /** @param from m along the middle line @param to m along it */
        List<Convex> straight(double from, double to);
    }

    /** @param along what its straights are, where they are not round all along */
    public Solid solid(String element, double outside, double stray, Along along) {
        List<Convex> parts = new ArrayList<>();
        double from = 0;
        for (Stretch s : stretches) {
            if (s instanceof Bend bend) {
                chords(bend, outside / 2, stray, parts);
            } else {
                parts.addAll(along.straight(from, from + s.length()));
            }
            from += s.length();
        }
        return Solid.of(element, parts.toArray(Convex[]::new));
    }

    private static void chords(Bend bend, double radius, double stray, List<Convex> parts) {
        if (bend.radius == 0) {
            parts.add(Hull.ball(bend.from, radius));
            return;
        }
        // A chord strays R (1 - cos(half its angle)), about R half^2 / 2.
        double most = 2 * Math.sqrt(2 * stray / bend.radius);
        int count = Math.max(1, (int) Math.ceil(bend.angle / most));
        for (int i = 0; i < count; i++) {
            parts.add(Hull.rod(bend.on(bend.angle * i / count), bend.on(bend.angle * (i + 1) / count), radius));
        }
    }
}
