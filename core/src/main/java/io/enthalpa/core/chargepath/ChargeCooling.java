package io.enthalpa.core.chargepath;

import io.enthalpa.core.fluid.HumidAir;

/** What cools or warms the charge on its way: cores and pipe walls, held steady or remembering. */
@FunctionalInterface
public interface ChargeCooling {
    /** No core in the path. */
    ChargeCooling NONE = (core, air, flow, inlet) -> inlet;

    /**
     * @param core  which of the path's cores, from 0, in the order of {@link ChargePath#cores()}
     * @param air   the gas
     * @param flow  kg/s of charge
     * @param inlet K of charge at the core
     * @return K of charge behind the core
     */
    double outletTemperature(int core, HumidAir air, double flow, double inlet);

    /** @return kg/s of water that came out of the charge in a core when it was last asked */
    default double condensed(int core) {
        return 0;
    }

    /**
     * @param wall   which of the path's walls, from 0, in the order of {@link ChargePath#walls()}
     * @param flow   kg/s of charge
     * @param inlet  K of charge where it comes to the wall
     * @return K of charge behind it
     */
    default double behindWall(int wall, HumidAir air, double flow, double inlet) {
        return inlet;
    }
}
