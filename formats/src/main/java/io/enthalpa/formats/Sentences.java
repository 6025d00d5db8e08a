package io.enthalpa.formats;

import io.enthalpa.core.commission.Step;
import io.enthalpa.core.explain.Finding;
import io.enthalpa.core.fit.FitFinding;
import io.enthalpa.core.notes.Note;
import io.enthalpa.core.quantity.Figure;
import io.enthalpa.core.quantity.Quantity;
import io.enthalpa.core.telemetry.LogFinding;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Words what was found of a run, and what is worth knowing of a steady answer. The sentences stand once, in {@code sentences.json}, and are worded here for the command line and by the page in
 * the reader's units. In a sentence {@code {worst C 0}} is a temperature with no digit after the point, {@code {share pct 0}} a share, {@code {at clock}}
 * a time as on a stopwatch, {@code {over span}} a time in words, {@code {water mass}} a mass, {@code {boost kPa 1}} and others a number in that unit, {@code {mach num 2}} one without, {@code {of}} the name of what it is about, {@code {to}} of what is across a gap from it, {@code {runs}} a plain number, {@code {short?...}} words
 * that stand there when it is so, {@code {sink=a/b/c}} one of several by number.
 */
public final class Sentences {
    private static final Pattern PLACE = Pattern.compile("\\{(\\w+)(?: (\\w+)(?: (\\d))?|\\?([^}]*)|=([^}]*))?\\}");
    /** Units other than SI that figures are told in. */
    private static final Map<Quantity, String> TOLD = Map.of(
            Quantity.TEMPERATURE, "°C",
            Quantity.SHARE, "%",
            Quantity.PRESSURE, "kPa",
            Quantity.LENGTH, "mm",
            Quantity.VOLUME, "L",
            Quantity.SPEED, "m/s",
            Quantity.VOLUME_FLOW, "L/min",
            Quantity.STRESS, "MPa",
            Quantity.ROTATION, "rpm",
            Quantity.ANGLE, "\u00b0");

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
        return of(finding.kind().name(), finding.figures(), "", "");
    }

    /** @return the sentence in metric units */
    public static String of(FitFinding finding) {
        return of(finding.kind().name(), finding.figures(), finding.of(), finding.to());
    }

    /** @return the sentence in metric units */
    public static String of(LogFinding finding) {
        return of(finding.kind().name(), finding.figures(), finding.of(), finding.to());
    }

    /** @return the sentence in metric units */
    public static String of(Step step) {
        return of(step.kind().name(), step.figures(), step.of(), step.to());
    }

    /** @return the sentence in metric units */
    public static String of(Note note) {
        return of(note.kind().name(), note.figures(), note.of(), "");
    }

    private static String of(String kind, List<Figure> figures, String of, String to) {
        Map<String, Double> values = told(figures);
        return PLACE.matcher(ALL.get(kind))
                .replaceAll(place -> Matcher.quoteReplacement(
                        switch (place.group(1)) {
                            case "of" -> of;
                            case "to" -> to;
                            default -> word(place, values.get(place.group(1)));
                        }));
    }

    /** @return by their names, in the units that they are told in: °C, percent, seconds, kilograms, kPa, mm and so on */
    public static Map<String, Double> told(List<Figure> figures) {
        return figures.stream().collect(Collectors.toMap(Figure::name, Sentences::told));
    }

    static double told(Figure figure) {
        String unit = TOLD.get(figure.quantity());
        return unit == null
                ? figure.value()
                : figure.quantity().requireUnit(unit).fromSi(figure.value());
    }

    private static String word(MatchResult place, double value) {
        if (place.group(4) != null) {
            return value == 0 ? "" : place.group(4);
        }
        if (place.group(5) != null) {
            return place.group(5).split("/", -1)[(int) value];
        }
        int digits = place.group(3) == null ? 0 : Integer.parseInt(place.group(3));
        return switch (place.group(2) == null ? "" : place.group(2)) {
            case "C", "K" -> fixed(value, digits) + " °C";
            case "pct" -> fixed(value, digits) + " %";
            case "kPa" -> fixed(value, digits) + " kPa";
            case "Pa" -> fixed(value, digits) + " Pa";
            case "kW" -> fixed(value, digits) + " kW";
            case "L" -> fixed(value, digits) + " L";
            case "m" -> fixed(value / 1000, digits) + " m";
            case "mm" -> fixed(value, digits) + " mm";
            case "m_s" -> fixed(value, digits) + " m/s";
            case "L_min" -> fixed(value, digits) + " L/min";
            case "N" -> fixed(value, digits) + " N";
            case "MPa" -> fixed(value, digits) + " MPa";
            case "Hz" -> fixed(value, digits) + " Hz";
            case "rpm" -> fixed(value, digits) + " rpm";
            case "deg" -> fixed(value, digits) + "\u00b0";
            case "num" -> fixed(value, digits);
            case "clock" -> clock(value);
            case "span" -> span(value);
            case "mass" -> mass(value);
            case "" -> fixed(value, 0);
            default -> throw new IllegalArgumentException("no words for " + place.group());
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
