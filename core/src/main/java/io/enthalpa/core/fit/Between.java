package io.enthalpa.core.fit;

import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.place.Spot;
import io.enthalpa.core.route.Run;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * A pipe and what it would begin and end on.
 *
 * @param start  empty where that is typed, or not known
 * @param finish likewise
 * @param run    how it is laid by now
 */
record Between(
        Spot spot,
        PathElement.Pipe pipe,
        Neighbours beside,
        Optional<PipeEnd> start,
        Optional<PipeEnd> finish,
        Optional<Run> run) {
    /** @return name of the carrier that it hangs on */
    String carrier(List<Body> bodies) {
        return Pipework.carrierOf(
                run,
                Stream.of(start, finish)
                        .flatMap(Optional::stream)
                        .filter(e -> e.port().isPresent())
                        .mapToInt(e -> e.body())
                        .findFirst(),
                bodies);
    }
}
