package io.enthalpa.core.endurance;

import io.enthalpa.core.exchanger.HeatTransfer;

/**
 * What a core does at a steady point.
 *
 * @param transfer      conductances and effectiveness against its own cold stream
 * @param heat          W taken from the charge
 * @param coldIn        K of the cold stream at the core
 * @param coldOut       K of the cold stream behind the core
 * @param faceSpeed     m/s of outside air at the core, or at the radiator of a loop
 * @param recovered     how far the charge comes down towards the outside air: what a fabricator calls effectiveness
 * @param chargeFlowRatio passage flow of the charge over that of the rating card
 * @param coldFlowRatio passage flow of the cold stream over that of the rating card
 * @param shares        where the resistance is
 */
public record CoreResult(HeatTransfer transfer, double heat, double coldIn, double coldOut, double faceSpeed,
                         double recovered, double chargeFlowRatio, double coldFlowRatio, ResistanceShares shares) {
}
