package io.enthalpa.core.telemetry;

import io.enthalpa.core.verdict.Load;
import io.enthalpa.core.verdict.SeenRun;

/** Means over those moments of a log that are judged. */
final class Loaded {
    private Loaded() {}

    /** @return mean by time under load, start soak left out; NaN where there is none */
    static double mean(SeenRun seen, Load load, double[] values) {
        double sum = 0;
        double seconds = 0;
        for (int i = 0; i < values.length; i++) {
            if (load.judged(i) && !Double.isNaN(values[i])) {
                sum += values[i] * seen.duration()[i];
                seconds += seen.duration()[i];
            }
        }
        return seconds == 0 ? Double.NaN : sum / seconds;
    }
}
