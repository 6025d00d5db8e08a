package io.enthalpa.core.steady;

import io.enthalpa.core.chargepath.Ambient;
import io.enthalpa.core.chargepath.OperatingPoint;
import io.enthalpa.core.coolingair.AirFlow;
import io.enthalpa.core.coolingair.AirWay;
import io.enthalpa.core.exchanger.CoreSize;
import io.enthalpa.core.plant.AirSide;
import io.enthalpa.core.plant.CooledCore;
import io.enthalpa.core.plant.CoolingLoop;
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
            if (cores.get(k).leads()) {
                loops.add(loop(cores.get(k), results, met[k], point, ambient));
            }
        }
        return loops;
    }

    private static LoopResult loop(
            CooledCore core, List<CoreResult> results, InletAir met, OperatingPoint point, Ambient ambient) {
        CoolingLoop loop = core.loop();
        WaterLoopSpec spec = loop.spec();
        LoopPoint at = LoopPoint.of(loop, results, point);
        double radiator = loop.radiatorPerKelvin(met, at.stream(), at.feed()) * (at.back() - met.inlet());
        double airOut = met.flow() > 0
                ? met.inlet() + radiator / (met.flow() * ambient.air().heatCapacity(met.inlet()))
                : met.inlet();
        IceSpec ice = spec.tank().map(t -> t.ice()).orElse(IceSpec.NONE);
        double melting = ice.conductance(ice.mass()) * Math.max(at.feed() - IceSpec.MELTING, 0);
        double byIce =
                ice.conductanceWithMelt(ice.mass(), at.feed(), spec.coolant().heatCapacity(at.feed()))
                        * Math.max(at.feed() - IceSpec.MELTING, 0);
        ChillerSpec chiller = spec.chiller().orElse(null);
        boolean cutOut = chiller != null && !chiller.worksAt(point.boost());
        double soaked = spec.isOpen() ? 0 : spec.soak() * (at.feed() - loop.bay(point.roadSpeed()));
        double left = at.heat() - radiator - byIce - soaked;
        double chilled = chiller == null || cutOut
                ? 0
                : Math.min(chiller.heat(at.feed() + 1e-9, ambient.temperature()), Math.max(left, 0));
        double capacity = spec.volume()
                * spec.coolant().density(at.feed())
                * spec.coolant().heatCapacity(at.feed());
        double rise = spec.isOpen() ? 0 : Math.max(left - chilled, 0) / capacity;
        boolean settles = spec.isOpen() || rise * capacity < 1e-3 * Math.max(at.heat(), 1);
        double pullDown =
                chiller == null ? Double.NaN : chiller.pullDown(capacity, ambient.temperature(), ambient.temperature());
        return new LoopResult(
                core.slot(),
                spec,
                loop.hydraulics().at(at.feed(), point.speed()),
                loop.hydraulics().heads(at.feed(), point.speed()),
                at.feed(),
                at.back(),
                at.back()
                        - (radiator + chilled + byIce + soaked)
                                / at.stream().flow()
                                / spec.coolant().heatCapacity(at.feed()),
                at.heat(),
                radiator,
                core.hasRadiator() ? met : null,
                airOut,
                chilled,
                cutOut,
                pullDown,
                byIce,
                ice.mass() > 0 ? ice.lasts(melting) : Double.NaN,
                settles ? 0 : rise,
                LoopHeights.of(spec.pieces()),
                loop.boiling(),
                ambient.air().dewPoint(ambient.pressure()),
                loop.members().cores().stream().map(results::get).toList());
    }

    static List<AirWayResult> ways(AirSide air, List<AirFlow> flows, double[] given, OperatingPoint point) {
        List<AirWayResult> results = new ArrayList<>();
        for (int w = 0; w < air.ways().size(); w++) {
            AirWay way = air.ways().get(w);
            AirFlow flow = flows.get(w);
            AirWay.Warmth warmth = air.warmth(w, flow, point, given);
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
                        warmth.heat()[k],
                        warmth.asked()[k],
                        warmth.hot()[k]));
            }
            results.add(
                    new AirWayResult(way, flow, warmth, way.face(), way.massFlow(flow, 0) / flow.layers()[0], layers));
        }
        return results;
    }
}
