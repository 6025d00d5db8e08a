package io.enthalpa.core.endurance;

import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;

/**
 * The air temperature sensor at the plenum: what the ECU sees runs behind what the engine breathes.
 *
 * @param lag s, time constant in air of 10 m/s at sea level; 0 for one that follows at once
 */
public record Sensor(double lag) {
    /** An ordinary sensor with an open tip (common practice, no source). */
    public static final Sensor USUAL = new Sensor(5);

    public static final Method METHOD = Method.of(
                    "sensor",
                    "What the sensor shows",
                    "The sensor's tip is a small mass that the air heats or cools: it follows with a time constant that grows as the square root of thinner or slower air. "
                            + "Where the charge stands, slow warm air of 0.3 m/s still reaches it.")
            .formula("shown' = (T - shown) / tau, tau = lag sqrt(G0 / G), G = m/A, G0 = 12 kg/(m2 s)")
            .source(
                    Citation.fromMemory(
                            "Incropera & DeWitt",
                            2007,
                            "Fundamentals of Heat and Mass Transfer, lumped capacitance; small bodies across a stream, Nu ~ Re^0.5"),
                    Citation.commonPractice("lag in air of 10 m/s: open tip 2 to 5 s, closed tip 10 to 20 s"))
            .leavesOut("Heat along the sensor's thread from a hot plenum wall.");
    /** kg/(m2 s) of the air that a lag is given for. */
    public static final double REFERENCE_FLUX = 12;

    private static final double STILL_FLUX = 0.36;

    /**
     * @param shown K before the step
     * @param truth K of the air during it
     * @param flux  kg/(m2 s) past the sensor; 0 when the charge stands
     * @return K shown after it, exact for a constant truth
     */
    public double after(double shown, double truth, double flux, double dt) {
        if (lag <= 0) {
            return truth;
        }
        double tau = lag * Math.sqrt(REFERENCE_FLUX / Math.max(flux, STILL_FLUX));
        return truth + (shown - truth) * Math.exp(-dt / tau);
    }
}
