package io.enthalpa.core.steady;

import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.chargepath.PathResult;
import io.enthalpa.core.chargepath.Price;
import io.enthalpa.core.exchanger.CoreSpec;
import io.enthalpa.core.plant.CoreResult;
import java.util.List;
import java.util.Optional;

/**
 * One operating point held until nothing changes any more.
 *
 * @param path   the charge path
 * @param cores  what each core does, in the order of the path; empty without one
 * @param prices what each piece costs
 * @param loops  the water of each core that has any
 * @param ways   the cooling air of each way
 * @param unsettled K by which something still moved when the rounds were used up; 0 when all came to stand
 */
public record SteadyResult(
        PathResult path,
        List<CoreResult> cores,
        List<Price> prices,
        List<LoopResult> loops,
        List<AirWayResult> ways,
        double unsettled) {
    public SteadyResult {
        cores = List.copyOf(cores);
        prices = List.copyOf(prices);
        loops = List.copyOf(loops);
        ways = List.copyOf(ways);
    }

    /** @return true when a way of the air brings the air of a core, or of its radiator */
    public boolean inWay(CoreResult core) {
        return ways.stream()
                .flatMap(way -> way.spec().layers().stream())
                .anyMatch(layer -> !layer.isOther()
                        && layer.name().equals(core.slot().element().name()));
    }

    /** @return the core of a name, as it is built */
    public Optional<CoreSpec> spec(String core) {
        return cores.stream()
                .map(c -> c.slot().element())
                .filter(c -> c.name().equals(core))
                .map(PathElement.Core::spec)
                .findFirst();
    }

    /** @return the core nearest the plenum; null without one */
    public CoreResult core() {
        return cores.isEmpty() ? null : cores.get(cores.size() - 1);
    }
}
