package io.enthalpa.core.trial;

import io.enthalpa.core.build.Build;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.chargepath.PathElement.Core;
import io.enthalpa.core.chargepath.Pieces;
import io.enthalpa.core.chargepath.Pieces.Placed;
import io.enthalpa.core.place.Spot;
import io.enthalpa.core.plant.CoreResult;
import io.enthalpa.core.steady.SteadyResult;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;

/** What one more row, one more fin or the next larger size of a core would do, at full load and over the duty. */
public final class CoreSteps {
    private CoreSteps() {}

    /**
     * One step.
     *
     * @param step     which
     * @param change   with it, over the duty
     * @param intake   K that the intake at full load changes by
     * @param mass     kg that the core's metal changes by
     * @param coldLoss Pa that the coolant loses more in the block; empty for a core by its card
     */
    public record CoreStep(MoreCore.Step step, Change change, double intake, double mass, OptionalDouble coldLoss) {}

    private record Numbers(double intake, double mass, OptionalDouble coldLoss) {}

    /** @return those that have an answer, in a fixed order; empty when no core stands there */
    public static Optional<List<CoreStep>> of(Build build, String letter, Spot spot) {
        BuildOption option = build.option(letter);
        Optional<Placed<Core>> core = Pieces.of(Core.class, option.path()).stream()
                .filter(placed -> placed.spot().equals(spot))
                .findFirst();
        return core.map(placed -> steps(new Trials(build, letter), option, placed));
    }

    private static List<CoreStep> steps(Trials trials, BuildOption option, Placed<Core> core) {
        Optional<Numbers> now = numbers(trials, option, core.spot());
        List<CoreStep> steps = new ArrayList<>();
        Map<MoreCore.Step, BuildOption> more = MoreCore.of(option, core);
        List<Change> changes = now.isEmpty()
                ? List.of()
                : trials.of(more.values().stream()
                        .map(other -> new Candidate(What.CORE_SIZE, core.piece().name(), other))
                        .toList());
        more.forEach((step, other) -> changes.stream()
                .filter(change -> change.option().equals(other))
                .findFirst()
                .ifPresent(change -> numbers(trials, other, core.spot())
                        .ifPresent(then -> steps.add(step(step, change, now.get(), then)))));
        return steps;
    }

    private static CoreStep step(MoreCore.Step step, Change change, Numbers now, Numbers then) {
        OptionalDouble coldLoss = now.coldLoss().isPresent() && then.coldLoss().isPresent()
                ? OptionalDouble.of(
                        then.coldLoss().getAsDouble() - now.coldLoss().getAsDouble())
                : OptionalDouble.empty();
        return new CoreStep(step, change, then.intake() - now.intake(), then.mass() - now.mass(), coldLoss);
    }

    private static Optional<Numbers> numbers(Trials trials, BuildOption option, Spot spot) {
        return trials.steady(option).map(result -> {
            CoreResult core = core(result, spot);
            return new Numbers(
                    result.path().intakeTemperature(),
                    core.slot().cooler().model().metalMass(),
                    core.coldLoss());
        });
    }

    private static CoreResult core(SteadyResult result, Spot spot) {
        return result.cores().stream()
                .filter(c -> c.slot().spot().equals(spot))
                .findFirst()
                .orElseThrow();
    }
}
