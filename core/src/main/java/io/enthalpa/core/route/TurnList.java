package io.enthalpa.core.route;

import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import java.util.ArrayList;
import java.util.List;
import org.hipparchus.geometry.euclidean.threed.Rotation;
import org.hipparchus.geometry.euclidean.threed.RotationConvention;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * A pipe as it is cut and put together: so long straight on, turned so far about itself, bent by so much. The same line as {@link RunSpec}
 * tells by its corners.
 *
 * @param from    m, where it begins
 * @param heading unit vector in which it begins
 * @param steps   one for each corner
 * @param last    m of straight after the last bend
 */
public record TurnList(Vector3D from, Vector3D heading, List<Step> steps, double last) {
    public static final Method METHOD = Method.of(
                    "turns",
                    "Lengths, turns and angles of a pipe",
                    "The turn of a bend is the angle from the bend before it, seen along the pipe in the way of the flow, clockwise: 0 goes on in the same plane "
                            + "and the same way, 180 is an S. The first counts from straight up; where the pipe begins upright, from the rear.")
            .formula("the corner lies length + R tan(a/2) on from the end of the bend before")
            .source(Citation.commonPractice("bends are set up by length, turn and angle"))
            .leavesOut("The bend all the way back: two of a right angle without a straight between them.");

    /**
     * @param length m of straight before the bend
     * @param turn   rad, clockwise seen along the way of the flow, from the plane of the bend before
     * @param angle  rad
     * @param radius m
     */
    public record Step(double length, double turn, double angle, double radius) {}

    public TurnList {
        steps = List.copyOf(steps);
    }

    /** Where a bend with no turn goes, at the beginning: upwards, or rearwards where the pipe itself goes up or down. */
    static Vector3D begin(Vector3D heading) {
        Vector3D up = across(Vector3D.PLUS_K, heading);
        return (up.getNorm() > 1e-6 ? up : across(Vector3D.PLUS_I, heading)).normalize();
    }

    private static Vector3D across(Vector3D v, Vector3D heading) {
        return v.subtract(v.dotProduct(heading), heading);
    }

    /** @param name of the run @return as it is told by its corners */
    public static TurnList of(RunSpec spec, String name) {
        List<Centreline.Stretch> stretches = Centreline.of(spec, name).stretches();
        List<Vector3D> points = spec.points();
        Vector3D way = points.get(1).subtract(points.get(0)).normalize();
        Vector3D inward = begin(way);
        List<Step> steps = new ArrayList<>();
        double behind = 0;
        for (int i = 0; i < spec.corners().size(); i++) {
            double radius = spec.corners().get(i).radius();
            double far = points.get(i + 1).distance(points.get(i));
            int corner = i;
            Centreline.Bend bend = stretches.stream()
                    .filter(s -> s instanceof Centreline.Bend b && b.corner() == corner)
                    .map(Centreline.Bend.class::cast)
                    .findFirst()
                    .orElse(null);
            if (bend == null) {
                steps.add(new Step(far - behind, 0, 0, radius));
                behind = 0;
                continue;
            }
            double tangent = radius * Math.tan(bend.angle() / 2);
            double turn =
                    Math.atan2(inward.crossProduct(bend.inward()).dotProduct(way), inward.dotProduct(bend.inward()));
            steps.add(new Step(far - behind - tangent, turn, bend.angle(), radius));
            behind = tangent;
            inward = inwardAfter(bend.way(), bend.inward(), bend.angle());
            way = bend.heading(bend.length());
        }
        int n = points.size();
        return new TurnList(
                points.get(0),
                points.get(1).subtract(points.get(0)).normalize(),
                steps,
                points.get(n - 1).distance(points.get(n - 2)) - behind);
    }

    private static Vector3D inwardAfter(Vector3D way, Vector3D inward, double angle) {
        return inward.scalarMultiply(Math.cos(angle)).subtract(Math.sin(angle), way);
    }

    /** @return as corners */
    public RunSpec run() {
        Vector3D at = from;
        Vector3D way = heading;
        Vector3D inward = begin(heading);
        List<RunSpec.Corner> corners = new ArrayList<>();
        for (Step s : steps) {
            double tangent = s.radius * Math.tan(s.angle / 2);
            Vector3D corner = at.add(s.length + tangent, way);
            corners.add(new RunSpec.Corner(corner, s.radius));
            Vector3D in = new Rotation(way, s.turn, RotationConvention.VECTOR_OPERATOR).applyTo(inward);
            inward = inwardAfter(way, in, s.angle);
            way = way.scalarMultiply(Math.cos(s.angle)).add(Math.sin(s.angle), in);
            at = corner.add(tangent, way);
        }
        return new RunSpec(from, corners, at.add(last, way));
    }
}
