package io.enthalpa.core.space;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.stream.Stream;
import org.assertj.core.data.Offset;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** Gaps of pairs whose distance is known in closed form; every figure is worked out beside its pair. */
class SeparationTest {
    /** m: a hundredth of a millimetre is promised. */
    private static final Offset<Double> PROMISED = within(1e-5);

    private static final double ROOT2 = Math.sqrt(2);

    private static Vector3D v(double x, double y, double z) {
        return new Vector3D(x, y, z);
    }

    /** 0.6 x 0.4 x 0.2 m about the origin. */
    private static final Hull BLOCK = Hull.box(Pose.ORIGIN, 0.6, 0.4, 0.2);

    private static final Frustum UPRIGHT = Frustum.cylinder(v(0, 0, 0), v(0, 0, 0.5), 0.05);
    private static final Frustum CONE = new Frustum(v(0, 0, 0), 0.1, v(0, 0, 0.2), 0);
    private static final Hull BALL = Hull.ball(v(0, 0, 0), 0.1);
    private static final Hull ROD = Hull.rod(v(-0.2, 0, 0), v(0.2, 0, 0), 0.02);
    /** A right angle of 0.3 m legs in plan, 0.1 m high. */
    private static final Hull PRISM =
            Hull.of(List.of(v(0, 0, 0), v(0.3, 0, 0), v(0, 0.3, 0), v(0, 0, 0.1), v(0.3, 0, 0.1), v(0, 0.3, 0.1)), 0);

    private static final Hull TRIANGLE = Hull.of(List.of(v(0, 0, 0), v(0.3, 0, 0), v(0, 0.3, 0)), 0);

    static Stream<Arguments> pairs() {
        Pose onEdge = Pose.of(v(0, 0, 0.5), 0, Math.PI / 4, 0);
        return Stream.of(
                // Faces that look at one another: 0.5 - 0.1 - 0.05.
                pair("box over box", BLOCK, Hull.box(Pose.at(0, 0, 0.5), 0.2, 0.2, 0.1), 0.35),
                // Corners: 1 - 0.3 - 0.1, 1 - 0.2 - 0.1, 1 - 0.1 - 0.1.
                pair(
                        "box off box's corner",
                        BLOCK,
                        Hull.box(Pose.at(1, 1, 1), 0.2, 0.2, 0.2),
                        Math.sqrt(0.36 + 0.49 + 0.64)),
                // A cube of 0.2 on its edge reaches 0.1 root 2 down.
                pair("box on edge over box", BLOCK, Hull.box(onEdge, 0.2, 0.2, 0.2), 0.5 - 0.1 - 0.1 * ROOT2),
                // Edges crossing at right angles: the top edge at y = 0.2 runs along x; the other's edge along y stands
                // at x = 0.5.
                pair("edge against edge", BLOCK, Hull.box(Pose.at(0.5, 0, 0.4), 0.2, 1, 0.2), Math.hypot(0.1, 0.2)),
                pair("ball over box", BLOCK, Hull.ball(v(0, 0, 0.4), 0.1), 0.2),
                pair("ball off box's corner", BLOCK, Hull.ball(v(0.4, 0.3, 0.2), 0.1), 0.1 * Math.sqrt(3) - 0.1),
                pair("ball and ball", BALL, Hull.ball(v(0.3, 0.4, 0), 0.15), 0.5 - 0.25),
                pair("rod past ball", ROD, Hull.ball(v(0.1, 0.3, 0.4), 0.1), 0.5 - 0.12),
                pair("rod across rod", ROD, Hull.rod(v(0, -1, 0.1), v(0, 1, 0.1), 0.03), 0.1 - 0.05),
                // A cylinder lying along y at height 0.4, radius 0.05, against the top face at 0.1.
                pair("cylinder along box", BLOCK, Frustum.cylinder(v(0, -1, 0.4), v(0, 1, 0.4), 0.05), 0.25),
                // Its lower rim is nearest the face at x = 0.3: 0.5 - 0.05 - 0.3.
                pair("cylinder beside box", BLOCK, Frustum.cylinder(v(0.5, 0, -1), v(0.5, 0, 1), 0.05), 0.15),
                // Rim over edge: across 0.5 - 0.05 - 0.3, up 0.3 - 0.1.
                pair("rim off edge", BLOCK, Frustum.cylinder(v(0.5, 0, 0.3), v(0.5, 0, 1), 0.05), 0.25),
                pair("cylinders crossing", UPRIGHT, Frustum.cylinder(v(-1, 0.2, 0.25), v(1, 0.2, 0.25), 0.03), 0.12),
                pair("cylinders end to end", UPRIGHT, Frustum.cylinder(v(0.02, 0, 0.6), v(0.02, 0, 0.9), 0.05), 0.1),
                pair("ball beside cylinder", UPRIGHT, Hull.ball(v(0.3, 0.4, 0.2), 0.1), 0.5 - 0.15),
                // Over the rim: sqrt((0.25 - 0.05)^2 + 0.15^2) - 0.1.
                pair("ball off cylinder's rim", UPRIGHT, Hull.ball(v(0.25, 0, 0.65), 0.1), 0.25 - 0.1),
                // The slant of a cone of 0.1 over 0.2 is nearest square to it: distance of (d, h) from it is (2 d + h -
                // 0.2) / root 5.
                pair(
                        "ball beside cone",
                        CONE,
                        Hull.ball(v(0.3, 0, 0.15), 0.05),
                        (0.6 + 0.15 - 0.2) / Math.sqrt(5) - 0.05),
                pair("box over cone's tip", CONE, Hull.box(Pose.at(0.1, 0, 0.4), 0.4, 0.4, 0.2), 0.1),
                // Seen along its hypotenuse x + y = 0.3: (0.5 + 0.4 - 0.3) / root 2.
                pair("ball off prism's slope", PRISM, Hull.ball(v(0.3, 0.35, 0.05), 0.05), 0.35 / ROOT2 - 0.05),
                pair(
                        "cylinder over triangle",
                        TRIANGLE,
                        Frustum.cylinder(v(0.1, 0.1, 0.2), v(0.1, 0.1, 0.4), 0.02),
                        0.2),
                pair(
                        "ball off triangle's slope",
                        TRIANGLE,
                        Hull.ball(v(0.3, 0.35, 0.1), 0.05),
                        Math.hypot(0.35 / ROOT2, 0.1) - 0.05),
                // Inside one another: the least way out.
                pair("box in box", BLOCK, Hull.box(Pose.at(0.25, 0, 0.12), 0.2, 0.2, 0.1), -0.03),
                pair("box in box's middle", BLOCK, Hull.box(Pose.ORIGIN, 0.1, 0.1, 0.1), -(0.1 + 0.05)),
                pair("ball in ball", BALL, Hull.ball(v(0.15, 0, 0), 0.1), -0.05),
                pair("ball in box", BLOCK, Hull.ball(v(0.05, 0.02, 0.06), 0.05), -(0.04 + 0.05)),
                pair("cylinder in box", BLOCK, Frustum.cylinder(v(0.2, 0.1, 0.08), v(0.2, 0.1, 0.3), 0.02), -0.02),
                pair(
                        "cylinders through one another",
                        UPRIGHT,
                        Frustum.cylinder(v(-1, 0.06, 0.25), v(1, 0.06, 0.25), 0.03),
                        -0.02),
                pair("rod in cylinder", UPRIGHT, Hull.rod(v(0.04, -1, 0.2), v(0.04, 1, 0.2), 0.01), -0.02),
                pair("cone in box", BLOCK, new Frustum(v(0, 0, 0.3), 0.1, v(0, 0, 0.06), 0), -0.04));
    }

    private static Arguments pair(String name, Convex a, Convex b, double gap) {
        return Arguments.of(name, a, b, gap);
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("pairs")
    void gapIsTheClosedForm(String name, Convex a, Convex b, double expected) {
        Apart apart = Separation.between(a, b);
        assertThat(apart.gap()).isCloseTo(expected, PROMISED);
        assertThat(apart.gap()).as("never larger than it is").isLessThanOrEqualTo(expected + 1e-9);
        assertThat(apart.loose()).isLessThan(1e-6);
        assertThat(Separation.between(b, a).gap()).as("seen from the other").isCloseTo(expected, PROMISED);
        assertThat(apart.onB().subtract(apart.onA()).dotProduct(apart.towards()))
                .as("the two places are as far apart as is said")
                .isCloseTo(expected, within(1e-5));
        Pose elsewhere = Pose.of(v(1.3, -0.7, 0.4), 0.7, -0.4, 1.9);
        assertThat(Separation.between(a.moved(elsewhere), b.moved(elsewhere)).gap())
                .as("the whole scene somewhere else")
                .isCloseTo(expected, PROMISED);
    }

    /** The way out that is told parts them: shifted by the depth they touch. */
    @ParameterizedTest(name = "{0}")
    @MethodSource("pairs")
    void shiftedByTheGapTheyTouch(String name, Convex a, Convex b, double expected) {
        Apart apart = Separation.between(a, b);
        Pose shift = new Pose(
                apart.towards().scalarMultiply(expected), org.hipparchus.geometry.euclidean.threed.Rotation.IDENTITY);
        assertThat(Separation.between(a.moved(shift), b).gap()).isCloseTo(0, within(3e-5));
    }

    @Test
    void boxesHoldWhatIsInThem() {
        Frustum slanted = new Frustum(v(0, 0, 0), 0.1, v(0.3, 0.4, 0), 0.05);
        // Axis (0.6, 0.8, 0): a disc reaches 0.8 r along x, 0.6 r along y, r along z.
        assertThat(slanted.bounds())
                .usingRecursiveComparison()
                .withComparatorForType(new org.assertj.core.util.DoubleComparator(1e-12), Double.class)
                .isEqualTo(new Bounds(-0.08, -0.06, -0.1, 0.34, 0.43, 0.1));
        assertThat(ROD.bounds()).isEqualTo(new Bounds(-0.22, -0.02, -0.02, 0.22, 0.02, 0.02));
    }

    @Test
    void turnsAreThoseOfTheHand() {
        Pose turned = Pose.of(Vector3D.ZERO, Math.PI / 2, 0, 0);
        // Clockwise seen from above: what pointed rearwards points to the left.
        assertThat(turned.toRoom(Vector3D.PLUS_I)).satisfies(p -> near(p, v(0, -1, 0)));
        assertThat(Pose.of(Vector3D.ZERO, 0, Math.PI / 2, 0).toRoom(Vector3D.PLUS_K))
                .satisfies(p -> near(p, v(1, 0, 0)));
        assertThat(Pose.of(Vector3D.ZERO, 0, 0, Math.PI / 2).toRoom(Vector3D.PLUS_K))
                .satisfies(p -> near(p, v(0, 1, 0)));
        // Leaned right first, then turned: its top, now to the right, goes rearwards.
        assertThat(Pose.of(Vector3D.ZERO, Math.PI / 2, 0, Math.PI / 2).toRoom(Vector3D.PLUS_K))
                .satisfies(p -> near(p, v(1, 0, 0)));
        Pose there = Pose.of(v(1, 2, 3), 0.3, 0.2, 0.1);
        assertThat(there.toOwn(there.toRoom(v(0.4, 0.5, 0.6)))).satisfies(p -> near(p, v(0.4, 0.5, 0.6)));
    }

    private static void near(Vector3D found, Vector3D expected) {
        assertThat(found.distance(expected)).isLessThan(1e-12);
    }
}
