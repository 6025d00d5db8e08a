package io.enthalpa.core.plant;

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
 * @param radiator from the water to what takes its heat for good: radiator, ice or chiller; 0 without a loop
 * @param tank     what the water stands above that because it stores heat that nothing takes yet; 0 where all is settled
 * @param warmedAir what the air gains before it comes to the core or radiator
 */
public record ResistanceShares(
        double charge, double wall, double coldFilm, double coldFlow, double radiator, double tank, double warmedAir) {
    /** What to change first. */
    public enum Limit {
        CHARGE,
        WALL,
        COLD_SIDE,
        SINK,
        TANK,
        WARMED_AIR,
        OUTSIDE_AIR
    }

    public static final Method METHOD = Method.of(
                    "what-limits",
                    "What limits a core",
                    "The resistance from charge to outside air in shares. Films and wall count with their own resistance; what the core falls short because its "
                            + "cold stream warms up counts as too little of that stream; the way from the water to the outside air as the radiator. The charge's own "
                            + "capacity is left out, because the charge flow is given. In a run the water counts with what it stands above its sink at that moment, against the heat of the last half minute, parted "
                            + "by where the heat goes: what the sinks take is theirs, what still goes into the water is the tank's. Where the target would need more than 92 % of the way down to the outside "
                            + "air, and only that air cools, the outside air itself is the limit.")
            .formula(
                    "share = R / sum R; cold stream: (1/Q - 1/UA) (1/Cc)/(1/Cc + 1/Ch), Q the heat for each kelvin between the inlets; "
                            + "behind the water: (T_w - T_sink)/q, tank's part (q - q_sinks)/q; air: (T_before - T_outside)/q; needed: (T_in - target)/(T_in - T_outside)")
            .source(Citation.fromMemory(
                    "Kays & London", 1984, "Compact Heat Exchangers, 3rd ed., resistances in series"))
            .leavesOut("Fouling counts with the wall.");

    static ResistanceShares of(HeatTransfer transfer, double chargeRate, ColdStream cold) {
        return of(transfer, chargeRate, cold.capacityRate(), cold.resistanceToSink(), 0, 0);
    }

    /**
     * @param chargeRate W/K
     * @param coldRate   W/K
     * @param sink       K/W
     * @param tank       K/W
     * @param warmedAir  K/W
     */
    static ResistanceShares of(
            HeatTransfer transfer, double chargeRate, double coldRate, double sink, double tank, double warmedAir) {
        Conductances c = transfer.conductances();
        double flowPart = Math.max(1 / transfer.conductancePerKelvin() - 1 / c.overall(), 0);
        double coldPart = flowPart * (1 / coldRate) / (1 / coldRate + 1 / chargeRate);
        double sum = 1 / c.overall() + coldPart + sink + tank + warmedAir;
        return new ResistanceShares(
                1 / c.hot() / sum,
                1 / c.wall() / sum,
                1 / c.cold() / sum,
                coldPart / sum,
                sink / sum,
                tank / sum,
                warmedAir / sum);
    }

    /** @return the largest of them; film and flow of the cold stream count as one */
    public Limit largest() {
        double[] share = {charge, wall, coldFilm + coldFlow, radiator, tank, warmedAir};
        int most = 0;
        for (int k = 1; k < share.length; k++) {
            most = share[k] > share[most] ? k : most;
        }
        return Limit.values()[most];
    }

    /** @return the share of {@link #largest} */
    public double largestShare() {
        return Math.max(
                Math.max(Math.max(charge, wall), Math.max(coldFilm + coldFlow, radiator)), Math.max(tank, warmedAir));
    }
}
