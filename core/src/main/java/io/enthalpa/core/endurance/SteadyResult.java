package io.enthalpa.core.endurance;

import io.enthalpa.core.chargepath.PathResult;
import io.enthalpa.core.chargepath.Price;
import java.util.List;

/**
 * One operating point held until nothing changes any more.
 *
 * @param path   the charge path
 * @param cores  what each core does, in the order of the path; empty without one
 * @param prices what each piece costs
 */
public record SteadyResult(PathResult path, List<CoreResult> cores, List<Price> prices) {
    public SteadyResult {
        cores = List.copyOf(cores);
        prices = List.copyOf(prices);
    }

    /** @return the core nearest the plenum; null without one */
    public CoreResult core() {
        return cores.isEmpty() ? null : cores.get(cores.size() - 1);
    }
}
