package io.enthalpa.core.endurance;

import io.enthalpa.core.chargepath.Ambient;
import io.enthalpa.core.chargepath.ChargeCooling;
import io.enthalpa.core.chargepath.ChargePath;
import io.enthalpa.core.chargepath.ChargePathSolver;
import io.enthalpa.core.chargepath.CoolingSide;
import io.enthalpa.core.chargepath.OperatingPoint;
import io.enthalpa.core.chargepath.PathResult;
import io.enthalpa.core.chargepath.SteadyCooling;
import io.enthalpa.core.chargepath.SteadyCooling.ColdStream;
import io.enthalpa.core.exchanger.HeatTransfer;
import io.enthalpa.core.exchanger.RatedExchanger;
import io.enthalpa.core.fluid.Water;
import io.enthalpa.core.waterloop.WaterLoopSpec;

/** A charge path with what cools it: the thing that is solved steadily or run through a duty. */
public final class ChargeSystem {
    private final ChargePath path;
    private final RatedExchanger radiator;

    public ChargeSystem(ChargePath path) {
        this.path = path;
        this.radiator = path.hasCore() && path.core().cooling() instanceof CoolingSide.Water water
                ? water.loop().radiator().exchanger() : null;
    }

    public ChargePath path() {
        return path;
    }

    /** @return water to air; null when air cools the core itself, or there is no core */
    RatedExchanger radiator() {
        return radiator;
    }

    boolean hasLoop() {
        return radiator != null;
    }

    WaterLoopSpec loop() {
        return ((CoolingSide.Water) path.core().cooling()).loop();
    }

    /** @return the operating point held until nothing changes any more */
    public SteadyResult steady(OperatingPoint point) {
        ChargePathSolver solver = new ChargePathSolver(path);
        if (!path.hasCore()) {
            return new SteadyResult(solver.solve(point, ChargeCooling.NONE), null);
        }
        double waterIn = path.ambient().temperature() + 10;
        for (int i = 0; ; i++) {
            ColdStream cold = coldStream(point.roadSpeed(), waterIn);
            SteadyCooling cooling = new SteadyCooling(path.cooler(), cold);
            PathResult result = solver.solve(point, cooling);
            CoreResult core = coreResult(result, cooling, cold, point.roadSpeed());
            if (!hasLoop() || Math.abs(core.coldIn() - waterIn) < 1e-4 || i > 20) {
                return new SteadyResult(result, core);
            }
            waterIn = core.coldIn();
        }
    }

    /**
     * @param roadSpeed m/s
     * @param waterIn   K of the water at the core, for its density and heat capacity; ignored without a loop
     */
    ColdStream coldStream(double roadSpeed, double waterIn) {
        Ambient ambient = path.ambient();
        double sink = ambient.temperature();
        if (!hasLoop()) {
            double flow = faceFlow(roadSpeed);
            return new ColdStream(flow, flow * ambient.air().heatCapacity(sink), sink, 0);
        }
        double flow = loop().flow() * Water.density(waterIn);
        double rate = flow * Water.heatCapacity(waterIn);
        return new ColdStream(flow, rate, sink, 1 / radiatorConductance(flow, rate, roadSpeed) - 1 / rate);
    }

    /** @return W the radiator moves for each kelvin between its water and its air inlet */
    private double radiatorConductance(double waterFlow, double waterRate, double roadSpeed) {
        Ambient ambient = path.ambient();
        double air = loop().radiator().air().flow(roadSpeed, radiator.size().face(), ambient.air(), ambient.pressure(), ambient.temperature());
        return radiator.transfer(waterFlow, waterRate, air, air * ambient.air().heatCapacity(ambient.temperature())).conductancePerKelvin();
    }

    /** @return kg/s of cooling air through the core's face */
    private double faceFlow(double roadSpeed) {
        Ambient ambient = path.ambient();
        return ((CoolingSide.Air) path.core().cooling()).face()
                .flow(roadSpeed, path.core().spec().size().face(), ambient.air(), ambient.pressure(), ambient.temperature());
    }

    /** @return m/s at the face that meets outside air: the core's, or the radiator's */
    double faceSpeed(double roadSpeed) {
        return path.core().cooling() instanceof CoolingSide.Air air ? air.face().faceSpeed(roadSpeed)
                : loop().radiator().air().faceSpeed(roadSpeed);
    }

    private CoreResult coreResult(PathResult result, SteadyCooling cooling, ColdStream cold, double roadSpeed) {
        int core = path.coreIndex();
        double in = result.stations().get(core).temperature();
        double out = result.stations().get(core + 1).temperature();
        double heat = -result.pieces().get(core).heat();
        HeatTransfer transfer = cooling.transfer(path.ambient().air(), result.flow(), in, out);
        double coldIn = cold.sinkTemperature() + heat * cold.resistanceToSink();
        double chargeRate = heat / Math.max(in - out, 1e-9);
        return new CoreResult(transfer, heat, coldIn, coldIn + heat / cold.capacityRate(), faceSpeed(roadSpeed),
                (in - out) / (in - cold.sinkTemperature()),
                path.cooler().exchanger().hotFlowRatio(result.flow()),
                path.cooler().exchanger().coldFlowRatio(cold.flow()),
                ResistanceShares.of(transfer, chargeRate, cold));
    }

    /**
     * What limits the core at a moment of a run.
     *
     * @param flow kg/s of charge
     * @param in   K of charge
     * @param out  K of charge
     */
    ResistanceShares sharesAt(double flow, double in, double out, double roadSpeed, double coldIn) {
        ColdStream cold = coldStream(roadSpeed, coldIn);
        HeatTransfer transfer = new SteadyCooling(path.cooler(), cold).transfer(path.ambient().air(), flow, in, out);
        return ResistanceShares.of(transfer, flow * path.ambient().air().heatCapacity((in + out) / 2), cold);
    }
}
