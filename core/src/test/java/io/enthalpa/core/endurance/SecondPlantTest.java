package io.enthalpa.core.endurance;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.Loops;
import io.enthalpa.core.Systems;
import io.enthalpa.core.chargepath.CoolingSide;
import io.enthalpa.core.chargepath.OperatingPoint;
import io.enthalpa.core.coolingair.FaceAirSpec;
import io.enthalpa.core.duty.Duty;
import io.enthalpa.core.duty.DutyPoint;
import io.enthalpa.core.waterloop.ChillerSpec;
import io.enthalpa.core.waterloop.IceSpec;
import io.enthalpa.core.waterloop.TankSpec;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

/** Whole runs against a {@link SecondPlant}: two runs of a minute with a minute's wait, air, water with a radiator, ice, and a chiller. */
class SecondPlantTest {
    private static final OperatingPoint POINT = Systems.point(4000, 120, 15);
    private static final double START = 320;
    private static final Duty TWICE = new Duty(
            "twice",
            true,
            START - 300,
            2,
            60,
            List.of(
                    new DutyPoint(0, POINT.speed(), POINT.boost(), POINT.roadSpeed()),
                    new DutyPoint(60, POINT.speed(), POINT.boost(), POINT.roadSpeed())));
    /** Of the hoses of {@link Loops}, 19 mm: each a bend of 90 degrees round three bores; spigots 17.5 mm, 30 mm long. */
    private static final double HOSE = Math.PI / 4 * 0.019 * 0.019;

    private static final double BEND = Math.PI / 2 * 3 * 0.019;
    private static final double SPIGOT = Math.PI / 4 * 0.0175 * 0.0175 * 0.03;
    private static final double FEED = HOSE * (0.8 + BEND + 1.2 + BEND) + SPIGOT;
    private static final double ONWARDS = HOSE * (1.2 + BEND) + SPIGOT;
    /** A fifth of the block. */
    private static final double IN_CORE = 0.2 * 0.5 * 0.25 * 0.064;

    private static SecondPlant plant() {
        double water = 20e-3 / 60 * 997;
        SecondPlant.Card card = new SecondPlant.Card(0.2, 0.2 * 1011, 413.15, 318.15, water * 4180, 298.15);
        SecondPlant second = new SecondPlant(card, new double[] {0.75, 0.03}, 0.6, 4 * 910, START);
        second.feedVolume = FEED;
        second.outside = 300;
        return second;
    }

    private static void follow(SecondPlant second, Trace trace, boolean whileWaiting, double most) {
        double now = 0;
        double worst = 0;
        for (int i = 0; i < trace.length(); i++) {
            boolean runs = trace.flow()[i] > 0;
            for (; now < trace.time()[i] - 1e-9; now += SecondPlant.DT) {
                second.water(
                        trace.flow()[i],
                        trace.coreIn()[i],
                        trace.core().cold().water()[i],
                        runs ? trace.boost()[i] < 20e3 : whileWaiting);
            }
            // For a second after start and stop what is nothing but the length of a step moves more.
            boolean settled = i > 4 && (trace.flow()[i - 4] > 0) == runs;
            worst = settled && runs
                    ? Math.max(worst, Math.abs(second.out() - trace.core().out()[i]))
                    : worst;
            if (settled) {
                assertThat(trace.core().cold().tank()[i])
                        .as("tank at %.1f s", now)
                        .isCloseTo(second.tank, within(most));
                assertThat(trace.core().ice()[i]).as("ice at %.1f s", now).isCloseTo(second.ice, within(0.03));
            }
        }
        assertThat(worst).as("charge behind the core, K").isLessThan(most);
    }

    @Test
    void airCooled() {
        Systems s = Systems.standard();
        s.cooling = new CoolingSide.Air(new FaceAirSpec(0.4, 0.5));
        Trace trace = EnduranceRun.run(s.system(), TWICE, 0.05);
        double perSpeed = 0.5 * 0.25 * 101325 / (287.4 * 300) * 1007;
        double onCard = 8 * 0.5 * 0.25 * 101325 / (287.05 * 298.15) * 1006;
        SecondPlant.Card card = new SecondPlant.Card(0.2, 0.2 * 1011, 413.15, 320.15, onCard, 298.15);
        SecondPlant second = new SecondPlant(card, new double[] {0.35, 0.03}, 0.55, 6 * 910, START);
        double now = 0;
        double worst = 0;
        for (int i = 0; i < trace.length(); i++) {
            boolean runs = trace.flow()[i] > 0;
            for (; now < trace.time()[i] - 1e-9; now += SecondPlant.DT) {
                second.air(trace.flow()[i], trace.coreIn()[i], perSpeed * (runs ? 0.4 * 15 : 0.5), 300);
            }
            boolean settled = i > 4 && (trace.flow()[i - 4] > 0) == runs;
            worst = settled
                    ? Math.max(worst, Math.abs(second.out() - trace.core().out()[i]))
                    : worst;
        }
        assertThat(worst).isLessThan(0.35);
    }

    @Test
    void waterWithARadiator() {
        Loops l = new Loops();
        Trace trace = EnduranceRun.run(l.systems().system(), TWICE, 0.05);
        SecondPlant second = plant();
        // Its card: 12 kW from 20 L/min at 60 °C in 5 m/s of 25 °C; here 3.75 m/s running and 0.5 standing: the wait is
        // told by its own.
        second.backVolume = ONWARDS + SPIGOT + IN_CORE;
        second.mixedVolume = 6e-3 - FEED - second.backVolume;
        second.radiatorCapacity = 0.4 * 0.25 * 0.032 * 550 * 910;
        double onCard = 20e-3 / 60 * 983 * 4180;
        double airOnCard = 5 * 0.4 * 0.25 * 101325 / (287.05 * 298.15) * 1006;
        double whole = new SecondPlant.Card(1, onCard, 333.15, 333.15 - 12e3 / onCard, airOnCard, 298.15).conductance();
        double now = 0;
        double worst = 0;
        for (int i = 0; i < trace.length(); i++) {
            boolean runs = trace.flow()[i] > 0;
            radiator(second, whole, trace.core().cold().water()[i], runs ? 3.75 : 0.5);
            for (; now < trace.time()[i] - 1e-9; now += SecondPlant.DT) {
                second.water(
                        trace.flow()[i], trace.coreIn()[i], trace.core().cold().water()[i], false);
            }
            boolean settled = i > 4 && (trace.flow()[i - 4] > 0) == runs;
            if (settled) {
                worst = Math.max(
                        worst, Math.abs(second.tank - trace.core().cold().tank()[i]));
            }
        }
        assertThat(worst).as("tank, K").isLessThan(0.2);
    }

    /** Water 15 %, wall 2 % of the resistance; films with flow to 0.6 and 0.55. */
    private static void radiator(SecondPlant second, double whole, double flow, double speed) {
        double face = 0.4 * 0.25;
        double air = 5 * face * 101325 / (287.05 * 298.15) * 1006;
        double now = flow * 985 * 4180;
        double airNow = speed * face * 101325 / (287.4 * 300) * 1007;
        double film = whole / 0.15 * Math.pow(flow / (20e-3 / 60), 0.6);
        double fins = whole / 0.83 * Math.pow(airNow / air, 0.55);
        double ua = 1 / (1 / film + 0.02 / whole + 1 / fins);
        double least = Math.min(now, airNow);
        double ratio = least / Math.max(now, airNow);
        double n = ua / least;
        // Both unmixed, the usual approximation (Incropera & DeWitt, eq. 11.32).
        double e = 1 - Math.exp(Math.pow(n, 0.22) / ratio * (Math.exp(-ratio * Math.pow(n, 0.78)) - 1));
        second.radiator = e * least;
        second.radiatorWater =
                Math.max(now * (1 - Math.exp(-1 / (1 / film + 0.01 / whole) / now)), 1.02 * second.radiator);
    }

    @Test
    void iceTank() {
        Loops l = new Loops();
        l.radiator = Optional.empty();
        l.volume = 8e-3;
        l.tank = Optional.of(new TankSpec(
                12e-3, false, OptionalDouble.of(START), new IceSpec(3, 0.04, IceSpec.Stir.RETURNED), false));
        SecondPlant second = plant();
        second.backVolume = ONWARDS + IN_CORE;
        second.mixedVolume = 8e-3 - FEED - second.backVolume;
        second.ice = 3;
        second.iceAtStart = 3;
        second.icePiece = 0.04;
        second.iceFilm = 500;
        follow(second, EnduranceRun.run(l.systems().system(), TWICE, 0.05), false, 0.35);
    }

    @Test
    void chillerWhileWaiting() {
        Loops l = new Loops();
        l.radiator = Optional.empty();
        l.volume = 9e-3;
        l.chiller = Optional.of(new ChillerSpec(5e3, 277.15, 20e3, true));
        SecondPlant second = plant();
        second.backVolume = ONWARDS + IN_CORE;
        second.mixedVolume = 9e-3 - FEED - second.backVolume;
        second.chillerCapacity = 5e3;
        second.chillerColdest = 277.15;
        follow(second, EnduranceRun.run(l.systems().system(), TWICE, 0.05), true, 0.35);
    }
}
