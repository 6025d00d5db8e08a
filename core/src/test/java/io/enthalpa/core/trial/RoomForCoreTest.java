package io.enthalpa.core.trial;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.Rooms;
import io.enthalpa.core.Systems;
import io.enthalpa.core.build.Build;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.envelope.Facing;
import io.enthalpa.core.envelope.LargestCore;
import io.enthalpa.core.room.Obstacle;
import io.enthalpa.core.room.RoomSpec;
import io.enthalpa.core.space.Way;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.junit.jupiter.api.Test;

/** The core of {@link Rooms} in a tunnel of 900 by 350 with a battery 80 high on its floor, under the core. */
class RoomForCoreTest {
    private static final Obstacle BATTERY = movable(Rooms.box("battery", -0.1, 0.1, -0.1, 0.1, -0.2, -0.12));

    private static Obstacle movable(Obstacle o) {
        return new Obstacle(
                o.name(), o.nature(), o.carrier(), o.gap(), o.shape(), Optional.of(new Obstacle.Moving(2, 30, "tray")));
    }

    private static Build build(Obstacle... more) {
        Obstacle[] all = {
            Rooms.box("left wall", -1, 1, -1, -0.4, -1, 1),
            Rooms.box("right wall", -1, 1, 0.5, 1, -1, 1),
            Rooms.box("floor", -1, 1, -1, 1, -1, -0.2),
            Rooms.box("roof", -1, 1, -1, 1, 0.15, 1),
            BATTERY
        };
        RoomSpec room = Rooms.room(
                Stream.concat(Arrays.stream(all), Arrays.stream(more)).toArray(Obstacle[]::new));
        BuildOption option = Rooms.core(Systems.standard(), 0, 0.05, -0.025);
        return Rooms.build(room, option);
    }

    private static RoomForCore.Found of(Build build) {
        return RoomForCore.of(build, "A", 0, new LargestCore.Wanted(new Vector3D(0, 0.05, 0), 0.064, 0));
    }

    private static RoomForCore.Place front(RoomForCore.Found found) {
        return found.places().stream()
                .filter(p -> p.core().facing() == Facing.FRONT)
                .max((a, b) -> Double.compare(a.more(), b.more()))
                .orElseThrow();
    }

    /** 690 by 254 by 64 with the battery under it, against 500 by 250 by 64: 1.4 times; whole millimetres below, and it is cooler. */
    @Test
    void placeIsPricedThroughTheDuty() {
        RoomForCore.Place place = front(of(build()));
        assertThat(place.core().size().height()).isCloseTo(0.254, within(1e-3));
        assertThat(place.more()).isCloseTo(0.689 * 0.253 / (0.5 * 0.25), within(0.01));
        Change change = place.change().orElseThrow();
        Trials trials = new Trials(build(), "A");
        double now = trials.now().orElseThrow().worst();
        Build larger = build().withOptions(List.of(place.option()));
        double then = new Trials(larger, "A").now().orElseThrow().worst();
        assertThat(change.worst()).isCloseTo(then - now, within(1e-9)).isNegative();
    }

    /** The battery moved 150 forwards leaves 42 behind the place for a core of 64 that then reaches the floor: 334 high. */
    @Test
    void nearestShiftThatGainsMostIsTold() {
        assertThat(of(build()).moved()).singleElement().satisfies(moved -> {
            assertThat(moved.obstacle()).isEqualTo(4);
            assertThat(moved.way()).contains(Way.FORWARDS);
            assertThat(moved.by()).isEqualTo(0.15);
            assertThat(moved.place().core().size().height()).isCloseTo(0.334, within(1e-3));
            assertThat(moved.place().core().facing()).isEqualTo(Facing.FRONT);
            // Its rear face keeps 8 from where the battery now begins, 50 before the place.
            assertThat(moved.place().core().stand().middle().getX() - 0.032).isGreaterThan(-0.05 + 0.008 - 2e-3);
        });
    }

    /** Posts that stand before and behind it keep it from going there; to the side it gains nothing, so it must go altogether. */
    @Test
    void nothingIsMovedIntoSomethingElse() {
        Obstacle before = Rooms.box("post before", -0.26, -0.105, -0.01, 0.01, -0.2, -0.19);
        Obstacle behind = Rooms.box("post behind", 0.105, 0.26, -0.01, 0.01, -0.2, -0.19);
        assertThat(of(build(before, behind)).moved())
                .singleElement()
                .satisfies(moved -> assertThat(moved.way()).isEmpty());
    }
}
