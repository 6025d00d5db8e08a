package io.enthalpa.core.exchanger;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.Systems;
import io.enthalpa.core.Ways;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.notes.Note;
import io.enthalpa.core.notes.Notes;
import io.enthalpa.core.steady.ChargeSystem;
import io.enthalpa.core.steady.SteadyResult;
import java.util.List;
import java.util.Optional;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** What a core takes up in the car, and that turning it is one thing everywhere. */
class CoreOutlineTest {
    private static CoreSpec core(PortSide inlet, EndTankSpec.PortPlace place, Effectiveness arrangement) {
        return new CoreSpec(
                "bar-and-plate",
                new CoreSize(0.500, 0.250, 0.064),
                Systems.standard().core().basis(),
                arrangement,
                new EndTankSpec(0.063, 0.060, place, false, 0, 1, 0.063, 0.040),
                inlet);
    }

    /** A core that lies level, its inlet to the right. */
    static TankStream stream(EndTankSpec tanks, CoreSize size) {
        return new TankStream(new CoreSpec(
                "bar-and-plate",
                size,
                Systems.standard().core().basis(),
                Effectiveness.CROSSFLOW_UNMIXED,
                tanks,
                PortSide.RIGHT));
    }

    /** By hand: half of 500 and a tank of 60 and a stub of 40 is 350; half of 250 is 125, with a stub across it 165. */
    @ParameterizedTest
    @CsvSource({
        "RIGHT, MIDDLE, CROSSFLOW_UNMIXED, 0.350, 0.350, 0.125, 0.125",
        "UP,    MIDDLE, CROSSFLOW_UNMIXED, 0.125, 0.125, 0.350, 0.350",
        "RIGHT, END,    CROSSFLOW_UNMIXED, 0.310, 0.310, 0.165, 0.165",
        "DOWN,  END,    CROSSFLOW_UNMIXED, 0.165, 0.165, 0.310, 0.310",
        "RIGHT, MIDDLE, U_FLOW_STACKED,    0.310, 0.350, 0.125, 0.125",
        "LEFT,  MIDDLE, U_FLOW_STACKED,    0.350, 0.310, 0.125, 0.125",
        "UP,    MIDDLE, U_FLOW_STACKED,    0.125, 0.125, 0.310, 0.350",
        "DOWN,  MIDDLE, U_FLOW_STACKED,    0.125, 0.125, 0.350, 0.310",
    })
    void tanksAndStubsCountWhereTheyStand(
            PortSide inlet,
            EndTankSpec.PortPlace place,
            Effectiveness arrangement,
            double left,
            double right,
            double down,
            double up) {
        CoreOutline outline = CoreOutline.of(core(inlet, place, arrangement));
        assertThat(outline.left()).isCloseTo(left, within(1e-12));
        assertThat(outline.right()).isCloseTo(right, within(1e-12));
        assertThat(outline.down()).isCloseTo(down, within(1e-12));
        assertThat(outline.up()).isCloseTo(up, within(1e-12));
    }

    /**
     * An elbow of 63 on a port of 63 that looks to the right: rearwards it reaches 310 and 63 and half of 63, 404.5. Upwards its spigot of 40
     * ends 103 up, below the block's 125; one of 200 ends at 263.
     */
    @Test
    void elbowsCountWithTheTubeTheyAreBentOf() {
        CoreSpec straight = core(PortSide.RIGHT, EndTankSpec.PortPlace.MIDDLE, Effectiveness.CROSSFLOW_UNMIXED);
        CoreOutline back = CoreOutline.of(elbowed(straight, PortTurn.REARWARDS, 0.040));
        assertThat(back.right()).isCloseTo(0.4045, within(1e-3));
        assertThat(back.left()).isCloseTo(0.350, within(1e-12));
        assertThat(back.up()).isCloseTo(0.125, within(1e-12));
        assertThat(CoreOutline.of(elbowed(straight, PortTurn.UP, 0.040)).up()).isCloseTo(0.125, within(1e-12));
        assertThat(CoreOutline.of(elbowed(straight, PortTurn.UP, 0.200)).up()).isCloseTo(0.263, within(1e-9));
    }

    private static CoreSpec elbowed(CoreSpec spec, PortTurn turn, double stub) {
        EndTankSpec tanks = new EndTankSpec(0.063, 0.060, EndTankSpec.PortPlace.MIDDLE, false, 0, 1, 0.063, stub)
                .withElbows(Optional.of(new PortElbow(turn, 0.063, Math.PI / 2)), Optional.empty());
        return new CoreSpec(
                spec.construction(), spec.size(), spec.basis(), spec.arrangement(), tanks, spec.inletTowards());
    }

    /** Clockwise seen from the front: what turned up looks right, then down, then left; what looks rearwards stays. */
    @Test
    void elbowsTurnWithTheirCore() {
        CoreSpec straight = core(PortSide.RIGHT, EndTankSpec.PortPlace.MIDDLE, Effectiveness.CROSSFLOW_UNMIXED);
        CoreSpec up = elbowed(straight, PortTurn.UP, 0.040);
        assertThat(turn(up, PortSide.DOWN)).isEqualTo(PortTurn.RIGHT);
        assertThat(turn(up, PortSide.LEFT)).isEqualTo(PortTurn.DOWN);
        assertThat(turn(up, PortSide.UP)).isEqualTo(PortTurn.LEFT);
        assertThat(turn(up, PortSide.RIGHT)).isEqualTo(PortTurn.UP);
        assertThat(turn(elbowed(straight, PortTurn.REARWARDS, 0.040), PortSide.UP))
                .isEqualTo(PortTurn.REARWARDS);
    }

    private static PortTurn turn(CoreSpec spec, PortSide to) {
        CoreSpec turned = spec.turnedTo(to);
        assertThat(turned.inletTowards()).isEqualTo(to);
        return turned.tanks().inletElbow().orElseThrow().towards();
    }

    @Test
    void elbowAlongItsPortIsRefused() {
        CoreSpec straight = core(PortSide.RIGHT, EndTankSpec.PortPlace.MIDDLE, Effectiveness.CROSSFLOW_UNMIXED);
        for (PortTurn turn : List.of(PortTurn.RIGHT, PortTurn.LEFT)) {
            Assertions.assertThatThrownBy(() -> elbowed(straight, turn, 0.04).checkedElbows())
                    .isInstanceOf(EnthalpaFault.class)
                    .hasMessageContaining("inlet elbow")
                    .hasMessageContaining("square to the way the port looks");
        }
        assertThat(elbowed(straight, PortTurn.UP, 0.04).checkedElbows()).isNotNull();
    }

    /**
     * r/d = 1, a right angle, f = 0.02: 0.02 pi/2 + 0.148 sin 45 + 0.132 (sqrt(sin 45) + sin 45) = 0.0314 + 0.1047 + 0.2043 = 0.3404; of an outlet
     * of 51 behind an inlet of 63 the same on (63/51)^4 = 2.3286 of the inlet's head.
     */
    @Test
    void elbowLosesWhatABendDoes() {
        CoreSize size = new CoreSize(0.5, 0.25, 0.064);
        EndTankSpec straight = new EndTankSpec(0.063, 0.06, EndTankSpec.PortPlace.MIDDLE, false, 0, 1, 0.051, 0.04);
        EndTankSpec bent = straight.withElbows(
                Optional.of(new PortElbow(PortTurn.UP, 0.063, Math.PI / 2)),
                Optional.of(new PortElbow(PortTurn.UP, 0.051, Math.PI / 2)));
        TankEffect without = TankEffect.of(stream(straight, size), 20, 0.005);
        TankEffect with = TankEffect.of(stream(bent, size), 20, 0.005);
        assertThat(with.inletK() - without.inletK()).isCloseTo(0.3404, within(1e-4));
        assertThat(with.outletK() - without.outletK()).isCloseTo(0.3404 * 2.3286, within(3e-4));
    }

    /** 0.2 kg/s through 63 mm is 2058 Pa of head at 1 kg/m3: a card's core with an elbow at its inlet loses 0.3404 of it more. */
    @Test
    void cardCountsItsElbows() {
        Systems s = Systems.standard().evenBore(0.063);
        CoreSpec like = s.core();
        EndTankSpec bent =
                like.tanks().withElbows(Optional.of(new PortElbow(PortTurn.UP, 0.063, Math.PI / 2)), Optional.empty());
        CoreSpec other = new CoreSpec(
                like.construction(), like.size(), like.basis(), like.arrangement(), bent, like.inletTowards());
        double more = new ChargeCooler(other).model().loss(0.2, 1, 1, 350)
                - new ChargeCooler(like).model().loss(0.2, 1, 1, 350);
        assertThat(more).isCloseTo(2058 * 0.3404, within(1.0));
    }

    @Test
    void howFarItStandsOutsideIsTakenWhereItDoesMost() {
        CoreOutline outline = new CoreOutline(0.35, 0.31, 0.125, 0.165);
        assertThat(outline.outside(0, 0, 0.7, 0.4)).isZero();
        assertThat(outline.outside(0.03, 0, 0.7, 0.4)).as("right 340, left 320").isZero();
        assertThat(outline.outside(-0.03, 0, 0.7, 0.4)).isCloseTo(0.03, within(1e-12));
        assertThat(outline.outside(0, 0.05, 0.7, 0.4)).isCloseTo(0.015, within(1e-12));
        assertThat(outline.outside(-0.15, 0.05, 0.7, 0.4)).isCloseTo(0.15, within(1e-12));
    }

    @Test
    void blockWithoutTanksHasNeitherStubsNorLossesOfPorts() {
        EndTankSpec none = new EndTankSpec(0.4, 0, EndTankSpec.PortPlace.MIDDLE, false, 0, 1, 0.4, 0.040);
        CoreSpec spec = new CoreSpec(
                "brick",
                new CoreSize(0.250, 0.120, 0.120),
                Systems.standard().core().basis(),
                Effectiveness.CROSSFLOW_UNMIXED,
                none,
                PortSide.LEFT);
        assertThat(CoreOutline.of(spec)).isEqualTo(CoreOutline.bare(0.250, 0.120));
        assertThat(none.checkedFor(spec.size())).as("no port to fit a tank").isSameAs(none);
        assertThat(TankEffect.of(stream(none, spec.size()), 20, 0.005)).isEqualTo(new TankEffect(0, 0, 0, 0, 0));
    }

    /**
     * By hand, on the inlet's velocity head: a 63 mm outlet in 160 cm2 leaves half of 1 - 0.1948 = 0.4026; one of 76 mm half of
     * 1 - 0.2835, on (63/76)^4 = 0.4722 of the head, 0.1692; two of 51 mm half of 1 - 0.2553, on (63^2 / (2 51^2))^2 = 0.5821, 0.2168.
     */
    @Test
    void outletHasItsOwnBore() {
        CoreSize size = new CoreSize(0.5, 0.25, 0.064);
        assertThat(outlet(0.063, 1, size)).isCloseTo(0.4026, within(2e-4));
        assertThat(outlet(0.076, 1, size)).isCloseTo(0.1692, within(2e-4));
        assertThat(outlet(0.051, 2, size)).isCloseTo(0.2168, within(2e-4));
    }

    private static double outlet(double bore, int outlets, CoreSize size) {
        EndTankSpec tanks = new EndTankSpec(0.063, 0.063, EndTankSpec.PortPlace.MIDDLE, false, 0, outlets, bore, 0.040);
        return TankEffect.of(stream(tanks, size), 20, 0.005).outletK();
    }

    /** 0.2 kg/s through a 63 mm port is 64.16 kg/(m2 s): 2058 Pa of head at 1 kg/m3; the 76 mm outlet saves 0.4026 - 0.1692 of it. */
    @Test
    void cardCountsAnotherOutletThanTheOneItWasMeasuredWith() {
        Systems s = Systems.standard().evenBore(0.063);
        CoreSpec like = s.core();
        EndTankSpec wide = new EndTankSpec(
                0.063, like.tanks().depth(), EndTankSpec.PortPlace.MIDDLE, false, 0, 1, 0.076, EndTankSpec.USUAL_STUB);
        CoreSpec other = new CoreSpec(
                like.construction(), like.size(), like.basis(), like.arrangement(), wide, like.inletTowards());
        double saved = new ChargeCooler(like).model().loss(0.2, 1, 1, 350)
                - new ChargeCooler(other).model().loss(0.2, 1, 1, 350);
        assertThat(saved).isCloseTo(2058 * (0.4026 - 0.1692), within(1.0));
    }

    private ChargeSystem system;

    private SteadyResult inSpace(PortSide inlet, double width, double height) {
        Systems s = Systems.standard();
        Ways way = new Ways();
        way.spaceWidth = width;
        way.spaceHeight = height;
        s.airWays = List.of(way.spec());
        s.inletTowards = inlet;
        system = s.system();
        return system.steady(Systems.point(5500, 90, 30));
    }

    /** 500 x 250: on end it goes into a space 300 wide and 800 high, lying it does not. */
    @ParameterizedTest
    @EnumSource(
            value = PortSide.class,
            names = {"UP", "DOWN"})
    void coreOnEndIsOnEndInItsSpaceAndInItsRefusal(PortSide inlet) {
        SteadyResult onEnd = inSpace(inlet, 0.3, 0.8);
        assertThat(onEnd.ways().get(0).layers().get(0).width()).isEqualTo(0.25);
        assertThat(onEnd.ways().get(0).layers().get(0).height()).isEqualTo(0.5);
        Assertions.assertThatThrownBy(() -> inSpace(PortSide.RIGHT, 0.3, 0.8))
                .isInstanceOf(EnthalpaFault.class)
                .hasMessageContaining("width")
                .hasMessageContaining("500 mm");
        Assertions.assertThatThrownBy(() -> inSpace(inlet, 0.8, 0.3))
                .isInstanceOf(EnthalpaFault.class)
                .hasMessageContaining("height")
                .hasMessageContaining("500 mm");
    }

    /** 500 of block, two tanks of 57 and two stubs of 40 are 694: 47 to either side of 600, nothing in 700. */
    @Test
    void tanksThatStandOutsideTheSpaceAreSaid() {
        assertThat(outside(inSpace(PortSide.RIGHT, 0.6, 0.6))).containsExactly(0.047);
        assertThat(outside(inSpace(PortSide.RIGHT, 0.7, 0.6))).isEmpty();
        assertThat(outside(inSpace(PortSide.DOWN, 0.6, 0.6))).containsExactly(0.047);
    }

    private List<Double> outside(SteadyResult result) {
        return Notes.about(system, result).stream()
                .filter(n -> n.kind() == Note.Kind.STANDS_OUTSIDE)
                .map(n -> Math.rint(n.value() * 1e6) / 1e6)
                .toList();
    }
}
