package io.enthalpa.formats;

import io.enthalpa.core.coolingair.Layer;
import io.enthalpa.core.engine.BlowerType;
import io.enthalpa.core.exchanger.Effectiveness;
import io.enthalpa.core.exchanger.EndTankSpec.PortPlace;
import io.enthalpa.core.exchanger.FinType;
import io.enthalpa.core.exchanger.FinnedBlock.Construction;
import io.enthalpa.core.exchanger.PortSide;
import io.enthalpa.core.loss.FittingLoss;
import io.enthalpa.core.loss.PipeMaterial;
import io.enthalpa.core.waterloop.CorePorts;
import io.enthalpa.core.waterloop.IceSpec;
import java.util.LinkedHashMap;
import java.util.Map;

/** The words of a build file for what is chosen from a list, in the order they are offered. */
final class Words {
    static final Map<String, BlowerType> BLOWERS = words(BlowerType.values(), "roots-type", "screw", "centrifugal", "turbo");
    static final Map<String, PipeMaterial> MATERIALS = words(PipeMaterial.values(), "aluminium", "steel", "stainless", "silicone");
    static final Map<String, Effectiveness> ARRANGEMENTS = words(Effectiveness.values(), "crossflow", "crossflow, charge mixed",
            "crossflow, coolant mixed", "counterflow", "u-flow, passes stacked", "u-flow, passes behind each other");
    static final Map<String, PortPlace> PLACES = words(PortPlace.values(), "middle", "offset", "end");
    static final Map<String, PortSide> SIDES = words(PortSide.values(), "left", "right", "up", "down");
    static final Map<String, FinType> FINS = words(FinType.values(), "plain", "offset strip", "louvred");
    static final Map<String, Construction> CONSTRUCTIONS = words(Construction.values(), "bar-and-plate", "tube-and-fin");
    static final Map<String, Boolean> COOLED_BY = words(new Boolean[] {true, false}, "air", "water");

    static final Map<String, FittingLoss> FITTINGS = words(FittingLoss.values(), "spigot", "elbow 90", "elbow 45", "tee through", "tee branch",
            "ball valve", "gate valve", "globe valve", "check valve");
    static final Map<String, CorePorts.Layout> WATER_PORTS = words(CorePorts.Layout.values(), "opposite corners", "one end", "middle");
    static final Map<String, CorePorts.Feed> FEEDS = words(CorePorts.Feed.values(), "bottom", "top");
    static final Map<String, IceSpec.Stir> STIRS = words(IceSpec.Stir.values(), "still", "returned over the ice", "sprayed");
    static final Map<String, Layer.Kind> LAYERS = words(Layer.Kind.values(), "core", "radiator", "condenser", "engine radiator", "oil cooler");

    private Words() {
    }

    private static <T> Map<String, T> words(T[] values, String... words) {
        Map<String, T> map = new LinkedHashMap<>();
        for (int i = 0; i < values.length; i++) {
            map.put(words[i], values[i]);
        }
        return map;
    }

    static <T> String of(Map<String, T> map, T value) {
        return map.entrySet().stream().filter(e -> e.getValue().equals(value)).map(Map.Entry::getKey).findFirst().orElseThrow();
    }
}
