package io.enthalpa.formats;

import static org.assertj.core.api.Assertions.assertThat;

import io.enthalpa.core.room.Preset;
import java.io.IOException;
import java.util.stream.Stream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** The list on paper says all that the page asks for, once each, in its order. */
class TapeListPdfTest {
    static Stream<Preset> presets() {
        return Preset.all().stream();
    }

    private static String words(Preset preset, String unit) throws IOException {
        try (PDDocument document = Loader.loadPDF(TapeListPdf.of(preset, MeshFile.unit(unit)))) {
            assertThat(document.getNumberOfPages()).isBetween(1, 2);
            return new PDFTextStripper().getText(document).replaceAll("\\s+", " ");
        }
    }

    @ParameterizedTest
    @MethodSource("presets")
    void everyMeasureIsThereWithItsBlank(Preset preset) throws IOException {
        String words = words(preset, "mm");
        assertThat(words).contains("Tape list: " + preset.title(), "All from: " + preset.datum() + ".", "In mm.");
        int number = 0;
        for (Preset.Measure m : preset.measures()) {
            number++;
            assertThat(words).contains(number + ". " + m.label());
            assertThat(words).contains("usually " + Math.round(m.usual() * 1000));
        }
    }

    @ParameterizedTest
    @MethodSource("presets")
    void inInchesToATenth(Preset preset) throws IOException {
        Preset.Measure first = preset.measures().get(0);
        assertThat(words(preset, "in"))
                .contains("In in.", "usually %.1f".formatted(Math.round(first.usual() / 0.0254 * 10) / 10.0));
    }
}
