package io.enthalpa.core.space;

import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * The convex hull of two discs that face one another: cylinder, cone, and a cone cut off.
 *
 * @param from   m, middle of one end
 * @param radius m, there
 * @param to     m, middle of the other
 * @param other  m, radius there
 */
public record Frustum(Vector3D from, double radius, Vector3D to, double other) implements Convex {
    /** Part of a direction across the axis that is no more than rounding; with it left out a reach is short by so much of a radius. */
    static final double ALONG = 1e-10;

    public static Frustum cylinder(Vector3D from, Vector3D to, double radius) {
        return new Frustum(from, radius, to, radius);
    }

    private Vector3D axis() {
        Vector3D along = to.subtract(from);
        double length = along.getNorm();
        return length == 0 ? Vector3D.PLUS_K : along.scalarMultiply(1 / length);
    }

    @Override
    public void support(double x, double y, double z, double[] point) {
        double ax = to.getX() - from.getX();
        double ay = to.getY() - from.getY();
        double az = to.getZ() - from.getZ();
        double length = Math.sqrt(ax * ax + ay * ay + az * az);
        double alongLength = x * ax + y * ay + z * az;
        double share = length == 0 ? 0 : alongLength / (length * length);
        double px = x - share * ax;
        double py = y - share * ay;
        double pz = z - share * az;
        double out = Math.sqrt(px * px + py * py + pz * pz);
        // The end that reaches farther: radius and length count both.
        boolean far = alongLength + (other - radius) * out > 0;
        Vector3D end = far ? to : from;
        // Along the axis what is left across it is rounding: the whole end is as far, its middle serves.
        double r = out < ALONG * Math.sqrt(x * x + y * y + z * z) ? 0 : (far ? other : radius) / out;
        point[0] = end.getX() + r * px;
        point[1] = end.getY() + r * py;
        point[2] = end.getZ() + r * pz;
    }

    @Override
    public double rounding() {
        return 0;
    }

    @Override
    public Bounds bounds() {
        Vector3D a = axis();
        return disc(from, radius, a).with(disc(to, other, a));
    }

    /** A disc of radius r square to a unit vector a reaches r sqrt(1 - a_x^2) along x. */
    static Bounds disc(Vector3D m, double r, Vector3D a) {
        double x = r * Math.sqrt(Math.max(0, 1 - a.getX() * a.getX()));
        double y = r * Math.sqrt(Math.max(0, 1 - a.getY() * a.getY()));
        double z = r * Math.sqrt(Math.max(0, 1 - a.getZ() * a.getZ()));
        return new Bounds(m.getX() - x, m.getY() - y, m.getZ() - z, m.getX() + x, m.getY() + y, m.getZ() + z);
    }

    @Override
    public Frustum moved(Pose movement) {
        return new Frustum(movement.toRoom(from), radius, movement.toRoom(to), other);
    }
}
