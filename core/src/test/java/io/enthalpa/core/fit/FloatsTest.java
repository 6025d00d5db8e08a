package io.enthalpa.core.fit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.Rooms;
import io.enthalpa.core.Systems;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.room.AskedGap;
import io.enthalpa.core.room.Carrier;
import io.enthalpa.core.room.RoomSpec;
import io.enthalpa.core.room.Stand;
import io.enthalpa.core.route.Brace;
import io.enthalpa.core.route.Run;
import io.enthalpa.core.router.Keepout;
import io.enthalpa.core.space.Bounds;
import io.enthalpa.core.space.Frustum;
import io.enthalpa.core.space.Hull;
import io.enthalpa.core.space.Motion;
import io.enthalpa.core.space.Pose;
import io.enthalpa.core.space.Solid;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.junit.jupiter.api.Test;

/** A pipe of one metre whose far end goes up and down by 8 mm with the engine. */
class FloatsTest {
    private static final Motion LIFT = new Motion(Vector3D.ZERO, Vector3D.PLUS_I, 0, new Vector3D(0, 0, 8e-3));
    private static final Floats PIPE = new Floats("engine", Vector3D.ZERO, Vector3D.PLUS_I);
    private static final Solid.Part FIRST = new Solid.Part("pipe", rod(0, 0.5));
    private static final Solid.Part SECOND = new Solid.Part("pipe", rod(0.5, 1));

    private static Frustum rod(double from, double to) {
        return Frustum.cylinder(new Vector3D(from, 0, 0), new Vector3D(to, 0, 0), 0.02);
    }

    private static Solid above(double from, double to) {
        return Solid.of(
                "bar",
                Hull.box(new Pose(new Vector3D((from + to) / 2, 0, 0.06), Pose.ORIGIN.turn()), to - from, 0.1, 0.04));
    }

    private static double least(Solid against) {
        return PIPE.least(Solid.of(List.of(FIRST, SECOND)), against, LIFT, Motion.STILL, 1)
                .orElseThrow();
    }

    /** A ball of 10 a quarter along: its box reaches 10 root 3 from its middle, to 267 from the one end and 733 from the other. */
    @Test
    void aPartGoesAlongByWhereItIs() {
        double half = 0.01 * Math.sqrt(3);
        Bounds ball = Hull.ball(new Vector3D(0.25, 0, 0), 0.01).bounds();
        assertThat(PIPE.most(ball)).isCloseTo(0.25 + half, within(1e-12));
        // Told as 3 of 8.
        assertThat(PIPE.share(ball)).isEqualTo(0.375);
    }

    /**
     * 20 from a bar that stands. Of the pieces of 100 under it and at its edges that from 300 to 400 goes along most: it reaches 57.4 from its middle at
     * 350, so by no more than 407 in 1000, told as 4 of 8: 4 mm. That from 900 on goes all the way, that from 800 by 907, as 8 of 8.
     */
    @Test
    void whatIsNearItsStillEndComesLessNear() {
        assertThat(least(above(0.1, 0.3))).isCloseTo(0.020 - 0.004, within(1e-5));
        assertThat(least(above(0.7, 0.9))).isCloseTo(0.020 - 0.008, within(1e-5));
        assertThat(least(above(0.1, 0.9))).isCloseTo(0.020 - 0.008, within(1e-5));
    }

    /** What the router counts with of the same. */
    @Test
    void theRouterKnowsIt() {
        Solid pipe = Solid.of(List.of(FIRST, SECOND));
        for (double[] bar : new double[][] {{0.1, 0.3}, {0.4, 0.5}, {0.7, 0.9}}) {
            Solid above = above(bar[0], bar[1]);
            Keepout keepout = new Keepout("bar", above, 0.005, 0.005, LIFT, Motion.STILL, Optional.of(PIPE));
            assertThat(keepout.spare(pipe, 1).orElseThrow().value() + 0.005).isCloseTo(least(above), within(2e-5));
        }
    }

    /** Of two bars the nearer, 18 beside it, is not come at by the lift; the other, 20 above it where it goes all the way, is, and no more is told than that keeps. */
    @Test
    void theRouterCountsWithThePartThatIsComeAt() {
        Solid.Part beside = new Solid.Part(
                "bar", Hull.box(new Pose(new Vector3D(0.8, 0.058, 0), Pose.ORIGIN.turn()), 0.2, 0.04, 0.02));
        Solid both = Solid.of(List.of(beside, above(0.7, 0.9).parts().get(0)));
        Keepout keepout = new Keepout("bars", both, 0.005, 0.005, LIFT, Motion.STILL, Optional.of(PIPE));
        assertThat(keepout.spare(Solid.of(List.of(FIRST, SECOND)), 1)
                                .orElseThrow()
                                .value()
                        + 0.005)
                .isBetween(0.008, 0.012 + 1e-6);
    }

    private static final RoomSpec ROOM = new RoomSpec(
            "", List.of(new Carrier("engine", LIFT)), List.of(Rooms.box("bar", -0.1, 0.1, 0.7, 0.8, 0.06, 0.1)));

    private static BuildOption option(String plenumOn, List<Brace> braces) {
        BuildOption core = Rooms.core(Systems.standard(), 0, 0, 0);
        Stand plenum = new Stand(
                "plenum", Stand.What.PLENUM, new Vector3D(0, 1.2, 0), -Math.PI / 2, 0, 0, plenumOn, Optional.empty());
        Run cold = new Run("cold pipe", Optional.empty(), List.of(), Optional.empty()).withBraces(braces);
        return core.withStands(List.of(core.stands().get(0), plenum)).withRuns(List.of(cold));
    }

    private static GapRow toBar(BuildOption option) {
        return Fit.of(option, ROOM).gaps().stream()
                .filter(g -> g.element().equals("cold pipe") && g.name().equals("bar"))
                .findFirst()
                .orElseThrow();
    }

    /** From a core on the body to a plenum on the engine, straight: 60 less half its outside from a bar of the body; 8 of that gone as it moves. */
    @Test
    void aPipeToTheEngineMovesAgainstTheBodyItHangsOn() {
        GapRow row = toBar(option("engine", List.of()));
        assertThat(row.moved().orElseThrow()).isCloseTo(row.still() - 8e-3, within(1e-5));
        assertThat(row.asked()).isEqualTo(new AskedGap(0.008, 0.005));
    }

    /** A filter of the body 40 over the pipe's top where it goes all the way: two of the build's own ask 6, and 5 are left as it moves. */
    @Test
    void itMovesAgainstBodiesOfItsOwnCarrierToo() {
        BuildOption option = option("engine", List.of());
        List<Stand> stands = new ArrayList<>(option.stands());
        stands.add(new Stand(
                "filter",
                Stand.What.FILTER,
                new Vector3D(0, 0.8, 0.17),
                0,
                0,
                0,
                "body",
                Optional.of(new Stand.Size(0.2, 0.2, 0.2))));
        GapRow row = Fit.of(option.withStands(stands), ROOM).gaps().stream()
                .filter(g -> g.element().equals("filter") && g.name().equals("cold pipe"))
                .findFirst()
                .orElseThrow();
        assertThat(row.moved().orElseThrow()).isCloseTo(row.still() - 8e-3, within(1e-5));
        assertThat(row.asked()).isEqualTo(new AskedGap(0.006, 0.005));
    }

    @Test
    void aPipeThatIsHeldOrOnOneCarrierStands() {
        assertThat(toBar(option("body", List.of())).moved()).isEmpty();
        assertThat(toBar(option("body", List.of())).asked()).isEqualTo(new AskedGap(0.008, 0.008));
        assertThat(toBar(option("engine", List.of(new Brace(0.3, "body", false))))
                        .moved())
                .isEmpty();
        assertThat(toBar(option("engine", List.of(new Brace(0.3, "body", true))))
                        .moved())
                .isPresent();
    }
}
