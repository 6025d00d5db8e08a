package io.enthalpa.core.fit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.Rooms;
import io.enthalpa.core.Systems;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.room.Carrier;
import io.enthalpa.core.room.Stand;
import java.util.List;
import java.util.Optional;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.junit.jupiter.api.Test;

/** The usual filter, 250 deep, 250 wide, 200 high, in a box that is open upwards. */
class KeptInTest {
    private static List<KeptIn> under(double lid) {
        BuildOption option = Rooms.core(Systems.standard(), 5, 0, 0)
                .withStands(List.of(new Stand(
                        "filter", Stand.What.FILTER, Vector3D.ZERO, 0, 0, 0, Carrier.BODY.name(), Optional.empty())));
        return Fit.of(
                        option,
                        Rooms.room(
                                Rooms.box("before", -0.3, -0.25, -1, 1, -1, 1),
                                Rooms.box("behind", 0.25, 0.3, -1, 1, -1, 1),
                                Rooms.box("left", -1, 1, -0.3, -0.25, -1, 1),
                                Rooms.box("right", -1, 1, 0.25, 0.3, -1, 1),
                                Rooms.box("floor", -1, 1, -1, 1, -0.25, -0.2),
                                Rooms.box("lid", -0.2, 0.2, -0.2, 0.2, lid, lid + 0.1)))
                .keptIn();
    }

    /** Its top is at 100: a lid at 301 lets it up by its own 200, one at 299 does not. */
    @Test
    void aFilterComesOffByItsOwnLength() {
        assertThat(under(0.301)).isEmpty();
        assertThat(under(0.299)).singleElement().satisfies(kept -> {
            assertThat(kept.by()).isEqualTo("lid");
            assertThat(kept.after()).isCloseTo(0.199, within(0.5e-3));
            assertThat(kept.wanted()).isCloseTo(0.2, within(1e-9));
        });
    }
}
