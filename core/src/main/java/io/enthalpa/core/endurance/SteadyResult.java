package io.enthalpa.core.endurance;

import io.enthalpa.core.chargepath.PathResult;

/**
 * One operating point held until nothing changes any more.
 *
 * @param path the charge path
 * @param core what the core does; null without one
 */
public record SteadyResult(PathResult path, CoreResult core) {
}
