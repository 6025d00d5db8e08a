package io.enthalpa.core.steady;

import io.enthalpa.core.chargepath.LoopCores;
import io.enthalpa.core.plant.CooledCore.Others;
import java.util.List;

/** What the cores of a steady system give to the loops they share, as each is told of the others from round to round. */
final class LoopHeats {
    private final List<LoopCores> loops;
    private final double[] heat;

    LoopHeats(List<LoopCores> loops, int cores) {
        this.loops = loops;
        this.heat = new double[cores];
    }

    /** @return the core whose loop a core hangs on; itself where air cools it */
    int lead(int core) {
        return loops.stream()
                .filter(loop -> loop.cores().contains(core))
                .mapToInt(LoopCores::lead)
                .findFirst()
                .orElse(core);
    }

    /** @return what the others on its loop gave in the round before */
    Others others(int core) {
        return loops.stream()
                .filter(loop -> loop.cores().size() > 1 && loop.cores().contains(core))
                .findFirst()
                .map(loop -> others(core, loop))
                .orElse(Others.NONE);
    }

    private Others others(int core, LoopCores loop) {
        int own = loop.stage().get(loop.cores().indexOf(core));
        double sum = 0;
        double before = 0;
        for (int m = 0; m < loop.cores().size(); m++) {
            double given = heat[loop.cores().get(m)];
            sum += loop.cores().get(m) == core ? 0 : given;
            before += loop.stage().get(m) < own ? given : 0;
        }
        return new Others(sum, before);
    }

    /**
     * A round has been solved. Each core answers the others' heat with less than as much of its own, so two alone settle; more would
     * overshoot, and are followed by 2/n of the way.
     *
     * @param solved W of every core
     */
    void follow(double[] solved) {
        for (LoopCores loop : loops) {
            double way = Math.min(2.0 / loop.cores().size(), 1);
            for (int k : loop.cores()) {
                heat[k] += way * (solved[k] - heat[k]);
            }
        }
    }
}
