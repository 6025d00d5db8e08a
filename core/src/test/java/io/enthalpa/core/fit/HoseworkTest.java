package io.enthalpa.core.fit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.Loops;
import io.enthalpa.core.Rooms;
import io.enthalpa.core.Systems;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.chargepath.Pieces;
import io.enthalpa.core.exchanger.CoreSpec;
import io.enthalpa.core.loss.PipeMaterial;
import io.enthalpa.core.loss.PipeSpec;
import io.enthalpa.core.room.Carrier;
import io.enthalpa.core.room.Stand;
import io.enthalpa.core.route.Run;
import io.enthalpa.core.route.Run.Corner;
import io.enthalpa.core.waterloop.CorePorts;
import io.enthalpa.core.waterloop.HoseMake;
import io.enthalpa.core.waterloop.LoopPiece;
import io.enthalpa.core.waterloop.WaterLoopSpec;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.UnaryOperator;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.junit.jupiter.api.Test;

/**
 * A tank of 200 each way, its middle 500 behind and above the datum: it gives water 360 behind and 430 up, and its cap is 600 up. A pump of its
 * usual 120 at the datum takes water 100 before it. Both ports look forwards.
 */
class HoseworkTest {
    private static final double EXACT = 1e-9;
    private static final Stand TANK = new Stand(
            "core",
            Stand.What.TANK,
            p(0.5, 0, 0.5),
            0,
            0,
            0,
            Carrier.BODY.name(),
            Optional.of(new Stand.Size(0.2, 0.2, 0.2)));
    private static final Stand PUMP =
            new Stand("core", Stand.What.PUMP, p(0, 0, 0), 0, 0, 0, Carrier.BODY.name(), Optional.empty());
    /** Forwards past the pump, down, and back into it. */
    private static final Run TO_PUMP = run(
            "to the pump", corner(-0.3, 0, 0.43, OptionalDouble.empty()), corner(-0.3, 0, 0, OptionalDouble.empty()));

    private static Vector3D p(double back, double right, double up) {
        return new Vector3D(back, right, up);
    }

    private static Corner corner(double back, double right, double up, OptionalDouble radius) {
        return new Corner(p(back, right, up), radius);
    }

    private static Run run(String of, Corner... corners) {
        return new Run(of, Optional.empty(), List.of(corners), Optional.empty()).on("core");
    }

    private static BuildOption option(List<Stand> stands, Run... runs) {
        return new BuildOption("A", "first", 100e3, new Loops().systems().path().elements(), List.of(), stands)
                .withRuns(Arrays.asList(runs));
    }

    private static BuildOption laid(Run... runs) {
        return option(List.of(TANK, PUMP), runs);
    }

    private static BuildOption withHose(BuildOption option, UnaryOperator<LoopPiece.Hose> change) {
        return option.withLoop(Pieces.of(PathElement.Core.class, option.path()).get(0), loop -> {
            List<LoopPiece> all = new ArrayList<>(loop.pieces());
            all.replaceAll(p -> p.name().equals("to the pump") ? change.apply((LoopPiece.Hose) p) : p);
            return loop.withPieces(all);
        });
    }

    private static Pipework work(BuildOption option) {
        return Pipework.of(option, Bodies.of(option));
    }

    private static LoopPiece piece(BuildOption option, String name) {
        WaterLoopSpec loop = Pieces.cores(option.path()).get(0).loop().orElseThrow();
        return loop.pieces().stream()
                .filter(p -> p.name().equals(name))
                .findFirst()
                .orElseThrow();
    }

    private static List<Buildable.Fault> faults(BuildOption option) {
        Pipework work = work(option);
        Laid l = work.all().get(0);
        return Buildable.of(l, work.run(l));
    }

    /** A plain hose of 19 bends to 5 bores, 95: 360 + 300 - 95, 430 - 2 x 95 and 200 - 95 of it are straight. */
    @Test
    void aHoseIsAsLongAndBentAsItIsLaid() {
        LoopPiece.Hose hose = (LoopPiece.Hose) piece(Pipework.applied(laid(TO_PUMP)), "to the pump");
        assertThat(hose.spec().length()).isCloseTo(0.565 + 0.240 + 0.105, within(EXACT));
        assertThat(hose.spec().bends()).hasSize(2).allSatisfy(b -> {
            assertThat(b.angle()).isCloseTo(Math.PI / 2, within(EXACT));
            assertThat(b.radius()).isEqualTo(0.095);
            assertThat(b.stock()).isFalse();
        });
        assertThat(hose.spec().bore()).isEqualTo(0.019);
    }

    /** The tank's water was typed 650 above the ground, and its cap stands 600 up in the room: what is in the room stands 50 more over the ground. */
    @Test
    void heightsAreTakenFromTheRoom() {
        BuildOption applied = Pipework.applied(laid(TO_PUMP));
        assertThat(piece(applied, "tank").height()).isEqualTo(0.65);
        assertThat(piece(applied, "to the pump").height()).isCloseTo(0.48, within(EXACT));
        assertThat(piece(applied, "pump").height()).isCloseTo(0.05, within(EXACT));
        assertThat(piece(applied, "to the core").height()).isEqualTo(0.5);
        assertThat(piece(applied, "core").height()).isEqualTo(0.5);
        assertThat(work(laid(TO_PUMP)).loops())
                .singleElement()
                .satisfies(loop -> assertThat(loop.heights())
                        .extracting(LoopInRoom.Height::typed)
                        .startsWith(true, false, false, true, true, true));
        assertThat(Pipework.applied(applied)).isEqualTo(applied);
    }

    @Test
    void heightsStayAsTypedWithoutTheCapOrWithoutAHoseInTheRoom() {
        assertThat(piece(Pipework.applied(laid()), "tank").height()).isEqualTo(0.65);
        BuildOption noTank = option(
                List.of(PUMP),
                new Run("to the pump", Optional.of(p(0.36, 0, 0.43)), TO_PUMP.corners(), Optional.empty()).on("core"));
        BuildOption applied = Pipework.applied(noTank);
        assertThat(piece(applied, "pump").height()).isEqualTo(0.2);
        assertThat(((LoopPiece.Hose) piece(applied, "to the pump")).spec().length())
                .isCloseTo(0.91, within(EXACT));
        assertThat(work(noTank).loops()).isEmpty();
    }

    /** The hose goes on to the core 200 above the pump's stub at 80 up; the spigot behind it is where it ends. */
    @Test
    void aFittingStandsWhereTheHoseBesideItEnds() {
        Run on = new Run("to the core", Optional.empty(), List.of(), Optional.of(p(0, 0, 0.28))).on("core");
        BuildOption applied = Pipework.applied(laid(TO_PUMP, on));
        assertThat(((LoopPiece.Hose) piece(applied, "to the core")).spec().length())
                .isCloseTo(0.2, within(EXACT));
        assertThat(piece(applied, "core spigot").height()).isCloseTo(0.33, within(EXACT));
        assertThat(piece(applied, "core outlet").height()).isEqualTo(0.4);
    }

    @Test
    void aHoseBentTighterThanItBearsKinks() {
        Run tight = run(
                "to the pump",
                corner(-0.3, 0, 0.43, OptionalDouble.of(0.06)),
                TO_PUMP.corners().get(1));
        assertThat(faults(laid(TO_PUMP))).isEmpty();
        assertThat(faults(laid(tight))).singleElement().satisfies(fault -> {
            assertThat(fault.says().kind()).isEqualTo(FitFinding.Kind.HOSE_KINKS);
            assertThat(fault.says().figures()).extracting(f -> f.value()).containsExactly(1.0, 0.06, 0.095);
            assertThat(fault.mended()).contains(TO_PUMP);
        });
        assertThat(faults(withHose(laid(tight), h -> made(h, HoseMake.WIRED, OptionalDouble.empty()))))
                .isEmpty();
        assertThat(faults(withHose(laid(tight), h -> made(h, HoseMake.PLAIN, OptionalDouble.of(0.055)))))
                .isEmpty();
    }

    /** Where the straight is too short for what it bears nothing is put right at that corner. */
    @Test
    void whatHasNoRoomForAWiderBendIsNotMendedByOne() {
        Run near = run(
                "to the pump",
                corner(-0.17, 0, 0.43, OptionalDouble.of(0.06)),
                corner(-0.17, 0, 0, OptionalDouble.of(0.06)));
        assertThat(faults(laid(near))).extracting(f -> f.mended().isPresent()).containsExactly(true, false);
    }

    private static LoopPiece.Hose made(LoopPiece.Hose h, HoseMake make, OptionalDouble least) {
        return new LoopPiece.Hose(h.name(), h.spec(), h.beside(), h.height(), h.wrap(), make, least);
    }

    /** 5, 2.5 and 1.5 bores of 20; a steel line of 20 with 1.5 of wall is bent to twice its 23. */
    @Test
    void eachMakeBearsItsOwn() {
        LoopPiece.Hose hose = Loops.hose("hose", 0.02, 1, 0);
        assertThat(Arrays.stream(HoseMake.values())
                        .map(m -> made(hose, m, OptionalDouble.empty()).leastRadius()))
                .containsExactly(0.1, 0.05, 0.03);
        LoopPiece.Hose line = hose.withSpec(new PipeSpec(PipeMaterial.STEEL, 0.02, 1, List.of()));
        assertThat(line.leastRadius()).isCloseTo(0.046, within(EXACT));
    }

    /** Out of the pump's top and off at 30 degrees, where a pipe's clamp would bear 2. */
    @Test
    void aHoseThatLeavesItsPortAskewIsTold() {
        double aside = 0.2 * Math.tan(Math.toRadians(30));
        Run askew = new Run("to the core", Optional.empty(), List.of(), Optional.of(p(0, aside, 0.28))).on("core");
        assertThat(faults(laid(askew))).singleElement().satisfies(fault -> {
            assertThat(fault.says().kind()).isEqualTo(FitFinding.Kind.PIPE_OUT_OF_SQUARE);
            assertThat(fault.says().to()).isEqualTo("the water outlet of pump of core");
            assertThat(fault.says().figures().get(0).value()).isCloseTo(Math.toRadians(30), within(1e-9));
            assertThat(fault.says().figures().get(1).value()).isCloseTo(Math.toRadians(10), within(1e-9));
        });
    }

    /** 19 bore and two walls of 5 are 29 outside: 50 less 14.5 from the middle. */
    @Test
    void aHoseKeepsGapsByItsOutside() {
        Fit fit = Fit.of(laid(TO_PUMP), Rooms.room(Rooms.box("wall", -0.3, -0.2, 0.05, 0.1, 0.2, 0.3)));
        assertThat(fit.gaps())
                .filteredOn(g -> g.element().equals("to the pump"))
                .singleElement()
                .satisfies(g -> {
                    assertThat(g.name()).isEqualTo("wall");
                    assertThat(g.still()).isCloseTo(0.0355, within(1e-5));
                });
    }

    /** Pipes and hoses are told apart by the loop, whatever they are called. */
    @Test
    void aHoseThatIsGoneIsToldAndOneOfAnotherLoopDoesNotCount() {
        Run gone = run("old hose");
        Run other = new Run("to the pump", Optional.empty(), List.of(), Optional.empty()).on("other core");
        Pipework work = work(laid(gone, other));
        assertThat(work.all()).isEmpty();
        assertThat(work.unlaid()).extracting(Unlaid::why).containsOnly(Unlaid.Why.GONE);
        assertThat(work.unlaid()).hasSize(2);
    }

    /** Nothing of the radiator has a place. */
    @Test
    void whatItWouldEndOnIsNamed() {
        Pipework work = work(laid(run("onwards")));
        assertThat(work.unlaid()).singleElement().satisfies(u -> {
            assertThat(u.why()).isEqualTo(Unlaid.Why.NO_START);
            assertThat(u.detail()).isEqualTo("core");
        });
    }

    /** Both ports look forwards. */
    @Test
    void whatOneBeginsWithCanBeLaid() {
        Run start = start(laid());
        assertThat(start.loop()).contains("core");
        assertThat(work(laid(start)).unlaid()).isEmpty();
        assertThat(faults(laid(start))).isEmpty();
    }

    private static Run start(BuildOption option) {
        return work(option).startings().stream()
                .filter(r -> r.of().equals("to the pump"))
                .findFirst()
                .orElseThrow();
    }

    /**
     * Nearly level with the tank's port the pump would have it turn all the way back: 50 and a bend's 95 out of its port, then 2.5 x 95 aside,
     * towards where it comes from, 50 to the left and 30 up of it.
     */
    @Test
    void whatWouldTurnAllTheWayBackDoesSoInTwoBends() {
        List<Stand> stands = List.of(TANK, PUMP.at(p(0, 0.05, 0.4)));
        Run start = start(option(stands));
        double far = Math.hypot(50, 30);
        assertThat(start.corners()).hasSize(3);
        assertThat(start.corners().get(1).at().distance(p(-0.245, 0.05 - 0.2375 * 50 / far, 0.4 + 0.2375 * 30 / far)))
                .isLessThan(EXACT);
        assertThat(start.corners().get(2).at().distance(p(-0.245, 0.05, 0.4))).isLessThan(EXACT);
        assertThat(work(option(stands, start)).unlaid()).isEmpty();
    }

    /** A block of 500 x 250 x 64 with its inlet's tank on the left: 30 in from its edges on the front, on stubs of 40. */
    @Test
    void portsOfACoreAreWhereItsWaterPortsSay() {
        CoreSpec core = Systems.water().core();
        double front = -core.standing().depth() / 2 - 0.04;
        double aside = core.standing().width() / 2 - 0.03;
        double high = core.standing().height() / 2 - 0.03;
        double sign = new io.enthalpa.core.exchanger.CorePorts(core).along().getY();
        assertThat(WaterPorts.ofCore(
                        core, new CorePorts(CorePorts.Layout.OPPOSITE_CORNERS, CorePorts.Feed.BOTTOM, false)))
                .extracting(OpenPort::at)
                .containsExactly(p(front, sign * aside, -high), p(front, -sign * aside, high));
        assertThat(WaterPorts.ofCore(core, new CorePorts(CorePorts.Layout.ONE_END, CorePorts.Feed.TOP, false)))
                .extracting(OpenPort::at)
                .containsExactly(p(front, sign * aside, high), p(front, sign * aside, -high));
        assertThat(WaterPorts.ofCore(core, new CorePorts(CorePorts.Layout.MIDDLE, CorePorts.Feed.BOTTOM, false)))
                .extracting(OpenPort::at)
                .containsExactly(p(front, 0, -high), p(front, 0, high));
    }
}
