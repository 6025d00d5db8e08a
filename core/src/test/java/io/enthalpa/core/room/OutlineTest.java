package io.enthalpa.core.room;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.room.ObstacleShape.View;
import io.enthalpa.core.space.Gaps;
import io.enthalpa.core.space.Hull;
import io.enthalpa.core.space.Solid;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.junit.jupiter.api.Test;

/** Drawn outlines, planes, and the gap that is asked. */
class OutlineTest {
    /** An L of 0.4 x 0.4 with legs of 0.1: 0.04 + 0.03 m2. */
    private static final List<double[]> ANGLE = List.of(
            new double[] {0, 0},
            new double[] {0.4, 0},
            new double[] {0.4, 0.1},
            new double[] {0.1, 0.1},
            new double[] {0.1, 0.4},
            new double[] {0, 0.4});

    private static double gap(ObstacleShape shape, double back, double right, double up, double radius) {
        Solid ball = Solid.of("ball", Hull.ball(new Vector3D(back, right, up), radius));
        return Gaps.between(ball, shape.solid("it"), 10).orElseThrow().value();
    }

    @Test
    void outlineWithACornerInwardsIsFilledOnlyWhereItIs() {
        double pieces = Outline.convexPieces(ANGLE).stream()
                .mapToDouble(p -> Math.abs(Outline.area(List.of(p))))
                .sum();
        assertThat(pieces).isCloseTo(0.07, within(1e-12));
        ObstacleShape front = new ObstacleShape.Prism(View.FRONT, ANGLE, 1, 1.2);
        // In the corner's hollow, 0.1 from both legs.
        assertThat(gap(front, 1.1, 0.2, 0.2, 0.05)).isCloseTo(0.05, within(1e-6));
        assertThat(gap(front, 1.3, 0.05, 0.2, 0.05)).as("behind it").isCloseTo(0.05, within(1e-6));
        assertThat(gap(new ObstacleShape.Prism(View.SIDE, ANGLE, 1, 1.2), 0.2, 1.1, 0.2, 0.05))
                .isCloseTo(0.05, within(1e-6));
        assertThat(gap(new ObstacleShape.Prism(View.ABOVE, ANGLE, 1, 1.2), 0.2, 0.3, 1.1, 0.05))
                .isCloseTo(0.05, within(1e-6));
        assertThat(gap(front.shifted(0.1, 0.2, 0.3), 1.2, 0.4, 0.5, 0.05)).isCloseTo(0.05, within(1e-6));
    }

    @Test
    void whatIsNoOutlineIsNamed() {
        assertThat(ObstacleShape.Prism.wrong(ANGLE)).isEmpty();
        // A trough: the tops of both its walls lie on one line.
        List<double[]> trough = List.of(
                new double[] {0, 1},
                new double[] {0, 0},
                new double[] {1, 0},
                new double[] {1, 1},
                new double[] {0.9, 1},
                new double[] {0.9, 0.1},
                new double[] {0.1, 0.1},
                new double[] {0.1, 1});
        assertThat(ObstacleShape.Prism.wrong(trough)).isEmpty();
        assertThat(ObstacleShape.Prism.wrong(ANGLE.subList(0, 2))).isEqualTo("2 corners");
        assertThat(ObstacleShape.Prism.wrong(List.of(ANGLE.get(0), ANGLE.get(1), ANGLE.get(0))))
                .isEqualTo("no area");
        assertThat(ObstacleShape.Prism.wrong(
                        List.of(new double[] {0, 0}, new double[] {1, 1}, new double[] {1, 0}, new double[] {0, 0.6})))
                .isEqualTo("two sides cross");
    }

    /** A bonnet through (0, 0, 1) that falls 3 in 4 forwards: up = (-0.6, 0, 0.8); from (0.5, 0, 0.5) it is 0.6 x 0.5 + 0.8 x 0.5 off. */
    @Test
    void planeFallsForwards() {
        double falls = Math.atan2(3, 4);
        ObstacleShape bonnet = new ObstacleShape.Plane(new Vector3D(0, 0, 1), falls, 0, true);
        assertThat(gap(bonnet, 0.5, 0, 0.5, 0)).isCloseTo(0.7, within(1e-9));
        assertThat(gap(bonnet, -0.5, 0, 0.5, 0)).as("lower in front").isCloseTo(0.1, within(1e-9));
        ObstacleShape right = new ObstacleShape.Plane(new Vector3D(0, 0, 1), 0, falls, true);
        assertThat(gap(right, 0, 0.5, 0.5, 0)).as("lower to the right").isCloseTo(0.1, within(1e-9));
        ObstacleShape ground = new ObstacleShape.Plane(Vector3D.ZERO, 0, 0, false);
        assertThat(gap(ground, 0, 0, 0.5, 0.2)).isCloseTo(0.3, within(1e-9));
        assertThat(gap(ground.shifted(0, 0, 0.1), 0, 0, 0.5, 0.2)).isCloseTo(0.2, within(1e-9));
    }

    @Test
    void tubeIsRoundAtEveryPoint() {
        ObstacleShape hose = new ObstacleShape.Tube(
                List.of(new Vector3D(0, 0, 0), new Vector3D(1, 0, 0), new Vector3D(1, 1, 0)), 0.02);
        assertThat(gap(hose, 0.5, 0, 0.1, 0.03)).isCloseTo(0.05, within(1e-6));
        // Off the corner along its diagonal: 0.1 root 2 - 0.02 - 0.03.
        assertThat(gap(hose, 1.1, -0.1, 0, 0.03)).isCloseTo(0.1 * Math.sqrt(2) - 0.05, within(1e-6));
    }

    private static Obstacle obstacle(Nature nature, String carrier, OptionalDouble own) {
        return new Obstacle(
                "x", nature, carrier, own, new ObstacleShape.Plane(Vector3D.ZERO, 0, 0, true), Optional.empty());
    }

    /** By the table of common practice: 8 bare, 15 and 5 across engine and body, 40 to exhaust; the user's own figure before all. */
    @Test
    void askedGapIsThatOfWhatItIsAndWhatCarriesIt() {
        OptionalDouble none = OptionalDouble.empty();
        assertThat(AskedGap.from(obstacle(Nature.BODY, "body", none), "body")).isEqualTo(new AskedGap(8e-3, 8e-3));
        assertThat(AskedGap.from(obstacle(Nature.TRIMMED_EDGE, "body", none), "body"))
                .isEqualTo(new AskedGap(5e-3, 5e-3));
        assertThat(AskedGap.from(obstacle(Nature.BODY, "engine", none), "body")).isEqualTo(new AskedGap(15e-3, 5e-3));
        assertThat(AskedGap.from(obstacle(Nature.EXHAUST, "engine", none), "body"))
                .isEqualTo(new AskedGap(40e-3, 5e-3));
        assertThat(AskedGap.from(obstacle(Nature.TURNING, "body", none), "body"))
                .isEqualTo(new AskedGap(20e-3, 20e-3));
        assertThat(AskedGap.from(obstacle(Nature.TYRE, "body", none), "engine")).isEqualTo(new AskedGap(25e-3, 5e-3));
        assertThat(AskedGap.from(obstacle(Nature.BONNET, "body", none), "engine"))
                .as("the bonnet asks what it asks")
                .isEqualTo(new AskedGap(10e-3, 5e-3));
        assertThat(AskedGap.from(obstacle(Nature.EXHAUST, "engine", OptionalDouble.of(0.003)), "body"))
                .isEqualTo(new AskedGap(3e-3, 3e-3));
        assertThat(AskedGap.between("body", "body")).isEqualTo(new AskedGap(6e-3, 6e-3));
        assertThat(AskedGap.between("body", "engine")).isEqualTo(new AskedGap(15e-3, 5e-3));
    }
}
