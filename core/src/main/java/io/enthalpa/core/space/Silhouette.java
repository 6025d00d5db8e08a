package io.enthalpa.core.space;

import java.util.ArrayList;
import java.util.List;

/** The outline of a convex shape seen along an axis of the room, for drawing. */
public final class Silhouette {
    /** Directions looked at; a round outline strays from its polygon by less than a quarter of a percent of its radius. */
    private static final int DIRECTIONS = 48;

    private static final double SAME = 1e-7;

    private Silhouette() {}

    /**
     * @param across axis of the room that the outline's first number is along: 0 back, 1 right, 2 up
     * @param second and its second
     * @return its corners, m, anticlockwise where the first points right and the second up
     */
    public static List<double[]> of(Convex shape, int across, int second) {
        List<double[]> corners = new ArrayList<>();
        double[] p = new double[3];
        for (int i = 0; i < DIRECTIONS; i++) {
            double angle = 2 * Math.PI * (i + 0.5) / DIRECTIONS;
            double[] d = new double[3];
            d[across] = Math.cos(angle);
            d[second] = Math.sin(angle);
            shape.support(d[0], d[1], d[2], p);
            double[] corner = {p[across] + shape.rounding() * d[across], p[second] + shape.rounding() * d[second]};
            if (corners.isEmpty() || !near(corner, corners.get(corners.size() - 1))) {
                corners.add(corner);
            }
        }
        if (corners.size() > 1 && near(corners.get(0), corners.get(corners.size() - 1))) {
            corners.remove(corners.size() - 1);
        }
        return corners;
    }

    private static boolean near(double[] a, double[] b) {
        return Math.abs(a[0] - b[0]) < SAME && Math.abs(a[1] - b[1]) < SAME;
    }
}
