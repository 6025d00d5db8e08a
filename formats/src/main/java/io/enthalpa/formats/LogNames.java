package io.enthalpa.formats;

import io.enthalpa.core.quantity.Quantity;
import io.enthalpa.core.quantity.Unit;
import io.enthalpa.core.telemetry.Channel;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** The names by which the columns of a log usually go, best first, and the units that stand in them. */
final class LogNames {
    /** Highest fit. */
    static final int BEST = 100;

    private static final Map<Channel, List<String>> NAMES = new EnumMap<>(Map.ofEntries(
            Map.entry(
                    Channel.TIME,
                    List.of("time", "t", "elapsed time", "elapsed", "timestamp", "seconds", "sec", "date")),
            Map.entry(
                    Channel.ROAD_SPEED,
                    List.of(
                            "road speed",
                            "roadspeed",
                            "vehicle speed",
                            "gps speed",
                            "ground speed",
                            "car speed",
                            "velocity",
                            "speed",
                            "v")),
            Map.entry(
                    Channel.ENGINE_SPEED,
                    List.of("engine speed", "enginespeed", "engine rpm", "rpm", "revs", "n engine", "n")),
            Map.entry(Channel.BOOST, List.of("boost", "boost pressure", "gauge pressure", "manifold gauge pressure")),
            Map.entry(
                    Channel.MANIFOLD,
                    List.of("manifold pressure", "map", "manifold absolute pressure", "absolute pressure", "manifold")),
            Map.entry(
                    Channel.THROTTLE,
                    List.of("throttle", "throttle position", "tps", "pedal", "pedal position", "accelerator")),
            Map.entry(
                    Channel.OUTSIDE,
                    List.of(
                            "outside air",
                            "outside",
                            "ambient",
                            "ambient temperature",
                            "outside temperature",
                            "outside air temperature",
                            "ambient air temperature",
                            "ambient temp",
                            "outside temp",
                            "weather",
                            "oat")),
            Map.entry(
                    Channel.BEFORE_CORE,
                    List.of(
                            "charge before the core",
                            "before the core",
                            "before core",
                            "core in",
                            "pre core",
                            "charge before core",
                            "blower out",
                            "turbo out",
                            "compressor out",
                            "compressor outlet temperature",
                            "charge hot",
                            "before cooler",
                            "cooler in")),
            Map.entry(
                    Channel.AFTER_CORE,
                    List.of(
                            "charge behind the core",
                            "behind the core",
                            "after core",
                            "behind core",
                            "post core",
                            "core out",
                            "charge after core",
                            "charge cold",
                            "after cooler",
                            "cooler out")),
            Map.entry(
                    Channel.INTAKE,
                    List.of(
                            "intake",
                            "intake temperature",
                            "intake air temperature",
                            "iat",
                            "intake temp",
                            "plenum temperature",
                            "plenum temp",
                            "manifold temperature",
                            "charge temperature",
                            "charge air temperature",
                            "act",
                            "plenum",
                            "charge temp",
                            "shown")),
            Map.entry(
                    Channel.WATER_TO_CORE,
                    List.of(
                            "water to the core",
                            "water to core",
                            "core water in",
                            "charge water in",
                            "charge water",
                            "loop water",
                            "water in",
                            "coolant to core")),
            Map.entry(
                    Channel.WATER_FROM_CORE,
                    List.of(
                            "water behind the core",
                            "water from core",
                            "water behind core",
                            "water after core",
                            "core water out",
                            "charge water out",
                            "water out",
                            "coolant from core")),
            Map.entry(
                    Channel.WATER_FROM_RADIATOR,
                    List.of(
                            "water behind the radiator",
                            "water behind radiator",
                            "water from radiator",
                            "water after radiator",
                            "radiator water out",
                            "radiator out")),
            Map.entry(
                    Channel.WATER_TANK,
                    List.of("water in the tank", "tank", "tank water", "tank temperature", "tank temp", "ice tank")),
            Map.entry(Channel.WATER_FLOW, List.of("water flow", "loop flow", "coolant flow", "flow meter")),
            Map.entry(
                    Channel.PRESSURE_BEFORE,
                    List.of(
                            "pressure before the core",
                            "pressure before core",
                            "core pressure in",
                            "pre core pressure",
                            "blower outlet pressure",
                            "compressor outlet pressure")),
            Map.entry(
                    Channel.PRESSURE_AFTER,
                    List.of(
                            "pressure behind the core",
                            "pressure after core",
                            "pressure behind core",
                            "core pressure out",
                            "post core pressure")),
            Map.entry(
                    Channel.TIMING,
                    List.of("ignition timing", "timing", "ignition advance", "ignition angle", "spark advance")),
            Map.entry(Channel.LAMBDA, List.of("lambda", "lambda 1", "wideband")),
            Map.entry(Channel.GEAR, List.of("gear", "gear position")),
            Map.entry(Channel.MARKER, List.of("lap marker", "marker", "beacon", "lap number", "lap"))));

    /** "Intake temperature before core" is one before the core: where it stands tells more than what it is called. */
    private static final Set<Channel> PLACES = EnumSet.of(
            Channel.BEFORE_CORE,
            Channel.AFTER_CORE,
            Channel.PRESSURE_BEFORE,
            Channel.PRESSURE_AFTER,
            Channel.WATER_TO_CORE,
            Channel.WATER_FROM_CORE,
            Channel.WATER_FROM_RADIATOR,
            Channel.WATER_TANK);

    private static final int PLACE_TELLS = 30;

    private LogNames() {}

    /** @return how well a heading fits, 0 not at all */
    static int fits(Channel channel, String heading) {
        if (isOfAnother(channel.quantity(), heading)) {
            return 0;
        }
        String name = name(channel, heading);
        List<String> names = NAMES.get(channel);
        for (int i = 0; i < names.size(); i++) {
            if (name.equals(names.get(i))) {
                return BEST - i;
            }
        }
        for (int i = 0; i < names.size(); i++) {
            if (names.get(i).length() > 3 && name.contains(names.get(i))) {
                return BEST / 2 - i + (PLACES.contains(channel) ? PLACE_TELLS : 0);
            }
        }
        return 0;
    }

    /** A unit in brackets that measures something else speaks louder than the name. */
    private static boolean isOfAnother(Quantity quantity, String heading) {
        return bracket(heading) >= 0
                && unit(quantity, heading).isEmpty()
                && Arrays.stream(Quantity.values())
                        .anyMatch(other -> unit(other, heading)
                                .filter(u -> !u.symbol().isEmpty())
                                .isPresent());
    }

    /** @return the unit in a heading, "boost [psi]" or "boost_psi"; empty when it names none of this quantity */
    static Optional<Unit> unit(Quantity quantity, String heading) {
        int open = bracket(heading);
        if (open >= 0) {
            String inside =
                    heading.substring(open + 1).replaceAll("[\\])].*$", "").strip();
            return inside.isEmpty() ? Optional.empty() : quantity.unit(inside);
        }
        String[] words = heading.strip().split("[_ ]+");
        String last = words[words.length - 1];
        String lastTwo = words.length > 2 ? words[words.length - 2] + "/" + last : "";
        return words.length < 2
                ? Optional.empty()
                : quantity.unit(lastTwo)
                        .filter(u -> !lastTwo.isEmpty())
                        .or(() -> quantity.unit(last.equals("pct") ? "%" : last))
                        .filter(u -> !u.symbol().isEmpty());
    }

    private static String name(Channel channel, String heading) {
        List<String> names = NAMES.get(channel);
        int open = bracket(heading);
        String plain = (open >= 0 ? heading.substring(0, open) : heading)
                .toLowerCase(Locale.ROOT)
                .replaceAll("[_.\\-]", " ")
                .replaceAll("\\s+", " ")
                .strip();
        if (open < 0 && unit(channel.quantity(), heading).isPresent() && plain.contains(" ")) {
            String shorter = plain.substring(0, plain.lastIndexOf(' '));
            return names.contains(shorter) || !names.contains(plain) ? shorter.replaceAll(" (km|l|m)$", "") : plain;
        }
        return plain;
    }

    private static int bracket(String heading) {
        int square = heading.indexOf('[');
        int round = heading.indexOf('(');
        return square < 0 ? round : round < 0 ? square : Math.min(square, round);
    }
}
