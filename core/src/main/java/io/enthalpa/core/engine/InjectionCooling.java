package io.enthalpa.core.engine;

import io.enthalpa.core.fault.Budget;
import io.enthalpa.core.fluid.HumidAir;
import io.enthalpa.core.fluid.Methanol;
import io.enthalpa.core.fluid.Water;
import io.enthalpa.core.fluid.WaterVapour;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import io.enthalpa.core.source.ValidityRange;
import org.hipparchus.analysis.solvers.BrentSolver;
import org.hipparchus.exception.MathRuntimeException;

/**
 * What a spray does to the charge: it evaporates until the charge is saturated or the liquid is used up, and takes the heat for it from
 * the charge.
 *
 * @param temperature  K behind the spray
 * @param water        kg/s of water evaporated
 * @param alcohol      kg/s of methanol evaporated
 * @param gas          the charge behind it, with what evaporated
 * @param saturated    true when liquid is left because the charge can hold no more
 */
public record InjectionCooling(double temperature, double water, double alcohol, HumidAir gas, boolean saturated) {
    public static final Method METHOD = Method.of(
                    "injection",
                    "Water and alcohol injection",
                    "The spray takes heat from the charge until it has evaporated or the charge is saturated: each liquid's vapour pressure over its share "
                            + "of what is left, against its share of the gas. Only the stated part of the liquid has time to evaporate before the plenum. The vapour "
                            + "stays with the charge from there: it takes room from the air, which the engine's air demand counts, and comes out again where a core is cold enough.")
            .formula(
                    "Q = n sqrt((ppump - boost)/prated); y_i p = x_i ps_i(T); m (h(T1) - h(T2)) = sum of evaporated (L_i(T2)) + sprayed c_i (T2 - Tl)")
            .range(new ValidityRange("charge in front of the spray", 0, 200, "°C"))
            .source(
                    Methanol.SOURCE,
                    WaterVapour.SATURATION,
                    Citation.fromMemory("Raoult", 1887, "law of ideal solutions"))
            .leavesOut(
                    "Methanol that goes into the water a core takes out; droplets that a spray in front of a core leaves. Water and methanol hold each other back a little more than an ideal mix; what evaporates in the cylinder, where it also helps. "
                            + "Temperature is predicted, not the tune: knock margin is yours to prove.");
    private static final double WATER_MOLAR_MASS = 18.01528e-3;
    private static final double COLDEST = 240;
    private static final double TEMPERATURE_TOLERANCE = 1e-9;
    /** K. */
    private static final double SECANT_START = 0.01;
    /** K from the start that a secant may go. */
    private static final double SECANT_REACH = 20;

    private static final int SECANT_STEPS = 8;
    private static final int MOST_TRIALS = 100;
    /** J/(kg K), liquid water. */
    private static final double WATER_HEAT_CAPACITY = 4180;

    /**
     * @param spec     the spray
     * @param air      the charge in front of it
     * @param flow     kg/s of it
     * @param inlet    K
     * @param pressure Pa absolute where it evaporates
     * @param boost    Pa above outside there, which decides the nozzle's flow
     * @param liquidT  K of the liquid in its tank
     * @param near     K, an outlet to start from; NaN without one
     */
    public static InjectionCooling of(
            InjectionSpec spec,
            HumidAir air,
            double flow,
            double inlet,
            double pressure,
            double boost,
            double liquidT,
            double near) {
        double liquid = spec.flow(boost);
        if (liquid <= 0) {
            return new InjectionCooling(inlet, 0, 0, air, false);
        }
        double sprayedWater = liquid * (1 - spec.alcoholShare()) * Water.density(293.15);
        double sprayedAlcohol = liquid * spec.alcoholShare() * Methanol.DENSITY;
        Spray spray = new Spray(
                air,
                flow,
                pressure,
                sprayedWater * spec.evaporated(),
                sprayedAlcohol * spec.evaporated(),
                sprayedWater * WATER_HEAT_CAPACITY + sprayedAlcohol * Methanol.LIQUID_HEAT_CAPACITY,
                inlet,
                liquidT);
        double secant = Double.isNaN(near) ? Double.NaN : secant(spray, near);
        if (!Double.isNaN(secant)) {
            return spray.answer(secant);
        }
        BrentSolver brent = new BrentSolver(1e-13, TEMPERATURE_TOLERANCE, 1e-9);
        try {
            return spray.answer(brent.solve(MOST_TRIALS, spray::heatLeft, COLDEST, Math.max(inlet, liquidT) + 5));
        } catch (MathRuntimeException none) {
            throw Budget.spent("temperature behind the spray", MOST_TRIALS);
        }
    }

    /** As in {@link #of(InjectionSpec, HumidAir, double, double, double, double, double, double)}, from nowhere near. */
    public static InjectionCooling of(
            InjectionSpec spec,
            HumidAir air,
            double flow,
            double inlet,
            double pressure,
            double boost,
            double liquidT) {
        return of(spec, air, flow, inlet, pressure, boost, liquidT, Double.NaN);
    }

    /** @return where no heat is left, from close by; NaN where the spray's state changes on the way and bracketing must find it */
    private static double secant(Spray spray, double near) {
        double before = near - SECANT_START;
        double now = near;
        double leftBefore = spray.heatLeft(before);
        for (int i = 0; i < SECANT_STEPS; i++) {
            double left = spray.heatLeft(now);
            double next = now - left * (now - before) / (left - leftBefore);
            if (Math.abs(next - now) < TEMPERATURE_TOLERANCE) {
                return next;
            }
            if (!(Math.abs(next - near) < SECANT_REACH)) {
                return Double.NaN;
            }
            before = now;
            leftBefore = left;
            now = next;
        }
        return Double.NaN;
    }

    /** One spray at one state: what evaporates at a temperature, and whether the charge has heat left then. */
    private static final class Spray {
        private final HumidAir air;
        private final double flow;
        private final double pressure;
        private final double waterMoles;
        private final double alcoholMoles;
        private final double liquidRate;
        private final double inletEnthalpy;
        private final double liquidT;
        private final double gasMoles;
        private final double vapourMoles;
        private final double alcoholVapour;
        private double water;
        private double alcohol;
        private double left;

        Spray(
                HumidAir air,
                double flow,
                double pressure,
                double water,
                double alcohol,
                double liquidRate,
                double inlet,
                double liquidT) {
            this.air = air;
            this.flow = flow;
            this.pressure = pressure;
            this.waterMoles = water / WATER_MOLAR_MASS;
            this.alcoholMoles = alcohol / Methanol.MOLAR_MASS;
            this.liquidRate = liquidRate;
            this.inletEnthalpy = air.enthalpy(inlet);
            this.liquidT = liquidT;
            this.gasMoles = flow / air.molarMass();
            // What a charge that cold cannot hold came out in the core before.
            this.vapourMoles =
                    Math.min(air.waterMoleFraction(), WaterVapour.saturationPressure(inlet) / pressure) * gasMoles;
            this.alcoholVapour = air.methanolMoleFraction() * gasMoles;
        }

        /** @return W that would be left over at an outlet temperature; above zero when it must be colder still */
        double heatLeft(double t) {
            evaporate(t);
            double latent = water * WATER_MOLAR_MASS * WaterVapour.latentHeat(t)
                    + alcohol * Methanol.MOLAR_MASS * Methanol.latentHeat(t);
            return latent + liquidRate * (t - liquidT) - flow * (inletEnthalpy - air.enthalpy(t));
        }

        /**
         * Equilibrium of both liquids with the gas: the moles of liquid left for which both liquids' shares of it add up to one. The sum
         * falls with the moles left and bends upwards, so that Newton's method from none left comes up to it without overshooting.
         */
        private void evaporate(double t) {
            double kWater = WaterVapour.saturationPressure(t) / pressure;
            double kAlcohol = Methanol.saturationPressure(t) / pressure;
            double allWater = waterMoles + vapourMoles;
            double allAlcohol = alcoholMoles + alcoholVapour;
            double gas = gasMoles + waterMoles + alcoholMoles;
            left = 0;
            for (int i = 0; i < 60; i++) {
                double belowWater = left + kWater * (gas - left);
                double belowAlcohol = left + kAlcohol * (gas - left);
                double excess = allWater / belowWater + allAlcohol / belowAlcohol - 1;
                if (excess < 1e-12) {
                    break;
                }
                left += excess
                        / (allWater / (belowWater * belowWater) * (1 - kWater)
                                + allAlcohol / (belowAlcohol * belowAlcohol) * (1 - kAlcohol));
            }
            water = waterMoles - (left <= 0 ? 0 : allWater * left / (left + kWater * (gas - left)));
            alcohol = alcoholMoles - (left <= 0 ? 0 : allAlcohol * left / (left + kAlcohol * (gas - left)));
        }

        InjectionCooling answer(double t) {
            evaporate(t);
            double dry = gasMoles / (1 + air.water() + air.methanol());
            return new InjectionCooling(
                    t,
                    water * WATER_MOLAR_MASS,
                    alcohol * Methanol.MOLAR_MASS,
                    air.carrying(Math.max(air.water() + water / dry, 0), Math.max(air.methanol() + alcohol / dry, 0)),
                    left > 1e-6 * gasMoles);
        }
    }
}
