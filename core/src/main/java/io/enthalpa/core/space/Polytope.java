package io.enthalpa.core.space;

import io.enthalpa.core.space.Difference.Vertex;
import java.util.ArrayList;
import java.util.List;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/** A hull inside a {@link Difference} that holds the origin, grown where its surface is nearest to it until that is the difference's own. */
final class Polytope {
    private static final int MOST_ROUNDS = 400;
    /** m: what is thinner has no inside. */
    private static final double FLAT = 1e-9;
    /** m: a point no higher than this above a face does not change it; less than rounding moves it the surface would tear. */
    private static final double LEVEL = 1e-9;
    /** m: half of what a gap is promised to; round things in one another have a whole ring of places as deep. */
    private static final double TOLERANCE = 5e-6;

    /** Square root of a third: that of a corner of a cube that is 1 off its middle. */
    private static final double SLANT = Math.sqrt(1.0 / 3);
    /** Unit vectors, whose points of the difference the hull begins with. */
    private static final double[][] AROUND = {
        {SLANT, SLANT, SLANT},
        {SLANT, -SLANT, -SLANT},
        {-SLANT, SLANT, -SLANT},
        {-SLANT, -SLANT, SLANT},
        {1, 0, 0},
        {-1, 0, 0},
        {0, 1, 0},
        {0, -1, 0},
        {0, 0, 1},
        {0, 0, -1}
    };

    private final Difference difference;
    private final List<Face> faces = new ArrayList<>();
    private boolean torn;

    Polytope(Difference difference) {
        this.difference = difference;
    }

    private static final class Face {
        private final Vertex a;
        private final Vertex b;
        private final Vertex c;
        private final double[] n;
        private final double offset;

        /** Corners anticlockwise as seen from outside. */
        private Face(Vertex a, Vertex b, Vertex c) {
            this.a = a;
            this.b = b;
            this.c = c;
            double[] normal = Simplex.cross(Simplex.minus(b.p, a.p), Simplex.minus(c.p, a.p));
            double length = Math.sqrt(Simplex.dot(normal, normal));
            for (int i = 0; i < 3; i++) {
                normal[i] = length == 0 ? 0 : normal[i] / length;
            }
            this.n = normal;
            this.offset = length == 0 ? Double.POSITIVE_INFINITY : Simplex.dot(normal, a.p);
        }

        private double above(Vertex v) {
            return v.along(n[0], n[1], n[2]) - offset;
        }
    }

    /**
     * @param simplex whose hull holds the origin
     * @param plenty  m, less than 0 of what may stand so deep: of what is known to be less deep it is only said that it is
     * @return how deep, and across what
     */
    Apart depth(Simplex simplex, double plenty) {
        List<Vertex> points = new ArrayList<>();
        for (int i = 0; i < simplex.size; i++) {
            points.add(simplex.vertex[i]);
        }
        for (double[] d : AROUND) {
            Vertex w = difference.support(d[0], d[1], d[2]);
            double deep = w.along(d[0], d[1], d[2]);
            if (-deep > plenty) {
                return atMost(w, deep, d);
            }
            points.add(w);
        }
        if (!tetrahedron(points)) {
            return touching(simplex);
        }
        if (torn) {
            return new AllRound(difference).depth();
        }
        double upper = Double.POSITIVE_INFINITY;
        double[] across = null;
        for (int round = 0; ; round++) {
            Face nearest = faces.get(0);
            for (Face face : faces) {
                nearest = face.offset < nearest.offset ? face : nearest;
            }
            Vertex w = difference.support(nearest.n[0], nearest.n[1], nearest.n[2]);
            double reach = w.along(nearest.n[0], nearest.n[1], nearest.n[2]);
            if (reach < upper) {
                upper = reach;
                across = nearest.n;
            }
            if (-upper > plenty) {
                return atMost(w, upper, across);
            }
            double lower = Math.max(nearest.offset, 0);
            if (upper - lower <= TOLERANCE || round == MOST_ROUNDS || !grow(w)) {
                if (torn) {
                    return new AllRound(difference).depth();
                }
                return answer(nearest, upper, upper - lower, new Vector3D(across));
            }
        }
    }

    /** The places are those of the nearest face below the origin. */
    private Apart answer(Face face, double depth, double loose, Vector3D across) {
        Simplex at = new Simplex();
        Vector3D foot = new Vector3D(face.n).scalarMultiply(face.offset);
        for (Vertex v : new Vertex[] {face.a, face.b, face.c}) {
            Vertex shifted = new Vertex();
            System.arraycopy(v.onA, 0, shifted.onA, 0, 3);
            System.arraycopy(v.onB, 0, shifted.onB, 0, 3);
            shifted.p[0] = v.p[0] - foot.getX();
            shifted.p[1] = v.p[1] - foot.getY();
            shifted.p[2] = v.p[2] - foot.getZ();
            at.add(shifted);
        }
        at.reduce();
        Vector3D onA = Vector3D.ZERO;
        Vector3D onB = Vector3D.ZERO;
        for (int i = 0; i < at.size; i++) {
            onA = onA.add(at.share[i], new Vector3D(at.vertex[i].onA));
            onB = onB.add(at.share[i], new Vector3D(at.vertex[i].onB));
        }
        return Separation.rounded(difference, -depth, loose, onA, onB, across);
    }

    private Apart touching(Simplex simplex) {
        Vertex v = simplex.vertex[0];
        Vector3D between = new Vector3D(v.onB).subtract(new Vector3D(v.onA));
        Vector3D towards = between.getNorm() == 0 ? Vector3D.PLUS_K : between.normalize();
        return Separation.rounded(difference, 0, 0, new Vector3D(v.onA), new Vector3D(v.onB), towards);
    }

    private Apart atMost(Vertex w, double deep, double[] across) {
        return Separation.rounded(
                difference, -deep, deep, new Vector3D(w.onA), new Vector3D(w.onB), new Vector3D(across));
    }

    /** A body round some points and what of the difference lies farthest to both sides of them. @return false when there is none: it is flat */
    private boolean tetrahedron(List<Vertex> points) {
        Vertex a = points.get(0);
        Vertex b = farthest(points, v -> length(Simplex.minus(v.p, a.p)));
        double[] ab = Simplex.minus(b.p, a.p);
        Vertex c = farthest(points, v -> length(Simplex.cross(ab, Simplex.minus(v.p, a.p))));
        double[] n = Simplex.cross(ab, Simplex.minus(c.p, a.p));
        double area = length(n);
        if (area < FLAT * FLAT) {
            return false;
        }
        Vertex up = difference.support(n[0], n[1], n[2]);
        Vertex down = difference.support(-n[0], -n[1], -n[2]);
        Vertex d = Simplex.dot(n, Simplex.minus(up.p, a.p)) > -Simplex.dot(n, Simplex.minus(down.p, a.p)) ? up : down;
        double height = Simplex.dot(n, Simplex.minus(d.p, a.p)) / area;
        if (Math.abs(height) < FLAT) {
            return false;
        }
        Vertex p = height > 0 ? a : b;
        Vertex q = height > 0 ? b : a;
        faces.add(new Face(p, c, q));
        faces.add(new Face(p, q, d));
        faces.add(new Face(q, c, d));
        faces.add(new Face(c, p, d));
        points.add(up);
        points.add(down);
        points.forEach(this::grow);
        return true;
    }

    private static Vertex farthest(List<Vertex> points, java.util.function.ToDoubleFunction<Vertex> far) {
        Vertex best = points.get(0);
        double most = far.applyAsDouble(best);
        for (Vertex v : points) {
            if (far.applyAsDouble(v) > most) {
                most = far.applyAsDouble(v);
                best = v;
            }
        }
        return best;
    }

    /**
     * Takes away the faces that a point stands above, and joins it to their edge. Faces that hang together have no longer an edge than two more
     * than there are of them: of those that lie nearly in one plane rounding takes some and leaves others, and a surface that is torn so grows
     * without end.
     *
     * @return false when it stands above none, or the surface is torn
     */
    private boolean grow(Vertex w) {
        List<Face> below = faces.stream().filter(face -> face.above(w) > LEVEL).toList();
        List<Vertex[]> edge = new ArrayList<>();
        for (Face face : below) {
            join(edge, face.a, face.b);
            join(edge, face.b, face.c);
            join(edge, face.c, face.a);
        }
        torn |= edge.size() > below.size() + 2;
        if (below.isEmpty() || torn) {
            return false;
        }
        faces.removeIf(face -> face.above(w) > LEVEL);
        edge.forEach(e -> faces.add(new Face(e[0], e[1], w)));
        return true;
    }

    /** An edge that two faces taken away share runs through the hole and is none of its rim. */
    private static void join(List<Vertex[]> edge, Vertex from, Vertex to) {
        if (!edge.removeIf(e -> e[0] == to && e[1] == from)) {
            edge.add(new Vertex[] {from, to});
        }
    }

    private static double length(double[] v) {
        return Math.sqrt(Simplex.dot(v, v));
    }
}
