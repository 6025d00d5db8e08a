package io.enthalpa.formats;

import static io.enthalpa.formats.BuildWriter.put;

import io.enthalpa.core.build.Field;
import io.enthalpa.core.coolingair.AirWaySpec;
import io.enthalpa.core.coolingair.FanSpec;
import io.enthalpa.core.coolingair.Layer;
import io.enthalpa.core.coolingair.OpeningSpec;
import io.enthalpa.core.coolingair.OtherExchanger;
import io.enthalpa.core.loss.FallingCurve;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Writes a way of the cooling air as {@link AirWayReader} reads it. */
final class AirWayWriter {
    private AirWayWriter() {
    }

    static void way(AirWaySpec way, ObjectNode node) {
        node.put("name", way.name());
        put(node, Field.WAY_SPACE_WIDTH, way.spaceWidth());
        put(node, Field.WAY_SPACE_HEIGHT, way.spaceHeight());
        opening(way.opening(), node.putObject("opening"));
        put(node, Field.WAY_SEAL, way.seal());
        node.put("ducted", way.ducted());
        ArrayNode layers = node.putArray("layers");
        way.layers().forEach(layer -> layer(layer, layers.addObject()));
        way.fan().ifPresent(fan -> fan(fan, node.putObject("fan")));
        ObjectNode exit = node.putObject("exit");
        put(exit, Field.EXIT_AREA, way.exitArea());
        put(exit, Field.EXIT_PRESSURE, way.exitPressure());
        put(node, Field.WAY_RECIRCULATION, way.recirculation());
    }

    private static void opening(OpeningSpec opening, ObjectNode node) {
        put(node, Field.OPENING_WIDTH, opening.width());
        put(node, Field.OPENING_HEIGHT, opening.height());
        put(node, Field.OPENING_PRESSURE, opening.pressure());
        put(node, Field.OPENING_OPEN, opening.open());
        node.put("roundedLip", opening.rounded());
        ArrayNode walls = node.putArray("walls");
        for (OpeningSpec.Wall wall : opening.walls()) {
            ObjectNode w = walls.addObject().put("name", wall.name());
            put(w, Field.WALL_WIDTH, wall.width());
            put(w, Field.WALL_HEIGHT, wall.height());
            put(w, Field.WALL_ACROSS, wall.across());
            put(w, Field.WALL_UP, wall.up());
        }
    }

    private static void fan(FanSpec fan, ObjectNode node) {
        ArrayNode curve = node.putArray("curve");
        for (FallingCurve.Point point : fan.curve().points()) {
            ObjectNode p = curve.addObject();
            put(p, Field.FAN_FLOW, point.flow());
            put(p, Field.FAN_PRESSURE, point.rise());
        }
        node.put("backwards", fan.backwards());
        put(node, Field.FAN_OFF_ABOVE, fan.upTo());
        if (!fan.whileOff()) {
            node.put("whileOff", false);
        }
    }

    private static void layer(Layer layer, ObjectNode node) {
        node.put("kind", Words.of(Words.LAYERS, layer.kind())).put("name", layer.name());
        put(node, Field.LAYER_ACROSS, layer.across());
        put(node, Field.LAYER_UP, layer.up());
        put(node, Field.LAYER_GAP, layer.gap());
        if (layer.isOther()) {
            OtherExchanger other = layer.other();
            CoreWriter.size(other.size(), node, Field.OTHER_WIDTH, Field.OTHER_HEIGHT, Field.OTHER_DEPTH);
            put(node, Field.OTHER_HEAT, other.heat());
            put(node, Field.OTHER_HOT_CARD, other.hotOnCard());
            put(node, Field.OTHER_SPEED, other.speed());
            put(node, Field.OTHER_AIR, other.airOnCard());
            other.airLoss().ifPresent(loss -> put(node, Field.OTHER_LOSS, loss));
            put(node, Field.OTHER_HOT, other.hot());
        }
    }
}
