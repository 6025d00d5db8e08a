package io.enthalpa.core.space;

import java.util.ArrayList;
import java.util.List;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/** The convex hull of some points, with a rounding: box, prism, triangle, ball, rod with round ends. */
public final class Hull implements Convex {
    private final double[] points;
    private final double rounding;
    private final Bounds bounds;

    private Hull(double[] points, double rounding) {
        this.points = points;
        this.rounding = rounding;
        this.bounds = boundsOf(points).grown(rounding);
    }

    private static Bounds boundsOf(double[] points) {
        Bounds all = new Bounds(points[0], points[1], points[2], points[0], points[1], points[2]);
        for (int i = 3; i < points.length; i += 3) {
            all = all.with(
                    new Bounds(points[i], points[i + 1], points[i + 2], points[i], points[i + 1], points[i + 2]));
        }
        return all;
    }

    /** @param rounding m, of the ball rolled over it */
    public static Hull of(List<Vector3D> points, double rounding) {
        double[] all = new double[3 * points.size()];
        for (int i = 0; i < points.size(); i++) {
            all[3 * i] = points.get(i).getX();
            all[3 * i + 1] = points.get(i).getY();
            all[3 * i + 2] = points.get(i).getZ();
        }
        return new Hull(all, rounding);
    }

    /** @return the points it is round, m */
    List<Vector3D> corners() {
        List<Vector3D> all = new ArrayList<>();
        for (int i = 0; i < points.length; i += 3) {
            all.add(new Vector3D(points[i], points[i + 1], points[i + 2]));
        }
        return all;
    }

    /** A box in its own axes, its middle at the pose. */
    public static Hull box(Pose pose, double back, double right, double up) {
        double[] all = new double[24];
        for (int i = 0; i < 8; i++) {
            Vector3D p = pose.toRoom(new Vector3D(
                    ((i & 1) == 0 ? -0.5 : 0.5) * back,
                    ((i & 2) == 0 ? -0.5 : 0.5) * right,
                    ((i & 4) == 0 ? -0.5 : 0.5) * up));
            all[3 * i] = p.getX();
            all[3 * i + 1] = p.getY();
            all[3 * i + 2] = p.getZ();
        }
        return new Hull(all, 0);
    }

    public static Hull ball(Vector3D middle, double radius) {
        return of(List.of(middle), radius);
    }

    /** A rod with round ends, its middle line from one point to another. */
    public static Hull rod(Vector3D from, Vector3D to, double radius) {
        return of(List.of(from, to), radius);
    }

    /** @param corners nine numbers, m */
    static Hull triangle(double[] corners) {
        return new Hull(corners, 0);
    }

    @Override
    public void support(double x, double y, double z, double[] point) {
        int best = 0;
        double most = Double.NEGATIVE_INFINITY;
        for (int i = 0; i < points.length; i += 3) {
            double along = x * points[i] + y * points[i + 1] + z * points[i + 2];
            if (along > most) {
                most = along;
                best = i;
            }
        }
        point[0] = points[best];
        point[1] = points[best + 1];
        point[2] = points[best + 2];
    }

    @Override
    public double rounding() {
        return rounding;
    }

    @Override
    public Bounds bounds() {
        return bounds;
    }

    @Override
    public Hull moved(Pose movement) {
        double[] all = new double[points.length];
        for (int i = 0; i < points.length; i += 3) {
            Vector3D p = movement.toRoom(new Vector3D(points[i], points[i + 1], points[i + 2]));
            all[i] = p.getX();
            all[i + 1] = p.getY();
            all[i + 2] = p.getZ();
        }
        return new Hull(all, rounding);
    }
}
