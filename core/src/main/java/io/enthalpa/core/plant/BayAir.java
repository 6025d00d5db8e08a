package io.enthalpa.core.plant;

import io.enthalpa.core.chargepath.BaySpec;
import java.util.Optional;

/** The engine bay while a run goes on: how warm the engine still is, and the air round it. Exact over any step. */
public final class BayAir {
    private final BaySpec spec;
    private final double outside;
    private double warm = 1;
    private double temperature;

    /** Settled at the road speed that the run starts with; outside air where the bay is not known. */
    public BayAir(Optional<BaySpec> spec, double outside, double roadSpeed) {
        this.spec = spec.orElse(null);
        this.outside = outside;
        temperature = outside + spec.map(s -> s.rise(roadSpeed)).orElse(0.0);
    }

    public void advance(double dt, boolean running, double roadSpeed) {
        if (spec == null) {
            return;
        }
        double limit = outside + warm * spec.rise(roadSpeed);
        temperature = limit + (temperature - limit) * Math.exp(-dt / spec.timeConstant(roadSpeed));
        warm = running ? 1 : warm * Math.exp(-dt / BaySpec.COOLS);
    }

    /** @return K */
    public double temperature() {
        return temperature;
    }

    /** @return 1 while the engine runs, falling to 0 as it cools */
    public double warm() {
        return warm;
    }
}
