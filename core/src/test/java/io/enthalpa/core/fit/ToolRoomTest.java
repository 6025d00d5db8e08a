package io.enthalpa.core.fit;

import static org.assertj.core.api.Assertions.assertThat;

import io.enthalpa.core.Rooms;
import io.enthalpa.core.Systems;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.route.Coupling;
import io.enthalpa.core.route.JointsSpec;
import io.enthalpa.core.route.Run;
import java.util.List;
import java.util.Optional;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.junit.jupiter.api.Test;

/** The clamps of the core of {@link Rooms}: bands of 77 round, 15 broad, 327 to either side of its middle. */
class ToolRoomTest {
    /** Plates round the right clamp, so far from its band; the one before it at a distance of its own. */
    private static List<ToolRoom> within(double off, double before) {
        double r = 0.0385 + off;
        double front = 0.0385 + before;
        return Fit.of(
                        Rooms.core(Systems.standard(), 0, 0, 0),
                        Rooms.room(
                                Rooms.box("before", -front - 0.01, -front, 0.31, 0.4, -0.2, 0.2),
                                Rooms.box("behind", r, r + 0.01, 0.31, 0.4, -0.2, 0.2),
                                Rooms.box("under", -0.2, 0.2, 0.31, 0.4, -r - 0.01, -r),
                                Rooms.box("over", -0.2, 0.2, 0.31, 0.4, r, r + 0.01)))
                .clamps();
    }

    /** Walled in 20 off all round; the other clamp stands free. */
    @Test
    void noToolComesToAClampThatIsWalledIn() {
        assertThat(within(0.02, 0.02)).singleElement().satisfies(shut -> {
            assertThat(shut.body()).isZero();
            assertThat(shut.element()).isIn("inlet clamp", "outlet clamp");
        });
    }

    /** The others 20 off: only the way forwards is left, and it wants 40. */
    @Test
    void fortyOnOneSideAreEnough() {
        assertThat(within(0.02, 0.0401)).isEmpty();
        assertThat(within(0.02, 0.0399)).isNotEmpty();
    }

    /** Askew a bar of 78.5 out and 15 broad reaches (78.5 + 7.5) / sqrt 2 = 60.8 each way: plates 22.3 from the band. */
    @Test
    void askewCountsAsWell() {
        assertThat(within(0.0224, 0.0224)).isEmpty();
        assertThat(within(0.0222, 0.0222)).isNotEmpty();
    }

    /** A pipe straight on to the inlet; its clamp is 25 before its end, 30.1 + 8 round. */
    private static List<ToolRoom> onPipe(double off, Coupling coupling) {
        Run run = new Run("hot pipe", Optional.of(new Vector3D(0, -0.8, 0)), List.of(), Optional.empty());
        BuildOption option = Rooms.core(Systems.standard(), 0, 0, 0)
                .withRuns(List.of(run))
                .withJoints(JointsSpec.USUAL.all(coupling));
        double front = 0.0381 + off;
        double r = 0.0381 + 0.02;
        double left = -0.347 - 0.04;
        double right = -0.347 - 0.01;
        return Fit.of(
                        option,
                        Rooms.room(
                                Rooms.box("before", -front - 0.01, -front, left, right, -0.2, 0.2),
                                Rooms.box("behind", r, r + 0.01, left, right, -0.2, 0.2),
                                Rooms.box("under", -0.2, 0.2, left, right, -r - 0.01, -r),
                                Rooms.box("over", -0.2, 0.2, left, right, r, r + 0.01)))
                .clamps();
    }

    @Test
    void theClampOfAPipeWantsItsToolToo() {
        assertThat(onPipe(0.0399, Coupling.HOSE)).singleElement().satisfies(shut -> {
            assertThat(shut.body()).isEqualTo(1);
            assertThat(shut.element()).isEqualTo("last clamp");
        });
        assertThat(onPipe(0.0401, Coupling.HOSE)).isEmpty();
        // Welded on there is none.
        assertThat(onPipe(0.0399, Coupling.WELD)).isEmpty();
    }
}
