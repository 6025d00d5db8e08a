package io.enthalpa.core.exchanger;

import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.ValidityRange;

/**
 * How a measured exchanger changes with flow.
 *
 * @param hotExponent  film conductance of the hot side grows as passage flow to this power
 * @param coldExponent the same for the cold side
 * @param lossExponent loss grows as passage flow to this power, over density
 * @param hotShare     share of the whole resistance on the hot side at the measured point, 0 to 1
 * @param wallShare    share of the wall and fouling, 0 to 1
 */
public record ScalingLaw(
        double hotExponent, double coldExponent, double lossExponent, double hotShare, double wallShare) {
    /** Interrupted fins: the j factor falls about as Re^-0.45, f as Re^-0.3 (charts in Kays and London). */
    public static final Citation SOURCE = Citation.fromMemory(
            "Kays & London", 1984, "Compact Heat Exchangers, 3rd ed., charts of offset and louvred plate fins");
    /** Passage flow over that of the card, within which the scaling may be trusted. */
    public static final ValidityRange FLOW = new ValidityRange("flow over that of the rating card", 0.3, 1.8, "");
    /** Volume over that of the card, within which the scaling may be trusted. */
    public static final ValidityRange VOLUME =
            new ValidityRange("core volume over that of the rating card", 0.5, 2.0, "");

    private static final double INTERRUPTED_FIN = 0.55;
    /** Water in flat tubes and bricks, between laminar and turbulent. */
    public static final double FLAT_TUBE_WATER = 0.6;

    private static final double FIN_LOSS = 1.7;

    public static ScalingLaw chargeToAir(double hotShare, double wallShare) {
        return new ScalingLaw(INTERRUPTED_FIN, INTERRUPTED_FIN, FIN_LOSS, hotShare, wallShare);
    }

    public static ScalingLaw chargeToWater(double hotShare, double wallShare) {
        return new ScalingLaw(INTERRUPTED_FIN, FLAT_TUBE_WATER, FIN_LOSS, hotShare, wallShare);
    }

    ScalingLaw withColdExponent(double other) {
        return new ScalingLaw(hotExponent, other, lossExponent, hotShare, wallShare);
    }

    /** A water radiator: the air side carries nearly all of the resistance (15 % water, 2 % wall: common practice). */
    public static ScalingLaw waterToAir() {
        return new ScalingLaw(FLAT_TUBE_WATER, INTERRUPTED_FIN, FIN_LOSS, 0.15, 0.02);
    }
}
