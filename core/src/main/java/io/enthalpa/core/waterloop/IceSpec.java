package io.enthalpa.core.waterloop;

import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;

/**
 * Ice in a reservoir.
 *
 * @param mass  kg at the start
 * @param piece m, edge of the pieces
 * @param stir  how the returning water meets it
 */
public record IceSpec(double mass, double piece, Stir stir) {
    public static final IceSpec NONE = new IceSpec(0, 0.03, Stir.RETURNED);
    /** J/kg; physical tables, from memory. */
    public static final double LATENT_HEAT = 334e3;
    /** kg/m3. */
    public static final double DENSITY = 917;
    /** K. */
    public static final double MELTING = 273.15;

    public static final Method METHOD = Method.of(
                    "ice",
                    "Ice in the tank",
                    "Equal pieces melt from the outside; their surface falls with the two-thirds power of what is left. The water meets it with a film that depends "
                            + "on stirring. Until the last piece is gone, the tank stays near 0 °C as far as surface and film can follow the heat. What has melted is warmed with the rest.")
            .formula(
                    "q = h A (T - 0 °C), A = 6 m0 / (rho a) (m/m0)^(2/3), dm/dt = -q / 334 kJ/kg; with its melt q (1 + c (T - 0 °C) / 334 kJ/kg)")
            .source(
                    Citation.fromMemory(
                            "Incropera & DeWitt",
                            2007,
                            "Fundamentals of Heat and Mass Transfer, films of water 100 to 1000 W/(m2 K)"),
                    Citation.commonPractice("film: still 150, returned over the ice 500, sprayed 900 W/(m2 K)"))
            .leavesOut("Pieces frozen together; ice colder than 0 °C, worth 2 J/(g K) more.");

    /** How the water meets the ice, with its film in W/(m2 K). */
    public enum Stir {
        STILL(150),
        RETURNED(500),
        SPRAYED(900);

        private final double film;

        Stir(double film) {
            this.film = film;
        }
    }

    /** @param left kg not yet melted @return W the ice takes for each kelvin of the water above 0 °C */
    public double conductance(double left) {
        if (mass <= 0 || left <= 0) {
            return 0;
        }
        return stir.film * 6 * mass / (DENSITY * piece) * Math.pow(Math.min(left / mass, 1), 2.0 / 3);
    }

    /**
     * What ice takes together with what has melted of it, which comes in at 0 °C and is warmed to the water's own temperature.
     *
     * @param left     kg not yet melted
     * @param water    K
     * @param specific J/(kg K)
     * @return W for each kelvin of the water above 0 °C
     */
    public double conductanceWithMelt(double left, double water, double specific) {
        return conductance(left) * (1 + specific * Math.max(water - MELTING, 0) / LATENT_HEAT);
    }

    /** @param heat W @return s until the last piece is gone, while all the heat goes into it */
    public double lasts(double heat) {
        return heat <= 0 ? Double.POSITIVE_INFINITY : mass * LATENT_HEAT / heat;
    }
}
