package io.enthalpa.core.fit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.Rooms;
import io.enthalpa.core.Systems;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.engine.BlowerType;
import io.enthalpa.core.room.RoomSpec;
import io.enthalpa.core.room.Scroll;
import io.enthalpa.core.room.Stand;
import io.enthalpa.core.space.Bounds;
import io.enthalpa.core.space.Solid;
import java.util.List;
import java.util.Optional;
import org.assertj.core.util.DoubleComparator;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A housing of 200 across and 100 deep, its outlet of 50 (54 outside) flush with the rim: its middle line 73 off the shaft, its end 140 from it. */
class ClockingTest {
    private static final Stand.Size SIZE = new Stand.Size(0.1, 0.2, 0.18);

    private static Bounds outlet(double degrees, Scroll.Runs runs) {
        List<Solid.Part> parts = ScrollBody.parts(SIZE, new Scroll(Math.toRadians(degrees), runs), 0.05);
        assertThat(parts.get(0).convex().bounds())
                .usingRecursiveComparison()
                .withComparatorForType(new DoubleComparator(1e-9), Double.class)
                .isEqualTo(new Bounds(-0.05, -0.1, -0.1, 0.05, 0.1, 0.1));
        return parts.stream()
                .filter(p -> p.element().equals("outlet port"))
                .map(p -> p.convex().bounds())
                .reduce(Bounds::with)
                .orElseThrow();
    }

    /** Seen from the inlet, from the front, the car's left (less than 0) is to the right: clockwise from up comes there first. The charge comes round from behind. */
    @ParameterizedTest
    @CsvSource({
        "0,    CLOCKWISE,     0.046, 0,      0.1,    0.14",
        "0,    ANTICLOCKWISE, -0.1,  0,      -0.046, 0.14",
        "90,   CLOCKWISE,     -0.14, 0.046,  0,      0.1",
        "90,   ANTICLOCKWISE, -0.14, -0.1,   0,      -0.046",
        "180,  CLOCKWISE,     -0.1,  -0.14,  -0.046, 0",
        "-90,  CLOCKWISE,     0,     -0.1,   0.14,   -0.046",
    })
    void outletLeavesTheRim(double degrees, Scroll.Runs runs, double left, double bottom, double right, double top) {
        assertThat(outlet(degrees, runs))
                .usingRecursiveComparison()
                .withComparatorForType(new DoubleComparator(1e-9), Double.class)
                .isEqualTo(new Bounds(-0.027, left, bottom, 0.027, right, top));
    }

    private static BuildOption blower(Systems s, Optional<Scroll> scroll) {
        Stand stand = new Stand(
                "blower",
                Stand.What.BLOWER,
                Vector3D.ZERO,
                0,
                0,
                0,
                "body",
                Optional.of(new Stand.Size(0.1, 0.2, 0.2)));
        return new BuildOption(
                "A",
                "first",
                100e3,
                s.path().elements(),
                List.of(),
                List.of(scroll.map(stand::scrolled).orElse(stand)));
    }

    private static Systems turbo() {
        Systems s = Systems.standard().evenBore(0.05);
        s.type = BlowerType.TURBO;
        return s;
    }

    /**
     * A shelf 120 over the shaft, 8 asked: straight up the outlet's end at 140 stands 20 inside it, 28 short. Downwards only the housing is
     * near, 20 off and 12 to spare; level to the left its clamp, 73 and 35 over the shaft, 12 off and 4 to spare.
     */
    @Test
    void allRound() {
        RoomSpec room = Rooms.room(Rooms.box("shelf", -0.3, 0.3, -0.3, 0.3, 0.12, 0.14));
        BuildOption option = blower(turbo(), Optional.of(new Scroll(0, Scroll.Runs.CLOCKWISE)));
        List<Clocking> all = Clocking.of(option, room, Fit.of(option, room), 0);
        assertThat(all).hasSize(36);
        assertThat(all.get(0).missing()).isCloseTo(0.028, within(1e-5));
        assertThat(all.get(0).isClear()).isFalse();
        assertThat(all.get(18).missing()).isCloseTo(-0.012, within(1e-5));
        assertThat(all.get(9).missing()).isCloseTo(-0.004, within(1e-5));
        assertThat(all.get(9).isClear()).isTrue();
        assertThat(all.get(9).worst().orElseThrow().element()).isEqualTo("outlet clamp");
    }

    /** Clear from the left round to the right, and told as one span though the count begins at the top; the first of the best. */
    @Test
    void spansAndBest() {
        RoomSpec room = Rooms.room(Rooms.box("shelf", -0.3, 0.3, -0.3, 0.3, 0.12, 0.14));
        BuildOption option = blower(turbo(), Optional.of(new Scroll(0, Scroll.Runs.CLOCKWISE)));
        List<Clocking> all = Clocking.of(option, room, Fit.of(option, room), 0);
        assertThat(Clocking.best(all)).isBetween(10, 26);
        assertThat(all.get(Clocking.best(all)).missing()).isCloseTo(-0.012, within(1e-5));
        assertThat(Clocking.clear(all)).singleElement().satisfies(span -> {
            assertThat(all.get(span.from()).isClear()).isTrue();
            assertThat(all.get(span.from() - 1).isClear()).isFalse();
            assertThat(all.get(span.to()).isClear()).isTrue();
            assertThat(all.get(span.to() + 1).isClear()).isFalse();
        });
        assertThat(Clocking.clear(list("CCSSCCCSSC")))
                .containsExactly(new Clocking.Span(4, 6), new Clocking.Span(9, 1));
        assertThat(Clocking.clear(list("CCCC"))).containsExactly(new Clocking.Span(0, 3));
        assertThat(Clocking.clear(list("SSS"))).isEmpty();
    }

    private static List<Clocking> list(String clear) {
        RoomSpec room = Rooms.room(Rooms.box("wall", -1, 1, -1, 1, 0.05, 1));
        BuildOption option = blower(turbo(), Optional.empty());
        Optional<GapRow> shortOf = Optional.of(Fit.of(option, room).gaps().get(0));
        return clear.chars()
                .mapToObj(c -> new Clocking(0, c == 'S' ? shortOf : Optional.empty()))
                .toList();
    }

    /** What has no scroll stays the box that it was. */
    @Test
    void rootsTypeIsABoxHoweverItIsSaidToBeClocked() {
        Systems s = turbo();
        s.type = BlowerType.ROOTS;
        Scroll scroll = new Scroll(0, Scroll.Runs.CLOCKWISE);
        assertThat(Bodies.of(blower(s, Optional.of(scroll))).get(0).solid().elements())
                .containsExactly("blower");
        assertThat(Bodies.of(blower(turbo(), Optional.of(scroll)))
                        .get(0)
                        .solid()
                        .elements())
                .containsExactly("housing", "outlet port", "outlet clamp");
        assertThat(Bodies.of(blower(turbo(), Optional.empty())).get(0).solid().elements())
                .containsExactly("blower");
    }
}
