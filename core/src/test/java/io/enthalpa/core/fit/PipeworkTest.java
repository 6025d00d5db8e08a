package io.enthalpa.core.fit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.Rooms;
import io.enthalpa.core.Systems;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.chargepath.HotNeighbour;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.chargepath.PipeWallSpec;
import io.enthalpa.core.engine.BlowerType;
import io.enthalpa.core.loss.PipeSpec;
import io.enthalpa.core.loss.PipeSpec.Bend;
import io.enthalpa.core.room.RoomSpec;
import io.enthalpa.core.room.Scroll;
import io.enthalpa.core.room.Stand;
import io.enthalpa.core.route.Run;
import io.enthalpa.core.route.Run.Corner;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.junit.jupiter.api.Test;

/** The core of {@link Rooms} at the datum: its inlet's end 347 to the left and looking there, its outlet's as far to the right. */
class PipeworkTest {
    private static final double EXACT = 1e-9;

    private static Vector3D p(double back, double right, double up) {
        return new Vector3D(back, right, up);
    }

    /** From 600 behind and 600 left of the datum forwards, round a corner level with the core, on to its inlet. */
    private static Run hot(OptionalDouble radius) {
        return new Run(
                "hot pipe", Optional.of(p(0.6, -0.6, 0)), List.of(new Corner(p(0, -0.6, 0), radius)), Optional.empty());
    }

    private static final Run HOT = hot(OptionalDouble.of(0.1));

    private static BuildOption laid(Run... runs) {
        return Rooms.core(Systems.standard(), 0, 0, 0).withRuns(List.of(runs));
    }

    private static Pipework work(BuildOption option) {
        return Pipework.of(option, Bodies.of(option));
    }

    private static PathElement.Pipe pipe(BuildOption option, String name) {
        return option.path().stream()
                .filter(e -> e.name().equals(name))
                .map(PathElement.Pipe.class::cast)
                .findFirst()
                .orElseThrow();
    }

    /** 600 less a bend's 100, and 600 less the port's 347 less 100: 653 straight and a right angle of radius 100, whatever was typed. */
    @Test
    void aPipeIsAsLongAndBentAsItIsLaid() {
        BuildOption option = laid(HOT);
        PipeSpec typed = pipe(option, "hot pipe").spec();
        PipeSpec spec = pipe(Pipework.applied(option), "hot pipe").spec();
        assertThat(spec.length()).isCloseTo(0.653, within(EXACT));
        assertThat(spec.bends()).singleElement().satisfies(b -> {
            assertThat(b.angle()).isCloseTo(Math.PI / 2, within(EXACT));
            assertThat(b.radius()).isEqualTo(0.1);
            assertThat(b.stock()).isFalse();
        });
        assertThat(spec.bore()).isEqualTo(typed.bore());
        assertThat(pipe(Pipework.applied(option), "cold pipe")).isEqualTo(pipe(option, "cold pipe"));
        assertThat(Pipework.applied(laid())).isEqualTo(laid());
    }

    /** 2 m of hot manifold beside a pipe that is laid 653 straight with an arc of 50 pi: all of that, and no more. */
    @Test
    void whatIsHotStandsBesideNoMorePipeThanThereIs() {
        BuildOption bare = laid(HOT);
        PathElement.Pipe pipe = pipe(bare, "hot pipe");
        PipeWallSpec hot = new PipeWallSpec(0.0015, true, 0, Optional.of(new HotNeighbour(800, 0.2, 0.1, 2, false)));
        List<PathElement> path = new ArrayList<>(bare.path());
        path.set(path.indexOf(pipe), pipe.withWall(hot));
        PathElement.Pipe laid = pipe(Pipework.applied(bare.withPath(path)), "hot pipe");
        assertThat(laid.wall().neighbour().orElseThrow().along()).isCloseTo(0.653 + 0.05 * Math.PI, within(EXACT));
    }

    /** Of tube of 57 bore its outside counts: 1.5 times that. */
    @Test
    void aCornerWithNoRadiusTakesThatOfStock() {
        BuildOption option = laid(hot(OptionalDouble.empty()));
        double outside = pipe(option, "hot pipe").outside();
        Bend bend = pipe(Pipework.applied(option), "hot pipe").spec().bends().get(0);
        assertThat(bend.stock()).isTrue();
        assertThat(bend.radius()).isCloseTo(1.5 * outside, within(EXACT));
        assertThat(bend.angle()).isCloseTo(Math.PI / 2, within(EXACT));
    }

    /** Moved 50 rearwards the port is out of square with the pipe by atan(50 / 253); 100 to the left the last straight is 100 shorter. */
    @Test
    void itGoesAlongWithWhatItIsOn() {
        Laid square = work(laid(HOT)).laid().get(0);
        assertThat(square.behind().orElseThrow().off()).isCloseTo(0, within(1e-7));
        assertThat(square.before()).isEmpty();
        BuildOption behind = Rooms.core(Systems.standard(), 0.05, 0, 0).withRuns(List.of(HOT));
        assertThat(work(behind).laid().get(0).behind().orElseThrow().off())
                .isCloseTo(Math.atan(0.05 / 0.253), within(EXACT));
        BuildOption nearer = Rooms.core(Systems.standard(), 0, -0.1, 0).withRuns(List.of(HOT));
        assertThat(work(nearer).laid().get(0).line().straight()).isCloseTo(0.553, within(EXACT));
    }

    /** Its flat end stands 40 off the tank, on the end of the stub: the port and its clamp, which it is on, are left out. */
    @Test
    void whatItIsJoinedToIsLeftOutAndAllElseIsNot() {
        BuildOption option = laid(HOT);
        double radius = pipe(option, "hot pipe").outside() / 2;
        RoomSpec room = Rooms.room(Rooms.box("tray", 0.2, 0.4, -0.7, -0.5, -0.3, -0.1));
        Fit fit = Fit.of(option, room);
        assertThat(fit.bodies()).extracting(Body::name).containsExactly("core", "hot pipe");
        GapRow own = fit.gaps().stream()
                .filter(r -> r.other().isPresent())
                .findFirst()
                .orElseThrow();
        assertThat(own.element()).isEqualTo("inlet tank");
        assertThat(own.still()).isCloseTo(0.04, within(1e-5));
        GapRow tray = fit.gaps().stream()
                .filter(r -> r.obstacle().isPresent() && r.body() == 1)
                .findFirst()
                .orElseThrow();
        assertThat(tray.still()).isCloseTo(0.1 - radius, within(1e-5));
        assertThat(fit.isJoined(0, 1)).isTrue();
    }

    /** Over its own core from the other side it keeps its gap from that as from anything: 180 up over a block of 125. */
    @Test
    void theOtherPortIsNoJoint() {
        Run over = new Run(
                "hot pipe",
                Optional.of(p(0.2, 0.6, 0)),
                List.of(
                        new Corner(p(0, 0.6, 0.18), OptionalDouble.of(0)),
                        new Corner(p(0, -0.6, 0.18), OptionalDouble.of(0)),
                        new Corner(p(0, -0.6, 0), OptionalDouble.of(0))),
                Optional.empty());
        Fit fit = Fit.of(laid(over), Rooms.room());
        GapRow own = fit.gaps().get(0);
        assertThat(own.element()).isIn("block", "inlet tank", "outlet tank");
        assertThat(own.still()).isCloseTo(0.055 - pipe(laid(), "hot pipe").outside() / 2, within(1e-5));
    }

    /** Two pipes and a coupler of 20 between their ends: the second begins 20 on, and the two are not held against one another. */
    @Test
    void pipesGoOnThroughAJoint() {
        BuildOption one = laid();
        List<PathElement> path = new ArrayList<>(one.path());
        int at = path.indexOf(pipe(one, "hot pipe"));
        PathElement.Pipe hot = pipe(one, "hot pipe");
        path.add(at, new PathElement.Joint("coupler", hot.bore(), hot.bore(), 0.02));
        path.add(at, new PathElement.Pipe("riser", hot.spec(), hot.wall()));
        Run riser = new Run(
                "riser",
                Optional.of(p(0.6, -0.6, -0.5)),
                List.of(new Corner(p(0.6, -0.6, 0), OptionalDouble.of(0.1))),
                Optional.of(p(0.4, -0.6, 0)));
        Run on = new Run(
                "hot pipe",
                Optional.empty(),
                List.of(new Corner(p(0, -0.6, 0), OptionalDouble.of(0.1))),
                Optional.empty());
        BuildOption option = one.withPath(path).withRuns(List.of(on, riser));
        Pipework work = work(option);
        assertThat(work.unlaid()).isEmpty();
        assertThat(work.laid()).extracting(l -> l.pipe().name()).containsExactly("riser", "hot pipe");
        assertThat(work.laid().get(1).spec().from().distance(p(0.38, -0.6, 0))).isLessThan(EXACT);
        assertThat(work.laid().get(1).line().straight()).isCloseTo(0.28 + 0.153, within(EXACT));
        assertThat(Fit.of(option, Rooms.room()).gaps())
                .noneMatch(r -> r.body() > 0 && r.other().isPresent());
    }

    @Test
    void whatCannotBeLaidIsSaidAndKeepsWhatWasTyped() {
        Run gone = new Run("old pipe", Optional.empty(), List.of(), Optional.empty());
        Run open = new Run("cold pipe", Optional.empty(), List.of(), Optional.empty());
        BuildOption option = laid(gone, open);
        assertThat(work(option).unlaid())
                .containsExactlyInAnyOrder(
                        new Unlaid(1, "cold pipe", Unlaid.Why.NO_END, "plenum"),
                        new Unlaid(0, "old pipe", Unlaid.Why.GONE, ""));
        assertThat(Pipework.applied(option).path()).isEqualTo(option.path());
        Run start = new Run("hot pipe", Optional.empty(), List.of(), Optional.empty());
        assertThat(work(laid(start)).unlaid())
                .containsExactly(new Unlaid(0, "hot pipe", Unlaid.Why.NO_START, "blower"));
        assertThat(work(laid(hot(OptionalDouble.of(0.3)))).unlaid())
                .singleElement()
                .satisfies(u -> {
                    assertThat(u.why()).isEqualTo(Unlaid.Why.WRONG);
                    assertThat(u.detail())
                            .startsWith("radius of corner 1 of hot pipe is 300.0 mm")
                            .contains("253.0 mm at most");
                });
    }

    /** Nothing is known of blower and plenum: 400 straight out of the core's ports. With a scroll there are two ports and a corner before each. */
    @Test
    void oneBeginsSquareOutOfThePortsThatAreKnown() {
        List<Run> open = work(laid()).startings();
        assertThat(open).extracting(Run::of).containsExactly("hot pipe", "cold pipe");
        assertThat(open.get(0).from().orElseThrow().distance(p(0, -0.747, 0))).isLessThan(EXACT);
        assertThat(open.get(0).to()).isEmpty();
        assertThat(open.get(1).to().orElseThrow().distance(p(0, 0.747, 0))).isLessThan(EXACT);
        Stand turbo = new Stand(
                        "blower",
                        Stand.What.BLOWER,
                        p(0.8, -0.3, 0),
                        0,
                        0,
                        0,
                        "body",
                        Optional.of(new Stand.Size(0.1, 0.2, 0.2)))
                .scrolled(new Scroll(0, Scroll.Runs.CLOCKWISE));
        Systems s = Systems.standard();
        s.type = BlowerType.TURBO;
        BuildOption core = Rooms.core(s, 0, 0, 0);
        BuildOption both = core.withStands(List.of(core.stands().get(0), turbo));
        Run run = work(both).startings().get(0);
        assertThat(run.corners()).hasSize(2);
        Laid laid = work(both.withRuns(List.of(run))).laid().get(0);
        assertThat(laid.before().orElseThrow().off()).isCloseTo(0, within(1e-7));
        assertThat(laid.behind().orElseThrow().off()).isCloseTo(0, within(1e-7));
        // What is straight before the first bend and behind the last is the room for a joint.
        assertThat(laid.turns().steps().get(0).length()).isCloseTo(0.05, within(1e-6));
        assertThat(laid.turns().last()).isCloseTo(0.05, within(1e-6));
        assertThat(work(both.withRuns(List.of(run))).startings())
                .extracting(Run::of)
                .containsExactly("cold pipe");
    }

    /** The outlet of a core leads on to the right: a straight of 100 from its end at 347. */
    @Test
    void anOutletIsWhereThePipeBehindBegins() {
        Run cold = new Run("cold pipe", Optional.empty(), List.of(), Optional.of(p(0, 0.447, 0)));
        Laid l = work(laid(cold)).laid().get(0);
        assertThat(l.line().length()).isCloseTo(0.1, within(EXACT));
        assertThat(l.before().orElseThrow().port().role()).isEqualTo("outlet");
        assertThat(l.before().orElseThrow().off()).isCloseTo(0, within(1e-7));
    }

    /** 3 L as four cubes in a row: 181.712 from its middle to its front, which is turned to the left, and 40 of stub. */
    @Test
    void aPipeEndsOnTheStubOfABox() {
        BuildOption option = laid(new Run("cold pipe", Optional.empty(), List.of(), Optional.empty()));
        Stand plenum =
                new Stand("plenum", Stand.What.PLENUM, p(0, 1.2, 0), -Math.PI / 2, 0, 0, "body", Optional.empty());
        Laid cold = work(option.withStands(List.of(option.stands().get(0), plenum)))
                .laid()
                .get(0);
        double edge = Math.cbrt(0.003 / 4);
        assertThat(cold.spec().to().distance(p(0, 1.2 - 2 * edge - 0.04, 0))).isLessThan(EXACT);
        assertThat(cold.behind().orElseThrow().off()).isCloseTo(0, within(1e-7));
        assertThat(cold.line().straight()).isCloseTo(1.2 - 2 * edge - 0.04 - 0.347, within(EXACT));
    }
}
