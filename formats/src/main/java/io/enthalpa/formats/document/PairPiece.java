package io.enthalpa.formats.document;

import static io.enthalpa.formats.document.Suffix.DEG;
import static io.enthalpa.formats.document.Suffix.MM;

import io.enthalpa.core.chargepath.PathElement;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

@Part(value = "pair", says = "two legs side by side", named = true)
record PairPiece(
        @Kind("pair") String kind,
        String name,

        @Figure(
                label = "angle at the split",
                min = 0,
                max = 90,
                usual = 30,
                help = "between a leg and the common pipe; 90 is a straight tee")
        @Nullable
        Double splitAngle_deg,

        @Figure(
                label = "angle at the merge",
                min = 0,
                max = 90,
                usual = 20,
                help = "between a leg and the common pipe; collectors have 10-20°")
        @Nullable
        Double mergeAngle_deg,

        @Figure(label = "bore behind the merge", min = 10, max = 400, usual = 76, help = "inside") @Nullable
        Double mergedBore_mm,

        @Called(value = "leg", most = 2) List<Leg> legs,
        @Called("balance tube") @Nullable Balance balance,
        @Nullable String id)
        implements Piece {
    @Override
    public PathElement core(Place at) {
        if (legs.size() != 2) {
            throw at.malformed("legs", String.valueOf(legs.size()), "exactly 2");
        }
        List<PathElement.Leg> both = new ArrayList<>();
        for (int i = 0; i < 2; i++) {
            Leg leg = legs.get(i);
            Place there = at.to("legs", i, leg);
            if (leg.path().isEmpty()) {
                throw Place.malformed(
                        there.pointer() + "/path", at.words() + ", leg " + leg.name(), "no piece", "at least one");
            }
            both.add(new PathElement.Leg(leg.name(), Piece.path(leg.path(), there)));
        }
        List<PathElement> first = both.get(0).path();
        return new PathElement.Parallel(
                name,
                DEG.si(splitAngle_deg).orElse(0),
                both,
                DEG.si(mergeAngle_deg).orElse(0),
                MM.si(mergedBore_mm).orElse(first.get(first.size() - 1).bore()),
                Optional.ofNullable(balance).map(b -> new PathElement.Balance(MM.si(b.bore_mm), MM.si(b.length_mm))));
    }

    static PairPiece of(PathElement.Parallel p) {
        return new PairPiece(
                "pair",
                p.name(),
                DEG.of(p.splitAngle()),
                DEG.of(p.mergeAngle()),
                MM.of(p.mergedBore()),
                p.legs().stream()
                        .map(leg -> new Leg(leg.name(), Piece.of(leg.path()), null))
                        .toList(),
                p.balance()
                        .map(b -> new Balance(MM.of(b.bore()), MM.of(b.length())))
                        .orElse(null),
                null);
    }

    @Part(value = "pair/leg", says = "one of the two")
    record Leg(
            String name,

            @Called(value = "piece", alone = true, most = Piece.MOST)
            List<Piece> path,

            @Nullable String id) {}

    @Part(value = "pair/balance", says = "a tube from plenum to plenum")
    record Balance(
            @Figure(
                    label = "balance tube bore",
                    min = 5,
                    max = 200,
                    usual = 1000 * PathElement.Balance.USUAL_BORE,
                    help = "inside")
            double bore_mm,

            @Figure(
                    label = "balance tube length",
                    min = 10,
                    max = 3000,
                    usual = 1000 * PathElement.Balance.USUAL_LENGTH,
                    help = "from plenum to plenum")
            double length_mm) {}
}
