package io.enthalpa.core.build;

import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.coolingair.AirWaySpec;
import java.util.List;

/**
 * One way of doing the job.
 *
 * @param letter "A"
 * @param name   "stock core"
 * @param boost  Pa above ambient, asked for at full load
 * @param path   from filter to plenum
 * @param airWays through which cooling air comes; what stands in none takes its own share of road speed
 */
public record BuildOption(String letter, String name, double boost, List<PathElement> path, List<AirWaySpec> airWays) {
    public BuildOption {
        path = List.copyOf(path);
        airWays = List.copyOf(airWays);
    }
}
