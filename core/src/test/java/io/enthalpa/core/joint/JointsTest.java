package io.enthalpa.core.joint;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.Rooms;
import io.enthalpa.core.Systems;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.fit.Bodies;
import io.enthalpa.core.fit.FitFinding;
import io.enthalpa.core.fit.FitFinding.Kind;
import io.enthalpa.core.fit.Laid;
import io.enthalpa.core.fit.Pipework;
import io.enthalpa.core.room.Carrier;
import io.enthalpa.core.room.RoomSpec;
import io.enthalpa.core.room.Stand;
import io.enthalpa.core.route.Bears;
import io.enthalpa.core.route.Brace;
import io.enthalpa.core.route.Clamp;
import io.enthalpa.core.route.Coupling;
import io.enthalpa.core.route.Joining;
import io.enthalpa.core.route.JointsSpec;
import io.enthalpa.core.route.JointsSpec.End;
import io.enthalpa.core.route.Run;
import io.enthalpa.core.space.Motion;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.QRDecomposition;
import org.hipparchus.linear.RealVector;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The core of {@link Rooms} on the body, a blower on the engine whose outlet looks at its inlet across a metre of straight tube, along the axis to the right. */
class JointsTest {
    private static final double LENGTH = 1;
    private static final double TRAVEL = 0.01;

    private static RoomSpec moving(Motion motion) {
        return new RoomSpec("", List.of(new Carrier(Carrier.ENGINE, motion)), List.of());
    }

    private static Motion travelling(double back, double right, double up) {
        return new Motion(Vector3D.ZERO, Vector3D.PLUS_I, 0, new Vector3D(back, right, up));
    }

    private BuildOption option;

    @BeforeEach
    void lay() {
        BuildOption core = Rooms.core(Systems.standard(), 0, 0, 0);
        Stand blower = new Stand(
                "blower",
                Stand.What.BLOWER,
                new Vector3D(0, -1.5, 0),
                -Math.PI / 2,
                0,
                0,
                Carrier.ENGINE,
                Optional.empty());
        Run run = new Run("hot pipe", Optional.empty(), List.of(), Optional.empty());
        option = core.withStands(List.of(core.stands().get(0), blower)).withRuns(List.of(run));
        Laid laid = laid();
        Stand there = blower.shifted(0, laid.line().length() - LENGTH, 0);
        option = option.withStands(List.of(core.stands().get(0), there));
        assertThat(laid().line().length()).isCloseTo(LENGTH, within(1e-9));
        assertThat(laid().before().orElseThrow().off()).isCloseTo(0, within(1e-9));
    }

    private Laid laid() {
        return Pipework.of(option, Bodies.of(option)).laid().get(0);
    }

    private Joints joints(Motion motion) {
        return Joints.of(Rooms.build(moving(motion), option), "A");
    }

    private static Joint at(Joints joints, End end) {
        return joints.all().stream()
                .filter(j ->
                        j.seam().pipe().name().equals("hot pipe") && j.seam().end() == end)
                .findFirst()
                .orElseThrow();
    }

    private Moved moved(Motion motion, End end) {
        return at(joints(motion), end).moved().orElseThrow();
    }

    private void all(Coupling kind) {
        option = option.withJoints(option.joints().all(kind));
    }

    private void brace(Brace... braces) {
        option = option.withRuns(List.of(option.runs().get(0).withBraces(List.of(braces))));
    }

    /**
     * Two hoses take the rise d of one end as a tilt of the pipe: by hand the least of {@code ((d + w L)^2 / 2 / o^2 + 2 w^2 / a^2)}, o the offset and a the bend that
     * each bears, is at {@code w = -d L a^2 / (L^2 a^2 + 4 o^2)}, and each is {@code (d + w L) / 2} out of line.
     */
    @Test
    void twoHosesShareAMovementAsATilt() {
        for (Coupling kind : List.of(Coupling.HOSE, Coupling.HUMP, Coupling.QUICK)) {
            all(kind);
            Bears b = kind.bears();
            double a2 = b.angle() * b.angle();
            double tilt = TRAVEL * LENGTH * a2 / (LENGTH * LENGTH * a2 + 4 * b.offset() * b.offset());
            for (End end : End.values()) {
                Moved m = moved(travelling(0, 0, TRAVEL), end);
                assertThat(m.angle()).isCloseTo(tilt, within(1e-7));
                assertThat(m.offset()).isCloseTo((TRAVEL - tilt * LENGTH) / 2, within(1e-7));
                assertThat(m.along()).isCloseTo(growth() / 2, within(1e-7));
            }
        }
        // The number itself, of two humps: 0.98704 of d / L.
        all(Coupling.HUMP);
        assertThat(moved(travelling(0, 0, TRAVEL), End.START).angle()).isCloseTo(0.0098704, within(1e-6));
    }

    /** m that it grows: 23.1e-6 of its length for each K over 20 °C of the air in it. */
    private double growth() {
        return 23.1e-6 * (at(joints(Motion.STILL), End.END).temperature() - 293.15) * LENGTH;
    }

    /** Along the pipe each takes half, and half of what the pipe grows; the outlet of the blower is some 400 K hot. */
    @Test
    void alongThePipeEachTakesHalf() {
        assertThat(growth()).isBetween(1.5e-3, 3.5e-3);
        Moved m = moved(travelling(0, 0.004, 0), End.END);
        assertThat(m.along()).isCloseTo(0.002 + growth() / 2, within(1e-6));
        assertThat(m.offset()).isLessThan(1e-6);
    }

    /** Three hoses one after the other take a third each of what comes along two pipes, and of what both grow. */
    @Test
    void pipesOneAfterTheOtherShareIt() {
        List<PathElement> path = new ArrayList<>(option.path());
        int hot = IntStream.range(0, path.size())
                .filter(i -> path.get(i).name().equals("hot pipe"))
                .findFirst()
                .orElseThrow();
        path.add(hot + 1, new PathElement.Pipe("last pipe", ((PathElement.Pipe) path.get(hot)).spec()));
        Vector3D start = laid().spec().from();
        Vector3D middle = start.add(0.5, Vector3D.PLUS_J);
        option = option.withPath(path)
                .withRuns(List.of(
                        new Run("hot pipe", Optional.empty(), List.of(), Optional.of(middle)),
                        new Run("last pipe", Optional.empty(), List.of(), Optional.empty())));
        Joints joints = joints(travelling(0, 0.006, 0));
        List<Joint> three =
                joints.all().stream().filter(j -> j.moved().isPresent()).toList();
        assertThat(three)
                .extracting(j -> j.seam().before() + ">" + j.seam().behind())
                .containsExactly("blower>hot pipe", "hot pipe>last pipe", "last pipe>core");
        // Across, in the plane: shifts u and tilts w of both pipes, offsets over what a hose bears and bends likewise.
        Bears b = Coupling.HOSE.bears();
        double o = 1 / b.offset();
        double a = 1 / b.angle();
        double[][] rows = {{o, 0, 0, 0}, {-o, -o / 2, o, 0}, {0, 0, o, o / 2}, {0, a, 0, 0}, {0, -a, 0, a}, {0, 0, 0, a}
        };
        RealVector u = new QRDecomposition(new Array2DRowRealMatrix(rows))
                .getSolver()
                .solve(new ArrayRealVector(new double[] {o * TRAVEL, 0, 0, 0, 0, 0}));
        List<Joint> across = joints(travelling(0, 0, TRAVEL)).all().stream()
                .filter(j -> j.moved().isPresent())
                .toList();
        double[] bends = {u.getEntry(1), u.getEntry(3) - u.getEntry(1), u.getEntry(3)};
        double[] offsets = {
            u.getEntry(0) - TRAVEL, u.getEntry(2) - u.getEntry(0) - u.getEntry(1) / 2, u.getEntry(2) + u.getEntry(3) / 2
        };
        for (int i = 0; i < bends.length; i++) {
            Moved moved = across.get(i).moved().orElseThrow();
            assertThat(moved.angle()).isCloseTo(Math.abs(bends[i]), within(1e-6));
            assertThat(moved.offset()).isCloseTo(Math.abs(offsets[i]), within(1e-6));
        }
        double grows = 23.1e-6 * (at(joints, End.START).temperature() - 293.15) * LENGTH;
        assertThat(three)
                .allSatisfy(j ->
                        assertThat(j.moved().orElseThrow().along()).isCloseTo((0.006 + grows) / 3, within(0.02e-3)));
    }

    /** The blower 26.2 aside of the port, a metre away: both ends are 1.5 degrees out of square before anything moves. */
    @Test
    void whatIsOutOfSquareCounts() {
        Stand blower = option.stands().get(1).shifted(0.0262, 0, 0);
        option = option.withStands(List.of(option.stands().get(0), blower));
        for (End end : End.values()) {
            assertThat(moved(Motion.STILL, end).angle()).isCloseTo(Math.toRadians(1.5), within(Math.toRadians(0.02)));
        }
    }

    /** Held hard by the body, all of the movement is at the blower's joint, and it does not bend. */
    @Test
    void heldHardTheOtherEndSeesItAll() {
        brace(new Brace(0.5, Carrier.BODY.name(), false));
        Moved start = moved(travelling(0, 0, TRAVEL), End.START);
        assertThat(start.offset()).isCloseTo(TRAVEL, within(0.02e-3));
        assertThat(start.angle()).isLessThan(Math.toRadians(0.01));
        assertThat(moved(travelling(0, 0, TRAVEL), End.END).offset()).isLessThan(0.01e-3);
        assertThat(laid().line().length()).isEqualTo(LENGTH);
        // Welded to the core it is held as well.
        brace();
        option = option.withJoints(option.joints().with("hot pipe", End.END, Joining.of(Coupling.WELD)));
        assertThat(moved(travelling(0, 0, TRAVEL), End.START).offset()).isCloseTo(TRAVEL, within(0.02e-3));
    }

    /** Rolling by 2 degrees about an axis 400 below lifts nothing there to the first order, but shifts it by 400 sin 2 = 13.96 along the pipe; the joint turns by nothing along, 2 across. */
    @Test
    void rollingShiftsByItsLever() {
        brace(new Brace(0.5, Carrier.BODY.name(), false));
        Vector3D port = laid().spec().from();
        Motion roll = new Motion(port.add(new Vector3D(0, 0, -0.4)), Vector3D.PLUS_I, Math.toRadians(2), Vector3D.ZERO);
        Moved m = moved(roll, End.START);
        assertThat(m.along()).isCloseTo(0.4 * Math.sin(Math.toRadians(2)) + growth() / 2, within(0.05e-3));
        assertThat(m.angle()).isCloseTo(Math.toRadians(2), within(Math.toRadians(0.01)));
    }

    /** What a joint does not bear is told, and the least that mends it is tried: a hump at the blower alone spares the hose at the core. */
    @Test
    void whatIsNotBorneIsToldAndMended() {
        Motion much = travelling(0, 0, 0.045);
        Joints joints = joints(much);
        assertThat(at(joints, End.START).findings())
                .extracting(FitFinding::kind)
                .contains(Kind.JOINT_MOVES);
        int number = joints.all().indexOf(at(joints, End.START));
        Joints.Mended mended = joints.mend(number).orElseThrow();
        assertThat(mended.by()).isIn(Joints.Mend.HUMP, Joints.Mend.HUMP_BOTH);
        option = mended.option();
        assertThat(at(joints(much), End.START).isSound()).isTrue();
        // Nothing that is sold bears a hand's breadth: the core has to go with the engine.
        Joints far = joints(travelling(0, 0, 0.2));
        Joints.Mended hung = far.mend(number).orElseThrow();
        assertThat(hung.by()).isEqualTo(Joints.Mend.CARRY);
        assertThat(hung.what()).isEqualTo("core");
        assertThat(hung.carrier()).isEqualTo(Carrier.ENGINE);
    }

    /** 100 kPa on the outside of 57 + 2 x 1.6: 284.6 N for each bar, pulses half as much again. Worm drive on a plain end holds 2500 x 0.4 / 5 = 200. */
    @Test
    void boostPushesAndClampAndBeadHold() {
        Joint sound = at(joints(Motion.STILL), End.START);
        double size = 0.0602;
        assertThat(sound.force()).isCloseTo(sound.gauge() * 2.84633e-3, within(0.01));
        assertThat(sound.seam().pipe().size()).isCloseTo(size, within(1e-9));
        assertThat(sound.gauge()).isBetween(95e3, 120e3);
        assertThat(sound.seam().joining().holds()).isEqualTo(2500);
        assertThat(sound.holds()).isTrue();
        option = option.withJoints(new JointsSpec(
                new Joining(Coupling.HOSE, Clamp.WORM, false, Joining.HOLD, Optional.empty(), OptionalDouble.empty()),
                List.of()));
        Joints weak = joints(Motion.STILL);
        Joint plain = at(weak, End.START);
        assertThat(plain.seam().joining().holds()).isCloseTo(200, within(1e-9));
        assertThat(plain.findings()).extracting(FitFinding::kind).containsExactly(Kind.JOINT_NO_BEAD);
        assertThat(weak.mend(weak.all().indexOf(plain)).orElseThrow().by()).isEqualTo(Joints.Mend.BEAD);
        // A V-band is locked.
        all(Coupling.V_BAND);
        assertThat(at(joints(Motion.STILL), End.START).holds()).isTrue();
    }

    /** TF-19, common practice, no source: of all joints the compressor's outlet is pushed hardest and is the hottest. */
    @Test
    void theCompressorOutletIsWhereItPopsOff() {
        List<Joint> all = joints(Motion.STILL).all();
        Joint outlet = at(joints(Motion.STILL), End.START);
        assertThat(outlet.seam().before()).isEqualTo("blower");
        assertThat(all).allSatisfy(j -> {
            assertThat(j.gauge()).isLessThanOrEqualTo(outlet.gauge());
            assertThat(j.temperature()).isLessThanOrEqualTo(outlet.temperature() + 1e-9);
        });
    }

    @Test
    void siliconeIsToldWhenItIsTooHot() {
        option = option.withJoints(new JointsSpec(
                new Joining(Coupling.HOSE, Clamp.T_BOLT, true, Joining.HOLD, Optional.empty(), OptionalDouble.of(340)),
                List.of()));
        Joints joints = joints(Motion.STILL);
        Joint outlet = at(joints, End.START);
        assertThat(outlet.findings()).extracting(FitFinding::kind).containsExactly(Kind.JOINT_HOT);
        assertThat(joints.mend(joints.all().indexOf(outlet)).orElseThrow().by()).isEqualTo(Joints.Mend.HUMP);
    }

    /** TF-33, common practice, no source: bellows without a mesh liner, braced beside. */
    @Test
    void aBellowsIsBracedBeside() {
        all(Coupling.BELLOWS);
        var engine = Rooms.build(moving(Motion.STILL), option).engine();
        Joints.Pipe pipe = joints(Motion.STILL).held().get(0);
        assertThat(pipe.loose()).containsExactlyInAnyOrder("blower", "core");
        assertThat(Joints.findings(pipe, engine)).extracting(FitFinding::kind).contains(Kind.JOINT_LOOSE);
        // A metre long: 0.3 from its beginning is beside the blower, 0.71 is beside the core.
        brace(new Brace(0.3, Carrier.ENGINE, true));
        assertThat(joints(Motion.STILL).held().get(0).loose()).containsExactly("core");
        brace(new Brace(0.3, Carrier.ENGINE, true), new Brace(0.71, Carrier.ENGINE, true));
        assertThat(joints(Motion.STILL).held().get(0).loose()).isEmpty();
    }

    /** TF-22: alloy of 60.2 by 1.6, free for a metre: pi/2 x 29.3e-3 sqrt(70e9 / 2700 / 2) = 165.7 Hz, which four cylinders reach at 4971 rpm; half as long 663. */
    @Test
    void aLongPipeRingsUntilItIsBracedInTheMiddle() {
        Joints joints = joints(Motion.STILL);
        Joints.Pipe pipe = joints.held().get(0);
        assertThat(pipe.longest().orElseThrow().rings()).isCloseTo(165.7, within(0.1));
        assertThat(pipe.hangs()).isEqualTo(Carrier.ENGINE);
        var engine = Rooms.build(moving(Motion.STILL), option).engine();
        assertThat(Joints.findings(pipe, engine)).singleElement().satisfies(f -> {
            assertThat(f.kind()).isEqualTo(Kind.PIPE_RINGS);
            assertThat(f.figures().get(2).value()).isCloseTo(4971 * Math.PI / 30, within(0.5));
        });
        Run braced = pipe.longest().orElseThrow().braced(pipe.run(), pipe.hangs());
        assertThat(braced.braces()).containsExactly(new Brace(0.5, Carrier.ENGINE, true));
        option = option.withRuns(List.of(braced));
        Joints.Pipe held = joints(Motion.STILL).held().get(0);
        assertThat(held.longest().orElseThrow().rings()).isCloseTo(4 * 165.7, within(0.4));
        assertThat(Joints.findings(held, engine)).isEmpty();
    }

    @Test
    void boltedHardToTwoThatMoveIsTold() {
        brace(new Brace(0.4, Carrier.BODY.name(), false), new Brace(0.6, Carrier.ENGINE, false));
        Joints joints = joints(travelling(0, 0, TRAVEL));
        var engine = Rooms.build(moving(Motion.STILL), option).engine();
        assertThat(Joints.findings(joints.held().get(0), engine))
                .extracting(FitFinding::kind)
                .containsExactly(Kind.PIPE_OVER_HELD);
        assertThat(joints.held().get(0).hangs()).isEqualTo(Carrier.BODY.name());
    }

    /** Without a place for its pipes movement is not known, what pushes is. */
    @Test
    void whatIsNotLaidIsNotKnownToMove() {
        option = option.withRuns(List.of());
        assertThat(joints(travelling(0, 0, TRAVEL)).all()).isNotEmpty().allSatisfy(j -> {
            assertThat(j.moved()).isEmpty();
            assertThat(j.bears()).isTrue();
        });
    }

    /** 1.5 of 2 mm across, 6 of 5 along, 3 of 4 degrees; of what bears nothing 0.1 mm and 0.1 degrees are made true. */
    @Test
    void whatAJointIsUsedByIsToldOfEachWayItMoves() {
        Moved moved = new Moved(1.5e-3, Math.toRadians(3), 6e-3);
        Moved.Used used = moved.of(new Bears(2e-3, Math.toRadians(4), 5e-3));
        assertThat(used.across()).isCloseTo(0.75, within(1e-12));
        assertThat(used.along()).isCloseTo(1.2, within(1e-12));
        assertThat(used.bend()).isCloseTo(0.75, within(1e-12));
        assertThat(used.most()).isEqualTo(used.along());
        assertThat(moved.of(Bears.NOTHING).across()).isCloseTo(15, within(1e-12));
        assertThat(moved.of(Bears.NOTHING).bend()).isCloseTo(30, within(1e-12));
    }
}
