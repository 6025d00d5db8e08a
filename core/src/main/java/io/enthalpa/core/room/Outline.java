package io.enthalpa.core.room;

import java.util.ArrayList;
import java.util.List;

/** A drawn outline cut into triangles, ears first: each ear is a corner whose triangle holds no other corner. */
final class Outline {
    private Outline() {}

    /** @return its area, m2, above 0 when its corners go anticlockwise */
    static double area(List<double[]> outline) {
        double twice = 0;
        for (int i = 0; i < outline.size(); i++) {
            double[] p = outline.get(i);
            double[] q = outline.get((i + 1) % outline.size());
            twice += p[0] * q[1] - q[0] * p[1];
        }
        return twice / 2;
    }

    /** @return whether no two of its sides cross */
    static boolean isSimple(List<double[]> outline) {
        int n = outline.size();
        for (int i = 0; i < n; i++) {
            for (int j = i + 2; j < n; j++) {
                boolean neighbours = i == 0 && j == n - 1;
                if (!neighbours
                        && cross(outline.get(i), outline.get(i + 1), outline.get(j), outline.get((j + 1) % n))) {
                    return false;
                }
            }
        }
        return true;
    }

    private static boolean cross(double[] a, double[] b, double[] c, double[] d) {
        return side(a, b, c) * side(a, b, d) <= 0 && side(c, d, a) * side(c, d, b) <= 0 && overlap(a, b, c, d);
    }

    /** Of two sides on one line the first test says nothing. */
    private static boolean overlap(double[] a, double[] b, double[] c, double[] d) {
        for (int i = 0; i < 2; i++) {
            if (Math.max(a[i], b[i]) < Math.min(c[i], d[i]) || Math.max(c[i], d[i]) < Math.min(a[i], b[i])) {
                return false;
            }
        }
        return true;
    }

    private static double side(double[] a, double[] b, double[] c) {
        return (b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]);
    }

    /** @param outline simple, either way round */
    static List<double[][]> convexPieces(List<double[]> outline) {
        List<double[]> left = new ArrayList<>(outline);
        if (area(left) < 0) {
            java.util.Collections.reverse(left);
        }
        List<double[][]> pieces = new ArrayList<>();
        while (left.size() > 3) {
            int ear = ear(left);
            int n = left.size();
            pieces.add(new double[][] {left.get((ear + n - 1) % n), left.get(ear), left.get((ear + 1) % n)});
            left.remove(ear);
        }
        pieces.add(left.toArray(double[][]::new));
        return pieces;
    }

    /** Every simple outline has two ears (Meisters 1975); where rounding hides them the first corner serves. */
    private static int ear(List<double[]> left) {
        int n = left.size();
        for (int i = 0; i < n; i++) {
            double[] a = left.get((i + n - 1) % n);
            double[] b = left.get(i);
            double[] c = left.get((i + 1) % n);
            if (side(a, b, c) >= 0 && holdsNone(left, a, b, c)) {
                return i;
            }
        }
        return 0;
    }

    private static boolean holdsNone(List<double[]> left, double[] a, double[] b, double[] c) {
        for (double[] p : left) {
            boolean corner = p == a || p == b || p == c;
            if (!corner && side(a, b, p) > 0 && side(b, c, p) > 0 && side(c, a, p) > 0) {
                return false;
            }
        }
        return true;
    }
}
