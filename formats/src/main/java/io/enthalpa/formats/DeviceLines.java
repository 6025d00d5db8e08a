package io.enthalpa.formats;

import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import io.enthalpa.core.telemetry.Channel;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.regex.Pattern;

/**
 * What a measuring device says, line by line: comments, a heading, rows, as in a logger's file (docs/devices.md). A line that is no row is counted and left out, for a line that is cut in
 * two on the wire must not end a drive.
 */
public final class DeviceLines {
    /** Characters of a line at most. */
    public static final int LONGEST = 4000;

    private static final String NAME = "# device:";
    private static final Pattern NUMBER = Pattern.compile("[-+]?(\\d+\\.?\\d*|\\.\\d+)([eE][-+]?\\d+)?");

    private String name = "";
    private boolean simulated;
    private String heading;
    private String separator;
    private List<Channel> channels = List.of();
    private List<LogHead.Column> columns = List.of();
    private Optional<LogHead.Column> time = Optional.empty();
    private long spoilt;

    /**
     * @param time   s of the device's own clock; empty where it has none
     * @param values SI, in the order of {@link #channels}; NaN for what was not measured
     */
    public record Row(OptionalDouble time, double[] values) {}

    /**
     * @param line without its end
     * @return the row in it; empty for anything else
     * @throws EnthalpaFault when the heading names nothing that is known
     */
    public Optional<Row> line(String line) {
        String text = line.strip();
        if (text.isEmpty()) {
            return Optional.empty();
        }
        if (text.startsWith("#")) {
            comment(text);
            return Optional.empty();
        }
        if (text.length() > LONGEST) {
            spoilt++;
            return Optional.empty();
        }
        if (columns.isEmpty()) {
            return first(text);
        }
        return row(text);
    }

    private void comment(String text) {
        if (text.toLowerCase(Locale.ROOT).startsWith(NAME)) {
            name = text.substring(NAME.length()).strip();
            simulated = name.toLowerCase(Locale.ROOT).endsWith("(simulated)");
        }
    }

    /** The heading is known by the first row behind it. */
    private Optional<Row> first(String text) {
        String by = text.indexOf('\t') >= 0 ? "\t" : text.indexOf(';') >= 0 ? ";" : ",";
        boolean numbers = numbers(text.split(Pattern.quote(by), -1)) > 0;
        if (!numbers || heading == null) {
            if (numbers) {
                // A device that was on before somebody listened says its heading again by and by.
                spoilt++;
            } else {
                heading = text;
                separator = by;
            }
            return Optional.empty();
        }
        Map<Channel, LogHead.Column> found = LogHead.of(heading + "\n" + text + "\n" + text + "\n")
                .guess(EnumSet.allOf(Channel.class))
                .columns();
        List<Channel> known = new ArrayList<>(found.keySet());
        known.remove(Channel.TIME);
        if (known.isEmpty()) {
            throw EnthalpaFault.of(
                    FaultKind.MALFORMED,
                    "",
                    "heading of the device",
                    "\"" + heading + "\"",
                    "channels such as intake [°C], boost [kPa]",
                    "Name them as docs/devices.md does.");
        }
        channels = List.copyOf(known);
        columns = known.stream().map(found::get).toList();
        time = Optional.ofNullable(found.get(Channel.TIME)).filter(c -> c.unit() != null);
        return row(text);
    }

    private static long numbers(String[] cells) {
        long numbers = 0;
        for (String cell : cells) {
            numbers += NUMBER.matcher(cell.strip()).matches() ? 1 : 0;
        }
        return numbers;
    }

    private Optional<Row> row(String text) {
        if (text.equals(heading)) {
            return Optional.empty();
        }
        String[] cells = text.split(Pattern.quote(separator), -1);
        int last = columns.stream().mapToInt(LogHead.Column::index).max().orElse(0);
        if (cells.length <= last || numbers(cells) == 0) {
            spoilt++;
            return Optional.empty();
        }
        double[] values = new double[columns.size()];
        for (int c = 0; c < values.length; c++) {
            double value = value(cells, columns.get(c));
            values[c] =
                    value >= channels.get(c).low() && value <= channels.get(c).high() ? value : Double.NaN;
        }
        double at = time.map(t -> value(cells, t)).orElse(Double.NaN);
        return Optional.of(new Row(Double.isNaN(at) ? OptionalDouble.empty() : OptionalDouble.of(at), values));
    }

    private static double value(String[] cells, LogHead.Column column) {
        String cell = column.index() < cells.length ? cells[column.index()].strip() : "";
        return NUMBER.matcher(cell).matches() ? column.unit().toSi(Double.parseDouble(cell)) : Double.NaN;
    }

    /** @return as it calls itself; empty where it does not */
    public String name() {
        return name;
    }

    /** @return whether it says itself that it is none */
    public boolean isSimulated() {
        return simulated;
    }

    /** @return what it measures; empty before its first row */
    public List<Channel> channels() {
        return channels;
    }

    /** @return lines that were neither heading nor row */
    public long spoilt() {
        return spoilt;
    }
}
