package io.enthalpa.core.explain;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import io.enthalpa.core.Blocks;
import io.enthalpa.core.Maps;
import io.enthalpa.core.Paths;
import io.enthalpa.core.Systems;
import io.enthalpa.core.build.Answer;
import io.enthalpa.core.build.Build;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.chargepath.PathElement.Leg;
import io.enthalpa.core.chargepath.PieceResult;
import io.enthalpa.core.duty.Duty;
import io.enthalpa.core.duty.DutyPoint;
import io.enthalpa.core.engine.BlowerSpec;
import io.enthalpa.core.engine.BlowerType;
import io.enthalpa.core.engine.EngineSpec;
import io.enthalpa.core.engine.FuelDemand;
import io.enthalpa.core.engine.InjectionSpec;
import io.enthalpa.core.loss.PipeMaterial;
import io.enthalpa.core.loss.PipeSpec;
import io.enthalpa.core.place.Spot;
import io.enthalpa.core.place.Subject;
import io.enthalpa.core.quantity.Figure;
import io.enthalpa.core.quantity.Quantity;
import io.enthalpa.core.steady.SteadyResult;
import io.enthalpa.core.verdict.Targets;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

/** What the screen opens a number to must be the number, by methods that are in the document. */
class ReasonsTest {
    private static Build build(List<PathElement> path) {
        double rpm = Systems.RPM;
        return new Build(
                "bench",
                "",
                new EngineSpec(0.0024, 4, 0.92, 7000 * rpm, Optional.of(new FuelDemand(150e3, 0.32 / 3.6e6, 12))),
                new Build.Climate(300, 200, 0.5, OptionalDouble.empty()),
                new Targets(320, 340),
                new Build.FullLoad(5000 * rpm, 25),
                new Duty(
                        "hold",
                        true,
                        5,
                        1,
                        0,
                        List.of(new DutyPoint(0, 500, 1e5, 20), new DutyPoint(60, 500, 1e5, 20))),
                Optional.empty(),
                Optional.empty(),
                List.of(new BuildOption("A", "first", 100e3, path, List.of())));
    }

    private static List<PathElement> everything() {
        Systems s = Systems.standard().evenBore(0.063);
        s.basis = Blocks.barAndPlate();
        PathElement blower = new PathElement.Blower(
                "turbo", new BlowerSpec(BlowerType.TURBO, 0.7, 4, 0.063, Optional.of(Maps.turbo())));
        PathElement bent = new PathElement.Pipe(
                "bent",
                new PipeSpec(
                        PipeMaterial.STEEL,
                        0.063,
                        0.6,
                        List.of(PipeSpec.Bend.mitre(0.7), new PipeSpec.Bend(1.2, 0.095))));
        return List.of(
                Paths.filter(),
                blower,
                bent,
                new PathElement.Reducer("cone", 0.063, 0.07, 0.06),
                new PathElement.Joint("joint", 0.07, 0.075, 0.01),
                new PathElement.Core("core", s.core(), s.cooling),
                new PathElement.Throttle("throttle", 0.063, 0.009),
                new PathElement.Injection(
                        "nozzle", 0.063, new InjectionSpec(0.5, 0.4 / 60e3, 700e3, 1000e3, 40e3, 90e3, 5e-3, 0.5)),
                new PathElement.Parallel(
                        "pair",
                        0.4,
                        List.of(
                                new Leg("left", List.of(Paths.pipe("a", 0.045, 0.5, 1))),
                                new Leg("right", List.of(Paths.pipe("b", 0.05, 0.5, 1)))),
                        0.3,
                        0.063,
                        Optional.empty()),
                Paths.plenum());
    }

    private static List<Reason> reasons(Build build, SteadyResult result) {
        return Reasons.of(build, new Answer(build, "A").system().path(), result);
    }

    private static double sum(List<Reason> reasons, Subject subject) {
        return reasons.stream()
                .filter(r -> r.subject().equals(subject) && r.result().quantity() == Quantity.PRESSURE)
                .mapToDouble(r -> r.result().value())
                .sum();
    }

    @Test
    void everyPieceHasAReasonAndEveryMethodIsKnown() {
        Build build = build(everything());
        List<Reason> reasons = reasons(build, new Answer(build, "A").steady());
        for (int i = 0; i < everything().size(); i++) {
            int index = i;
            assertThat(reasons)
                    .as(everything().get(i).name())
                    .anyMatch(r -> r.subject() instanceof Spot spot && spot.equals(Spot.of(index)));
        }
        assertThat(reasons)
                .extracting(Reason::subject)
                .contains(
                        Subject.Whole.CLIMATE,
                        Subject.Whole.ENGINE,
                        Subject.Whole.PATH,
                        Spot.of(8).leg(1).at(0));
        assertThat(reasons).allSatisfy(r -> {
            assertThat(Methods.all()).contains(r.method());
            assertThat(r.result().value()).as(r.result().name()).isFinite();
            assertThat(r.numbers())
                    .as(r.result().name())
                    .isNotEmpty()
                    .allSatisfy(n -> assertThat(n.value()).as(n.name()).isFinite());
        });
    }

    @Test
    void lossesOfAPieceAddUpToItsPrice() {
        Build build = build(everything());
        SteadyResult result = new Answer(build, "A").steady();
        List<Reason> reasons = reasons(build, result);
        for (int i : new int[] {0, 2, 3, 4, 6, 9}) {
            PieceResult piece = result.path().pieces().get(i);
            assertThat(sum(reasons, Spot.of(i)))
                    .as(piece.element().name())
                    .isCloseTo(piece.loss(), withinPercentage(3));
        }
    }

    @Test
    void temperaturesAreThoseOfTheStations() {
        Build build = build(everything());
        SteadyResult result = new Answer(build, "A").steady();
        List<Reason> reasons = reasons(build, result);
        assertThat(named(reasons, "blower outlet"))
                .isCloseTo(result.path().stations().get(2).temperature(), within(1e-9));
        assertThat(named(reasons, "charge out")).isCloseTo(result.core().out(), within(1e-9));
        assertThat(named(reasons, "charge behind the spray"))
                .isCloseTo(result.path().stations().get(8).temperature(), within(1e-9));
        assertThat(named(reasons, "air the engine takes"))
                .isCloseTo(result.path().flow(), within(1e-12));
        assertThat(named(reasons, "air from power")).isCloseTo(0.16, within(1e-9));
    }

    private static double named(List<Reason> reasons, String name) {
        return reasons.stream()
                .filter(r -> r.result().name().equals(name))
                .findFirst()
                .orElseThrow()
                .result()
                .value();
    }

    @Test
    void cardCoreOpensToItsCard() {
        Build build = build(List.of(Paths.filter(), Paths.blower(), Paths.core("core"), Paths.plenum()));
        List<Reason> reasons = reasons(build, new Answer(build, "A").steady());
        Reason card = reasons.stream()
                .filter(r -> r.method().id().equals("rating-card"))
                .findFirst()
                .orElseThrow();
        assertThat(card.numbers())
                .extracting(Figure::name)
                .contains("charge flow over the card's", "largest misfit of a point");
        assertThat(card.result().value()).isPositive();
    }
}
