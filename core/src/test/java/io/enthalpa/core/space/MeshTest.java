package io.enthalpa.core.space;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.fault.EnthalpaFault;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.junit.jupiter.api.Test;

/** Surfaces of triangles against boxes, and against every triangle one by one. */
class MeshTest {
    private static Vector3D v(double x, double y, double z) {
        return new Vector3D(x, y, z);
    }

    /** 200 x 400 x 100 mm about its origin, each side two triangles that look outwards. */
    private static final double[] CORNERS = {
        -0.1, -0.2, -0.05, 0.1, -0.2, -0.05, 0.1, 0.2, -0.05, -0.1, 0.2, -0.05, -0.1, -0.2, 0.05, 0.1, -0.2, 0.05, 0.1,
        0.2, 0.05, -0.1, 0.2, 0.05
    };

    private static final int[] SIDES = {
        0, 2, 1, 0, 3, 2, 4, 5, 6, 4, 6, 7, 0, 1, 5, 0, 5, 4, 2, 3, 7, 2, 7, 6, 1, 2, 6, 1, 6, 5, 3, 0, 4, 3, 4, 7
    };

    private static Mesh box() {
        return Mesh.of(CORNERS, SIDES);
    }

    private static Solid ball(double x, double y, double z, double radius) {
        return Solid.of("ball", Hull.ball(v(x, y, z), radius));
    }

    private static double gap(Solid a, Solid b) {
        return Gaps.between(a, b, 10).orElseThrow().value();
    }

    @Test
    void outsideItIsAsFarAsFromTheSolidOfTheSameSides() {
        Random random = new Random(7);
        for (int i = 0; i < 60; i++) {
            Pose pose = Pose.of(
                    v(random.nextDouble(), random.nextDouble(), random.nextDouble()),
                    random.nextDouble() * 6,
                    random.nextDouble() * 6,
                    random.nextDouble() * 6);
            Solid ball = ball(2 * random.nextDouble() - 0.5, 2 * random.nextDouble() - 0.5, 1.2, 0.05);
            double known = gap(ball, Solid.of("box", Hull.box(pose, 0.2, 0.4, 0.1)));
            if (known > 0) {
                assertThat(gap(ball, box().placed("box", pose, true))).isCloseTo(known, within(2e-5));
            }
        }
    }

    @Test
    void insideAClosedOneCountsAsDeepAsItsSkinIsFarAndNotInsideASkinOrAnOpenOne() {
        // A ball of 10 mm 20 mm below the lid: its near side is 20 mm from the lid, 60 from the floor.
        Solid ball = ball(0, 0, 0.02, 0.01);
        assertThat(gap(ball, box().placed("box", Pose.ORIGIN, true))).isCloseTo(-0.02, within(2e-5));
        assertThat(gap(box().placed("box", Pose.ORIGIN, true), ball)).isCloseTo(-0.02, within(2e-5));
        assertThat(Gaps.between(ball, box().placed("box", Pose.ORIGIN, true), 0.001))
                .hasValueSatisfying(g -> assertThat(g.value()).isCloseTo(-0.02, within(2e-5)));
        assertThat(gap(ball, box().placed("box", Pose.ORIGIN, false))).isCloseTo(0.02, within(2e-5));
        Mesh open = Mesh.of(CORNERS, Arrays.copyOf(SIDES, SIDES.length - 3));
        assertThat(gap(ball, open.placed("box", Pose.ORIGIN, true))).isCloseTo(0.02, within(2e-5));
        // Through the lid it stands in the skin itself: 10 mm above and below, the least shift that parts them is 10
        // mm.
        assertThat(gap(ball(0, 0, 0.05, 0.01), box().placed("box", Pose.ORIGIN, true)))
                .isCloseTo(-0.01, within(2e-5));
        assertThat(gap(ball(0, 0, 0.2, 0.01), box().placed("box", Pose.ORIGIN, true)))
                .isCloseTo(0.14, within(2e-5));
    }

    @Test
    void saysWhatIsOpenCrowdedOrTurned() {
        assertThat(box().flaws()).isEqualTo(new Mesh.Flaws(0, 0, 0));
        assertThat(Mesh.of(CORNERS, Arrays.copyOf(SIDES, SIDES.length - 3)).flaws())
                .isEqualTo(new Mesh.Flaws(3, 0, 0));
        int[] one = SIDES.clone();
        one[0] = SIDES[1];
        one[1] = SIDES[0];
        assertThat(Mesh.of(CORNERS, one).flaws()).isEqualTo(new Mesh.Flaws(0, 0, 3));
        int[] more = Arrays.copyOf(SIDES, SIDES.length + 3);
        System.arraycopy(new int[] {0, 2, 5}, 0, more, SIDES.length, 3);
        // Its edge 0-2 and 0-5 have two already, 2-5 none.
        assertThat(Mesh.of(CORNERS, more).flaws()).isEqualTo(new Mesh.Flaws(1, 2, 0));
        assertThatThrownBy(() -> Mesh.of(CORNERS, new int[] {0, 1, 1})).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> Mesh.of(CORNERS, new int[] {0, 1, 8})).isInstanceOf(IllegalArgumentException.class);
    }

    /** Hills of 2 x 24 x 24 triangles, each a little off its place. */
    private static Mesh hills(Random random) {
        int n = 25;
        double[] points = new double[3 * n * n];
        for (int i = 0; i < n * n; i++) {
            int row = i / n;
            points[3 * i] = 0.02 * (i % n) + 0.004 * random.nextDouble();
            points[3 * i + 1] = 0.02 * row + 0.004 * random.nextDouble();
            points[3 * i + 2] = 0.05 * random.nextDouble();
        }
        List<Integer> t = new ArrayList<>();
        for (int y = 0; y < n - 1; y++) {
            for (int x = 0; x < n - 1; x++) {
                int a = y * n + x;
                t.addAll(List.of(a, a + 1, a + n, a + 1, a + n + 1, a + n));
            }
        }
        return Mesh.of(points, t.stream().mapToInt(Integer::intValue).toArray());
    }

    /** From a point to a triangle: into its plane, and where that is outside it to the nearest edge. */
    private static double distance(Vector3D p, Vector3D a, Vector3D b, Vector3D c) {
        Vector3D n = b.subtract(a).crossProduct(c.subtract(a)).normalize();
        Vector3D foot = p.subtract(n.dotProduct(p.subtract(a)), n);
        boolean inside = n.dotProduct(b.subtract(a).crossProduct(foot.subtract(a))) >= 0
                && n.dotProduct(c.subtract(b).crossProduct(foot.subtract(b))) >= 0
                && n.dotProduct(a.subtract(c).crossProduct(foot.subtract(c))) >= 0;
        return inside ? p.distance(foot) : Math.min(edge(p, a, b), Math.min(edge(p, b, c), edge(p, c, a)));
    }

    private static double edge(Vector3D p, Vector3D a, Vector3D b) {
        Vector3D along = b.subtract(a);
        double share = Math.max(0, Math.min(1, p.subtract(a).dotProduct(along) / along.getNormSq()));
        return p.distance(a.add(share, along));
    }

    @Test
    void isAsFarAsTheNearestOfAllItsTriangles() {
        Random random = new Random(3);
        Mesh hills = hills(random);
        Pose pose = Pose.of(v(0.3, -0.2, 0.1), 0.4, -0.3, 0.2);
        double[] p = hills.points();
        int[] t = hills.triangles();
        Solid placed = hills.placed("hills", pose, true);
        for (int i = 0; i < 40; i++) {
            Vector3D at = pose.toRoom(v(random.nextDouble() * 0.6 - 0.05, random.nextDouble() * 0.6 - 0.05, 0.12));
            double least = Double.POSITIVE_INFINITY;
            for (int k = 0; k < t.length; k += 3) {
                Vector3D[] c = new Vector3D[3];
                for (int j = 0; j < 3; j++) {
                    c[j] = pose.toRoom(v(p[3 * t[k + j]], p[3 * t[k + j] + 1], p[3 * t[k + j] + 2]));
                }
                least = Math.min(least, distance(at, c[0], c[1], c[2]));
            }
            assertThat(gap(Solid.of("ball", Hull.ball(at, 0.01)), placed)).isCloseTo(least - 0.01, within(2e-5));
        }
    }

    @Test
    void movedWithItsTreeItIsAsIfBuiltThere() {
        Random random = new Random(5);
        Mesh hills = hills(random);
        Pose pose = Pose.of(v(0.3, -0.2, 0.1), 2.1, -0.3, 1.2);
        Solid moved = hills.placed("hills", Pose.ORIGIN, true).moved(pose);
        Solid there = hills.placed("hills", pose, true);
        for (int i = 0; i < 20; i++) {
            Solid ball = ball(random.nextDouble(), random.nextDouble() - 0.5, random.nextDouble(), 0.02);
            assertThat(gap(ball, moved)).isCloseTo(gap(ball, there), within(2e-5));
        }
    }

    @Test
    void placedAgainWhereItIsItIsTheSameOneAndElsewhereAnother() {
        Mesh box = box();
        Solid first = box.placed("box", Pose.at(1, 0, 0), true);
        assertThat(box.placed("box", Pose.at(1, 0, 0), true)).isSameAs(first);
        assertThat(box.placed("box", Pose.of(v(1, 0, 0), 0.1, 0, 0), true)).isNotSameAs(first);
        assertThat(box.placed("crate", Pose.at(1, 0, 0), true).elements()).containsExactly("crate");
        assertThat(box.placed("box", Pose.at(1, 0, 0), false)).isNotSameAs(first);
    }

    private static double area(List<double[]> ring) {
        double twice = 0;
        for (int i = 0; i < ring.size(); i++) {
            double[] a = ring.get(i);
            double[] b = ring.get((i + 1) % ring.size());
            twice += a[0] * b[1] - a[1] * b[0];
        }
        return twice / 2;
    }

    @Test
    void castsAShadowOfItsOwnSizeAndOneForEachPiece() {
        // 400 across, 100 up, a cell of 1.25 mm: touched cells reach at most one beyond each side.
        List<List<double[]>> front = box().placed("box", Pose.ORIGIN, true).shadow(1, 2);
        assertThat(front).hasSize(1);
        assertThat(area(front.get(0))).isBetween(0.04, 0.4025 * 0.1025);
        double most = front.get(0).stream().mapToDouble(p -> p[0]).max().orElseThrow();
        assertThat(most).isBetween(0.2, 0.2013);

        double[] two = new double[18];
        System.arraycopy(new double[] {0, 0, 0, 0, 0.1, 0, 0, 0, 0.1}, 0, two, 0, 9);
        System.arraycopy(new double[] {0, 0.5, 0, 0, 0.6, 0, 0, 0.5, 0.1}, 0, two, 9, 9);
        List<List<double[]>> pieces = Mesh.of(two, new int[] {0, 1, 2, 3, 4, 5})
                .placed("two", Pose.ORIGIN, true)
                .shadow(1, 2);
        assertThat(pieces).hasSize(2);
        assertThat(pieces).allSatisfy(p -> assertThat(area(p)).isBetween(0.005, 0.0058));
        // Seen from the side both stand on edge, one behind the other.
        assertThat(Mesh.of(two, new int[] {0, 1, 2, 3, 4, 5})
                        .placed("two", Pose.ORIGIN, true)
                        .shadow(0, 2))
                .hasSize(1);
    }

    @Test
    void tellsItsTrianglesForAFileEachPointOnce() {
        List<Facets> facets = Facets.of(box().placed("box", Pose.at(1, 0, 0), true));
        assertThat(facets).hasSize(1);
        assertThat(facets.get(0).points()).hasSize(8);
        assertThat(facets.get(0).triangles()).hasSize(12);
        assertThat(facets.get(0).points().get(0).getX()).isCloseTo(0.9, within(1e-12));
    }

    @Test
    void threePointsBringItToItsPlace() {
        // A quarter to the right seen from above, 1 m back and 0.2 up: what was ahead of it (x) is now to its right (y
        // turned about -z).
        List<Vector3D> on = List.of(v(0, 0, 0), v(0.4, 0, 0), v(0, 0.3, 0));
        ThreePoints three = ThreePoints.of(on, List.of(v(1, 0, 0.2), v(1, -0.4, 0.2), v(1.3, 0, 0.2)));
        assertThat(three.off()).allSatisfy(off -> assertThat(off).isCloseTo(0, within(1e-9)));
        Pose now = Pose.ORIGIN.in(three.movement());
        assertThat(Math.toDegrees(now.turns()[0])).isCloseTo(90, within(1e-9));
        assertThat(now.at().distance(v(1, 0, 0.2))).isLessThan(1e-12);

        // A file in the wrong unit, or a slip of the tape: the second ends 12 mm short on its line.
        ThreePoints slip = ThreePoints.of(on, List.of(v(0, 0, 0), v(0.412, 0, 0), v(0, 0.3, 0)));
        assertThat(slip.off().get(1)).isCloseTo(0.012, within(1e-9));
        assertThat(slip.off().get(0)).isCloseTo(0, within(1e-12));

        assertThatThrownBy(() -> ThreePoints.of(on, List.of(v(0, 0, 0), v(0.4, 0, 0), v(0.8, 0.0001, 0))))
                .isInstanceOf(EnthalpaFault.class)
                .hasMessageContaining("on one line");
    }

    @Test
    void turnsAreToldAsTheyAreTyped() {
        double[] typed = {0.3, -1.1, 2.2};
        assertThat(Pose.of(Vector3D.ZERO, 0.3, -1.1, 2.2).turns()).containsExactly(typed, within(1e-12));
        Random random = new Random(1);
        for (int i = 0; i < 50; i++) {
            Pose pose = Pose.of(
                    Vector3D.ZERO,
                    random.nextDouble() * 6,
                    i % 5 == 0 ? Math.PI / 2 : random.nextDouble() * 6,
                    random.nextDouble() * 6);
            double[] turns = pose.turns();
            Pose again = Pose.of(Vector3D.ZERO, turns[0], turns[1], turns[2]);
            Vector3D p = v(0.3, 0.5, -0.2);
            assertThat(again.toRoom(p).distance(pose.toRoom(p))).isLessThan(1e-7);
        }
    }
}
