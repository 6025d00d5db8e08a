package io.enthalpa.core.exchanger;

/** A charge cooler ready to compute with: {@link CoreSpec} with its model worked out. */
public final class ChargeCooler {
    /** Specific heat of aluminium near 350 K, J/(kg K); Incropera &amp; DeWitt table A.1, from memory. */
    public static final double ALUMINIUM_HEAT_CAPACITY = 910;
    private final CoreSpec spec;
    private final CoreModel model;

    public ChargeCooler(CoreSpec spec) {
        this.spec = spec;
        spec.tanks().checkedFor(spec.size());
        this.model = spec.basis() instanceof RatingCard card ? new RatedCore(spec, card) : new FinnedCore(spec, (FinnedBlock) spec.basis());
    }

    public CoreSpec spec() {
        return spec;
    }

    public CoreModel model() {
        return model;
    }

    /**
     * @param hotFlow  kg/s
     * @param hotRate  W/K
     * @param hotT     K, mean
     * @param coldFlow kg/s
     * @param coldRate W/K
     * @param coldT    K, mean
     * @return effectiveness, and the heat moved for each kelvin between the inlets
     */
    public HeatTransfer transfer(double hotFlow, double hotRate, double hotT, double coldFlow, double coldRate, double coldT) {
        return HeatTransfer.of(model.conductances(hotFlow, hotT, coldFlow, coldT), spec.arrangement(), hotRate, coldRate);
    }

    /** @return J/K of the metal */
    public double heatCapacity() {
        return model.metalMass() * ALUMINIUM_HEAT_CAPACITY;
    }
}
