package io.enthalpa.core.exchanger;

/**
 * What an exchanger does at given flows.
 *
 * @param conductances     W/K, the three resistances
 * @param ntu              number of transfer units
 * @param effectiveness    0 to 1
 * @param conductancePerKelvin W moved for each kelvin between the two inlets
 */
public record HeatTransfer(Conductances conductances, double ntu, double effectiveness, double conductancePerKelvin) {
    /** @param hotRate W/K @param coldRate W/K */
    public static HeatTransfer of(
            Conductances conductances, Effectiveness arrangement, double hotRate, double coldRate) {
        double overall = conductances.overall();
        double least = Math.min(hotRate, coldRate);
        double effectiveness = arrangement.between(overall, hotRate, coldRate);
        return new HeatTransfer(conductances, overall / least, effectiveness, effectiveness * least);
    }
}
