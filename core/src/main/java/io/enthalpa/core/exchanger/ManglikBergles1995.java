package io.enthalpa.core.exchanger;

import io.enthalpa.core.fluid.Transport;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import io.enthalpa.core.source.ValidityRange;

/** Offset strip fins: j and f in one equation from laminar to turbulent. */
public final class ManglikBergles1995 {
    public static final ValidityRange REYNOLDS =
            new ValidityRange("Reynolds number on the hydraulic diameter", 120, 10_000, "");
    public static final Method METHOD = Method.of(
                    "offset-fin",
                    "Offset strip fins",
                    "Heat transfer factor j and Fanning factor f of 18 measured surfaces, within 20 % for most. Every strip starts a fresh film, "
                            + "which is why this fin moves two to three times the heat of a plain one and costs more than that in pressure.")
            .formula(
                    "j = 0.6522 Re^-0.5403 a^-0.1541 d^0.1499 g^-0.0678 (1 + 5.269e-5 Re^1.340 a^0.504 d^0.456 g^-1.055)^0.1; "
                            + "f = 9.6243 Re^-0.7422 a^-0.1856 d^0.3053 g^-0.2659 (1 + 7.669e-8 Re^4.429 a^0.920 d^3.767 g^0.236)^0.1; "
                            + "a = s/h, d = t/l, g = t/s; film = j G cp / Pr^(2/3)")
            .range(REYNOLDS)
            .source(
                    Citation.fromMemory(
                            "Manglik & Bergles",
                            1995,
                            "Heat transfer and pressure drop correlations for the rectangular offset strip fin compact heat exchanger, Exp. Therm. Fluid Sci. 10"))
            .leavesOut("Burrs and braze fillets of a real fin: up to a fifth more loss.");

    private ManglikBergles1995() {}

    /** @param massFlux kg/(m2 s) in the free section */
    public static FinFlow flow(FinSpec fin, double massFlux, Transport fluid) {
        double s = fin.passageWidth();
        double a = s / fin.passageHeight();
        double d = fin.thickness() / fin.interval();
        double g = fin.thickness() / s;
        double re = Math.max(massFlux * fin.hydraulicDiameter() / fluid.viscosity(), 1e-3);
        double film = factorJ(re, a, d, g) * massFlux * fluid.heatCapacity() / Math.pow(fluid.prandtl(), 2.0 / 3);
        return new FinFlow(re, film, factorF(re, a, d, g), REYNOLDS.contains(re));
    }

    static double factorJ(double re, double a, double d, double g) {
        return 0.6522
                * Math.pow(re, -0.5403)
                * Math.pow(a, -0.1541)
                * Math.pow(d, 0.1499)
                * Math.pow(g, -0.0678)
                * Math.pow(
                        1
                                + 5.269e-5
                                        * Math.pow(re, 1.340)
                                        * Math.pow(a, 0.504)
                                        * Math.pow(d, 0.456)
                                        * Math.pow(g, -1.055),
                        0.1);
    }

    static double factorF(double re, double a, double d, double g) {
        return 9.6243
                * Math.pow(re, -0.7422)
                * Math.pow(a, -0.1856)
                * Math.pow(d, 0.3053)
                * Math.pow(g, -0.2659)
                * Math.pow(
                        1
                                + 7.669e-8
                                        * Math.pow(re, 4.429)
                                        * Math.pow(a, 0.920)
                                        * Math.pow(d, 3.767)
                                        * Math.pow(g, 0.236),
                        0.1);
    }
}
