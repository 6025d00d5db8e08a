package io.enthalpa.core.chargepath;

import io.enthalpa.core.fluid.HumidAir;

/** What cools the charge in the cores: steady exchangers, or metal blocks that remember. */
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
}
