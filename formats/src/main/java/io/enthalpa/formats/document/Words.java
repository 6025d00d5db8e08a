package io.enthalpa.formats.document;

import io.enthalpa.core.chargepath.CoolingSide;
import io.enthalpa.core.chargepath.Intake;
import io.enthalpa.core.coolingair.Layer;
import io.enthalpa.core.engine.BlowerType;
import io.enthalpa.core.exchanger.Coolant;
import io.enthalpa.core.exchanger.Effectiveness;
import io.enthalpa.core.exchanger.EndTankSpec.PortPlace;
import io.enthalpa.core.exchanger.FinType;
import io.enthalpa.core.exchanger.FinnedBlock.Construction;
import io.enthalpa.core.exchanger.PortSide;
import io.enthalpa.core.exchanger.PortTurn;
import io.enthalpa.core.leak.LeakRecord;
import io.enthalpa.core.loss.FittingLoss;
import io.enthalpa.core.loss.PipeMaterial;
import io.enthalpa.core.room.Mount;
import io.enthalpa.core.room.Nature;
import io.enthalpa.core.room.ObstacleShape;
import io.enthalpa.core.room.Scroll;
import io.enthalpa.core.room.Stand;
import io.enthalpa.core.route.Clamp;
import io.enthalpa.core.route.Coupling;
import io.enthalpa.core.route.Fitting;
import io.enthalpa.core.route.JointsSpec;
import io.enthalpa.core.sizing.CoolingMethod;
import io.enthalpa.core.uncertainty.UncertainInput;
import io.enthalpa.core.waterloop.CorePorts;
import io.enthalpa.core.waterloop.HoseMake;
import io.enthalpa.core.waterloop.IceSpec;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** The words of a build file for what is chosen from a list, in the order they are offered. */
final class Words {
    private static final Map<Class<?>, Map<String, Object>> ALL = new LinkedHashMap<>();

    static {
        words(BlowerType.class, "roots-type", "screw", "centrifugal", "turbo");
        words(PipeMaterial.class, "aluminium", "steel", "stainless", "silicone");
        words(HoseMake.class, "plain", "wired", "moulded");
        words(
                Effectiveness.class,
                "crossflow",
                "crossflow, charge mixed",
                "crossflow, coolant mixed",
                "counterflow",
                "u-flow, passes stacked",
                "u-flow, passes behind each other");
        words(Scroll.Runs.class, "clockwise", "anticlockwise");
        words(PortPlace.class, "middle", "offset", "end");
        words(PortSide.class, "left", "right", "up", "down");
        words(PortTurn.class, "forwards", "rearwards", "left", "right", "up", "down");
        words(FinType.class, "plain", "offset strip", "louvred");
        words(Construction.class, "bar-and-plate", "tube-and-fin");
        words(Coolant.class, "air", "water");
        words(
                FittingLoss.class,
                "spigot",
                "elbow 90",
                "elbow 45",
                "tee through",
                "tee branch",
                "ball valve",
                "gate valve",
                "globe valve",
                "check valve",
                "kink");
        words(CoolingSide.OnLoop.class, "beside", "behind");
        words(CorePorts.Layout.class, "opposite corners", "one end", "middle");
        words(CorePorts.Feed.class, "bottom", "top");
        words(
                CoolingMethod.class,
                Arrays.stream(CoolingMethod.values()).map(CoolingMethod::title).toArray(String[]::new));
        words(IceSpec.Stir.class, "still", "returned over the ice", "sprayed");
        words(
                Nature.class,
                "trimmed edge",
                "body",
                "structure",
                "air through",
                "engine part",
                "turning part",
                "exhaust",
                "shielded exhaust",
                "line",
                "bonnet",
                "tyre",
                "keep out",
                "ground");
        words(ObstacleShape.View.class, "front", "side", "above");
        words(RoomDocument.CrankAxis.class, "along", "across");
        words(Stand.What.class, "core", "radiator", "tank", "pump", "filter", "blower", "throttle", "plenum", null);
        words(Mount.Axis.class, "up", "back", "right");
        words(Mount.Metal.class, "steel", "stainless", "aluminium");
        words(Coupling.class, "straight hose", "hump hose", "quick joint", "V-band", "bellows", "weld");
        words(Clamp.class, "worm drive", "T-bolt", "constant tension");
        words(
                Intake.From.class,
                Arrays.stream(Intake.From.values()).map(Intake.From::words).toArray(String[]::new));
        words(
                Fitting.Kind.class,
                Arrays.stream(Fitting.Kind.values()).map(Fitting.Kind::words).toArray(String[]::new));
        words(JointsSpec.End.class, "start", "end");
        words(LeakRecord.Side.class, "charge", "water");
        words(
                UncertainInput.class,
                "blower efficiency",
                "filling of the cylinders",
                "core",
                "cooling air",
                "water flow",
                "radiator",
                "outside air",
                "start",
                "bay",
                "ice",
                "chiller",
                "water ports",
                "charge fins",
                "cold fins",
                "path losses",
                "sensor");
        words(Layer.Kind.class, "core", "radiator", "condenser", "engine radiator", "oil cooler");
    }

    private Words() {}

    /** @param words in the order of the values; null for one that no file has: a pipe is laid, it has no stand */
    private static void words(Class<? extends Enum<?>> type, @Nullable String... words) {
        Enum<?>[] values = type.getEnumConstants();
        if (values.length != words.length) {
            throw new IllegalStateException(type + " has " + values.length + " values and " + words.length + " words");
        }
        Map<String, Object> map = new LinkedHashMap<>();
        for (int i = 0; i < values.length; i++) {
            if (words[i] != null) {
                map.put(words[i], values[i]);
            }
        }
        ALL.put(type, map);
    }

    /** @return the types that have words */
    static Set<Class<?>> types() {
        return ALL.keySet();
    }

    static boolean has(Class<?> type) {
        return ALL.containsKey(type);
    }

    static List<String> of(Class<?> type) {
        return List.copyOf(ALL.get(type).keySet());
    }

    static Object value(Class<?> type, String word) {
        return ALL.get(type).get(word);
    }

    static String of(Enum<?> value) {
        return ALL.get(value.getDeclaringClass()).entrySet().stream()
                .filter(e -> e.getValue() == value)
                .map(Map.Entry::getKey)
                .findFirst()
                .orElseThrow();
    }
}
