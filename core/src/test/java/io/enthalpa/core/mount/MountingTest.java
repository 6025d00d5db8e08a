package io.enthalpa.core.mount;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.room.Carrier;
import io.enthalpa.core.room.Mount;
import io.enthalpa.core.room.RoomSpec;
import io.enthalpa.core.room.Shaking;
import io.enthalpa.core.room.Stand;
import io.enthalpa.core.space.Hull;
import io.enthalpa.core.space.Motion;
import io.enthalpa.core.space.Solid;
import java.util.List;
import java.util.Optional;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.junit.jupiter.api.Test;

/** Statics and swings worked by hand; the weight of a kilogram is 9.80665 N. */
class MountingTest {
    private static final double G = 9.80665;
    private static final RoomSpec ROOM = new RoomSpec(
            "",
            List.of(new Carrier("engine", new Motion(Vector3D.ZERO, Vector3D.PLUS_J, 0.05, Vector3D.ZERO))),
            List.of());
    private static final Mount.Hold LUG = new Mount.Tab(false);

    private static Vector3D v(double x, double y, double z) {
        return new Vector3D(x, y, z);
    }

    private static Mount mount(String name, Mount.Hold hold, double x, double y, double z) {
        return new Mount(name, "body", v(x, y, z), 6e-3, false, hold);
    }

    private static Mount in(String carrier, Mount m) {
        return new Mount(m.name(), carrier, m.bolt(), m.thread(), m.existing(), m.hold());
    }

    /** A plate 400 deep, 600 wide and 20 high. */
    private static Mounting plate(double mass, Vector3D middle, Mount... mounts) {
        return plate(mass, middle, ROOM, mounts);
    }

    private static Mounting plate(double mass, Vector3D middle, RoomSpec room, Mount... mounts) {
        Stand stand =
                new Stand("core", Stand.What.CORE, middle, 0, 0, 0, "body", Optional.empty()).held(List.of(mounts));
        return Mounting.of(stand, Solid.of("core", Hull.box(stand.pose(), 0.4, 0.6, 0.02)), mass, room);
    }

    /** Its weight lies 50 mm behind two lugs and 200 before the third: that one bears 50 of 250. */
    @Test
    void threeLugsShareTheWeightByTheirLevers() {
        Mounting m = plate(
                4,
                v(0.05, 0, 0),
                mount("left", LUG, 0, -0.3, 0),
                mount("right", LUG, 0, 0.3, 0),
                mount("rear", LUG, 0.25, 0, 0));
        assertThat(m.held().get(0).standing()).isCloseTo(0.4 * 4 * G, within(1e-6));
        assertThat(m.held().get(1).standing()).isCloseTo(0.4 * 4 * G, within(1e-6));
        assertThat(m.held().get(2).standing()).isCloseTo(0.2 * 4 * G, within(1e-6));
        assertThat(m.held().get(0).load()).isCloseTo(5 * 0.4 * 4 * G, within(1e-6));
        assertThat(m.free()).isZero();
    }

    private static Mount bobbin(String name, double x, double y) {
        return mount(name, new Mount.Bobbin(Mount.Axis.UP, 20e3, 20e3, 20), x, y, 0);
    }

    /** Four of 20 N/mm under 6 kg: root of 80000 by 6, by 2 pi, is 18.38 Hz; it rocks root 3 times as fast. */
    @Test
    void bobbinsSwingByTheirStiffnessAndShareTheLoad() {
        Mounting m = plate(
                6,
                Vector3D.ZERO,
                bobbin("a", -0.2, -0.3),
                bobbin("b", -0.2, 0.3),
                bobbin("c", 0.2, -0.3),
                bobbin("d", 0.2, 0.3));
        assertThat(m.frequency()).isCloseTo(18.38, within(0.005));
        // 6 x 9.80665 x 5 / 4 = 73.55 N; sideways 3 and its weight make 14.71 x root 10 = 46.5.
        assertThat(m.held()).allSatisfy(h -> assertThat(h.load()).isCloseTo(73.55, within(0.005)));
        assertThat(m.held()).allSatisfy(h -> assertThat(h.standing()).isCloseTo(14.71, within(0.005)));
        assertThat(m.held().get(0).isOverloaded()).isFalse();
        assertThat(m.soft()).isTrue();
        RoomSpec boat = new RoomSpec("", List.of(), List.of(), new Shaking(2, 8));
        Mounting pounded = plate(
                6,
                Vector3D.ZERO,
                boat,
                bobbin("a", -0.2, -0.3),
                bobbin("b", -0.2, 0.3),
                bobbin("c", 0.2, -0.3),
                bobbin("d", 0.2, 0.3));
        // 14.71 x root (64 + 1)
        assertThat(pounded.held().get(2).load()).isCloseTo(118.6, within(0.05));
    }

    /** Softer across than along: it swings sideways first, root of 4 x 5000 / 6 by 2 pi. */
    @Test
    void itsSlowestSwingIsTheSoftestWay() {
        Mount.Hold soft = new Mount.Bobbin(Mount.Axis.UP, 20e3, 5e3, 10);
        Mounting m = plate(
                6,
                Vector3D.ZERO,
                mount("a", soft, -0.2, -0.3, 0),
                mount("b", soft, -0.2, 0.3, 0),
                mount("c", soft, 0.2, -0.3, 0),
                mount("d", soft, 0.2, 0.3, 0));
        assertThat(m.frequency()).isCloseTo(9.19, within(0.005));
        assertThat(m.held().get(0).isOverloaded()).isTrue();
        // Lying on its side, the axis is back: what was across is now up as well.
        Mount.Hold side = new Mount.Bobbin(Mount.Axis.BACK, 20e3, 5e3, 10);
        assertThat(plate(
                                6,
                                Vector3D.ZERO,
                                mount("a", side, -0.2, -0.3, 0),
                                mount("b", side, 0.2, 0.3, 0),
                                mount("c", side, 0.2, -0.3, 0),
                                mount("d", side, -0.2, 0.3, 0))
                        .frequency())
                .isCloseTo(9.19, within(0.005));
    }

    /** 25 x 5 steel, 100 long: 3 x 210e9 x (25 x 125 / 12 mm4) / 1e-3 = 164.1 N/mm; 49.03 N bend it to 6 F L / (b t2) = 47.07 MPa. */
    @Test
    void aStrapIsABeamClampedUnderItsBolt() {
        Mount.Strap strap = new Mount.Strap(0.025, 0.005, Mount.Metal.STEEL, false);
        Beam beam = new Beam(strap, 0.1);
        assertThat(beam.stiffness()[1]).isCloseTo(164.06e3, within(10.0));
        // On its edge (25 / 5) squared times as stiff, along it E b t / L but no more than a bolt.
        assertThat(beam.stiffness()[2]).isCloseTo(25 * 164.06e3, within(300.0));
        assertThat(beam.stiffness()[0]).isEqualTo(2e7);
        List<Vector3D> ways = Beam.ways(strap, Vector3D.PLUS_J);
        assertThat(beam.stress(v(0, 0, 5 * G), ways)).isCloseTo(47.07e6, within(1e4));
        assertThat(beam.stress(v(5 * G, 0, 0), ways)).isCloseTo(47.07e6 / 5, within(1e4));
        assertThat(beam.stress(v(0, 5 * G, 0), ways)).isCloseTo(5 * G / 125e-6, within(1.0));
        Mount.Strap standing = new Mount.Strap(0.025, 0.005, Mount.Metal.STEEL, true);
        assertThat(beam.stress(v(5 * G, 0, 0), Beam.ways(standing, Vector3D.PLUS_J)))
                .isCloseTo(47.07e6, within(1e4));
        assertThat(Beam.ways(strap, Vector3D.PLUS_K).get(1).getX()).isCloseTo(1, within(1e-9));
    }

    /** 8 kg on four straps 80 mm out to the sides: each bears 10 kg weights at 5 g, 98.07 N; 6 x 98.07 x 0.08 / (0.02 x 9e-6) = 261.5 MPa. */
    @Test
    void strapsReachFromTheirBoltToTheBodyAndBend() {
        Mount.Strap strap = new Mount.Strap(0.02, 0.003, Mount.Metal.STEEL, false);
        Mount[] four = {
            mount("a", strap, -0.1, -0.38, 0),
            mount("b", strap, -0.1, 0.38, 0),
            mount("c", strap, 0.1, -0.38, 0),
            mount("d", strap, 0.1, 0.38, 0)
        };
        Mounting m = plate(8, Vector3D.ZERO, four);
        assertThat(m.held().get(0).reach()).isCloseTo(0.08, within(2e-5));
        assertThat(m.held().get(0).load()).isCloseTo(98.07, within(0.05));
        assertThat(m.held().get(0).stress()).isCloseTo(261.5e6, within(0.5e6));
        // Half of 235 MPa is what lasts.
        assertThat(m.held().get(0).used()).isCloseTo(261.5 / 117.5, within(0.01));
        // Moved 20 mm to the right, the straps on the left are longer and the bolts stay.
        Mounting moved = plate(8, v(0, 0.02, 0), four);
        assertThat(moved.held().get(0).reach()).isCloseTo(0.1, within(2e-5));
        assertThat(moved.held().get(1).reach()).isCloseTo(0.06, within(2e-5));
    }

    @Test
    void saysInHowManyWaysItIsStillFree() {
        Mount left = mount("left", LUG, 0, -0.3, 0);
        Mount right = mount("right", LUG, 0, 0.3, 0);
        assertThat(plate(4, Vector3D.ZERO, left).free()).isEqualTo(3);
        assertThat(plate(4, Vector3D.ZERO, left, right).free()).isEqualTo(1);
        assertThat(plate(4, Vector3D.ZERO, left, right, mount("middle", LUG, 0, 0.1, 0))
                        .free())
                .isEqualTo(1);
        assertThat(plate(4, Vector3D.ZERO, left, right, mount("rear", LUG, 0.2, 0, 0))
                        .free())
                .isZero();
        assertThat(plate(4, Vector3D.ZERO).free()).isEqualTo(6);
    }

    @Test
    void isHeldTwiceByWhatMovesUnlessRubberIsBetween() {
        Mount left = mount("left", LUG, 0, -0.3, 0);
        Mount right = mount("right", LUG, 0, 0.3, 0);
        assertThat(plate(4, Vector3D.ZERO, left, right).twice()).isEmpty();
        assertThat(plate(4, Vector3D.ZERO, left, in("engine", right)).twice())
                .contains(new Mounting.Carriers("body", "engine"));
        assertThat(plate(4, Vector3D.ZERO, left, in("engine", bobbin("b", 0, 0.3)))
                        .twice())
                .isEmpty();
        // A carrier that does not move is as good as the body.
        assertThat(plate(4, Vector3D.ZERO, new RoomSpec("", List.of(), List.of()), left, in("subframe", right))
                        .twice())
                .isEmpty();
        assertThat(plate(4, Vector3D.ZERO, in("engine", left), in("engine", right))
                        .elsewhere())
                .isTrue();
        assertThat(plate(4, Vector3D.ZERO, left, in("engine", right)).elsewhere())
                .isFalse();
    }

    /** 600 mm of aluminium 80 K warmer: 23.1e-6 x 80 x 0.6 = 1.109 mm; two holes of 6.6 over 6 let it 0.6. */
    @Test
    void aLongCoreGrowsBetweenItsHardPoints() {
        Mount left = mount("left", LUG, 0, -0.3, 0);
        Mount right = mount("right", LUG, 0, 0.3, 0);
        Mounting hard = plate(4, Vector3D.ZERO, left, right, mount("rear", LUG, 0.2, 0, 0));
        assertThat(hard.growth()).isCloseTo(1.1088e-3, within(1e-7));
        assertThat(hard.play()).isCloseTo(0.6e-3, within(1e-9));
        Mount slotted = mount("right", new Mount.Tab(true), 0, 0.3, 0);
        // What is left is from the left to the rear: 0.36 m.
        assertThat(plate(4, Vector3D.ZERO, left, slotted, mount("rear", LUG, 0.2, 0, 0))
                        .growth())
                .isCloseTo(23.1e-6 * 80 * Math.hypot(0.3, 0.2), within(1e-8));
        assertThat(plate(4, Vector3D.ZERO, left, slotted).growth()).isZero();
        Mount hanging = mount("right", new Mount.Strap(0.02, 0.003, Mount.Metal.STEEL, true), 0, 0.29, 0.1);
        assertThat(plate(4, Vector3D.ZERO, left, hanging).growth()).isZero();
    }

    @Test
    void toldAreBoltsSharedOutOfReachOrInsideAndHowLevelItStands() {
        Mounting m = plate(
                4,
                v(0, 0.012, 0),
                mount("near", LUG, 0, 0.34, 0),
                mount("far", LUG, 0, 0.4, 0),
                mount("same", LUG, 0.001, 0.4, 0),
                mount("inside", LUG, 0, 0, 0));
        assertThat(m.held()).extracting(Held::isOutOfReach).containsExactly(false, true, true, false);
        assertThat(m.held().get(3).reach()).isCloseTo(-0.01, within(2e-5));
        assertThat(m.shared()).contains(new Mounting.Carriers("far", "same"));
        assertThat(m.off()).isEqualTo(0.012);
        assertThat(m.level()).isZero();
        Stand tipped =
                new Stand("core", Stand.What.CORE, Vector3D.ZERO, 0.4, Math.PI / 2 - 0.1, 0, "body", Optional.empty());
        assertThat(Mounting.of(tipped, Solid.of("core", Hull.box(tipped.pose(), 0.1, 0.1, 0.1)), 1, ROOM)
                        .level())
                .isCloseTo(0.1, within(1e-9));
    }
}
