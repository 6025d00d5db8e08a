package io.enthalpa.core.chargepath;

import io.enthalpa.core.exchanger.ChargeCooler;
import io.enthalpa.core.exchanger.HeatTransfer;
import io.enthalpa.core.fluid.HumidAir;

/** A core held at one point until nothing changes any more, against a cold stream of constant flow and inlet temperature. */
public final class SteadyCooling implements ChargeCooling {
    private final ChargeCooler core;
    private final ColdStream cold;

    public SteadyCooling(ChargeCooler core, ColdStream cold) {
        this.core = core;
        this.cold = cold;
    }

    @Override
    public double outletTemperature(HumidAir air, double flow, double inlet) {
        double span = inlet - cold.sinkTemperature();
        double h1 = air.enthalpy(inlet);
        double outlet = inlet - 0.7 * span;
        for (int i = 0; i < 8; i++) {
            double before = outlet;
            double perKelvin = transfer(air, flow, inlet, outlet).conductancePerKelvin();
            double heat = perKelvin * span / (1 + perKelvin * cold.resistanceToSink());
            outlet = air.temperatureAtEnthalpy(h1 - heat / flow, outlet);
            if (Math.abs(outlet - before) < 1e-7) {
                break;
            }
        }
        return outlet;
    }

    /** @return the core's transfer when the charge goes from inlet to outlet, K both */
    public HeatTransfer transfer(HumidAir air, double flow, double inlet, double outlet) {
        double cp = air.heatCapacity((inlet + outlet) / 2);
        return core.exchanger().transfer(flow, flow * cp, cold.flow(), cold.capacityRate());
    }

    /**
     * The stream that takes the heat.
     *
     * @param flow             kg/s
     * @param capacityRate     W/K
     * @param sinkTemperature  K of the air that takes the heat in the end
     * @param resistanceToSink K/W from the stream's inlet at the core to the sink: 0 when the stream is that air itself,
     *                         {@code 1/G - 1/C} for a loop with a radiator that moves G for each kelvin between its inlets
     */
    public record ColdStream(double flow, double capacityRate, double sinkTemperature, double resistanceToSink) {
    }
}
