package io.enthalpa.core.exchanger;

import io.enthalpa.core.fluid.HumidAir;
import io.enthalpa.core.fluid.WaterVapour;

/**
 * Water that comes out of the charge inside a core.
 *
 * @param dewPoint   K, of the charge at its pressure in the core
 * @param flow       kg/s of water
 * @param latentHeat W that it gives to the metal on top of the charge's own cooling
 * @param metal      K of the coldest metal the charge meets
 */
public record Condensate(double dewPoint, double flow, double latentHeat, double metal) {
    private static final int STRIPS = 24;

    /** As {@link #of} in kg/s alone, quick where the metal is warm enough. */
    public static double flow(HumidAir air, double flow, double pressure, double in, double out, double coldIn, double coldOut, Conductances conductances) {
        double coldest = out - conductances.overall() / conductances.hot() * (out - coldIn);
        boolean dry = WaterVapour.saturationPressure(coldest) >= air.waterMoleFraction() * pressure;
        return dry || in <= out ? 0 : of(air, flow, pressure, in, out, coldIn, coldOut, conductances).flow();
    }

    /**
     * By the analogy of Chilton and Colburn (1934), see {@link WaterVapour#METHOD}: along the core the charge comes exponentially closer to the metal; vapour goes to the metal as heat does (Lewis number
     * taken as one), as long as the metal is colder than the dew point, and never stays above saturation in the stream.
     *
     * @param flow     kg/s of charge
     * @param pressure Pa absolute, mean in the core
     * @param in       K of charge
     * @param out      K of charge
     * @param coldIn   K of coolant
     * @param coldOut  K of coolant
     */
    public static Condensate of(HumidAir air, double flow, double pressure, double in, double out, double coldIn, double coldOut,
                                Conductances conductances) {
        double dewPoint = air.dewPoint(pressure);
        double coldMean = (coldIn + coldOut) / 2;
        double hotShare = conductances.overall() / conductances.hot();
        double coldest = out - hotShare * (out - coldIn);
        if (!(coldest < dewPoint) || in <= out) {
            return new Condensate(dewPoint, 0, 0, coldest);
        }
        double perStrip = conductances.hot() / (flow * air.heatCapacity((in + out) / 2)) / STRIPS;
        double span = Math.max(in - coldMean, 1e-6);
        double decay = -Math.log(Math.max((out - coldMean) / span, 1e-3));
        double vapour = air.waterMoleFraction();
        for (int i = 0; i < STRIPS; i++) {
            double charge = coldMean + span * Math.exp(-decay * (i + 0.5) / STRIPS);
            double metal = charge - hotShare * (charge - coldMean);
            double held = WaterVapour.saturationPressure(metal) / pressure;
            if (vapour > held) {
                vapour = held + (vapour - held) * Math.exp(-perStrip);
            }
            vapour = Math.min(vapour, WaterVapour.saturationPressure(charge) / pressure);
        }
        double lost = Math.max(air.waterMoleFraction() - vapour, 0) / Math.max(air.waterMoleFraction(), 1e-12);
        double water = flow * air.waterMassFraction() * lost;
        return new Condensate(dewPoint, water, water * WaterVapour.latentHeat(coldest), coldest);
    }
}
