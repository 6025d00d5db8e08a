package io.enthalpa.core.joint;

import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.chargepath.Pieces;
import io.enthalpa.core.chargepath.Pieces.Placed;
import io.enthalpa.core.fit.Neighbours;
import io.enthalpa.core.place.Spot;
import io.enthalpa.core.route.Joining;
import io.enthalpa.core.route.JointsSpec.End;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Where a pipe is joined to what stands before or behind it. Cones, injection and the joint's own piece of the path are part of it.
 *
 * @param pipe   of two pipes that are joined the second
 * @param spot   of that
 * @param end    of that
 * @param other  that it is joined to
 * @param beside spot of that
 * @param joining how
 */
public record Seam(PathElement.Pipe pipe, Spot spot, End end, PathElement other, Spot beside, Joining joining) {
    /** @return spot of the piece that the air comes out of into the joint */
    public Spot from() {
        return end == End.START ? beside : spot;
    }

    /** @return what the air comes out of */
    public String before() {
        return end == End.START ? other.name() : pipe.name();
    }

    /** @return what the air goes into */
    public String behind() {
        return end == End.START ? pipe.name() : other.name();
    }

    /** @return in the order of the path, pipe by pipe */
    public static List<Seam> of(BuildOption option) {
        List<Seam> all = new ArrayList<>();
        List<PathElement> path = option.path();
        for (Placed<PathElement.Pipe> placed : Pieces.of(PathElement.Pipe.class, path)) {
            Neighbours beside = new Neighbours(path, placed.spot());
            all.addAll(at(placed, End.START, beside.before(), option));
            // What a pipe ends on that is a pipe too is joined to it there.
            at(placed, End.END, beside.behind(), option).stream()
                    .filter(s -> !(s.other instanceof PathElement.Pipe))
                    .forEach(all::add);
        }
        return all;
    }

    private static List<Seam> at(
            Placed<PathElement.Pipe> pipe, End end, List<Placed<PathElement>> towards, BuildOption option) {
        Optional<Placed<PathElement>> next = next(towards);
        if (next.isEmpty()) {
            return List.of();
        }
        if (next.get().piece() instanceof PathElement.Parallel pair) {
            return legs(pair, next.get().spot(), end == End.START).stream()
                    .filter(p -> !(p.piece() instanceof PathElement.Pipe))
                    .map(p -> seam(pipe, end, p, option))
                    .toList();
        }
        return List.of(seam(pipe, end, next.get(), option));
    }

    private static Seam seam(Placed<PathElement.Pipe> pipe, End end, Placed<PathElement> other, BuildOption option) {
        return new Seam(
                pipe.piece(),
                pipe.spot(),
                end,
                other.piece(),
                other.spot(),
                option.joints().at(pipe.piece().name(), end));
    }

    /** The last piece of each leg, or the first, that is none of a joint. */
    private static List<Placed<PathElement>> legs(PathElement.Parallel pair, Spot spot, boolean last) {
        List<Placed<PathElement>> ends = new ArrayList<>();
        for (int k = 0; k < pair.legs().size(); k++) {
            List<PathElement> path = pair.legs().get(k).path();
            List<Placed<PathElement>> row = new ArrayList<>();
            for (int i = 0; i < path.size(); i++) {
                Placed<PathElement> placed = new Placed<>(spot.leg(k).at(i), path.get(i));
                row.add(last ? 0 : row.size(), placed);
            }
            next(row).ifPresent(ends::add);
        }
        return ends;
    }

    private static Optional<Placed<PathElement>> next(List<Placed<PathElement>> towards) {
        return towards.stream()
                .filter(p -> !(p.piece() instanceof PathElement.Joint
                        || p.piece() instanceof PathElement.Reducer
                        || p.piece() instanceof PathElement.Injection))
                .findFirst();
    }
}
