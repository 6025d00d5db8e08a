package io.enthalpa.core.coolingair;

import io.enthalpa.core.loss.PerformanceCurve;

/**
 * A fan through which all air of the way passes.
 *
 * @param curve     pressure against flow
 * @param backwards it blows against the road wind
 * @param upTo      m/s of road speed above which it is off
 * @param whileOff  it goes on while the engine is off
 */
public record FanSpec(PerformanceCurve curve, boolean backwards, double upTo, boolean whileOff) {
    /** What a fan that is off takes at its free flow, over its shut-off pressure (common practice, no source). */
    private static final double STANDING_DRAG = 0.25;
    /** Of the air that makers tell curves for, kg/m3: 20 °C at sea level (ISO 5801). */
    static final double CURVE_DENSITY = 1.2;

    /** @param roadSpeed m/s */
    public boolean runsAt(double roadSpeed, boolean engineOn) {
        return roadSpeed <= upTo && (engineOn || whileOff);
    }

    /**
     * A fan moves the same volume of thinner air, at a pressure less by its density (fan laws; Eck, Fans, 1973, from memory).
     *
     * @param flow    m3/s with the road wind
     * @param density kg/m3
     * @return Pa it adds with the road wind; below zero when it is in the way
     */
    double rise(double flow, boolean runs, double density) {
        double thinner = density / CURVE_DENSITY;
        if (!runs) {
            double share = flow / curve.freeFlow();
            return -STANDING_DRAG * thinner * curve.shutOff() * share * share;
        }
        return thinner
                * (backwards
                        ? -curve.at(0) - STANDING_DRAG * curve.shutOff() * Math.pow(flow / curve.freeFlow(), 2)
                        : curve.at(flow));
    }
}
