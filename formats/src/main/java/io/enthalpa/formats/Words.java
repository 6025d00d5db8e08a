package io.enthalpa.formats;

import io.enthalpa.core.engine.BlowerType;
import io.enthalpa.core.exchanger.Effectiveness;
import io.enthalpa.core.exchanger.EndTankSpec.PortPlace;
import io.enthalpa.core.exchanger.FinType;
import io.enthalpa.core.exchanger.FinnedBlock.Construction;
import io.enthalpa.core.exchanger.PortSide;
import io.enthalpa.core.loss.PipeMaterial;
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
