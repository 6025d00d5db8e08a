package io.enthalpa.core.fit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.Rooms;
import io.enthalpa.core.Systems;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.fit.FitFinding.Kind;
import io.enthalpa.core.route.Run;
import io.enthalpa.core.route.Run.Corner;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.junit.jupiter.api.Test;

/** The hot pipe of 60.2 outside, its stock bent round 90.3; it ends on the core's inlet, 347 left of the datum. */
class BuildableTest {
    private static Vector3D p(double back, double right, double up) {
        return new Vector3D(back, right, up);
    }

    private static Corner corner(double back, double right, double up, double radius) {
        return new Corner(p(back, right, up), OptionalDouble.of(radius));
    }

    private static Run hot(Corner... corners) {
        return new Run("hot pipe", Optional.of(p(0.6, -0.8, 0)), List.of(corners), Optional.empty());
    }

    private static List<Buildable.Fault> of(Run run) {
        BuildOption option = Rooms.core(Systems.standard(), 0, 0, 0).withRuns(List.of(run));
        return Fit.of(option, Rooms.room()).unbuildable();
    }

    @Test
    void whatIsSoldAndHasRoomHasNoFault() {
        assertThat(of(hot(corner(0, -0.8, 0, 0.0903)))).isEmpty();
        // A mitre is sawn.
        assertThat(of(hot(corner(0, -0.8, 0, 0)))).isEmpty();
        // As tight as it is thick.
        assertThat(of(hot(corner(0, -0.8, 0, 0.0602)))).isEmpty();
    }

    @Test
    void aBendTighterThanAnyThatIsSoldTakesThatOfStock() {
        assertThat(of(hot(corner(0, -0.8, 0, 0.05)))).singleElement().satisfies(fault -> {
            assertThat(fault.says().kind()).isEqualTo(Kind.PIPE_TIGHT_BEND);
            assertThat(fault.says().figures())
                    .extracting(f -> f.value())
                    .usingElementComparator((a, b) -> Math.abs(a - b) < 1e-9 ? 0 : 1)
                    .containsExactly(1.0, 0.05, 0.0602);
            assertThat(fault.mended().orElseThrow().corners().get(0).radius()).isEmpty();
            assertThat(of(fault.mended().orElseThrow())).isEmpty();
        });
    }

    /** Down and level again, 190 apart: of that both bends take 90, and 10 are left of 20. */
    @Test
    void twoBendsAreWeldedOnSomeStraightAndTheSecondIsMovedByWhatIsMissing() {
        Run steps = new Run(
                "hot pipe",
                Optional.of(p(0.6, -0.8, 0.19)),
                List.of(corner(0.3, -0.8, 0.19, 0.09), corner(0.3, -0.8, 0, 0.09), corner(0, -0.8, 0, 0.09)),
                Optional.empty());
        assertThat(of(steps)).singleElement().satisfies(fault -> {
            assertThat(fault.says().kind()).isEqualTo(Kind.PIPE_NO_WELD);
            assertThat(fault.says().figures().get(0).value()).isEqualTo(2);
            assertThat(fault.says().figures().get(1).value()).isCloseTo(0.01, within(1e-9));
            // Straight down; a little more than 10, for the bend turns farther then.
            Vector3D at = fault.mended().orElseThrow().corners().get(1).at();
            assertThat(Math.hypot(at.getX() - 0.3, at.getY() + 0.8)).isLessThan(1e-9);
            assertThat(at.getZ()).isBetween(-0.02, -0.01);
            assertThat(of(fault.mended().orElseThrow())).isEmpty();
        });
    }

    /** Two right angles of 90 the same way, nothing between them: half of a U. Round the other way there is no such piece. */
    @Test
    void aUInOnePieceIsNotWelded() {
        Run u = new Run(
                "hot pipe",
                Optional.of(p(0.3, -0.5, 0.18)),
                List.of(corner(0.3, -0.8, 0.18, 0.09), corner(0.3, -0.8, 0, 0.09)),
                Optional.of(p(0.3, -0.5, 0)));
        assertThat(of(u)).isEmpty();
        Run s = new Run(
                "hot pipe",
                Optional.of(p(0.3, -0.5, 0.18)),
                List.of(corner(0.3, -0.8, 0.18, 0.09), corner(0.3, -0.8, 0, 0.09)),
                Optional.of(p(0.3, -1.1, 0)));
        assertThat(of(s)).extracting(f -> f.says().kind()).containsExactly(Kind.PIPE_NO_WELD);
    }

    /** 120 before the port, of which the bend takes 90: 30 are left of 50, so 20 farther off, and 3.6 more: it turns 2.3 degrees farther then. */
    @Test
    void aJointSitsOnSomeStraight() {
        Run near = hot(corner(0, -0.467, 0, 0.09));
        Run end = new Run("hot pipe", Optional.of(p(0.6, -0.467, 0)), near.corners(), Optional.empty());
        assertThat(of(end)).singleElement().satisfies(fault -> {
            assertThat(fault.says().kind()).isEqualTo(Kind.PIPE_NO_SEAT_END);
            assertThat(fault.says().figures().get(1).value()).isCloseTo(0.03, within(1e-9));
            Vector3D at = fault.mended().orElseThrow().corners().get(0).at();
            assertThat(Math.hypot(at.getX(), at.getZ())).isLessThan(1e-9);
            assertThat(at.getY()).isCloseTo(-0.4906, within(1e-4));
            assertThat(of(fault.mended().orElseThrow())).isEmpty();
        });
    }

    /** Beside the port 60 too far back and 500 from it: 6.8 degrees off. On the line of the port, as far off, it is square. */
    @Test
    void whatIsOutOfSquareTakesItsCornerOntoTheLineOfThePort() {
        assertThat(of(hot(corner(0.06, -0.847, 0, 0.09)))).singleElement().satisfies(fault -> {
            assertThat(fault.says().kind()).isEqualTo(Kind.PIPE_OUT_OF_SQUARE);
            assertThat(fault.says().to()).isEqualTo("the inlet of core");
            assertThat(fault.says().figures().get(0).value()).isCloseTo(Math.atan2(60, 500), within(1e-9));
            Run then = fault.mended().orElseThrow();
            assertThat(then.corners().get(0).at().distance(p(0, -0.847, 0))).isLessThan(1e-9);
            assertThat(of(then)).isEmpty();
        });
        Run straight = new Run("hot pipe", Optional.of(p(0.06, -0.847, 0)), List.of(), Optional.empty());
        assertThat(of(straight))
                .singleElement()
                .satisfies(fault -> assertThat(fault.mended()).isEmpty());
    }
}
