package io.enthalpa.core.fit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.Rooms;
import io.enthalpa.core.Systems;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.route.Brace;
import io.enthalpa.core.route.Fitting;
import io.enthalpa.core.route.Run;
import io.enthalpa.core.route.TurnList.Step;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.junit.jupiter.api.Test;

/** The hot pipe of {@link Systems}, tube of 60.2 outside and so of 90.3 bends, from 700 behind and 500 left of the core into its inlet, or to where it is typed. */
class RelaidTest {
    private static final double STOCK = 1.5 * 0.0602;

    private static Pipework pipes(Optional<Vector3D> to) {
        Run run = new Run(
                        "hot pipe",
                        Optional.of(new Vector3D(0.7, -0.5, 0)),
                        List.of(
                                new Run.Corner(new Vector3D(0.3, -0.5, 0), OptionalDouble.empty()),
                                new Run.Corner(new Vector3D(0.3, -0.9, 0), OptionalDouble.of(0.12)),
                                new Run.Corner(new Vector3D(0, -0.9, 0), OptionalDouble.empty())),
                        to)
                .withBraces(List.of(new Brace(0.2, "body", true)))
                .withFittings(List.of(new Fitting(Fitting.Kind.BOSS, 0.3, 0, Fitting.Size.USUAL)));
        BuildOption option = Rooms.core(Systems.standard(), 0, 0, 0).withRuns(List.of(run));
        return Pipework.of(option, Bodies.of(option));
    }

    private static List<Step> steps(Laid l) {
        return new ArrayList<>(l.turns().steps());
    }

    /** Told by its own turns it is the same run. */
    @Test
    void byItsOwnTurnsItIsItself() {
        Pipework pipes = pipes(Optional.empty());
        Laid l = pipes.laid().get(0);
        Run same = Relaid.turned(pipes, l, steps(l), l.turns().last());
        assertThat(same).isEqualTo(pipes.run(l));
    }

    /** 50 more before the second bend: what comes behind goes 50 to the left with it, the braces stay; an end on a port is not typed by it. */
    @Test
    void whatComesBehindMovesAlong() {
        for (Optional<Vector3D> to : List.of(Optional.<Vector3D>empty(), Optional.of(new Vector3D(0, -0.4, 0)))) {
            Pipework pipes = pipes(to);
            Laid l = pipes.laid().get(0);
            List<Step> steps = steps(l);
            Step second = steps.get(1);
            assertThat(second.length()).isCloseTo(0.4 - STOCK - 0.12, within(1e-9));
            steps.set(1, new Step(second.length() + 0.05, second.turn(), second.angle(), second.radius()));
            Run run = Relaid.turned(pipes, l, steps, l.turns().last());
            assertThat(run.corners().get(0).at()).isEqualTo(new Vector3D(0.3, -0.5, 0));
            assertThat(run.corners().get(1).at().distance(new Vector3D(0.3, -0.95, 0)))
                    .isLessThan(1e-5);
            assertThat(run.corners().get(2).at().distance(new Vector3D(0, -0.95, 0)))
                    .isLessThan(1e-5);
            assertThat(run.corners())
                    .extracting(Run.Corner::radius)
                    .containsExactly(OptionalDouble.empty(), OptionalDouble.of(0.12), OptionalDouble.empty());
            assertThat(run.to().map(t -> t.distance(new Vector3D(0, -0.45, 0)) < 1e-5))
                    .isEqualTo(to.map(t -> true));
            assertThat(run.braces()).hasSize(1);
            assertThat(run.fittings()).hasSize(1);
        }
    }

    /** A turn of the first bend by a right angle, clockwise in the way of the flow, which is to the front here: from the left upwards. */
    @Test
    void aBendIsTurned() {
        Pipework pipes = pipes(Optional.of(new Vector3D(0, -0.4, 0)));
        Laid l = pipes.laid().get(0);
        List<Step> steps = steps(l);
        Step first = steps.get(0);
        steps.set(0, new Step(first.length(), first.turn() + Math.PI / 2, first.angle(), Double.NaN));
        Run run = Relaid.turned(pipes, l, steps, l.turns().last());
        assertThat(run.corners().get(1).at().distance(new Vector3D(0.3, -0.5, 0.4)))
                .isLessThan(1e-5);
        assertThat(run.corners().get(0).radius()).isEmpty();
    }
}
