package io.enthalpa.core.steady;

import io.enthalpa.core.chargepath.ChargeCooling;
import io.enthalpa.core.chargepath.ChargePath;
import io.enthalpa.core.chargepath.ChargePathSolver;
import io.enthalpa.core.chargepath.OperatingPoint;
import io.enthalpa.core.chargepath.PathResult;
import io.enthalpa.core.chargepath.Price;
import io.enthalpa.core.chargepath.SteadyCooling;
import io.enthalpa.core.chargepath.SteadyCooling.ColdStream;
import io.enthalpa.core.coolingair.AirFlow;
import io.enthalpa.core.coolingair.AirWaySpec;
import io.enthalpa.core.exchanger.Condensate;
import io.enthalpa.core.fluid.HumidAir;
import io.enthalpa.core.plant.AirSide;
import io.enthalpa.core.plant.CooledCore;
import io.enthalpa.core.plant.CoreResult;
import io.enthalpa.core.plant.InletAir;
import io.enthalpa.core.uncertainty.Perturbation;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** A charge path with what cools its cores: the thing that is solved steadily or run through a duty. */
public final class ChargeSystem {
    /** Rounds in which temperatures of water, walls, air and cores come to stand, to so many K. */
    private static final int MOST_ROUNDS = 40;

    private static final double SETTLED = 1e-4;
    private final ChargePath path;
    private final List<CooledCore> cores;
    private final AirSide air;

    public ChargeSystem(ChargePath path) {
        this(path, List.of());
    }

    /** @param airWays through which cores and radiators get their air; what stands in none takes its own share of road speed */
    public ChargeSystem(ChargePath path, List<AirWaySpec> airWays) {
        this(path, airWays, Perturbation.NONE, Optional.empty());
    }

    /**
     * @param perturbation what core, radiator, water, ice, chiller and cooling air do otherwise than believed in a run; steady answers take only air and water from it
     * @param full the point that loads of other exchangers in the air are told for; empty for each point itself
     */
    public ChargeSystem(
            ChargePath path, List<AirWaySpec> airWays, Perturbation perturbation, Optional<OperatingPoint> full) {
        this.path = path;
        this.cores = CooledCore.of(path, perturbation);
        this.air = new AirSide(airWays, cores, path.ambient(), path.engine(), full, perturbation);
    }

    public ChargePath path() {
        return path;
    }

    public List<CooledCore> cores() {
        return cores;
    }

    public AirSide air() {
        return air;
    }

    /** What a core last saw while the path was solved. */
    private static final class Seen {
        private double flow;
        private double in;
        private double out;
        private HumidAir gas;
    }

    /** @return the operating point held until nothing changes any more */
    public SteadyResult steady(OperatingPoint point) {
        return steady(point, false);
    }

    /** @param withPrices whether each piece's price is looked for too, which takes as many solutions as there are pieces */
    public SteadyResult steady(OperatingPoint point, boolean withPrices) {
        ChargePathSolver solver = new ChargePathSolver(path);
        SteadyWalls walls = new SteadyWalls(path, point.roadSpeed());
        solver.bayAir(walls.bay());
        int n = cores.size();
        Seen[] seen = new Seen[n];
        double[] waterIn = new double[n];
        double[] heat = new double[n];
        LoopHeats heats = new LoopHeats(path.loops(), n);
        Condensate[] wet = new Condensate[n];
        for (int k = 0; k < n; k++) {
            seen[k] = new Seen();
            waterIn[k] = path.ambient().temperature() + 10;
        }
        List<AirFlow> flows = air.flows(point.roadSpeed());
        InletAir[] met = air.meet(flows, point, heat).inlets();
        for (int round = 0; ; round++) {
            List<ColdStream> cold = new ArrayList<>();
            List<SteadyCooling> cooling = new ArrayList<>();
            for (int k = 0; k < n; k++) {
                ColdStream dry = cores.get(k)
                        .steadyStream(
                                met[k],
                                waterIn[heats.lead(k)],
                                point,
                                heat[k],
                                heats.others(k),
                                path.ambient().temperature());
                cold.add(wet[k] == null ? dry : dry.carrying(wet[k].latentHeat()));
                cooling.add(new SteadyCooling(cores.get(k).cooler(), cold.get(k)));
            }
            solver.advance(point, new ChargeCooling() {
                @Override
                public double outletTemperature(int core, HumidAir gas, double flow, double inlet) {
                    seen[core].flow = flow;
                    seen[core].in = inlet;
                    seen[core].gas = gas;
                    seen[core].out = cooling.get(core).outletTemperature(gas, flow, inlet)
                            + (wet[core] == null ? 0 : wet[core].warmer());
                    return seen[core].out;
                }

                @Override
                public double condensed(int core) {
                    return wet[core] == null ? 0 : wet[core].flow();
                }

                @Override
                public double behindWall(int wall, HumidAir gas, double flow, double inlet) {
                    return walls.behind(wall, gas, flow, inlet);
                }
            });
            List<CoreResult> results = new ArrayList<>();
            double moved = walls.settle();
            for (int k = 0; k < n; k++) {
                CoreResult r = cores.get(k)
                        .result(
                                seen[k].gas,
                                seen[k].flow,
                                seen[k].in,
                                seen[k].out,
                                solver.manifoldPressure(),
                                cold.get(k),
                                heats.others(k),
                                met[k]);
                results.add(r);
                moved = Math.max(moved, cooling.get(k).unsettled());
                moved = cores.get(k).hasLoop() ? Math.max(moved, Math.abs(r.coldIn() - waterIn[k])) : moved;
                waterIn[k] = r.coldIn();
                heat[k] = r.heat();
                moved = Math.max(moved, Math.abs(r.condensate().warmer() - (wet[k] == null ? 0 : wet[k].warmer())));
                wet[k] = r.condensate();
            }
            heats.follow(heat);
            InletAir[] next = air.meet(flows, point, toAir(results, met, point)).inlets();
            for (int k = 0; k < n; k++) {
                moved = Math.max(moved, Math.abs(next[k].inlet() - met[k].inlet()));
            }
            if (moved < SETTLED || round > MOST_ROUNDS) {
                PathResult result = solver.result();
                List<Price> prices = withPrices ? solver.prices() : List.of();
                return new SteadyResult(
                        result,
                        results,
                        prices,
                        SteadyCold.loops(cores, results, met, point, path.ambient()),
                        SteadyCold.ways(air, flows, toAir(results, met, point), point),
                        moved < SETTLED ? 0 : moved);
            }
            met = next;
        }
    }

    /** W that each core gives to the air at its face, or its radiator does for all on its loop. */
    private double[] toAir(List<CoreResult> results, InletAir[] met, OperatingPoint point) {
        double[] given = new double[results.size()];
        for (int k = 0; k < given.length; k++) {
            CooledCore core = cores.get(k);
            if (core.hasRadiator()) {
                LoopPoint at = LoopPoint.of(core.loop(), results, point);
                given[k] = core.loop().radiatorPerKelvin(met[k], at.stream(), at.feed()) * (at.back() - met[k].inlet());
            } else {
                given[k] = core.hasLoop() ? 0 : results.get(k).heat();
            }
        }
        return given;
    }
}
