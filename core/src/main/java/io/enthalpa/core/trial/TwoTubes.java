package io.enthalpa.core.trial;

import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.chargepath.Pieces;
import io.enthalpa.core.fit.Fork;
import io.enthalpa.core.fit.Passable;
import io.enthalpa.core.route.Run;
import java.util.List;
import java.util.Optional;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * Two smaller tubes side by side in place of one.
 *
 * @param option with a pair where the pipe is, its legs not laid yet
 * @param names  of the legs' pipes
 * @param asked  the one pipe
 * @param size   m, of each
 */
record TwoTubes(BuildOption option, List<String> names, Passable asked, double size) {
    /** rad between a leg and the port: as collectors have, or as a short Y where there is no room for that; common practice, no source. */
    static final List<Double> PARTS = List.of(Math.toRadians(15), Math.toRadians(30));

    /** @param parts rad between a leg and the port */
    static TwoTubes of(BuildOption option, Passable asked, double size, double parts) {
        PathElement.Pipe pipe = asked.pipe();
        List<String> names = List.of("left " + pipe.name(), "right " + pipe.name());
        PathElement.Pipe each = pipe.sized(size);
        List<PathElement.Leg> legs = names.stream()
                .map(name -> new PathElement.Leg(name, List.of(new PathElement.Pipe(name, each.spec(), each.wall()))))
                .toList();
        PathElement.Parallel pair =
                new PathElement.Parallel(pipe.name(), parts, legs, parts, pipe.bore(), Optional.empty());
        List<Run> others =
                option.runs().stream().filter(r -> !r.isOfPipe(pipe.name())).toList();
        BuildOption with = option.withPath(Pieces.with(asked.spot(), option.path(), p -> pair))
                .withRuns(others);
        return new TwoTubes(with, names, asked, size);
    }

    /** @return m, the smallest that is sold of which two leave the air as much room: 1/sqrt(2) of its size, to a thousandth */
    static double half(PathElement.Pipe pipe) {
        return pipe.sizes().above(0.999 * pipe.size() / Math.sqrt(2)).orElse(pipe.size());
    }

    /** @return how a leg begins whose beginning or end is typed: to either side of where that of the one pipe is */
    Optional<Run> typed(int number) {
        Vector3D chord = asked.end().at().subtract(asked.start().at());
        double off = (size + Fork.BETWEEN) / 2 * (number == 0 ? 1 : -1);
        return asked.before()
                .filter(r -> r.from().isPresent() || r.to().isPresent())
                .map(r -> new Run(
                        names.get(number),
                        r.from().map(p -> p.add(off, Fork.left(chord))),
                        List.of(),
                        r.to().map(p -> p.add(off, Fork.left(chord)))));
    }
}
