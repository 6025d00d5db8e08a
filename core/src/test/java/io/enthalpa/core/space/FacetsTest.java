package io.enthalpa.core.space;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.assertj.core.data.Offset;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Closed, the right way round, and of the volume that the books give. */
class FacetsTest {
    /** A sixth of the sum of a . (b x c): the volume that triangles enclose. */
    private static double volume(Facets facets) {
        double sum = 0;
        for (int[] t : facets.triangles()) {
            Vector3D a = facets.points().get(t[0]);
            sum += a.dotProduct(facets.points()
                            .get(t[1])
                            .crossProduct(facets.points().get(t[2])))
                    / 6;
        }
        return sum;
    }

    /** Every edge is gone along once each way. */
    private static void isClosed(Facets facets) {
        Map<String, Integer> edges = new HashMap<>();
        for (int[] t : facets.triangles()) {
            for (int k = 0; k < 3; k++) {
                edges.merge(t[k] + " " + t[(k + 1) % 3], 1, Integer::sum);
            }
        }
        assertThat(edges).isNotEmpty().allSatisfy((edge, times) -> {
            assertThat(times).isEqualTo(1);
            String[] ends = edge.split(" ");
            assertThat(edges).containsKey(ends[1] + " " + ends[0]);
        });
    }

    private static void holds(Convex shape, double volume, Offset<Double> near) {
        Facets facets = Facets.of(shape);
        isClosed(facets);
        assertThat(volume(facets)).isCloseTo(volume, near);
    }

    @Test
    void boxIsTwelveTriangles() {
        Convex box = Hull.box(Pose.of(new Vector3D(1, 2, 3), 0.3, 0.2, -0.5), 0.2, 0.3, 0.4);
        holds(box, 0.024, within(1e-12));
        assertThat(Facets.of(box).triangles()).hasSize(12);
    }

    /** A polygon of 32 corners has 32/2 sin(2 pi/32) / pi = 0.99359 of the circle's area. */
    @Test
    void cylinderAndCone() {
        double area = 16 * Math.sin(Math.PI / 16) * 0.01;
        holds(Frustum.cylinder(new Vector3D(1, 0, 0), new Vector3D(1, 0.3, 0.4), 0.1), area * 0.5, within(1e-9));
        holds(new Frustum(Vector3D.ZERO, 0.1, new Vector3D(0, 0, 0.6), 0), area * 0.6 / 3, within(1e-9));
        // A frustum of radii 0.1 and 0.05: (1 + 1/2 + 1/4) / 3 of the cylinder.
        holds(new Frustum(Vector3D.ZERO, 0.1, new Vector3D(0, 0, 0.6), 0.05), area * 0.6 * 1.75 / 3, within(1e-9));
    }

    /** Ball 4/3 pi r^3, rod pi r^2 l more; inside them by two percent at most. */
    @Test
    void ballAndRod() {
        double ball = 4.0 / 3 * Math.PI * 1e-3;
        double rod = ball + Math.PI * 0.01 * 0.5;
        assertThat(volume(Facets.of(Hull.ball(new Vector3D(0.5, 0.1, 0), 0.1)))).isBetween(0.98 * ball, ball);
        Facets facets = Facets.of(Hull.rod(Vector3D.ZERO, new Vector3D(0.3, 0.4, 0), 0.1));
        isClosed(facets);
        assertThat(volume(facets)).isBetween(0.97 * rod, rod);
    }

    /** Points strewn in a ball: none stands out of the hull, and all faces look outwards. */
    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4, 5, 6})
    void noPointStandsOut(int seed) {
        Random random = new Random(seed);
        List<Vector3D> points = new ArrayList<>();
        for (int i = 0; i < 60; i++) {
            points.add(new Vector3D(random.nextGaussian(), random.nextGaussian(), random.nextGaussian()));
        }
        Facets facets = Facets.of(Hull.of(points, 0));
        isClosed(facets);
        for (int[] t : facets.triangles()) {
            Vector3D a = facets.points().get(t[0]);
            Vector3D normal = facets.points()
                    .get(t[1])
                    .subtract(a)
                    .crossProduct(facets.points().get(t[2]).subtract(a))
                    .normalize();
            assertThat(points)
                    .allSatisfy(
                            p -> assertThat(normal.dotProduct(p.subtract(a))).isLessThan(1e-9));
        }
    }

    @Test
    void flatThingHasNoSurface() {
        assertThat(Facets.of(Hull.of(List.of(Vector3D.ZERO, Vector3D.PLUS_I, Vector3D.PLUS_J), 0))
                        .triangles())
                .isEmpty();
    }
}
