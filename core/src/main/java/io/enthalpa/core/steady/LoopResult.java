package io.enthalpa.core.steady;

import io.enthalpa.core.chargepath.CoreSlot;
import io.enthalpa.core.plant.CoreResult;
import io.enthalpa.core.plant.InletAir;
import io.enthalpa.core.waterloop.LoopFlow;
import io.enthalpa.core.waterloop.LoopHeights;
import io.enthalpa.core.waterloop.WaterLoopSpec;
import java.util.List;

/**
 * What the water of a loop does at a steady point.
 *
 * @param slot     the core whose loop it is
 * @param spec     its loop
 * @param flow     operating point of the pump
 * @param heads    what pumps give and the loop takes at other flows
 * @param waterIn  K where it enters the first core
 * @param waterOut K where it leaves the last
 * @param back     K behind radiator, chiller and tank: {@code waterIn} when something takes all the heat
 * @param heat     W from the charge, of all its cores
 * @param radiator W to the air; 0 without one
 * @param air      that meets the radiator; null without one
 * @param airOut   K behind the radiator
 * @param chiller  W
 * @param chillerOut the boost has cut the compressor out
 * @param pullDown s from outside temperature to the chiller's coldest water with no load; NaN without one
 * @param ice      W that melts ice and warms what has melted
 * @param iceLasts s until the ice is gone at this; NaN without ice
 * @param rise     K/s that the water warms when nothing takes its heat; 0 when something does
 * @param heights  where air stays
 * @param boiling  K at which it boils under its cap
 * @param dewPoint K of the outside air: what is colder than this sweats
 * @param cores    all on it, the first the one whose loop it is
 */
public record LoopResult(
        CoreSlot slot,
        WaterLoopSpec spec,
        LoopFlow flow,
        List<LoopFlow.Head> heads,
        double waterIn,
        double waterOut,
        double back,
        double heat,
        double radiator,
        InletAir air,
        double airOut,
        double chiller,
        boolean chillerOut,
        double pullDown,
        double ice,
        double iceLasts,
        double rise,
        LoopHeights heights,
        double boiling,
        double dewPoint,
        List<CoreResult> cores) {
    public LoopResult {
        cores = List.copyOf(cores);
    }

    /** @return K of its warmest water, behind one of the cores */
    public double hottest() {
        return Math.max(
                waterOut, cores.stream().mapToDouble(CoreResult::coldOut).max().orElse(waterOut));
    }

    /** @return K of its coldest */
    public double coldest() {
        return Math.min(waterIn, back);
    }

    /** @return true when hoses and core are colder than the outside air's dew point */
    public boolean sweats() {
        return coldest() < dewPoint;
    }
}
