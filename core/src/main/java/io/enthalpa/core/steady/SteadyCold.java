package io.enthalpa.core.steady;

import io.enthalpa.core.chargepath.Ambient;
import io.enthalpa.core.chargepath.OperatingPoint;
import io.enthalpa.core.chargepath.SteadyCooling.ColdStream;
import io.enthalpa.core.coolingair.AirFlow;
import io.enthalpa.core.coolingair.AirWay;
import io.enthalpa.core.exchanger.CoreSize;
import io.enthalpa.core.plant.AirSide;
import io.enthalpa.core.plant.CooledCore;
import io.enthalpa.core.plant.CoreResult;
import io.enthalpa.core.plant.InletAir;
import io.enthalpa.core.waterloop.ChillerSpec;
import io.enthalpa.core.waterloop.IceSpec;
import io.enthalpa.core.waterloop.LoopHeights;
import io.enthalpa.core.waterloop.WaterLoopSpec;
import java.util.ArrayList;
import java.util.List;

/** Tells what water and cooling air do at a steady point, once the point is found. */
final class SteadyCold {
    private SteadyCold() {}

    static List<LoopResult> loops(
            List<CooledCore> cores, List<CoreResult> results, InletAir[] met, OperatingPoint point, Ambient ambient) {
        List<LoopResult> loops = new ArrayList<>();
        for (int k = 0; k < results.size(); k++) {
            if (cores.get(k).hasLoop()) {
                loops.add(loop(cores.get(k), results.get(k), met[k], point, ambient));
            }
        }
        return loops;
    }

    private static LoopResult loop(
            CooledCore core, CoreResult result, InletAir met, OperatingPoint point, Ambient ambient) {
        WaterLoopSpec spec = core.loop();
        ColdStream stream = core.streamAt(met, result.coldIn(), point.speed());
        double radiator = core.radiatorPerKelvin(met, stream, result.coldIn()) * (result.coldOut() - met.inlet());
        double airOut = met.flow() > 0
                ? met.inlet() + radiator / (met.flow() * ambient.air().heatCapacity(met.inlet()))
                : met.inlet();
        IceSpec ice = spec.tank().map(t -> t.ice()).orElse(IceSpec.NONE);
        double melting = ice.conductance(ice.mass()) * Math.max(result.coldIn() - IceSpec.MELTING, 0);
        ChillerSpec chiller = spec.chiller().orElse(null);
        boolean cutOut = chiller != null && !chiller.worksAt(point.boost());
        double soaked = spec.isOpen() ? 0 : spec.soak() * (result.coldIn() - core.bay(point.roadSpeed()));
        double left = result.heat() - radiator - melting - soaked;
        double chilled = chiller == null || cutOut
                ? 0
                : Math.min(chiller.heat(result.coldIn() + 1e-9, ambient.temperature()), Math.max(left, 0));
        double capacity = spec.volume()
                * spec.coolant().density(result.coldIn())
                * spec.coolant().heatCapacity(result.coldIn());
        double rise = spec.isOpen() ? 0 : Math.max(left - chilled, 0) / capacity;
        boolean settles = spec.isOpen() || rise * capacity < 1e-3 * Math.max(result.heat(), 1);
        double pullDown =
                chiller == null ? Double.NaN : chiller.pullDown(capacity, ambient.temperature(), ambient.temperature());
        return new LoopResult(
                core.slot(),
                spec,
                core.hydraulics().at(result.coldIn(), point.speed()),
                core.hydraulics().heads(result.coldIn(), point.speed()),
                result.coldIn(),
                result.coldOut(),
                result.coldOut()
                        - (radiator + chilled + melting + soaked)
                                / result.coldFlow()
                                / spec.coolant().heatCapacity(result.coldIn()),
                result.heat(),
                radiator,
                core.hasRadiator() ? met : null,
                airOut,
                chilled,
                cutOut,
                pullDown,
                melting,
                ice.mass() > 0 ? ice.lasts(melting) : Double.NaN,
                settles ? 0 : rise,
                LoopHeights.of(spec.pieces()),
                ambient.air().dewPoint(ambient.pressure()));
    }

    static List<AirWayResult> ways(AirSide air, List<AirFlow> flows, double[] given, OperatingPoint point) {
        List<AirWayResult> results = new ArrayList<>();
        for (int w = 0; w < air.ways().size(); w++) {
            AirWay way = air.ways().get(w);
            AirFlow flow = flows.get(w);
            AirWay.Warmth warmth = air.warmth(w, flow, point.roadSpeed(), given);
            List<AirWayResult.LayerResult> layers = new ArrayList<>();
            for (int k = 0; k < way.sizes().size(); k++) {
                CoreSize size = way.sizes().get(k);
                layers.add(new AirWayResult.LayerResult(
                        size.width(),
                        size.height(),
                        size.depth(),
                        way.faceSpeed(flow, k),
                        warmth.air()[k],
                        warmth.out()[k],
                        warmth.heat()[k]));
            }
            results.add(
                    new AirWayResult(way, flow, warmth, way.face(), way.massFlow(flow, 0) / flow.layers()[0], layers));
        }
        return results;
    }
}
