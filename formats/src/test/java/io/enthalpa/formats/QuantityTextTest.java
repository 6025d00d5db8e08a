package io.enthalpa.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.withinPercentage;

import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import io.enthalpa.core.quantity.Quantity;
import io.enthalpa.core.quantity.QuantityText;
import java.io.InputStream;
import java.util.stream.Stream;
import java.util.stream.StreamSupport;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The cases that the browser's reader is tested on as well (web/src/quantity/read.test.ts). */
class QuantityTextTest {
    static Stream<JsonNode> cases() {
        InputStream file = QuantityTextTest.class.getResourceAsStream("/quantity-cases.json");
        return StreamSupport.stream(JsonMapper.shared().readTree(file).spliterator(), false);
    }

    @ParameterizedTest
    @MethodSource("cases")
    void readsWhatPeopleType(JsonNode c) {
        Quantity quantity = Quantity.valueOf(c.get("quantity").stringValue());
        String text = c.get("text").stringValue();
        if (c.has("refused")) {
            assertThatThrownBy(() -> QuantityText.read(
                            "bore",
                            text,
                            quantity,
                            quantity.requireUnit(c.get("unit").stringValue())))
                    .isInstanceOfSatisfying(
                            EnthalpaFault.class,
                            fault -> assertThat(fault.kind())
                                    .isEqualTo(
                                            FaultKind.valueOf(c.get("refused").stringValue())));
        } else {
            assertThat(QuantityText.read(
                            "bore",
                            text,
                            quantity,
                            quantity.requireUnit(c.get("unit").stringValue())))
                    .isCloseTo(c.get("si").doubleValue(), withinPercentage(1e-7));
        }
    }
}
