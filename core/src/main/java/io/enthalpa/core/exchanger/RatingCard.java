package io.enthalpa.core.exchanger;

import java.util.List;
import java.util.OptionalDouble;

/**
 * A charge cooler known by measurement.
 *
 * @param size        of the finned block it was measured on
 * @param metalMass   kg of that block with tanks
 * @param coolant     what took the heat
 * @param points      measured, at least one
 * @param chargeShare share of the whole resistance on the charge side at the first point, 0 to 1; with several points found from
 *                    them where they tell
 * @param wallShare   share of wall and fouling at the first point, 0 to 1
 * @param coolantLoss Pa that the coolant loses at the first point; empty when the card does not say
 */
public record RatingCard(
        CoreSize size,
        double metalMass,
        Coolant coolant,
        List<Point> points,
        double chargeShare,
        double wallShare,
        OptionalDouble coolantLoss)
        implements CoreBasis {
    public RatingCard {
        points = List.copyOf(points);
    }

    /** A card that says nothing of its coolant's loss. */
    public RatingCard(
            CoreSize size,
            double metalMass,
            Coolant coolant,
            List<Point> points,
            double chargeShare,
            double wallShare) {
        this(size, metalMass, coolant, points, chargeShare, wallShare, OptionalDouble.empty());
    }

    /**
     * @param chargeFlow       kg/s
     * @param chargePressure   Pa absolute at the inlet
     * @param chargeIn         K
     * @param chargeOut        K
     * @param loss             Pa between the ports
     * @param coolantVelocity  m/s at the face, for air; 0 for water
     * @param coolantFlow      m3/s, for water; 0 for air
     * @param coolantIn        K
     */
    public record Point(
            double chargeFlow,
            double chargePressure,
            double chargeIn,
            double chargeOut,
            double loss,
            double coolantVelocity,
            double coolantFlow,
            double coolantIn) {}
}
