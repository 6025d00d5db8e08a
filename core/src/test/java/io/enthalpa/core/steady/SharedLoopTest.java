package io.enthalpa.core.steady;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import io.enthalpa.core.Paths;
import io.enthalpa.core.Systems;
import io.enthalpa.core.Ways;
import io.enthalpa.core.chargepath.CoolingSide;
import io.enthalpa.core.chargepath.CoolingSide.OnLoop;
import io.enthalpa.core.chargepath.OperatingPoint;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.chargepath.PathElement.Core;
import io.enthalpa.core.coolingair.FaceAirSpec;
import io.enthalpa.core.coolingair.Layer;
import io.enthalpa.core.duty.Duty;
import io.enthalpa.core.endurance.EnduranceRun;
import io.enthalpa.core.endurance.Trace;
import io.enthalpa.core.exchanger.CoreSize;
import io.enthalpa.core.exchanger.CoreSpec;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fluid.GlycolWater;
import io.enthalpa.core.plant.CoreResult;
import io.enthalpa.core.waterloop.RadiatorBasis;
import io.enthalpa.core.waterloop.RadiatorSpec;
import io.enthalpa.core.waterloop.TankSpec;
import io.enthalpa.core.waterloop.WaterLoopSpec;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

/** Several cores on one water loop. */
class SharedLoopTest {
    private static final OperatingPoint POINT = Systems.point(4500, 100, 20);
    private static final double FLOW = 18e-3 / 60;
    private static final double VOLUME = 5e-3;

    /** A loop for so many cores: every part of it so many times as wide, as much flow, as much water. */
    private static WaterLoopSpec loop(double cores) {
        CoreSize size = new CoreSize(0.3 * cores, 0.25, 0.032);
        RadiatorBasis card = new RadiatorBasis.Card(
                size, cores * 8e3, cores * FLOW, 333.15, 5, 298.15, OptionalDouble.empty(), OptionalDouble.empty());
        return new WaterLoopSpec(
                GlycolWater.WATER,
                OptionalDouble.of(cores * FLOW),
                cores * VOLUME,
                List.of(),
                Optional.of(new RadiatorSpec(size, card, new FaceAirSpec(0.25, 0.5))),
                Optional.of(TankSpec.PLAIN),
                Optional.empty(),
                Optional.empty());
    }

    private static Core own(String name, CoreSpec spec, double cores) {
        return new Core(name, spec, new CoolingSide.Water(loop(cores)));
    }

    private static Core shared(String name, CoreSpec spec, OnLoop place) {
        return new Core(name, spec, new CoolingSide.Shared("left core", place));
    }

    private static CoreSpec spec() {
        return Systems.water().core();
    }

    private static CoreSpec small() {
        Systems s = Systems.water();
        s.size = new CoreSize(0.25, 0.2, 0.064);
        return s.core();
    }

    private static ChargeSystem legs(Core left, Core right) {
        return new ChargeSystem(Paths.of(Paths.filter(), Paths.blower(), Paths.pair(left, right), Paths.plenum()));
    }

    /** Two cores that the charge passes one after the other, the first in the hotter charge. */
    private static ChargeSystem row(Core... cores) {
        List<PathElement> pieces = new ArrayList<>(List.of(Paths.filter(), Paths.blower()));
        pieces.addAll(List.of(cores));
        pieces.add(Paths.plenum());
        return new ChargeSystem(Paths.of(pieces.toArray(new PathElement[0])));
    }

    private static Duty hold(double seconds) {
        return Systems.hold(POINT, 5, seconds);
    }

    @Test
    void twoAlikeOnALoopTwiceTheSizeAreTwoWithLoopsOfTheirOwn() {
        ChargeSystem apart = legs(own("left core", spec(), 1), own("right core", spec(), 1));
        ChargeSystem together = legs(own("left core", spec(), 2), shared("right core", spec(), OnLoop.BESIDE));
        SteadyResult one = apart.steady(POINT);
        SteadyResult both = together.steady(POINT);
        assertThat(both.path().intakeTemperature()).isCloseTo(one.path().intakeTemperature(), within(1e-3));
        assertThat(both.loops()).hasSize(1);
        assertThat(both.loops().get(0).waterIn()).isCloseTo(one.loops().get(0).waterIn(), within(1e-3));
        assertThat(both.loops().get(0).radiator())
                .isCloseTo(2 * one.loops().get(0).radiator(), withinPercentage(1e-3));
        assertThat(both.cores().get(1).shares().radiator())
                .isCloseTo(one.cores().get(1).shares().radiator(), within(1e-3));

        Trace alone = EnduranceRun.run(apart, hold(60));
        Trace trace = EnduranceRun.run(together, hold(60));
        for (int i = 0; i < trace.length(); i++) {
            assertThat(trace.intake()[i]).isCloseTo(alone.intake()[i], within(1e-9));
        }
        assertThat(trace.audit().rejected()).isCloseTo(alone.audit().rejected(), withinPercentage(1e-9));
        assertThat(trace.cores().get(1).cold().rejected())
                .containsExactly(alone.cores().get(1).cold().rejected(), within(1e-6));
    }

    @Test
    void besideEachOtherBothGetTheSameWaterBehindEachOtherTheSecondGetsWhatTheFirstWarmed() {
        SteadyResult beside = row(own("left core", small(), 2), shared("right core", spec(), OnLoop.BESIDE))
                .steady(POINT);
        CoreResult first = beside.cores().get(0);
        CoreResult second = beside.cores().get(1);
        LoopResult loop = beside.loops().get(0);
        assertThat(second.coldIn()).isCloseTo(first.coldIn(), within(1e-3));
        assertThat(first.coldFlow() + second.coldFlow())
                .isCloseTo(2 * FLOW * GlycolWater.WATER.density(loop.waterIn()), withinPercentage(1e-6));
        assertThat(loop.heat()).isCloseTo(first.heat() + second.heat(), withinPercentage(1e-9));
        assertThat(loop.radiator()).isCloseTo(loop.heat(), withinPercentage(0.01));
        double mixed = (first.coldFlow() * first.coldOut() + second.coldFlow() * second.coldOut())
                / (first.coldFlow() + second.coldFlow());
        assertThat(loop.waterOut()).isCloseTo(mixed, within(2e-3));

        SteadyResult behind = row(own("left core", small(), 2), shared("right core", spec(), OnLoop.BEHIND))
                .steady(POINT);
        assertThat(behind.cores().get(1).coldIn())
                .isCloseTo(behind.cores().get(0).coldOut(), within(2e-3));
        assertThat(behind.cores().get(1).coldFlow())
                .isCloseTo(behind.cores().get(0).coldFlow(), withinPercentage(1e-6));
        assertThat(behind.loops().get(0).waterOut())
                .isCloseTo(behind.cores().get(1).coldOut(), within(2e-3));
    }

    @Test
    void theRunEndsWhereTheSteadyAnswerStandsAndItsAccountsBalance() {
        for (OnLoop place : OnLoop.values()) {
            ChargeSystem system = row(own("left core", small(), 2), shared("right core", spec(), place));
            Trace trace = EnduranceRun.run(system, hold(900), 0.25);
            SteadyResult steady = system.steady(POINT);
            int end = trace.length() - 1;
            for (int k = 0; k < 2; k++) {
                CoreResult core = steady.cores().get(k);
                assertThat(trace.cores().get(k).coldIn()[end]).isCloseTo(core.coldIn(), within(0.3));
                assertThat(trace.cores().get(k).out()[end]).isCloseTo(core.out(), within(0.6));
            }
            assertThat(trace.audit().error()).isLessThan(1e-3);
            double given = trace.cores().get(0).cold().rejected()[end]
                    + trace.cores().get(1).cold().rejected()[end];
            assertThat(given).isCloseTo(steady.loops().get(0).radiator(), withinPercentage(1));
        }
    }

    /** Four that share a pair of legs each answer the other three: without restraint they would swing ever wider. */
    @Test
    void fourOnOneLoopSettle() {
        ChargeSystem system = new ChargeSystem(Paths.of(
                Paths.filter(),
                Paths.blower(),
                Paths.pair(own("left core", spec(), 0.3), shared("b", spec(), OnLoop.BESIDE)),
                pairOf(shared("c", spec(), OnLoop.BESIDE), shared("d", spec(), OnLoop.BEHIND)),
                Paths.plenum()));
        SteadyResult four = system.steady(POINT);
        LoopResult loop = four.loops().get(0);
        assertThat(loop.radiator()).isCloseTo(loop.heat(), withinPercentage(0.05));
        assertThat(four.cores().get(1).coldIn()).isCloseTo(loop.waterIn(), within(5e-3));
        double before = loop.heat() - four.cores().get(3).heat();
        assertThat(four.cores().get(3).coldIn() - loop.waterIn())
                .isCloseTo(before / (loop.heat() / (loop.waterOut() - loop.waterIn())), within(5e-3));
    }

    private static PathElement pairOf(Core one, Core two) {
        PathElement.Parallel pair = Paths.pair(one, two);
        return new PathElement.Parallel(
                "second pair", pair.splitAngle(), pair.legs(), pair.mergeAngle(), pair.mergedBore(), Optional.empty());
    }

    /** What hangs on another's loop meets the air that the radiator in the stack meets. */
    @Test
    void theRadiatorInTheStackServesAllOfTheLoop() {
        Ways way = new Ways();
        way.layers = List.of(Ways.condenser(0.05), new Layer("left core", Layer.Kind.RADIATOR, 0, 0, 0.02, null));
        ChargeSystem system = new ChargeSystem(
                row(own("left core", small(), 2), shared("right core", spec(), OnLoop.BEHIND))
                        .path(),
                List.of(way.spec()));
        SteadyResult steady = system.steady(POINT);
        assertThat(steady.cores().get(1).faceSpeed())
                .isEqualTo(steady.cores().get(0).faceSpeed());
        assertThat(steady.loops().get(0).air().inlet())
                .as("warmed by the condenser")
                .isGreaterThan(303);
        Trace trace = EnduranceRun.run(system, hold(20));
        assertThat(trace.cores().get(1).cold().airIn())
                .containsExactly(trace.cores().get(0).cold().airIn());
    }

    @Test
    void aLoopThatNobodyHasIsRefusedByTheCoreThatWantsIt() {
        assertThatThrownBy(() -> row(own("right core", spec(), 1), shared("other", spec(), OnLoop.BESIDE)))
                .isInstanceOf(EnthalpaFault.class)
                .hasMessageContaining("other, the loop it hangs on")
                .hasMessageContaining("\"left core\"");
        assertThatThrownBy(() -> row(
                        own("left core", spec(), 1),
                        shared("b", spec(), OnLoop.BESIDE),
                        shared("c", spec(), OnLoop.BESIDE),
                        shared("d", spec(), OnLoop.BESIDE),
                        shared("e", spec(), OnLoop.BESIDE)))
                .isInstanceOf(EnthalpaFault.class)
                .hasMessageContaining("full with 4 cores");
    }
}
