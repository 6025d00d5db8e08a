package io.enthalpa.core.telemetry;

import io.enthalpa.core.endurance.Trace;
import java.util.Arrays;

/** A sensor that shows the metal it sits in: all of it where no air passes, half at a tenth of the most, an eleventh at the most. */
public final class SoakedSensor {
    /** Share of the most air at which it shows half. */
    private static final double HALF = 0.1;

    private final Trace trace;
    private final double most;
    private final double kelvin;

    /** @param kelvin too much where no air passes */
    public SoakedSensor(Trace trace, double kelvin) {
        this.trace = trace;
        this.most = Arrays.stream(trace.flow()).max().orElse(0);
        this.kelvin = kelvin;
    }

    /** @param time s of the run @return K that it shows too much */
    public double at(double time) {
        return at(new double[] {time})[0];
    }

    double[] at(double[] moments) {
        return Arrays.stream(Beside.at(trace, trace.flow(), moments))
                .map(q -> kelvin / (1 + q / Math.max(HALF * most, 1e-9)))
                .toArray();
    }
}
