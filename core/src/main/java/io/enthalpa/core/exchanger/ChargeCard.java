package io.enthalpa.core.exchanger;

/**
 * A measured point of a charge cooler.
 *
 * @param size             of the finned block it was measured on
 * @param metalMass        kg of that block with tanks
 * @param chargeFlow       kg/s
 * @param chargePressure   Pa absolute at the inlet
 * @param chargeIn         K
 * @param chargeOut        K
 * @param loss             Pa between the ports
 * @param coolant          what took the heat
 * @param coolantVelocity  m/s at the face, for air; 0 for water
 * @param coolantFlow      m3/s, for water; 0 for air
 * @param coolantIn        K
 * @param chargeShare      share of the whole resistance on the charge side, 0 to 1
 * @param wallShare        share of wall and fouling, 0 to 1
 */
public record ChargeCard(CoreSize size, double metalMass, double chargeFlow, double chargePressure, double chargeIn,
                         double chargeOut, double loss, Coolant coolant, double coolantVelocity, double coolantFlow,
                         double coolantIn, double chargeShare, double wallShare) {
    /** What takes the heat from the core. */
    public enum Coolant { AIR, WATER }
}
