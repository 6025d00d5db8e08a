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
}
