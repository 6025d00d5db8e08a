package io.enthalpa.core.telemetry;

import java.util.Arrays;
import java.util.List;

/**
 * A log held whole: one value a row in each column, NaN where a row has none. What is long is held as means of equal steps
 * ({@link Averager}).
 */
public final class LogSeries {
    private final List<Channel> channels;
    private final double[] time;
    private final float[][] values;

    private LogSeries(List<Channel> channels, double[] time, float[][] values) {
        this.channels = channels;
        this.time = time;
        this.values = values;
    }

    public List<Channel> channels() {
        return channels;
    }

    public int length() {
        return time.length;
    }

    /** @return s from the start of the log to its end */
    public double seconds() {
        return time.length == 0 ? 0 : time[time.length - 1];
    }

    /** @return s, rising */
    public double[] time() {
        return time;
    }

    public boolean has(Channel channel) {
        return channels.contains(channel);
    }

    /** @return SI, NaN where there is none; all NaN for a channel that was not logged */
    public double[] of(Channel channel) {
        double[] column = new double[time.length];
        int c = channels.indexOf(channel);
        for (int i = 0; i < column.length; i++) {
            column[i] = c < 0 ? Double.NaN : values[c][i];
        }
        return column;
    }

    /** @return as {@link #of}, the last value held over rows without one, the first one back to the start */
    public double[] held(Channel channel) {
        double[] column = of(channel);
        double last = Double.NaN;
        for (double value : column) {
            if (!Double.isNaN(value)) {
                last = value;
                break;
            }
        }
        for (int i = 0; i < column.length; i++) {
            last = Double.isNaN(column[i]) ? last : column[i];
            column[i] = last;
        }
        return column;
    }

    /** @return the rows from one moment to another, time from 0 again */
    public LogSeries between(double from, double to) {
        int a = 0;
        while (a < time.length && time[a] < from) {
            a++;
        }
        int b = a;
        while (b < time.length && time[b] <= to) {
            b++;
        }
        double[] t = Arrays.copyOfRange(time, a, b);
        double start = t.length == 0 ? 0 : t[0];
        for (int i = 0; i < t.length; i++) {
            t[i] -= start;
        }
        float[][] v = new float[values.length][];
        for (int c = 0; c < v.length; c++) {
            v[c] = Arrays.copyOfRange(values[c], a, b);
        }
        return new LogSeries(channels, t, v);
    }

    /** Collects rows. */
    public static final class Growing implements RowTaker {
        private final List<Channel> channels;
        private double[] time = new double[1024];
        private float[][] values;
        private int rows;

        public Growing(List<Channel> channels) {
            this.channels = List.copyOf(channels);
            this.values = new float[channels.size()][time.length];
        }

        @Override
        public void row(double at, double[] row) {
            if (rows == time.length) {
                time = Arrays.copyOf(time, 2 * rows);
                for (int c = 0; c < values.length; c++) {
                    values[c] = Arrays.copyOf(values[c], 2 * rows);
                }
            }
            time[rows] = at;
            for (int c = 0; c < values.length; c++) {
                values[c][rows] = (float) row[c];
            }
            rows++;
        }

        public LogSeries series() {
            float[][] cut = new float[values.length][];
            for (int c = 0; c < cut.length; c++) {
                cut[c] = Arrays.copyOf(values[c], rows);
            }
            return new LogSeries(channels, Arrays.copyOf(time, rows), cut);
        }
    }
}
