package io.enthalpa.core.sizing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import io.enthalpa.core.Paths;
import io.enthalpa.core.Systems;
import io.enthalpa.core.Ways;
import io.enthalpa.core.build.Build;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.chargepath.CoolingSide;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.coolingair.Layer;
import io.enthalpa.core.duty.Duty;
import io.enthalpa.core.duty.DutyPoint;
import io.enthalpa.core.engine.EngineSpec;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.verdict.Targets;
import io.enthalpa.core.verdict.Verdict;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class MethodSizingTest {
    private static final double RPM = Math.PI / 30;
    private static final Duty PULLS = new Duty(
            "pulls",
            true,
            8,
            2,
            900,
            List.of(
                    new DutyPoint(0, 200, -30e3, 10),
                    new DutyPoint(2, 400, 90e3, 20),
                    new DutyPoint(40, 600, 90e3, 35),
                    new DutyPoint(60, 200, -30e3, 15)));

    private static Build build(List<PathElement> path, double target) {
        return new Build(
                "bench",
                "",
                new EngineSpec(0.0023, 4, 0.92, 7000 * RPM),
                new Build.Climate(300, 0, 0.4, OptionalDouble.empty()),
                new Targets(target, target + 25),
                new Build.FullLoad(5500 * RPM, 30),
                PULLS,
                Optional.empty(),
                Optional.empty(),
                List.of(new BuildOption("A", "as built", 90e3, path, List.of())));
    }

    private static MethodSizing sizing(double target) {
        return new MethodSizing(build(Systems.standard().path().elements(), target), "A");
    }

    @ParameterizedTest
    @EnumSource(
            value = CoolingMethod.class,
            names = {"AIR", "WATER_RADIATOR", "ICE", "CHILLER"})
    void sizedMethodKeepsTheTargetAndNotMuchMore(CoolingMethod method) {
        Proposal proposal = sizing(325).propose(method);
        assertThat(proposal.meets()).isTrue();
        assertThat(proposal.verdict().worst()).isBetween(296.0, 325.0);
        assertThat(proposal.bill().mass()).isPositive();
        assertThat(proposal.bill().price()).isBetween(100.0, 3000.0);
        assertThat(proposal.trace().audit().error()).isLessThan(0.005);
    }

    @ParameterizedTest
    @EnumSource(
            value = CoolingMethod.class,
            names = {"AIR", "WATER_RADIATOR"})
    void harderTargetWantsMore(CoolingMethod method) {
        assertThat(sizing(318).propose(method).bill().mass())
                .isGreaterThan(sizing(335).propose(method).bill().mass());
    }

    @Test
    void withoutCoolerIsTheWorstAndInjectionHelps() {
        MethodSizing sizing = sizing(325);
        double none = sizing.propose(CoolingMethod.NONE).verdict().worst();
        assertThat(sizing.propose(CoolingMethod.AIR).verdict().worst()).isLessThan(none - 20);
        Proposal injection = sizing.propose(CoolingMethod.INJECTION);
        assertThat(injection.verdict().worst()).isLessThan(none - 10);
        assertThat(injection.trace().sprayed()[injection.trace().length() - 1]).isPositive();
        assertThat(sizing.propose(CoolingMethod.NONE).bill()).isEqualTo(new Bill(0, 0));
    }

    @Test
    void outOfReachTargetIsAnsweredWithWhatStillHelps() {
        Proposal proposal = sizing(302).propose(CoolingMethod.AIR);
        assertThat(proposal.meets()).isFalse();
        assertThat(proposal.verdict().outcome()).isNotEqualTo(Verdict.Outcome.HOLDS);
    }

    @Test
    void injectionOnTopKeepsTheCoreAndIsOfferedOnce() {
        MethodSizing sizing = sizing(312);
        Proposal onTop = sizing.propose(CoolingMethod.INJECTION_ON_TOP);
        assertThat(onTop.option().path())
                .hasSize(Systems.standard().path().elements().size() + 1)
                .anyMatch(PathElement.Core.class::isInstance);
        assertThat(sizing.applies(CoolingMethod.INJECTION_ON_TOP)).isTrue();
        assertThat(new MethodSizing(build(onTop.option().path(), 312), "A").applies(CoolingMethod.INJECTION_ON_TOP))
                .isFalse();
    }

    @Test
    void pathWithoutCoreGetsOneBehindTheBlower() {
        Systems bare = Systems.standard();
        bare.core = false;
        Proposal air = new MethodSizing(build(bare.path().elements(), 330), "A").propose(CoolingMethod.AIR);
        assertThat(air.option().path().get(3)).isInstanceOf(PathElement.Core.class);
        assertThat(air.meets()).isTrue();
    }

    @Test
    void twoBanksGetTwoCores() {
        List<PathElement> path = List.of(
                Paths.filter(), Paths.blower(), Paths.pair(Paths.core("left"), Paths.core("right")), Paths.plenum());
        Proposal water = new MethodSizing(build(path, 330), "A").propose(CoolingMethod.WATER_RADIATOR);
        PathElement.Parallel pair = (PathElement.Parallel) water.option().path().get(2);
        assertThat(pair.legs())
                .allSatisfy(leg -> assertThat(((PathElement.Core) leg.path().get(0)).cooling())
                        .isInstanceOf(CoolingSide.Water.class));
    }

    @Test
    void inPlaceTheRadiatorStandsWhereTheCoreStoodAndBack() {
        Systems s = Systems.standard();
        Build plain = build(s.path().elements(), 325);
        Ways front = new Ways();
        front.layers = List.of(Ways.condenser(0.05), front.layers.get(0));
        BuildOption inWay = new BuildOption("A", "in a way", 90e3, s.path().elements(), List.of(front.spec()));
        BuildOption wet =
                MethodSizing.inPlace(plain.withOptions(List.of(inWay)), "A").option(CoolingMethod.WATER_RADIATOR);
        Layer core = front.layers.get(1);
        assertThat(wet.airWays().get(0).layers())
                .containsExactly(front.layers.get(0), core.withKind(Layer.Kind.RADIATOR));
        assertThat(wet.name()).isEqualTo("in a way");
        BuildOption dry =
                MethodSizing.inPlace(plain.withOptions(List.of(wet)), "A").option(CoolingMethod.AIR);
        assertThat(dry.airWays()).isEqualTo(inWay.airWays());
        assertThat(MethodSizing.inPlace(plain.withOptions(List.of(wet)), "A")
                        .option(CoolingMethod.ICE)
                        .airWays()
                        .get(0)
                        .layers())
                .as("an ice tank stands in no air")
                .containsExactly(front.layers.get(0));
    }

    @Test
    void inPlaceInjectionOnTopStaysAndANameOfAMethodFollowsIt() {
        Build build = build(Systems.standard().path().elements(), 312);
        BuildOption onTop = new MethodSizing(build, "A")
                .propose(CoolingMethod.INJECTION_ON_TOP)
                .option();
        BuildOption wet =
                MethodSizing.inPlace(build.withOptions(List.of(onTop)), "A").option(CoolingMethod.WATER_RADIATOR);
        assertThat(wet.path()).anyMatch(PathElement.Injection.class::isInstance);
        BuildOption given = new BuildOption("A", "air to air", 90e3, onTop.path(), List.of());
        assertThat(MethodSizing.inPlace(build.withOptions(List.of(given)), "A")
                        .option(CoolingMethod.ICE)
                        .name())
                .isEqualTo("ice tank");
    }

    @Test
    void waysOfTheAirLetGoOfTheCoreThatWent() {
        Systems s = Systems.standard();
        Build plain = build(s.path().elements(), 325);
        Ways front = new Ways();
        front.layers = List.of(Ways.condenser(0.05), front.layers.get(0));
        BuildOption inWay = new BuildOption("A", "in a way", 90e3, s.path().elements(), List.of(front.spec()));
        Proposal water = new MethodSizing(plain.withOptions(List.of(inWay)), "A").propose(CoolingMethod.WATER_RADIATOR);
        assertThat(water.option().airWays().get(0).layers()).hasSize(1);
    }

    @Test
    void injectionIsNotPutOnTopTwiceNorOfNothing() {
        Build build = build(Systems.standard().path().elements(), 312);
        BuildOption onTop = MethodSizing.inPlace(build, "A").option(CoolingMethod.INJECTION_ON_TOP);
        BuildOption bare = MethodSizing.inPlace(build, "A").option(CoolingMethod.NONE);
        for (BuildOption from : List.of(onTop, bare)) {
            assertThatThrownBy(() -> MethodSizing.inPlace(build.withOptions(List.of(from)), "A")
                            .option(CoolingMethod.INJECTION_ON_TOP))
                    .isInstanceOf(EnthalpaFault.class)
                    .hasMessageContaining("on top of a core that has none yet");
        }
    }
}
