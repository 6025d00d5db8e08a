package io.enthalpa.formats;

import static org.assertj.core.api.Assertions.assertThat;

import io.enthalpa.formats.SheetPdf.Section;
import io.enthalpa.formats.SheetPdf.Sheet;
import java.io.IOException;
import java.util.Collections;
import java.util.List;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;

class SheetPdfTest {
    private static String words(Sheet sheet) throws IOException {
        try (PDDocument document = Loader.loadPDF(SheetPdf.of(sheet))) {
            return new PDFTextStripper().getText(document).replaceAll("\\s+", " ");
        }
    }

    @Test
    void everyLineIsOnPaperInOrderWithRoomToSign() throws IOException {
        assertThat(words(new Sheet(
                        "Leak test",
                        "Jan Łąk, Юнипер · option A",
                        List.of(
                                new Section(
                                        "Beware",
                                        true,
                                        List.of("Never above 95 kPa.", "Cold engine: −3 °C, 12 m²."),
                                        List.of()),
                                new Section(
                                        "Readings",
                                        false,
                                        List.of(),
                                        List.of(List.of("clock", "kPa"), List.of("0:00", "95.0")))),
                        true)))
                .contains("Leak test", "Jan Łąk, Юнипер · option A")
                .containsSubsequence(
                        "Beware",
                        "Never above 95 kPa.",
                        "Cold engine: −3 °C, 12 m².",
                        "Readings",
                        "clock",
                        "kPa",
                        "0:00",
                        "95.0",
                        "name",
                        "day and time");
    }

    @Test
    void whatNoFontHasIsAQuestionMarkAndLongOnesGoOverPages() throws IOException {
        String line = "word ".repeat(60) + "end\t漢\n";
        Sheet sheet =
                new Sheet("t", "", List.of(new Section("", true, Collections.nCopies(40, line), List.of())), false);
        try (PDDocument document = Loader.loadPDF(SheetPdf.of(sheet))) {
            assertThat(document.getNumberOfPages()).isGreaterThan(2);
            String text = new PDFTextStripper().getText(document);
            assertThat(text.split("end \\?", -1)).hasSize(41);
            assertThat(text).doesNotContain("day and time");
        }
    }
}
