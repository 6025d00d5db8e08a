package io.enthalpa.core.space;

import java.util.ArrayList;
import java.util.List;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * How what hangs on a carrier may move: it rolls about an axis to both sides, and is shifted along the room's axes to both sides, all at
 * once.
 *
 * @param point  m, on the axis
 * @param axis   unit vector
 * @param roll   rad, to either side
 * @param travel m, to either side along back, right and up
 */
public record Motion(Vector3D point, Vector3D axis, double roll, Vector3D travel) {
    public static final Motion STILL = new Motion(Vector3D.ZERO, Vector3D.PLUS_I, 0, Vector3D.ZERO);

    /** @param share 0 to 1 @return so much of it */
    public Motion times(double share) {
        return new Motion(point, axis, share * roll, travel.scalarMultiply(share));
    }

    public boolean isStill() {
        return roll == 0 && travel.equals(Vector3D.ZERO);
    }

    /** @return the movement when it has rolled so far */
    Pose at(double angle) {
        return Pose.turningAbout(point, axis, angle);
    }

    /** @param share of the roll, -1 to 1 @return m that a place is shifted by rolling so far */
    public Vector3D shift(Vector3D place, double share) {
        return at(share * roll).toRoom(place).subtract(place);
    }

    /** @return half-ways along the room's axes */
    static double[][] travel(Motion a, Motion b) {
        List<double[]> lines = new ArrayList<>();
        double[] far = a.travel.add(b.travel).toArray();
        for (int i = 0; i < 3; i++) {
            if (far[i] != 0) {
                double[] line = new double[3];
                line[i] = far[i];
                lines.add(line);
            }
        }
        return lines.toArray(double[][]::new);
    }

    /**
     * @return the box that a box never leaves: each way by what turning moves it that way to the first order, by what an arc strays from its
     *     tangent, {@code r w^2 / 2}, and by the travel
     */
    public Bounds swept(Bounds box) {
        double[] far = roll == 0 ? new double[4] : box.turningAbout(point, axis);
        double strays = roll * roll / 2 * far[3];
        return box.grown(
                roll * far[0] + strays + Math.abs(travel.getX()),
                roll * far[1] + strays + Math.abs(travel.getY()),
                roll * far[2] + strays + Math.abs(travel.getZ()));
    }

    /** @return m, the farthest that any point of a box comes from where it was */
    public double most(Bounds box) {
        return roll * box.reachFrom(point, axis) + travel.getNorm();
    }
}
