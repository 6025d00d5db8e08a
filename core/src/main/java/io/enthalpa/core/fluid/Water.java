package io.enthalpa.core.fluid;

import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import io.enthalpa.core.source.ValidityRange;

/** Liquid water at about atmospheric pressure, 0 to 100 °C. Temperatures in K. */
public final class Water {
    public static final Citation DENSITY = Citation.fromMemory(
            "Kell", 1975, "Density, thermal expansivity, and compressibility of liquid water, J. Chem. Eng. Data 20");
    public static final Citation HEAT_CAPACITY = Citation.fromMemory(
            "Popiel & Wojtkowiak",
            1998,
            "Simple formulas for thermophysical properties of liquid water, Heat Transfer Eng. 19");
    public static final Citation TRANSPORT = Citation.fromMemory(
            "Pátek et al.",
            2009,
            "Reference correlations for thermophysical properties of liquid water at 0.1 MPa, J. Phys. Chem. Ref. Data 38");

    public static final Method METHOD = Method.of(
                    "water",
                    "Liquid water",
                    "Density, heat capacity, viscosity and conductivity of pure water by temperature.")
            .range(new ValidityRange("temperature", 0, 100, "°C"))
            .source(DENSITY, HEAT_CAPACITY, TRANSPORT)
            .leavesOut("Glycol.");

    private Water() {}

    /** @return kg/m3, Kell (1975), 0 to 150 °C */
    public static double density(double t) {
        double c = t - 273.15;
        double above = 999.83952
                + c * (16.945176 + c * (-7.9870401e-3 + c * (-46.170461e-6 + c * (105.56302e-9 - c * 280.54253e-12))));
        return above / (1 + 16.879850e-3 * c);
    }

    /** @return J/(kg K), Popiel &amp; Wojtkowiak (1998), 0 to 150 °C */
    public static double heatCapacity(double t) {
        double c = Math.max(t - 273.15, 0);
        double root = Math.sqrt(c);
        return 1000
                * (4.2174356
                        + c * (-0.0056181625 + root * (0.0012992528 + root * (-0.00011535353 + root * 4.14964e-6))));
    }

    /** @return Pa s, Pátek et al. (2009), 0 to 110 °C */
    public static double viscosity(double t) {
        double r = t / 300;
        return 1e-6
                * (280.68 * Math.pow(r, -1.9)
                        + 511.45 * Math.pow(r, -7.7)
                        + 61.131 * Math.pow(r, -19.6)
                        + 0.45903 * Math.pow(r, -40.0));
    }

    /** @return W/(m K), Pátek et al. (2009), 0 to 110 °C */
    public static double conductivity(double t) {
        double r = t / 300;
        return 0.80201 * Math.pow(r, -0.32)
                - 0.25992 * Math.pow(r, -5.7)
                + 0.10024 * Math.pow(r, -12.0)
                - 0.032005 * Math.pow(r, -15.0);
    }
}
