package io.enthalpa.core.space;

/**
 * All points of one convex shape less all points of another, the first shifted along some lines as far as it may travel: it holds the
 * origin where the two touch, and its distance from the origin is theirs. Known by its support function.
 */
final class Difference {
    private final Convex a;
    private final Convex b;
    private final double[][] travel;

    /** @param travel half-ways, m, each a line that the first may be shifted along to either side */
    Difference(Convex a, Convex b, double[][] travel) {
        this.a = a;
        this.b = b;
        this.travel = travel;
    }

    double rounding() {
        return a.rounding() + b.rounding();
    }

    double roundingOfA() {
        return a.rounding();
    }

    double roundingOfB() {
        return b.rounding();
    }

    /** The farthest point in a direction. */
    Vertex support(double x, double y, double z) {
        Vertex v = new Vertex();
        a.support(x, y, z, v.onA);
        for (double[] line : travel) {
            double side = Math.signum(x * line[0] + y * line[1] + z * line[2]);
            for (int i = 0; i < 3; i++) {
                v.onA[i] += side * line[i];
            }
        }
        b.support(-x, -y, -z, v.onB);
        for (int i = 0; i < 3; i++) {
            v.p[i] = v.onA[i] - v.onB[i];
        }
        return v;
    }

    /** A point of the difference and the two points it came from. */
    static final class Vertex {
        final double[] p = new double[3];
        final double[] onA = new double[3];
        final double[] onB = new double[3];

        double along(double x, double y, double z) {
            return p[0] * x + p[1] * y + p[2] * z;
        }
    }
}
