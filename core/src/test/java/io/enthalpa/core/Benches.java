package io.enthalpa.core;

import io.enthalpa.core.build.Build;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.duty.Duty;
import io.enthalpa.core.duty.DutyPoint;
import io.enthalpa.core.engine.EngineSpec;
import io.enthalpa.core.verdict.Targets;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/** A build round a bench system: four minutes at full load. */
public final class Benches {
    private static final double RPM = Math.PI / 30;

    private Benches() {}

    public static Build build(Systems s) {
        return build(s.path().elements());
    }

    public static Build build(List<PathElement> path) {
        return new Build(
                "bench",
                "",
                new EngineSpec(0.0023, 4, 0.92, 7000 * RPM),
                new Build.Climate(300, 0, 0.4, OptionalDouble.empty()),
                new Targets(325, 340),
                new Build.FullLoad(5000 * RPM, 20),
                new Duty(
                        "hold",
                        true,
                        10,
                        1,
                        0,
                        List.of(new DutyPoint(0, 500, 100e3, 15), new DutyPoint(240, 500, 100e3, 15))),
                Optional.empty(),
                Optional.empty(),
                List.of(new BuildOption("A", "first", 100e3, path, List.of())));
    }
}
