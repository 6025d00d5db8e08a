package io.enthalpa.core.fit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.Rooms;
import io.enthalpa.core.Systems;
import io.enthalpa.core.room.Nature;
import io.enthalpa.core.room.ObstacleShape;
import io.enthalpa.core.room.RoomSpec;
import io.enthalpa.core.space.Way;
import java.util.List;
import org.assertj.core.api.InstanceOfAssertFactories;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.junit.jupiter.api.Test;

/** The core of {@link Rooms} at the datum, drawn out. */
class WayOutTest {
    private static WayOut of(RoomSpec room, Way way) {
        Fit fit = Fit.of(Rooms.core(Systems.standard(), 0, 0, 0), room);
        return WayOut.of(fit, 0, room).stream()
                .filter(out -> out.way() == way)
                .findFirst()
                .orElseThrow();
    }

    /** A shelf 300 up, over the block's top at 125: 175 until it strikes. Forwards past the shelf's front at -100: 100 and the clamps' 38.5. */
    @Test
    void shelfStopsItAfterTheWayBetween() {
        RoomSpec room = Rooms.room(Rooms.box("shelf", -0.1, 0.1, -0.1, 0.1, 0.3, 0.32));
        assertThat(of(room, Way.UP).inWay()).singleElement().satisfies(in -> {
            assertThat(in.name()).isEqualTo("shelf");
            assertThat(in.after()).isCloseTo(0.175, within(0.5e-3));
            assertThat(in.after()).isLessThanOrEqualTo(0.175);
        });
        assertThat(of(room, Way.FORWARDS)).satisfies(out -> {
            assertThat(out.isFree()).isTrue();
            assertThat(out.length()).isCloseTo(0.1385, within(1e-9));
        });
    }

    /** A thin sheet far off is not stepped over, and the nearest of two is told first. */
    @Test
    void nothingIsSteppedOver() {
        RoomSpec room = Rooms.room(
                Rooms.box("sheet", 0.9, 0.901, -0.01, 0.01, -0.01, 0.01),
                Rooms.box("peg", 0.4, 0.41, 0.2, 0.21, 0.1, 0.11));
        assertThat(of(room, Way.REARWARDS).inWay())
                .extracting(WayOut.InWay::name)
                .containsExactly("peg", "sheet");
        assertThat(of(room, Way.REARWARDS).inWay().get(1).after()).isCloseTo(0.9 - 0.032, within(0.5e-3));
    }

    /** What comes out at all is told before what does not, the shortest way first; bonnet and ground are out of the way. */
    @Test
    void shortestWayOutComesFirst() {
        RoomSpec room = Rooms.room(
                Rooms.of("bonnet", Nature.BONNET, new ObstacleShape.Plane(new Vector3D(0, 0, 0.2), 0, 0, true)),
                Rooms.box("wall", 0.1, 0.2, -1, 1, -1, 1));
        List<WayOut> ways = WayOut.of(Fit.of(Rooms.core(Systems.standard(), 0, 0, 0), room), 0, room);
        // Forwards it is past at once, its own length; the others must pass the wall's ends.
        assertThat(ways).extracting(WayOut::way).startsWith(Way.FORWARDS).endsWith(Way.REARWARDS);
        assertThat(ways)
                .filteredOn(out -> out.way() == Way.UP)
                .singleElement(InstanceOfAssertFactories.type(WayOut.class))
                .satisfies(up -> assertThat(up.isFree()).isTrue());
    }
}
