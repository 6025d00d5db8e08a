package io.enthalpa.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.explain.Finding;
import io.enthalpa.core.explain.Finding.Kind;
import io.enthalpa.core.explain.Reason.Figure;
import io.enthalpa.core.quantity.Quantity;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The page words the same cases (web, say.test.ts). */
class SentencesTest {
    @Test
    void everyFindingHasItsSentence() {
        assertThat(Sentences.all().keySet())
                .containsExactlyInAnyOrderElementsOf(
                        Arrays.stream(Kind.values()).map(Kind::name).toList());
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
            assertThat(Sentences.of(new Finding(Kind.valueOf(one.get("kind").asString()), figures)))
                    .isEqualTo(one.get("metric").asString());
        }
        assertThat(cases).hasSizeGreaterThan(10);
    }
}
