package io.enthalpa.core.fluid;

import io.enthalpa.core.source.Citation;

/** Methanol, as sprayed with water into a charge. Temperatures in K. */
public final class Methanol {
    public static final Citation SOURCE = Citation.fromMemory(
            "Gmehling & Onken",
            1977,
            "Vapor-Liquid Equilibrium Data Collection, Antoine constants of methanol; heat of vaporisation by Reid, Prausnitz & Poling (1987)");
    public static final double MOLAR_MASS = 32.042e-3;
    /** kg/m3 at 20 °C. */
    public static final double DENSITY = 791.8;
    /** J/(kg K), liquid near 25 °C. */
    public static final double LIQUID_HEAT_CAPACITY = 2530;

    private Methanol() {}

    /** @return Pa, Antoine, 258 to 373 K */
    public static double saturationPressure(double t) {
        return 133.322 * Math.pow(10, 8.08097 - 1582.271 / (t - 273.15 + 239.726));
    }

    /** @return J/kg: 1.100 MJ/kg at the boiling point, 337.85 K, rising 1.75 kJ/kg for each kelvin below */
    public static double latentHeat(double t) {
        return 1.100e6 + 1750 * (337.85 - t);
    }
}
