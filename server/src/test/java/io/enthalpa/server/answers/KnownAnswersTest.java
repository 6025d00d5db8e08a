package io.enthalpa.server.answers;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CancellationException;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

class KnownAnswersTest {
    private static final JsonNode VAN = JsonMapper.shared().readTree("{\"name\": \"Van\", \"boost_kPa\": 90}");
    private final KnownAnswers known = new KnownAnswers();
    private final List<String> found = new ArrayList<>();

    private String ask(JsonNode document, String what) {
        return known.about(document).or(what, String.class, () -> {
            found.add(what);
            return document.get("boost_kPa").asString() + " " + what;
        });
    }

    @Test
    void aQuestionIsAnsweredOnceHoweverOftenAndByWhomItIsAsked() {
        assertThat(ask(VAN, "DUTY of A")).isEqualTo("90 DUTY of A");
        assertThat(ask(VAN.deepCopy(), "DUTY of A")).isEqualTo("90 DUTY of A");
        assertThat(found).hasSize(1);
    }

    @Test
    void anotherQuestionAndAnotherDocumentHaveAnswersOfTheirOwn() {
        JsonNode more = JsonMapper.shared().readTree("{\"name\": \"Van\", \"boost_kPa\": 91}");
        assertThat(List.of(ask(VAN, "DUTY of A"), ask(VAN, "DUTY of B"), ask(VAN, "LINE of A"), ask(more, "DUTY of A")))
                .containsExactly("90 DUTY of A", "90 DUTY of B", "90 LINE of A", "91 DUTY of A");
    }

    @Test
    void whatWasGivenUpIsNoAnswer() {
        assertThatThrownBy(() -> known.about(VAN).or("DUTY of A", String.class, () -> {
                    throw new CancellationException();
                }))
                .isInstanceOf(CancellationException.class);
        assertThat(ask(VAN, "DUTY of A")).isEqualTo("90 DUTY of A");
    }

    @Test
    void theLeastAskedForMakeRoom() {
        for (int i = 0; i < 5000; i++) {
            ask(VAN, "DUTY of " + i);
        }
        found.clear();
        for (int i = 0; i < 5000; i++) {
            ask(VAN, "DUTY of " + i);
        }
        assertThat(found).hasSizeGreaterThan(4000);
    }
}
