package io.enthalpa.core.steady;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import io.enthalpa.core.Loops;
import io.enthalpa.core.Systems;
import io.enthalpa.core.chargepath.ChargePath;
import io.enthalpa.core.chargepath.OperatingPoint;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.endurance.EnduranceRun;
import io.enthalpa.core.endurance.Trace;
import io.enthalpa.core.engine.InjectionSpec;
import io.enthalpa.core.plant.CoreResult;
import io.enthalpa.core.waterloop.IceSpec;
import io.enthalpa.core.waterloop.RawWaterSpec;
import io.enthalpa.core.waterloop.TankSpec;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

/** Vapour goes with the charge: a spray adds to it, a cold core takes it out, the engine has to breathe it. */
class VapourTest {
    private static final OperatingPoint POINT = Systems.point(4000, 120, 15);
    /** kg/s of water: 0.3 L/min at its rated pressure. */
    private static final double SPRAYED = 0.3 / 60 * 0.9982;

    private static Systems cold(double water, double humidity) {
        Loops l = new Loops();
        l.radiator = Optional.empty();
        l.raw = Optional.of(new RawWaterSpec(water, 0));
        Systems s = l.systems();
        s.humidity = humidity;
        return s;
    }

    private static ChargeSystem with(Systems s, int at, PathElement... pieces) {
        ChargePath path = s.path();
        List<PathElement> elements = new ArrayList<>(path.elements());
        elements.addAll(at, List.of(pieces));
        return new ChargeSystem(new ChargePath(path.ambient(), path.engine(), elements, path.bay()));
    }

    /** Water only, at its rated pressure at every boost. */
    private static PathElement spray(double litresPerMinute) {
        return new PathElement.Injection(
                "nozzle", 0.057, new InjectionSpec(0, litresPerMinute / 60e3, 700e3, 820e3, -1, 0, 5e-3, 1));
    }

    /**
     * By hand, with figures of steam tables (latent heat 2.43 MJ/kg near 30 °C, liquid 4.18 kJ/(kg K)) and air at 1.008 kJ/(kg K): dry outside air, 5 g/s of water
     * sprayed before a core in cold water. All the spray evaporates in the hot pipe; behind the core the charge holds no more than its metal does, and
     * what came out gave its latent heat to the core. Over both together: air cools by its own heat, and what is still vapour has cost its latent heat.
     */
    @Test
    void sprayBeforeAColdCoreComesOutInIt() {
        ChargeSystem sprayed = with(cold(278.15, 0), 3, spray(0.3));
        SteadyResult steady = sprayed.steady(POINT);
        CoreResult core = steady.core();
        double water = SPRAYED;
        double before = steady.path().stations().get(3).temperature();
        double m = steady.path().flow();
        assertThat(steady.path().stations().get(4).temperature())
                .as("5 g/s of 2.32 MJ/kg (75 °C) in the air's 1.015 kJ/(kg K), and the water's own warming")
                .isCloseTo(
                        before
                                - (water * 2.32e6
                                                + water
                                                        * 4180
                                                        * (steady.path()
                                                                        .stations()
                                                                        .get(4)
                                                                        .temperature()
                                                                - 300))
                                        / (m * 1013),
                        within(1.0));
        double heldAtMost = m / 28.96e-3 * saturated(core.out()) * 18.02e-3;
        assertThat(core.condensate().flow())
                .as("what the charge cannot hold where it leaves; some of that goes on as fog")
                .isBetween(0.95 * (water - heldAtMost), water);
        double left = water - core.condensate().flow();
        double taken = m * 1010 * (before - core.out()) - left * 2.45e6 + water * 4180 * (300 - core.out());
        assertThat(core.heat()).isCloseTo(taken, withinPercentage(1.5));
        double without = cold(278.15, 0).system().steady(POINT).core().out();
        assertThat(core.out())
                .as("the spray's cold is given back but for what is still vapour: little better than the core alone")
                .isBetween(without - 4, without);
    }

    /** Mole fraction at saturation and 218 kPa, Magnus's formula. */
    private static double saturated(double kelvin) {
        double c = kelvin - 273.15;
        return 611.2 * Math.exp(17.62 * c / (243.12 + c)) / 218e3;
    }

    /** The same held through a duty ends where the steady answer stands. */
    @Test
    void runEndsAsTheSteadyAnswer() {
        ChargeSystem sprayed = with(cold(278.15, 0.5), 3, spray(0.3));
        CoreResult steady = sprayed.steady(POINT).core();
        Trace trace = EnduranceRun.run(sprayed, Systems.hold(POINT, 0, 300));
        int end = trace.length() - 1;
        assertThat(trace.core().condensate()[end]).isCloseTo(steady.condensate().flow(), withinPercentage(2));
        assertThat(trace.core().out()[end]).isCloseTo(steady.out(), within(0.5));
        assertThat(trace.audit().error()).isLessThan(2e-3);
    }

    /**
     * Of two cores in the same cold water the second finds what the first has left. By hand: both together cannot take more than the weather brought; the
     * second's charge enters with the first's rest.
     */
    @Test
    void whatOneCoreTookTheNextDoesNotFind() {
        Systems s = cold(278.15, 1);
        PathElement.Core first = (PathElement.Core) s.path().elements().get(3);
        ChargeSystem two = with(s, 4, new PathElement.Core("second", first.spec(), first.cooling()));
        SteadyResult steady = two.steady(POINT);
        double brought = steady.path().flow() * s.path().ambient().air().waterMassFraction();
        CoreResult a = steady.cores().get(0);
        CoreResult b = steady.cores().get(1);
        assertThat(a.condensate().flow() / brought).isBetween(0.3, 0.9);
        // The wetter the charge in front of it, the more it takes: with all that was brought it would take over twice
        // as much.
        assertThat(b.condensate().dewPoint()).isLessThan(a.condensate().dewPoint() - 5);
        assertThat(a.condensate().flow() + b.condensate().flow()).isLessThan(brought);
        assertThat(b.flow())
                .as("the charge is lighter by it")
                .isCloseTo(a.flow() - a.condensate().flow(), within(1e-6));
    }

    /**
     * What an engine breathes of outside air, worked out beside the program: eta p V N / (4 pi) over R T, and of what goes in 1.7 g/s are water
     * vapour.
     */
    @Test
    void vapourTakesRoomInTheCylinders() {
        Systems s = Systems.standard();
        s.humidity = 0;
        ChargeSystem sprayed = with(s, 5, spray(0.1));
        SteadyResult steady = sprayed.steady(POINT);
        double m = steady.path().flow();
        double moles = 0.92
                * steady.path().manifoldPressure()
                * 0.0023
                * POINT.speed()
                / (4 * Math.PI)
                / (8.314 * steady.path().intakeTemperature());
        double vapour = SPRAYED / 3 / 18.02e-3;
        assertThat(m).isCloseTo((moles - vapour) * 28.96e-3, withinPercentage(0.1));
    }

    /** Ice cold: water comes out, and the accounts of a run still balance with the charge lighter behind the core. */
    @Test
    void accountsBalanceWhereWaterComesOut() {
        Loops l = new Loops();
        l.radiator = Optional.empty();
        l.tank = Optional.of(new TankSpec(
                20e-3, false, OptionalDouble.of(273.15), new IceSpec(10, 0.03, IceSpec.Stir.SPRAYED), false));
        Systems s = l.systems();
        s.humidity = 0.9;
        Trace trace = EnduranceRun.run(with(s, 3, spray(0.3)), Systems.hold(POINT, 5, 120));
        assertThat(trace.audit().latent()).isGreaterThan(0.2 * trace.audit().taken());
        assertThat(trace.audit().error()).isLessThan(3e-3);
    }
}
