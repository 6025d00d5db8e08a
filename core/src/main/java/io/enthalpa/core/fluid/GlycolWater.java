package io.enthalpa.core.fluid;

import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import io.enthalpa.core.source.ValidityRange;

/**
 * Water with ethylene glycol. Each property is that of pure water ({@link Water}) times the ratio of mixture to water by Conde's
 * equations, so that it joins pure water without a step. Temperatures in K.
 *
 * @param share of glycol by volume as poured, 0 to 0.6
 */
public record GlycolWater(double share) {
    public static final GlycolWater WATER = new GlycolWater(0);
    public static final Citation CONDE =
            Citation.fromMemory("Conde", 2011, "Thermophysical properties of brines: models, aqueous ethylene glycol");
    public static final Method METHOD = Method.of(
                    "glycol",
                    "Coolant: water with glycol",
                    "Density, heat capacity, conductivity, viscosity, freezing and boiling point by temperature and share. Pure water has its own formulas; glycol "
                            + "enters as a ratio to water, so that a little glycol changes little.")
            .formula(
                    "property = A1 + A2 x + A3 r + A4 x r + A5 r^2, r = 273.15/T, x share by mass; ln of it for viscosity; "
                            + "freezing: T/273.15 = 1 - 0.03736 x - 0.40050 x^2; boiling: p = y p_water(T), y water's share of the moles")
            .range(new ValidityRange("glycol by volume", 0, 60, "%"), new ValidityRange("temperature", -25, 100, "°C"))
            .source(CONDE)
            .leavesOut(
                    "Propylene glycol, which is thicker when cold; inhibitors. Published viscosities lie up to 15 % apart.");
    /** Above the freezing point of the mixture by less than this it turns to slush in a narrow passage, K (common practice, no source). */
    public static final double MARGIN = 3;

    private static final double GLYCOL_DENSITY = 1113;
    private static final double WATER_DENSITY = 998;
    private static final double WATER_MOLAR_MASS = 18.015;
    private static final double GLYCOL_MOLAR_MASS = 62.07;
    private static final double ICE_POINT = 273.15;
    private static final double COLDEST = 248.15;
    private static final double HOTTEST = 373.1;
    private static final double[] DENSITY = {658.49825, -54.81501, 664.71643, 232.72605, -322.61661};
    private static final double[] HEAT_CAPACITY = {5.36449, 0.78863, -2.59001, -2.73187, 1.43759};
    private static final double[] CONDUCTIVITY = {0.83818, -1.37620, -0.07629, 1.07720, -0.20174};
    private static final double[] VISCOSITY = {-4.63024, -2.14817, -12.70106, 5.40536, 10.98990};

    /** @return share of glycol by mass, 0 to 1 */
    public double massShare() {
        return share * GLYCOL_DENSITY / (share * GLYCOL_DENSITY + (1 - share) * WATER_DENSITY);
    }

    /** @return K where the first ice forms */
    public double freezing() {
        double x = massShare();
        return ICE_POINT * (1 - 0.03736 * x - 0.40050 * x * x);
    }

    /**
     * Where it begins to boil: water's vapour pressure over its share of the moles (Raoult), glycol's own vapour being nothing beside it. Half and half
     * at one atmosphere 107 °C, as published.
     *
     * @param pressure Pa absolute
     * @return K
     */
    public double boiling(double pressure) {
        double x = massShare();
        double water = (1 - x) / WATER_MOLAR_MASS;
        return WaterVapour.saturationTemperature(pressure * (water + x / GLYCOL_MOLAR_MASS) / water);
    }

    /** @return kg/m3 */
    public double density(double t) {
        double in = inside(t);
        return Water.density(in) * ratio(DENSITY, in);
    }

    /** @return J/(kg K) */
    public double heatCapacity(double t) {
        double in = inside(t);
        return Water.heatCapacity(in) * ratio(HEAT_CAPACITY, in);
    }

    /** @return W/(m K) */
    public double conductivity(double t) {
        double in = inside(t);
        return Water.conductivity(in) * ratio(CONDUCTIVITY, in);
    }

    /** @return Pa s */
    public double viscosity(double t) {
        double in = inside(t);
        return Water.viscosity(in)
                * (share == 0 ? 1 : Math.exp(conde(VISCOSITY, massShare(), in) - conde(VISCOSITY, 0, in)));
    }

    public Transport transport(double t) {
        return new Transport(density(t), heatCapacity(t), viscosity(t), conductivity(t));
    }

    /**
     * How much better or worse a film is than that of pure water at the same mass flow, where it goes as {@code Nu ~ Re^n Pr^(1/3)}: with the same n
     * as its flow (Colburn's analogy). Laminar passages, n near 0.3, suffer far less from thick coolant than turbulent ones.
     *
     * @param exponent n, of the film with its flow
     * @return factor, 1 for water
     */
    public double filmFactor(double t, double exponent) {
        if (share == 0) {
            return 1;
        }
        Transport mix = transport(t);
        Transport water = WATER.transport(t);
        return mix.conductivity()
                / water.conductivity()
                * Math.pow(water.viscosity() / mix.viscosity(), exponent)
                * Math.cbrt(mix.prandtl() / water.prandtl());
    }

    private double inside(double t) {
        return Math.max(share == 0 ? ICE_POINT : COLDEST, Math.min(t, HOTTEST));
    }

    private double ratio(double[] a, double t) {
        return share == 0 ? 1 : conde(a, massShare(), t) / conde(a, 0, t);
    }

    private static double conde(double[] a, double x, double t) {
        double r = ICE_POINT / t;
        return a[0] + a[1] * x + a[2] * r + a[3] * x * r + a[4] * r * r;
    }
}
