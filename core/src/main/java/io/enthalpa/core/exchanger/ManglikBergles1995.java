package io.enthalpa.core.exchanger;

import io.enthalpa.core.fluid.Transport;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import io.enthalpa.core.source.ValidityRange;
import java.util.List;
import java.util.Map;

/** Offset strip fins: j and f in one equation from laminar to turbulent. */
public final class ManglikBergles1995 {
    public static final ValidityRange REYNOLDS =
            new ValidityRange("Reynolds number on the hydraulic diameter", 120, 10_000, "");
    /** Of the 18 surfaces measured (their table, from memory). */
    private static final MeasuredFins MEASURED = new MeasuredFins()
            .with(FinMeasure.WIDTH_TO_HEIGHT, 0.134, 0.997)
            .with(FinMeasure.THICKNESS_TO_STRIP, 0.012, 0.048)
            .with(FinMeasure.THICKNESS_TO_WIDTH, 0.041, 0.121);

    /** Most of what they measured lies so close, as a share. */
    static final double WITHIN = 0.20;

    public static final Method METHOD = Method.of(
                    "offset-fin",
                    "Offset strip fins",
                    "Heat transfer factor j and Fanning factor f of 18 measured surfaces, within 20 % for most. Every strip starts a fresh film, "
                            + "which is why this fin moves two to three times the heat of a plain one and costs more than that in pressure. Measured were passages 0.134 to 0.997 times as wide as high, sheet of 0.012 to 0.048 of the strip's length and 0.041 to 0.121 of the passage's width: "
                            + "what lies beyond counts as the nearest of these, and as less sure.")
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
        double a = MEASURED.nearest(FinMeasure.WIDTH_TO_HEIGHT, s / fin.passageHeight());
        double d = MEASURED.nearest(FinMeasure.THICKNESS_TO_STRIP, fin.thickness() / fin.interval());
        double g = MEASURED.nearest(FinMeasure.THICKNESS_TO_WIDTH, fin.thickness() / s);
        double re = Math.max(massFlux * fin.hydraulicDiameter() / fluid.viscosity(), 1e-3);
        double film = factorJ(re, a, d, g) * massFlux * fluid.heatCapacity() / Math.pow(fluid.prandtl(), 2.0 / 3);
        return new FinFlow(re, film, factorF(re, a, d, g), REYNOLDS.contains(re));
    }

    /** @return what lies beyond the surfaces measured */
    public static List<FinMeasure> beyond(FinSpec fin) {
        return MEASURED.beyond(Map.of(
                FinMeasure.WIDTH_TO_HEIGHT,
                fin.passageWidth() / fin.passageHeight(),
                FinMeasure.THICKNESS_TO_STRIP,
                fin.thickness() / fin.interval(),
                FinMeasure.THICKNESS_TO_WIDTH,
                fin.thickness() / fin.passageWidth()));
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
