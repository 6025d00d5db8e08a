package io.enthalpa.formats;

import java.awt.Color;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;

/** A list on paper: headings, lines with a box to tick, tables, and room to sign. */
public final class SheetPdf {
    /** Lines of one sheet, at most. */
    public static final int MOST_LINES = 2000;

    private static final float EDGE = 48;
    private static final float SIZE = 10;
    private static final float STEP = 14;
    private static final float BOX = 8.5f;
    private static final Color INK = new Color(20, 28, 33);
    private static final Color FAINT = new Color(110, 120, 126);
    private static final PDRectangle PAGE = PDRectangle.A4;
    private static final float WIDE = PAGE.getWidth() - 2 * EDGE;

    /**
     * @param title    "Leak test"
     * @param under    build, option and day
     * @param sections in order
     * @param signed   whether it ends with room for name and day
     */
    public record Sheet(String title, String under, List<Section> sections, boolean signed) {
        public Sheet {
            sections = List.copyOf(sections);
        }
    }

    /**
     * @param heading may be empty
     * @param ticked  whether each line has a box before it
     * @param lines   of text
     * @param table   rows of cells, the first its head; empty for none
     */
    public record Section(String heading, boolean ticked, List<String> lines, List<List<String>> table) {
        public Section {
            lines = List.copyOf(lines);
            table = List.copyOf(table);
        }
    }

    private final PDDocument document = new PDDocument();
    private final PDFont font;
    private PDPageContentStream in;
    private float y;

    private SheetPdf() throws IOException {
        PdfFonts.quiet();
        // Comes with the library and has the letters of most of Europe: names are written in them.
        try (InputStream letters = Objects.requireNonNull(
                PDDocument.class.getResourceAsStream("/org/apache/pdfbox/resources/ttf/LiberationSans-Regular.ttf"))) {
            font = PDType0Font.load(document, letters, true);
        }
        in = page();
    }

    /** @return a PDF of A4 pages */
    public static byte[] of(Sheet sheet) {
        try {
            return new SheetPdf().written(sheet);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private PDPageContentStream page() throws IOException {
        PDPage page = new PDPage(PAGE);
        document.addPage(page);
        y = PAGE.getHeight() - EDGE - SIZE;
        return new PDPageContentStream(document, page);
    }

    private void room(float needed) throws IOException {
        if (y - needed < EDGE) {
            in.close();
            in = page();
        }
    }

    private byte[] written(Sheet sheet) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (document) {
            document.getDocumentInformation().setTitle(sheet.title());
            text(EDGE, 17, INK, sheet.title());
            y -= 18;
            for (String line : wrapped(sheet.under(), WIDE)) {
                text(EDGE, SIZE, FAINT, line);
                y -= STEP;
            }
            for (Section section : sheet.sections()) {
                section(section);
            }
            if (sheet.signed()) {
                room(60);
                y -= 40;
                rule(EDGE, EDGE + 210);
                rule(EDGE + 250, EDGE + 400);
                y -= 11;
                text(EDGE, 8, FAINT, "name");
                text(EDGE + 250, 8, FAINT, "day and time");
            }
            in.close();
            document.save(out);
        }
        return out.toByteArray();
    }

    private void section(Section section) throws IOException {
        y -= 10;
        if (!section.heading().isBlank()) {
            room(3 * STEP);
            text(EDGE, 11.5f, INK, section.heading());
            y -= 5;
            rule(EDGE, EDGE + WIDE);
            y -= STEP;
        }
        float from = section.ticked() ? EDGE + 16 : EDGE;
        for (String line : section.lines()) {
            List<String> parts = wrapped(line, WIDE - (from - EDGE));
            room(parts.size() * STEP);
            if (section.ticked()) {
                in.setStrokingColor(INK);
                in.setLineWidth(0.7f);
                in.addRect(EDGE, y - 1, BOX, BOX);
                in.stroke();
            }
            for (String part : parts) {
                text(from, SIZE, INK, part);
                y -= STEP;
            }
            y -= 2;
        }
        table(section.table());
    }

    private void table(List<List<String>> rows) throws IOException {
        if (rows.isEmpty()) {
            return;
        }
        int columns = rows.stream().mapToInt(List::size).max().orElse(0);
        float[] wide = new float[columns];
        for (List<String> row : rows) {
            for (int c = 0; c < row.size(); c++) {
                wide[c] = Math.max(wide[c], width(row.get(c), SIZE) + 14);
            }
        }
        float all = 0;
        for (float w : wide) {
            all += w;
        }
        float scale = all > WIDE ? WIDE / all : 1;
        for (int r = 0; r < rows.size(); r++) {
            room(STEP);
            float x = EDGE;
            for (int c = 0; c < rows.get(r).size(); c++) {
                String cell = fitting(rows.get(r).get(c), wide[c] * scale - 8);
                // Words to the left, figures to the right, as in any table.
                float at = c == 0 ? x : x + wide[c] * scale - 8 - width(cell, SIZE);
                text(at, SIZE, r == 0 ? FAINT : INK, cell);
                x += wide[c] * scale;
            }
            y -= STEP;
        }
    }

    private String fitting(String cell, float wide) throws IOException {
        String cut = cell;
        while (cut.length() > 1 && width(cut, SIZE) > wide) {
            cut = cut.substring(0, cut.length() - 1);
        }
        return cut;
    }

    private float width(String text, float size) throws IOException {
        return font.getStringWidth(shown(text)) / 1000 * size;
    }

    private List<String> wrapped(String text, float wide) throws IOException {
        List<String> lines = new ArrayList<>();
        String line = "";
        for (String word : text.strip().split("\\s+")) {
            String longer = line.isEmpty() ? word : line + " " + word;
            if (!line.isEmpty() && width(longer, SIZE) > wide) {
                lines.add(line);
                line = word;
            } else {
                line = longer;
            }
        }
        if (!line.isEmpty()) {
            lines.add(line);
        }
        return lines;
    }

    private void text(float x, float size, Color ink, String words) throws IOException {
        in.beginText();
        in.setNonStrokingColor(ink);
        in.setFont(font, size);
        in.newLineAtOffset(x, y);
        in.showText(shown(words));
        in.endText();
    }

    /** What the font has no letter for is a question mark. */
    private String shown(String words) {
        StringBuilder shown = new StringBuilder();
        words.codePoints().forEach(letter -> {
            String one = Character.toString(letter);
            try {
                font.encode(one);
                shown.append(one);
            } catch (IOException | IllegalArgumentException none) {
                shown.append(Character.isWhitespace(letter) || Character.isISOControl(letter) ? ' ' : '?');
            }
        });
        return shown.toString();
    }

    private void rule(float from, float to) throws IOException {
        in.setStrokingColor(FAINT);
        in.setLineWidth(0.5f);
        in.moveTo(from, y);
        in.lineTo(to, y);
        in.stroke();
    }
}
