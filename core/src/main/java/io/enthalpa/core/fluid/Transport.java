package io.enthalpa.core.fluid;

/**
 * What a heat transfer correlation needs to know of a fluid at one state.
 *
 * @param density      kg/m3
 * @param heatCapacity J/(kg K)
 * @param viscosity    Pa s
 * @param conductivity W/(m K)
 */
public record Transport(double density, double heatCapacity, double viscosity, double conductivity) {
    /** @param pressure Pa absolute @param temperature K */
    public static Transport ofAir(HumidAir air, double pressure, double temperature) {
        return new Transport(
                air.density(pressure, temperature),
                air.heatCapacity(temperature),
                air.viscosity(temperature),
                air.conductivity(temperature));
    }

    /** @param temperature K, 273 to 373 */
    public static Transport ofWater(double temperature) {
        double t = Math.max(273.2, Math.min(temperature, 373.1));
        return new Transport(Water.density(t), Water.heatCapacity(t), Water.viscosity(t), Water.conductivity(t));
    }

    public double prandtl() {
        return heatCapacity * viscosity / conductivity;
    }
}
