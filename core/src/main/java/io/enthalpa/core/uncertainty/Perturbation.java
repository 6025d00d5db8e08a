package io.enthalpa.core.uncertainty;

import java.util.EnumMap;
import java.util.Map;

/** Inputs other than they are believed to be. Immutable. */
public final class Perturbation {
    public static final Perturbation NONE = new Perturbation(Map.of());
    private final Map<UncertainInput, Double> by;

    private Perturbation(Map<UncertainInput, Double> by) {
        this.by = by;
    }

    /** @param by relative, or K for outside air and start @return this with one input moved */
    public Perturbation with(UncertainInput unknown, double by) {
        Map<UncertainInput, Double> moved = new EnumMap<>(UncertainInput.class);
        moved.putAll(this.by);
        moved.put(unknown, by);
        return new Perturbation(moved);
    }

    /** @return both at once: relative ones are factors that multiply, those in K add up */
    public Perturbation and(Perturbation other) {
        Map<UncertainInput, Double> both = new EnumMap<>(UncertainInput.class);
        both.putAll(by);
        other.by.forEach((unknown, more) ->
                both.merge(unknown, more, (a, b) -> unknown.isKelvin() ? a + b : (1 + a) * (1 + b) - 1));
        return new Perturbation(both);
    }

    /** @return relative, or K */
    public double by(UncertainInput unknown) {
        return by.getOrDefault(unknown, 0.0);
    }

    /** @return what a relative unknown is multiplied with */
    public double factor(UncertainInput unknown) {
        return 1 + by(unknown);
    }
}
