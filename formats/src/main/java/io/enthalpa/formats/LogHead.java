package io.enthalpa.formats;

import de.siegmar.fastcsv.reader.CommentStrategy;
import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import de.siegmar.fastcsv.reader.FieldMismatchStrategy;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import io.enthalpa.core.quantity.Quantity;
import io.enthalpa.core.quantity.Unit;
import io.enthalpa.core.telemetry.Channel;
import io.enthalpa.core.telemetry.LogFinding;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * What the beginning of a log tells of the whole: what parts its columns, where its headings stand, whether a row of units follows.
 *
 * @param separator between cells
 * @param headings  as written; "column 3" where the file has none
 * @param units     of the row under the headings; empty without one
 * @param firstRow  line of the first row of numbers
 * @param sample    the first rows of numbers
 */
public record LogHead(
        char separator, List<String> headings, List<String> units, long firstRow, List<List<String>> sample) {
    static final String WHAT = "log file";
    /** Characters that are looked at. */
    static final int LOOKED_AT = 1 << 15;

    private static final int MOST_COLUMNS = 2000;
    private static final int SAMPLED = 200;
    private static final Pattern NUMBER = Pattern.compile("[+-]?(?:\\d+(?:[.,]\\d*)?|[.,]\\d+)(?:[eE][+-]?\\d+)?");
    private static final Pattern MOMENT = Pattern.compile("(?:\\d{4}-\\d\\d-\\d\\d[T ])?\\d+:\\d\\d.*");
    private static final char[] SEPARATORS = {'\t', ';', ',', '|'};

    /** Numbers between these under a heading that says °C are kelvin: no sensor of a charge cooler reads so high. */
    private static final double KELVIN_FROM = 230;

    private static final double KELVIN_TO = 420;

    /** A row as it stood. */
    private record Line(long number, List<String> cells) {
        boolean isOfNumbers() {
            long filled = cells.stream().filter(c -> !c.isBlank()).count();
            long numbers = cells.stream().filter(LogHead::isNumber).count();
            return filled > 0 && 2 * numbers >= filled;
        }
    }

    /** @param unit of its numbers; for time null where they are clock times, 0:12:34.5 */
    public record Column(int index, String heading, Unit unit) {}

    /**
     * @param columns what each channel is read from; of channels nothing fits, nothing
     * @param notes   what the reader should know of it
     */
    public record Guess(Map<Channel, Column> columns, List<LogFinding> notes) {}

    /**
     * @param start the beginning of a file
     * @throws EnthalpaFault {@link FaultKind#MALFORMED} saying why it is no log
     */
    public static LogHead of(String start) {
        String text = start.startsWith("\uFEFF") ? start.substring(1) : start;
        if (text.indexOf('\0') >= 0) {
            throw CsvTable.malformed(WHAT, "no text", "rows of cells with a heading, as a logger exports them as CSV");
        }
        boolean cut = start.length() >= LOOKED_AT;
        char separator = ',';
        List<Line> lines = List.of();
        for (char candidate : SEPARATORS) {
            List<Line> parted = lines(text, candidate, cut);
            if (usualWidth(parted) > 1) {
                separator = candidate;
                lines = parted;
                break;
            }
            lines = candidate == ',' ? parted : lines;
        }
        if (lines.isEmpty()) {
            throw CsvTable.malformed(WHAT, "empty", "a heading and rows");
        }
        return of(separator, lines);
    }

    private static LogHead of(char separator, List<Line> lines) {
        int width = usualWidth(lines);
        int first = 0;
        while (first < lines.size()
                && !(lines.get(first).isOfNumbers()
                        && 2 * lines.get(first).cells().size() >= width)) {
            first++;
        }
        boolean none = first == lines.size();
        int heading = none ? 0 : first - 1;
        List<String> units = List.of();
        if (heading >= 1 && isOfUnits(lines.get(heading).cells())) {
            units = lines.get(heading).cells();
            heading--;
        }
        List<String> headings =
                heading < 0 ? numbered(width) : lines.get(heading).cells();
        if (headings.size() > MOST_COLUMNS) {
            throw CsvTable.malformed(WHAT, headings.size() + " columns", "at most " + MOST_COLUMNS);
        }
        List<Line> rows = none ? List.of() : lines.subList(first, lines.size());
        if (separator == ',') {
            refuseCommasOfTwoKinds(headings.size(), rows);
        }
        long firstRow = none ? lines.get(0).number() + 1 : rows.get(0).number();
        return new LogHead(
                separator,
                headings,
                units,
                firstRow,
                rows.stream().map(Line::cells).limit(SAMPLED).toList());
    }

    private static List<String> numbered(int width) {
        List<String> names = new ArrayList<>();
        for (int i = 1; i <= width; i++) {
            names.add("column " + i);
        }
        return names;
    }

    /** Decimals with commas between cells parted by commas cannot be told apart. */
    private static void refuseCommasOfTwoKinds(int columns, List<Line> rows) {
        int more = 0;
        Line line = null;
        for (Line row : rows) {
            int filled = row.cells().size();
            while (filled > 0 && row.cells().get(filled - 1).isBlank()) {
                filled--;
            }
            if (filled > columns) {
                line = line == null ? row : line;
                more++;
            }
        }
        if (line != null && 2 * more > rows.size()) {
            throw EnthalpaFault.of(
                    FaultKind.MALFORMED,
                    "",
                    "%s, line %d".formatted(WHAT, line.number()),
                    "%d cells under %d headings".formatted(line.cells().size(), columns),
                    "one cell for each heading",
                    "Where decimals are written with commas, columns must be parted by semicolons or tabs: export it again so.");
        }
    }

    private static List<Line> lines(String text, char separator, boolean cut) {
        List<Line> lines = new ArrayList<>();
        try (CsvReader<CsvRecord> csv = open(separator).ofCsvRecord(text)) {
            for (CsvRecord line : csv) {
                if (!line.isComment() && !line.getFields().stream().allMatch(String::isBlank)) {
                    lines.add(new Line(
                            line.getStartingLineNumber(),
                            line.getFields().stream().map(String::strip).toList()));
                }
            }
        } catch (IOException | CsvParseException e) {
            // The beginning may end within a quoted cell; what stands before it tells enough.
            return lines;
        }
        return cut && lines.size() > 1 ? lines.subList(0, lines.size() - 1) : lines;
    }

    static CsvReader.CsvReaderBuilder open(char separator) {
        return CsvReader.builder()
                .fieldSeparator(separator)
                .commentStrategy(CommentStrategy.READ)
                .extraFieldStrategy(FieldMismatchStrategy.IGNORE)
                .missingFieldStrategy(FieldMismatchStrategy.IGNORE);
    }

    /** @return cells of most rows, what stands above the table left out */
    private static int usualWidth(List<Line> lines) {
        int[] widths = lines.stream()
                .skip(lines.size() / 3)
                .mapToInt(l -> l.cells().size())
                .sorted()
                .toArray();
        return widths.length == 0 ? 0 : widths[widths.length / 2];
    }

    private static boolean isNumber(String cell) {
        return NUMBER.matcher(cell).matches() || MOMENT.matcher(cell).matches();
    }

    private static boolean isOfUnits(Collection<String> cells) {
        long filled = cells.stream().filter(c -> !c.isBlank()).count();
        long units = cells.stream()
                .filter(c -> !c.isBlank())
                .filter(c -> Arrays.stream(Quantity.values())
                        .anyMatch(q -> inRow(q, c).isPresent()))
                .count();
        return filled > 0 && 2 * units >= filled;
    }

    private static Optional<Unit> inRow(Quantity quantity, String cell) {
        String plain = cell.replaceAll("^[\\[(]|[\\])]$", "").strip();
        return plain.isEmpty() ? Optional.empty() : quantity.unit(plain);
    }

    /**
     * @param columns as "TIME:0:s,ENGINE_SPEED:3:rpm": channel, column from 0, unit
     * @return by channel; empty for an empty text
     */
    public static Map<Channel, Column> chosen(String columns) {
        Map<Channel, Column> chosen = new EnumMap<>(Channel.class);
        for (String one : columns.isBlank() ? new String[0] : columns.split(",")) {
            String[] parts = one.split(":", 3);
            try {
                Channel channel = Channel.valueOf(parts[0]);
                int index = Integer.parseInt(parts[1]);
                chosen.put(
                        channel,
                        new Column(
                                index,
                                "column " + (index + 1),
                                channel.quantity().requireUnit(parts[2])));
            } catch (IllegalArgumentException | ArrayIndexOutOfBoundsException e) {
                throw EnthalpaFault.of(
                        FaultKind.MALFORMED,
                        "",
                        "columns",
                        "\"" + one + "\"",
                        "a role, a column and a unit, as in TIME:0:s",
                        "");
            }
        }
        return chosen;
    }

    /** @return columns as {@link #chosen} reads them */
    public static String written(Map<Channel, Column> columns) {
        return columns.entrySet().stream()
                .map(e -> e.getKey() + ":" + e.getValue().index() + ":"
                        + (e.getValue().unit() == null
                                        ? e.getKey().usualUnit()
                                        : e.getValue().unit())
                                .symbol())
                .collect(Collectors.joining(","));
    }

    /** @param of the channels that are looked for @return what each takes by the headings */
    public Guess guess(Set<Channel> of) {
        Map<Channel, Column> guessed = new EnumMap<>(Channel.class);
        List<LogFinding> notes = new ArrayList<>();
        boolean[] taken = new boolean[headings.size()];
        for (int fit = LogNames.BEST; fit > 0; fit--) {
            for (Channel channel : Channel.values()) {
                for (int i = 0; of.contains(channel) && i < taken.length; i++) {
                    if (!taken[i] && !guessed.containsKey(channel) && LogNames.fits(channel, headings.get(i)) == fit) {
                        taken[i] = true;
                        guessed.put(channel, column(channel, i, notes));
                    }
                }
            }
        }
        Set<String> seen = new HashSet<>();
        headings.stream()
                .filter(h -> !h.isBlank() && !seen.add(h))
                .distinct()
                .forEach(h -> notes.add(new LogFinding(LogFinding.Kind.LOG_TWO_OF_NAME, h, "", List.of())));
        return new Guess(guessed, notes);
    }

    private Column column(Channel channel, int i, List<LogFinding> notes) {
        Unit unit = LogNames.unit(channel.quantity(), headings.get(i))
                .or(() -> i < units.size() ? inRow(channel.quantity(), units.get(i)) : Optional.empty())
                .orElse(channel.usualUnit());
        if (channel.isTemperature() && unit.equals(channel.usualUnit()) && isKelvin(i)) {
            notes.add(new LogFinding(LogFinding.Kind.LOG_KELVIN, headings.get(i), "", List.of()));
            unit = channel.quantity().requireUnit("K");
        }
        return new Column(i, headings.get(i), unit);
    }

    private boolean isKelvin(int column) {
        double[] values = sample.stream()
                .filter(row ->
                        column < row.size() && NUMBER.matcher(row.get(column)).matches())
                .mapToDouble(row -> Double.parseDouble(row.get(column).replace(',', '.')))
                .sorted()
                .toArray();
        return values.length > 0 && values[0] > KELVIN_FROM && values[values.length - 1] < KELVIN_TO;
    }
}
