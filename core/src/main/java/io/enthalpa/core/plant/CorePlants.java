package io.enthalpa.core.plant;

import io.enthalpa.core.chargepath.OperatingPoint;
import io.enthalpa.core.fluid.HumidAir;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;

/** All cores of a path and their water loops while a run goes on. */
public final class CorePlants {
    private final List<CorePlant> cores = new ArrayList<>();
    /** Their numbers as the water meets them: of each loop the earlier stages first. */
    private final int[] byStage;
    /** Each loop at the number of the core that leads it; null elsewhere. */
    private final LoopPlant[] loops;

    private final double[] toAir;

    public CorePlants(List<CooledCore> cooled, HumidAir air, double outside, double start, int steps) {
        loops = new LoopPlant[cooled.size()];
        toAir = new double[cooled.size()];
        IdentityHashMap<CoolingLoop, LoopPlant> made = new IdentityHashMap<>();
        for (int k = 0; k < loops.length; k++) {
            CooledCore core = cooled.get(k);
            LoopPlant loop = core.hasLoop()
                    ? made.computeIfAbsent(core.loop(), l -> new LoopPlant(l, outside, start, core.perturbation()))
                    : null;
            loops[k] = core.leads() ? loop : null;
            cores.add(new CorePlant(core, loop, air, start, steps));
        }
        byStage = IntStream.range(0, cores.size())
                .boxed()
                .sorted(Comparator.comparingInt(k -> cores.get(k).stage()))
                .mapToInt(Integer::intValue)
                .toArray();
    }

    public List<CorePlant> cores() {
        return cores;
    }

    /** @return W that each core, or the radiator of its loop, gave to the air last */
    public double[] toAir() {
        return toAir;
    }

    /** Another run begins. */
    public void newRun() {
        Arrays.stream(loops).filter(loop -> loop != null).forEach(LoopPlant::newRun);
    }

    /**
     * Moves all metal and water on by one step; a standing charge neither brings nor takes heat.
     *
     * @param pressure Pa absolute of the charge
     * @param bay      K of the air round the loops
     * @param met      what meets each core or its radiator
     */
    public void advance(
            int i, double dt, boolean running, double pressure, double bay, InletAir[] met, OperatingPoint point) {
        int parts = parts(dt, point);
        for (int part = 0; part < parts; part++) {
            part(i, 1.0 / parts, dt / parts, running, pressure, bay, met, point);
        }
    }

    /** @return in how many the step has to be walked so that no loop's water passes more than it has under way */
    private int parts(double dt, OperatingPoint point) {
        double parts = 1;
        for (LoopPlant loop : loops) {
            parts = loop == null ? parts : Math.max(parts, Math.ceil(dt / loop.longestStep(point)));
        }
        return (int) parts;
    }

    private void part(
            int i,
            double weight,
            double dt,
            boolean running,
            double pressure,
            double bay,
            InletAir[] met,
            OperatingPoint point) {
        for (int k = 0; k < loops.length; k++) {
            if (loops[k] != null) {
                loops[k].begin(dt, bay, running, met[k], point);
            }
        }
        for (int k : byStage) {
            cores.get(k).advance(i, weight, dt, running, pressure, met[k], point);
        }
        for (int k = 0; k < loops.length; k++) {
            if (loops[k] != null) {
                loops[k].end();
            }
        }
        for (int k = 0; k < loops.length; k++) {
            cores.get(k).note(i, weight, point);
            toAir[k] = loops[k] != null ? loops[k].toAir() : cores.get(k).toAir();
        }
    }

    public double taken() {
        return sum(CorePlant::taken);
    }

    /** @return J that water coming out of the charge gave, within {@link #taken} */
    public double latent() {
        return sum(CorePlant::latent);
    }

    public double stored() {
        return sum(CorePlant::stored) + ofLoops(LoopPlant::stored);
    }

    /** @return J that air, ice, chillers and the sea took for good */
    public double rejected() {
        return sum(CorePlant::rejected) + ofLoops(LoopPlant::rejected);
    }

    private double sum(ToDoubleFunction<CorePlant> of) {
        return cores.stream().mapToDouble(of).sum();
    }

    private double ofLoops(ToDoubleFunction<LoopPlant> of) {
        return Arrays.stream(loops).filter(loop -> loop != null).mapToDouble(of).sum();
    }
}
