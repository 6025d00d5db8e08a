package io.enthalpa.core.space;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * The surface of a convex shape as triangles, for drawing and for files. Flat shapes are told exactly; round ones by a hull inside them, whose
 * edges lie no deeper than half a percent of the radius. Gaps do not use it.
 *
 * @param points    m
 * @param triangles three numbers of points each, anticlockwise seen from outside
 */
public record Facets(List<Vector3D> points, List<int[]> triangles) {
    /** Corners of a round end. */
    private static final int ROUND = 32;
    /** Bands from pole to pole of a ball. */
    private static final int BANDS = 16;
    /** Of the shape's span: nearer to a plane counts as on it. */
    private static final double FLAT = 1e-9;

    /** @return of a surface its triangles as one, of anything else each convex part */
    public static List<Facets> of(Solid solid) {
        if (!solid.isSurface()) {
            return solid.parts().stream().map(p -> of(p.convex())).toList();
        }
        Map<Vector3D, Integer> points = new LinkedHashMap<>();
        List<int[]> triangles = new ArrayList<>();
        for (Convex part : solid.parts) {
            List<Vector3D> corners = ((Hull) part).corners();
            triangles.add(corners.stream()
                    .mapToInt(c -> points.computeIfAbsent(c, p -> points.size()))
                    .toArray());
        }
        return List.of(new Facets(List.copyOf(points.keySet()), triangles));
    }

    public static Facets of(Convex shape) {
        List<Vector3D> corners = new ArrayList<>();
        if (shape instanceof Frustum f) {
            Vector3D axis = f.to().subtract(f.from()).normalize();
            ring(f.from(), f.radius(), axis, corners);
            ring(f.to(), f.other(), axis, corners);
        } else if (shape instanceof Discs all) {
            all.discs().forEach(d -> ring(d.middle(), d.radius(), all.axis(), corners));
        } else if (shape.rounding() == 0) {
            corners.addAll(((Hull) shape).corners());
        } else {
            rounded(shape, corners);
        }
        return new Hulling(corners).build();
    }

    private static void ring(Vector3D middle, double radius, Vector3D axis, List<Vector3D> corners) {
        if (radius == 0) {
            corners.add(middle);
            return;
        }
        Vector3D one = axis.orthogonal();
        Vector3D two = axis.crossProduct(one);
        for (int i = 0; i < ROUND; i++) {
            double angle = 2 * Math.PI * i / ROUND;
            corners.add(middle.add(radius * Math.cos(angle), one).add(radius * Math.sin(angle), two));
        }
    }

    private static void rounded(Convex shape, List<Vector3D> corners) {
        double[] p = new double[3];
        Set<Vector3D> all = new LinkedHashSet<>();
        for (int band = 0; band <= BANDS; band++) {
            double height = Math.PI * band / BANDS;
            int around = band == 0 || band == BANDS ? 1 : ROUND;
            for (int i = 0; i < around; i++) {
                // Half a step aside, so that no direction is square to an edge along an axis.
                double angle = 2 * Math.PI * (i + 0.5) / ROUND;
                Vector3D d = new Vector3D(
                        Math.sin(height) * Math.cos(angle), Math.sin(height) * Math.sin(angle), Math.cos(height));
                shape.support(d.getX(), d.getY(), d.getZ(), p);
                all.add(new Vector3D(p).add(shape.rounding(), d));
            }
        }
        corners.addAll(all);
    }

    /** Point after point: what it sees of the hull so far goes, and it is joined to the edge of what is left. */
    private static final class Hulling {
        private final List<Vector3D> points;
        private final double flat;
        private List<int[]> faces = new ArrayList<>();

        Hulling(List<Vector3D> points) {
            this.points = points;
            double span = 0;
            for (Vector3D p : points) {
                span = Math.max(span, p.distance(points.get(0)));
            }
            this.flat = FLAT * Math.max(span, 1e-3);
        }

        Facets build() {
            int[] first = first();
            if (first.length < 4) {
                return new Facets(points, List.of());
            }
            Vector3D middle = Vector3D.ZERO;
            for (int i : first) {
                middle = middle.add(0.25, points.get(i));
            }
            for (int[] t : new int[][] {{0, 1, 2}, {0, 1, 3}, {0, 2, 3}, {1, 2, 3}}) {
                int[] face = {first[t[0]], first[t[1]], first[t[2]]};
                faces.add(above(face, middle) > 0 ? new int[] {face[0], face[2], face[1]} : face);
            }
            for (int i = 0; i < points.size(); i++) {
                add(i);
            }
            return new Facets(points, List.copyOf(faces));
        }

        /** Four points that span a body, as far from one another as can be; fewer where all lie in a plane. */
        private int[] first() {
            int a = 0;
            int b = farthest(i -> points.get(i).distance(points.get(a)));
            Vector3D along = points.get(b).subtract(points.get(a));
            if (along.getNorm() < flat) {
                return new int[0];
            }
            int c = farthest(i ->
                    along.crossProduct(points.get(i).subtract(points.get(a))).getNorm());
            Vector3D normal = along.crossProduct(points.get(c).subtract(points.get(a)));
            if (normal.getNorm() < flat * along.getNorm()) {
                return new int[0];
            }
            Vector3D unit = normal.normalize();
            int d = farthest(i -> Math.abs(unit.dotProduct(points.get(i).subtract(points.get(a)))));
            return Math.abs(unit.dotProduct(points.get(d).subtract(points.get(a)))) < flat
                    ? new int[0]
                    : new int[] {a, b, c, d};
        }

        private interface Measure {
            double of(int i);
        }

        private int farthest(Measure measure) {
            int best = 0;
            for (int i = 1; i < points.size(); i++) {
                if (measure.of(i) > measure.of(best)) {
                    best = i;
                }
            }
            return best;
        }

        /** m that a place is above the plane of a face. */
        private double above(int[] face, Vector3D place) {
            Vector3D a = points.get(face[0]);
            Vector3D normal = points.get(face[1])
                    .subtract(a)
                    .crossProduct(points.get(face[2]).subtract(a));
            double length = normal.getNorm();
            return length == 0 ? 0 : normal.dotProduct(place.subtract(a)) / length;
        }

        private void add(int point) {
            Vector3D place = points.get(point);
            List<int[]> kept = new ArrayList<>();
            // Edges of what is seen, each with its way round; those seen from both sides cancel.
            Map<Long, int[]> edges = new HashMap<>();
            for (int[] face : faces) {
                if (above(face, place) > flat) {
                    for (int k = 0; k < 3; k++) {
                        int from = face[k];
                        int to = face[(k + 1) % 3];
                        if (edges.remove((long) to * points.size() + from) == null) {
                            edges.put((long) from * points.size() + to, new int[] {from, to});
                        }
                    }
                } else {
                    kept.add(face);
                }
            }
            if (!edges.isEmpty()) {
                edges.values().forEach(e -> kept.add(new int[] {e[0], e[1], point}));
                faces = kept;
            }
        }
    }
}
