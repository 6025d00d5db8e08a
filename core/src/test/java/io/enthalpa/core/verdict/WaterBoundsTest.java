package io.enthalpa.core.verdict;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.Loops;
import io.enthalpa.core.Systems;
import io.enthalpa.core.chargepath.CoolingSide;
import io.enthalpa.core.chargepath.OperatingPoint;
import io.enthalpa.core.endurance.EnduranceRun;
import io.enthalpa.core.endurance.Trace;
import io.enthalpa.core.fluid.GlycolWater;
import io.enthalpa.core.notes.Note;
import io.enthalpa.core.notes.Notes;
import io.enthalpa.core.steady.ChargeSystem;
import io.enthalpa.core.steady.LoopResult;
import io.enthalpa.core.steady.SteadyResult;
import io.enthalpa.core.waterloop.IceSpec;
import io.enthalpa.core.waterloop.LoopPiece;
import io.enthalpa.core.waterloop.TankSpec;
import io.enthalpa.core.waterloop.WaterLoopSpec;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

/** Water hotter or colder than it can be is told by the steady answer and by a run alike. */
class WaterBoundsTest {
    private static final OperatingPoint POINT = Systems.point(4000, 120, 15);

    /** 1 L/min: 70 W/K for some 7 kW, so that it would have to warm to far more than 100 °C. */
    private static ChargeSystem trickle(double cap) {
        Systems s = Systems.water();
        s.cooling = new CoolingSide.Water(new WaterLoopSpec(
                GlycolWater.WATER,
                OptionalDouble.of(1e-3 / 60),
                3e-3,
                List.of(),
                Optional.of(Systems.radiator()),
                Optional.of(new TankSpec(5e-3, false, OptionalDouble.empty(), IceSpec.NONE, false, cap)),
                Optional.empty(),
                Optional.empty()));
        return s.system();
    }

    @Test
    void boilingIsToldAlikeHeldAndRun() {
        ChargeSystem system = trickle(0);
        SteadyResult steady = system.steady(POINT);
        LoopResult loop = steady.loops().get(0);
        assertThat(loop.boiling() - 273.15).isCloseTo(100, within(0.1));
        assertThat(loop.hottest()).isGreaterThan(loop.boiling());
        assertThat(kinds(system, steady)).contains(Note.Kind.LOOP_BOILS);
        Trace trace = EnduranceRun.run(system, Systems.hold(POINT, 5, 900));
        WaterBounds bounds = WaterBounds.of(system, trace);
        assertThat(bounds.boiling()).isEqualTo(loop.boiling());
        assertThat(bounds.hottest()).isCloseTo(loop.hottest(), within(1.5));
        int first = 0;
        while (trace.core().cold().out()[first] <= loop.boiling()) {
            first++;
        }
        assertThat(bounds.boilsFrom()).isEqualTo(trace.time()[first]).isGreaterThan(1);
        assertThat(bounds.freezesFrom()).isNaN();
    }

    /** Steam tables: 4 bar over outside air is 152 °C. */
    @Test
    void capThatHoldsMoreRaisesTheLimit() {
        ChargeSystem system = trickle(400e3);
        SteadyResult steady = system.steady(POINT);
        assertThat(steady.loops().get(0).boiling() - 273.15).isCloseTo(152, within(0.3));
        assertThat(kinds(system, steady)).doesNotContain(Note.Kind.LOOP_BOILS);
        assertThat(WaterBounds.of(system, EnduranceRun.run(system, Systems.hold(POINT, 5, 300)))
                        .boilsFrom())
                .isNaN();
    }

    /** Outside -20 °C, plain water and next to no load: it would have to be colder than ice. */
    @Test
    void freezingIsToldAlikeHeldAndRun() {
        Loops l = new Loops();
        Systems s = l.systems();
        s.ambientT = 253.15;
        s.humidity = 0;
        ChargeSystem system = s.system();
        OperatingPoint idle = Systems.point(1000, 0, 30);
        SteadyResult steady = system.steady(idle);
        assertThat(kinds(system, steady)).contains(Note.Kind.LOOP_FREEZES);
        WaterBounds bounds = WaterBounds.of(system, EnduranceRun.run(system, Systems.hold(idle, 40, 900)));
        assertThat(bounds.freezesFrom()).isBetween(5.0, 600.0);
        assertThat(bounds.coldest()).isCloseTo(steady.loops().get(0).coldest(), within(1.0));
        assertThat(bounds.boilsFrom()).isNaN();
        l.coolant = new GlycolWater(0.5);
        Systems mixed = l.systems();
        mixed.ambientT = 253.15;
        assertThat(kinds(mixed.system(), mixed.system().steady(idle))).doesNotContain(Note.Kind.LOOP_FREEZES);
    }

    /** A pump that stands while the engine is off leaves the core's water to its hot metal. */
    @Test
    void standingWaterInAHotCoreBoils() {
        Loops l = new Loops();
        l.whileOff = false;
        l.pumps = List.of((LoopPiece) Loops.pump("pump", 1));
        Systems s = l.systems();
        ChargeSystem system = s.system();
        WaterBounds bounds = WaterBounds.of(system, EnduranceRun.run(system, Systems.hold(POINT, 115, 5)));
        assertThat(bounds.boilsFrom()).as("it starts at 142 °C").isLessThan(1);
    }

    private static List<Note.Kind> kinds(ChargeSystem system, SteadyResult steady) {
        return Notes.about(system, steady).stream().map(Note::kind).toList();
    }
}
