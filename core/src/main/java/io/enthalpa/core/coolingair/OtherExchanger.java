package io.enthalpa.core.coolingair;

import io.enthalpa.core.exchanger.CoolantLoss;
import io.enthalpa.core.exchanger.CoreSize;
import io.enthalpa.core.exchanger.Effectiveness;
import io.enthalpa.core.exchanger.FaceAir;
import io.enthalpa.core.exchanger.RatedExchanger;
import io.enthalpa.core.exchanger.ReferencePoint;
import io.enthalpa.core.exchanger.ScalingLaw;
import io.enthalpa.core.fluid.HumidAir;
import io.enthalpa.core.fluid.Water;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import java.util.List;
import java.util.OptionalDouble;

/**
 * A condenser, engine radiator or oil cooler that shares the air: it gives the heat it has, and its hot side gets as warm over its air as that takes. By one
 * measured point.
 *
 * @param size     of the finned block
 * @param card     size that its card speaks of: one of the same make
 * @param heat     W on its card
 * @param hotOnCard K of its hot side on the card
 * @param speed    m/s of air at its face on the card
 * @param airOnCard K on the card
 * @param airLoss  Pa on the card; empty when it does not say
 * @param hot      K that its hot side may get to in the car: a condenser's high-pressure switch, an engine's boiling point, the oil's limit
 * @param load     W that it has to give in the car, at full load on a day of 35 °C; empty for what is usual
 */
public record OtherExchanger(
        CoreSize size,
        CoreSize card,
        double heat,
        double hotOnCard,
        double speed,
        double airOnCard,
        OptionalDouble airLoss,
        double hot,
        OptionalDouble load) {
    /** By a card of its own size, with the load that is usual. */
    public OtherExchanger(
            CoreSize size,
            double heat,
            double hotOnCard,
            double speed,
            double airOnCard,
            OptionalDouble airLoss,
            double hot) {
        this(size, size, heat, hotOnCard, speed, airOnCard, airLoss, hot, OptionalDouble.empty());
    }

    public static final Method METHOD = Method.of(
                    "other-exchanger",
                    "Condenser, engine radiator and oil cooler in a stack",
                    "Each gives the heat it has, and its hot side stands as far over its air as that takes: by its place it gains or loses there. Where it would get hotter than it may, it gives what it can at "
                            + "that (the high-pressure switch cuts the compressor out, the engine boils). A cabin wants its cooling when it is hot: the condenser's heat is told for 35 °C outside, falls straight to 15 % of it "
                            + "at 15 °C and rises by as much above. Engine radiator and oil cooler follow the engine's fuel. A condensing or well "
                            + "circulated hot side does not cool on its way, so that the card's heat tells its conductance. Where the card speaks of another size of the same make, conductance goes with volume, loss with depth.")
            .formula(
                    "T_hot = T_air + q / (C_air (1 - exp(-UA/C_air))), q lower where that is over the most; condenser q = load (0.15 + 0.85 (T_out - 15) / 20 K), not below 0.15; "
                            + "engine radiator q = 6.9 MJ, oil cooler 0.9 MJ for each kg of fuel (16 and 2 % of it), or their load at full load by the engine's air")
            .source(
                    Citation.fromMemory("Kays & London", 1984, "Compact Heat Exchangers, 3rd ed., capacity ratio 0"),
                    Citation.commonPractice(
                            "how a cabin's load follows the weather; heat to coolant and oil for each kg of fuel, within a fifth"))
            .leavesOut(
                    "The heat that engine and oil store while the load changes; a thermostat that keeps the radiator cooler than it could be; subcooling and superheat in a condenser.");
    private static final double FULL_CABIN = 308.15;
    private static final double MILD = 288.15;
    private static final double MILD_SHARE = 0.15;
    /** J to the coolant, and to the oil, for each kg of fuel. */
    private static final double TO_COOLANT = 6.9e6;

    private static final double TO_OIL = 0.9e6;
    /** Hot flow so large that its temperature hardly changes, kg/s. */
    private static final double PLENTY = 100;

    /**
     * @param kind    what it is
     * @param outside K
     * @return W that it has to give
     */
    double asked(Layer.Kind kind, double outside, Working car) {
        if (!car.turns()) {
            return 0;
        }
        if (kind == Layer.Kind.CONDENSER) {
            double share = MILD_SHARE + (1 - MILD_SHARE) * (outside - MILD) / (FULL_CABIN - MILD);
            return Math.max(share, MILD_SHARE) * load.orElse(heat * size.volume() / card.volume());
        }
        double byFuel = kind == Layer.Kind.OIL_COOLER ? TO_OIL : TO_COOLANT;
        return load.isPresent() ? load.getAsDouble() * car.share() : byFuel * car.fuel();
    }

    /** @throws io.enthalpa.core.fault.EnthalpaFault when the card's heat is more than its air could take */
    public void check() {
        exchanger();
    }

    RatedExchanger exchanger() {
        double air = speed * card.face() * FaceAir.atSeaLevel(airOnCard).density();
        ReferencePoint point = ReferencePoint.fromHeat(
                heat,
                PLENTY,
                Water.heatCapacity(350),
                hotOnCard,
                air,
                HumidAir.DRY.heatCapacity(airOnCard),
                airOnCard,
                card);
        return new RatedExchanger(List.of(point), ScalingLaw.waterToAir(), size, Effectiveness.CROSSFLOW_UNMIXED);
    }

    /** @param exchanger from {@link #exchanger} @return W moved to the air for each kelvin between hot side and air */
    static double perKelvin(RatedExchanger exchanger, double airFlow, double airRate) {
        return exchanger
                .transfer(PLENTY, PLENTY * Water.heatCapacity(350), airFlow, airRate)
                .conductancePerKelvin();
    }

    double airLoss(double velocity, FaceAir air) {
        return CoolantLoss.air(
                airLoss, speed, FaceAir.atSeaLevel(airOnCard), card.depth(), velocity, air, size.depth());
    }
}
