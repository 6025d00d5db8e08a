package io.enthalpa.formats;

import de.siegmar.fastcsv.writer.CsvWriter;
import de.siegmar.fastcsv.writer.LineDelimiter;
import io.enthalpa.core.telemetry.Channel;
import io.enthalpa.core.telemetry.RowTaker;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** Writes a log as a CSV that {@link LogCsv} reads back without being told anything: time first, each heading with its unit. */
public final class LogCsvFile implements RowTaker {
    private final CsvWriter csv;
    private final List<Channel> channels;

    /** @param comment first line of the file; empty for none */
    public LogCsvFile(Writer out, List<Channel> channels, String comment) {
        this.csv = CsvWriter.builder().lineDelimiter(LineDelimiter.LF).build(out);
        this.channels = channels;
        if (!comment.isEmpty()) {
            csv.writeComment(comment);
        }
        List<String> headings = new ArrayList<>();
        headings.add(heading(Channel.TIME));
        channels.forEach(c -> headings.add(heading(c)));
        csv.writeRecord(headings);
    }

    private static String heading(Channel channel) {
        String unit = channel.usualUnit().symbol();
        return unit.isEmpty() ? channel.words() : channel.words() + " [" + unit + "]";
    }

    @Override
    public void row(double time, double[] values) {
        List<String> cells = new ArrayList<>(values.length + 1);
        cells.add(String.format(Locale.ROOT, "%.3f", time));
        for (int c = 0; c < values.length; c++) {
            cells.add(
                    Double.isNaN(values[c])
                            ? ""
                            : String.format(
                                    Locale.ROOT,
                                    "%.2f",
                                    channels.get(c).usualUnit().fromSi(values[c])));
        }
        csv.writeRecord(cells);
    }

    /** What is still held is written. */
    public void end() {
        try {
            csv.flush();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
