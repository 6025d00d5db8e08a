package io.enthalpa.core.space;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Deque;
import java.util.List;

/**
 * The outlines of a surface of triangles seen along an axis of the room, for drawing: what it covers on a grid, gone round and smoothed. Of the
 * longer side's length they stray by less than half a percent. Gaps do not use it.
 */
final class Shadow {
    /** Cells along the longer side. */
    private static final int FINE = 320;
    /** Cells that an outline may stray from the cells' own corners. */
    private static final double SMOOTH = 0.75;
    /** Cells: an island smaller than that is not drawn. */
    private static final double LEAST = 3;

    private final double cell;
    private final double left;
    private final double low;
    private final int wide;
    private final int high;
    private final BitSet covered;

    private Shadow(Bounds2 box) {
        this.cell = Math.max(Math.max(box.right - box.left, box.top - box.low) / FINE, 1e-6);
        this.left = box.left - cell;
        this.low = box.low - cell;
        this.wide = (int) Math.ceil((box.right - box.left) / cell) + 3;
        this.high = (int) Math.ceil((box.top - box.low) / cell) + 3;
        this.covered = new BitSet(wide * high);
    }

    private record Bounds2(double left, double low, double right, double top) {}

    /**
     * @param across axis of the room that the outlines' first number is along: 0 back, 1 right, 2 up
     * @param second and its second
     * @return each outline's corners, m; what is left open within one is not told
     */
    static List<List<double[]>> of(Solid surface, int across, int second) {
        double[] from = surface.tree.bounds().least();
        double[] to = surface.tree.bounds().most();
        Shadow shadow = new Shadow(new Bounds2(from[across], from[second], to[across], to[second]));
        for (Convex part : surface.parts) {
            double[] corners = new double[6];
            int k = 0;
            for (var corner : ((Hull) part).corners()) {
                double[] p = corner.toArray();
                corners[k++] = (p[across] - shadow.left) / shadow.cell;
                corners[k++] = (p[second] - shadow.low) / shadow.cell;
            }
            shadow.cover(corners);
        }
        return shadow.outlines();
    }

    /** Every cell that a triangle touches, row by row; corners in cells. */
    private void cover(double[] c) {
        int bottom = (int) Math.floor(Math.min(c[1], Math.min(c[3], c[5])));
        int top = (int) Math.floor(Math.max(c[1], Math.max(c[3], c[5])));
        for (int row = bottom; row <= top; row++) {
            double least = Double.POSITIVE_INFINITY;
            double most = Double.NEGATIVE_INFINITY;
            for (int k = 0; k < 6; k += 2) {
                double x1 = c[k];
                double y1 = c[k + 1];
                double x2 = c[(k + 2) % 6];
                double y2 = c[(k + 3) % 6];
                double lower = Math.max(row, Math.min(y1, y2));
                double upper = Math.min(row + 1.0, Math.max(y1, y2));
                if (lower <= upper) {
                    double one = y1 == y2 ? x1 : x1 + (x2 - x1) * (lower - y1) / (y2 - y1);
                    double two = y1 == y2 ? x2 : x1 + (x2 - x1) * (upper - y1) / (y2 - y1);
                    least = Math.min(least, Math.min(one, two));
                    most = Math.max(most, Math.max(one, two));
                }
            }
            if (least <= most) {
                covered.set(row * wide + (int) Math.floor(least), row * wide + (int) Math.floor(most) + 1);
            }
        }
    }

    private boolean at(int x, int y) {
        return x >= 0 && y >= 0 && x < wide && y < high && covered.get(y * wide + x);
    }

    private List<List<double[]>> outlines() {
        List<List<double[]>> all = new ArrayList<>();
        BitSet known = new BitSet(wide * high);
        for (int y = 0; y < high; y++) {
            for (int x = 0; x < wide; x++) {
                if (at(x, y) && !known.get(y * wide + x)) {
                    int size = flood(x, y, known);
                    if (size >= LEAST || all.isEmpty()) {
                        all.add(round(x, y));
                    }
                }
            }
        }
        return all;
    }

    /** Marks an island, cells at a corner of one another belonging to it. @return how many cells it has */
    private int flood(int x, int y, BitSet known) {
        Deque<int[]> open = new ArrayDeque<>();
        open.add(new int[] {x, y});
        known.set(y * wide + x);
        int size = 0;
        while (!open.isEmpty()) {
            int[] p = open.remove();
            size++;
            for (int k = 0; k < 9; k++) {
                int i = p[0] + k % 3 - 1;
                int j = p[1] + k / 3 - 1;
                if (at(i, j) && !known.get(j * wide + i)) {
                    known.set(j * wide + i);
                    open.add(new int[] {i, j});
                }
            }
        }
        return size;
    }

    /** Round an island with it to the left, from the lower left corner of its lowest leftmost cell. */
    private List<double[]> round(int x0, int y0) {
        List<double[]> corners = new ArrayList<>();
        int x = x0;
        int y = y0;
        int dx = 1;
        int dy = 0;
        do {
            corners.add(new double[] {x, y});
            x += dx;
            y += dy;
            // The cells ahead, to the left and to the right of the way.
            boolean ahead = at(x + (dx - dy - 1) / 2, y + (dx + dy - 1) / 2);
            boolean right = at(x + (dx + dy - 1) / 2, y + (dy - dx - 1) / 2);
            if (right) {
                int turn = dx;
                dx = dy;
                dy = -turn;
            } else if (!ahead) {
                int turn = dx;
                dx = -dy;
                dy = turn;
            }
        } while (x != x0 || y != y0 || dx != 1 || dy != 0);
        return smooth(corners).stream()
                .map(p -> new double[] {left + p[0] * cell, low + p[1] * cell})
                .toList();
    }

    /** Without the corners that lie near the line between others: Douglas & Peucker (1973), from memory. */
    private static List<double[]> smooth(List<double[]> ring) {
        int far = 0;
        for (int i = 1; i < ring.size(); i++) {
            if (apart(ring.get(i), ring.get(0)) > apart(ring.get(far), ring.get(0))) {
                far = i;
            }
        }
        List<double[]> kept = new ArrayList<>();
        List<double[]> closed = new ArrayList<>(ring);
        closed.add(ring.get(0));
        keep(closed, 0, far, kept);
        keep(closed, far, closed.size() - 1, kept);
        return kept;
    }

    private static double apart(double[] a, double[] b) {
        return Math.hypot(a[0] - b[0], a[1] - b[1]);
    }

    private static void keep(List<double[]> all, int from, int to, List<double[]> kept) {
        double[] a = all.get(from);
        double[] b = all.get(to);
        double length = apart(a, b);
        int worst = -1;
        double most = SMOOTH;
        for (int i = from + 1; i < to; i++) {
            double[] p = all.get(i);
            double off = length == 0
                    ? apart(p, a)
                    : Math.abs((b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0])) / length;
            if (off > most) {
                most = off;
                worst = i;
            }
        }
        if (worst < 0) {
            kept.add(a);
        } else {
            keep(all, from, worst, kept);
            keep(all, worst, to, kept);
        }
    }
}
