package io.enthalpa.core.exchanger;

import io.enthalpa.core.fluid.HumidAir;
import io.enthalpa.core.fluid.WaterVapour;

/**
 * Water that comes out of the charge inside a core held steady.
 *
 * @param dewPoint   K, of the charge at its pressure in the core
 * @param flow       kg/s of water
 * @param latentHeat W that it gives to the metal on top of the charge's own cooling
 * @param metal      K of the coldest metal the charge meets
 * @param warmer     K by which the charge leaves warmer than it would if nothing came out
 */
public record Condensate(double dewPoint, double flow, double latentHeat, double metal, double warmer) {
    private static final int STRIPS = 24;
    private static final int ROUNDS = 8;

    /**
     * By strips along the charge, each with its share of the coolant passing once: the charge comes exponentially closer to the metal, the vapour to what
     * the metal holds, and the metal stands where what it gets from both is what the coolant takes. A core in
     * counterflow, whose cold end is colder, takes up to 7 % more water than this. See {@link DampCharge}.
     *
     * @param flow     kg/s of charge
     * @param pressure Pa absolute, mean in the core
     * @param in       K of charge
     * @param coldIn   K of coolant
     * @param coldRate W/K of coolant
     */
    public static Condensate of(
            HumidAir air,
            double flow,
            double pressure,
            double in,
            double coldIn,
            double coldRate,
            Conductances conductances) {
        DampCharge damp = DampCharge.of(air, flow, pressure);
        double hotRate = flow * air.heatCapacity((in + coldIn) / 2);
        Strips dry = new Strips(hotRate, coldIn, coldRate, conductances, DampCharge.DRY).pass(in);
        double dewPoint = air.dewPoint(pressure);
        if (!damp.wets(dry.coldest)) {
            return new Condensate(dewPoint, 0, 0, dry.coldest, 0);
        }
        Strips wet = new Strips(hotRate, coldIn, coldRate, conductances, damp).pass(in);
        return new Condensate(dewPoint, wet.condensed, wet.latent, wet.coldest, wet.out - dry.out);
    }

    /** The core cut across the charge's way. */
    private static final class Strips {
        private final double reach;
        private final double fromCharge;
        private final double toCold;
        private final double coldIn;
        private final DampCharge damp;
        private double coldest = Double.POSITIVE_INFINITY;
        private double condensed;
        private double latent;
        private double out;

        Strips(double hotRate, double coldIn, double coldRate, Conductances films, DampCharge damp) {
            this.coldIn = coldIn;
            this.damp = damp;
            reach = -Math.expm1(-films.hotToMetal() / (STRIPS * hotRate));
            fromCharge = hotRate * reach;
            toCold = coldRate / STRIPS * -Math.expm1(-films.metalToCold() / coldRate);
        }

        Strips pass(double in) {
            double charge = in;
            double vapour = damp.vapour();
            for (int i = 0; i < STRIPS; i++) {
                double metal = (fromCharge * charge + toCold * coldIn) / (fromCharge + toCold);
                if (vapour > 0 && vapour > damp.held(metal)) {
                    metal = wet(charge, vapour, metal);
                    double out = Math.max(vapour - damp.held(metal), 0) * reach;
                    condensed += damp.perShare() * out;
                    latent += damp.perShare() * out * WaterVapour.latentHeat(metal);
                    vapour -= out;
                }
                coldest = Math.min(coldest, metal);
                charge += reach * (metal - charge);
            }
            out = charge;
            return this;
        }

        /** K of metal that also takes what comes out, between what it would be dry and the dew point, by Newton. */
        private double wet(double charge, double vapour, double dry) {
            double metal = dry;
            for (int k = 0; k < ROUNDS; k++) {
                double perShare = damp.perShare() * reach * WaterVapour.latentHeat(metal);
                double held = damp.held(metal);
                double left = fromCharge * (charge - metal)
                        + toCold * (coldIn - metal)
                        + perShare * Math.max(vapour - held, 0);
                double slope = fromCharge + toCold + (vapour > held ? perShare * damp.heldMore(metal) : 0);
                metal += left / slope;
            }
            return metal;
        }
    }
}
