package io.enthalpa.core.fit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.Rooms;
import io.enthalpa.core.Systems;
import io.enthalpa.core.Ways;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.coolingair.AirWaySpec;
import io.enthalpa.core.coolingair.OpeningSpec;
import io.enthalpa.core.coolingair.WayInRoom;
import io.enthalpa.core.room.Nature;
import io.enthalpa.core.room.Obstacle;
import io.enthalpa.core.room.ObstacleShape;
import java.util.List;
import java.util.Optional;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.junit.jupiter.api.Test;

/**
 * An opening of 480 by 240 with its middle at the datum, cells of 20 by 20, 50 before a core of 500 x 250 x 64: its rear is at 114, 0.125 m2
 * large and 1.5 m round.
 */
class AirSeenTest {
    private static AirWaySpec seen(boolean walls, boolean exit, Obstacle... obstacles) {
        Ways ways = new Ways();
        ways.opening =
                new OpeningSpec(0.48, 0.24, 0.9, 1, false, List.of(new OpeningSpec.Wall("typed", 0.48, 0.06, 0, 0)));
        BuildOption core = Rooms.core(Systems.standard(), 0.082, 0, 0);
        AirWaySpec way = ways.spec().withInRoom(new WayInRoom(Vector3D.ZERO, walls, exit, Optional.empty()));
        BuildOption option = new BuildOption("A", "first", 100e3, core.path(), List.of(way), core.stands());
        return AirSeen.of(option, Rooms.room(obstacles)).airWays().get(0);
    }

    static double free(Obstacle... obstacles) {
        return seen(true, false, obstacles).met().opening().free();
    }

    private static double exit(Obstacle... obstacles) {
        return seen(false, true, obstacles).met().exitArea();
    }

    @Test
    void whatStandsBeforeTheOpeningCoversItsShadow() {
        assertThat(free()).isEqualTo(1);
        assertThat(free(Rooms.box("plate", -0.1, -0.08, -1, 0, -1, 1))).isCloseTo(0.5, within(1e-9));
        // A bar over three of the twelve rows, behind the opening and before the stack.
        Obstacle bar = Rooms.box("bar", 0.01, 0.03, -1, 1, -1, -0.06);
        assertThat(free(bar)).isCloseTo(0.75, within(1e-9));
        assertThat(free(bar, Rooms.box("plate", -0.1, -0.08, -1, 0, -1, 1))).isCloseTo(0.375, within(1e-9));
        assertThat(seen(true, false, bar).met().opening().walls())
                .extracting(OpeningSpec.Wall::name)
                .containsOnly("bar");
    }

    @Test
    void whatIsFarBeforeItOrLetsAirThroughDoesNot() {
        assertThat(free(Rooms.box("van ahead", -0.4, -0.31, -1, 1, -1, 1))).isEqualTo(1);
        assertThat(free(Rooms.of(
                        "grille", Nature.AIR_THROUGH, new ObstacleShape.Box(-0.02, -0.01, -1, 1, -1, 1, 0, 0, 0))))
                .isEqualTo(1);
    }

    /** A bumper skin measured without its hole; a plate on it that covers less stays. */
    @Test
    void theSkinThatTheOpeningIsCutIntoDoesNotCoverIt() {
        assertThat(free(Rooms.box("skin", -0.03, 0, -1, 1, -1, 1))).isEqualTo(1);
        assertThat(free(Rooms.box("skin", -0.03, 0, -1, 1, -1, 1), Rooms.box("plate", -0.06, -0.03, -1, 0, -1, 1)))
                .isCloseTo(0.5, within(1e-9));
        // Farther before it, it is no skin of it.
        assertThat(free(Rooms.box("wall", -0.1, -0.05, -1, 1, -1, 1))).isCloseTo(0, within(1e-9));
    }

    /** A wall 100 behind the core leaves 75 of the depths looked at: a slot of 1.5 m by 75 mm; over half the face the other half stays open. */
    @Test
    void whatStandsBehindTheStackLeavesASlotRoundIt() {
        assertThat(exit()).isCloseTo(0.125, within(1e-9));
        assertThat(exit(Rooms.box("engine", 0.214, 0.5, -1, 1, -1, 1))).isCloseTo(0.1125, within(1e-9));
        assertThat(exit(Rooms.box("engine", 0.214, 0.5, -1, 0, -1, 1))).isCloseTo(0.0625 + 0.05625, within(1e-9));
        assertThat(exit(Rooms.box("engine", 0.124, 0.5, -1, 1, -1, 1))).isCloseTo(1e-4, within(1e-12));
        assertThat(exit(Rooms.box("engine", 0.415, 0.5, -1, 1, -1, 1))).isCloseTo(0.125, within(1e-9));
    }

    @Test
    void whatIsTypedStaysAndCountsWhereNothingIsTaken() {
        Obstacle all = Rooms.box("all", -0.1, 0.5, -1, 0, -1, 1);
        AirWaySpec typed = seen(false, false, all);
        assertThat(typed.met().opening().free()).isCloseTo(0.75, within(1e-9));
        assertThat(typed.met().exitArea()).isEqualTo(0.12);
        assertThat(typed.inRoom().orElseThrow().found().orElseThrow().exitArea())
                .isNotEqualTo(0.12);
        AirWaySpec taken = seen(true, true, all);
        assertThat(taken.opening().walls()).extracting(OpeningSpec.Wall::name).containsExactly("typed");
        assertThat(taken.exitArea()).isEqualTo(0.12);
        assertThat(taken.met().opening().free()).isCloseTo(0.5, within(1e-9));
    }
}
