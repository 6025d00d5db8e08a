package io.enthalpa.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.commission.Step;
import io.enthalpa.core.explain.Finding;
import io.enthalpa.core.explain.Finding.Kind;
import io.enthalpa.core.fit.FitFinding;
import io.enthalpa.core.notes.Note;
import io.enthalpa.core.place.Subject;
import io.enthalpa.core.quantity.Figure;
import io.enthalpa.core.quantity.Quantity;
import io.enthalpa.core.telemetry.LogFinding;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The page words the same cases (web, say.test.ts). */
class SentencesTest {
    @Test
    void everyFindingHasItsSentence() {
        assertThat(Sentences.all().keySet())
                .containsExactlyInAnyOrderElementsOf(Stream.of(
                                Kind.values(),
                                Note.Kind.values(),
                                FitFinding.Kind.values(),
                                LogFinding.Kind.values(),
                                Step.Kind.values())
                        .flatMap(Arrays::stream)
                        .map(Enum::name)
                        .toList());
    }

    /** Each choice that a sentence has, the empty last one among them. */
    @ParameterizedTest
    @EnumSource(LogFinding.Kind.class)
    void sentencesAboutLogsAreWordedWhateverIsChosen(LogFinding.Kind kind) {
        wordedWhateverIsChosen(kind.name(), figures -> Sentences.of(new LogFinding(kind, "intake", "tank", figures)));
    }

    @ParameterizedTest
    @EnumSource(Step.Kind.class)
    void stepsAreWordedWhateverIsChosen(Step.Kind kind) {
        wordedWhateverIsChosen(kind.name(), figures -> Sentences.of(new Step(kind, "intake", "tank", figures)));
    }

    private static void wordedWhateverIsChosen(String kind, Function<List<Figure>, String> worded) {
        Pattern choice = Pattern.compile("\\{(\\w+)=([^}]*)}");
        String sentence = Sentences.all().get(kind);
        for (int chosen = 0; chosen < 3; chosen++) {
            int now = chosen;
            Map<String, Figure> figures = new LinkedHashMap<>();
            Matcher names = Pattern.compile("\\{(\\w+)[ ?}]").matcher(sentence);
            while (names.find()) {
                figures.put(names.group(1), Figure.plain(names.group(1), now % 2));
            }
            Matcher choices = choice.matcher(sentence);
            String expected = "";
            while (choices.find()) {
                String[] words = choices.group(2).split("/", -1);
                int index = Math.min(now, words.length - 1);
                figures.put(choices.group(1), Figure.plain(choices.group(1), index));
                expected = words[index];
            }
            assertThat(worded.apply(List.copyOf(figures.values())))
                    .as("%s with choice %d", kind, now)
                    .contains(expected)
                    .doesNotContain("{");
        }
    }

    @Test
    void casesAreWorded() throws IOException {
        JsonNode cases =
                JsonMapper.shared().readTree(Files.readString(Path.of("src/test/resources/sentence-cases.json")));
        for (JsonNode one : cases) {
            List<Figure> figures = new ArrayList<>();
            one.get("figures").properties().forEach(figure -> {
                Figure si = new Figure(
                        figure.getKey(),
                        figure.getValue().get(1).doubleValue(),
                        Quantity.valueOf(figure.getValue().get(0).asString()));
                figures.add(si);
                assertThat(Sentences.told(si))
                        .as(figure.getKey())
                        .isCloseTo(figure.getValue().get(2).doubleValue(), within(1e-9));
            });
            String kind = one.get("kind").asString();
            assertThat(one.has("of") ? note(kind, one.get("of").asString(), figures) : finding(kind, figures))
                    .isEqualTo(one.get("metric").asString());
        }
        assertThat(cases).hasSizeGreaterThan(10);
    }

    private static String finding(String kind, List<Figure> figures) {
        return Sentences.of(new Finding(Kind.valueOf(kind), figures));
    }

    private static String note(String kind, String of, List<Figure> figures) {
        Map<String, Double> si = figures.stream().collect(Collectors.toMap(Figure::name, Figure::value));
        Note note = new Note(Note.Kind.valueOf(kind), Subject.Whole.PATH, of, si.get("value"), si.get("limit"));
        assertThat(note.figures()).as(kind).containsExactlyElementsOf(figures);
        return Sentences.of(note);
    }

    /** A unit in a sentence is one that its number can be told in. */
    @ParameterizedTest
    @EnumSource(Note.Kind.class)
    void numbersOfANoteAreToldInUnitsOfTheirOwn(Note.Kind kind) {
        Map<String, Quantity> units = Map.ofEntries(
                Map.entry("C", Quantity.TEMPERATURE),
                Map.entry("K", Quantity.TEMPERATURE_DIFFERENCE),
                Map.entry("pct", Quantity.SHARE),
                Map.entry("kPa", Quantity.PRESSURE),
                Map.entry("Pa", Quantity.DRAUGHT),
                Map.entry("kW", Quantity.POWER),
                Map.entry("mm", Quantity.LENGTH),
                Map.entry("m_s", Quantity.SPEED),
                Map.entry("deg", Quantity.ANGLE),
                Map.entry("L_min", Quantity.VOLUME_FLOW),
                Map.entry("mass", Quantity.MASS),
                Map.entry("span", Quantity.TIME),
                Map.entry("num", Quantity.NUMBER));
        for (Figure figure : new Note(kind, Subject.Whole.PATH, "core", 1, 2).figures()) {
            Matcher place = Pattern.compile("\\{" + figure.name() + " (\\w+)[^}]*}")
                    .matcher(Sentences.all().get(kind.name()));
            while (place.find()) {
                assertThat(units.get(place.group(1))).as(place.group()).isEqualTo(figure.quantity());
            }
        }
    }
}
