package io.enthalpa.core.space;

import org.hipparchus.geometry.euclidean.threed.Rotation;
import org.hipparchus.geometry.euclidean.threed.RotationConvention;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * Where a body stands in the room.
 *
 * @param at   m, of its own origin
 * @param turn from its own axes to the room's
 */
public record Pose(Vector3D at, Rotation turn) {
    public static final Pose ORIGIN = new Pose(Vector3D.ZERO, Rotation.IDENTITY);

    /**
     * By turns as one makes them with the body in the hands: first leaned to its right about the rearward axis, then tipped rearwards
     * about the axis to the right, then turned to its right about the axis upwards.
     *
     * @param turned rad, clockwise seen from above
     * @param tipped rad, its top rearwards
     * @param leaned rad, its top to the right
     */
    public static Pose of(Vector3D at, double turned, double tipped, double leaned) {
        return new Pose(
                at,
                about(Vector3D.PLUS_K, -turned)
                        .applyTo(about(Vector3D.PLUS_J, tipped))
                        .applyTo(about(Vector3D.PLUS_I, -leaned)));
    }

    /** @return rad, turned, tipped and leaned as {@link #of} takes them; of the many ways to say it the one that tips by a right angle at most */
    public double[] turns() {
        Vector3D back = turn.applyTo(Vector3D.PLUS_I);
        Vector3D right = turn.applyTo(Vector3D.PLUS_J);
        Vector3D up = turn.applyTo(Vector3D.PLUS_K);
        double tipped = Math.asin(Math.max(-1, Math.min(1, -back.getZ())));
        if (Math.hypot(back.getX(), back.getY()) < 1e-9) {
            // Tipped by a right angle, turning and leaning are about one axis: all of it is told as turning.
            return new double[] {Math.atan2(right.getX(), right.getY()), tipped, 0};
        }
        return new double[] {Math.atan2(-back.getY(), back.getX()), tipped, Math.atan2(-right.getZ(), up.getZ())};
    }

    public static Pose at(double back, double right, double up) {
        return new Pose(new Vector3D(back, right, up), Rotation.IDENTITY);
    }

    /** @return the rotation about an axis through the origin, by the right hand, rad */
    static Rotation about(Vector3D axis, double angle) {
        return new Rotation(axis, angle, RotationConvention.VECTOR_OPERATOR);
    }

    /** @return the movement that turns the room about an axis through a point, by the right hand, rad */
    public static Pose turningAbout(Vector3D point, Vector3D axis, double angle) {
        Rotation turn = about(axis, angle);
        return new Pose(point.subtract(turn.applyTo(point)), turn);
    }

    /** @param own a point in the body's axes @return in the room */
    public Vector3D toRoom(Vector3D own) {
        return at.add(turn.applyTo(own));
    }

    /** @param room a point in the room @return in the body's axes */
    public Vector3D toOwn(Vector3D room) {
        return turn.applyInverseTo(room.subtract(at));
    }

    /** @return the movement that undoes this one */
    public Pose inverse() {
        Rotation back = new Rotation(turn.getQ0(), turn.getQ1(), turn.getQ2(), turn.getQ3(), false).revert();
        return new Pose(back.applyTo(at).negate(), back);
    }

    /** @param within where the room of this pose stands itself @return this pose there */
    public Pose in(Pose within) {
        return new Pose(within.toRoom(at), within.turn.applyTo(turn));
    }
}
