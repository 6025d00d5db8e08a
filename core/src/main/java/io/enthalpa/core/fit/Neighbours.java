package io.enthalpa.core.fit;

import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.chargepath.Pieces;
import io.enthalpa.core.place.Spot;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/** What stands before and behind a piece, past the end of the leg it is in too. */
public final class Neighbours {
    private final List<Pieces.Placed<PathElement>> before = new ArrayList<>();
    private final List<Pieces.Placed<PathElement>> behind = new ArrayList<>();
    private final int leg;

    public Neighbours(List<PathElement> path, Spot spot) {
        this.leg = spot.row().leg().map(Spot.Leg::number).orElse(0);
        List<Pieces.Placed<PathElement>> all = Pieces.all(path);
        split(all, spot);
        spot.row().leg().ifPresent(l -> split(all, Spot.of(l.pair())));
    }

    private void split(List<Pieces.Placed<PathElement>> all, Spot spot) {
        List<Pieces.Placed<PathElement>> row =
                all.stream().filter(p -> p.spot().row().equals(spot.row())).toList();
        List<Pieces.Placed<PathElement>> first = new ArrayList<>(
                row.stream().filter(p -> p.spot().index() < spot.index()).toList());
        Collections.reverse(first);
        before.addAll(first);
        behind.addAll(row.stream().filter(p -> p.spot().index() > spot.index()).toList());
    }

    /** @return the nearest first */
    public List<Pieces.Placed<PathElement>> before() {
        return before;
    }

    /** @return the nearest first */
    public List<Pieces.Placed<PathElement>> behind() {
        return behind;
    }

    /** @return 0 for the first leg of a pair and for what is in none */
    int leg() {
        return leg;
    }

    String nameBefore() {
        return name(before);
    }

    String nameBehind() {
        return name(behind);
    }

    private static String name(List<Pieces.Placed<PathElement>> towards) {
        return towards.stream()
                .map(Pieces.Placed::piece)
                .filter(p -> Bodies.what(p).isPresent() || p instanceof PathElement.Pipe)
                .map(PathElement::name)
                .findFirst()
                .orElse("");
    }

    /** @return whether it is the nearest pipe to either side, with nothing between them but joints and cones */
    boolean isBeside(Spot other) {
        return isNext(before, other) || isNext(behind, other);
    }

    private static boolean isNext(List<Pieces.Placed<PathElement>> towards, Spot other) {
        return towards.stream()
                .filter(p -> Bodies.what(p.piece()).isPresent() || p.piece() instanceof PathElement.Pipe)
                .findFirst()
                .filter(p -> p.spot().equals(other))
                .isPresent();
    }
}
