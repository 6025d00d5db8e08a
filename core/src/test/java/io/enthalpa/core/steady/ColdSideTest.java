package io.enthalpa.core.steady;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import io.enthalpa.core.Cases;
import io.enthalpa.core.Loops;
import io.enthalpa.core.Systems;
import io.enthalpa.core.Ways;
import io.enthalpa.core.chargepath.CoolingSide;
import io.enthalpa.core.chargepath.OperatingPoint;
import io.enthalpa.core.chargepath.PipeWallSpec;
import io.enthalpa.core.coolingair.AirWaySpec;
import io.enthalpa.core.coolingair.Layer;
import io.enthalpa.core.coolingair.OpeningSpec;
import io.enthalpa.core.duty.Duty;
import io.enthalpa.core.duty.DutyPoint;
import io.enthalpa.core.endurance.EnduranceRun;
import io.enthalpa.core.endurance.Trace;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fluid.GlycolWater;
import io.enthalpa.core.notes.Note;
import io.enthalpa.core.notes.Notes;
import io.enthalpa.core.place.Subject;
import io.enthalpa.core.waterloop.ChillerSpec;
import io.enthalpa.core.waterloop.CorePorts;
import io.enthalpa.core.waterloop.IceSpec;
import io.enthalpa.core.waterloop.LoopPiece;
import io.enthalpa.core.waterloop.RawWaterSpec;
import io.enthalpa.core.waterloop.TankSpec;
import io.enthalpa.core.waterloop.WaterLoopSpec;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Water and cooling air together with the core: held steady, and through a run. */
class ColdSideTest {
    private static final OperatingPoint POINT = Systems.point(4000, 120, 20);

    static LongStream seeds() {
        return Cases.seeds();
    }

    private static Duty hold(double seconds, int repeats, double wait) {
        return new Duty(
                "hold",
                true,
                5,
                repeats,
                wait,
                List.of(
                        new DutyPoint(0, POINT.speed(), POINT.boost(), POINT.roadSpeed()),
                        new DutyPoint(seconds, POINT.speed(), POINT.boost(), POINT.roadSpeed())));
    }

    private static Systems stack(Layer... layers) {
        Ways w = new Ways();
        w.layers = List.of(layers);
        Systems s = Systems.standard();
        s.airWays = List.of(w.spec());
        return s;
    }

    private static final Layer CORE = new Layer("core", Layer.Kind.CORE, 0, 0, 0.02, null);

    private static double all(AirWayResult way) {
        return way.layers().stream().mapToDouble(AirWayResult.LayerResult::heat).sum();
    }

    /** TF-26, common practice, no source: swapped, the charge gains and the cabin loses; together they move about the same. */
    @Test
    void orderOfTheStackShiftsWhoGetsTheAir() {
        SteadyResult cabinFirst = stack(Ways.condenser(0.05), CORE).system().steady(POINT);
        SteadyResult chargeFirst = stack(CORE, Ways.condenser(0.05)).system().steady(POINT);
        double condenserFirst = cabinFirst.ways().get(0).layers().get(0).hot();
        double condenserBehind = chargeFirst.ways().get(0).layers().get(1).hot();
        assertThat(chargeFirst.path().intakeTemperature())
                .isLessThan(cabinFirst.path().intakeTemperature() - 1);
        assertThat(condenserBehind).isGreaterThan(condenserFirst + 1);
        assertThat(chargeFirst.ways().get(0).flow().total())
                .as("the air itself does not care")
                .isCloseTo(cabinFirst.ways().get(0).flow().total(), withinPercentage(0.01));
    }

    /** With air enough the two orders of condenser and charge core move the same total within a few percent, and shift who gets it. */
    @Test
    void twoOrdersMoveNearlyTheSameHeatAndShiftWhoGetsIt() {
        SteadyResult[] results = new SteadyResult[2];
        for (int k = 0; k < 2; k++) {
            Ways w = new Ways();
            w.opening = new OpeningSpec(0.8, 0.4, 0.95, 1, true, List.of());
            w.exitArea = 0.4;
            w.layers = k == 0 ? List.of(Ways.condenser(0.05), CORE) : List.of(CORE, Ways.condenser(0.05));
            Systems s = Systems.standard();
            s.airWays = List.of(w.spec());
            s.ambientT = 308.15;
            results[k] = s.system().steady(Systems.point(3500, 90, 40));
        }
        assertThat(all(results[1].ways().get(0)))
                .as("total heat")
                .isCloseTo(all(results[0].ways().get(0)), withinPercentage(6));
        assertThat(results[1].core().heat())
                .isGreaterThan(1.02 * results[0].core().heat());
        assertThat(results[1].ways().get(0).layers().get(1).hot())
                .isGreaterThan(results[0].ways().get(0).layers().get(0).hot() + 1);
    }

    /** TF-13, common practice, no source: ducted rear-mounted air-to-air, cruising on a 32 °C day: 46 °C intake, 14 K over ambient. */
    @Test
    void ductedRearMountedCoreCruising() {
        Ways w = new Ways();
        w.opening = new OpeningSpec(0.25, 0.12, 0.4, 0.8, true, List.of());
        w.ducted = true;
        w.seal = 0.97;
        w.exitArea = 0.03;
        w.exitPressure = 0.05;
        Systems s = Systems.standard();
        s.ambientT = 305.15;
        s.filterHeat = 10;
        s.airWays = List.of(w.spec());
        double above = s.system().steady(Systems.point(3000, 60, 31)).path().intakeTemperature() - 305.15;
        assertThat(above).isBetween(7.0, 21.0);
    }

    @Test
    void shareOfRoadSpeedIsForWhatStandsInNoWay() {
        Systems s = stack(CORE);
        SteadyResult inWay = s.system().steady(POINT);
        assertThat(inWay.inWay(inWay.core())).isTrue();
        assertThat(inWay.core().faceSpeed())
                .isCloseTo(inWay.ways().get(0).layers().get(0).speed(), within(1e-9));
        s.airWays = List.of();
        SteadyResult alone = s.system().steady(POINT);
        assertThat(alone.core().faceSpeed()).isCloseTo(0.3 * 20, within(1e-9));
        assertThat(alone.inWay(alone.core())).isFalse();
    }

    @Test
    void radiatorInAWayGetsItsAirThere() {
        Ways w = new Ways();
        w.layers = List.of(Ways.engineRadiator(0.05), new Layer("core", Layer.Kind.RADIATOR, 0, 0, 0.02, null));
        Systems s = new Loops().systems();
        s.airWays = List.of(w.spec());
        SteadyResult result = s.system().steady(POINT);
        LoopResult loop = result.loops().get(0);
        assertThat(loop.air().inlet())
                .as("behind the engine radiator it is hot")
                .isGreaterThan(310);
        assertThat(loop.waterIn()).isGreaterThan(loop.air().inlet());
        assertThat(result.ways().get(0).layers().get(1).heat()).isCloseTo(loop.radiator(), withinPercentage(0.1));
        assertThat(loop.airOut()).isCloseTo(result.ways().get(0).layers().get(1).airOut(), within(0.3));
    }

    @Test
    void layersThatNameNothingOrStandTwiceAreRefused() {
        assertThatThrownBy(() -> stack(new Layer("corer", Layer.Kind.CORE, 0, 0, 0, null))
                        .system())
                .isInstanceOf(EnthalpaFault.class)
                .hasMessageContaining("\"corer\"")
                .satisfies(e -> assertThat(((EnthalpaFault) e).subject()).contains(new Subject.Layer(0, 0)));
        assertThatThrownBy(() -> stack(CORE, CORE).system())
                .isInstanceOf(EnthalpaFault.class)
                .hasMessageContaining("twice");
        assertThatThrownBy(() -> stack(new Layer("core", Layer.Kind.RADIATOR, 0, 0, 0, null))
                        .system())
                .isInstanceOf(EnthalpaFault.class)
                .hasMessageContaining("radiator");
        Systems wide = stack(CORE);
        Ways w = new Ways();
        w.spaceWidth = 0.4;
        wide.airWays = List.of(w.spec());
        assertThatThrownBy(wide::system).isInstanceOf(EnthalpaFault.class).satisfies(e -> {
            assertThat(((EnthalpaFault) e).subject()).contains(new Subject.Way(0));
            assertThat(((EnthalpaFault) e).field()).isEqualTo("layers/0");
        });
    }

    private static Loops loops(String kind) {
        Loops l = new Loops();
        switch (kind) {
            case "glycol" -> l.coolant = new GlycolWater(0.4);
            case "raw" -> {
                l.radiator = Optional.empty();
                l.raw = Optional.of(new io.enthalpa.core.waterloop.RawWaterSpec(295.15, 1e-4));
            }
            case "chiller" -> {
                l.radiator = Optional.empty();
                l.chiller = Optional.of(new ChillerSpec(14e3, 278.15, 900e3, true));
            }
            case "soaked" -> l.soak = 60;
            case "radiator and chiller" -> l.chiller = Optional.of(new ChillerSpec(3e3, 278.15, 900e3, true));
            case "baffled" ->
                l.tank = Optional.of(new TankSpec(8e-3, true, OptionalDouble.empty(), IceSpec.NONE, false));
            default -> {
                // the plain loop
            }
        }
        return l;
    }

    /** The steady end of a run is what the steady solver says, whatever cools. */
    @ParameterizedTest
    @CsvSource({"plain", "glycol", "raw", "chiller", "radiator and chiller", "baffled", "soaked"})
    void runEndsWhereTheSteadySolverSays(String kind) {
        ChargeSystem system = loops(kind).systems().system();
        SteadyResult steady = system.steady(POINT);
        Trace trace = EnduranceRun.run(system, hold(1500, 1, 0), 0.3);
        double rise = steady.core().in() - steady.core().out();
        assertThat(trace.core().out()[trace.length() - 1])
                .isCloseTo(steady.core().out(), within(0.01 * rise));
        assertThat(trace.core().coldIn()[trace.length() - 1])
                .isCloseTo(steady.core().coldIn(), within(0.4));
        assertThat(trace.audit().error()).isLessThan(0.005);
    }

    @Test
    void runInAStackEndsThereToo() {
        ChargeSystem system =
                stack(Ways.condenser(0.05), CORE, Ways.engineRadiator(0.02)).system();
        SteadyResult steady = system.steady(POINT);
        Trace trace = EnduranceRun.run(system, hold(600, 1, 0), 0.3);
        assertThat(trace.core().out()[trace.length() - 1])
                .isCloseTo(
                        steady.core().out(),
                        within(0.01 * (steady.core().in() - steady.core().out())));
        assertThat(trace.core().coldIn()[trace.length() - 1])
                .isCloseTo(steady.core().coldIn(), within(0.2));
        assertThat(trace.audit().error()).isLessThan(0.005);
    }

    @Test
    void iceIsToppedUpBetweenRunsWhenSaid() {
        Loops l = new Loops();
        l.radiator = Optional.empty();
        l.volume = 10e-3;
        l.tank = Optional.of(
                new TankSpec(40e-3, false, OptionalDouble.empty(), new IceSpec(6, 0.03, IceSpec.Stir.RETURNED), true));
        Trace topped = EnduranceRun.run(l.systems().system(), hold(60, 2, 120), 0.25);
        l.tank = Optional.of(
                new TankSpec(40e-3, false, OptionalDouble.empty(), new IceSpec(6, 0.03, IceSpec.Stir.RETURNED), false));
        Trace once = EnduranceRun.run(l.systems().system(), hold(60, 2, 120), 0.25);
        int end = topped.length() - 1;
        assertThat(topped.core().ice()[end]).isGreaterThan(once.core().ice()[end] + 1);
        assertThat(topped.audit().error()).isLessThan(0.005);
        assertThat(once.audit().error()).isLessThan(0.005);
        assertThat(once.core().ice())
                .as("ice never grows by itself")
                .isSortedAccordingTo(java.util.Comparator.comparing((Double d) -> -d));
    }

    private static List<Note.Kind> kinds(Systems s) {
        ChargeSystem system = s.system();
        return Notes.about(system, system.steady(POINT)).stream()
                .map(Note::kind)
                .toList();
    }

    @Test
    void notesNameWhatIsWrongWithALoop() {
        Loops l = new Loops();
        l.oddSpigot = 0.008;
        l.ports = new CorePorts(CorePorts.Layout.MIDDLE, CorePorts.Feed.TOP, false);
        assertThat(kinds(l.systems()))
                .contains(
                        Note.Kind.LOOP_STRANGLED,
                        Note.Kind.LOOP_FAST,
                        Note.Kind.FED_FROM_TOP,
                        Note.Kind.PORTS_WASH_PART);
        assertThat(kinds(new Loops().systems()))
                .doesNotContain(
                        Note.Kind.LOOP_STRANGLED,
                        Note.Kind.FED_FROM_TOP,
                        Note.Kind.PORTS_WASH_PART,
                        Note.Kind.LOOP_HIGH_SPOT,
                        Note.Kind.LOOP_WARMS,
                        Note.Kind.LOOP_LAMINAR);
        Systems cold = new Loops().systems();
        cold.ambientT = 268.15;
        assertThat(kinds(cold)).contains(Note.Kind.COOLANT_FREEZES);
        Loops bare = new Loops();
        bare.radiator = Optional.empty();
        assertThat(kinds(bare.systems())).contains(Note.Kind.LOOP_WARMS);
        Loops stalled = new Loops();
        stalled.pumps = List.of(new LoopPiece.Pump(
                "pump",
                new io.enthalpa.core.waterloop.PumpSpec(
                        Loops.curve(40e3, 40 * Loops.LITRES), 0.001, OptionalDouble.empty(), 0.3),
                0.019,
                1,
                0));
        assertThat(kinds(stalled.systems())).contains(Note.Kind.PUMP_STALLED);
    }

    @Test
    void notesNameWhatIsWrongWithAWay() {
        Ways w = new Ways();
        w.seal = 0.2;
        w.exitArea = 0.02;
        w.opening = new OpeningSpec(0.6, 0.25, 0.9, 1, false, List.of(new OpeningSpec.Wall("plate", 0.6, 0.2, 0, 0)));
        w.layers = new ArrayList<>(List.of(Ways.engineRadiator(0.05), CORE));
        w.fan = Optional.of(Ways.fan(true));
        Systems s = Systems.standard();
        s.airWays = List.of(w.spec());
        assertThat(kinds(s))
                .contains(
                        Note.Kind.AIR_BYPASS, Note.Kind.OPENING_WALLED, Note.Kind.FAN_AGAINST, Note.Kind.AIR_PREHEATED);
        AirWaySpec good = new Ways().spec();
        s.airWays = List.of(good);
        assertThat(kinds(s))
                .doesNotContain(
                        Note.Kind.AIR_BYPASS,
                        Note.Kind.OPENING_WALLED,
                        Note.Kind.FAN_AGAINST,
                        Note.Kind.AIR_PREHEATED,
                        Note.Kind.EXIT_STRANGLES);
        Ways shut = new Ways();
        shut.exitArea = 0.015;
        s.airWays = List.of(shut.spec());
        assertThat(kinds(s)).contains(Note.Kind.EXIT_STRANGLES);
        shut.exitPressure = 1;
        s.airWays = List.of(shut.spec());
        assertThat(kinds(s)).contains(Note.Kind.WIND_AGAINST);
    }

    @Test
    void pipeUnderTheDewPointDripsUntilItIsWrapped() {
        Loops loops = new Loops();
        loops.radiator = Optional.empty();
        loops.raw = Optional.of(new RawWaterSpec(275.15, 0));
        Systems s = loops.systems();
        s.humidity = 0.95;
        assertThat(sweating(s)).containsExactly("cold pipe");
        s.coldWall = new PipeWallSpec(1.6e-3, true, 5e-3, Optional.empty());
        assertThat(sweating(s)).isEmpty();
        s = loops.systems();
        s.humidity = 0.05;
        assertThat(sweating(s)).as("dry air has nothing to drip").isEmpty();
    }

    private static List<String> sweating(Systems s) {
        return told(s, Note.Kind.PIPE_SWEATS);
    }

    private static List<String> told(Systems s, Note.Kind kind) {
        ChargeSystem system = s.system();
        return Notes.about(system, system.steady(Systems.point(5500, 60, 30))).stream()
                .filter(n -> n.kind() == kind)
                .map(Note::of)
                .toList();
    }

    @Test
    void wrappedHosesLeaveTheCoreToDrip() {
        Loops loops = new Loops();
        loops.radiator = Optional.empty();
        loops.raw = Optional.of(new RawWaterSpec(275.15, 0));
        Systems s = loops.systems();
        s.humidity = 0.95;
        assertThat(told(s, Note.Kind.SWEATS)).hasSize(1);
        assertThat(told(s, Note.Kind.CORE_SWEATS)).isEmpty();
        WaterLoopSpec bare = ((CoolingSide.Water) s.cooling).loop();
        s.cooling = new CoolingSide.Water(bare.withPieces(bare.pieces().stream()
                .map(p -> p instanceof LoopPiece.Hose h
                        ? (LoopPiece) new LoopPiece.Hose(
                                h.name(), h.spec(), h.beside(), h.height(), 6e-3, h.make(), h.least())
                        : p)
                .toList()));
        assertThat(told(s, Note.Kind.SWEATS)).isEmpty();
        assertThat(told(s, Note.Kind.CORE_SWEATS)).hasSize(1);
    }
}
