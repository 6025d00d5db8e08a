package io.enthalpa.core.engine;

/**
 * Water and alcohol sprayed into the charge.
 *
 * @param alcoholShare  methanol by volume in the mix, 0 to 1
 * @param nozzleFlow    m3/s through all nozzles at {@link #ratedPressure}
 * @param ratedPressure Pa of pressure difference that the nozzle's flow is given at
 * @param pumpPressure  Pa, gauge
 * @param startBoost    Pa, manifold above outside, where it starts
 * @param fullBoost     Pa from where the nozzle runs at full; between the two it rises straight
 * @param tank          m3
 * @param evaporated    share of the liquid that has evaporated before the plenum if saturation lets it, 0 to 1
 */
public record InjectionSpec(
        double alcoholShare,
        double nozzleFlow,
        double ratedPressure,
        double pumpPressure,
        double startBoost,
        double fullBoost,
        double tank,
        double evaporated) {
    /**
     * Through an orifice flow goes with the root of the pressure difference (Bernoulli; see {@link InjectionCooling#METHOD}).
     *
     * @param boost Pa above outside, where the nozzle sprays
     * @return m3/s of liquid
     */
    public double flow(double boost) {
        double share =
                fullBoost > startBoost ? (boost - startBoost) / (fullBoost - startBoost) : boost >= startBoost ? 1 : 0;
        double difference = pumpPressure - boost;
        if (share <= 0 || difference <= 0) {
            return 0;
        }
        return Math.min(share, 1) * nozzleFlow * Math.sqrt(difference / ratedPressure);
    }
}
