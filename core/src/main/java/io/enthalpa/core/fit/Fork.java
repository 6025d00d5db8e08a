package io.enthalpa.core.fit;

import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.chargepath.Pieces;
import io.enthalpa.core.place.Spot;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import io.enthalpa.core.space.Frustum;
import io.enthalpa.core.space.Solid;
import java.util.List;
import java.util.Optional;
import org.hipparchus.geometry.euclidean.threed.Rotation;
import org.hipparchus.geometry.euclidean.threed.RotationConvention;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * One arm of the Y by which two legs come off one port, or onto it.
 *
 * @param root m, where both begin
 * @param at   m, where this leg does
 */
public record Fork(Vector3D root, Vector3D at) {
    public static final Method METHOD = Method.of(
                    "fork",
                    "Two legs on one port",
                    "Both begin at the port and part by the angle of the pair to either side, level, the first to the left as one sits, and at the other end so that the two need not cross, until there are 8 mm between them; "
                            + "there both look straight on. The arms keep their gaps as the legs do.")
            .formula("off = (D + 8 mm) / 2, long = off / tan(angle)")
            .source(Citation.commonPractice("a Y of two bends or of two cones, its arms as thick as the legs"))
            .leavesOut("The crotch of the Y itself, which is no wider than its arms.");
    /** m between two tubes side by side; common practice, no source. */
    public static final double BETWEEN = 8e-3;
    /** A port that looks up or down as nearly has no side that is level. */
    private static final double LEVEL = 1e-3;
    /** rad: arms that part by less would be longer than any, by more they are bent. */
    private static final double LEAST = Math.toRadians(10);

    private static final double MOST = Math.toRadians(45);
    private static final String ARM = "Y";

    /** @param out unit vector out of the port @return level and square to it, to the left as one sits; along a pipe that goes across, to the front */
    public static Vector3D left(Vector3D out) {
        Vector3D side = out.crossProduct(Vector3D.PLUS_K);
        if (side.getNorm() < LEVEL) {
            return Vector3D.MINUS_J;
        }
        Vector3D level = side.normalize();
        boolean across = Math.abs(level.getY()) < LEVEL;
        return (across ? level.getX() : level.getY()) > 0 ? level.negate() : level;
    }

    /**
     * Two tubes side by side that are bent round together do not cross: what is left of the flow stays left of it.
     *
     * @param flow    unit vector in which it begins
     * @param left    of it the first leg
     * @param then    unit vector in which it ends
     * @param towards where it ends from where it begins
     * @return which of both sides of its end the first leg is on
     */
    static Vector3D carried(Vector3D flow, Vector3D left, Vector3D then, Vector3D towards) {
        Vector3D side = left(then);
        Vector3D axis = flow.crossProduct(then);
        if (axis.getNorm() < LEAST && flow.dotProduct(then) < 0) {
            // All the way back: about what is square to both.
            axis = flow.crossProduct(towards);
        }
        Vector3D on = axis.getNorm() < LEVEL
                ? left
                : new Rotation(axis, Vector3D.angle(flow, then), RotationConvention.VECTOR_OPERATOR).applyTo(left);
        return on.dotProduct(side) < -LEVEL ? side.negate() : side;
    }

    /**
     * @param out   unit vector out of the port
     * @param left  on which side of it the first leg is
     * @param leg   0 or 1
     */
    static Fork of(Vector3D root, Vector3D out, Vector3D left, int leg, double outside, double angle) {
        double off = (outside + BETWEEN) / 2;
        double along = off / Math.tan(Math.max(LEAST, Math.min(MOST, angle)));
        return new Fork(root, root.add(along, out).add(leg == 0 ? off : -off, left));
    }

    /** @return rad by which the pair parts, or comes together, that a leg is of; empty of what is in none */
    static Optional<Double> angle(List<PathElement> path, Spot spot, boolean start) {
        return spot.row()
                .leg()
                .flatMap(leg -> Pieces.at(Spot.of(leg.pair()), path))
                .filter(PathElement.Parallel.class::isInstance)
                .map(PathElement.Parallel.class::cast)
                .map(pair -> start ? pair.splitAngle() : pair.mergeAngle());
    }

    Solid.Part arm(double outside) {
        return new Solid.Part(ARM, Frustum.cylinder(root, at, outside / 2));
    }

    /** @return the body of a leg without its arms */
    static Body without(Body leg) {
        return leg.of(leg.solid().parts().stream()
                .filter(p -> !p.element().equals(ARM))
                .toList());
    }
}
