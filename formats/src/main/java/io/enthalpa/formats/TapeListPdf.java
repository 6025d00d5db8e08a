package io.enthalpa.formats;

import io.enthalpa.core.quantity.Unit;
import io.enthalpa.core.room.Mount;
import io.enthalpa.core.room.Obstacle;
import io.enthalpa.core.room.Preset;
import io.enthalpa.core.room.Taped;
import io.enthalpa.core.space.Bounds;
import io.enthalpa.core.space.Silhouette;
import io.enthalpa.core.space.Solid;
import java.awt.Color;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType1Font;
import org.apache.pdfbox.pdmodel.font.Standard14Fonts.FontName;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/** What to measure of a usual place, on paper: a drawing of each measure with the tape in it, and a blank to write it into. */
public final class TapeListPdf {
    static {
        PdfFonts.quiet();
    }

    private static final PDFont PLAIN = new PDType1Font(FontName.HELVETICA);
    private static final PDFont BOLD = new PDType1Font(FontName.HELVETICA_BOLD);
    private static final float EDGE = 42;
    private static final float ROW = 104;
    private static final float DRAWING = 78;
    private static final float DRAWN_WIDE = 128;
    private static final int COLUMNS = 2;
    private static final Color FAINT = new Color(150, 160, 166);
    private static final Color INK = new Color(20, 28, 33);
    private static final Color TAPE = new Color(36, 68, 160);
    private static final Color LAND = new Color(226, 232, 234);

    private final Preset preset;
    private final Unit unit;
    private final List<Obstacle> usual;
    private final PDDocument document = new PDDocument();

    private TapeListPdf(Preset preset, Unit unit) {
        this.preset = preset;
        this.unit = unit;
        this.usual = preset.obstacles(Map.of());
    }

    /** @param unit of a length, that the blanks are in @return a PDF of A4 pages */
    public static byte[] of(Preset preset, Unit unit) {
        try {
            return new TapeListPdf(preset, unit).pages();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private byte[] pages() throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (document) {
            document.getDocumentInformation().setTitle("Tape list: " + preset.title());
            List<Preset.Measure> measures = preset.measures();
            int next = 0;
            while (next < measures.size()) {
                PDPage page = new PDPage(PDRectangle.A4);
                document.addPage(page);
                try (PDPageContentStream in = new PDPageContentStream(document, page)) {
                    float top = head(in, next == 0);
                    int rows = (int) ((top - EDGE) / ROW);
                    int here = Math.min(rows * COLUMNS, measures.size() - next);
                    int down = (here + COLUMNS - 1) / COLUMNS;
                    float wide = (PDRectangle.A4.getWidth() - 2 * EDGE) / COLUMNS;
                    for (int i = 0; i < here; i++) {
                        // Down the first column, then down the second: the order in which one walks.
                        int column = i / down;
                        measure(in, next + i, EDGE + column * (wide + 6), top - i % down * ROW);
                    }
                    next += here;
                }
            }
            document.save(out);
        }
        return out.toByteArray();
    }

    private float head(PDPageContentStream in, boolean first) throws IOException {
        float y = PDRectangle.A4.getHeight() - EDGE - 10;
        text(in, BOLD, 15, INK, EDGE, y, "Tape list: " + preset.title());
        y -= 17;
        text(in, PLAIN, 9.5f, INK, EDGE, y, "All from: " + preset.datum() + ".");
        y -= 13;
        text(
                in,
                PLAIN,
                9.5f,
                INK,
                EDGE,
                y,
                "Rearward, to the right as one sits, and up are more than 0; the other way less than 0. In "
                        + unit.symbol() + ".");
        if (first) {
            y -= 20;
            text(in, PLAIN, 9.5f, INK, EDGE, y, "Build");
            line(in, INK, 0.6f, EDGE + 30, y - 2, EDGE + 250, y - 2);
            text(in, PLAIN, 9.5f, INK, EDGE + 266, y, "measured on");
            line(in, INK, 0.6f, EDGE + 326, y - 2, PDRectangle.A4.getWidth() - EDGE, y - 2);
        }
        return y - 16;
    }

    private void measure(PDPageContentStream in, int number, float x, float top) throws IOException {
        Preset.Measure m = preset.measures().get(number);
        line(in, FAINT, 0.4f, x, top, x + DRAWN_WIDE + 121, top);
        new Drawing(in, x, top - DRAWING - 9, m).draw();
        float words = x + DRAWN_WIDE + 10;
        float y = top - 18;
        text(in, BOLD, 9.5f, INK, words - 2, y, (number + 1) + ".");
        for (String part : wrapped(m.label(), BOLD, 9.5f, 96)) {
            text(in, BOLD, 9.5f, INK, words + 16, y, part);
            y -= 11.5f;
        }
        for (String part : wrapped(m.how(), PLAIN, 8, 96)) {
            text(in, PLAIN, 8, INK, words + 16, y, part);
            y -= 10;
        }
        float blank = top - DRAWING - 6;
        line(in, INK, 0.8f, words + 15, blank, words + 75, blank);
        text(in, PLAIN, 9.5f, INK, words + 79, blank + 1, unit.symbol());
        text(in, PLAIN, 7, FAINT, words + 15, blank - 9, "usually " + figure(m.usual()));
    }

    private String figure(double metres) {
        double value = unit.fromSi(metres);
        return String.format(Locale.ROOT, Math.abs(value) < 100 && unit.factor() > 0.005 ? "%.1f" : "%.0f", value);
    }

    private static List<String> wrapped(String text, PDFont font, float size, float wide) throws IOException {
        List<String> lines = new ArrayList<>();
        String line = "";
        for (String word : text.isBlank() ? new String[0] : text.split(" ")) {
            String longer = line.isEmpty() ? word : line + " " + word;
            if (!line.isEmpty() && font.getStringWidth(longer) / 1000 * size > wide) {
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

    private static void text(PDPageContentStream in, PDFont font, float size, Color ink, float x, float y, String words)
            throws IOException {
        in.beginText();
        in.setNonStrokingColor(ink);
        in.setFont(font, size);
        in.newLineAtOffset(x, y);
        in.showText(words);
        in.endText();
    }

    private static void line(PDPageContentStream in, Color ink, float width, float x1, float y1, float x2, float y2)
            throws IOException {
        in.setStrokingColor(ink);
        in.setLineWidth(width);
        in.moveTo(x1, y1);
        in.lineTo(x2, y2);
        in.stroke();
    }

    /** The place in the view in which the tape is seen in its length: from the left, what is rearward or up; from the front, what is across. */
    private final class Drawing {
        private final PDPageContentStream in;
        private final float x;
        private final float y;
        private final Taped taped;
        private final boolean fromFront;
        private final double left;
        private final double low;
        private final double scale;

        Drawing(PDPageContentStream in, float x, float y, Preset.Measure measure) {
            this.in = in;
            this.x = x;
            this.y = y;
            this.taped = Taped.of(preset, measure).orElseThrow();
            this.fromFront = taped.axis() == Mount.Axis.RIGHT;
            double[] box = {-0.05, -0.05, 0.05, 0.05};
            for (Obstacle obstacle : usual) {
                obstacle.solid().bounds().ifPresent(b -> widen(box, b));
            }
            this.scale = 0.94 * Math.min(DRAWN_WIDE / (box[2] - box[0]), DRAWING / (box[3] - box[1]));
            this.left = (box[0] + box[2]) / 2 - DRAWN_WIDE / scale / 2;
            this.low = (box[1] + box[3]) / 2 - DRAWING / scale / 2;
        }

        private void widen(double[] box, Bounds b) {
            // From the front the car's right is to the left.
            box[0] = Math.min(box[0], fromFront ? -b.maxY() : b.minX());
            box[2] = Math.max(box[2], fromFront ? -b.minY() : b.maxX());
            box[1] = Math.min(box[1], b.minZ());
            box[3] = Math.max(box[3], b.maxZ());
        }

        private float across(double along) {
            return (float) (x + ((fromFront ? -along : along) - left) * scale);
        }

        private float up(double height) {
            return (float) (y + (height - low) * scale);
        }

        void draw() throws IOException {
            in.saveGraphicsState();
            in.addRect(x, y, DRAWN_WIDE, DRAWING);
            in.clip();
            for (int pass = 0; pass < 2; pass++) {
                for (int k = 0; k < usual.size(); k++) {
                    boolean moves = taped.moves().contains(k);
                    if (moves == (pass == 1)) {
                        thing(usual.get(k).solid(), moves);
                    }
                }
            }
            // The datum.
            float dx = across(0);
            float dy = up(0);
            line(in, INK, 0.9f, dx - 4, dy, dx + 4, dy);
            line(in, INK, 0.9f, dx, dy - 4, dx, dy + 4);
            tape();
            in.restoreGraphicsState();
        }

        private void thing(Solid solid, boolean moves) throws IOException {
            in.setStrokingColor(moves ? INK : FAINT);
            in.setNonStrokingColor(LAND);
            in.setLineWidth(moves ? 1.1f : 0.4f);
            if (solid.half().isPresent()) {
                plane(solid.half().get());
                return;
            }
            for (Solid.Part part : solid.parts()) {
                boolean begun = false;
                for (double[] corner : Silhouette.of(part.convex(), fromFront ? 1 : 0, 2)) {
                    if (begun) {
                        in.lineTo(across(corner[0]), up(corner[1]));
                    } else {
                        in.moveTo(across(corner[0]), up(corner[1]));
                        begun = true;
                    }
                }
                in.closePath();
                // Walls all round would hide what stands between them.
                if (moves && taped.moves().size() <= 2) {
                    in.fillAndStroke();
                } else {
                    in.stroke();
                }
            }
        }

        private void plane(Solid.HalfSpace half) throws IOException {
            Vector3D n = half.normal();
            double slope = -(fromFront ? n.getY() : n.getX()) / n.getZ();
            double at = fromFront ? half.on().getY() : half.on().getX();
            in.moveTo(across(-3), up(half.on().getZ() + slope * (-3 - at)));
            in.lineTo(across(3), up(half.on().getZ() + slope * (3 - at)));
            in.stroke();
        }

        private void tape() throws IOException {
            boolean level = taped.axis() != Mount.Axis.UP;
            float x1 = level ? across(taped.from()) : across(taped.at().getX());
            float x2 = level ? across(taped.to()) : x1;
            float y1 = level ? up(taped.at().getZ()) : up(taped.from());
            float y2 = level ? y1 : up(taped.to());
            line(in, TAPE, 1.4f, x1, y1, x2, y2);
            // Across its ends, so that a short one is seen too.
            float tick = 4;
            for (float[] end : new float[][] {{x1, y1}, {x2, y2}}) {
                if (level) {
                    line(in, TAPE, 1.4f, end[0], end[1] - tick, end[0], end[1] + tick);
                } else {
                    line(in, TAPE, 1.4f, end[0] - tick, end[1], end[0] + tick, end[1]);
                }
            }
            if (level && Math.abs(taped.at().getZ()) > 0.02 && Math.abs(taped.from()) < 1e-6) {
                dashed(across(0), up(0), x1, y1);
            } else if (!level && Math.abs(taped.at().getX()) > 0.02 && Math.abs(taped.from()) < 1e-6) {
                dashed(across(0), up(0), x1, y1);
            }
        }

        /** From the datum to where the tape is read beside it. */
        private void dashed(float x1, float y1, float x2, float y2) throws IOException {
            in.setLineDashPattern(new float[] {1, 2}, 0);
            line(in, TAPE, 0.6f, x1, y1, x2, y2);
            in.setLineDashPattern(new float[0], 0);
        }
    }
}
