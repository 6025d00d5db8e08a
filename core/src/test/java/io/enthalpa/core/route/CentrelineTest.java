package io.enthalpa.core.route;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.route.RunSpec.Corner;
import io.enthalpa.core.space.Gaps;
import io.enthalpa.core.space.Hull;
import io.enthalpa.core.space.Pose;
import io.enthalpa.core.space.Solid;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.function.UnaryOperator;
import org.hipparchus.geometry.euclidean.threed.Rotation;
import org.hipparchus.geometry.euclidean.threed.RotationConvention;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class CentrelineTest {
    private static final double EXACT = 1e-9;

    private static Vector3D p(double back, double right, double up) {
        return new Vector3D(back, right, up);
    }

    private static RunSpec run(Vector3D from, Vector3D to, Corner... corners) {
        return new RunSpec(from, List.of(corners), to);
    }

    private static void same(Vector3D found, Vector3D wanted) {
        assertThat(Vector3D.distance(found, wanted))
                .as(found + " for " + wanted)
                .isLessThan(EXACT);
    }

    /** 500 rearwards, a right angle of radius 100, 400 to the right: 400 and 300 straight, an arc of 50 pi; its middle 100 (1 - cos 45) in. */
    private static final RunSpec ELBOW = run(p(0, 0, 0), p(0.5, 0.4, 0), new Corner(p(0.5, 0, 0), 0.1));

    /** A hump of two slopes of 45 degrees: its arc's middle lies 100 x root 2 under the corner, its top 100 over that. */
    @Test
    void theHighestPlaceIsOnTheArc() {
        RunSpec hump = run(p(0, 0, 0), p(0.6, 0, 0), new Corner(p(0.3, 0, 0.3), 0.1));
        assertThat(Centreline.of(hump, "hump").highest()).isCloseTo(0.3 - 0.1 * Math.sqrt(2) + 0.1, within(1e-12));
        RunSpec dip = run(p(0, 0, 0.3), p(0.6, 0, 0.2), new Corner(p(0.3, 0, 0), 0.1));
        assertThat(Centreline.of(dip, "dip").highest()).isEqualTo(0.3);
    }

    @Test
    void aRightAngleByHand() {
        Centreline line = Centreline.of(ELBOW, "pipe");
        assertThat(line.straight()).isCloseTo(0.7, within(EXACT));
        assertThat(line.length()).isCloseTo(0.7 + Math.PI / 20, within(EXACT));
        assertThat(line.bends()).hasSize(1);
        assertThat(line.bends().get(0).angle()).isCloseTo(Math.PI / 2, within(EXACT));
        same(line.at(0.4), p(0.4, 0, 0));
        same(line.at(0.4 + Math.PI / 40), p(0.4 + 0.1 * Math.sqrt(0.5), 0.1 * (1 - Math.sqrt(0.5)), 0));
        same(line.at(0.4 + Math.PI / 20), p(0.5, 0.1, 0));
        same(line.at(9), p(0.5, 0.4, 0));
        same(line.at(-1), p(0, 0, 0));
    }

    /** 45 degrees of radius 100 take 100 tan 22.5 = 41.42136 of each straight: of 200 and 100 sqrt 2 there remain 158.57864 and 100. */
    @Test
    void halfARightAngleByHand() {
        Centreline line = Centreline.of(run(p(0, 0, 0), p(0.3, 0, 0.1), new Corner(p(0.2, 0, 0), 0.1)), "pipe");
        assertThat(line.stretches())
                .extracting(Centreline.Stretch::length)
                .usingElementComparator((a, b) -> Math.abs(a - b) < 1e-8 ? 0 : Double.compare(a, b))
                .containsExactly(0.1585786438, Math.PI / 40, 0.1);
        Centreline.Stretch bend = line.stretches().get(1);
        same(bend.heading(0), p(1, 0, 0));
        same(bend.heading(bend.length()), p(Math.sqrt(0.5), 0, Math.sqrt(0.5)));
    }

    /** Two right angles whose arcs touch leave no straight between them: a U of radius 100, pi 100 long, whose ends stand 200 apart. */
    @Test
    void aBendAllTheWayBackIsTwo() {
        RunSpec u = run(p(0, 0, 0), p(0, 0.2, 0), new Corner(p(0.3, 0, 0), 0.1), new Corner(p(0.3, 0.2, 0), 0.1));
        Centreline line = Centreline.of(u, "pipe");
        assertThat(line.stretches()).hasSize(4);
        assertThat(line.length()).isCloseTo(0.4 + Math.PI / 10, within(EXACT));
        same(line.at(0.2 + Math.PI / 20), p(0.3, 0.1, 0));
    }

    /** A mitre has no length, and a corner that does not turn no bend. */
    @Test
    void aMitreTurnsAtOnceAndAStraightCornerNotAtAll() {
        Centreline mitre = Centreline.of(run(p(0, 0, 0), p(0.5, 0.4, 0), new Corner(p(0.5, 0, 0), 0)), "pipe");
        assertThat(mitre.length()).isCloseTo(0.9, within(EXACT));
        assertThat(mitre.bends())
                .singleElement()
                .satisfies(b -> assertThat(b.length()).isZero());
        Centreline straight = Centreline.of(run(p(0, 0, 0), p(1, 0, 0), new Corner(p(0.5, 0, 0), 0.1)), "pipe");
        assertThat(straight.bends()).isEmpty();
        assertThat(straight.length()).isCloseTo(1, within(EXACT));
    }

    /** Rearwards, then left of it (the car's right), then up: a quarter back from straight up, then a quarter on; then an S, half round. */
    @Test
    void turnsByHand() {
        RunSpec run = run(
                p(0, 0, 0),
                p(0.8, 0.4, 0.5),
                new Corner(p(0.4, 0, 0), 0.1),
                new Corner(p(0.4, 0.4, 0), 0.1),
                new Corner(p(0.4, 0.4, 0.5), 0.1));
        TurnList turns = TurnList.of(run, "pipe");
        assertThat(turns.steps())
                .extracting(s -> Math.toDegrees(s.turn()))
                .usingElementComparator((a, b) -> Math.abs(a - b) < 1e-6 ? 0 : Double.compare(a, b))
                .containsExactly(-90.0, 90.0, 90.0);
        assertThat(turns.steps().get(0).length()).isCloseTo(0.3, within(EXACT));
        assertThat(turns.steps().get(1).length()).isCloseTo(0.2, within(EXACT));
        assertThat(turns.steps().get(2).length()).isCloseTo(0.3, within(EXACT));
        assertThat(turns.last()).isCloseTo(0.3, within(EXACT));
        RunSpec s = run(p(0, 0, 0), p(1, 0.4, 0), new Corner(p(0.5, 0, 0), 0.1), new Corner(p(0.5, 0.4, 0), 0.1));
        assertThat(Math.abs(TurnList.of(s, "pipe").steps().get(1).turn())).isCloseTo(Math.PI, within(EXACT));
    }

    /** From a length, a turn and an angle to the corner: 300 and 100 tan 45 on from the beginning, upwards with no turn. */
    @Test
    void cornersFromTurnsByHand() {
        TurnList turns = new TurnList(
                p(0, 0, 0),
                p(1, 0, 0),
                List.of(
                        new TurnList.Step(0.3, 0, Math.PI / 2, 0.1),
                        new TurnList.Step(0.2, Math.PI / 2, Math.PI / 2, 0.1)),
                0.15);
        RunSpec run = turns.run();
        same(run.corners().get(0).at(), p(0.4, 0, 0));
        same(run.corners().get(1).at(), p(0.4, 0, 0.4));
        // Upwards, inwards being forwards (X x -Z is Y, so a quarter on from -X about Z): to the left.
        same(run.to(), p(0.4, -0.25, 0.4));
    }

    static List<Random> seeds() {
        return java.util.stream.LongStream.range(0, 60).mapToObj(Random::new).toList();
    }

    /** One to six bends anywhere, every straight as long as its bends need and a little more. */
    private static RunSpec any(Random random) {
        List<TurnList.Step> steps = new ArrayList<>();
        for (int i = 0; i <= random.nextInt(6); i++) {
            steps.add(new TurnList.Step(
                    0.001 + random.nextDouble(),
                    (random.nextDouble() - 0.5) * 2 * Math.PI,
                    Math.toRadians(1 + 169 * random.nextDouble()),
                    0.03 + 0.2 * random.nextDouble()));
        }
        Vector3D heading = new Vector3D(random.nextGaussian(), random.nextGaussian(), random.nextGaussian());
        return new TurnList(
                        p(random.nextGaussian(), random.nextGaussian(), 0),
                        heading.normalize(),
                        steps,
                        0.001 + random.nextDouble())
                .run();
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void cornersAndTurnsTellTheSame(Random random) {
        RunSpec run = any(random);
        RunSpec back = TurnList.of(run, "pipe").run();
        for (int i = 0; i < run.points().size(); i++) {
            same(back.points().get(i), run.points().get(i));
        }
    }

    /** Each stretch begins where the one before it ends, in the way in which that ends, and the last ends where the run does. */
    @ParameterizedTest
    @MethodSource("seeds")
    void itIsOneLineWithoutAKink(Random random) {
        RunSpec run = any(random);
        List<Centreline.Stretch> all = Centreline.of(run, "pipe").stretches();
        same(all.get(0).at(0), run.from());
        for (int i = 1; i < all.size(); i++) {
            Centreline.Stretch before = all.get(i - 1);
            same(all.get(i).at(0), before.at(before.length()));
            same(all.get(i).heading(0), before.heading(before.length()));
        }
        Centreline.Stretch last = all.get(all.size() - 1);
        same(last.at(last.length()), run.to());
    }

    /** Mirrored, turned round and carried elsewhere it is as long and bends as much; mirrored it turns the other way. */
    @ParameterizedTest
    @MethodSource("seeds")
    void mirroredMovedOrReversedItIsTheSamePipe(Random random) {
        RunSpec run = any(random);
        Centreline line = Centreline.of(run, "pipe");
        Pose pose = new Pose(p(1, 2, 3), new Rotation(p(1, 1, 0).normalize(), 0.7, RotationConvention.VECTOR_OPERATOR));
        for (UnaryOperator<RunSpec> how :
                List.<UnaryOperator<RunSpec>>of(RunSpec::mirrored, RunSpec::reversed, r -> moved(r, pose))) {
            Centreline other = Centreline.of(how.apply(run), "pipe");
            assertThat(other.length()).isCloseTo(line.length(), within(EXACT));
            assertThat(other.straight()).isCloseTo(line.straight(), within(EXACT));
        }
        List<TurnList.Step> steps = TurnList.of(run, "pipe").steps();
        List<TurnList.Step> mirror = TurnList.of(run.mirrored(), "pipe").steps();
        for (int i = 0; i < steps.size(); i++) {
            double sum = steps.get(i).turn() + mirror.get(i).turn();
            assertThat(Math.sin(sum / 2)).isCloseTo(0, within(1e-7));
        }
    }

    private static RunSpec moved(RunSpec run, Pose pose) {
        return new RunSpec(
                pose.toRoom(run.from()),
                run.corners().stream()
                        .map(c -> new Corner(pose.toRoom(c.at()), c.radius()))
                        .toList(),
                pose.toRoom(run.to()));
    }

    /** Against its middle line walked in steps of 0.1 mm: a point keeps what is nearest less the radius, to 0.01 mm. */
    @ParameterizedTest
    @MethodSource("seeds")
    void itsBodyIsAsWideAsTheTube(Random random) {
        RunSpec run = any(random);
        Centreline line = Centreline.of(run, "pipe");
        Centreline.Bend bend = line.bends().get(0);
        // Somewhere beside a bend, on its inside or its outside, clear of it.
        Vector3D about = bend.at(bend.length() * random.nextDouble())
                .add((random.nextBoolean() ? 0.04 : -0.04), bend.inward())
                .add(0.02, bend.way().crossProduct(bend.inward()));
        double walked = Double.POSITIVE_INFINITY;
        for (double s = 0; s <= line.length(); s += 1e-4) {
            walked = Math.min(walked, line.at(s).distance(about));
        }
        double outside = 0.02;
        double gap = Gaps.between(line.solid("pipe", outside), Solid.of("point", Hull.ball(about, 0)), 10)
                .orElseThrow()
                .value();
        // Past a flat end it is farther than a round one would be.
        assertThat(gap).isBetween(walked - outside / 2 - 1e-5, walked + outside);
        if (walked < about.distance(run.from()) - 1e-3 && walked < about.distance(run.to()) - 1e-3) {
            assertThat(gap).isCloseTo(walked - outside / 2, within(1e-5));
        }
    }

    private static void refused(RunSpec spec, String field, String... says) {
        assertThatThrownBy(() -> Centreline.of(spec, "cold pipe"))
                .isInstanceOfSatisfying(
                        EnthalpaFault.class, f -> assertThat(f.field()).isEqualTo(field))
                .message()
                .contains(says);
    }

    /** A right angle takes its radius of both straights. */
    @Test
    void whatCannotBeMadeIsNamed() {
        refused(
                run(p(0, 0, 0), p(0.5, 0.08, 0), new Corner(p(0.5, 0, 0), 0.1)),
                "corners/0/radius",
                "radius of corner 1 of cold pipe is 100.0 mm",
                "80.0 mm at most");
        refused(
                run(p(0, 0, 0), p(0.5, 0.3, 0.5), new Corner(p(0.5, 0, 0), 0.1), new Corner(p(0.5, 0.3, 0), 0.25)),
                "corners/1/radius",
                "radius of corner 2 of cold pipe is 250.0 mm",
                "200.0 mm at most");
        refused(run(p(0, 0, 0), p(0, 0, 0)), "to", "end of cold pipe");
        refused(run(p(0, 0, 0), p(1, 0, 0), new Corner(p(0, 0, 0), 0)), "corners/0", "corner 1 of cold pipe");
        refused(run(p(0, 0, 0), p(0.1, 0.001, 0), new Corner(p(0.5, 0, 0), 0.1)), "corners/0", "175");
        refused(run(p(0, 0, 0), p(0, 1, 0), new Corner(p(1, 0, 0), Double.NaN)), "corners/0/radius", "NaN");
        List<Corner> many = new ArrayList<>();
        for (int i = 0; i < 61; i++) {
            many.add(new Corner(p(1 + i, i % 2, 0), 0.1));
        }
        refused(new RunSpec(p(0, 0, 0), many, p(99, 0, 0)), "corners", "61", "60 at most");
    }
}
