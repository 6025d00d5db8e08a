package io.enthalpa.formats;

import de.siegmar.fastcsv.reader.CommentStrategy;
import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import de.siegmar.fastcsv.reader.FieldMismatchStrategy;
import io.enthalpa.core.duty.DutyPoint;
import io.enthalpa.core.duty.Gearing;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.quantity.Unit;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.Reader;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Any CSV of time and load as the rows of a duty: columns of any name, order and unit, comma, semicolon or tab, lines with # as comments.
 * Read as a stream; what is kept is bounded whatever the length (ten hours at 50 Hz are 1.8 million rows).
 */
public final class DutyCsv {
    static final String WHAT = "log file";

    private static final int HEAD = 1 << 16;

    private DutyCsv() {}

    /** @param unit of its numbers; for time null where they are clock times, 0:12:34.5 */
    public record Column(int index, String heading, Unit unit) {}

    /**
     * What the log does not say.
     *
     * @param outside Pa absolute
     * @param boost   Pa that a full throttle is taken for
     * @param limiter rad/s
     */
    public record Car(Optional<Gearing> gearing, double outside, double boost, double limiter) {}

    /** A hole in the log, bridged straight. */
    public record Gap(long line, double from, double seconds) {}

    /**
     * @param rows      of a duty, from 0 s
     * @param read      rows in the file
     * @param repeated  rows of the same time as the row above, left out
     * @param gaps      the first twenty
     * @param tolerance how many times wider than usual the thinning had to be
     * @param columns   what was read from where
     */
    public record Imported(
            List<DutyPoint> rows,
            long read,
            long repeated,
            List<Gap> gaps,
            double tolerance,
            Map<LogColumn, Column> columns) {}

    /** @return headings of a file and what each role takes by them; of roles nothing fits, nothing */
    public static Map<LogColumn, Column> guess(List<String> headings) {
        Map<LogColumn, Column> guessed = new EnumMap<>(LogColumn.class);
        boolean[] taken = new boolean[headings.size()];
        for (int fit = LogColumn.BEST; fit > 0; fit--) {
            for (LogColumn role : LogColumn.values()) {
                for (int i = 0; i < headings.size(); i++) {
                    if (!taken[i] && !guessed.containsKey(role) && role.fits(headings.get(i)) == fit) {
                        taken[i] = true;
                        guessed.put(
                                role,
                                new Column(
                                        i,
                                        headings.get(i),
                                        role.unit(headings.get(i)).orElse(role.usualUnit())));
                    }
                }
            }
        }
        return guessed;
    }

    /** @param start the first lines of a file @return its headings */
    public static List<String> headings(String start) {
        try {
            BufferedReader reader = new BufferedReader(new java.io.StringReader(start));
            try (CsvReader<CsvRecord> csv = open(reader)) {
                for (CsvRecord line : csv) {
                    if (!line.isComment() && !isBlank(line)) {
                        return line.getFields().stream().map(String::strip).toList();
                    }
                }
            }
        } catch (IOException | CsvParseException e) {
            throw CsvTable.malformed(WHAT, "not readable as CSV", "rows of cells with a heading");
        }
        throw CsvTable.malformed(WHAT, "empty", "a heading and rows");
    }

    /**
     * @param chosen columns as the user set them; empty to take them by their headings
     * @throws EnthalpaFault naming line and column of what cannot be
     */
    public static Imported read(Reader text, Map<LogColumn, Column> chosen, Car car) {
        try (CsvReader<CsvRecord> csv = open(new BufferedReader(text, HEAD))) {
            DutyCsvRows walk = null;
            for (CsvRecord line : csv) {
                if (line.isComment() || isBlank(line)) {
                    continue;
                }
                if (walk == null) {
                    List<String> headings =
                            line.getFields().stream().map(String::strip).toList();
                    walk = new DutyCsvRows(chosen.isEmpty() ? guess(headings) : chosen, headings, car);
                } else {
                    walk.row(line);
                }
            }
            if (walk == null) {
                throw CsvTable.malformed(WHAT, "empty", "a heading and rows");
            }
            return walk.end();
        } catch (IOException | CsvParseException e) {
            throw CsvTable.malformed(WHAT, "not readable as CSV", "rows of cells with a heading");
        }
    }

    private static boolean isBlank(CsvRecord line) {
        return line.getField(0).isBlank() && line.getFields().stream().allMatch(String::isBlank);
    }

    private static CsvReader<CsvRecord> open(BufferedReader reader) throws IOException {
        reader.mark(HEAD);
        char[] start = new char[HEAD / 2];
        int n = Math.max(reader.read(start), 0);
        reader.reset();
        String first = new String(start, 0, n)
                .lines()
                .filter(l -> !l.isBlank() && !l.strip().startsWith("#"))
                .findFirst()
                .orElse("");
        if (n > 0 && start[0] == '\uFEFF') {
            reader.read();
        }
        return CsvReader.builder()
                .fieldSeparator(CsvTable.separator(first))
                .commentStrategy(CommentStrategy.READ)
                .extraFieldStrategy(FieldMismatchStrategy.IGNORE)
                .missingFieldStrategy(FieldMismatchStrategy.IGNORE)
                .ofCsvRecord(reader);
    }
}
