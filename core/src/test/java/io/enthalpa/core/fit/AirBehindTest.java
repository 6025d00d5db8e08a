package io.enthalpa.core.fit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.Rooms;
import io.enthalpa.core.Systems;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.room.Nature;
import io.enthalpa.core.room.Obstacle;
import io.enthalpa.core.room.ObstacleShape;
import org.junit.jupiter.api.Test;

/** What stands behind the face of the core of {@link Rooms}, 32 behind its middle. */
class AirBehindTest {
    private static AirBehind behind(BuildOption option, Obstacle obstacle) {
        return Fit.of(option, Rooms.room(obstacle)).air().get(0);
    }

    private static AirBehind behind(Obstacle obstacle) {
        return behind(Rooms.core(Systems.standard(), 0, 0, 0), obstacle);
    }

    /** Over the left half of the face, 30 behind it. */
    @Test
    void halfOfTheFaceIsBlocked() {
        AirBehind air = behind(Rooms.box("battery", 0.062, 0.2, -1, 0, -1, 1));
        assertThat(air.blocked()).isEqualTo(0.5);
        assertThat(air.free()).isCloseTo(0.03, within(0.5e-3));
        assertThat(air.name()).isEqualTo("battery");
    }

    /** A third of the height over the whole width. */
    @Test
    void thirdOfTheHeight() {
        AirBehind air = behind(Rooms.box("beam", 0.062, 0.2, -1, 1, -1, -0.125 + 0.25 / 3));
        assertThat(air.blocked()).isCloseTo(1.0 / 3, within(1e-9));
    }

    @Test
    void beyondWhatIsWantedNothingCounts() {
        AirBehind air = behind(Rooms.box("wall", 0.032 + 0.0755, 0.2, -1, 1, -1, 1));
        assertThat(air.blocked()).isZero();
        assertThat(air.free()).isEqualTo(AirBehind.WANTED);
    }

    /** The air goes on through a radiator; what stands before the core is not behind it. */
    @Test
    void radiatorAndWhatStandsBeforeItDoNotCount() {
        ObstacleShape close = new ObstacleShape.Box(0.04, 0.1, -1, 1, -1, 1, 0, 0, 0);
        assertThat(behind(Rooms.of("radiator", Nature.AIR_THROUGH, close)).blocked())
                .isZero();
        assertThat(behind(Rooms.box("bar", -0.1, -0.04, -1, 1, -1, 1)).blocked())
                .isZero();
    }

    /** No cooling air goes through a core in a water loop. */
    @Test
    void waterCooledCoreAsksForNone() {
        assertThat(Fit.of(Rooms.core(Systems.water(), 0, 0, 0), Rooms.room(Rooms.box("wall", 0.04, 0.2, -1, 1, -1, 1)))
                        .air())
                .isEmpty();
    }
}
