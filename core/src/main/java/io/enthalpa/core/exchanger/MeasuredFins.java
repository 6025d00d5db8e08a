package io.enthalpa.core.exchanger;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/** Holds each measure of a fin to what its correlation was fitted over: beyond it counts as the nearest measured. */
final class MeasuredFins {
    private final Map<FinMeasure, double[]> ranges = new EnumMap<>(FinMeasure.class);

    MeasuredFins with(FinMeasure measure, double least, double most) {
        ranges.put(measure, new double[] {least, most});
        return this;
    }

    /** @return the nearest that was measured */
    double nearest(FinMeasure measure, double value) {
        double[] range = ranges.get(measure);
        return Math.max(range[0], Math.min(range[1], value));
    }

    /** @param values of a fin @return those that lie beyond by more than a thousandth */
    List<FinMeasure> beyond(Map<FinMeasure, Double> values) {
        return values.entrySet().stream()
                .filter(e -> Math.abs(nearest(e.getKey(), e.getValue()) / e.getValue() - 1) > 1e-3)
                .map(Map.Entry::getKey)
                .sorted()
                .toList();
    }
}
