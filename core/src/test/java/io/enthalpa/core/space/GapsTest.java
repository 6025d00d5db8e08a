package io.enthalpa.core.space;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.function.UnaryOperator;
import org.hipparchus.geometry.euclidean.threed.Rotation;
import org.hipparchus.geometry.euclidean.threed.RotationConvention;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Gaps of many shapes against other ways to find them, made here and not from the code under test. */
class GapsTest {
    private static Vector3D v(double x, double y, double z) {
        return new Vector3D(x, y, z);
    }

    /** A shape, and the nearest point of it to any point. */
    private record Known(Convex convex, UnaryOperator<Vector3D> nearest) {}

    private static Pose pose(Random random, double far) {
        return Pose.of(
                v(random.nextDouble() * far, random.nextDouble() * far, random.nextDouble() * far),
                random.nextDouble() * 6,
                random.nextDouble() * 6,
                random.nextDouble() * 6);
    }

    private static double clamp(double x, double most) {
        return Math.max(-most, Math.min(most, x));
    }

    private static Known box(Pose pose, double x, double y, double z) {
        return new Known(Hull.box(pose, x, y, z), p -> {
            Vector3D own = pose.toOwn(p);
            return pose.toRoom(v(clamp(own.getX(), x / 2), clamp(own.getY(), y / 2), clamp(own.getZ(), z / 2)));
        });
    }

    private static Known cylinder(Pose pose, double radius, double length) {
        Convex convex = Frustum.cylinder(pose.toRoom(v(0, 0, -length / 2)), pose.toRoom(v(0, 0, length / 2)), radius);
        return new Known(convex, p -> {
            Vector3D own = pose.toOwn(p);
            double out = Math.hypot(own.getX(), own.getY());
            double share = out > radius ? radius / out : 1;
            return pose.toRoom(v(own.getX() * share, own.getY() * share, clamp(own.getZ(), length / 2)));
        });
    }

    private static Known rod(Pose pose, double radius, double length) {
        Convex convex = Hull.rod(pose.toRoom(v(0, 0, -length / 2)), pose.toRoom(v(0, 0, length / 2)), radius);
        return new Known(convex, p -> {
            Vector3D own = pose.toOwn(p);
            Vector3D foot = v(0, 0, clamp(own.getZ(), length / 2));
            Vector3D arm = own.subtract(foot);
            double out = arm.getNorm();
            return pose.toRoom(out > radius ? foot.add(radius / out, arm) : own);
        });
    }

    private static Known some(Random random, double far) {
        Pose pose = pose(random, far);
        double a = 0.05 + 0.3 * random.nextDouble();
        double b = 0.05 + 0.3 * random.nextDouble();
        return switch (random.nextInt(3)) {
            case 0 -> box(pose, a, b, 0.1);
            case 1 -> cylinder(pose, a / 2, b);
            default -> rod(pose, a / 4, b);
        };
    }

    /**
     * From the one to the other and back, each time to the nearest point, until nothing moves: von Neumann (1950), Functional Operators,
     * vol. II; for two convex sets what is left is their distance.
     *
     * @return NaN when it still moves after many rounds, as between faces all but parallel
     */
    private static double alternating(Known a, Known b) {
        Vector3D p = a.nearest.apply(Vector3D.ZERO);
        for (int i = 0; i < 3000; i++) {
            Vector3D q = b.nearest.apply(p);
            Vector3D next = a.nearest.apply(q);
            if (next.distance(p) < 1e-12) {
                return next.distance(q);
            }
            p = next;
        }
        return Double.NaN;
    }

    @Test
    void twoShapesAnyhowTurnedAgreeWithAlternatingProjections() {
        Random random = new Random(4);
        int apart = 0;
        for (int i = 0; i < 400; i++) {
            Known a = some(random, 0.6);
            Known b = some(random, 0.6);
            double expected = alternating(a, b);
            if (Double.isNaN(expected)) {
                continue;
            }
            Apart found = Separation.between(a.convex, b.convex);
            assertThat(found.loose()).as("pair %d", i).isLessThan(1e-5);
            if (expected > 1e-4) {
                apart++;
                assertThat(found.gap()).as("pair %d", i).isCloseTo(expected, within(1e-5));
                assertThat(Separation.meet(a.convex, b.convex)).as("pair %d", i).isFalse();
            } else {
                assertThat(found.gap()).as("pair %d", i).isLessThan(1e-4);
            }
        }
        assertThat(apart).isBetween(150, 390);
    }

    /** The depth is the least of all shifts that part them: none of many directions needs less, and the one told is enough. */
    @Test
    void noDirectionPartsThemSooner() {
        Random random = new Random(5);
        int inside = 0;
        for (int i = 0; i < 200; i++) {
            Known a = some(random, 0.15);
            Known b = some(random, 0.15);
            Apart found = Separation.between(a.convex, b.convex);
            if (found.gap() > -1e-3) {
                continue;
            }
            inside++;
            assertThat(Separation.meet(a.convex, b.convex)).as("pair %d", i).isTrue();
            double depth = -found.gap();
            for (int k = 0; k < 400; k++) {
                Vector3D n = v(random.nextGaussian(), random.nextGaussian(), random.nextGaussian())
                        .normalize();
                double way = reach(a.convex, n) + reach(b.convex, n.negate());
                assertThat(depth).as("pair %d", i).isLessThan(way + 1e-5);
            }
            Vector3D n = found.towards();
            assertThat(reach(a.convex, n) + reach(b.convex, n.negate())).isCloseTo(depth, within(1e-5));
        }
        assertThat(inside).isGreaterThan(100);
    }

    private static double reach(Convex shape, Vector3D n) {
        return shape.reach(n.getX(), n.getY(), n.getZ()) + shape.rounding();
    }

    private static List<Convex> bowl(int around, int up) {
        List<Convex> triangles = new ArrayList<>();
        for (int i = 0; i < around; i++) {
            for (int j = 0; j < up; j++) {
                Vector3D a = onBowl(i, j, around, up);
                Vector3D b = onBowl(i + 1, j, around, up);
                Vector3D c = onBowl(i, j + 1, around, up);
                Vector3D d = onBowl(i + 1, j + 1, around, up);
                triangles.add(Hull.of(List.of(a, b, c), 0));
                triangles.add(Hull.of(List.of(b, d, c), 0));
            }
        }
        return triangles;
    }

    /** A wavy bowl of about 0.5 m. */
    private static Vector3D onBowl(int i, int j, int around, int up) {
        double angle = 2 * Math.PI * i / around;
        double height = (double) j / up;
        double r = 0.5 * Math.sqrt(height) * (1 + 0.05 * Math.sin(7 * angle));
        return v(r * Math.cos(angle), r * Math.sin(angle), 0.5 * height);
    }

    @Test
    void meshThroughItsBoxesIsTheLeastOfAllItsTriangles() {
        List<Convex> triangles = bowl(40, 25);
        Solid mesh = Solid.of("bowl", triangles.toArray(Convex[]::new));
        Random random = new Random(6);
        for (int i = 0; i < 40; i++) {
            Pose pose = Pose.of(
                    v(random.nextDouble() - 0.5, random.nextDouble() - 0.5, 0.8 * random.nextDouble()),
                    6 * random.nextDouble(),
                    1,
                    2);
            Convex body = i % 2 == 0
                    ? Hull.box(pose, 0.2, 0.1, 0.05)
                    : Frustum.cylinder(pose.toRoom(Vector3D.ZERO), pose.toRoom(v(0, 0, 0.2)), 0.03);
            List<Apart> all =
                    triangles.stream().map(t -> Separation.between(body, t)).toList();
            double least = all.stream().mapToDouble(Apart::gap).min().orElseThrow();
            double most = all.stream()
                    .mapToDouble(apart -> apart.gap() + apart.loose())
                    .min()
                    .orElseThrow();
            if (Math.abs(least) > 1e-6) {
                assertThat(Gaps.meet(Solid.of("body", body), mesh)).isEqualTo(least < 0);
                assertThat(Gaps.meet(mesh, Solid.of("body", body))).isEqualTo(least < 0);
            }
            Optional<Gap> found = Gaps.between(Solid.of("body", body), mesh, 10);
            // The answer lies between what each says it lies between, and both are known to less than a thousandth of a
            // millimetre.
            Apart apart = found.orElseThrow().apart();
            assertThat(apart.gap())
                    .isLessThanOrEqualTo(most + 2e-8)
                    .isGreaterThanOrEqualTo(least - apart.loose() - 2e-8);
            assertThat(Math.max(apart.loose(), most - least)).isLessThan(1e-5);
            assertThat(Gaps.between(mesh, Solid.of("body", body), 10)
                            .orElseThrow()
                            .value())
                    .as("symmetric")
                    .isCloseTo(least, within(1e-5));
        }
    }

    @Test
    void nothingIsToldBeyondWhatWasAsked() {
        Solid a = Solid.of("a", Hull.ball(Vector3D.ZERO, 0.1));
        Solid b = Solid.of("b", Hull.ball(v(1, 0, 0), 0.1));
        assertThat(Gaps.between(a, b, 0.7)).isEmpty();
        assertThat(Gaps.between(a, b, 0.9).orElseThrow().value()).isCloseTo(0.8, within(1e-6));
    }

    @Test
    void gapNamesTheElementsItIsBetween() {
        Solid core = Solid.of(List.of(
                new Solid.Part("block", Hull.box(Pose.ORIGIN, 0.1, 0.5, 0.3)),
                new Solid.Part("left tank", Hull.box(Pose.at(0, -0.3, 0), 0.1, 0.1, 0.3)),
                new Solid.Part("right tank", Hull.box(Pose.at(0, 0.3, 0), 0.1, 0.1, 0.3))));
        Solid lamp = Solid.of("lamp", Hull.box(Pose.at(0, 0.43, 0), 0.2, 0.2, 0.2));
        Gap gap = Gaps.between(core, lamp, 1).orElseThrow();
        // 0.43 - 0.1 - 0.35.
        assertThat(gap.value()).isCloseTo(-0.02, within(1e-6));
        assertThat(core.elements().get(gap.elementA())).isEqualTo("right tank");
    }

    @Test
    void planeKeepsOffTheLowestPoint() {
        // A bonnet at 0.8 that is filled above: its normal points down.
        Solid bonnet = Solid.beyond("bonnet", new Solid.HalfSpace(v(0, 0, 0.8), v(0, 0, -1)));
        Solid ball = Solid.of("ball", Hull.ball(v(3, 1, 0.6), 0.05));
        assertThat(Gaps.between(ball, bonnet, 1).orElseThrow().value()).isCloseTo(0.15, within(1e-12));
        assertThat(Gaps.between(bonnet, ball, 1).orElseThrow().value()).isCloseTo(0.15, within(1e-12));
        // A bonnet falling by 3 to 4 forwards over a block: the nearest corner counts. n = (0.6, 0, -0.8) through the
        // origin.
        Solid slope = Solid.beyond("bonnet", new Solid.HalfSpace(Vector3D.ZERO, v(0.6, 0, -0.8)));
        Solid block = Solid.of("block", Hull.box(Pose.at(0.5, 0, -0.5), 0.2, 0.2, 0.2));
        assertThat(Gaps.between(block, slope, 9).orElseThrow().value()).isCloseTo(0.6 * 0.4 + 0.8 * 0.4, within(1e-9));
    }

    private static final Motion ENGINE =
            new Motion(v(0, 0, 0.3), Vector3D.PLUS_I, Math.toRadians(3), v(0.004, 0, 0.005));

    @Test
    void shiftsOfAnEngineAreTakenOffWhereTheyGo() {
        Motion lift = new Motion(Vector3D.ZERO, Vector3D.PLUS_I, 0, v(0.004, 0, 0.005));
        Solid pipe = Solid.of("pipe", Hull.rod(v(-0.1, 0, 0), v(0.1, 0, 0), 0.03));
        Solid above = Solid.of("above", Hull.box(Pose.at(0, 0, 0.1), 0.5, 0.5, 0.1));
        // 0.05 - 0.03 - 0.005: lift alone goes towards it.
        assertThat(Gaps.moved(pipe, lift, above, Motion.STILL, 1).orElseThrow().value())
                .isCloseTo(0.015, within(1e-6));
        Solid bonnet = Solid.beyond("bonnet", new Solid.HalfSpace(v(0, 0, 0.05), v(0, 0, -1)));
        assertThat(Gaps.moved(pipe, lift, bonnet, Motion.STILL, 1).orElseThrow().value())
                .isCloseTo(0.015, within(1e-9));
        Solid beside = Solid.of("beside", Hull.box(Pose.at(0, 0.2, 0), 0.1, 0.1, 0.02));
        // 0.15 - 0.03: neither shift goes to the right.
        assertThat(Gaps.moved(pipe, lift, beside, Motion.STILL, 1).orElseThrow().value())
                .isCloseTo(0.12, within(1e-6));
    }

    /**
     * Between the axis and the ball: it comes nearer to both sides alike, by 0.7 (1 - cos 3 degrees), which its tangent in the middle knows
     * nothing of.
     */
    @Test
    void aRollComesNearerToWhatStandsInsideItsCircle() {
        Motion roll = new Motion(Vector3D.ZERO, Vector3D.PLUS_I, Math.toRadians(3), Vector3D.ZERO);
        Solid ball = Solid.of("ball", Hull.ball(v(0, 0.7, 0), 0.05));
        Solid wall = Solid.of("wall", Hull.box(Pose.at(0, 0.55, 0), 0.5, 0.1, 0.5));
        double nearer = 0.7 * (1 - Math.cos(Math.toRadians(3)));
        assertThat(Gaps.moved(ball, roll, wall, Motion.STILL, 1).orElseThrow().value())
                .isCloseTo(0.05 - nearer, within(1e-5));
        assertThat(Gaps.moved(wall, Motion.STILL, ball, roll, 1).orElseThrow().value())
                .isCloseTo(0.05 - nearer, within(1e-5));
    }

    /** A ball 0.4 m to the right of the axis falls by 0.4 sin 3 degrees when the engine rolls, and comes 0.4 (1 - cos) nearer the axis. */
    @Test
    void rollGoesAlongItsCircle() {
        Motion roll = new Motion(Vector3D.ZERO, Vector3D.PLUS_I, Math.toRadians(3), Vector3D.ZERO);
        Solid ball = Solid.of("ball", Hull.ball(v(0, 0.4, 0), 0.05));
        Solid ground = Solid.beyond("ground", new Solid.HalfSpace(v(0, 0, -0.1), v(0, 0, 1)));
        assertThat(Gaps.moved(ball, roll, ground, Motion.STILL, 1).orElseThrow().value())
                .isCloseTo(0.1 - 0.05 - 0.4 * Math.sin(Math.toRadians(3)), within(2e-6));
        Solid wall = Solid.of("wall", Hull.box(Pose.at(0, 0.55, 0), 0.3, 0.1, 1));
        // The wall at 0.5 is nearest in the middle of the roll: 0.5 - 0.45.
        assertThat(Gaps.moved(ball, roll, wall, Motion.STILL, 1).orElseThrow().value())
                .isCloseTo(0.05, within(2e-6));
        // Both roll: what hangs on the other carrier comes to meet it.
        Motion other = new Motion(v(0, 1, 0), Vector3D.PLUS_I, Math.toRadians(2), Vector3D.ZERO);
        Solid second = Solid.of("second", Hull.ball(v(0, 0.4, -0.2), 0.05));
        // Its arm from that axis is (-0.6, -0.2); both angles through all they can be, ends included.
        double least = Double.POSITIVE_INFINITY;
        for (int i = -300; i <= 300; i++) {
            for (int k = -300; k <= 300; k++) {
                double a = Math.toRadians(3) * i / 300;
                double b = Math.toRadians(2) * k / 300;
                double y = 1 - 0.6 * Math.cos(b) + 0.2 * Math.sin(b) - 0.4 * Math.cos(a);
                double z = -0.6 * Math.sin(b) - 0.2 * Math.cos(b) - 0.4 * Math.sin(a);
                least = Math.min(least, Math.hypot(y, z) - 0.1);
            }
        }
        assertThat(Gaps.moved(ball, roll, second, other, 1).orElseThrow().value())
                .isCloseTo(least, within(1e-5));
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4, 5, 6, 7, 8})
    void noPoseOfTheEngineComesNearerThanIsSaid(int seed) {
        Random random = new Random(seed);
        Known moving = some(random, 0.5);
        Known still = some(random, 0.5);
        Solid a = Solid.of("a", moving.convex);
        Solid b = Solid.of("b", still.convex);
        double found = Gaps.moved(a, ENGINE, b, Motion.STILL, 10).orElseThrow().value();
        double least = Double.POSITIVE_INFINITY;
        for (int i = -60; i <= 60; i++) {
            double angle = ENGINE.roll() * i / 60;
            for (double x : new double[] {-0.004, 0, 0.004}) {
                for (double z : new double[] {-0.005, 0, 0.005}) {
                    Rotation turn = new Rotation(Vector3D.PLUS_I, angle, RotationConvention.VECTOR_OPERATOR);
                    Vector3D axis = v(0, 0, 0.3);
                    Pose there = new Pose(axis.subtract(turn.applyTo(axis)).add(v(x, 0, z)), turn);
                    least = Math.min(
                            least,
                            Separation.between(moving.convex.moved(there), still.convex)
                                    .gap());
                }
            }
        }
        assertThat(found).isLessThanOrEqualTo(least + 1e-6);
        if (least > 1e-3) {
            // Shifts between corners cannot be nearer by more than one curved face lets them; the roll's steps are 0.05
            // degrees.
            assertThat(found).isGreaterThan(least - 5e-4);
        }
        assertThat(Gaps.moved(b, Motion.STILL, a, ENGINE, 10).orElseThrow().value())
                .isCloseTo(found, within(1e-5));
        Pose elsewhere = Pose.at(1, 2, 3);
        Motion there = new Motion(ENGINE.point().add(v(1, 2, 3)), ENGINE.axis(), ENGINE.roll(), ENGINE.travel());
        assertThat(Gaps.moved(a.moved(elsewhere), there, b.moved(elsewhere), Motion.STILL, 10)
                        .orElseThrow()
                        .value())
                .isCloseTo(found, within(1e-5));
    }

    /**
     * What is left out unlooked at must not have been the nearest: of thirty rods on a carrier that rolls and shifts, against a box of another
     * and against a plane, the least is that of the nearest alone.
     */
    @Test
    void ofManyPartsTheOneThatComesNearestIsFound() {
        Random random = new Random(8);
        for (int k = 0; k < 40; k++) {
            List<Convex> rods = new ArrayList<>();
            for (int i = 0; i < 30; i++) {
                Vector3D from = near(random, 0.5);
                rods.add(Hull.rod(from, from.add(near(random, 0.05)), 0.01));
            }
            Motion rolls =
                    new Motion(near(random, 0.6), near(random, 1).normalize(), 0.1, new Vector3D(0.03, 0.01, 0.02));
            Motion shifts = new Motion(Vector3D.ZERO, Vector3D.PLUS_K, 0.02, new Vector3D(0.005, 0.004, 0));
            Solid box = Solid.of("box", Hull.box(Pose.at(0.9, 0.1, 0), 0.2, 0.6, 0.5));
            Solid beside = Solid.of("box", Hull.box(Pose.at(0.1, 0.9, 0), 0.6, 0.2, 0.5));
            Solid plane = Solid.beyond("plane", new Solid.HalfSpace(new Vector3D(0, 0, -0.7), Vector3D.PLUS_K));
            for (Solid other : List.of(box, beside, plane)) {
                Motion its = other == plane ? Motion.STILL : shifts;
                double alone = rods.stream()
                        .mapToDouble(rod -> Gaps.moved(Solid.of("rod", rod), rolls, other, its, 10)
                                .orElseThrow()
                                .value())
                        .min()
                        .orElseThrow();
                Solid all = Solid.of("rods", rods.toArray(Convex[]::new));
                assertThat(Gaps.moved(all, rolls, other, its, 10).orElseThrow().value())
                        .isCloseTo(alone, within(1e-5));
                assertThat(Gaps.moved(other, its, all, rolls, 10).orElseThrow().value())
                        .isCloseTo(alone, within(1e-5));
            }
        }
    }

    private static Vector3D near(Random random, double far) {
        return new Vector3D(random.nextDouble() - 0.5, random.nextDouble() - 0.5, random.nextDouble() - 0.5)
                .scalarMultiply(2 * far);
    }
}
