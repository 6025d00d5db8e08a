package io.enthalpa.core.verdict;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.Loops;
import io.enthalpa.core.Systems;
import io.enthalpa.core.Ways;
import io.enthalpa.core.chargepath.OperatingPoint;
import io.enthalpa.core.coolingair.Layer;
import io.enthalpa.core.duty.Duty;
import io.enthalpa.core.endurance.EnduranceRun;
import io.enthalpa.core.plant.ResistanceShares;
import io.enthalpa.core.plant.ResistanceShares.Limit;
import io.enthalpa.core.steady.ChargeSystem;
import io.enthalpa.core.uncertainty.Perturbation;
import io.enthalpa.core.uncertainty.UncertainInput;
import io.enthalpa.core.waterloop.IceSpec;
import io.enthalpa.core.waterloop.TankSpec;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

/** What the verdict blames must be what, changed, gains most. */
class LimitTest {
    private static final OperatingPoint POINT = Systems.point(4000, 120, 15);
    private static final Targets LOW = new Targets(312, 330);

    private static Duty hold(double seconds) {
        return Systems.hold(POINT, 0, seconds);
    }

    private static Verdict after(Systems s, double seconds, Targets targets) {
        ChargeSystem system = s.system();
        return Verdict.of(system, EnduranceRun.run(system, hold(seconds), 0.25), targets);
    }

    private static Loops tankOnly(double litres) {
        Loops l = new Loops();
        l.radiator = Optional.empty();
        l.volume = litres * 1e-3;
        return l;
    }

    @Test
    void aTankThatNothingCoolsIsTheLimit() {
        Verdict verdict = after(tankOnly(9).systems(), 120, LOW);
        assertThat(verdict.limit()).isEqualTo(Limit.TANK);
        assertThat(verdict.atWorst().radiator()).isZero();
        assertThat(verdict.atWorst().tank()).isGreaterThan(0.4);
    }

    @Test
    void onceSettledTheTankHasNoPartAndTheSharesAreTheSteadyOnes() {
        Systems s = Systems.water();
        ResistanceShares run = after(s, 1500, LOW).atWorst();
        ResistanceShares steady = s.system().steady(POINT).core().shares();
        assertThat(run.tank()).isLessThan(0.02);
        assertThat(run.radiator()).isCloseTo(steady.radiator(), within(0.02));
        assertThat(run.charge()).isCloseTo(steady.charge(), within(0.02));
        assertThat(run.coldFilm() + run.coldFlow()).isCloseTo(steady.coldFilm() + steady.coldFlow(), within(0.02));
    }

    /** Two percent more of each, through the whole run: the one that is blamed gains more, early the core, later the tank. */
    @Test
    void whatIsBlamedIsWhatGainsMost() {
        for (double seconds : new double[] {15, 240}) {
            Verdict now = after(tankOnly(9).systems(), seconds, LOW);
            double biggerTank = now.worst()
                    - after(tankOnly(9 * 1.02).systems(), seconds, LOW).worst();
            ChargeSystem better = new ChargeSystem(
                    tankOnly(9).systems().path(),
                    List.of(),
                    Perturbation.NONE.with(UncertainInput.CORE_CONDUCTANCE, 0.02),
                    Optional.empty());
            double betterCore = now.worst()
                    - Verdict.of(better, EnduranceRun.run(better, hold(seconds), 0.25), LOW)
                            .worst();
            ResistanceShares s = now.atWorst();
            assertThat(s.tank() > s.charge() + s.wall() + s.coldFilm())
                    .as("after %s s", seconds)
                    .isEqualTo(biggerTank > betterCore);
            assertThat(now.limit()).isEqualTo(seconds < 60 ? Limit.CHARGE : Limit.TANK);
        }
    }

    @Test
    void whileTheWaterIsStillColdNeitherTankNorRadiatorIsToBlame() {
        ResistanceShares early = after(Systems.water(), 5, LOW).atWorst();
        assertThat(early.tank() + early.radiator()).isLessThan(0.15);
    }

    @Test
    void targetAtTheOutsideAirIsNobodysFault() {
        Systems s = Systems.standard();
        Verdict verdict = after(s, 300, new Targets(s.ambientT + 2, s.ambientT + 30));
        assertThat(verdict.needed()).isGreaterThan(0.92);
        assertThat(verdict.limit()).isEqualTo(Limit.OUTSIDE_AIR);
        assertThat(after(s, 300, new Targets(s.ambientT + 40, s.ambientT + 60)).limit())
                .isNotEqualTo(Limit.OUTSIDE_AIR);
        Loops ice = tankOnly(12);
        ice.tank = Optional.of(
                new TankSpec(40e-3, false, OptionalDouble.empty(), new IceSpec(8, 0.02, IceSpec.Stir.SPRAYED), false));
        assertThat(after(ice.systems(), 60, new Targets(s.ambientT + 2, s.ambientT + 30))
                        .limit())
                .as("ice goes below it")
                .isNotEqualTo(Limit.OUTSIDE_AIR);
    }

    @Test
    void airWarmedByWhatStandsBeforeTheCoreHasItsShare() {
        Systems free = Systems.standard();
        Ways w = new Ways();
        free.airWays = List.of(w.spec());
        Systems behind = Systems.standard();
        w.layers = List.of(Ways.engineRadiator(0.02), new Layer("core", Layer.Kind.CORE, 0, 0, 0.05, null));
        behind.airWays = List.of(w.spec());
        assertThat(after(behind, 300, LOW).atWorst().warmedAir()).isGreaterThan(0.2);
        assertThat(after(free, 300, LOW).atWorst().warmedAir()).isLessThan(0.05);
    }
}
