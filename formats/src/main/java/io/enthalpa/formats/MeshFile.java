package io.enthalpa.formats;

import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import io.enthalpa.core.quantity.Quantity;
import io.enthalpa.core.quantity.Unit;
import io.enthalpa.core.space.Mesh;
import io.enthalpa.formats.document.MeshText;
import java.io.BufferedInputStream;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.StringTokenizer;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * A file of triangles: STL, binary or as text, or OBJ. Neither says its unit, so that has to be given. The file's x, y and z are taken as back,
 * right and up. Points are kept to a hundredth of a millimetre; those that come to the same are one, and a triangle that has no area then is left
 * out.
 *
 * @param mesh    in its own axes, its own origin in the middle of the box round it
 * @param middle  m, of that box in the file's axes
 * @param dropped triangles without area
 */
public record MeshFile(Mesh mesh, Vector3D middle, int dropped) {
    /** m: of the box round it. */
    private static final double LONGEST = 20;

    private static final double SHORTEST = 1e-3;
    /** m: of a place in the file; a car drawn far from its drawing's origin lies within it. */
    private static final double FARTHEST = 1000;

    private static final int HEAD = 84;
    private static final int RECORD = 50;

    /**
     * @param symbol what the file's numbers are in
     * @throws EnthalpaFault when it is no length's unit, for a file's unit is never guessed
     */
    public static Unit unit(String symbol) {
        return Quantity.LENGTH.units().stream()
                .filter(u -> u.symbol().equals(symbol))
                .findFirst()
                .orElseThrow(() -> EnthalpaFault.of(
                        FaultKind.MALFORMED,
                        "/unit",
                        "unit of the file",
                        symbol.isBlank()
                                ? "none"
                                : "\"" + (symbol.length() > 20 ? symbol.substring(0, 20) + "..." : symbol) + "\"",
                        "one of "
                                + String.join(
                                        ", ",
                                        Quantity.LENGTH.units().stream()
                                                .map(Unit::symbol)
                                                .toList()),
                        "The file does not say it: look it up in the program that wrote it."));
    }

    /** @throws EnthalpaFault telling where in the file something is not as it should be, or that it is too large or too small */
    public static MeshFile read(InputStream file, Unit unit) throws IOException {
        BufferedInputStream in = new BufferedInputStream(file, 1 << 16);
        in.mark(4096);
        byte[] start = in.readNBytes(2048);
        in.reset();
        Reading reading = new Reading(unit);
        if (start.length == 0) {
            throw malformed("it is empty", "");
        }
        String head = new String(start, StandardCharsets.ISO_8859_1);
        if (isText(start) && head.stripLeading().startsWith("solid")) {
            reading.textStl(lines(in));
        } else if (isText(start)) {
            reading.obj(lines(in));
        } else {
            reading.binaryStl(in);
        }
        return reading.end();
    }

    private static boolean isText(byte[] start) {
        for (byte b : start) {
            if (b >= 0 && b < ' ' && b != '\n' && b != '\r' && b != '\t' && b != '\f') {
                return false;
            }
        }
        return true;
    }

    private static BufferedReader lines(InputStream in) {
        return new BufferedReader(new InputStreamReader(in, StandardCharsets.ISO_8859_1));
    }

    private static EnthalpaFault malformed(String found, String remedy) {
        return EnthalpaFault.of(
                FaultKind.MALFORMED,
                "/file",
                "file of triangles",
                found,
                "triangles as STL, binary or text, or as OBJ",
                remedy);
    }

    private static EnthalpaFault tooMany(String found) {
        return EnthalpaFault.of(
                FaultKind.OUT_OF_RANGE,
                "/file",
                "triangles of the file",
                found,
                "1 and %,d".formatted(MeshText.MOST_TRIANGLES).replace(',', ' '),
                "Have the program that wrote it make it coarser, or cut away what is far from everything.");
    }

    private record Grid(long x, long y, long z) {}

    /** Points and triangles as they come. */
    private static final class Reading {
        private final Unit unit;
        private final Map<Grid, Integer> known = new HashMap<>();
        private final List<Grid> points = new ArrayList<>();
        private int[] triangles = new int[3 * 4096];
        private int used;
        private int dropped;

        Reading(Unit unit) {
            this.unit = unit;
        }

        private int point(double x, double y, double z, String where) {
            Grid grid = new Grid(steps(x, where), steps(y, where), steps(z, where));
            Integer there = known.putIfAbsent(grid, points.size());
            if (there == null) {
                points.add(grid);
                return points.size() - 1;
            }
            return there;
        }

        private long steps(double value, String where) {
            double metres = unit.toSi(value);
            if (!(Math.abs(metres) <= FARTHEST)) {
                throw malformed(
                        Double.isFinite(value)
                                ? "%s: a place %.0f m from the origin".formatted(where, Math.abs(metres))
                                : "%s: a place that is no number".formatted(where),
                        Double.isFinite(value)
                                ? "Is it really in " + unit.symbol() + "?"
                                : "Save it again from the program that made it.");
            }
            return Math.round(metres * MeshText.STEPS);
        }

        private void triangle(int a, int b, int c) {
            if (a == b || b == c || a == c) {
                dropped++;
                return;
            }
            if (used == 3 * MeshText.MOST_TRIANGLES) {
                throw tooMany("more than that");
            }
            if (used + 3 > triangles.length) {
                triangles = Arrays.copyOf(triangles, 2 * triangles.length);
            }
            triangles[used++] = a;
            triangles[used++] = b;
            triangles[used++] = c;
        }

        void binaryStl(InputStream in) throws IOException {
            byte[] head = in.readNBytes(HEAD);
            if (head.length < HEAD) {
                throw malformed("it is neither text nor a whole head of a binary STL", "");
            }
            long count = ByteBuffer.wrap(head).order(ByteOrder.LITTLE_ENDIAN).getInt(HEAD - 4) & 0xFFFFFFFFL;
            if (count > MeshText.MOST_TRIANGLES) {
                throw tooMany("%,d".formatted(count).replace(',', ' '));
            }
            for (int i = 1; i <= count; i++) {
                byte[] bytes = in.readNBytes(RECORD);
                if (bytes.length < RECORD) {
                    throw malformed(
                            "it ends after %d of %d triangles".formatted(i - 1, count),
                            "It may be cut short: save or copy it again.");
                }
                ByteBuffer b = ByteBuffer.wrap(bytes).order(ByteOrder.LITTLE_ENDIAN);
                int[] corners = new int[3];
                for (int k = 0; k < 3; k++) {
                    int at = 12 * (k + 1);
                    corners[k] = point(b.getFloat(at), b.getFloat(at + 4), b.getFloat(at + 8), "triangle " + i);
                }
                triangle(corners[0], corners[1], corners[2]);
            }
        }

        void textStl(BufferedReader lines) throws IOException {
            List<Integer> loop = new ArrayList<>();
            int number = 0;
            for (String line = lines.readLine(); line != null; line = lines.readLine()) {
                number++;
                StringTokenizer words = new StringTokenizer(line);
                String first = words.hasMoreTokens() ? words.nextToken().toLowerCase(Locale.ROOT) : "";
                if (first.equals("vertex")) {
                    loop.add(place(words, number));
                } else if (first.equals("endloop")) {
                    if (loop.size() != 3) {
                        throw malformed("line %d: %d corners".formatted(number, loop.size()), "");
                    }
                    triangle(loop.get(0), loop.get(1), loop.get(2));
                    loop.clear();
                }
            }
            if (!loop.isEmpty()) {
                throw malformed("it ends in the middle of a triangle", "It may be cut short: save or copy it again.");
            }
        }

        private int place(StringTokenizer words, int line) {
            String where = "line " + line;
            double[] at = new double[3];
            for (int k = 0; k < 3; k++) {
                String word = words.hasMoreTokens() ? words.nextToken() : "";
                try {
                    at[k] = Double.parseDouble(word);
                } catch (NumberFormatException e) {
                    throw malformed(
                            "%s: \"%s\" is no number".formatted(where, word),
                            "Save it again from the program that made it.");
                }
            }
            return point(at[0], at[1], at[2], where);
        }

        /** Only v and f are of any use; a face of more corners is taken as a fan. */
        void obj(BufferedReader lines) throws IOException {
            List<Integer> corners = new ArrayList<>();
            int number = 0;
            for (String line = lines.readLine(); line != null; line = lines.readLine()) {
                number++;
                StringTokenizer words = new StringTokenizer(line);
                String first = words.hasMoreTokens() ? words.nextToken() : "";
                if (first.equals("v")) {
                    if (corners.size() == 3 * MeshText.MOST_TRIANGLES) {
                        throw tooMany("more than that, by its points");
                    }
                    corners.add(place(words, number));
                } else if (first.equals("f")) {
                    face(words, corners, number);
                }
            }
        }

        private void face(StringTokenizer words, List<Integer> corners, int line) {
            List<Integer> round = new ArrayList<>();
            while (words.hasMoreTokens()) {
                String word = words.nextToken();
                String index = word.contains("/") ? word.substring(0, word.indexOf('/')) : word;
                int at;
                try {
                    at = Integer.parseInt(index);
                } catch (NumberFormatException e) {
                    throw malformed("line %d: \"%s\" is no corner".formatted(line, word), "");
                }
                int from = at < 0 ? corners.size() + at : at - 1;
                if (from < 0 || from >= corners.size()) {
                    throw malformed("line %d: corner %d of %d".formatted(line, at, corners.size()), "");
                }
                round.add(corners.get(from));
            }
            if (round.size() < 3) {
                throw malformed("line %d: a face of %d corners".formatted(line, round.size()), "");
            }
            for (int k = 2; k < round.size(); k++) {
                triangle(round.get(0), round.get(k - 1), round.get(k));
            }
        }

        MeshFile end() {
            if (used == 0) {
                throw malformed(
                        dropped == 0 ? "no triangle in it" : "%d triangles, all without area".formatted(dropped),
                        dropped == 0 ? "" : "Is it really in " + unit.symbol() + "?");
            }
            long[] low = {Long.MAX_VALUE, Long.MAX_VALUE, Long.MAX_VALUE};
            long[] high = {Long.MIN_VALUE, Long.MIN_VALUE, Long.MIN_VALUE};
            int[] numbers = new int[points.size()];
            Arrays.fill(numbers, -1);
            List<Grid> kept = new ArrayList<>();
            for (int i = 0; i < used; i++) {
                Grid p = points.get(triangles[i]);
                if (numbers[triangles[i]] < 0) {
                    numbers[triangles[i]] = kept.size();
                    kept.add(p);
                }
                triangles[i] = numbers[triangles[i]];
                long[] at = {p.x, p.y, p.z};
                for (int k = 0; k < 3; k++) {
                    low[k] = Math.min(low[k], at[k]);
                    high[k] = Math.max(high[k], at[k]);
                }
            }
            double longest = 0;
            long[] middle = new long[3];
            for (int k = 0; k < 3; k++) {
                longest = Math.max(longest, (high[k] - low[k]) / MeshText.STEPS);
                middle[k] = low[k] + (high[k] - low[k]) / 2;
            }
            if (!(longest >= SHORTEST && longest <= LONGEST)) {
                throw EnthalpaFault.of(
                        FaultKind.OUT_OF_RANGE,
                        "/unit",
                        "longest side of what is in the file",
                        "%.4g m".formatted(longest),
                        "0.001 and %.0f m".formatted(LONGEST),
                        "Is it really in " + unit.symbol() + "?");
            }
            double[] own = new double[3 * kept.size()];
            for (int i = 0; i < kept.size(); i++) {
                Grid p = kept.get(i);
                own[3 * i] = (p.x - middle[0]) / MeshText.STEPS;
                own[3 * i + 1] = (p.y - middle[1]) / MeshText.STEPS;
                own[3 * i + 2] = (p.z - middle[2]) / MeshText.STEPS;
            }
            return new MeshFile(
                    Mesh.of(own, Arrays.copyOf(triangles, used)),
                    new Vector3D(middle[0] / MeshText.STEPS, middle[1] / MeshText.STEPS, middle[2] / MeshText.STEPS),
                    dropped);
        }
    }
}
