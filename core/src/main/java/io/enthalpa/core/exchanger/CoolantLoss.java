package io.enthalpa.core.exchanger;

import io.enthalpa.core.fluid.GlycolWater;
import io.enthalpa.core.fluid.Water;
import java.util.OptionalDouble;

/** What a coolant loses in an exchanger known by a card: carried to other flows, and the usual figure where the card is silent. */
public final class CoolantLoss {
    /** Loss of air grows as its velocity to this power (charts of louvred fins in Kays and London, from memory). */
    public static final double AIR_EXPONENT = 1.7;
    /** Pa for each metre of depth at 1 m/s of air, where nothing better is known (common practice, no source). */
    private static final double AIR_PER_DEPTH = 150;
    /** Loss of water grows as flow to this power (Blasius). */
    private static final double WATER_EXPONENT = 1.75;

    private static final double WATER_KNOWN_AT = 298.15;
    /** That the usual figure is told for. */
    private static final FaceAir USUAL_AIR = FaceAir.atSeaLevel(300);

    private CoolantLoss() {}

    /**
     * @param known    Pa on the card; empty for what is usual
     * @param cardSpeed m/s at the face on it
     * @param cardAir  in which it was measured
     * @param cardDepth m
     * @param velocity m/s at the face
     * @param air      as it comes
     * @param depth    m of the block
     * @return Pa, as velocity^1.7, density^0.7 and viscosity^0.3
     */
    public static double air(
            OptionalDouble known,
            double cardSpeed,
            FaceAir cardAir,
            double cardDepth,
            double velocity,
            FaceAir air,
            double depth) {
        return known.isPresent()
                ? air.loss(known.getAsDouble() * Math.pow(velocity / cardSpeed, AIR_EXPONENT), cardAir)
                        * depth
                        / cardDepth
                : air.loss(AIR_PER_DEPTH * depth * Math.pow(velocity, AIR_EXPONENT), USUAL_AIR);
    }

    /**
     * @param known Pa of pure water at 25 °C at the known flow
     * @param ratio flow over the known flow
     * @param t     K of the coolant
     * @return Pa, as flow^1.75 and viscosity^0.25
     */
    public static double water(double known, double ratio, GlycolWater coolant, double t) {
        double thicker = coolant.viscosity(t) / Water.viscosity(WATER_KNOWN_AT);
        return known * Math.pow(Math.max(ratio, 0), WATER_EXPONENT) * Math.pow(thicker, 0.25);
    }
}
