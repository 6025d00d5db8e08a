package io.enthalpa.core.telemetry;

import io.enthalpa.core.build.Build;
import io.enthalpa.core.build.OptionMonteCarlo;
import io.enthalpa.core.uncertainty.Calibration;
import io.enthalpa.core.uncertainty.Doubt;
import io.enthalpa.core.uncertainty.UncertainInput;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What is not known exactly of a car that was driven by a log: what the log measured is known better than usual. */
final class DrivenDoubts {
    /** K that outside air and start may be off by where they were measured. */
    private static final double MEASURED_AIR = 0.7;

    private static final double MEASURED_START = 1.5;

    private DrivenDoubts() {}

    /** @return those of its inputs and formulas, and how slow its sensors are: steps of the load show that */
    static List<Doubt> of(MeasuredDuty driven, String letter, MeasuredRun run) {
        Build build = driven.build();
        Doubt lag = new Doubt(UncertainInput.SENSOR_LAG, UncertainInput.SENSOR_LAG.spread());
        Optional<Calibration> known = build.calibration(build.option(letter));
        List<Doubt> all = new ArrayList<>(OptionMonteCarlo.doubted(build, letter));
        all.add(known.map(k -> k.left(lag)).orElse(lag));
        return all.stream()
                .map(d -> new Doubt(
                        d.unknown(),
                        switch (d.unknown()) {
                            case OUTSIDE_AIR -> run.outsideMeasured() ? MEASURED_AIR : d.spread();
                            case START -> driven.start().isPresent() ? MEASURED_START : d.spread();
                            default -> d.spread();
                        }))
                .toList();
    }
}
