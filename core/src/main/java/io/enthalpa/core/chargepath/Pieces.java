package io.enthalpa.core.chargepath;

import io.enthalpa.core.place.Spot;
import io.enthalpa.core.waterloop.WaterLoopSpec;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;

/** The pieces of a path with the spot of each, those in the legs of pairs among them. */
public final class Pieces {
    private Pieces() {}

    /** A piece where it stands. */
    public record Placed<P extends PathElement>(Spot spot, P piece) {}

    /** @return every piece of a kind, in the order of the path, the first leg's before the second's */
    public static <P extends PathElement> List<Placed<P>> of(Class<P> kind, List<PathElement> path) {
        List<Placed<P>> found = new ArrayList<>();
        for (Placed<PathElement> placed : all(path)) {
            if (kind.isInstance(placed.piece())) {
                found.add(new Placed<>(placed.spot(), kind.cast(placed.piece())));
            }
        }
        return found;
    }

    /** @return every core, in the order of the path */
    public static List<PathElement.Core> cores(List<PathElement> path) {
        return of(PathElement.Core.class, path).stream().map(Placed::piece).toList();
    }

    /** @return the loop that takes the heat of a core, its own or the one it shares; empty where air does, or where there is no such loop */
    public static Optional<WaterLoopSpec> loopOf(PathElement.Core core, List<PathElement> path) {
        return core.cooling() instanceof CoolingSide.Shared shared
                ? cores(path).stream()
                        .filter(c -> c.name().equals(shared.core()))
                        .flatMap(c -> c.loop().stream())
                        .findFirst()
                : core.loop();
    }

    /** @return every piece, a pair before what its legs hold */
    public static List<Placed<PathElement>> all(List<PathElement> path) {
        List<Placed<PathElement>> found = new ArrayList<>();
        collect(path, Spot.Row.PATH, found);
        return found;
    }

    private static void collect(List<PathElement> pieces, Spot.Row row, List<Placed<PathElement>> found) {
        for (int i = 0; i < pieces.size(); i++) {
            found.add(new Placed<>(row.at(i), pieces.get(i)));
            if (pieces.get(i) instanceof PathElement.Parallel pair) {
                for (int k = 0; k < pair.legs().size(); k++) {
                    collect(pair.legs().get(k).path(), row.at(i).leg(k), found);
                }
            }
        }
    }

    /** @return the piece that stands there; empty when none does */
    public static Optional<PathElement> at(Spot spot, List<PathElement> path) {
        return all(path).stream()
                .filter(placed -> placed.spot().equals(spot))
                .map(Placed::piece)
                .findFirst();
    }

    /** @return the path with another piece in a spot */
    public static List<PathElement> with(Spot spot, List<PathElement> path, UnaryOperator<PathElement> other) {
        return changed(path, Spot.Row.PATH, spot, other);
    }

    private static List<PathElement> changed(
            List<PathElement> pieces, Spot.Row row, Spot spot, UnaryOperator<PathElement> other) {
        List<PathElement> all = new ArrayList<>(pieces);
        for (int i = 0; i < all.size(); i++) {
            if (row.at(i).equals(spot)) {
                all.set(i, other.apply(all.get(i)));
            } else if (all.get(i) instanceof PathElement.Parallel pair) {
                all.set(i, pair.withLegs(legs(pair, row.at(i), spot, other)));
            }
        }
        return all;
    }

    private static List<PathElement.Leg> legs(
            PathElement.Parallel pair, Spot here, Spot spot, UnaryOperator<PathElement> other) {
        List<PathElement.Leg> legs = new ArrayList<>();
        for (int k = 0; k < pair.legs().size(); k++) {
            PathElement.Leg leg = pair.legs().get(k);
            legs.add(new PathElement.Leg(leg.name(), changed(leg.path(), here.leg(k), spot, other)));
        }
        return legs;
    }
}
