package io.enthalpa.core.waterloop;

import io.enthalpa.core.exchanger.CoreSize;
import io.enthalpa.core.exchanger.FinSpec;
import java.util.OptionalDouble;

/** How a radiator is known. */
public sealed interface RadiatorBasis {
    /**
     * One measured point.
     *
     * @param size        that was measured
     * @param heat        W moved
     * @param waterFlow   m3/s
     * @param waterIn     K
     * @param airVelocity m/s at the face
     * @param airIn       K
     * @param waterLoss   Pa at that flow; empty when the card does not say
     * @param airLoss     Pa at that face velocity; empty when the card does not say
     */
    record Card(
            CoreSize size,
            double heat,
            double waterFlow,
            double waterIn,
            double airVelocity,
            double airIn,
            OptionalDouble waterLoss,
            OptionalDouble airLoss)
            implements RadiatorBasis {}

    /**
     * Flat tubes with fins between.
     *
     * @param fin        between the tubes, louvred or plain; its gap is the clear distance of the tubes
     * @param tubeHeight m outside, across the tube
     * @param tubeWall   m
     * @param passes     1 straight through, 2 there and back
     */
    record Geometry(FinSpec fin, double tubeHeight, double tubeWall, int passes) implements RadiatorBasis {}
}
