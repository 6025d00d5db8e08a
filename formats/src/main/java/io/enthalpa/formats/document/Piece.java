package io.enthalpa.formats.document;

import static io.enthalpa.formats.document.Suffix.MM;

import io.enthalpa.core.chargepath.PathElement;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** A piece of a charge path, told apart by its {@code kind}. */
sealed interface Piece extends Named
        permits FilterPiece,
                BlowerPiece,
                PipePiece,
                Piece.ReducerPiece,
                Piece.JointPiece,
                Piece.ThrottlePiece,
                CorePiece,
                InjectionPiece,
                PairPiece,
                PlenumPiece {
    int MOST = 40;

    String kind();

    /** @return what the piece is to the computation */
    PathElement core(Place at);

    static List<PathElement> path(List<Piece> pieces, Place owner) {
        List<PathElement> path = new ArrayList<>();
        for (int i = 0; i < pieces.size(); i++) {
            path.add(pieces.get(i).core(owner.to("path", i, pieces.get(i))));
        }
        return path;
    }

    static List<Piece> of(List<PathElement> path) {
        return path.stream().map(Piece::of).toList();
    }

    static Piece of(PathElement element) {
        return element.to(new Pieces());
    }

    @Part(value = "reducer", says = "a cone or a step from one bore to another", named = true)
    record ReducerPiece(
            @Kind("reducer") String kind,
            String name,

            @Figure(label = "bore in", min = 10, max = 400, usual = 63, help = "inside")
            double inletBore_mm,

            @Figure(label = "bore out", min = 10, max = 400, usual = 76, help = "inside")
            double bore_mm,

            @Figure(
                    label = "cone length",
                    min = 0,
                    max = 1000,
                    usual = 75,
                    help = "0 is a step; 20° of included angle or less costs least when it opens")
            double length_mm,

            @Nullable String id)
            implements Piece {
        @Override
        public PathElement core(Place at) {
            return new PathElement.Reducer(name, MM.si(inletBore_mm), MM.si(bore_mm), MM.si(length_mm));
        }

        static ReducerPiece of(PathElement.Reducer r) {
            return new ReducerPiece(
                    "reducer", r.name(), MM.of(r.inletBore()), MM.of(r.bore()), MM.of(r.length()), null);
        }
    }

    @Part(value = "joint", says = "two pipe ends in a hose", named = true)
    record JointPiece(
            @Kind("joint") String kind,
            String name,

            @Figure(label = "pipe bore", min = 10, max = 400, usual = 63, help = "inside, of the pipe ends")
            double bore_mm,

            @Figure(
                    label = "hose bore",
                    min = 10,
                    max = 420,
                    usual = 67,
                    help = "inside the hose, or its hump: pipe bore and twice the wall")
            double hoseBore_mm,

            @Figure(
                    label = "gap between pipe ends",
                    min = 0,
                    max = 400,
                    usual = 8,
                    help = "5-15 mm is usual; common practice, no source")
            double gap_mm,

            @Nullable String id)
            implements Piece {
        @Override
        public PathElement core(Place at) {
            if (hoseBore_mm < bore_mm) {
                throw at.contradiction(
                        "hoseBore_mm",
                        "hose bore",
                        mm(MM.si(hoseBore_mm)),
                        "at least the pipe's bore, " + mm(MM.si(bore_mm)),
                        "The hose goes over the pipe: add twice the wall.");
            }
            return new PathElement.Joint(name, MM.si(bore_mm), MM.si(hoseBore_mm), MM.si(gap_mm));
        }

        static JointPiece of(PathElement.Joint j) {
            return new JointPiece("joint", j.name(), MM.of(j.bore()), MM.of(j.hoseBore()), MM.of(j.gap()), null);
        }
    }

    @Part(value = "throttle", says = "a butterfly; in front of the blower it is drawn through", named = true)
    record ThrottlePiece(
            @Kind("throttle") String kind,
            String name,

            @Figure(label = "throttle bore", min = 10, max = 200, usual = 60, help = "inside")
            double bore_mm,

            @Figure(
                    label = "shaft thickness",
                    min = 1,
                    max = 40,
                    usual = 9,
                    help = "of shaft and plate across the bore; 8-10 mm is usual; common practice, no source")
            double shaft_mm,

            @Nullable String id)
            implements Piece {
        @Override
        public PathElement core(Place at) {
            if (shaft_mm > 0.5 * bore_mm) {
                throw at.contradiction(
                        "shaft_mm",
                        "shaft thickness",
                        mm(MM.si(shaft_mm)),
                        "at most half the bore, " + mm(0.5 * MM.si(bore_mm)),
                        "");
            }
            return new PathElement.Throttle(name, MM.si(bore_mm), MM.si(shaft_mm));
        }

        static ThrottlePiece of(PathElement.Throttle t) {
            return new ThrottlePiece("throttle", t.name(), MM.of(t.bore()), MM.of(t.shaft()), null);
        }
    }

    static String mm(double m) {
        return "%.0f mm".formatted(1000 * m);
    }

    static String kPa(double pa) {
        return "%.1f kPa".formatted(pa / 1000);
    }
}
