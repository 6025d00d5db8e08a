package io.enthalpa.formats;

import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import io.enthalpa.core.quantity.QuantityText;
import io.enthalpa.core.quantity.Unit;
import io.enthalpa.core.telemetry.Channel;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.Reader;
import java.time.LocalDateTime;
import java.time.format.DateTimeParseException;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import java.util.function.Function;

/** The rows of a log as a stream, whatever parts its columns and however its numbers are written. */
final class LogLines {
    private static final LocalDateTime EPOCH = LocalDateTime.of(1970, 1, 1, 0, 0);

    private LogLines() {}

    /**
     * @param begin what to do with the head; answers what takes each row
     * @throws EnthalpaFault saying why it is no log
     */
    static void read(Reader text, Function<LogHead, Consumer<CsvRecord>> begin) {
        try {
            BufferedReader reader = new BufferedReader(text, 2 * LogHead.LOOKED_AT);
            reader.mark(LogHead.LOOKED_AT + 1);
            String start = start(reader);
            reader.reset();
            if (start.startsWith("\uFEFF")) {
                reader.read();
            }
            LogHead head = LogHead.of(start);
            Consumer<CsvRecord> rows = begin.apply(head);
            try (CsvReader<CsvRecord> csv = LogHead.open(head.separator()).ofCsvRecord(reader)) {
                for (CsvRecord line : csv) {
                    if (line.getStartingLineNumber() >= head.firstRow() && !line.isComment() && !isBlank(line)) {
                        rows.accept(line);
                    }
                }
            }
        } catch (IOException | CsvParseException e) {
            throw CsvTable.malformed(LogHead.WHAT, "not readable as CSV", "rows of cells with a heading");
        }
    }

    private static String start(Reader reader) throws IOException {
        char[] start = new char[LogHead.LOOKED_AT];
        int n = 0;
        for (int more = 0; n < start.length && more >= 0; n += Math.max(more, 0)) {
            more = reader.read(start, n, start.length - n);
        }
        return new String(start, 0, n);
    }

    private static boolean isBlank(CsvRecord line) {
        return line.getField(0).isBlank() && line.getFields().stream().allMatch(String::isBlank);
    }

    /** @return the columns with their headings @throws EnthalpaFault for one that the file does not have */
    static Map<Channel, LogHead.Column> named(Map<Channel, LogHead.Column> given, List<String> headings) {
        given.values().forEach(c -> {
            if (c.index() < 0 || c.index() >= headings.size()) {
                throw CsvTable.malformed(
                        LogHead.WHAT, "no column " + (c.index() + 1), "one of the " + headings.size() + " it has");
            }
        });
        given.replaceAll((role, c) -> new LogHead.Column(c.index(), headings.get(c.index()), c.unit()));
        return given;
    }

    static EnthalpaFault missing(String what, List<String> headings, String remedy) {
        return EnthalpaFault.of(
                FaultKind.MALFORMED,
                "",
                LogHead.WHAT,
                "no column for " + what + " among " + String.join(", ", headings),
                "one of them",
                remedy);
    }

    static String place(LogHead.Column column, long at) {
        return "%s, line %d, %s".formatted(LogHead.WHAT, at, column.heading());
    }

    static String cell(CsvRecord line, LogHead.Column column) {
        return column.index() < line.getFieldCount()
                ? line.getField(column.index()).strip()
                : "";
    }

    /** @return s, of whatever the log counts from */
    static double time(CsvRecord line, LogHead.Column column) {
        long at = line.getStartingLineNumber();
        String cell = cell(line, column);
        if (cell.isEmpty()) {
            throw EnthalpaFault.of(FaultKind.MALFORMED, "", place(column, at), "empty", "a time in every row", "");
        }
        return cell.indexOf(':') > 0 ? clock(cell, column, at) : number(cell, Channel.TIME, column, at);
    }

    private static double clock(String cell, LogHead.Column column, long at) {
        try {
            if (cell.indexOf('-') > 0) {
                LocalDateTime moment = LocalDateTime.parse(
                        cell.replace(' ', 'T').replace(',', '.').replaceAll("(?:Z|[+-]\\d\\d:?\\d\\d)$", ""));
                return ChronoUnit.MICROS.between(EPOCH, moment) * 1e-6;
            }
            double seconds = 0;
            for (String part : cell.split(":")) {
                seconds = 60 * seconds + Double.parseDouble(part.replace(',', '.'));
            }
            return seconds;
        } catch (NumberFormatException | DateTimeParseException e) {
            throw EnthalpaFault.of(FaultKind.NOT_A_NUMBER, "", place(column, at), cell, "12.5 s or 0:12.5", "");
        }
    }

    /** @return SI */
    static double number(String cell, Channel channel, LogHead.Column column, long at) {
        Unit unit = column.unit() == null ? channel.usualUnit() : column.unit();
        try {
            return unit.toSi(Double.parseDouble(cell.indexOf(',') >= 0 ? cell.replace(',', '.') : cell));
        } catch (NumberFormatException e) {
            return QuantityText.read(place(column, at), cell, channel.quantity(), unit);
        }
    }
}
