package io.enthalpa.core.fit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.Rooms;
import io.enthalpa.core.Systems;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.room.Nature;
import io.enthalpa.core.room.Obstacle;
import io.enthalpa.core.room.ObstacleShape;
import io.enthalpa.core.space.Way;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.junit.jupiter.api.Test;

/** Where a core of {@link Rooms} comes to stand; worked out by hand. */
class AgainstTest {
    private static final double HALF_DEEP = 0.032;

    private static Vector3D put(
            double back, double right, double up, Obstacle target, Way side, double gap, boolean centred) {
        Body core = Bodies.of(Rooms.core(Systems.standard(), back, right, up)).get(0);
        return Against.of(core, target.solid(), target.name(), side, gap, centred)
                .middle();
    }

    private static void isAt(Vector3D middle, double back, double right, double up) {
        assertThat(middle.getX()).isCloseTo(back, within(1e-5));
        assertThat(middle.getY()).isCloseTo(right, within(1e-5));
        assertThat(middle.getZ()).isCloseTo(up, within(1e-5));
    }

    /** Narrower than the block, so the block's face meets it: -90 + 10 + 32. */
    @Test
    void blockStandsBehindTheBarCentred() {
        Obstacle bar = Rooms.box("bar", -0.15, -0.09, -0.1, 0.2, -0.3, -0.2);
        isAt(put(0.4, 0.3, 0.1, bar, Way.REARWARDS, 0.01, true), -0.048, 0.05, -0.25);
    }

    /** A bar as wide as the core meets the clamps first, 38.5 before the middle. */
    @Test
    void clampsMeetAWideBarFirst() {
        Obstacle bar = Rooms.box("bar", -0.15, -0.09, -0.6, 0.6, -0.03, 0.03);
        isAt(put(-0.4, 0, 0, bar, Way.REARWARDS, 0.01, false), -0.0415, 0, 0);
    }

    /** The block's upper edge, 75 under a ball's middle, keeps 20 from its 100: 93.67 before or behind it. */
    @Test
    void edgeMeetsABallBesideItsMiddle() {
        Obstacle ball = Rooms.of(
                "ball",
                Nature.BODY,
                new ObstacleShape.Round(new Vector3D(0, 0, 0.2), 0.1, new Vector3D(0, 0, 0.2), 0.1));
        double off = Math.sqrt(0.12 * 0.12 - 0.075 * 0.075) + HALF_DEEP;
        isAt(put(0, 0, 0, ball, Way.FORWARDS, 0.02, false), -off, 0, 0);
        isAt(put(-1, 0, 0, ball, Way.REARWARDS, 0.02, false), off, 0, 0);
    }

    /** A bonnet 300 up that falls 5 degrees forwards: the front upper edge, 32 before the middle and 125 over it, keeps 10. */
    @Test
    void standsUnderABonnet() {
        Obstacle bonnet = Rooms.of(
                "bonnet", Nature.BONNET, new ObstacleShape.Plane(new Vector3D(0, 0, 0.3), Math.toRadians(5), 0, true));
        double tan = Math.tan(Math.toRadians(5));
        double up = 0.3 - HALF_DEEP * tan - 0.01 / Math.cos(Math.toRadians(5)) - 0.125;
        isAt(put(0, 0.1, 0.4, bonnet, Way.DOWN, 0.01, true), 0, 0.1, up);
        assertThatThrownBy(() -> put(0, 0, 0, bonnet, Way.FORWARDS, 0.01, true)).isInstanceOf(EnthalpaFault.class);
    }

    @Test
    void whatItWouldPassByIsRefused() {
        Obstacle lamp = Rooms.box("lamp", -0.1, 0.1, 0.5, 0.7, 0.4, 0.6);
        assertThatThrownBy(() -> put(0, 0, 0, lamp, Way.REARWARDS, 0.01, false))
                .isInstanceOf(EnthalpaFault.class)
                .hasMessageContaining("core put against lamp")
                .hasMessageContaining("pass by it");
    }
}
