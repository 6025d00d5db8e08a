package io.enthalpa.core.waterloop;

import io.enthalpa.core.coolingair.FaceAirSpec;
import io.enthalpa.core.exchanger.CoreSize;
import io.enthalpa.core.exchanger.Effectiveness;
import io.enthalpa.core.exchanger.RatedExchanger;
import io.enthalpa.core.exchanger.ReferencePoint;
import io.enthalpa.core.exchanger.ScalingLaw;
import io.enthalpa.core.fluid.HumidAir;
import io.enthalpa.core.fluid.Water;
import java.util.List;

/**
 * A low-temperature radiator: one measured point, in the size it was measured.
 *
 * @param size        of the finned block
 * @param heat        W moved on the card
 * @param waterFlow   m3/s on the card
 * @param waterIn     K on the card
 * @param airVelocity m/s at the face on the card
 * @param airIn       K on the card
 * @param air         that meets it in the car
 */
public record RadiatorSpec(CoreSize size, double heat, double waterFlow, double waterIn, double airVelocity, double airIn,
                           FaceAirSpec air) {
    private static final double CARD_AIR_PRESSURE = 101325;

    /** @return ready to compute with, water on the hot side */
    public RatedExchanger exchanger() {
        double coldFlow = airVelocity * size.face() * HumidAir.DRY.density(CARD_AIR_PRESSURE, airIn);
        ReferencePoint reference = ReferencePoint.fromHeat(heat, waterFlow * Water.density(waterIn), Water.heatCapacity(waterIn),
                waterIn, coldFlow, HumidAir.DRY.heatCapacity(airIn), airIn, size);
        return new RatedExchanger(List.of(reference), ScalingLaw.waterToAir(), size, Effectiveness.CROSSFLOW_UNMIXED);
    }
}
