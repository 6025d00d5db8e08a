package io.enthalpa.core.fit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.Rooms;
import io.enthalpa.core.Systems;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.loss.PipeMaterial;
import io.enthalpa.core.loss.PipeSpec;
import io.enthalpa.core.room.Obstacle;
import io.enthalpa.core.room.Stand;
import io.enthalpa.core.route.Run;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** Tubes of 52: 30 to either side with 8 between; at 15 degrees the arms are 30 / tan 15 = 111.96 long, at 30 51.96. */
class ForkTest {
    @Test
    void armsByHand() {
        Vector3D root = new Vector3D(1, 2, 3);
        Fork left = Fork.of(root, Vector3D.PLUS_I, Vector3D.MINUS_J, 0, 0.052, Math.toRadians(15));
        assertThat(left.root()).isEqualTo(root);
        assertThat(left.at().distance(new Vector3D(1.11196, 1.97, 3))).isLessThan(1e-5);
        Fork right = Fork.of(root, Vector3D.PLUS_I, Vector3D.MINUS_J, 1, 0.052, Math.toRadians(30));
        assertThat(right.at().distance(new Vector3D(1.05196, 2.03, 3))).isLessThan(1e-5);
        // A tee has arms as one of 45 degrees, a pair that says no angle as one of 10.
        assertThat(Fork.of(root, Vector3D.PLUS_I, Vector3D.MINUS_J, 0, 0.052, Math.PI / 2)
                        .at()
                        .getX())
                .isCloseTo(1.03, within(1e-9));
        assertThat(Fork.of(root, Vector3D.PLUS_I, Vector3D.MINUS_J, 0, 0.052, 0)
                        .at()
                        .getX())
                .isCloseTo(1.17014, within(1e-5));
    }

    static Stream<Arguments> ports() {
        return Stream.of(
                Arguments.of(Vector3D.PLUS_I, Vector3D.MINUS_J),
                Arguments.of(Vector3D.MINUS_I, Vector3D.MINUS_J),
                Arguments.of(Vector3D.PLUS_J, Vector3D.MINUS_I),
                Arguments.of(Vector3D.MINUS_J, Vector3D.MINUS_I),
                Arguments.of(Vector3D.PLUS_K, Vector3D.MINUS_J),
                Arguments.of(Vector3D.MINUS_K, Vector3D.MINUS_J));
    }

    /** Left is the car's left whichever way a port looks, so that legs do not cross from one Y to the other. */
    @ParameterizedTest
    @MethodSource("ports")
    void leftIsLeft(Vector3D out, Vector3D left) {
        assertThat(Fork.left(out).distance(left)).isLessThan(1e-12);
    }

    /** By hand: straight on and round a bend left stays left of the flow; back beside itself it is on the other side of the car, back above itself on the same. */
    @Test
    void whatIsLeftStaysLeft() {
        Vector3D forwards = Vector3D.MINUS_I;
        Vector3D left = Vector3D.MINUS_J;
        Vector3D far = new Vector3D(-1, 0.5, 0);
        assertThat(Fork.carried(forwards, left, forwards, far).distance(left)).isLessThan(1e-12);
        // To the right, the outer one is in front.
        assertThat(Fork.carried(forwards, left, Vector3D.PLUS_J, far).distance(Vector3D.MINUS_I))
                .isLessThan(1e-12);
        assertThat(Fork.carried(forwards, left, Vector3D.MINUS_J, far).distance(Vector3D.PLUS_I))
                .isLessThan(1e-12);
        assertThat(Fork.carried(forwards, left, Vector3D.PLUS_I, new Vector3D(0, 0.3, 0))
                        .distance(Vector3D.PLUS_J))
                .isLessThan(1e-12);
        assertThat(Fork.carried(forwards, left, Vector3D.PLUS_I, new Vector3D(0, 0, 0.3))
                        .distance(left))
                .isLessThan(1e-12);
    }

    /** A pin of 6 between the arms of a Y, 33 before the core's inlet, where the legs themselves have not begun: they run through it. */
    @Test
    void armsKeepTheirGapsAsTheLegsDo() {
        List<PathElement.Leg> legs = Stream.of("left", "right")
                .map(n -> new PathElement.Leg(
                        n,
                        List.<PathElement>of(new PathElement.Pipe(
                                n + " pipe", new PipeSpec(PipeMaterial.ALUMINIUM, 0.0418, 0.3, List.of())))))
                .toList();
        double parts = Math.toRadians(15);
        List<PathElement> path =
                new ArrayList<>(Rooms.core(Systems.standard(), 0, 0, 0).path());
        path.replaceAll(p -> p.name().equals("hot pipe")
                ? new PathElement.Parallel("hot pipes", parts, legs, parts, 0.057, Optional.empty())
                : p);
        List<Run> runs = Stream.of(-1, 1)
                .map(side -> new Run(
                        (side < 0 ? "left" : "right") + " pipe",
                        Optional.of(new Vector3D(side * 0.0265, -1, 0)),
                        List.of(),
                        Optional.empty()))
                .toList();
        BuildOption option =
                Rooms.core(Systems.standard(), 0, 0, 0).withPath(path).withRuns(runs);
        Obstacle pin = Rooms.box("pin", -0.003, 0.003, -0.383, -0.377, -0.003, 0.003);
        Fit fit = Fit.of(option, Rooms.room(pin));
        assertThat(fit.pipes().laid()).hasSize(2).allSatisfy(l -> {
            assertThat(l.spec().to().getY()).isCloseTo(-0.347 - 0.0265 / Math.tan(parts), within(1e-6));
            assertThat(l.behind().orElseThrow().off()).isLessThan(1e-9);
        });
        assertThat(fit.gaps())
                .filteredOn(g -> g.name().equals("pin") && g.body() > 0)
                .hasSize(2)
                .allSatisfy(g -> assertThat(g.still()).isNegative());
        // The two arms meet, the legs are 8 apart: nothing is short between them.
        assertThat(fit.gaps())
                .filteredOn(g -> g.body() == 1 && g.name().equals("right pipe"))
                .singleElement()
                .satisfies(g -> {
                    assertThat(g.still()).isCloseTo(0.008, within(1e-4));
                    assertThat(g.isShort()).isFalse();
                });
    }

    /** Two tubes of 53.2 on a plenum: 130 wide its inlets would be 65 apart, which leaves them 8 and more between; 120 wide they share one. */
    @Test
    void aNarrowPlenumHasOneInletForBoth() {
        PathElement.Plenum plenum = new PathElement.Plenum("plenum", 0.05, 0.003);
        PipeSpec spec = new PipeSpec(PipeMaterial.ALUMINIUM, 0.05, 0.3, List.of());
        List<PathElement.Leg> legs = Stream.of("left", "right")
                .map(n -> new PathElement.Leg(n, List.<PathElement>of(new PathElement.Pipe(n + " pipe", spec))))
                .toList();
        List<PathElement> path =
                List.of(new PathElement.Parallel("two", 0.3, legs, 0.3, 0.07, Optional.empty()), plenum);
        assertThat(roles(path, plenum, 0.130)).containsExactly("first inlet", "second inlet");
        assertThat(roles(path, plenum, 0.120)).containsExactly("inlet");
    }

    private static List<String> roles(List<PathElement> path, PathElement plenum, double wide) {
        return BoxPorts.of(path, plenum, new Stand.Size(0.2, wide, 0.1), Optional.empty()).stream()
                .map(OpenPort::role)
                .toList();
    }
}
