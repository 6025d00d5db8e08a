package io.enthalpa.core.coolingair;

import io.enthalpa.core.exchanger.CoolantLoss;
import io.enthalpa.core.exchanger.CoreSize;
import io.enthalpa.core.exchanger.Effectiveness;
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
 * A condenser, engine radiator or oil cooler that shares the air: what it would reject with its hot side held, and what it takes from the
 * air behind it. By one measured point.
 *
 * @param size     of the finned block
 * @param card     size that its card speaks of: one of the same make
 * @param heat     W on its card
 * @param hotOnCard K of its hot side on the card
 * @param speed    m/s of air at its face on the card
 * @param airOnCard K on the card
 * @param airLoss  Pa on the card; empty when it does not say
 * @param hot      K of its hot side in the car
 */
public record OtherExchanger(
        CoreSize size,
        CoreSize card,
        double heat,
        double hotOnCard,
        double speed,
        double airOnCard,
        OptionalDouble airLoss,
        double hot) {
    /** By a card of its own size. */
    public OtherExchanger(
            CoreSize size,
            double heat,
            double hotOnCard,
            double speed,
            double airOnCard,
            OptionalDouble airLoss,
            double hot) {
        this(size, size, heat, hotOnCard, speed, airOnCard, airLoss, hot);
    }

    public static final Method METHOD = Method.of(
                    "other-exchanger",
                    "Condenser, engine radiator and oil cooler in a stack",
                    "Each is held at its hot side's temperature, and the heat it can then reject is what it gains or loses by its place. A condensing or well "
                            + "circulated hot side does not cool on its way, so that the card's heat tells its conductance. Where the card speaks of another size of the same make, conductance goes with volume, loss with depth. In air hotter than itself it rejects nothing.")
            .formula("q = C_air (1 - exp(-UA/C_air)) (T_hot - T_air), not below 0")
            .source(Citation.fromMemory("Kays & London", 1984, "Compact Heat Exchangers, 3rd ed., capacity ratio 0"))
            .leavesOut("How engine or cabin answer; subcooling and superheat in a condenser.");
    private static final double SEA_LEVEL = 101325;
    /** Hot flow so large that its temperature hardly changes, kg/s. */
    private static final double PLENTY = 100;

    /** @throws io.enthalpa.core.fault.EnthalpaFault when the card's heat is more than its air could take */
    public void check() {
        exchanger();
    }

    RatedExchanger exchanger() {
        double air = speed * card.face() * HumidAir.DRY.density(SEA_LEVEL, airOnCard);
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

    double airLoss(double velocity) {
        double known = airLoss.orElse(CoolantLoss.usualAir(card.depth(), speed));
        return known * Math.pow(velocity / speed, CoolantLoss.AIR_EXPONENT) * size.depth() / card.depth();
    }
}
