package io.enthalpa.core.fit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.Rooms;
import io.enthalpa.core.Systems;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.fit.FitFinding.Kind;
import io.enthalpa.core.room.Nature;
import io.enthalpa.core.room.Obstacle;
import io.enthalpa.core.room.ObstacleShape;
import io.enthalpa.core.route.Brace;
import io.enthalpa.core.route.Fitting;
import io.enthalpa.core.route.Run;
import io.enthalpa.core.route.Run.Corner;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.junit.jupiter.api.Test;

/**
 * The hot pipe of 60.2 outside goes 600 to the front, bends round 90.3 to the right and ends on the core's inlet, 347 left of the datum: straight
 * from 0 to 509.7, bend to 651.54, straight to 1014.24, of which the joint takes 50.
 */
class FittingsTest {
    private static final double LENGTH = 0.5097 + 0.0903 * Math.PI / 2 + 0.3627;

    private static final double RIGHT_ANGLE = Math.PI / 2;

    private static Fitting sensor(double along, double clock) {
        return new Fitting(Fitting.Kind.SENSOR, along, clock, Fitting.Size.USUAL);
    }

    private static Run hot(Fitting... fittings) {
        return new Run(
                        "hot pipe",
                        Optional.of(new Vector3D(0.6, -0.8, 0)),
                        List.of(new Corner(new Vector3D(0, -0.8, 0), OptionalDouble.empty())),
                        Optional.empty())
                .withFittings(List.of(fittings));
    }

    private static Fit fit(Run run, Obstacle... obstacles) {
        BuildOption option = Rooms.core(Systems.standard(), 0, 0, 0).withRuns(List.of(run));
        return Fit.of(option, Rooms.room(obstacles));
    }

    private static List<GapRow> gaps(Run run, Obstacle wall) {
        return fit(run, wall).gaps().stream()
                .filter(g -> g.obstacle().isPresent() && g.body() == 1)
                .toList();
    }

    /** A wall as far right of the pipe's middle as that, along the straight that goes to the front. */
    private static Obstacle wall(double off) {
        return Rooms.box("wall", 0.2, 0.6, -0.8 + off, -0.79 + off, -0.1, 0.1);
    }

    /** 30.1 of tube and 50 of sensor reach 80.1; looking up it is the tube's 30.1. */
    @Test
    void aFittingTakesRoomWhereItLooks() {
        assertThat(gaps(hot(sensor(0.2, RIGHT_ANGLE)), wall(0.1)))
                .singleElement()
                .satisfies(g -> {
                    assertThat(g.element()).isEqualTo("temperature sensor");
                    assertThat(g.still()).isCloseTo(0.0199, within(1e-8));
                });
        assertThat(gaps(hot(sensor(0.2, 0)), wall(0.1)))
                .singleElement()
                .satisfies(g -> assertThat(g.still()).isCloseTo(0.0699, within(1e-6)));
        assertThat(gaps(hot(sensor(0.2, -RIGHT_ANGLE)), wall(0.1)))
                .singleElement()
                .satisfies(g -> assertThat(g.element()).isEqualTo("hot pipe"));
    }

    /** TF-15: 25 from a valve to bodywork, its pipe asks for 8; 13 to the build's own, where a pipe asks for 6. A figure of one's own counts before. */
    @Test
    void aReliefValveAsksForMoreThanItsPipe() {
        Run run = hot(new Fitting(Fitting.Kind.RELIEF, 0.2, RIGHT_ANGLE, Fitting.Size.USUAL));
        List<GapRow> gaps = gaps(run, wall(0.15));
        assertThat(gaps).hasSize(2);
        assertThat(gaps.get(0).element()).isEqualTo("relief valve");
        assertThat(gaps.get(0).still()).isCloseTo(0.0249, within(1e-8));
        assertThat(gaps.get(0).asked().still()).isEqualTo(0.025);
        assertThat(gaps.get(0).isShort()).isTrue();
        assertThat(gaps.get(1).asked().still()).isEqualTo(0.008);
        Obstacle own = new Obstacle(
                "wall",
                Nature.BODY,
                "body",
                OptionalDouble.of(0.004),
                new ObstacleShape.Box(0.2, 0.6, -0.65, -0.64, -0.1, 0.1, 0, 0, 0),
                Optional.empty());
        assertThat(gaps(run, own)).allSatisfy(g -> assertThat(g.asked().still()).isEqualTo(0.004));
        // Beside the inlet tank of the core, on the last straight, looking to the rear.
        Run near = hot(new Fitting(Fitting.Kind.RELIEF, 0.9, 0, Fitting.Size.USUAL));
        assertThat(fit(near).gaps())
                .filteredOn(
                        g -> g.against().equals("relief valve") || g.element().equals("relief valve"))
                .singleElement()
                .satisfies(g -> assertThat(g.asked().still()).isEqualTo(0.013));
    }

    private static void mended(Run run, Kind kind, double is, double wanted, double at) {
        assertThat(fit(run).unbuildable()).singleElement().satisfies(fault -> {
            assertThat(fault.says().kind()).isEqualTo(kind);
            assertThat(fault.says().of()).isEqualTo("the temperature sensor of hot pipe");
            assertThat(fault.says().figures().get(0).value()).isCloseTo(is, within(1e-6));
            assertThat(fault.says().figures().get(1).value()).isCloseTo(wanted, within(1e-6));
            Run then = fault.mended().orElseThrow();
            int last = then.fittings().size() - 1;
            assertThat(then.fittings().get(last).along()).isCloseTo(at, within(1e-6));
            assertThat(fit(then).unbuildable()).isEmpty();
        });
    }

    @Test
    void whatCannotSitWhereItIsIsMovedToTheNearestPlaceWhereItCan() {
        assertThat(fit(hot(sensor(0.2, 0))).unbuildable()).isEmpty();
        double last = LENGTH - 0.05 - 0.0125;
        mended(hot(sensor(LENGTH + 0.04, 0)), Kind.FITTING_OFF, 0.04, LENGTH, last);
        mended(hot(sensor(LENGTH - 0.03, 0)), Kind.FITTING_IN_JOINT, 0.0175, 0.05, last);
        // 40 into the bend, 102 before its end.
        mended(hot(sensor(0.55, 0)), Kind.FITTING_IN_BEND, 0.025, 0.025, 0.4972);
        mended(hot(sensor(0.62, 0)), Kind.FITTING_IN_BEND, 0.025, 0.025, 0.5097 + 0.0903 * Math.PI / 2 + 0.0125);
        mended(hot(sensor(0.2, 0), sensor(0.21, 0)), Kind.FITTING_MEETS, 0.21, 0.2, 0.225);
        // On the other side of the tube there is room.
        assertThat(fit(hot(sensor(0.2, 0), sensor(0.21, Math.PI))).unbuildable())
                .isEmpty();
        Run braced = hot(sensor(0.205, 0)).withBraces(List.of(new Brace(0.2, "body", true)));
        mended(braced, Kind.FITTING_MEETS, 0.205, 0.2, 0.2225);
    }

    /** 0.7 of a bore of 57 are 39.9. */
    @Test
    void aHoleLeavesSomeOfTheWall() {
        Fitting.Size wide = new Fitting.Size(OptionalDouble.empty(), OptionalDouble.empty(), OptionalDouble.of(0.04));
        assertThat(fit(hot(new Fitting(Fitting.Kind.BOSS, 0.2, 0, wide))).unbuildable())
                .singleElement()
                .satisfies(fault -> {
                    assertThat(fault.says().kind()).isEqualTo(Kind.FITTING_HOLE);
                    assertThat(fault.says().figures().get(1).value()).isCloseTo(0.0399, within(1e-9));
                    assertThat(fault.mended()).isEmpty();
                });
    }

    @Test
    void oneMoreIsPutInTheMiddleOfTheLongestStraightThatIsFree() {
        Fit bare = fit(hot());
        assertThat(Fittings.best(bare.pipes().laid().get(0), hot()).orElseThrow())
                .isCloseTo(0.5097 / 2, within(1e-9));
        // With one there the last straight is longer: 312.7 up to where the joint is.
        Run taken = hot(sensor(0.25, 0));
        Fit fit = fit(taken);
        assertThat(Fittings.best(fit.pipes().laid().get(0), taken).orElseThrow())
                .isCloseTo(LENGTH - 0.05 - (0.3627 - 0.05) / 2, within(1e-9));
    }
}
