package io.enthalpa.core.endurance;

import io.enthalpa.core.chargepath.Ambient;
import io.enthalpa.core.chargepath.CoolingSide;
import io.enthalpa.core.chargepath.CoreSlot;
import io.enthalpa.core.chargepath.SteadyCooling;
import io.enthalpa.core.chargepath.SteadyCooling.ColdStream;
import io.enthalpa.core.coolingair.FaceAirSpec;
import io.enthalpa.core.exchanger.ChargeCooler;
import io.enthalpa.core.exchanger.Condensate;
import io.enthalpa.core.exchanger.HeatTransfer;
import io.enthalpa.core.exchanger.RatedExchanger;
import io.enthalpa.core.fluid.Water;
import io.enthalpa.core.waterloop.WaterLoopSpec;

/** A core of the path together with what cools it. */
final class CooledCore {
    private final CoreSlot slot;
    private final Ambient ambient;
    private final RatedExchanger radiator;

    CooledCore(CoreSlot slot, Ambient ambient) {
        this.slot = slot;
        this.ambient = ambient;
        this.radiator = slot.element().cooling() instanceof CoolingSide.Water water ? water.loop().radiator().exchanger() : null;
    }

    CoreSlot slot() {
        return slot;
    }

    ChargeCooler cooler() {
        return slot.cooler();
    }

    boolean hasLoop() {
        return radiator != null;
    }

    WaterLoopSpec loop() {
        return ((CoolingSide.Water) slot.element().cooling()).loop();
    }

    /**
     * @param roadSpeed m/s
     * @param waterIn   K of the water at the core, for its density and heat capacity; ignored without a loop
     */
    ColdStream coldStream(double roadSpeed, double waterIn) {
        double sink = ambient.temperature();
        if (!hasLoop()) {
            double flow = face().flow(roadSpeed, cooler().spec().size().face(), ambient.air(), ambient.pressure(), sink);
            return new ColdStream(flow, flow * ambient.air().heatCapacity(sink), sink, 0);
        }
        double flow = loop().flow() * Water.density(waterIn);
        double rate = flow * Water.heatCapacity(waterIn);
        return new ColdStream(flow, rate, sink, 1 / radiatorConductance(flow, rate, roadSpeed) - 1 / rate);
    }

    /** @return W the radiator moves for each kelvin between its water and its air inlet */
    private double radiatorConductance(double waterFlow, double waterRate, double roadSpeed) {
        double air = face().flow(roadSpeed, radiator.size().face(), ambient.air(), ambient.pressure(), ambient.temperature());
        return radiator.transfer(waterFlow, waterRate, air, air * ambient.air().heatCapacity(ambient.temperature())).conductancePerKelvin();
    }

    /** @return the air at the face that meets outside air: the core's, or the radiator's */
    private FaceAirSpec face() {
        return slot.element().cooling() instanceof CoolingSide.Air air ? air.face() : loop().radiator().air();
    }

    /**
     * @param flow     kg/s of charge
     * @param in       K of charge
     * @param out      K of charge
     * @param pressure Pa absolute of charge, mean in the core
     */
    CoreResult result(double flow, double in, double out, double pressure, ColdStream cold, double roadSpeed) {
        double heat = flow * (ambient.air().enthalpy(in) - ambient.air().enthalpy(out));
        HeatTransfer transfer = new SteadyCooling(cooler(), cold).transfer(ambient.air(), flow, in, out);
        double coldIn = cold.inletAt(heat);
        double coldOut = coldIn + heat / cold.capacityRate();
        return new CoreResult(slot, flow, in, out, transfer, heat, cold.flow(), coldIn, coldOut, face().faceSpeed(roadSpeed),
                (in - out) / Math.max(in - cold.sinkTemperature(), 1e-9),
                ResistanceShares.of(transfer, heat / Math.max(in - out, 1e-9), cold),
                Condensate.of(ambient.air(), flow, pressure, in, out, coldIn, coldOut, transfer.conductances()));
    }

    /** What limits the core at a moment of a run, K of charge and kg/s. */
    ResistanceShares sharesAt(double flow, double in, double out, double roadSpeed, double coldIn) {
        ColdStream cold = coldStream(roadSpeed, coldIn);
        HeatTransfer transfer = new SteadyCooling(cooler(), cold).transfer(ambient.air(), flow, in, out);
        return ResistanceShares.of(transfer, flow * ambient.air().heatCapacity((in + out) / 2), cold);
    }
}
