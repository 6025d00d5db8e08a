package io.enthalpa.core.chargepath;

import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import io.enthalpa.core.place.Spot;
import io.enthalpa.core.waterloop.WaterLoopSpec;
import java.util.ArrayList;
import java.util.List;

/**
 * The cores of a path that hang on one water loop.
 *
 * @param spec  of the loop
 * @param cores numbers among the path's cores: first the one whose loop it is, then the others as the path meets them
 * @param stage of each, from 0: those of one stage stand side by side, the stages behind each other
 */
public record LoopCores(WaterLoopSpec spec, List<Integer> cores, List<Integer> stage) {
    /** More on one pump is no charge cooler any more but a plant. */
    static final int MOST = 4;

    public LoopCores {
        cores = List.copyOf(cores);
        stage = List.copyOf(stage);
    }

    /** @return the core whose loop it is, among the path's cores */
    public int lead() {
        return cores.get(0);
    }

    static List<LoopCores> of(List<CoreSlot> slots) {
        List<LoopCores> loops = new ArrayList<>();
        for (int k = 0; k < slots.size(); k++) {
            if (slots.get(k).element().cooling() instanceof CoolingSide.Water water) {
                loops.add(of(slots, k, water.loop()));
            }
        }
        return loops;
    }

    private static LoopCores of(List<CoreSlot> slots, int lead, WaterLoopSpec spec) {
        List<Integer> cores = new ArrayList<>(List.of(lead));
        List<Integer> stages = new ArrayList<>(List.of(0));
        for (int k = 0; k < slots.size(); k++) {
            if (slots.get(k).element().cooling() instanceof CoolingSide.Shared shared
                    && shared.core().equals(slots.get(lead).element().name())) {
                cores.add(k);
                stages.add(stages.get(stages.size() - 1) + (shared.place() == CoolingSide.OnLoop.BEHIND ? 1 : 0));
                if (cores.size() > MOST) {
                    throw refused(slots.get(k), "full with " + MOST + " cores", "one with fewer");
                }
            }
        }
        return new LoopCores(spec, cores, stages);
    }

    /** @throws EnthalpaFault when no core of that name has a loop */
    static WaterLoopSpec loopOf(CoolingSide.Shared shared, PathElement.Core core, Spot here, List<PathElement> path) {
        return Pieces.loopOf(core, path)
                .orElseThrow(() -> refused(
                        new CoreSlot(here, core, null),
                        "\"" + shared.core() + "\"",
                        "the name of a core of this path that has a water loop of its own"));
    }

    private static EnthalpaFault refused(CoreSlot at, String found, String allowed) {
        String label = at.element().name() + ", the loop it hangs on";
        return EnthalpaFault.of(
                        FaultKind.CONTRADICTION,
                        "sharesLoop/core",
                        label,
                        found,
                        allowed,
                        "Choose another, or give this core a loop of its own.")
                .about(at.spot(), "sharesLoop/core", label);
    }
}
