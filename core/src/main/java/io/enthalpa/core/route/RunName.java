package io.enthalpa.core.route;

import java.util.Optional;

/**
 * What a run is of.
 *
 * @param of   name of the pipe or hose
 * @param loop name of the core on whose water the hose is; empty of a pipe of the charge
 */
public record RunName(String of, Optional<String> loop) {
    public static RunName ofPipe(String name) {
        return new RunName(name, Optional.empty());
    }
}
