package io.enthalpa.core.coolingair;

/**
 * How the air flows through a way at a road speed.
 *
 * @param total     m3/s through the opening
 * @param bypass    m3/s of it round the stack
 * @param lanes     m3/s through each lane of the stack
 * @param layers    m3/s through each layer
 * @param perKelvin W each layer that knows itself gives for each kelvin between its hot side and its air; 0 for cores and radiators
 * @param wind      Pa between opening and exit from the road wind
 * @param fan       Pa that the fan adds; below 0 when it is in the way
 * @param buoyancy  Pa from warm air rising, standing
 * @param inLoss    Pa lost at grille and opening
 * @param stackLoss Pa lost in the stack
 * @param outLoss   Pa lost at the exit
 * @param against   fan or exit press back harder than the wind presses in: what flows is warm air rising only
 */
public record AirFlow(
        double total,
        double bypass,
        double[] lanes,
        double[] layers,
        double[] perKelvin,
        double wind,
        double fan,
        double buoyancy,
        double inLoss,
        double stackLoss,
        double outLoss,
        boolean against) {

    /** @return so much more of the same air */
    public AirFlow times(double factor) {
        return factor == 1
                ? this
                : new AirFlow(
                        total * factor,
                        bypass * factor,
                        times(lanes, factor),
                        times(layers, factor),
                        times(perKelvin, factor),
                        wind,
                        fan,
                        buoyancy,
                        inLoss,
                        stackLoss,
                        outLoss,
                        against);
    }

    private static double[] times(double[] values, double factor) {
        return java.util.Arrays.stream(values).map(v -> v * factor).toArray();
    }
}
