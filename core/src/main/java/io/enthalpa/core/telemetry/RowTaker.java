package io.enthalpa.core.telemetry;

/** Takes a log row by row. */
@FunctionalInterface
public interface RowTaker {
    /**
     * @param time   s from the log's start, rising
     * @param values SI, in the order of the log's channels; NaN where a row has none. The array is used again for the next row
     */
    void row(double time, double[] values);
}
