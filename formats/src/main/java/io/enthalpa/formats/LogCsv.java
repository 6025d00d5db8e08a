package io.enthalpa.formats;

import de.siegmar.fastcsv.reader.CsvRecord;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import io.enthalpa.core.telemetry.Channel;
import io.enthalpa.core.telemetry.RowTaker;
import java.io.Reader;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import java.util.function.Function;

/**
 * Any CSV of a logger as rows of channels in SI, time from 0. Read as a stream: nothing is held but a row. A cell that is no number, or none that its channel can have,
 * is left out and told; time that runs back is refused with its line.
 */
public final class LogCsv {
    /** s between rows, under which they are taken together: 100 Hz. */
    private static final double CLOSEST = 0.01;

    private static final double SLACK = 1e-6;

    private final List<String> headings;
    private final Map<Channel, LogHead.Column> columns;
    private final List<Channel> channels;
    private final LogHead.Column timeColumn;
    private final LogClock clock;
    private final RowTaker taker;
    private final double[] values;
    private final double[] sums;
    private final int[] counts;
    private final Map<Channel, LeftOut> leftOut = new EnumMap<>(Channel.class);
    private long read;
    private long kept;
    private double binStart = Double.NEGATIVE_INFINITY;
    private double binTimes;
    private int binned;

    private LogCsv(List<String> headings, Map<Channel, LogHead.Column> columns, RowTaker taker) {
        this.headings = headings;
        this.columns = columns;
        this.channels = channels(columns);
        this.timeColumn = columns.get(Channel.TIME);
        this.clock = new LogClock(timeColumn);
        this.taker = taker;
        this.values = new double[channels.size()];
        this.sums = new double[values.length];
        this.counts = new int[values.length];
    }

    /**
     * Cells of a channel that were no measurement.
     *
     * @param cells how many
     * @param line  of the first
     * @param text  what stood there
     */
    public record LeftOut(long cells, long line, String text) {}

    /**
     * @param headings of the file
     * @param columns  what was read from where
     * @param read     rows in the file
     * @param kept     rows handed on: faster than 100 Hz, several are taken together
     * @param repeated rows of the same time as the row above, left out
     * @param gaps     the first twenty
     * @param leftOut  cells that were no measurement
     * @param seconds  from first row to last
     */
    public record Summary(
            List<String> headings,
            Map<Channel, LogHead.Column> columns,
            long read,
            long kept,
            long repeated,
            List<DutyCsv.Gap> gaps,
            Map<Channel, LeftOut> leftOut,
            double seconds) {
        public List<Channel> channels() {
            return LogCsv.channels(columns);
        }
    }

    /** @return the channels of a log without its time, in the order in which its rows hold them */
    public static List<Channel> channels(Map<Channel, LogHead.Column> columns) {
        EnumSet<Channel> channels = EnumSet.noneOf(Channel.class);
        channels.addAll(columns.keySet());
        channels.remove(Channel.TIME);
        return List.copyOf(channels);
    }

    /**
     * @param chosen columns as the user set them; empty to take them by their headings
     * @param taker  is asked for once the channels are known
     * @throws EnthalpaFault naming line and column of what cannot be
     */
    public static Summary read(
            Reader text, Map<Channel, LogHead.Column> chosen, Function<List<Channel>, RowTaker> taker) {
        return read(text, head -> chosen.isEmpty() ? byHeadings(head) : chosen, taker);
    }

    /** @return columns by their headings */
    public static Map<Channel, LogHead.Column> byHeadings(LogHead head) {
        return head.guess(EnumSet.allOf(Channel.class)).columns();
    }

    /** As {@link #read(Reader, Map, Function)}, the columns chosen once the headings are known. */
    public static Summary read(
            Reader text,
            Function<LogHead, Map<Channel, LogHead.Column>> chosen,
            Function<List<Channel>, RowTaker> taker) {
        LogCsv[] walk = new LogCsv[1];
        LogLines.read(text, head -> {
            Map<Channel, LogHead.Column> columns = LogLines.named(new EnumMap<>(chosen.apply(head)), head.headings());
            if (!columns.containsKey(Channel.TIME)) {
                throw LogLines.missing(Channel.TIME.words(), head.headings(), "Choose the column that holds the time.");
            }
            if (columns.size() == 1) {
                throw LogLines.missing(
                        "anything measured", head.headings(), "Choose at least one column beside the time.");
            }
            walk[0] = new LogCsv(head.headings(), columns, taker.apply(channels(columns)));
            return (Consumer<CsvRecord>) walk[0]::row;
        });
        return walk[0].end();
    }

    private void row(CsvRecord line) {
        long at = line.getStartingLineNumber();
        double time = LogLines.time(line, timeColumn);
        read++;
        if (!clock.isNew(time, at)) {
            return;
        }
        for (int c = 0; c < values.length; c++) {
            values[c] = cell(channels.get(c), line, at);
        }
        gather(clock.seconds());
    }

    /** NaN where the cell is empty or no measurement. */
    private double cell(Channel channel, CsvRecord line, long at) {
        LogHead.Column column = columns.get(channel);
        String cell = LogLines.cell(line, column);
        if (cell.isEmpty()) {
            return Double.NaN;
        }
        double value;
        try {
            value = LogLines.number(cell, channel, column, at);
        } catch (EnthalpaFault noNumber) {
            value = Double.NaN;
        }
        if (value >= channel.low() && value <= channel.high()) {
            return value;
        }
        leftOut.merge(
                channel, new LeftOut(1, at, cell), (old, one) -> new LeftOut(old.cells() + 1, old.line(), old.text()));
        return Double.NaN;
    }

    /** Rows that come faster than 100 Hz are handed on as means. */
    private void gather(double time) {
        if (time - binStart >= CLOSEST - SLACK) {
            hand();
            binStart = time;
        }
        binned++;
        binTimes += time;
        for (int c = 0; c < values.length; c++) {
            if (!Double.isNaN(values[c])) {
                sums[c] += values[c];
                counts[c]++;
            }
        }
    }

    private void hand() {
        if (binned == 0) {
            return;
        }
        double[] means = new double[values.length];
        for (int c = 0; c < means.length; c++) {
            means[c] = counts[c] == 0 ? Double.NaN : sums[c] / counts[c];
            sums[c] = 0;
            counts[c] = 0;
        }
        taker.row(binTimes / binned, means);
        kept++;
        binned = 0;
        binTimes = 0;
    }

    private Summary end() {
        hand();
        if (kept < 2) {
            throw EnthalpaFault.of(
                    FaultKind.CONTRADICTION,
                    "",
                    LogHead.WHAT + ", rows with a time",
                    String.valueOf(kept),
                    "2 or more",
                    read > 1 ? "Every row has the same time." : "A log needs at least a start and an end.");
        }
        return new Summary(headings, columns, read, kept, clock.repeated(), clock.gaps(), leftOut, clock.seconds());
    }
}
