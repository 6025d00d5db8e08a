package io.enthalpa.core.fit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import io.enthalpa.core.Systems;
import io.enthalpa.core.exchanger.CoreSize;
import io.enthalpa.core.exchanger.CoreSpec;
import io.enthalpa.core.exchanger.Effectiveness;
import io.enthalpa.core.exchanger.EndTankSpec;
import io.enthalpa.core.exchanger.EndTankSpec.PortPlace;
import io.enthalpa.core.exchanger.PortElbow;
import io.enthalpa.core.exchanger.PortSeat;
import io.enthalpa.core.exchanger.PortSide;
import io.enthalpa.core.exchanger.PortTurn;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.space.Bounds;
import io.enthalpa.core.space.Solid;
import java.util.List;
import java.util.Optional;
import org.assertj.core.util.DoubleComparator;
import org.junit.jupiter.api.Test;

/** A core of 500 x 300 x 60 mm with tanks of 50, ports of 60 (64 outside) on stubs of 40: every box worked out by hand. */
class CoreBodyTest {
    private static CoreSpec core(PortSide towards, PortPlace place, int outlets, Effectiveness arrangement) {
        EndTankSpec tanks = new EndTankSpec(0.06, 0.05, place, false, 0, outlets, 0.06, 0.04);
        return new CoreSpec(
                "bar-and-plate",
                new CoreSize(0.5, 0.3, 0.06),
                Systems.standard().core().basis(),
                arrangement,
                tanks,
                towards);
    }

    private static void stands(List<Solid.Part> parts, String element, Bounds expected) {
        Solid.Part part = parts.stream()
                .filter(p -> p.element().equals(element))
                .findFirst()
                .orElseThrow();
        assertThat(part.convex().bounds())
                .as(element)
                .usingRecursiveComparison()
                .withComparatorForType(new DoubleComparator(1e-9), Double.class)
                .isEqualTo(expected);
    }

    /** Towards the right of one who looks at the car's front is the car's left: less than 0. */
    @Test
    void inletToTheViewersRightLooksToTheCarsLeft() {
        List<Solid.Part> parts =
                CoreBody.parts(core(PortSide.RIGHT, PortPlace.MIDDLE, 1, Effectiveness.CROSSFLOW_UNMIXED));
        stands(parts, "block", new Bounds(-0.03, -0.25, -0.15, 0.03, 0.25, 0.15));
        stands(parts, "inlet tank", new Bounds(-0.03, -0.3, -0.15, 0.03, -0.25, 0.15));
        stands(parts, "outlet tank", new Bounds(-0.03, 0.25, -0.15, 0.03, 0.3, 0.15));
        stands(parts, "inlet port", new Bounds(-0.032, -0.34, -0.032, 0.032, -0.3, 0.032));
        stands(parts, "outlet port", new Bounds(-0.032, 0.3, -0.032, 0.032, 0.34, 0.032));
        // A band of 15 in the middle of the stub, hose and band 8 over the port.
        stands(parts, "inlet clamp", new Bounds(-0.04, -0.3275, -0.04, 0.04, -0.3125, 0.04));
    }

    @Test
    void onEndTheTanksStandAboveAndBelow() {
        List<Solid.Part> parts =
                CoreBody.parts(core(PortSide.UP, PortPlace.OFFSET, 1, Effectiveness.CROSSFLOW_UNMIXED));
        stands(parts, "block", new Bounds(-0.03, -0.15, -0.25, 0.03, 0.15, 0.25));
        stands(parts, "inlet tank", new Bounds(-0.03, -0.15, 0.25, 0.03, 0.15, 0.3));
        // Offset half way to the end, 0.075; seen from the front the inlet stands left, so at the car's right.
        stands(parts, "inlet port", new Bounds(-0.032, 0.043, 0.3, 0.032, 0.107, 0.34));
        stands(parts, "outlet port", new Bounds(-0.032, -0.107, -0.34, 0.032, -0.043, -0.3));
    }

    @Test
    void portsAtTheEndsOfTheirTanksStandAcross() {
        List<Solid.Part> parts = CoreBody.parts(core(PortSide.LEFT, PortPlace.END, 1, Effectiveness.CROSSFLOW_UNMIXED));
        stands(parts, "inlet tank", new Bounds(-0.03, 0.25, -0.15, 0.03, 0.3, 0.15));
        stands(parts, "inlet port", new Bounds(-0.032, 0.243, 0.15, 0.032, 0.307, 0.19));
        stands(parts, "outlet port", new Bounds(-0.032, -0.307, -0.19, 0.032, -0.243, -0.15));
    }

    @Test
    void twoPassesShareOneEndAndTwoOutletsTheOther() {
        List<Solid.Part> there = CoreBody.parts(core(PortSide.DOWN, PortPlace.MIDDLE, 1, Effectiveness.U_FLOW_STACKED));
        stands(there, "turning tank", new Bounds(-0.03, -0.15, 0.25, 0.03, 0.15, 0.3));
        stands(there, "inlet tank", new Bounds(-0.03, 0, -0.3, 0.03, 0.15, -0.25));
        stands(there, "outlet port", new Bounds(-0.032, -0.107, -0.34, 0.032, -0.043, -0.3));
        List<Solid.Part> two =
                CoreBody.parts(core(PortSide.RIGHT, PortPlace.MIDDLE, 2, Effectiveness.CROSSFLOW_UNMIXED));
        stands(two, "first outlet port", new Bounds(-0.032, 0.3, 0.043, 0.032, 0.34, 0.107));
        stands(two, "second outlet port", new Bounds(-0.032, 0.3, -0.107, 0.032, 0.34, -0.043));
    }

    private static CoreSpec seated(CoreSpec core, PortSeat inlet, PortSeat outlet) {
        return new CoreSpec(
                core.construction(),
                core.size(),
                core.basis(),
                core.arrangement(),
                core.tanks().withSeats(inlet, outlet),
                core.inletTowards());
    }

    private static PortSeat seat(PortPlace place, PortSide towards) {
        return new PortSeat(place, Optional.of(towards));
    }

    /** Inlet on the lower end of the tank at the car's left, outlet offset upwards by 75 at its right. */
    @Test
    void outletStandsElsewhereThanTheInlet() {
        List<Solid.Part> parts = CoreBody.parts(seated(
                core(PortSide.RIGHT, PortPlace.MIDDLE, 1, Effectiveness.CROSSFLOW_UNMIXED),
                seat(PortPlace.END, PortSide.DOWN),
                seat(PortPlace.OFFSET, PortSide.UP)));
        stands(parts, "inlet port", new Bounds(-0.032, -0.307, -0.19, 0.032, -0.243, -0.15));
        stands(parts, "outlet port", new Bounds(-0.032, 0.3, 0.043, 0.032, 0.34, 0.107));
    }

    /** Clockwise from the front: a tank at the right comes down, its lower end to the left, which is the car's right. */
    @Test
    void portsTurnWithTheirCore() {
        CoreSpec level = seated(
                core(PortSide.RIGHT, PortPlace.MIDDLE, 1, Effectiveness.CROSSFLOW_UNMIXED),
                seat(PortPlace.END, PortSide.DOWN),
                PortSeat.usual(PortPlace.OFFSET));
        stands(
                CoreBody.parts(level.turnedTo(PortSide.DOWN)),
                "inlet port",
                new Bounds(-0.032, 0.15, -0.307, 0.032, 0.19, -0.243));
        stands(
                CoreBody.parts(level.turnedTo(PortSide.LEFT)),
                "inlet port",
                new Bounds(-0.032, 0.243, 0.15, 0.032, 0.307, 0.19));
        // Across from the inlet's: upwards at the car's right, then to the front's right at the top, then downwards at
        // the left.
        stands(CoreBody.parts(level), "outlet port", new Bounds(-0.032, 0.3, 0.043, 0.032, 0.34, 0.107));
        stands(
                CoreBody.parts(level.turnedTo(PortSide.DOWN)),
                "outlet port",
                new Bounds(-0.032, -0.107, 0.3, 0.032, -0.043, 0.34));
        stands(
                CoreBody.parts(level.turnedTo(PortSide.LEFT)),
                "outlet port",
                new Bounds(-0.032, -0.34, -0.107, 0.032, -0.3, -0.043));
    }

    /** Of two outlets, of one in the middle and of the second of two passes none counts; and an inlet in the middle has none but of two passes. */
    @Test
    void turningSaysNoEndThatDoesNotCount() {
        CoreSpec middle = core(PortSide.RIGHT, PortPlace.MIDDLE, 1, Effectiveness.CROSSFLOW_UNMIXED);
        assertThat(middle.turnedTo(PortSide.DOWN).tanks()).isEqualTo(middle.tanks());
        CoreSpec ends = core(PortSide.RIGHT, PortPlace.END, 2, Effectiveness.CROSSFLOW_UNMIXED);
        assertThat(ends.turnedTo(PortSide.UP).tanks().inlet()).isEqualTo(seat(PortPlace.END, PortSide.LEFT));
        assertThat(ends.turnedTo(PortSide.UP).tanks().outlet()).isEqualTo(PortSeat.usual(PortPlace.END));
        CoreSpec two = core(PortSide.RIGHT, PortPlace.MIDDLE, 1, Effectiveness.U_FLOW_STACKED);
        assertThat(two.turnedTo(PortSide.LEFT).tanks().inlet()).isEqualTo(seat(PortPlace.MIDDLE, PortSide.DOWN));
        assertThat(two.turnedTo(PortSide.LEFT).tanks().outlet()).isEqualTo(PortSeat.usual(PortPlace.MIDDLE));
    }

    @Test
    void ofTwoPassesTheInletCanHaveTheLowerHalf() {
        List<Solid.Part> parts = CoreBody.parts(seated(
                core(PortSide.RIGHT, PortPlace.MIDDLE, 1, Effectiveness.U_FLOW_STACKED),
                seat(PortPlace.MIDDLE, PortSide.DOWN),
                PortSeat.usual(PortPlace.END)));
        stands(parts, "inlet tank", new Bounds(-0.03, -0.3, -0.15, 0.03, -0.25, 0));
        stands(parts, "outlet tank", new Bounds(-0.03, -0.3, 0, 0.03, -0.25, 0.15));
        stands(parts, "inlet port", new Bounds(-0.032, -0.34, -0.107, 0.032, -0.3, -0.043));
        stands(parts, "outlet port", new Bounds(-0.032, -0.307, 0.15, 0.032, -0.243, 0.19));
    }

    @Test
    void endThatTheTankDoesNotHaveIsRefused() {
        CoreSpec level = seated(
                core(PortSide.RIGHT, PortPlace.MIDDLE, 1, Effectiveness.CROSSFLOW_UNMIXED),
                seat(PortPlace.END, PortSide.LEFT),
                PortSeat.usual(PortPlace.MIDDLE));
        assertThatThrownBy(level::checkedSeats)
                .isInstanceOf(EnthalpaFault.class)
                .hasMessageContaining("inlet port's end")
                .hasMessageContaining("up or down, for the core lies level");
        assertThat(level.turnedTo(PortSide.DOWN).tanks().inlet().towards()).contains(PortSide.UP);
    }

    @Test
    void blockWithoutTanksIsAllThereIs() {
        CoreSpec open = core(PortSide.RIGHT, PortPlace.MIDDLE, 1, Effectiveness.CROSSFLOW_UNMIXED);
        EndTankSpec none = new EndTankSpec(0.06, 0, PortPlace.MIDDLE, false, 0, 1, 0.06, 0.04);
        assertThat(CoreBody.parts(new CoreSpec(
                        open.construction(), open.size(), open.basis(), open.arrangement(), none, open.inletTowards())))
                .extracting(Solid.Part::element)
                .containsExactly("block");
    }

    /** Bent rearwards on 60: 60 out and 60 back, then 40 of spigot to 100 behind the middle, its band in the middle of that. */
    @Test
    void elbowTakesThePortRound() {
        CoreSpec straight = core(PortSide.RIGHT, PortPlace.MIDDLE, 1, Effectiveness.CROSSFLOW_UNMIXED);
        EndTankSpec bent = straight.tanks()
                .withElbows(Optional.of(new PortElbow(PortTurn.REARWARDS, 0.06, Math.PI / 2)), Optional.empty());
        List<Solid.Part> parts = CoreBody.parts(new CoreSpec(
                straight.construction(),
                straight.size(),
                straight.basis(),
                straight.arrangement(),
                bent,
                straight.inletTowards()));
        stands(parts, "inlet clamp", new Bounds(0.0725, -0.4, -0.04, 0.0875, -0.32, 0.04));
        Bounds port = parts.stream()
                .filter(p -> p.element().equals("inlet port"))
                .map(p -> p.convex().bounds())
                .reduce(Bounds::with)
                .orElseThrow();
        assertThat(port.maxX()).isCloseTo(0.1, org.assertj.core.api.Assertions.within(1e-9));
        assertThat(port.minY()).isCloseTo(-0.392, org.assertj.core.api.Assertions.within(1e-9));
        stands(parts, "outlet port", new Bounds(-0.032, 0.3, -0.032, 0.032, 0.34, 0.032));
    }
}
