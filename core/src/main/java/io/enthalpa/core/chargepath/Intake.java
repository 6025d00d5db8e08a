package io.enthalpa.core.chargepath;

import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import java.util.OptionalDouble;

/**
 * Where a filter draws from.
 *
 * @param ram share of the pressure of the air that is met on the road that is left at the filter, 0 to 1
 */
public record Intake(From from, double ram) {
    public static final Method FILTER_METHOD = Method.of(
                    "filter",
                    "Filter and intake",
                    "One reading of its loss, carried to other flows and air; dirt moves it from the clean reading towards the one at which it is due for "
                            + "change. The warm-up of the intake is the user's.")
            .formula("loss = reading (m/m_reading)^2 1.2/rho, less what a scoop keeps of rho v^2 / 2")
            .source(Citation.commonPractice(
                    "box and paper lose with the square of the flow; due for change at about twice the clean loss"))
            .leavesOut("The paper's own laminar share, which makes a clean filter a little better at low flow.");

    public static final Method METHOD = Method.of(
                    "ram",
                    "Ram pressure at the intake",
                    "Air that is met and stopped gives up its speed as pressure; an opening that looks forwards hands a share of it on. It counts before the filter's own loss.")
            .formula("share x rho v^2 / 2, v the road speed, rho of the outside air")
            .source(
                    Citation.fromMemory("Bernoulli", 1738, "Hydrodynamica, pressure of a stopped stream"),
                    Citation.commonPractice("a scoop that looks forwards keeps about half"))
            .leavesOut("Wind; what the body does to the air before the opening; suction behind a wheel.");
    /** Share that a scoop keeps; common practice, no source. */
    public static final double SCOOPED = 0.5;

    /** What is in front of it. */
    public enum From {
        BAY("engine bay", 0.8),
        WHEEL_ARCH("wheel arch", 0),
        OUTSIDE("outside", 0),
        SCOOP("scoop", 0);

        private final String words;
        private final double bayShare;

        From(String words, double bayShare) {
            this.words = words;
            this.bayShare = bayShare;
        }

        /** @return as a reader calls it */
        public String words() {
            return words;
        }

        /** @return of its air, where nobody says: an open filter in the bay draws 60 to 100 % of it; common practice, no source */
        public double bayShare() {
            return bayShare;
        }
    }

    public static final Intake OUTSIDE = new Intake(From.OUTSIDE, 0);

    /** @param ram empty for what is usual there */
    public static Intake of(From from, OptionalDouble ram) {
        return new Intake(from, ram.orElse(from == From.SCOOP ? SCOOPED : 0));
    }

    /** @param met Pa of the air that is met @return Pa */
    double gain(double met) {
        return ram * met;
    }
}
