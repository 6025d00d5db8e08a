package io.enthalpa.core.endurance;

import java.util.EnumMap;
import java.util.Map;

/** Inputs other than they are believed to be. Immutable. */
public final class Doubt {
    public static final Doubt NONE = new Doubt(Map.of());
    private final Map<Unknown, Double> by;

    private Doubt(Map<Unknown, Double> by) {
        this.by = by;
    }

    /** @param by relative, or K for outside air and start @return this with one input moved */
    public Doubt with(Unknown unknown, double by) {
        Map<Unknown, Double> moved = new EnumMap<>(Unknown.class);
        moved.putAll(this.by);
        moved.put(unknown, by);
        return new Doubt(moved);
    }

    /** @return relative, or K */
    public double by(Unknown unknown) {
        return by.getOrDefault(unknown, 0.0);
    }

    /** @return what a relative unknown is multiplied with */
    public double factor(Unknown unknown) {
        return 1 + by(unknown);
    }
}
