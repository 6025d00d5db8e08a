package io.enthalpa.core.chargepath;

import io.enthalpa.core.exchanger.ChargeCooler;
import io.enthalpa.core.exchanger.HeatTransfer;
import io.enthalpa.core.fluid.HumidAir;

/** A core held at one point until nothing changes any more, against a cold stream of constant flow and inlet temperature. */
public final class SteadyCooling {
    private final ChargeCooler core;
    private final ColdStream cold;
    /** How far down the charge came last, of the way to the sink: the start for the next search. */
    private double reached = 0.7;

    public SteadyCooling(ChargeCooler core, ColdStream cold) {
        this.core = core;
        this.cold = cold;
    }

    /** @param flow kg/s of charge @param inlet K @return K of the charge behind the core */
    public double outletTemperature(HumidAir air, double flow, double inlet) {
        double span = inlet - cold.sinkTemperature();
        double h1 = air.enthalpy(inlet);
        double outlet = inlet - reached * span;
        for (int i = 0; i < 8; i++) {
            double before = outlet;
            double perKelvin = transfer(air, flow, inlet, outlet).conductancePerKelvin();
            double heat = perKelvin * span / (1 + perKelvin * cold.resistanceToSink());
            outlet = air.temperatureAtEnthalpy(h1 - heat / flow, outlet);
            if (Math.abs(outlet - before) < 1e-7) {
                break;
            }
        }
        if (span > 1) {
            reached = (inlet - outlet) / span;
        }
        return outlet;
    }

    /** @return the core's transfer when the charge goes from inlet to outlet, K both */
    public HeatTransfer transfer(HumidAir air, double flow, double inlet, double outlet) {
        double cp = air.heatCapacity((inlet + outlet) / 2);
        double rate = flow * cp;
        double coldMean = cold.inletAt(rate * (inlet - outlet)) + rate * (inlet - outlet) / cold.capacityRate() / 2;
        return core.transfer(flow, rate, (inlet + outlet) / 2, cold.flow(), cold.capacityRate(), coldMean);
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
        /** @param heat W taken from the charge @return K of the stream where it enters the core */
        public double inletAt(double heat) {
            return sinkTemperature + heat * resistanceToSink;
        }

        /** @param heat W that the stream carries to its sink beside what the charge's own cooling gives */
        public ColdStream carrying(double heat) {
            return heat == 0 || resistanceToSink == 0
                    ? this
                    : new ColdStream(flow, capacityRate, sinkTemperature + heat * resistanceToSink, resistanceToSink);
        }
    }
}
