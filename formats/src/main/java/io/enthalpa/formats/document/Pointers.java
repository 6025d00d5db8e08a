package io.enthalpa.formats.document;

import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.place.Spot;
import io.enthalpa.core.place.Subject;
import io.enthalpa.formats.document.Shape.Item;
import java.util.Collection;
import java.util.List;
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
                case TARGETS -> "/targets";
                case FULL_LOAD -> "/fullLoad";
                case GEARING -> "/gearing";
                case BAY -> "/bay";
                case PATH -> "/path";
                case DUTY -> "/duty";
                case OPTIONS -> "/options";
                case OPTION -> "";
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
                .map(subject -> of(subject) + below(shapes(subject), fault.field()))
                .orElse(fault.field());
    }

    /** @return a refusal that says where in a file it is, where that can be told without knowing which option was asked about */
    static EnthalpaFault placed(EnthalpaFault fault) {
        boolean ofTheBuild = fault.subject()
                .filter(s -> s instanceof Subject.Whole w && w != Subject.Whole.PATH && w != Subject.Whole.OPTION)
                .isPresent();
        return ofTheBuild ? fault.at(field(fault), fault.label()) : fault;
    }

    /**
     * @param shape of what holds it
     * @param names as core has them, "tank/ice"
     * @return by the keys of the file, "/tank/ice_kg"; names that a file does not have stay as they are
     */
    static String below(Shape shape, String names) {
        return below(List.of(shape), names);
    }

    private static String below(Collection<Shape> shapes, String names) {
        StringBuilder keys = new StringBuilder();
        Collection<Shape> here = shapes;
        for (String name : names.isEmpty() ? new String[0] : names.split("/")) {
            Item item = here.stream()
                    .flatMap(shape -> shape.items().stream())
                    .filter(i -> i.key().equals(name) || i.key().startsWith(name + "_"))
                    .findFirst()
                    .orElse(null);
            keys.append('/').append(item == null ? name : item.key());
            here = item == null ? here : inside(item.inside());
        }
        return keys.toString();
    }

    private static Collection<Shape> inside(Class<?> type) {
        return type == void.class
                ? List.of()
                : type.isInterface() ? Shape.kinds(type).values() : List.of(Shape.of(type));
    }

    private static Collection<Shape> shapes(Subject subject) {
        if (subject instanceof Subject.Whole whole) {
            return whole == Subject.Whole.OPTION
                    ? List.of(Shape.of(BuildOptionDocument.class))
                    : whole == Subject.Whole.PATH
                            ? List.of()
                            : inside(Shape.of(BuildDocument.class)
                                    .item(of(whole).substring(1))
                                    .inside());
        }
        if (subject instanceof Spot) {
            return inside(Piece.class);
        }
        if (subject instanceof Subject.Loop) {
            return inside(WaterLoop.class);
        }
        if (subject instanceof Subject.LoopPiece) {
            return inside(LoopPieceDocument.class);
        }
        return inside(subject instanceof Subject.Way ? AirWay.class : AirLayer.class);
    }
}
