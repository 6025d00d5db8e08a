package io.enthalpa.formats;

import io.enthalpa.core.build.Field;
import io.enthalpa.core.coolingair.AirWaySpec;
import io.enthalpa.core.coolingair.FanSpec;
import io.enthalpa.core.coolingair.Layer;
import io.enthalpa.core.coolingair.OpeningSpec;
import io.enthalpa.core.coolingair.OtherExchanger;
import io.enthalpa.core.exchanger.CoreSize;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import io.enthalpa.core.loss.FallingCurve;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Reads the ways of the cooling air. */
final class AirWayReader {
    private static final int MOST_WAYS = 6;
    private static final int MOST_LAYERS = 6;
    private static final int MOST_WALLS = 20;
    private static final int MOST_POINTS = 40;

    private AirWayReader() {
    }

    static List<AirWaySpec> ways(JsonPlace option) {
        return option.has("airWays") ? option.children("airWays", "way of the air", MOST_WAYS).stream().map(AirWayReader::way).toList() : List.of();
    }

    private static AirWaySpec way(JsonPlace unnamed) {
        String name = unnamed.name("name");
        JsonPlace place = unnamed.calledNow(name);
        place.ignore("name");
        List<Layer> layers = place.children("layers", "layer", MOST_LAYERS).stream().map(AirWayReader::layer).toList();
        if (layers.isEmpty()) {
            throw EnthalpaFault.of(FaultKind.CONTRADICTION, place.pointer() + "/layers", name + ", layers", "an empty list", "at least one exchanger", "");
        }
        JsonPlace exit = place.child("exit", name + ", exit");
        AirWaySpec way = new AirWaySpec(name, place.number(Field.WAY_SPACE_WIDTH), place.number(Field.WAY_SPACE_HEIGHT), opening(place.child("opening", name + ", opening")),
                place.number(Field.WAY_SEAL), place.flag("ducted"), layers, place.has("fan") ? Optional.of(fan(place.child("fan", name + ", fan"))) : Optional.empty(),
                exit.number(Field.EXIT_AREA), exit.number(Field.EXIT_PRESSURE), place.number(Field.WAY_RECIRCULATION));
        exit.nothingElse();
        place.nothingElse();
        return way;
    }

    private static OpeningSpec opening(JsonPlace place) {
        List<OpeningSpec.Wall> walls = place.has("walls") ? place.children("walls", "wall", MOST_WALLS).stream().map(AirWayReader::wall).toList() : List.of();
        OpeningSpec opening = new OpeningSpec(place.number(Field.OPENING_WIDTH), place.number(Field.OPENING_HEIGHT), place.number(Field.OPENING_PRESSURE),
                place.number(Field.OPENING_OPEN), place.has("roundedLip") && place.flag("roundedLip"), walls);
        place.nothingElse();
        return opening;
    }

    private static OpeningSpec.Wall wall(JsonPlace unnamed) {
        String name = unnamed.name("name");
        JsonPlace place = unnamed.calledNow(name);
        place.ignore("name");
        OpeningSpec.Wall wall = new OpeningSpec.Wall(name, place.number(Field.WALL_WIDTH), place.number(Field.WALL_HEIGHT), place.number(Field.WALL_ACROSS),
                place.number(Field.WALL_UP));
        place.nothingElse();
        return wall;
    }

    private static FanSpec fan(JsonPlace place) {
        List<FallingCurve.Point> points = new ArrayList<>();
        for (JsonPlace point : place.children("curve", "curve point", MOST_POINTS)) {
            points.add(new FallingCurve.Point(point.number(Field.FAN_FLOW), point.number(Field.FAN_PRESSURE)));
            point.nothingElse();
        }
        FanSpec fan = new FanSpec(LoopReader.curve(place.pointer(), points, FallingCurve.Machine.FAN, "fan"), place.has("backwards") && place.flag("backwards"), place.number(Field.FAN_OFF_ABOVE), !place.has("whileOff") || place.flag("whileOff"));
        place.nothingElse();
        return fan;
    }

    private static Layer layer(JsonPlace unnamed) {
        Layer.Kind kind = unnamed.oneOf("kind", Words.LAYERS);
        String name = unnamed.name("name");
        JsonPlace place = unnamed.calledNow(name);
        place.ignore("kind");
        place.ignore("name");
        boolean own = kind == Layer.Kind.CORE || kind == Layer.Kind.RADIATOR;
        Layer layer = new Layer(name, kind, place.number(Field.LAYER_ACROSS), place.number(Field.LAYER_UP), place.number(Field.LAYER_GAP), own ? null : other(place, name));
        place.nothingElse();
        return layer;
    }

    private static OtherExchanger other(JsonPlace place, String name) {
        CoreSize size = new CoreSize(place.number(Field.OTHER_WIDTH), place.number(Field.OTHER_HEIGHT), place.number(Field.OTHER_DEPTH));
        OtherExchanger other = new OtherExchanger(size, place.number(Field.OTHER_HEAT), place.number(Field.OTHER_HOT_CARD), place.number(Field.OTHER_SPEED),
                place.number(Field.OTHER_AIR), place.optionalNumber(Field.OTHER_LOSS), place.number(Field.OTHER_HOT));
        try {
            other.check();
            return other;
        } catch (EnthalpaFault fault) {
            throw fault.at(place.pointer() + "/" + Field.OTHER_HEAT.key(), name + ", " + fault.label());
        }
    }
}
