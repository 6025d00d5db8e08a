package io.enthalpa.formats;

import io.enthalpa.core.quantity.Quantity;
import io.enthalpa.core.quantity.Unit;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** What a column of a log can be for a duty, and the names it usually goes by. */
public enum LogColumn {
    TIME("time", Quantity.TIME, "s", List.of("time", "t", "elapsed time", "elapsed", "timestamp", "seconds", "sec")),
    ROAD_SPEED(
            "road speed",
            Quantity.SPEED,
            "km/h",
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
    ENGINE_SPEED(
            "engine speed",
            Quantity.ROTATION,
            "rpm",
            List.of("engine speed", "enginespeed", "engine rpm", "rpm", "revs", "n engine", "n")),
    BOOST(
            "boost",
            Quantity.PRESSURE,
            "kPa",
            List.of("boost", "boost pressure", "gauge pressure", "manifold gauge pressure")),
    MANIFOLD(
            "manifold pressure, absolute",
            Quantity.PRESSURE,
            "kPa",
            List.of("manifold pressure", "map", "manifold absolute pressure", "absolute pressure", "manifold")),
    THROTTLE(
            "throttle",
            Quantity.SHARE,
            "%",
            List.of("throttle", "throttle position", "tps", "pedal", "pedal position", "accelerator"));

    /** Highest fit. */
    static final int BEST = 100;

    private final String words;
    private final Quantity quantity;
    private final String usualUnit;
    private final List<String> names;

    LogColumn(String words, Quantity quantity, String usualUnit, List<String> names) {
        this.words = words;
        this.quantity = quantity;
        this.usualUnit = usualUnit;
        this.names = names;
    }

    /** @return as a reader knows it */
    public String words() {
        return words;
    }

    public Quantity quantity() {
        return quantity;
    }

    /** @return what is assumed where the heading names no unit */
    public Unit usualUnit() {
        return quantity.requireUnit(usualUnit);
    }

    /** @return how well a heading fits, 0 not at all */
    int fits(String heading) {
        String name = name(heading);
        for (int i = 0; i < names.size(); i++) {
            if (name.equals(names.get(i))) {
                return BEST - i;
            }
        }
        for (int i = 0; i < names.size(); i++) {
            if (names.get(i).length() > 3 && name.contains(names.get(i))) {
                return BEST / 2 - i;
            }
        }
        return 0;
    }

    /** @return the unit in a heading, "boost [psi]" or "boost_psi"; empty when it names none of this quantity */
    Optional<Unit> unit(String heading) {
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

    private String name(String heading) {
        int open = bracket(heading);
        String plain = (open >= 0 ? heading.substring(0, open) : heading)
                .toLowerCase(Locale.ROOT)
                .replace('_', ' ')
                .replaceAll("\\s+", " ")
                .strip();
        if (open < 0 && unit(heading).isPresent() && plain.contains(" ")) {
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
