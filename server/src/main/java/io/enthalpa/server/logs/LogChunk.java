package io.enthalpa.server.logs;

import io.enthalpa.core.telemetry.Channel;
import java.util.Arrays;
import java.util.List;

/**
 * Some thousands of rows of a log.
 *
 * @param time   s, rising
 * @param values of each channel; NaN where a row has none
 */
record LogChunk(double[] time, List<Channel> channels, float[][] values) {
    static final int ROWS = 4096;
    /** Rows that one lowest and highest stand for. */
    static final int BLOCK = 128;

    double from() {
        return time[0];
    }

    double to() {
        return time[time.length - 1];
    }

    /** @return lowest and highest of each block in turn; NaN where it has no value */
    static float[] summary(float[] values) {
        int blocks = (values.length + BLOCK - 1) / BLOCK;
        float[] summary = new float[2 * blocks];
        Arrays.fill(summary, Float.NaN);
        for (int i = 0; i < values.length; i++) {
            int low = 2 * (i / BLOCK);
            float v = values[i];
            summary[low] = Float.isNaN(summary[low]) || v < summary[low] ? v : summary[low];
            summary[low + 1] = Float.isNaN(summary[low + 1]) || v > summary[low + 1] ? v : summary[low + 1];
        }
        return summary;
    }

    /** @return s at the beginning of each block, as single-precision seconds from the chunk's own beginning */
    static float[] starts(double[] time) {
        int blocks = (time.length + BLOCK - 1) / BLOCK;
        float[] starts = new float[blocks];
        for (int b = 0; b < blocks; b++) {
            starts[b] = (float) (time[b * BLOCK] - time[0]);
        }
        return starts;
    }
}
