package io.enthalpa.core.build;

import io.enthalpa.core.chargepath.PathElement;
import java.util.List;

/**
 * One way of doing the job.
 *
 * @param letter "A"
 * @param name   "stock core"
 * @param boost  Pa above ambient, asked for at full load
 * @param path   from filter to plenum
 */
public record BuildOption(String letter, String name, double boost, List<PathElement> path) {
    public BuildOption {
        path = List.copyOf(path);
    }
}
