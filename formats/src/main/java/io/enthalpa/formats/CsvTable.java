package io.enthalpa.formats;

import de.siegmar.fastcsv.reader.CommentStrategy;
import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import de.siegmar.fastcsv.reader.FieldMismatchStrategy;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;

/**
 * A CSV file as its heading and its rows: comma, semicolon or tab, whichever the heading uses; lines that start with # are comments.
 *
 * @param heading  column names as written
 * @param rows     cells, each with the line it stood on
 * @param comments without the #
 */
record CsvTable(List<String> heading, List<Row> rows, List<String> comments) {
    /** Apostrophes that stand there already are kept by one more. */
    private static final Pattern FORMULA = Pattern.compile("'*[=+\\-@\\t\\r]");

    private static final int LARGEST = 4_000_000;
    private static final int MOST_ROWS = 20_000;

    record Row(long line, List<String> cells) {
        /** @return the cell, empty when the row is short */
        String cell(int column) {
            return column < cells.size() ? cells.get(column).strip() : "";
        }
    }

    /**
     * @param what the file as the reader knows it, "map file"
     * @throws EnthalpaFault {@link FaultKind#MALFORMED} when it is no table
     */
    static CsvTable read(String what, String text) {
        if (text.length() > LARGEST) {
            throw malformed(what, text.length() + " characters", "at most " + LARGEST);
        }
        List<String> comments = new ArrayList<>();
        List<Row> rows = new ArrayList<>();
        List<String> heading = null;
        try (CsvReader<CsvRecord> reader = CsvReader.builder()
                .fieldSeparator(separator(text))
                .commentStrategy(CommentStrategy.READ)
                .extraFieldStrategy(FieldMismatchStrategy.IGNORE)
                .missingFieldStrategy(FieldMismatchStrategy.IGNORE)
                .ofCsvRecord(text.startsWith("\uFEFF") ? text.substring(1) : text)) {
            for (CsvRecord record : reader) {
                if (record.isComment()) {
                    comments.add(record.getField(0).strip());
                } else if (record.getFields().stream().allMatch(String::isBlank)) {
                    continue;
                } else if (heading == null) {
                    heading = record.getFields().stream().map(String::strip).toList();
                } else {
                    rows.add(new Row(record.getStartingLineNumber(), record.getFields()));
                }
                if (rows.size() > MOST_ROWS) {
                    throw malformed(what, "more than " + MOST_ROWS + " rows", "at most that many");
                }
            }
        } catch (IOException | CsvParseException e) {
            throw malformed(what, "not readable as CSV", "rows of cells with a heading");
        }
        if (heading == null) {
            throw malformed(what, "empty", "a heading and rows");
        }
        return new CsvTable(heading, rows, comments);
    }

    /**
     * Words that a table program would take for a formula are written with an apostrophe before them, as such programs write them
     * themselves; {@link #asMeant} takes it off again.
     */
    static String harmless(String words) {
        return FORMULA.matcher(words).lookingAt() ? "'" + words : words;
    }

    /** @return the words that {@link #harmless} was given */
    static String asMeant(String cell) {
        return cell.startsWith("'") && FORMULA.matcher(cell.substring(1)).lookingAt() ? cell.substring(1) : cell;
    }

    static char separator(String text) {
        String first = text.lines()
                .filter(l -> !l.isBlank() && !l.strip().startsWith("#"))
                .findFirst()
                .orElse("");
        return first.indexOf('\t') >= 0 ? '\t' : first.indexOf(';') >= 0 ? ';' : ',';
    }

    static EnthalpaFault malformed(String what, String found, String expected) {
        return EnthalpaFault.of(FaultKind.MALFORMED, "", what, found, expected, "");
    }
}
