package io.enthalpa.core.exchanger;

import io.enthalpa.core.fluid.HumidAir;
import io.enthalpa.core.fluid.WaterVapour;

/**
 * The water that a charge carries, and what cold metal can take of it: vapour goes to the metal as heat does, down to what the metal
 * holds at its own temperature, by the analogy of Chilton and Colburn (1934), see {@link WaterVapour#METHOD}; Lewis number taken as one.
 *
 * @param vapour   mole fraction
 * @param pressure Pa absolute
 * @param water    kg/s
 */
public record DampCharge(double vapour, double pressure, double water) {
    public static final DampCharge DRY = new DampCharge(0, 1e5, 0);

    /** @param flow kg/s of charge @param pressure Pa absolute, mean in the core */
    public static DampCharge of(HumidAir air, double flow, double pressure) {
        return new DampCharge(air.waterMoleFraction(), pressure, flow * air.waterMassFraction());
    }

    /** @param metal K @return true when metal as cold as that, or colder, gets wet */
    public boolean wets(double metal) {
        return vapour > 0 && vapour > held(metal);
    }

    /** @param temperature K @return mole fraction that stays vapour there */
    public double held(double temperature) {
        return WaterVapour.tabledPressure(temperature) / pressure;
    }

    /** @param temperature K @return slope of {@link #held}, 1/K */
    public double heldMore(double temperature) {
        return WaterVapour.tabledSlope(temperature) / pressure;
    }

    /** @return kg/s for each whole of mole fraction that comes out */
    public double perShare() {
        return vapour > 0 ? water / vapour : 0;
    }

    /** @param share mole fraction that is left @return the charge behind metal that took the rest */
    public DampCharge leaving(double share) {
        return new DampCharge(share, pressure, perShare() * share);
    }
}
