package io.enthalpa.formats.document;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.quantity.Quantity;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

class DocumentFieldTest {
    static List<DocumentField> fields() {
        return DocumentField.all();
    }

    @ParameterizedTest
    @MethodSource("fields")
    void everyFieldHasADefaultInsideItsRangeAndASource(DocumentField field) {
        assertThat(field.usual()).isBetween(field.min(), field.max());
        assertThat(field.source()).isNotBlank();
        assertThat(field.label()).isNotBlank();
        assertThat(field.quantity().units()).contains(field.unit());
    }

    /** A valve that the program does not know: all that a new field takes is its component. */
    @Part(value = "bypass", says = "a valve that lets hot charge past the core", named = true)
    record Bypass(
            String name,

            @Figure(label = "opens at", min = -40, max = 120, usual = 20, help = "it stands on the valve")
            double opens_C,

            @Figure(label = "bypass bore", min = 5, max = 100, usual = 38, help = "inside") @Nullable
            Double bore_mm,

            @Figure(label = "flaps", min = 1, max = 4, usual = 1, help = "count them")
            int flaps,

            @Nullable Boolean electric,
            @Nullable String id) {}

    private static void check(String json) {
        JsonNode tree = Binding.MAPPER.readTree(json);
        Check.check(tree, new Place("/bypass", "bypass", Shape.of(Bypass.class)));
    }

    @Test
    void aFieldPutIntoARecordIsKnownEverywhere() {
        assertThat(DocumentField.found(new Shape(
                                BuildDocument.class,
                                Shape.of(BuildDocument.class).part(),
                                List.of(new Shape.Item(
                                        "bypass",
                                        Shape.Form.OBJECT,
                                        true,
                                        null,
                                        List.of(),
                                        Bypass.class,
                                        null,
                                        false,
                                        false,
                                        false))))
                        .get("bypass/opens_C"))
                .isEqualTo(new DocumentField(
                        "bypass",
                        "opens_C",
                        "opens at",
                        Quantity.TEMPERATURE,
                        Quantity.TEMPERATURE.requireUnit("°C"),
                        -40,
                        120,
                        20,
                        "it stands on the valve"));
        Bypass bound = Binding.MAPPER.readValue("{\"name\": \" by \", \"opens_C\": 25.5, \"flaps\": 2}", Bypass.class);
        assertThat(bound).isEqualTo(new Bypass("by", 25.5, null, 2, null, null));
        assertThat((ObjectNode) Binding.MAPPER.valueToTree(bound))
                .hasToString("{\"name\":\"by\",\"opens_C\":25.5,\"flaps\":2}");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '~',
            value = {
                "{\"name\": \"by\", \"opens_C\": 200, \"flaps\": 1}|/bypass/opens_C|bypass, opens at is 200 °C; it must lie between -40 and 120 °C. it stands on the valve.",
                "{\"name\": \"by\", \"flaps\": 1}|/bypass/opens_C|bypass, opens at is missing; give a value between -40 and 120 °C.",
                "{\"name\": \"by\", \"opens_C\": \"hot\", \"flaps\": 1}|/bypass/opens_C|bypass, opens at: the text \"hot\"; expected a number in °C between -40 and 120 °C.",
                "{\"name\": \"by\", \"opens_C\": 20, \"flaps\": 1.5}|/bypass/flaps|bypass, flaps is 1.5; it must be a whole number.",
                "{\"name\": \"by\", \"open_C\": 20, \"flaps\": 1}|/bypass/open_C|bypass, open_C: not a known key here; expected perhaps opens_C. All that may stand here: bore_mm, electric, flaps, id, name, opens_C.",
                "{\"name\": \"by\", \"opens_F\": 20, \"flaps\": 1}|/bypass/opens_F|bypass, opens_F: not a known key here; expected perhaps opens_C. All that may stand here: bore_mm, electric, flaps, id, name, opens_C.",
                "{\"name\": \"by\", \"zz\": 20}|/bypass/zz|bypass, zz: not a known key here; expected one of bore_mm, electric, flaps, id, name, opens_C.",
                "{\"name\": \"by\", \"opens_C\": 20, \"flaps\": 1, \"electric\": 1}|/bypass/electric|bypass, electric: the number 1; expected true or false.",
                "{\"name\": \"\", \"opens_C\": 20, \"flaps\": 1}|/bypass/name|bypass, name: empty; expected a name."
            })
    void itIsRefusedByPlaceValueAndRange(String json, String place, String sentence) {
        assertThatThrownBy(() -> check(json)).isInstanceOfSatisfying(EnthalpaFault.class, fault -> {
            assertThat(fault.sentence()).isEqualTo(sentence);
            assertThat(fault.field()).isEqualTo(place);
        });
    }
}
