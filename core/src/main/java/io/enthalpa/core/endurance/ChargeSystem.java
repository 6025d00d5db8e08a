package io.enthalpa.core.endurance;

import io.enthalpa.core.chargepath.ChargePath;
import io.enthalpa.core.chargepath.ChargePathSolver;
import io.enthalpa.core.chargepath.OperatingPoint;
import io.enthalpa.core.chargepath.PathResult;
import io.enthalpa.core.chargepath.Price;
import io.enthalpa.core.chargepath.SteadyCooling;
import io.enthalpa.core.chargepath.SteadyCooling.ColdStream;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import java.util.ArrayList;
import java.util.List;

/** A charge path with what cools its cores: the thing that is solved steadily or run through a duty. */
public final class ChargeSystem {
    public static final Method LOOP_METHOD = Method.of("loop-steady", "Cooling air and water loop, first form",
                    "The air at a face is a measured share of road speed, or what still moves when standing. A water loop has the flow that really "
                            + "circulates, one mixed volume and a radiator by its card; held steady it is a resistance between the core's water and the outside air.")
            .formula("R = 1/G - 1/C, G what the radiator moves for each kelvin between its inlets, C the water's capacity rate")
            .source(Citation.fromMemory("Kays & London", 1984, "Compact Heat Exchangers, 3rd ed., liquid-coupled exchangers"))
            .leavesOut("Pumps, hoses and their losses, stacks, ducts and fans, glycol; two cores on one loop: each has its own.");
    private static final int MOST_ROUNDS = 40;
    private final ChargePath path;
    private final List<CooledCore> cores;

    public ChargeSystem(ChargePath path) {
        this.path = path;
        this.cores = path.cores().stream().map(slot -> new CooledCore(slot, path.ambient())).toList();
    }

    public ChargePath path() {
        return path;
    }

    List<CooledCore> cores() {
        return cores;
    }

    /** What a core last saw while the path was solved. */
    private static final class Seen {
        private double flow;
        private double in;
        private double out;
    }

    /** @return the operating point held until nothing changes any more */
    public SteadyResult steady(OperatingPoint point) {
        return steady(point, false);
    }

    /** @param withPrices whether each piece's price is looked for too, which takes as many solutions as there are pieces */
    public SteadyResult steady(OperatingPoint point, boolean withPrices) {
        ChargePathSolver solver = new ChargePathSolver(path);
        Seen[] seen = new Seen[cores.size()];
        double[] waterIn = new double[cores.size()];
        for (int k = 0; k < seen.length; k++) {
            seen[k] = new Seen();
            waterIn[k] = path.ambient().temperature() + 10;
        }
        for (int round = 0; ; round++) {
            List<ColdStream> cold = new ArrayList<>();
            List<SteadyCooling> cooling = new ArrayList<>();
            for (int k = 0; k < seen.length; k++) {
                cold.add(cores.get(k).coldStream(point.roadSpeed(), waterIn[k]));
                cooling.add(new SteadyCooling(cores.get(k).cooler(), cold.get(k)));
            }
            PathResult result = solver.solve(point, (core, air, flow, inlet) -> {
                seen[core].flow = flow;
                seen[core].in = inlet;
                seen[core].out = cooling.get(core).outletTemperature(air, flow, inlet);
                return seen[core].out;
            });
            List<CoreResult> results = new ArrayList<>();
            double moved = 0;
            for (int k = 0; k < seen.length; k++) {
                CooledCore core = cores.get(k);
                CoreResult r = core.result(seen[k].flow, seen[k].in, seen[k].out, result.manifoldPressure(), cold.get(k), point.roadSpeed());
                results.add(r);
                moved = core.hasLoop() ? Math.max(moved, Math.abs(r.coldIn() - waterIn[k])) : moved;
                waterIn[k] = r.coldIn();
            }
            if (moved < 1e-4 || round > MOST_ROUNDS) {
                List<Price> prices = withPrices ? solver.prices() : List.of();
                return new SteadyResult(result, results, prices);
            }
        }
    }
}
