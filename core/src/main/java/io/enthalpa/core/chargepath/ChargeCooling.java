package io.enthalpa.core.chargepath;

import io.enthalpa.core.fluid.HumidAir;

/** What cools the charge in the core: steady exchanger, or a metal block that remembers. */
@FunctionalInterface
public interface ChargeCooling {
    /** No core in the path. */
    ChargeCooling NONE = (air, flow, inlet) -> inlet;

    /**
     * @param air   the gas
     * @param flow  kg/s of charge
     * @param inlet K of charge at the core
     * @return K of charge behind the core
     */
    double outletTemperature(HumidAir air, double flow, double inlet);
}
