package io.enthalpa.core.coolingair;

/**
 * Loss of cooling air in a layer as a power of its face velocity: taken at two velocities from card or geometry and carried between them.
 *
 * @param at1      Pa at 1 m/s
 * @param exponent of velocity
 */
record AirLoss(double at1, double exponent) {
    private static final double SLOW = 2;
    private static final double FAST = 8;

    static AirLoss of(java.util.function.DoubleUnaryOperator loss) {
        double slow = loss.applyAsDouble(SLOW);
        double exponent = Math.log(loss.applyAsDouble(FAST) / slow) / Math.log(FAST / SLOW);
        return new AirLoss(slow / Math.pow(SLOW, exponent), exponent);
    }

    double at(double velocity) {
        return at1 * Math.pow(velocity, exponent);
    }
}
