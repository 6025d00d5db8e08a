package io.enthalpa.core.exchanger;

import io.enthalpa.core.fluid.GlycolWater;
import io.enthalpa.core.fluid.HumidAir;

/** A charge cooler ready to compute with: {@link CoreSpec} with its model worked out. */
public final class ChargeCooler {
    /** Specific heat of aluminium near 350 K, J/(kg K); Incropera &amp; DeWitt table A.1, from memory. */
    public static final double ALUMINIUM_HEAT_CAPACITY = 910;

    private final CoreSpec spec;
    private final CoreModel model;
    private final WaterSpread spread;
    private final GlycolWater coolant;

    /** A core that air cools, or pure water that reaches all of it. */
    public ChargeCooler(CoreSpec spec) {
        this(spec, GlycolWater.WATER, WaterSpread.EVEN, 0);
    }

    /**
     * @param coolant on the cold side of a water-cooled core
     * @param spread  how its passages share the water
     * @param growth  m2 K/W of fouling on the cold side beyond what the core's own description counts
     */
    public ChargeCooler(CoreSpec spec, GlycolWater coolant, WaterSpread spread, double growth) {
        this.spec = spec;
        this.spread = spread;
        this.coolant = coolant;
        spec.tanks().checkedFor(spec.size());
        this.model = spec.basis() instanceof RatingCard card
                ? new RatedCore(spec, card, coolant, growth)
                : new FinnedCore(spec, ((FinnedBlock) spec.basis()).fouledBy(growth), coolant);
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
    public HeatTransfer transfer(
            double hotFlow, double hotRate, double hotT, double coldFlow, double coldRate, double coldT) {
        return HeatTransfer.of(conductances(hotFlow, hotT, coldFlow, coldT), spec.arrangement(), hotRate, coldRate);
    }

    /** @return the model's conductances, less what an uneven share of the water costs */
    public Conductances conductances(double hotFlow, double hotT, double coldFlow, double coldT) {
        Conductances even = model.conductances(hotFlow, hotT, coldFlow, coldT);
        return even.times(spreadFactor(even, 1, hotFlow, hotT, coldFlow, coldT));
    }

    /** @param unevenness of the water's share, 1 as it is believed @return what it leaves of conductances with the same water everywhere */
    public double spreadFactor(
            Conductances even, double unevenness, double hotFlow, double hotT, double coldFlow, double coldT) {
        return spread.equals(WaterSpread.EVEN)
                ? 1
                : (unevenness == 1 ? spread : spread.times(unevenness))
                        .factor(
                                even,
                                spec.arrangement(),
                                hotFlow * HumidAir.DRY.heatCapacity(hotT),
                                coldFlow * coolant.heatCapacity(coldT));
    }

    /** @param flow kg/s of water @param t K @return Pa between the water ports */
    public double waterLoss(double flow, double t) {
        return model.waterLoss(flow, t);
    }

    /** @param velocity m/s at the face @return Pa */
    public double airLoss(double velocity, FaceAir air) {
        return model.airLoss(velocity, air);
    }

    /** @return Reynolds number of the water between the fins; 0 where a card does not tell */
    public double waterReynolds(double flow, double t) {
        return model instanceof FinnedCore finned ? finned.coldFlow(flow, t).reynolds() : 0;
    }

    /** @return J/K of the metal */
    public double heatCapacity() {
        return model.metalMass() * ALUMINIUM_HEAT_CAPACITY;
    }
}
