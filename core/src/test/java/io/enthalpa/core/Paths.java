package io.enthalpa.core;

import io.enthalpa.core.chargepath.Ambient;
import io.enthalpa.core.chargepath.ChargePath;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.chargepath.PathElement.Leg;
import io.enthalpa.core.engine.BlowerSpec;
import io.enthalpa.core.engine.BlowerType;
import io.enthalpa.core.engine.EngineSpec;
import io.enthalpa.core.loss.PipeMaterial;
import io.enthalpa.core.loss.PipeSpec;
import java.util.Collections;
import java.util.List;
import java.util.Optional;

/** Invented paths with every kind of piece that the tests share. */
public final class Paths {
    private Paths() {}

    public static PathElement.Filter filter() {
        return new PathElement.Filter("filter", 0.076, 1500, 0.2, 3, 3000, 0);
    }

    public static PathElement.Blower blower() {
        return new PathElement.Blower("blower", new BlowerSpec(BlowerType.TURBO, 0.72, 4, 0.063));
    }

    public static PathElement.Pipe pipe(String name, double bore, double length, int bends) {
        return new PathElement.Pipe(
                name,
                new PipeSpec(
                        PipeMaterial.ALUMINIUM,
                        bore,
                        length,
                        Collections.nCopies(bends, new PipeSpec.Bend(Math.PI / 2, 1.5 * bore))));
    }

    public static PathElement.Core core(String name) {
        Systems s = Systems.standard().evenBore(0.063);
        return new PathElement.Core(name, s.core(), s.cooling);
    }

    public static PathElement.Plenum plenum() {
        return new PathElement.Plenum("plenum", 0.063, 0.003);
    }

    /** Two legs of pipes. */
    public static PathElement.Parallel pair(PathElement... legsOfOne) {
        return new PathElement.Parallel(
                "pair",
                Math.toRadians(25),
                List.of(new Leg("left", List.of(legsOfOne[0])), new Leg("right", List.of(legsOfOne[1]))),
                Math.toRadians(20),
                0.063,
                Optional.empty());
    }

    public static ChargePath of(PathElement... elements) {
        return of(0.0024, elements);
    }

    public static ChargePath of(double displacement, PathElement... elements) {
        return new ChargePath(
                Ambient.of(300, 101325, 0.4),
                new EngineSpec(displacement, 4, 0.92, 7000 * Systems.RPM),
                List.of(elements));
    }
}
