package io.enthalpa.core.mount;

import io.enthalpa.core.room.Mount;
import io.enthalpa.core.space.Pose;
import java.util.ArrayList;
import java.util.List;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.EigenDecompositionSymmetric;
import org.hipparchus.linear.RealMatrix;

/**
 * A stiff body on points that give each in its own three ways: how it comes to rest under a load, and the slowest way in which it swings. Turns
 * are counted in metres at an arm of {@link #ARM}, so that one number tells small from large.
 */
final class Springs {
    /** m */
    private static final double ARM = 0.25;
    /** Of the stiffest way: what gives a million times more is not held at all. */
    private static final double FREE = 1e-8;
    /** N/m of a bolt through a lug, and the most of anything: far more than any strap or bobbin, and no matter how much. */
    static final double STIFF = 2e7;

    /** @param at m from the middle of mass @param ways unit vectors square to one another @param stiff N/m along each */
    record Point(Vector3D at, List<Vector3D> ways, double[] stiff) {}

    private final List<Point> points;
    private final RealMatrix stiffness;
    private final EigenDecompositionSymmetric ways;

    Springs(List<Point> points) {
        this.points = points;
        this.stiffness = new Array2DRowRealMatrix(6, 6);
        for (Point point : points) {
            for (int k = 0; k < 3; k++) {
                double[] row = row(point, k);
                for (int i = 0; i < 6; i++) {
                    for (int j = 0; j < 6; j++) {
                        stiffness.addToEntry(i, j, point.stiff[k] * row[i] * row[j]);
                    }
                }
            }
        }
        this.ways = decomposed(stiffness);
    }

    /** Sums in another order leave dust between its halves, which the decomposition refuses. */
    private static EigenDecompositionSymmetric decomposed(RealMatrix matrix) {
        return new EigenDecompositionSymmetric(matrix.add(matrix.transpose()).scalarMultiply(0.5));
    }

    /** How far the point goes along one of its ways, for each of the body's six. */
    private static double[] row(Point point, int way) {
        Vector3D w = point.ways.get(way);
        Vector3D turn = point.at.crossProduct(w);
        return new double[] {
            w.getX(), w.getY(), w.getZ(), turn.getX() / ARM, turn.getY() / ARM, turn.getZ() / ARM,
        };
    }

    /** @return in how many of its six ways nothing holds it */
    int free() {
        double[] values = ways.getEigenvalues();
        int free = 0;
        for (double value : values) {
            free += value < FREE * values[0] ? 1 : 0;
        }
        return free;
    }

    /** @param force N at the middle of mass @return N that each point bears */
    List<Vector3D> borne(Vector3D force) {
        double[] load = {force.getX(), force.getY(), force.getZ(), 0, 0, 0};
        double[] values = ways.getEigenvalues();
        double[] moved = new double[6];
        for (int m = 0; m < 6; m++) {
            if (values[m] >= FREE * values[0]) {
                double[] way = ways.getEigenvector(m).toArray();
                double share = 0;
                for (int i = 0; i < 6; i++) {
                    share += way[i] * load[i];
                }
                for (int i = 0; i < 6; i++) {
                    moved[i] += share / values[m] * way[i];
                }
            }
        }
        List<Vector3D> borne = new ArrayList<>();
        for (Point point : points) {
            Vector3D all = Vector3D.ZERO;
            for (int k = 0; k < 3; k++) {
                double[] row = row(point, k);
                double along = 0;
                for (int i = 0; i < 6; i++) {
                    along += row[i] * moved[i];
                }
                all = all.add(point.stiff[k] * along, point.ways.get(k));
            }
            borne.add(all);
        }
        return borne;
    }

    /**
     * @param mass kg, spread evenly over a box
     * @param size m of the box along its own axes
     * @return Hz of the slowest way that it swings, what nothing holds left out
     */
    double slowest(double mass, Vector3D size, Pose pose) {
        double x = size.getX() * size.getX();
        double y = size.getY() * size.getY();
        double z = size.getZ() * size.getZ();
        double[] inertia = {mass / 12 * (y + z), mass / 12 * (x + z), mass / 12 * (x + y)};
        RealMatrix root = new Array2DRowRealMatrix(6, 6);
        List<Vector3D> own = List.of(
                pose.turn().applyTo(Vector3D.PLUS_I),
                pose.turn().applyTo(Vector3D.PLUS_J),
                pose.turn().applyTo(Vector3D.PLUS_K));
        for (int i = 0; i < 3; i++) {
            root.setEntry(i, i, 1 / Math.sqrt(mass));
            for (int j = 0; j < 3; j++) {
                for (int k = 0; k < 3; k++) {
                    root.addToEntry(
                            3 + i,
                            3 + j,
                            own.get(k).toArray()[i] * own.get(k).toArray()[j] * ARM / Math.sqrt(inertia[k]));
                }
            }
        }
        double[] squares = decomposed(root.multiply(stiffness).multiply(root)).getEigenvalues();
        double slowest = squares[0];
        for (double square : squares) {
            slowest = square >= FREE * squares[0] ? Math.min(slowest, square) : slowest;
        }
        return Math.sqrt(slowest) / (2 * Math.PI);
    }

    /** Three ways of a hold that goes from a bolt to a body. */
    static Point point(Mount.Hold hold, Vector3D at, Vector3D along, double length) {
        if (hold instanceof Mount.Bobbin b) {
            Vector3D axis = b.axis().way();
            Vector3D one = axis.orthogonal();
            return new Point(
                    at, List.of(axis, one, axis.crossProduct(one)), new double[] {b.axial(), b.shear(), b.shear()});
        }
        if (hold instanceof Mount.Strap s && length > 0) {
            return new Point(at, Beam.ways(s, along), new Beam(s, length).stiffness());
        }
        return new Point(
                at, List.of(Vector3D.PLUS_I, Vector3D.PLUS_J, Vector3D.PLUS_K), new double[] {STIFF, STIFF, STIFF});
    }
}
