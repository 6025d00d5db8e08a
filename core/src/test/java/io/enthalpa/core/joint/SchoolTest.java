package io.enthalpa.core.joint;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.Rooms;
import io.enthalpa.core.Systems;
import io.enthalpa.core.build.Build;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.chargepath.PathElement.Leg;
import io.enthalpa.core.chargepath.PathElement.Parallel;
import io.enthalpa.core.chargepath.PathElement.Pipe;
import io.enthalpa.core.chargepath.PathElement.Plenum;
import io.enthalpa.core.joint.School.Matter;
import io.enthalpa.core.loss.PipeMaterial;
import io.enthalpa.core.loss.PipeSpec;
import io.enthalpa.core.loss.PipeSpec.Bend;
import io.enthalpa.core.room.Carrier;
import io.enthalpa.core.room.RoomSpec;
import io.enthalpa.core.route.Coupling;
import io.enthalpa.core.route.JointsSpec.End;
import io.enthalpa.core.space.Motion;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.junit.jupiter.api.Test;

/** The core of {@link Rooms} between two pipes of {@link Systems}: alloy of 57 inside and 1.6 mm of wall, 1.2 and 0.9 m straight, three bends of 90 each. */
class SchoolTest {
    private static final RoomSpec ROOM = new RoomSpec(
            "",
            List.of(new Carrier(
                    Carrier.ENGINE, new Motion(Vector3D.ZERO, Vector3D.PLUS_I, 0, new Vector3D(0, 0, 0.005)))),
            List.of(Rooms.box("bar", 0.045, 0.1, -0.3, 0.3, -0.1, 0.1)));

    private static BuildOption option() {
        return Rooms.core(Systems.standard(), 0, 0, 0);
    }

    private static List<School> schools() {
        Build build = Rooms.build(ROOM, option());
        return School.of(Joints.of(build, "A"), build.room());
    }

    private static School of(Matter matter, String choice) {
        return schools().stream()
                .filter(s -> s.matter() == matter && s.choice().equals(choice))
                .findFirst()
                .orElseThrow();
    }

    /** Six bends welded in at both ends, four joints: at blower, core twice, plenum. */
    @Test
    void weldsJointsMassHoursAndMoneyAreCounted() {
        Making hose = of(Matter.JOINTS, "HOSE").making();
        assertThat(hose.welds()).isEqualTo(12);
        assertThat(hose.joints()).isEqualTo(4);
        double bends = 6
                * Math.PI
                / 2
                * option().path().stream()
                        .filter(Pipe.class::isInstance)
                        .map(Pipe.class::cast)
                        .findFirst()
                        .orElseThrow()
                        .spec()
                        .bends()
                        .get(0)
                        .radius();
        double size = 60.2 / 63.5;
        // pi 58.6 mm 1.6 mm 2700 kg/m3 = 0.79531 kg/m; a joint 120 g at 63.5.
        assertThat(hose.mass()).isCloseTo(0.79531 * (2.1 + bends) + 4 * 0.12 * size, within(2e-3));
        // 12 seams of 0.4, 14 cuts of 0.1, 4 joints of 0.3.
        assertThat(hose.hours()).isCloseTo(4.8 + 1.4 + 1.2, within(1e-9));
        // 2.1 m and six bends of three quarters at 30, four joints of 22.
        assertThat(hose.price()).isCloseTo((6.6 * 30 + 88) * size, within(1e-6));
        Making bands = of(Matter.JOINTS, "V_BAND").making();
        assertThat(bands.welds()).isEqualTo(20);
        assertThat(bands.hours()).isCloseTo(20 * 0.4 + 1.4 + 4 * 0.9, within(1e-9));
    }

    /** Who welds all still has to come apart at blower and engine. */
    @Test
    void weldedToTheCoreButNotToBlowerAndEngine() {
        School weld = of(Matter.JOINTS, "WELD");
        assertThat(weld.making().joints()).isEqualTo(2);
        assertThat(weld.making().welds()).isEqualTo(14);
        assertThat(weld.option().joints().at("hot pipe", End.END).coupling()).isEqualTo(Coupling.WELD);
        assertThat(weld.option().joints().at("hot pipe", End.START).coupling()).isEqualTo(Coupling.HOSE);
    }

    /** Steel of 60.2 by 1.5: pi 58.7 1.5 7850 = 2.1715 kg/m against 0.7953; the core is 13 from the bar, 8 are asked where both are the body's and 15 across engine and body. */
    @Test
    void metalAndCarrierAreWeighed() {
        School steel = of(Matter.METAL, PipeMaterial.STEEL.name());
        School alloy = of(Matter.METAL, PipeMaterial.ALUMINIUM.name());
        assertThat(alloy.now()).isTrue();
        assertThat(steel.now()).isFalse();
        double joints = 4 * 0.12 * 60.2 / 63.5;
        assertThat((steel.making().mass() - joints) / (alloy.making().mass() - joints))
                .isCloseTo(2.1715 / 0.79531, within(2e-3));
        assertThat(steel.making().hours()).isCloseTo(12 * 0.3 + 1.4 + 1.2, within(1e-9));
        assertThat(of(Matter.CARRYING, Carrier.BODY.name()).now()).isTrue();
        assertThat(of(Matter.CARRYING, Carrier.BODY.name()).tight()).hasValue(0);
        assertThat(of(Matter.CARRYING, Carrier.ENGINE).tight()).hasValue(1);
        assertThat(of(Matter.CARRYING, Carrier.ENGINE).option().stands().get(0).carrier())
                .isEqualTo(Carrier.ENGINE);
    }

    /** Each leg is joined to the pipe before the pair and to its own plenum; where a leg begins with no pipe the common pipe is joined to that. */
    @Test
    void legsOfAPairAreJoinedToo() {
        PipeSpec spec = new PipeSpec(PipeMaterial.ALUMINIUM, 0.05, 0.3, List.of(Bend.stock(1, 0.0532)));
        Parallel pair = new Parallel(
                "banks",
                0.5,
                List.of(
                        new Leg("left", List.of(new Pipe("left pipe", spec), new Plenum("left plenum", 0.05, 0.002))),
                        new Leg("right", List.of(new Plenum("right plenum", 0.05, 0.002)))),
                0.5,
                0.05,
                Optional.empty());
        List<PathElement> path = new ArrayList<>(option().path());
        path.set(path.size() - 1, pair);
        List<Seam> seams = Seam.of(option().withPath(path));
        assertThat(seams)
                .extracting(s -> s.before() + ">" + s.behind())
                .containsExactly(
                        "blower>hot pipe",
                        "hot pipe>core",
                        "core>cold pipe",
                        "cold pipe>right plenum",
                        "cold pipe>left pipe",
                        "left pipe>left plenum");
    }
}
