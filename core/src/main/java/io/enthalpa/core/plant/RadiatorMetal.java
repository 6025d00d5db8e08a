package io.enthalpa.core.plant;

import io.enthalpa.core.exchanger.ChargeCooler;
import io.enthalpa.core.exchanger.HeatTransfer;
import io.enthalpa.core.waterloop.IceSpec;
import io.enthalpa.core.waterloop.RadiatorSpec;

/** The metal of a loop's radiator while a run goes on: of one temperature, between water and cooling air. */
public final class RadiatorMetal {
    /** kg of aluminium in a m3 of block (common practice, no source). */
    static final double DENSITY = 550;
    /** W/K of water below which it counts as standing. */
    private static final double STANDING = 1;
    /** The water's way to the metal is at least so much easier than that to the air. */
    private static final double EASIER = 1.02;

    private final double capacity;
    private double temperature;
    private double toAir;

    /**
     * What each side can carry, W/K: together in series what the radiator moves for each kelvin between its inlets.
     *
     * @param water never above the water's own capacity rate
     * @param air   from metal to the air's inlet
     */
    record Sides(double water, double air) {
        /** @param waterRate W/K @param airRate W/K */
        static Sides of(HeatTransfer transfer, double waterRate, double airRate) {
            double whole = transfer.conductancePerKelvin();
            double water = waterRate * -Math.expm1(-transfer.conductances().hotToMetal() / waterRate);
            if (waterRate < STANDING) {
                return new Sides(
                        water, airRate * -Math.expm1(-transfer.conductances().metalToCold() / airRate));
            }
            double easier = Math.min(Math.max(water, EASIER * whole), waterRate);
            return new Sides(easier, 1 / Math.max(1 / whole - 1 / easier, 1e-9));
        }
    }

    RadiatorMetal(double capacity, double start) {
        this.capacity = capacity;
        temperature = start;
    }

    /** @return J/K of a radiator's metal */
    static double capacityOf(RadiatorSpec radiator) {
        return radiator.size().volume() * DENSITY * ChargeCooler.ALUMINIUM_HEAT_CAPACITY;
    }

    double capacity() {
        return capacity;
    }

    double temperature() {
        return temperature;
    }

    /** @return J over 0 °C */
    double stored() {
        return capacity * (temperature - IceSpec.MELTING);
    }

    /** @return W given to the air, mean of the last step */
    double toAir() {
        return toAir;
    }

    /** Water of one temperature passes for a step. @return W that it leaves */
    double pass(double dt, Sides sides, double waterIn, double airIn) {
        double pull = sides.water() + sides.air();
        double limit = (sides.water() * waterIn + sides.air() * airIn) / pull;
        double x = pull * dt / capacity;
        double mean = limit - (temperature - limit) * Math.expm1(-x) / x;
        temperature = limit + (temperature - limit) * Math.exp(-x);
        toAir = sides.air() * (mean - airIn);
        return sides.water() * (waterIn - mean);
    }

    /** It stood beside the water for a step. @param end K then @param mean K in between */
    void stood(double end, double mean, Sides sides, double airIn) {
        temperature = end;
        toAir = sides.air() * (mean - airIn);
    }
}
