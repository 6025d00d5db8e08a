package io.enthalpa.formats;

import io.enthalpa.core.explain.Finding;
import io.enthalpa.core.explain.Reason.Figure;
import io.enthalpa.core.quantity.Quantity;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.function.Function;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Words what was found of a run. The sentences stand once, in {@code sentences.json}, and are worded here for the command line and by the page in
 * the reader's units. In a sentence {@code {worst C 0}} is a temperature with no digit after the point, {@code {share pct 0}} a share, {@code {at clock}}
 * a time as on a stopwatch, {@code {over span}} a time in words, {@code {water mass}} a mass, {@code {runs}} a plain number, {@code {short?...}} words
 * that stand there when it is so, {@code {sink=a/b/c}} one of several by number.
 */
public final class Sentences {
    private static final Pattern PLACE = Pattern.compile("\\{(\\w+)(?: (\\w+)(?: (\\d))?|\\?([^}]*)|=([^}]*))?\\}");
    private static final Map<String, String> ALL = read();

    private Sentences() {}

    private static Map<String, String> read() {
        try (InputStream in = Sentences.class.getResourceAsStream("sentences.json")) {
            Map<String, String> all = new LinkedHashMap<>();
            JsonNode tree = JsonMapper.shared().readTree(in);
            tree.properties().forEach(e -> all.put(e.getKey(), e.getValue().asString()));
            return Map.copyOf(all);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** @return each by the name of its finding */
    public static Map<String, String> all() {
        return ALL;
    }

    /** @return the sentence in metric units */
    public static String of(Finding finding) {
        Map<String, Double> values =
                finding.figures().stream().collect(Collectors.toMap(Figure::name, Sentences::told));
        return PLACE.matcher(ALL.get(finding.kind().name()))
                .replaceAll(place -> java.util.regex.Matcher.quoteReplacement(word(place, values::get)));
    }

    /** @return in the unit that it is told in: °C, percent, seconds, kilograms */
    public static double told(Figure figure) {
        return figure.quantity() == Quantity.TEMPERATURE
                ? Quantity.TEMPERATURE.requireUnit("°C").fromSi(figure.value())
                : figure.quantity() == Quantity.SHARE ? 100 * figure.value() : figure.value();
    }

    private static String word(MatchResult place, Function<String, Double> values) {
        double value = values.apply(place.group(1));
        if (place.group(4) != null) {
            return value == 0 ? "" : place.group(4);
        }
        if (place.group(5) != null) {
            return place.group(5).split("/")[(int) value];
        }
        int digits = place.group(3) == null ? 0 : Integer.parseInt(place.group(3));
        return switch (place.group(2) == null ? "" : place.group(2)) {
            case "C" -> fixed(value, digits) + " °C";
            case "pct" -> fixed(value, digits) + " %";
            case "clock" -> clock(value);
            case "span" -> span(value);
            case "mass" -> mass(value);
            default -> fixed(value, 0);
        };
    }

    private static String fixed(double value, int digits) {
        String text = String.format(Locale.ROOT, "%." + digits + "f", value);
        return text.startsWith("-") ? "\u2212" + text.substring(1) : text;
    }

    /** Seconds as people say them on a stopwatch: 0:06, 12:40, 1:02:10. */
    private static String clock(double seconds) {
        long s = Math.round(seconds);
        return s >= 3600
                ? "%d:%02d:%02d".formatted(s / 3600, s % 3600 / 60, s % 60)
                : "%d:%02d".formatted(s / 60, s % 60);
    }

    /** Seconds in words: 40 s, 12 min, 1 h 10 min. */
    private static String span(double seconds) {
        if (seconds < 100) {
            return Math.round(seconds) + " s";
        }
        long minutes = Math.round(seconds / 60);
        return minutes < 60
                ? minutes + " min"
                : minutes % 60 == 0 ? minutes / 60 + " h" : minutes / 60 + " h " + minutes % 60 + " min";
    }

    /** Grams to two figures, or kilograms. */
    private static String mass(double kilograms) {
        double grams = 1000 * kilograms;
        if (grams >= 1000) {
            return fixed(kilograms, 1) + " kg";
        }
        double scale = Math.pow(10, Math.floor(Math.log10(grams)) - 1);
        double rounded = Math.round(grams / scale) * scale;
        return (rounded >= 10 ? fixed(rounded, 0) : fixed(rounded, 1).replace(".0", "")) + " g";
    }
}
