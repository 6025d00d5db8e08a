package io.enthalpa.core.endurance;

import io.enthalpa.core.chargepath.SteadyCooling.ColdStream;
import io.enthalpa.core.exchanger.Conductances;
import io.enthalpa.core.exchanger.HeatTransfer;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;

/**
 * Where the resistance between charge and outside air is, in shares that add up to one.
 *
 * <p>The films and the wall count with their own resistance. What the core falls short of {@code UA} because its streams
 * change temperature on the way is split between the streams by the inverse of their capacity rates; the charge's part is
 * left out, since the charge flow is given, and the cold stream's part counts as "too little coolant".
 *
 * @param charge   film and fins on the charge side
 * @param wall     wall and fouling
 * @param coldFilm film and fins on the cold side
 * @param coldFlow the cold stream warms up: too little of it
 * @param radiator from the water to the outside air; 0 without a loop
 */
public record ResistanceShares(double charge, double wall, double coldFilm, double coldFlow, double radiator) {
    public static final Method METHOD = Method.of("what-limits", "What limits a core",
                    "The resistance from charge to outside air in shares. Films and wall count with their own resistance; what the core falls short because its "
                            + "cold stream warms up counts as too little of that stream; the way from the water to the outside air as the radiator. The charge's own "
                            + "capacity is left out, because the charge flow is given.")
            .formula("share = R / sum R; cold stream: (1/Q - 1/UA) (1/Cc)/(1/Cc + 1/Ch), Q the heat for each kelvin between the inlets")
            .source(Citation.fromMemory("Kays & London", 1984, "Compact Heat Exchangers, 3rd ed., resistances in series"))
            .leavesOut("Fouling counts with the wall.");


    static ResistanceShares of(HeatTransfer transfer, double chargeRate, ColdStream cold) {
        Conductances c = transfer.conductances();
        double flowPart = Math.max(1 / transfer.conductancePerKelvin() - 1 / c.overall(), 0);
        double coldPart = flowPart * (1 / cold.capacityRate()) / (1 / cold.capacityRate() + 1 / chargeRate);
        double sum = 1 / c.overall() + coldPart + cold.resistanceToSink();
        return new ResistanceShares(1 / c.hot() / sum, 1 / c.wall() / sum, 1 / c.cold() / sum, coldPart / sum,
                cold.resistanceToSink() / sum);
    }
}
