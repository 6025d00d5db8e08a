package io.enthalpa.core.exchanger;

import io.enthalpa.core.fluid.Transport;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import io.enthalpa.core.source.ValidityRange;

/** Straight rectangular passages: laminar by Shah and London, turbulent by Gnielinski, a blend between. */
public final class PlainPassage {
    static final double LAMINAR_TO = 2300;
    static final double TURBULENT_FROM = 4000;
    public static final ValidityRange REYNOLDS =
            new ValidityRange("Reynolds number on the hydraulic diameter", 1, 1e6, "");
    /** Gnielinski's own figure for most measurements; the laminar solutions are exact, real fins are not. */
    public static final double WITHIN = 0.10;

    public static final Method METHOD = Method.of(
                    "plain-fin",
                    "Plain fins and flat passages",
                    "Laminar flow by the exact solution for rectangular ducts at one wall temperature, with the thermal entrance added; turbulent "
                            + "flow by Gnielinski with Filonenko's friction; between Reynolds 2300 and 4000 straight from one to the other.")
            .formula("laminar f Re = 24 (1 - 1.3553 a + 1.9467 a^2 - 1.7012 a^3 + 0.9564 a^4 - 0.2537 a^5), "
                    + "Nu = 7.541 (1 - 2.610 a + 4.970 a^2 - 5.119 a^3 + 2.702 a^4 - 0.548 a^5), a short over long side; "
                    + "turbulent Nu = (f/2)(Re - 1000) Pr / (1 + 12.7 sqrt(f/2)(Pr^(2/3) - 1)) (1 + (D/L)^(2/3))")
            .range(REYNOLDS)
            .source(
                    Citation.fromMemory("Shah & London", 1978, "Laminar Flow Forced Convection in Ducts"),
                    Citation.fromMemory(
                            "Gnielinski",
                            1976,
                            "New equations for heat and mass transfer in turbulent pipe and channel flow, Int. Chem. Eng. 16"))
            .leavesOut("Developing friction at the entrance of laminar passages: short ones lose a little more.");

    private PlainPassage() {}

    /** @param aspect short over long side, 0 to 1 @return Fanning friction factor times Reynolds number, fully developed laminar */
    static double laminarFriction(double aspect) {
        return 24 * polynomial(aspect, -1.3553, 1.9467, -1.7012, 0.9564, -0.2537);
    }

    /** @param aspect short over long side, 0 to 1 @return Nusselt number at one wall temperature, fully developed laminar */
    static double laminarNusselt(double aspect) {
        return 7.541 * polynomial(aspect, -2.610, 4.970, -5.119, 2.702, -0.548);
    }

    /** @param aspect short over long side, 0 to 1 @return Nusselt number at one heat flux along and one temperature round the passage */
    static double laminarNusseltAtConstantFlux(double aspect) {
        return 8.235 * polynomial(aspect, -2.0421, 3.0853, -2.4765, 1.0578, -0.1861);
    }

    private static double polynomial(double x, double... c) {
        double sum = 0;
        for (int i = c.length - 1; i >= 0; i--) {
            sum = (sum + c[i]) * x;
        }
        return 1 + sum;
    }

    /**
     * @param width    m of the passage
     * @param height   m of the passage
     * @param length   m along the stream
     * @param massFlux kg/(m2 s)
     */
    public static FinFlow flow(double width, double height, double length, double massFlux, Transport fluid) {
        double diameter = 2 * width * height / (width + height);
        double aspect = Math.min(width, height) / Math.max(width, height);
        double re = Math.max(massFlux * diameter / fluid.viscosity(), 1e-6);
        double pr = fluid.prandtl();
        double nusselt;
        double friction;
        if (re <= LAMINAR_TO) {
            nusselt = laminar(re, pr, aspect, diameter / length);
            friction = laminarFriction(aspect) / re;
        } else if (re >= TURBULENT_FROM) {
            nusselt = gnielinski(re, pr, diameter / length);
            friction = filonenko(re);
        } else {
            double share = (re - LAMINAR_TO) / (TURBULENT_FROM - LAMINAR_TO);
            nusselt = (1 - share) * laminar(LAMINAR_TO, pr, aspect, diameter / length)
                    + share * gnielinski(TURBULENT_FROM, pr, diameter / length);
            friction = (1 - share) * laminarFriction(aspect) / LAMINAR_TO + share * filonenko(TURBULENT_FROM);
        }
        return new FinFlow(re, nusselt * fluid.conductivity() / diameter, friction, REYNOLDS.contains(re));
    }

    /** Developed value and thermal entrance by the cubes (Gnielinski's form for laminar pipes). */
    private static double laminar(double re, double pr, double aspect, double diameterOverLength) {
        double entrance = 1.615 * Math.cbrt(re * pr * diameterOverLength);
        return Math.cbrt(Math.pow(laminarNusselt(aspect), 3) + Math.pow(entrance, 3));
    }

    private static double gnielinski(double re, double pr, double diameterOverLength) {
        double half = filonenko(re) / 2;
        return half
                * (re - 1000)
                * pr
                / (1 + 12.7 * Math.sqrt(half) * (Math.pow(pr, 2.0 / 3) - 1))
                * (1 + Math.pow(diameterOverLength, 2.0 / 3));
    }

    /** @return Fanning friction factor of a smooth passage */
    private static double filonenko(double re) {
        double x = 1.58 * Math.log(re) - 3.28;
        return 1 / (x * x);
    }
}
