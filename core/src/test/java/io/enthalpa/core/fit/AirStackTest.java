package io.enthalpa.core.fit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.Rooms;
import io.enthalpa.core.Systems;
import io.enthalpa.core.Ways;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.coolingair.AirWaySpec;
import io.enthalpa.core.coolingair.Layer;
import io.enthalpa.core.coolingair.WayInRoom;
import io.enthalpa.core.space.Bounds;
import java.util.List;
import java.util.Optional;
import org.assertj.core.util.DoubleComparator;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.junit.jupiter.api.Test;

/** An opening at 100 back, 20 right and 300 up, 50 before a core of 500 x 250 x 64: the core's middle is at 182. */
class AirStackTest {
    private static BuildOption option(double back, double right, double up) {
        BuildOption core = Rooms.core(Systems.standard(), back, right, up);
        AirWaySpec way = new Ways()
                .spec()
                .withInRoom(new WayInRoom(new Vector3D(0.1, 0.02, 0.3), false, false, Optional.empty()));
        return new BuildOption("A", "first", 100e3, core.path(), List.of(way), core.stands());
    }

    private static AirStack stack(double back, double right, double up) {
        return AirStack.of(option(back, right, up)).get(0);
    }

    @Test
    void openingAndLayersStandBehindOneAnother() {
        AirStack stack = stack(0.182, 0.02, 0.3);
        assertThat(stack.parts()).extracting(p -> p.element()).containsExactly("opening", "core");
        assertThat(stack.parts().get(1).convex().bounds())
                .usingRecursiveComparison()
                .withComparatorForType(new DoubleComparator(1e-9), Double.class)
                .isEqualTo(new Bounds(0.15, -0.23, 0.175, 0.214, 0.27, 0.425));
        assertThat(stack.away()).isEmpty();
    }

    /** 30 to the right and 40 up are 50 off; two tapes may differ by 10. */
    @Test
    void bodyElsewhereIsTold() {
        assertThat(stack(0.182, 0.05, 0.34).away()).singleElement().satisfies(away -> {
            assertThat(away.name()).isEqualTo("core");
            assertThat(away.by().getNorm()).isCloseTo(0.05, within(1e-9));
        });
        assertThat(stack(0.182, 0.029, 0.3).away()).isEmpty();
        assertThat(FitFinding.of(Fit.of(option(0.182, 0.05, 0.34), Rooms.room()), 20))
                .filteredOn(f -> f.kind() == FitFinding.Kind.FIT_STACK_ELSEWHERE)
                .singleElement()
                .satisfies(f -> {
                    assertThat(f.of()).isEqualTo("core");
                    assertThat(f.figures().get(0).value()).isCloseTo(0.05, within(1e-9));
                });
    }

    /** A core whose middle is at 202 has its front 70 behind the opening; one at 120 would stand with its front before it. */
    @Test
    void stackAsTheRoomHasIt() {
        BuildOption option = option(0.202, 0.05, 0.34);
        Layer layer = AirStack.asTheyStand(option, option.airWays().get(0))
                .orElseThrow()
                .get(0);
        assertThat(List.of(layer.across(), layer.up(), layer.gap()))
                .usingElementComparator(new DoubleComparator(1e-9))
                .containsExactly(0.03, 0.04, 0.07);
        BuildOption before = option(0.12, 0.02, 0.3);
        assertThat(AirStack.asTheyStand(before, before.airWays().get(0))).isEmpty();
    }
}
