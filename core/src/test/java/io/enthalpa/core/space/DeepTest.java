package io.enthalpa.core.space;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Optional;
import org.hipparchus.geometry.euclidean.threed.Rotation;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;

/** Numbers off a tape lie on one another: corners of what grows inside two things in each other fall into one plane, and rounding tears it. */
@Timeout(20)
class DeepTest {
    private static final double RADIUS = 0.019;

    private static Gap swept(double wide, double deep, double high, Vector3D half, Vector3D from, Vector3D to) {
        return swept(wide, deep, high, half, from, to, 0).orElseThrow();
    }

    private static Optional<Gap> swept(
            double wide, double deep, double high, Vector3D half, Vector3D from, Vector3D to, double within) {
        Solid box = Solid.of("box", Hull.box(new Pose(half, Rotation.IDENTITY), wide, deep, high));
        Motion sweep = new Motion(Vector3D.ZERO, Vector3D.PLUS_I, 0, half);
        return Gaps.moved(box, sweep, Solid.of("tube", Frustum.cylinder(from, to, RADIUS)), Motion.STILL, within);
    }

    /**
     * Box 200 wide, 260 high, swept along 1950. Tube of 38 from (-80, -10) to (20, 390) across and up, well inside along. Its axis goes 0.242536
     * across and 0.970143 up; square to that the box reaches 0.1 x 0.970143 + 0.13 x 0.242536 = 0.128544, the tube's axis lies at
     * -0.08 x 0.970143 + 0.01 x 0.242536 = -0.075186, its skin at -0.056186: 0.072358 deep, and deeper to any other side.
     */
    @Test
    void depthOfALeaningTubeInASweptBoxIsAsWorkedByHand() {
        assertThat(leaning(0)).hasValueSatisfying(gap -> assertThat(gap.value()).isCloseTo(-0.072358, within(1.1e-5)));
    }

    private static Optional<Gap> leaning(double within) {
        Vector3D from = new Vector3D(-0.08, 0.15, -0.01);
        return swept(0.2, 0.08, 0.26, new Vector3D(0, 0.975, 0), from, new Vector3D(0.02, 0.15, 0.39), within);
    }

    /** The same tube, 0.072358 deep: who asks only for what stands deeper than so much hears of it, or of none. */
    @Test
    void whatStandsLessDeepThanIsAskedForIsLeftOut() {
        assertThat(leaning(-0.0722))
                .hasValueSatisfying(gap -> assertThat(gap.value()).isCloseTo(-0.072358, within(1.1e-5)));
        assertThat(leaning(-0.0725)).isEmpty();
        assertThat(leaning(-0.2)).isEmpty();
    }

    /** Box 170 wide, 100 deep, swept up; the tube lies level: across its axis, then by 0.109231 in the box: 0.085 x 0.894427 + 0.05 x 0.447214, less the axis' place, and its radius. */
    @Test
    void depthOfALevelTubeIsAsWorkedByHand() {
        Gap gap = swept(
                0.17,
                0.1,
                0.23,
                new Vector3D(0, 0, 0.875),
                new Vector3D(-0.03, -0.07, -0.02),
                new Vector3D(0.07, 0.13, -0.02));
        // 0.894427 across, -0.447214 along: the axis at -0.03 x 0.894427 + 0.07 x 0.447214 = 0.004472.
        assertThat(gap.value()).isCloseTo(-(0.098387 - 0.004472 + RADIUS), within(1.1e-5));
    }
}
