package io.enthalpa.core.trial;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.Rooms;
import io.enthalpa.core.Systems;
import io.enthalpa.core.Ways;
import io.enthalpa.core.build.Build;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.coolingair.OpeningSpec;
import io.enthalpa.core.coolingair.WayInRoom;
import io.enthalpa.core.fit.AirSeen;
import io.enthalpa.core.room.Obstacle;
import io.enthalpa.core.room.RoomSpec;
import java.util.List;
import java.util.Optional;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.junit.jupiter.api.Test;

/** A plate that covers the left half of an opening of 480 by 240 whose middle is the datum; the core stands behind it. */
class TrialsInRoomTest {
    private static final Obstacle PLATE = Rooms.box("plate", -0.1, -0.08, -1, 0, -1, 1);

    /** The way not looked at yet, as a change of the option leaves it. */
    private static BuildOption option() {
        Ways ways = new Ways();
        ways.opening = new OpeningSpec(0.48, 0.24, 0.9, 1, false, List.of());
        BuildOption core = Rooms.core(Systems.standard(), 0.082, 0, 0);
        return new BuildOption(
                "A",
                "first",
                100e3,
                core.path(),
                List.of(ways.spec().withInRoom(new WayInRoom(Vector3D.ZERO, true, false, Optional.empty()))),
                core.stands());
    }

    private static Build build(RoomSpec room) {
        return Rooms.build(room, AirSeen.of(option(), room));
    }

    private static Change tried(Trials trials) {
        return trials.of(List.of(new Candidate(What.CORE_SIZE, "core", option())))
                .get(0);
    }

    @Test
    void whatCoversTheOpeningCoversItForEveryTrial() {
        Trials trials = new Trials(build(Rooms.room(PLATE)), "A");
        assertThat(tried(trials).worst()).isCloseTo(0, within(1e-9));
    }

    @Test
    void whatIsMovedAwayForATrialCoversNothingInIt() {
        Trials covered = new Trials(build(Rooms.room(PLATE)), "A");
        double now = covered.now().orElseThrow().worst();
        double free = new Trials(build(Rooms.room()), "A").now().orElseThrow().worst();
        assertThat(free).isLessThan(now - 1);
        assertThat(tried(covered.in(Rooms.room())).worst()).isCloseTo(free - now, within(1e-9));
    }
}
