package io.enthalpa.core.chargepath;

import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;

/**
 * What must be filled before the boost stands in the manifold.
 *
 * @param volume m3 between blower and valves, cores included
 * @param mass   kg of air to bring in from outside pressure to boost
 * @param time   s at the full flow
 */
public record Filling(double volume, double mass, double time) {
    public static final Method METHOD = Method.of(
                    "filling",
                    "Filling the boosted side",
                    "Everything behind the blower must be brought from outside pressure to boost. Divided by the full flow this is how long it takes if "
                            + "all of it goes into filling: the lower bound of the lag that volume adds.")
            .formula("t = sum V (rho_boosted - rho_outside) / m")
            .source(Citation.commonPractice("bigger pipes and cores answer later"))
            .leavesOut("The rotor's own inertia, which is usually the larger part of a turbo's lag.");
}
