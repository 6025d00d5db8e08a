package io.enthalpa.core.endurance;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import io.enthalpa.core.Paths;
import io.enthalpa.core.Systems;
import io.enthalpa.core.chargepath.BaySpec;
import io.enthalpa.core.chargepath.ChargePath;
import io.enthalpa.core.chargepath.OperatingPoint;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.chargepath.PathResult;
import io.enthalpa.core.chargepath.PlenumWallSpec;
import io.enthalpa.core.duty.Duty;
import io.enthalpa.core.duty.DutyPoint;
import io.enthalpa.core.engine.InjectionSpec;
import io.enthalpa.core.place.Spot;
import io.enthalpa.core.plant.CoreTrace;
import io.enthalpa.core.steady.ChargeSystem;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** What a run writes down at each step, against what was asked of it. */
class TraceColumnsTest {
    private static final OperatingPoint POINT = Systems.point(4000, 120, 15);
    private static final Duty TWICE = new Duty(
            "twice",
            false,
            8,
            2,
            40,
            List.of(
                    new DutyPoint(0, POINT.speed(), 100e3, 10),
                    new DutyPoint(30, POINT.speed(), 120e3, 20),
                    new DutyPoint(50, POINT.speed(), 120e3, 20)));

    private static ChargeSystem sprayed() {
        ChargePath path = Systems.standard().path();
        List<PathElement> elements = new ArrayList<>(path.elements());
        elements.add(
                5,
                new PathElement.Injection(
                        "nozzle", 0.057, new InjectionSpec(0.5, 3e-6, 880e3, 1000e3, 110e3, 120e3, 5e-3, 0.5)));
        return new ChargeSystem(new ChargePath(path.ambient(), path.engine(), elements, path.bay()));
    }

    private static Trace trace;

    @BeforeAll
    static void run() {
        trace = EnduranceRun.run(sprayed(), TWICE, Sensor.USUAL, 0.25);
    }

    private static int at(double time) {
        return IntStream.range(0, trace.length())
                .filter(i -> trace.time()[i] > time)
                .findFirst()
                .orElseThrow();
    }

    @Test
    void stepsFillTheDuty() {
        double sum = 0;
        for (int i = 0; i < trace.length(); i++) {
            sum += trace.duration()[i];
            assertThat(trace.time()[i]).isCloseTo(sum, within(1e-9));
        }
        assertThat(sum).isCloseTo(140, within(1e-9));
        assertThat(trace.duration()[at(10)]).isCloseTo(0.25, within(1e-12));
        assertThat(trace.duration()[at(60)])
                .as("while hot and cold come together")
                .isCloseTo(0.5, within(1e-12));
        assertThat(trace.duration()[at(85)]).as("then longer").isCloseTo(2, within(1e-12));
        assertThat(EnduranceRun.stepFor(TWICE))
                .as("100 s over 4000, not under 0.05")
                .isCloseTo(0.05, within(1e-12));
        assertThat(EnduranceRun.stepFor(Systems.hold(POINT, 0, 1200))).isCloseTo(0.3, within(1e-12));
        assertThat(EnduranceRun.stepFor(Systems.hold(POINT, 0, 36_000)))
                .as("12,000 of them")
                .isCloseTo(3, within(1e-12));
    }

    /** Straight between rows, in the middle of each step; in the wait all stands. */
    @Test
    void askedIsWhatTheDutySays() {
        int i = at(15);
        double middle = trace.time()[i] - trace.duration()[i] / 2;
        assertThat(trace.columns().asked()[i]).isCloseTo(100e3 + 20e3 * middle / 30, within(1e-6));
        assertThat(trace.roadSpeed()[i]).isCloseTo(10 + 10 * middle / 30, within(1e-9));
        assertThat(trace.speed()[i]).isCloseTo(POINT.speed(), within(1e-9));
        int waiting = at(70);
        assertThat(trace.speed()[waiting]).isZero();
        assertThat(trace.roadSpeed()[waiting]).isZero();
        assertThat(trace.flow()[waiting]).isZero();
        assertThat(trace.boost()[waiting]).isZero();
        assertThat(trace.columns().loss()[waiting]).isZero();
        assertThat(trace.columns().blowerFlow()[waiting]).isZero();
        assertThat(trace.columns().blowerRatio()[waiting]).isEqualTo(1);
        assertThat(trace.limited()[waiting]).isFalse();
        for (Trace.Station station : trace.stations()) {
            assertThat(station.temperature()[waiting]).isEqualTo(300);
            assertThat(station.pressure()[waiting]).isEqualTo(101325);
        }
    }

    /** At the end of a run its figures are those of the path held there with the core as it stands. */
    @Test
    void pathIsWrittenDown() {
        int i = at(49.5);
        PathResult held =
                sprayed().steady(new OperatingPoint(POINT.speed(), 120e3, 20)).path();
        assertThat(trace.flow()[i]).isCloseTo(held.flow(), withinPercentage(0.5));
        assertThat(trace.boost()[i]).isCloseTo(120e3, within(120.0));
        assertThat(trace.columns().loss()[i]).isCloseTo(held.totalLoss(), withinPercentage(1.5));
        assertThat(trace.columns().blowerFlow()[i]).isCloseTo(held.flow(), withinPercentage(0.5));
        assertThat(trace.columns().blowerRatio()[i]).isCloseTo(held.pressureRatio(), withinPercentage(0.5));
        for (int k = 0; k < trace.stations().size(); k++) {
            Trace.Station station = trace.stations().get(k);
            assertThat(station.name()).isEqualTo(held.stations().get(k + 1).name());
            assertThat(station.temperature()[i])
                    .isCloseTo(held.stations().get(k + 1).temperature(), within(2.0));
            assertThat(station.pressure()[i])
                    .isCloseTo(held.stations().get(k + 1).totalPressure(), withinPercentage(0.5));
        }
        assertThat(trace.hottest(i)).isEqualTo(trace.stations().get(1).temperature()[i]);
        assertThat(trace.coldAt(i)).isEqualTo(300);
        assertThat(trace.coreIn()[i]).isEqualTo(trace.cores().get(0).in()[i]);
    }

    /** 3 mL/s at the pump's 880 kPa over 120 kPa, from 110 kPa on straight to 120: nothing while it is asked for less. By hand 20 s at full and the mean half of 15 s. */
    @Test
    void sprayIsCounted() {
        assertThat(trace.sprayed()[at(14.5)]).isZero();
        assertThat(trace.sprayed()[at(49.9) - 1]).isCloseTo(3e-6 * (20 + 7.5), withinPercentage(1.5));
        assertThat(trace.sprayed()[at(80)]).as("none while it waits").isEqualTo(trace.sprayed()[at(60)]);
        assertThat(trace.sprayed()[trace.length() - 1]).isCloseTo(2 * 3e-6 * 27.5, withinPercentage(1.5));
    }

    @Test
    void intakeIsReadAtMoments() {
        double[] read = trace.intakeAt(new double[] {0, 20, 70, 139, 1000});
        assertThat(read[0]).isEqualTo(trace.intake()[0]);
        assertThat(read[1]).isEqualTo(trace.intake()[at(20) - 1]);
        assertThat(read[2]).as("engine off").isNaN();
        assertThat(read[3]).isEqualTo(trace.intake()[at(139) - 1]);
        assertThat(read[4]).isEqualTo(trace.intake()[trace.length() - 1]);
    }

    /** Sixty pictures of the metal, evenly over the steps; the first as it starts, 8 K over outside. */
    @Test
    void metalIsPictured() {
        List<CoreTrace.Frame> frames = trace.core().frames();
        assertThat(frames).hasSize(60);
        assertThat(frames.get(0).time()).isZero();
        assertThat(frames.get(0).cells()).containsOnly(308);
        int step = (int) Math.ceil(30 * trace.length() / 60.0);
        assertThat(frames.get(30).time()).isCloseTo(trace.time()[step - 1], within(0.3));
    }

    /** A blower that cannot make the boost says so, and what it reaches is less. */
    @Test
    void blowerThatFallsShortIsMarked() {
        Systems s = Systems.standard();
        s.maxRatio = 1.8;
        Trace weak = EnduranceRun.run(s.system(), Systems.hold(POINT, 0, 5));
        assertThat(weak.limited()[weak.length() - 1]).isTrue();
        assertThat(weak.boost()[weak.length() - 1]).isLessThan(100e3);
        assertThat(trace.limited()[at(40)]).isFalse();
    }

    /** What the plenum's sensor shows follows the intake by the flux through the plenum's own bore, 60 mm. */
    @Test
    void shownFollowsByTheFlux() {
        for (int i = at(30); i < at(70); i += 7) {
            double flux = trace.flow()[i] / (Math.PI / 4 * 0.06 * 0.06);
            double shown =
                    Sensor.USUAL.after(trace.columns().shown()[i - 1], trace.intake()[i], flux, trace.duration()[i]);
            assertThat(trace.columns().shown()[i]).isCloseTo(shown, within(1e-9));
        }
    }

    private static Trace walled() {
        Systems s = Systems.standard();
        s.bay = Optional.of(new BaySpec(45, 14, 240));
        s.plenumWall = Optional.of(new PlenumWallSpec(4, 0.12, 363, 8));
        return EnduranceRun.run(s.system(), TWICE, 0.25);
    }

    /** Every wall by its name and place, beginning as warm as all else; the standing charge is as warm as the plenum it stands in. */
    @Test
    void wallsAreWrittenDown() {
        Trace with = walled();
        assertThat(with.walls()).extracting(Trace.Wall::name).containsExactly("hot pipe", "cold pipe", "plenum");
        assertThat(with.walls()).extracting(Trace.Wall::spot).containsExactly(Spot.of(2), Spot.of(4), Spot.of(5));
        double[] plenum = with.walls().get(2).temperature();
        assertThat(plenum[0]).isCloseTo(308, within(0.2));
        int waiting = at(70);
        assertThat(with.intake()[waiting]).isEqualTo(plenum[waiting]);
        assertThat(plenum[waiting]).as("the engine's heat soaks in").isGreaterThan(plenum[at(55)]);
        assertThat(with.columns().bay()[0]).as("30 K at 10 m/s when it begins").isBetween(310.0, 330.0);
        assertThat(with.columns().bay()[waiting]).isGreaterThan(with.columns().bay()[at(49)]);
        assertThat(with.audit().error()).isLessThan(0.002);
        double metal = 3600 * (plenum[with.length() - 1] - 308);
        assertThat(metal).isPositive();
        assertThat(with.audit().stored())
                .as("what the plenum keeps is in the account")
                .isGreaterThan(0.9 * metal);
    }

    /** With a core in each leg the standing charge is as warm as both together; behind one in the trunk those are not asked. */
    @Test
    void chargeBehindTheLastCoresIsTheirMean() {
        ChargePath path = Paths.of(
                Paths.filter(),
                Paths.blower(),
                Paths.core("first"),
                Paths.pair(Paths.core("left"), Paths.pipe("right", 0.045, 0.5, 0)),
                Paths.plenum());
        Trace one = EnduranceRun.run(new ChargeSystem(path), TWICE, Sensor.USUAL, 0.25);
        ChargePath twins = Paths.of(
                Paths.filter(), Paths.blower(), Paths.pair(Paths.core("left"), Paths.core("right")), Paths.plenum());
        Trace two = EnduranceRun.run(new ChargeSystem(twins), TWICE, Sensor.USUAL, 0.25);
        int waiting = at(70);
        assertThat(one.intake()[waiting]).isEqualTo(one.cores().get(1).out()[waiting]);
        assertThat(two.intake()[waiting])
                .isCloseTo(
                        (two.cores().get(0).out()[waiting] + two.cores().get(1).out()[waiting]) / 2, within(1e-9));
        assertThat(two.intake()[waiting]).isGreaterThan(301);
    }

    /** A run that nobody waits for ends. */
    @Test
    void interruptedRunEnds() {
        Thread.currentThread().interrupt();
        try {
            assertThatThrownBy(() -> EnduranceRun.run(sprayed(), TWICE)).isInstanceOf(CancellationException.class);
        } finally {
            assertThat(Thread.interrupted()).isTrue();
        }
    }

    /** 100 kJ taken, 30 kept and 60 given away leave 10 in 100 that do not balance; nothing moved balances. */
    @Test
    void accountsThatDoNotBalanceSayBySoMuch() {
        assertThat(new EnergyAudit(100, 30, 60, 0).error()).isCloseTo(0.1, within(1e-12));
        assertThat(new EnergyAudit(10, -200, 205, 0).error()).isCloseTo(5 / 205.0, within(1e-12));
        assertThat(new EnergyAudit(0, 0, 0, 0).error()).isZero();
    }
}
