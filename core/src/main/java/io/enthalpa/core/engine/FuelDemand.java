package io.enthalpa.core.engine;

import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;

/**
 * The engine's air from its power: fuel for the power, air for the fuel.
 *
 * @param power        W at the crank, present or hoped for
 * @param fuelRate     kg/J of fuel: brake specific fuel consumption
 * @param airFuelRatio kg of air for each kg of fuel
 */
public record FuelDemand(double power, double fuelRate, double airFuelRatio) {
    public static final Method METHOD = Method.of(
                    "fuel-demand",
                    "Air from power",
                    "The power asked for wants so much fuel, and the fuel so much air. Where it differs from speed-density by more than 15 % one of the "
                            + "figures is wrong: the power hoped for, the boost, or the volumetric efficiency.")
            .formula("m = P bsfc AFR")
            .source(
                    Citation.published("Heywood", 1988, "Internal Combustion Engine Fundamentals, section 2.7"),
                    Citation.commonPractice(
                            "boosted petrol 300-360 g/kWh at 11.5-12.5 kg/kg, boosted diesel 210-240 g/kWh at 18-25 kg/kg"))
            .leavesOut("What the blower takes off the crank.");
    /** Beyond this disagreement with speed-density the user is told. */
    public static final double TOLERATED = 0.15;

    /** @return kg/s of air */
    public double airDemand() {
        return power * fuelRate * airFuelRatio;
    }
}
