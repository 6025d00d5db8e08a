package io.enthalpa.core.plant;

import io.enthalpa.core.chargepath.CoreSlot;
import io.enthalpa.core.exchanger.Condensate;
import io.enthalpa.core.exchanger.FaceAir;
import io.enthalpa.core.exchanger.FinnedCore;
import io.enthalpa.core.exchanger.HeatTransfer;
import java.util.OptionalDouble;

/**
 * What a core does at a steady point.
 *
 * @param slot          the core and its place
 * @param flow          kg/s of charge through it
 * @param in            K of charge
 * @param out           K of charge
 * @param transfer      conductances and effectiveness against its own cold stream
 * @param heat          W taken from the charge, the latent heat of what comes out of it included
 * @param coldFlow      kg/s of the cold stream
 * @param coldIn        K of the cold stream at the core
 * @param coldOut       K of the cold stream behind the core
 * @param faceSpeed     m/s of outside air at the core, or at the radiator of a loop
 * @param recovered     how far the charge comes down towards the outside air: what a fabricator calls effectiveness
 * @param shares        where the resistance is
 * @param condensate    water that comes out inside
 */
public record CoreResult(
        CoreSlot slot,
        double flow,
        double in,
        double out,
        HeatTransfer transfer,
        double heat,
        double coldFlow,
        double coldIn,
        double coldOut,
        double faceSpeed,
        double recovered,
        ResistanceShares shares,
        Condensate condensate) {
    /** @return Pa that the coolant loses in the block; empty for a core by its card, which tells its loss at the card's flow only */
    public OptionalDouble coldLoss() {
        if (!(slot.cooler().model() instanceof FinnedCore finned)) {
            return OptionalDouble.empty();
        }
        if (!slot.element().isCooledByAir()) {
            return OptionalDouble.of(finned.waterLoss(coldFlow, (coldIn + coldOut) / 2));
        }
        double perSpeed = slot.element().spec().size().face() * faceSpeed;
        return OptionalDouble.of(finned.airLoss(faceSpeed, new FaceAir(coldFlow / perSpeed, (coldIn + coldOut) / 2)));
    }
}
