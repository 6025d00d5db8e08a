package io.enthalpa.formats.document;

import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.place.Spot;
import io.enthalpa.core.place.Subject;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** JSON pointers, within an option, for what core speaks of; what a build has one of is told from the build. */
public final class Pointers {
    private static final Pattern SPOT = Pattern.compile("/path/(\\d{1,4})(?:/legs/(\\d)/path/(\\d{1,4}))?");

    private Pointers() {}

    /** @return "/path/3", "/path/3/legs/0/path/1", "/path/3/water/pieces/2", "/airWays/0"; "/climate" and others of the build */
    public static String of(Subject subject) {
        if (subject instanceof Subject.Whole whole) {
            return switch (whole) {
                case CLIMATE -> "/climate";
                case ENGINE -> "/engine";
                case BAY -> "/bay";
                case PATH -> "/path";
                case DUTY -> "/duty";
            };
        }
        if (subject instanceof Spot spot) {
            return spot.row()
                            .leg()
                            .map(leg -> "/path/" + leg.pair() + "/legs/" + leg.number())
                            .orElse("")
                    + "/path/" + spot.index();
        }
        if (subject instanceof Subject.Loop loop) {
            return of(loop.core()) + "/water";
        }
        if (subject instanceof Subject.LoopPiece piece) {
            return of(piece.core()) + "/water/pieces/" + piece.piece();
        }
        if (subject instanceof Subject.Way way) {
            return "/airWays/" + way.way();
        }
        Subject.Layer layer = (Subject.Layer) subject;
        return "/airWays/" + layer.way() + "/layers/" + layer.layer();
    }

    /** @return the piece that a pointer within an option speaks of; empty when it speaks of none */
    public static Optional<Spot> spot(String pointer) {
        Matcher m = SPOT.matcher(pointer);
        if (!m.matches()) {
            return Optional.empty();
        }
        Spot outer = Spot.of(Integer.parseInt(m.group(1)));
        return Optional.of(
                m.group(2) == null
                        ? outer
                        : outer.leg(Integer.parseInt(m.group(2))).at(Integer.parseInt(m.group(3))));
    }

    /** @return the place that a refusal speaks of */
    public static String field(EnthalpaFault fault) {
        return fault.subject()
                .map(subject -> of(subject) + (fault.field().isEmpty() ? "" : "/" + fault.field()))
                .orElse(fault.field());
    }
}
