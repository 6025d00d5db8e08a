package io.enthalpa.core.fluid;

import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import io.enthalpa.core.source.ValidityRange;

/** The standard atmosphere, ISO 2533:1975, troposphere (to 11 km; used to 5 km). */
public final class Atmosphere {
    public static final Citation STANDARD = Citation.published("ISO", 1975, "ISO 2533 Standard atmosphere");
    public static final Method METHOD = Method.of(
                    "atmosphere",
                    "Outside pressure",
                    "The standard atmosphere for the altitude, unless a barometer reading is given, which overrides it. The temperature is always the user's.")
            .formula("p = 101325 (1 - 0.0065 h / 288.15)^5.2559")
            .range(new ValidityRange("altitude", -500, 5000, "m"))
            .source(STANDARD)
            .leavesOut("Weather: a deep low is 3 % thinner than the standard. Type the barometer when it matters.");
    private static final double LAPSE = 0.0065;
    private static final double SEA_LEVEL_T = 288.15;
    private static final double SEA_LEVEL_P = 101325;
    private static final double EXPONENT = 9.80665 / (287.05287 * LAPSE);

    private Atmosphere() {}

    /** @param altitude geopotential m, -500 to 5000 @return K */
    public static double temperature(double altitude) {
        return SEA_LEVEL_T - LAPSE * checked(altitude);
    }

    /** @param altitude geopotential m, -500 to 5000 @return Pa */
    public static double pressure(double altitude) {
        return SEA_LEVEL_P * Math.pow(temperature(altitude) / SEA_LEVEL_T, EXPONENT);
    }

    private static double checked(double altitude) {
        return EnthalpaFault.within("altitude", altitude, -500, 5000, "m");
    }
}
