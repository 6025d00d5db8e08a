package io.enthalpa.core.fluid;

import io.enthalpa.core.fault.Budget;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import io.enthalpa.core.source.ValidityRange;

/**
 * Air with the vapour it carries, as an ideal gas mixture whose heat capacity varies with temperature.
 * Immutable: where a spray evaporates or water comes out, the charge goes on as {@link #carrying another}.
 *
 * <p>Caloric: NASA polynomials per species. Viscosity: Lemmon &amp; Jacobsen (2004), dilute-gas term.
 * Conductivity: U.S. Standard Atmosphere (1976). The transport of dry air is used for humid air: at 3 % water by mole
 * (saturated, 24 °C) that is about 1 % too viscous.
 */
public final class HumidAir {
    /** Universal gas constant, J/(mol K); CODATA 2018, exact. */
    static final double MOLAR_GAS_CONSTANT = 8.314462618;

    public static final ValidityRange TEMPERATURE_RANGE = new ValidityRange("air temperature", 200, 1000, "K");
    public static final Citation CALORIC = Citation.fromMemory(
            "McBride, Gordon & Reno",
            1993,
            "Coefficients for calculating thermodynamic and transport properties of individual species, NASA TM-4513");
    public static final Citation VISCOSITY = Citation.fromMemory(
            "Lemmon & Jacobsen",
            2004,
            "Viscosity and thermal conductivity equations for nitrogen, oxygen, argon, and air, Int. J. Thermophys. 25");
    public static final Citation CONDUCTIVITY =
            Citation.fromMemory("U.S. Standard Atmosphere", 1976, "equation for the thermal conductivity of air");
    public static final Method METHOD = Method.of(
                    "humid-air",
                    "Humid air",
                    "An ideal gas mixture whose water content is set by the weather; what sprays add to it and cores take out of it is carried along, as weight, as room and as heat capacity. Heat capacity, enthalpy and entropy by the polynomials of its "
                            + "species, so that nothing rests on one fixed ratio of heat capacities.")
            .formula(
                    "cp = R sum y_i (a0 + a1 T + a2 T^2 + a3 T^3 + a4 T^4); viscosity by the dilute gas term; k = 2.64638e-3 T^1.5 / (T + 245.4 10^(-12/T))")
            .range(TEMPERATURE_RANGE)
            .source(CALORIC, VISCOSITY, CONDUCTIVITY)
            .leavesOut("Viscosity and conductivity are those of dry air: 1 % off at 3 % water.");
    /** K; Newton's method doubles the digits with each step, so that what is left behind such a step is below 1e-9 K. */
    private static final double LAST_STEP = 1e-5;

    private static final int MOST_STEPS = 30;

    private static final double TABLE_FROM = 200;
    private static final double TABLE_STEP = 2;
    private static final double[] VISCOSITIES = java.util.stream.IntStream.rangeClosed(0, 300)
            .mapToDouble(i -> exactViscosity(TABLE_FROM + i * TABLE_STEP))
            .toArray();
    public static final HumidAir DRY = new HumidAir(0, 0);

    /** Quotients of the integrated polynomials: multiplied, for they stand in every step of every run. */
    private static final double HALF = 0.5;

    private static final double THIRD = 1.0 / 3;
    private static final double FOURTH = 0.25;
    private static final double FIFTH = 0.2;

    private final double waterMoleFraction;
    private final double methanolMoleFraction;
    private final double gasConstant;
    private final double[] cpCoefficients = new double[5];

    private HumidAir(double waterMoleFraction, double methanolMoleFraction) {
        this.waterMoleFraction = waterMoleFraction;
        this.methanolMoleFraction = methanolMoleFraction;
        double dry = 1 - waterMoleFraction - methanolMoleFraction;
        double molarMass = 0;
        double[] share = {
            0.78084 * dry, 0.20946 * dry, 0.00930 * dry, 0.00040 * dry, waterMoleFraction, methanolMoleFraction
        };
        IdealGasSpecies[] species = IdealGasSpecies.values();
        for (int i = 0; i < species.length; i++) {
            molarMass += share[i] * species[i].molarMass;
            species[i].addTo(cpCoefficients, share[i]);
        }
        gasConstant = MOLAR_GAS_CONSTANT / molarMass;
    }

    /**
     * @param temperature      K, 200 to 400
     * @param pressure         Pa absolute, above 1000
     * @param relativeHumidity 0 to 1
     */
    public static HumidAir at(double temperature, double pressure, double relativeHumidity) {
        EnthalpaFault.within("air temperature", temperature, 200, 400, "K");
        EnthalpaFault.within("air pressure", pressure, 1000, 1e7, "Pa");
        EnthalpaFault.within("relative humidity", relativeHumidity, 0, 1, "of 1");
        double vapour = relativeHumidity * WaterVapour.saturationPressure(temperature);
        return new HumidAir(Math.min(vapour / pressure, 0.5), 0);
    }

    /** @param water    moles for each mole of dry air @param methanol the same @return the same dry air with other vapour in it */
    public HumidAir carrying(double water, double methanol) {
        double all = 1 + water + methanol;
        return new HumidAir(water / all, methanol / all);
    }

    /** @return moles of water for each mole of dry air */
    public double water() {
        return waterMoleFraction / (1 - waterMoleFraction - methanolMoleFraction);
    }

    /** @return moles of methanol for each mole of dry air */
    public double methanol() {
        return methanolMoleFraction / (1 - waterMoleFraction - methanolMoleFraction);
    }

    /** @return kg that go with each mole of dry air */
    public double massPerDryMole() {
        return molarMass() / (1 - waterMoleFraction - methanolMoleFraction);
    }

    /** @return kg/mol */
    public double molarMass() {
        return MOLAR_GAS_CONSTANT / gasConstant;
    }

    public double methanolMoleFraction() {
        return methanolMoleFraction;
    }

    public double waterMoleFraction() {
        return waterMoleFraction;
    }

    /** @return kg of water in each kg of the mixture */
    public double waterMassFraction() {
        return waterMoleFraction * IdealGasSpecies.WATER.molarMass * gasConstant / MOLAR_GAS_CONSTANT;
    }

    /** @param pressure Pa absolute @return K below which water comes out at that pressure; 0 for dry air */
    public double dewPoint(double pressure) {
        return waterMoleFraction < 1e-9 ? 0 : WaterVapour.saturationTemperature(waterMoleFraction * pressure);
    }

    /** @return specific gas constant, J/(kg K) */
    public double gasConstant() {
        return gasConstant;
    }

    /** @param t K @return J/(kg K) */
    public double heatCapacity(double t) {
        double[] c = cpCoefficients;
        return gasConstant * (c[0] + t * (c[1] + t * (c[2] + t * (c[3] + t * c[4]))));
    }

    /** @param t K @return specific enthalpy above 0 K of the polynomial, J/kg; only differences mean anything */
    public double enthalpy(double t) {
        double[] c = cpCoefficients;
        return gasConstant
                * t
                * (c[0] + t * (c[1] * HALF + t * (c[2] * THIRD + t * (c[3] * FOURTH + t * c[4] * FIFTH))));
    }

    /** @param t K @return the temperature part of the specific entropy, J/(kg K); only differences mean anything */
    double entropyFunction(double t) {
        double[] c = cpCoefficients;
        return gasConstant
                * (c[0] * Math.log(t) + t * (c[1] + t * (c[2] * HALF + t * (c[3] * THIRD + t * c[4] * FOURTH))));
    }

    /**
     * @param enthalpy J/kg, as {@link #enthalpy} counts it
     * @param guess    K, a start for Newton's method
     * @return temperature in K to 1e-9 K
     */
    public double temperatureAtEnthalpy(double enthalpy, double guess) {
        double t = guess;
        for (int i = 0; i < MOST_STEPS; i++) {
            double step = (enthalpy - enthalpy(t)) / heatCapacity(t);
            t += step;
            if (Math.abs(step) < LAST_STEP) {
                return t;
            }
        }
        throw Budget.spent("temperature of the air at an enthalpy", MOST_STEPS);
    }

    /**
     * Temperature after a loss-free change of pressure, from equal entropy.
     *
     * @param t     K before
     * @param ratio pressure after over pressure before
     * @return K after
     */
    public double isentropicTemperature(double t, double ratio) {
        double target = entropyFunction(t) + gasConstant * Math.log(ratio);
        double after = t * Math.pow(ratio, gasConstant / heatCapacity(t));
        for (int i = 0; i < MOST_STEPS; i++) {
            double step = (target - entropyFunction(after)) * after / heatCapacity(after);
            after += step;
            if (Math.abs(step) < LAST_STEP) {
                return after;
            }
        }
        throw Budget.spent("temperature of the air behind a change of pressure", MOST_STEPS);
    }

    /** @param t K @return ratio of heat capacities */
    public double gamma(double t) {
        double cp = heatCapacity(t);
        return cp / (cp - gasConstant);
    }

    /** @param p Pa absolute @param t K @return kg/m3 */
    public double density(double p, double t) {
        return p / (gasConstant * t);
    }

    /** @param t K @return speed of sound, m/s */
    public double soundSpeed(double t) {
        return Math.sqrt(gamma(t) * gasConstant * t);
    }

    /**
     * Dynamic viscosity, Pa s: Lemmon &amp; Jacobsen (2004) eq. 2 and 3 with the collision integral
     * for air (epsilon/k 103.3 K, sigma 0.360 nm, M 28.9586 g/mol). 100 to 2000 K, 1 %. Read from a table of it in steps of 2 K, straight
     * between, which changes it by less than 1e-5.
     */
    public double viscosity(double t) {
        double at = (t - TABLE_FROM) / TABLE_STEP;
        int below = (int) at;
        if (!(at >= 0) || below + 1 >= VISCOSITIES.length) {
            return exactViscosity(t);
        }
        return VISCOSITIES[below] + (at - below) * (VISCOSITIES[below + 1] - VISCOSITIES[below]);
    }

    private static double exactViscosity(double t) {
        double x = Math.log(t / 103.3);
        double collision = Math.exp(0.431 + x * (-0.4623 + x * (0.08406 + x * (0.005341 - x * 0.00331))));
        return 1e-6 * 0.0266958 * Math.sqrt(28.9586 * t) / (0.360 * 0.360 * collision);
    }

    /**
     * Thermal conductivity, W/(m K): U.S. Standard Atmosphere (1976). 180 to 600 K. The later equation by
     * Lemmon &amp; Jacobsen lies 0 to 2 % lower above 400 K; this one agrees with the heat transfer
     * tables that exchanger correlations were built on.
     */
    public double conductivity(double t) {
        return 2.64638e-3 * t * Math.sqrt(t) / (t + 245.4 * Math.pow(10, -12 / t));
    }

    /** @param t K @return Prandtl number */
    public double prandtl(double t) {
        return heatCapacity(t) * viscosity(t) / conductivity(t);
    }
}
