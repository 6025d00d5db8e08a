package io.enthalpa.server.logs;

import io.enthalpa.core.telemetry.Channel;
import io.enthalpa.server.logs.LogStore.Blocks;
import io.enthalpa.server.logs.LogStore.Kept;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/**
 * A stretch of a log as a screen can show it: of each column of pixels the lowest and the highest, so that no peak is lost.
 *
 * @param low  SI; NaN where the column has no row
 * @param high SI
 */
record Peaks(double[] low, double[] high) {
    /** s without a row from where a log has a hole. */
    private static final double HOLE = 2;

    private static Peaks none(int columns) {
        Peaks peaks = new Peaks(new double[columns], new double[columns]);
        Arrays.fill(peaks.low, Double.NaN);
        Arrays.fill(peaks.high, Double.NaN);
        return peaks;
    }

    private void take(int column, double low, double high) {
        if (Double.isNaN(low)) {
            return;
        }
        this.low[column] = Double.isNaN(this.low[column]) ? low : Math.min(this.low[column], low);
        this.high[column] = Double.isNaN(this.high[column]) ? high : Math.max(this.high[column], high);
    }

    /** Columns between two rows are straight between them, where the log has no hole there. */
    private void bridge(int most) {
        int last = -1;
        for (int i = 0; i < low.length; i++) {
            if (Double.isNaN(low[i])) {
                continue;
            }
            if (last >= 0 && i - last <= most) {
                double from = (low[last] + high[last]) / 2;
                double to = (low[i] + high[i]) / 2;
                for (int k = last + 1; k < i; k++) {
                    low[k] = from + (to - from) * (k - last) / (i - last);
                    high[k] = low[k];
                }
            }
            last = i;
        }
    }

    /** Far out from the summaries of the blocks, near by from the rows themselves. */
    static Map<Channel, Peaks> of(
            LogStore store, Kept log, List<Channel> channels, double from, double to, int columns) {
        Map<Channel, Peaks> of = new EnumMap<>(Channel.class);
        channels.forEach(c -> of.put(c, none(columns)));
        double width = (to - from) / columns;
        double perRow = log.seconds() / Math.max(log.rows() - 1, 1);
        if (width > 2 * LogChunk.BLOCK * perRow) {
            for (Channel channel : channels) {
                Blocks blocks = store.blocks(log.id(), channel, from, to);
                Peaks peaks = of.get(channel);
                for (int b = 0; b < blocks.time().length; b++) {
                    int column = column(blocks.time()[b], from, width, columns);
                    if (column >= 0) {
                        peaks.take(column, blocks.low()[b], blocks.high()[b]);
                    }
                }
            }
            return of;
        }
        store.chunks(log.id(), channels, from, to, chunk -> {
            for (int i = 0; i < chunk.time().length; i++) {
                int column = column(chunk.time()[i], from, width, columns);
                for (int c = 0; column >= 0 && c < channels.size(); c++) {
                    of.get(channels.get(c)).take(column, chunk.values()[c][i], chunk.values()[c][i]);
                }
            }
        });
        int most = (int) Math.ceil(Math.max(HOLE, 3 * perRow) / width);
        of.values().forEach(peaks -> peaks.bridge(most));
        return of;
    }

    /** -1 outside. */
    private static int column(double time, double from, double width, int columns) {
        int column = (int) Math.floor((time - from) / width);
        return column == columns && time <= from + columns * width * (1 + 1e-12)
                ? columns - 1
                : column < 0 || column >= columns ? -1 : column;
    }
}
