package io.enthalpa.core.fit;

import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.place.Spot;
import io.enthalpa.core.route.Run;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.Stream;

/**
 * A pipe or hose and what it would begin and end on.
 *
 * @param spot   of a hose that of the core on whose water it is
 * @param hose   empty of a pipe of the charge
 * @param start  empty where that is typed, or not known
 * @param finish likewise
 * @param run    how it is laid by now
 * @param before name of what it begins on
 * @param behind name of what it ends on
 * @param goesOn whether another one that is laid goes on where it ends
 */
record Between(
        Spot spot,
        PathElement.Pipe pipe,
        Optional<Laid.Hose> hose,
        Optional<PipeEnd> start,
        Optional<PipeEnd> finish,
        Optional<Run> run,
        String before,
        String behind,
        Predicate<Laid> goesOn) {
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

    /** @return how it goes along where nothing that does not give holds it and its ends are on two carriers; empty otherwise */
    Optional<Floats> floats(List<Body> bodies) {
        return run.flatMap(Run::heldBy).isPresent()
                ? Optional.empty()
                : start.filter(e -> e.port().isPresent())
                        .flatMap(from -> finish.filter(e -> e.port().isPresent())
                                .flatMap(to -> Floats.between(
                                        carrier(bodies),
                                        bodies.get(to.body()).stand().carrier(),
                                        from.at(),
                                        to.at())));
    }

    /** @return whether it is this one that is laid */
    boolean is(Laid laid) {
        return laid.spot().equals(spot) && laid.hose().map(Laid.Hose::piece).equals(hose.map(Laid.Hose::piece));
    }

    /** @return m, of the middle line of a bend that says none */
    double usualRadius() {
        return Laid.usualRadius(pipe, hose);
    }
}
