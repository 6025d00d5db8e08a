package io.enthalpa.core.space;

import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import java.util.List;
import org.hipparchus.geometry.euclidean.threed.Rotation;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * The movement that brings three points of a thing to three places measured for them: the first onto its place, the second onto the line to its
 * place, the third into the plane of all three. A thing does not stretch, so that the other two end beside their places by as much as the tape,
 * the file or its unit is wrong.
 *
 * @param movement of the room
 * @param off      m, that each point ends from its place
 */
public record ThreePoints(Pose movement, List<Double> off) {
    /** m: nearer to one another nothing is told by them. */
    private static final double APART = 5e-3;
    /** Of the angle at the first point. */
    private static final double SINE = 0.02;

    /**
     * @param on three points of the thing where it is, m
     * @param at where they belong, m
     * @throws EnthalpaFault when three of them lie on one line or on one another
     */
    public static ThreePoints of(List<Vector3D> on, List<Vector3D> at) {
        check("points on it", "/on", on);
        check("places measured", "/at", at);
        Rotation turn = new Rotation(side(on, 1), side(on, 2), side(at, 1), side(at, 2));
        Pose movement = new Pose(at.get(0).subtract(turn.applyTo(on.get(0))), turn);
        return new ThreePoints(
                movement,
                List.of(
                        movement.toRoom(on.get(0)).distance(at.get(0)),
                        movement.toRoom(on.get(1)).distance(at.get(1)),
                        movement.toRoom(on.get(2)).distance(at.get(2))));
    }

    private static Vector3D side(List<Vector3D> three, int to) {
        return three.get(to).subtract(three.get(0));
    }

    private static void check(String label, String field, List<Vector3D> three) {
        Vector3D a = side(three, 1);
        Vector3D b = side(three, 2);
        double area = a.crossProduct(b).getNorm();
        if (!(a.getNorm() >= APART && b.getNorm() >= APART && area >= SINE * a.getNorm() * b.getNorm())) {
            throw EnthalpaFault.of(
                    FaultKind.CONTRADICTION,
                    field,
                    label,
                    "three on one line or on one another",
                    "far apart and not on a line",
                    "Choose corners that lie round the thing.");
        }
    }
}
