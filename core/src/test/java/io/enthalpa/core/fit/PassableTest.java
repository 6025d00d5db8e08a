package io.enthalpa.core.fit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.Rooms;
import io.enthalpa.core.Systems;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.room.Carrier;
import io.enthalpa.core.room.Obstacle;
import io.enthalpa.core.room.RoomSpec;
import io.enthalpa.core.room.Stand;
import io.enthalpa.core.route.Run;
import io.enthalpa.core.route.RunName;
import io.enthalpa.core.router.Keepout;
import io.enthalpa.core.space.Motion;
import java.util.List;
import java.util.Optional;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.junit.jupiter.api.Test;

/** The core of {@link Rooms} on the body, the blower before it on the engine, a tray of the body beside. */
class PassableTest {
    private static final RoomSpec ROOM = new RoomSpec(
            "",
            List.of(new Carrier(Carrier.ENGINE, new Motion(Vector3D.ZERO, Vector3D.PLUS_I, 0.05, Vector3D.ZERO))),
            List.of(Rooms.box("tray", 1, 2, -1, 1, -1, 1)));

    private static BuildOption option(Run... runs) {
        BuildOption core = Rooms.core(Systems.standard(), 0, 0, 0);
        Stand blower = new Stand(
                "blower", Stand.What.BLOWER, new Vector3D(0.5, -0.9, 0), 0, 0, 0, Carrier.ENGINE, Optional.empty());
        return core.withStands(List.of(core.stands().get(0), blower)).withRuns(List.of(runs));
    }

    private static Passable hot(BuildOption option) {
        return Passable.of(
                option, ROOM, ROOM.obstacles().stream().map(Obstacle::solid).toList(), RunName.ofPipe("hot pipe"));
    }

    private static Keepout of(Passable passable, String name) {
        return passable.keepouts().stream()
                .filter(k -> k.name().equals(name))
                .findFirst()
                .orElseThrow();
    }

    /** 15 across engine and body, with the tray as with the core; 6 from the blower that it hangs on. */
    @Test
    void aPipeOnTheBlowerMovesWithIt() {
        Passable passable = hot(option());
        assertThat(passable.start().out()).isPresent();
        assertThat(of(passable, "tray").still()).isCloseTo(0.015, within(1e-4));
        assertThat(of(passable, "tray").own().isStill()).isFalse();
        assertThat(of(passable, "core").still()).isCloseTo(0.015, within(1e-4));
        assertThat(of(passable, "blower").still()).isCloseTo(0.006, within(1e-4));
    }

    /** Typed where it begins, it is on the core alone and hangs on the body; its gaps are those of the fit. */
    @Test
    void aPipeThatBeginsWhereItIsTypedHangsOnWhatItEndsOn() {
        Run typed = new Run("hot pipe", Optional.of(new Vector3D(0.9, -0.6, 0)), List.of(), Optional.empty());
        BuildOption option = option(typed);
        Passable passable = hot(option);
        assertThat(passable.start().out()).isEmpty();
        assertThat(of(passable, "tray").still()).isCloseTo(0.008, within(1e-4));
        assertThat(of(passable, "tray").own().isStill()).isTrue();
        assertThat(of(passable, "blower").still()).isCloseTo(0.015, within(1e-4));
        GapRow tray = Fit.of(option, ROOM).gaps().stream()
                .filter(r -> r.body() == 2 && r.obstacle().isPresent())
                .findFirst()
                .orElseThrow();
        assertThat(tray.asked().still()).isCloseTo(0.008, within(1e-9));
    }

    /** The tube of the port that it comes on and its clamp are no obstacle; the tank, and the other port, are. */
    @Test
    void whatItIsJoinedToIsLeftOut() {
        List<String> own = of(hot(option()), "core").solid().elements();
        assertThat(own).contains("inlet tank", "outlet port").doesNotContain("inlet port", "inlet clamp");
    }
}
