package io.enthalpa.core.space;

import io.enthalpa.core.space.Difference.Vertex;

/** One to four points of a {@link Difference} and the point of their hull that is nearest to the origin. */
final class Simplex {
    final Vertex[] vertex = new Vertex[4];
    final double[] share = new double[4];
    final double[] nearest = new double[3];
    int size;

    void add(Vertex v) {
        vertex[size++] = v;
    }

    boolean has(Vertex v) {
        for (int i = 0; i < size; i++) {
            double[] p = vertex[i].p;
            if (p[0] == v.p[0] && p[1] == v.p[1] && p[2] == v.p[2]) {
                return true;
            }
        }
        return false;
    }

    /** Drops what the nearest point does not need. @return false when the origin lies inside */
    boolean reduce() {
        boolean outside = true;
        switch (size) {
            case 1 -> share[0] = 1;
            case 2 -> keep(line(0, 1));
            case 3 -> keep(triangle(0, 1, 2));
            default -> outside = tetrahedron();
        }
        if (outside) {
            for (int k = 0; k < 3; k++) {
                nearest[k] = 0;
                for (int i = 0; i < size; i++) {
                    nearest[k] += share[i] * vertex[i].p[k];
                }
            }
        }
        return outside;
    }

    /** The nearest point's shares of all four vertices, 0 where it does not need one. */
    private void keep(double[] shares) {
        int n = 0;
        for (int i = 0; i < size; i++) {
            if (shares[i] > 0) {
                vertex[n] = vertex[i];
                share[n++] = shares[i];
            }
        }
        size = n;
    }

    private double[] line(int i, int j) {
        double[] a = vertex[i].p;
        double[] b = vertex[j].p;
        double[] ab = minus(b, a);
        double length = dot(ab, ab);
        double t = length == 0 ? 0 : Math.min(1, Math.max(0, -dot(a, ab) / length));
        double[] shares = new double[4];
        shares[i] = 1 - t;
        shares[j] = t;
        return shares;
    }

    /** Ericson, Real-Time Collision Detection (2005), section 5.1.5: by the regions of corners, edges and face; from memory. */
    private double[] triangle(int i, int j, int k) {
        double[] a = vertex[i].p;
        double[] b = vertex[j].p;
        double[] c = vertex[k].p;
        double[] ab = minus(b, a);
        double[] ac = minus(c, a);
        double d1 = -dot(ab, a);
        double d2 = -dot(ac, a);
        double d3 = -dot(ab, b);
        double d4 = -dot(ac, b);
        double d5 = -dot(ab, c);
        double d6 = -dot(ac, c);
        double va = d3 * d6 - d5 * d4;
        double vb = d5 * d2 - d1 * d6;
        double vc = d1 * d4 - d3 * d2;
        double all = va + vb + vc;
        if (va > 0 && vb > 0 && vc > 0 && all > 0) {
            double[] shares = new double[4];
            shares[i] = va / all;
            shares[j] = vb / all;
            shares[k] = vc / all;
            return shares;
        }
        double[] best = line(i, j);
        for (double[] edge : new double[][] {line(j, k), line(k, i)}) {
            best = distance(edge) < distance(best) ? edge : best;
        }
        return best;
    }

    private double distance(double[] shares) {
        double square = 0;
        for (int k = 0; k < 3; k++) {
            double at = 0;
            for (int i = 0; i < size; i++) {
                at += shares[i] == 0 ? 0 : shares[i] * vertex[i].p[k];
            }
            square += at * at;
        }
        return square;
    }

    private boolean tetrahedron() {
        double[] best = null;
        for (int out = 0; out < 4; out++) {
            int i = (out + 1) % 4;
            int j = (out + 2) % 4;
            int k = (out + 3) % 4;
            if (isBeyond(i, j, k, out)) {
                double[] face = triangle(i, j, k);
                best = best == null || distance(face) < distance(best) ? face : best;
            }
        }
        if (best == null) {
            return false;
        }
        keep(best);
        return true;
    }

    /** @return whether the origin and the fourth vertex lie on different sides of a face, or the four in one plane */
    private boolean isBeyond(int i, int j, int k, int fourth) {
        double[] a = vertex[i].p;
        double[] n = cross(minus(vertex[j].p, a), minus(vertex[k].p, a));
        double origin = -dot(n, a);
        double other = dot(n, minus(vertex[fourth].p, a));
        return origin * other <= 0;
    }

    static double[] minus(double[] a, double[] b) {
        return new double[] {a[0] - b[0], a[1] - b[1], a[2] - b[2]};
    }

    static double dot(double[] a, double[] b) {
        return a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
    }

    static double[] cross(double[] a, double[] b) {
        return new double[] {a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]};
    }
}
