package io.enthalpa.core.build;

import io.enthalpa.core.chargepath.ChargePath;
import io.enthalpa.core.chargepath.CoolingSide;
import io.enthalpa.core.chargepath.CoreSlot;
import io.enthalpa.core.endurance.Spread;
import io.enthalpa.core.endurance.SpreadResult;
import io.enthalpa.core.endurance.Unknown;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.waterloop.WaterLoopSpec;
import java.util.ArrayList;
import java.util.List;

/** An option's {@link Spread}: which of its inputs are doubted, and each sample's run. Samples may run on any thread. */
public final class OptionSpread {
    /** Enough that another seed moves the edges of the band by less than what anybody acts on. */
    public static final int USUAL_SAMPLES = 200;

    private static final double COARSER = 4;
    private final Build build;
    private final String letter;
    private final Spread spread;

    public OptionSpread(Build build, String letter, int samples, long seed) {
        this.build = build;
        this.letter = letter;
        Answer believed = new Answer(build, letter);
        this.spread = new Spread(
                doubted(build, believed.system().path()),
                samples,
                seed,
                believed.duty().length());
    }

    private static List<Unknown> doubted(Build build, ChargePath path) {
        List<Unknown> unknowns =
                new ArrayList<>(List.of(Unknown.BLOWER_EFFICIENCY, Unknown.VOLUMETRIC_EFFICIENCY, Unknown.OUTSIDE_AIR));
        List<WaterLoopSpec> loops = new ArrayList<>();
        boolean air = false;
        for (CoreSlot slot : path.cores()) {
            if (slot.element().cooling() instanceof CoolingSide.Water water) {
                loops.add(water.loop());
                air |= water.loop().radiator().isPresent();
            } else {
                air = true;
            }
        }
        add(unknowns, !path.cores().isEmpty(), Unknown.CORE_CONDUCTANCE);
        add(unknowns, !path.cores().isEmpty(), Unknown.START);
        add(unknowns, air, Unknown.COOLING_AIR);
        add(unknowns, loops.stream().anyMatch(l -> l.measured().isEmpty()), Unknown.WATER_FLOW);
        add(unknowns, loops.stream().anyMatch(l -> l.radiator().isPresent()), Unknown.RADIATOR_CONDUCTANCE);
        add(
                unknowns,
                loops.stream()
                        .anyMatch(l ->
                                l.tank().isPresent() && l.tank().get().ice().mass() > 0),
                Unknown.ICE_CONTACT);
        add(unknowns, loops.stream().anyMatch(l -> l.chiller().isPresent()), Unknown.CHILLER_CAPACITY);
        add(unknowns, build.bay().isPresent(), Unknown.BAY);
        return unknowns;
    }

    private static void add(List<Unknown> unknowns, boolean there, Unknown unknown) {
        if (there) {
            unknowns.add(unknown);
        }
    }

    public int samples() {
        return spread.samples();
    }

    /** Runs one sample through the duty. One that has no operating point is left out. */
    public void run(int sample) {
        try {
            spread.accept(sample, new Answer(build, letter, spread.doubt(sample)).soak(COARSER), build.targets());
        } catch (EnthalpaFault noPoint) {
            // The result says how many samples it stands on.
        }
    }

    /** @return what the samples run so far say */
    public SpreadResult result() {
        return spread.result(build.targets());
    }
}
