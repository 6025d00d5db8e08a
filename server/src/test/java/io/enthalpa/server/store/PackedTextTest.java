package io.enthalpa.server.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import io.enthalpa.server.problem.StoreFault;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PackedTextTest {
    private static byte[] bytes(String text) {
        return text.getBytes(StandardCharsets.UTF_8);
    }

    /** Bytes that both begin and end alike, counted by hand: no byte may belong to the beginning and to the end. */
    @ParameterizedTest
    @CsvSource({
        "abcdef, abXdef, 2, 3",
        "abc, abcabc, 3, 0",
        "abcabc, abc, 3, 0",
        "aaa, aaaa, 3, 0",
        "abc, abc, 3, 0",
        "'', abc, 0, 0",
        "abc, '', 0, 0"
    })
    void onlyTheMiddleIsKept(String other, String text, int start, int end) {
        PackedText packed = PackedText.of(bytes(other), bytes(text));
        assertThat(List.of(packed.start(), packed.end(), packed.length())).containsExactly(start, end, text.length());
        assertThat(packed.unpack(bytes(other))).isEqualTo(bytes(text));
    }

    @Test
    void toldAgainstAnotherTextItIsRefusedInsteadOfWrong() {
        PackedText packed = PackedText.of(bytes("boost 80 kPa"), bytes("boost 95 kPa"));
        assertThatThrownBy(() -> packed.unpack(bytes("boost 80 psi")))
                .isInstanceOfSatisfying(
                        StoreFault.class, f -> assertThat(f.kind()).isEqualTo(StoreFault.Kind.DAMAGED));
    }

    @Test
    void aLargeMiddleComesInPiecesThatFitARow() {
        PackedText packed = new PackedText(0, 0, 0, new byte[2_500_000], 0);
        assertThat(packed.parts()).extracting(piece -> piece.length).containsExactly(1_000_000, 1_000_000, 500_000);
    }
}
