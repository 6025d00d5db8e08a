package io.enthalpa.core.space;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import org.hipparchus.geometry.euclidean.threed.Rotation;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * A surface of triangles in its own axes, as a scan or a drawing gives it. It needs neither be closed nor turned the right way round: what is
 * between it and a body counts from its triangles alone. Of a closed one it can be said what lies inside.
 */
public final class Mesh {
    private final double[] points;
    private final int[] triangles;
    private final Flaws flaws;
    /** Where it was asked for last: an edit elsewhere in the room does not place it anew. */
    private volatile Optional<Placed> last = Optional.empty();

    private record Placed(String element, Pose pose, boolean filled, Solid solid) {
        boolean is(String name, Pose there, boolean full) {
            Rotation a = pose.turn();
            Rotation b = there.turn();
            return element.equals(name)
                    && filled == full
                    && pose.at().equals(there.at())
                    && a.getQ0() == b.getQ0()
                    && a.getQ1() == b.getQ1()
                    && a.getQ2() == b.getQ2()
                    && a.getQ3() == b.getQ3();
        }
    }

    /**
     * What is not as it should be round a body.
     *
     * @param open    edges with a triangle on one side only
     * @param crowded edges with more than two
     * @param turned  edges whose two triangles look to different sides
     */
    public record Flaws(int open, int crowded, int turned) {
        /** @return whether it goes all round something */
        public boolean closed() {
            return open == 0 && crowded == 0;
        }
    }

    private Mesh(double[] points, int[] triangles) {
        this.points = points;
        this.triangles = triangles;
        this.flaws = flaws(triangles, points.length / 3);
    }

    /**
     * @param points    m, three numbers each
     * @param triangles three numbers of points each, no two of a triangle the same
     */
    public static Mesh of(double[] points, int[] triangles) {
        if (triangles.length == 0
                || IntStream.of(triangles).anyMatch(i -> i < 0 || i >= points.length / 3)
                || IntStream.range(0, triangles.length / 3).anyMatch(t -> folded(triangles, 3 * t))) {
            throw new IllegalArgumentException("a triangle without three points");
        }
        return new Mesh(points.clone(), triangles.clone());
    }

    private static boolean folded(int[] all, int at) {
        return all[at] == all[at + 1] || all[at + 1] == all[at + 2] || all[at] == all[at + 2];
    }

    private static Flaws flaws(int[] triangles, int points) {
        // Of each edge: how many triangles, and how many more of them go along it upwards than downwards.
        Map<Long, int[]> edges = new HashMap<>(triangles.length * 2);
        for (int t = 0; t < triangles.length; t += 3) {
            for (int k = 0; k < 3; k++) {
                int from = triangles[t + k];
                int to = triangles[t + (k + 1) % 3];
                int[] edge =
                        edges.computeIfAbsent((long) Math.min(from, to) * points + Math.max(from, to), e -> new int[2]);
                edge[0]++;
                edge[1] += from < to ? 1 : -1;
            }
        }
        int open = 0;
        int crowded = 0;
        int turned = 0;
        for (int[] edge : edges.values()) {
            open += edge[0] == 1 ? 1 : 0;
            crowded += edge[0] > 2 ? 1 : 0;
            turned += edge[0] == 2 && edge[1] != 0 ? 1 : 0;
        }
        return new Flaws(open, crowded, turned);
    }

    /** @return how many triangles it has */
    public int size() {
        return triangles.length / 3;
    }

    /** @return m, three numbers each */
    public double[] points() {
        return points.clone();
    }

    /** @return three numbers of points each */
    public int[] triangles() {
        return triangles.clone();
    }

    public Flaws flaws() {
        return flaws;
    }

    /**
     * @param filled whether what lies inside a closed one is out of bounds, as in a casting; otherwise it is a skin
     * @return where it stands in the room
     */
    public Solid placed(String element, Pose pose, boolean filled) {
        Optional<Placed> known = last.filter(p -> p.is(element, pose, filled));
        if (known.isPresent()) {
            return known.get().solid();
        }
        double[] there = new double[points.length];
        for (int i = 0; i < points.length; i += 3) {
            Vector3D p = pose.toRoom(new Vector3D(points[i], points[i + 1], points[i + 2]));
            there[i] = p.getX();
            there[i + 1] = p.getY();
            there[i + 2] = p.getZ();
        }
        Convex[] parts = new Convex[size()];
        for (int t = 0; t < parts.length; t++) {
            double[] corners = new double[9];
            for (int k = 0; k < 3; k++) {
                System.arraycopy(there, 3 * triangles[3 * t + k], corners, 3 * k, 3);
            }
            parts[t] = Hull.triangle(corners);
        }
        Solid solid = Solid.surface(element, parts, filled && flaws.closed());
        last = Optional.of(new Placed(element, pose, filled, solid));
        return solid;
    }
}
