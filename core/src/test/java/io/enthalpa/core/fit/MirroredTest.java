package io.enthalpa.core.fit;

import static org.assertj.core.api.Assertions.assertThat;

import io.enthalpa.core.Paths;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.chargepath.PathElement.Leg;
import io.enthalpa.core.chargepath.PathElement.Parallel;
import io.enthalpa.core.chargepath.PathElement.Pipe;
import io.enthalpa.core.chargepath.Pieces;
import io.enthalpa.core.route.Brace;
import io.enthalpa.core.route.Fitting;
import io.enthalpa.core.route.Oval;
import io.enthalpa.core.route.Run;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.junit.jupiter.api.Test;

/** Two pipes in each leg; the left ones are laid. */
class MirroredTest {
    private static final Run LEFT = new Run(
                    "left second",
                    Optional.of(new Vector3D(0.1, -0.2, 0.3)),
                    List.of(new Run.Corner(new Vector3D(0.4, -0.5, 0.6), OptionalDouble.of(0.09))),
                    Optional.empty())
            .withBraces(List.of(new Brace(0.2, "engine", true)))
            .withFittings(List.of(new Fitting(Fitting.Kind.SENSOR, 0.15, 0.5, Fitting.Size.USUAL)))
            .withOvals(List.of(new Oval(0.35, 0.05, 0.04, 0.3, true)));

    private static BuildOption option(Run... runs) {
        Parallel banks = new Parallel(
                "banks",
                0.4,
                List.of(
                        new Leg(
                                "left",
                                List.of(
                                        Paths.pipe("left first", 0.051, 0.3, 1),
                                        Paths.pipe("left second", 0.057, 0.6, 2),
                                        Paths.plenum())),
                        new Leg(
                                "right",
                                List.of(
                                        Paths.pipe("right first", 0.045, 0.3, 1),
                                        Paths.pipe("right second", 0.045, 0.5, 1),
                                        Paths.plenum()))),
                0,
                0.063,
                Optional.empty());
        List<PathElement> path = List.of(Paths.filter(), Paths.blower(), Paths.pipe("hot pipe", 0.051, 1, 1), banks);
        return new BuildOption("A", "first", 100e3, path, List.of(), List.of()).withRuns(List.of(runs));
    }

    @Test
    void thePipeOfTheOtherLegBecomesItsMirror() {
        BuildOption then = Mirrored.of(option(LEFT), "left second").orElseThrow();
        Pipe right = Pieces.of(Pipe.class, then.path()).get(4).piece();
        assertThat(right.name()).isEqualTo("right second");
        assertThat(right.spec()).isEqualTo(Paths.pipe("x", 0.057, 0.6, 2).spec());
        assertThat(then.runs().get(0)).isEqualTo(LEFT);
        assertThat(then.runs().get(1))
                .isEqualTo(new Run(
                                "right second",
                                Optional.of(new Vector3D(0.1, 0.2, 0.3)),
                                List.of(new Run.Corner(new Vector3D(0.4, 0.5, 0.6), OptionalDouble.of(0.09))),
                                Optional.empty())
                        .withBraces(List.of(new Brace(0.2, "engine", true)))
                        .withFittings(List.of(new Fitting(Fitting.Kind.SENSOR, 0.15, -0.5, Fitting.Size.USUAL)))
                        .withOvals(List.of(new Oval(0.35, 0.05, 0.04, -0.3, true))));
        assertThat(Pieces.of(Pipe.class, then.path()).get(3).piece().bore()).isEqualTo(0.045);
    }

    @Test
    void whatWasLaidThereIsLaidAnewInItsPlace() {
        Run old = new Run("right second", Optional.empty(), List.of(), Optional.empty());
        BuildOption then = Mirrored.of(option(old, LEFT), "left second").orElseThrow();
        assertThat(then.runs()).extracting(Run::of).containsExactly("right second", "left second");
        assertThat(then.runs().get(0).corners()).hasSize(1);
        // And back again it is what it was.
        assertThat(Mirrored.of(then, "right second").orElseThrow().runs().get(1))
                .isEqualTo(LEFT);
    }

    @Test
    void aPipeInNoPairHasNoOther() {
        assertThat(Mirrored.of(option(LEFT), "hot pipe")).isEmpty();
        assertThat(Mirrored.other(option(LEFT), "hot pipe")).isEmpty();
        assertThat(Mirrored.other(option(LEFT), "right first")).contains("left first");
    }
}
