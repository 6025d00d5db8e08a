package io.enthalpa.core.exchanger;

import io.enthalpa.core.fluid.HumidAir;
import io.enthalpa.core.fluid.Water;

/** A charge cooler ready to compute with: {@link CoreSpec} with the conductances of its card worked out. */
public final class ChargeCooler {
    /** Specific heat of aluminium near 350 K, J/(kg K); Incropera &amp; DeWitt table A.1, from memory. */
    public static final double ALUMINIUM_HEAT_CAPACITY = 910;
    /** The card's cooling air is taken at sea level. */
    private static final double CARD_AIR_PRESSURE = 101325;

    private final CoreSpec spec;
    private final RatedExchanger exchanger;
    private final double referenceDensity;

    public ChargeCooler(CoreSpec spec) {
        this.spec = spec;
        ChargeCard card = spec.card();
        boolean air = card.coolant() == ChargeCard.Coolant.AIR;
        double cp = HumidAir.DRY.heatCapacity((card.chargeIn() + card.chargeOut()) / 2);
        double coldFlow = air
                ? card.coolantVelocity() * card.size().face() * HumidAir.DRY.density(CARD_AIR_PRESSURE, card.coolantIn())
                : card.coolantFlow() * Water.density(card.coolantIn());
        double coldHeatCapacity = air ? HumidAir.DRY.heatCapacity(card.coolantIn()) : Water.heatCapacity(card.coolantIn());
        ReferencePoint reference = ReferencePoint.fromTemperatures(card.chargeFlow(), cp, card.chargeIn(), card.chargeOut(),
                coldFlow, coldHeatCapacity, card.coolantIn(), card.size());
        ScalingLaw law = air ? ScalingLaw.chargeToAir(card.chargeShare(), card.wallShare())
                : ScalingLaw.chargeToWater(card.chargeShare(), card.wallShare());
        exchanger = new RatedExchanger(reference, law, spec.size(), Effectiveness.CROSSFLOW_UNMIXED);
        referenceDensity = HumidAir.DRY.density(card.chargePressure() - card.loss() / 2, (card.chargeIn() + card.chargeOut()) / 2);
    }

    public CoreSpec spec() {
        return spec;
    }

    public RatedExchanger exchanger() {
        return exchanger;
    }

    /**
     * @param flow    kg/s of charge
     * @param density kg/m3, mean of inlet and outlet
     * @return Pa between the ports
     */
    public double loss(double flow, double density) {
        return exchanger.loss(flow, density, spec.card().loss(), referenceDensity);
    }

    /** @return J/K of the metal */
    public double heatCapacity() {
        return spec.metalMass() * ALUMINIUM_HEAT_CAPACITY;
    }
}
