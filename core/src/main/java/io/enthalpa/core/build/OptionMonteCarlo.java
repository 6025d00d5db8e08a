package io.enthalpa.core.build;

import io.enthalpa.core.chargepath.ChargePath;
import io.enthalpa.core.chargepath.CoolingSide;
import io.enthalpa.core.chargepath.CoreSlot;
import io.enthalpa.core.endurance.Trace;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.uncertainty.MonteCarlo;
import io.enthalpa.core.uncertainty.MonteCarloResult;
import io.enthalpa.core.uncertainty.UncertainInput;
import io.enthalpa.core.verdict.Load;
import io.enthalpa.core.waterloop.WaterLoopSpec;
import java.util.ArrayList;
import java.util.List;

/** An option's {@link Spread}: which of its inputs are doubted, and each sample's run. Samples may run on any thread. */
public final class OptionMonteCarlo {
    /** Enough that another seed moves the edges of the band by less than what anybody acts on. */
    public static final int USUAL_SAMPLES = 200;

    private static final double COARSER = 4;
    private final Build build;
    private final String letter;
    private final MonteCarlo sampling;

    public OptionMonteCarlo(Build build, String letter, int samples, long seed) {
        this.build = build;
        this.letter = letter;
        Answer believed = new Answer(build, letter);
        this.sampling = new MonteCarlo(
                doubted(build, believed.system().path()),
                samples,
                seed,
                believed.duty().length());
    }

    private static List<UncertainInput> doubted(Build build, ChargePath path) {
        List<UncertainInput> unknowns = new ArrayList<>(List.of(
                UncertainInput.BLOWER_EFFICIENCY, UncertainInput.VOLUMETRIC_EFFICIENCY, UncertainInput.OUTSIDE_AIR));
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
        add(unknowns, !path.cores().isEmpty(), UncertainInput.CORE_CONDUCTANCE);
        add(unknowns, !path.cores().isEmpty(), UncertainInput.START);
        add(unknowns, air, UncertainInput.COOLING_AIR);
        add(unknowns, loops.stream().anyMatch(l -> l.measured().isEmpty() || l.guessed()), UncertainInput.WATER_FLOW);
        add(unknowns, loops.stream().anyMatch(l -> l.radiator().isPresent()), UncertainInput.RADIATOR_CONDUCTANCE);
        add(
                unknowns,
                loops.stream()
                        .anyMatch(l ->
                                l.tank().isPresent() && l.tank().get().ice().mass() > 0),
                UncertainInput.ICE_CONTACT);
        add(unknowns, loops.stream().anyMatch(l -> l.chiller().isPresent()), UncertainInput.CHILLER_CAPACITY);
        add(unknowns, build.bay().isPresent(), UncertainInput.BAY);
        return unknowns;
    }

    private static void add(List<UncertainInput> unknowns, boolean there, UncertainInput unknown) {
        if (there) {
            unknowns.add(unknown);
        }
    }

    public int samples() {
        return sampling.samples();
    }

    /** Runs one sample through the duty. One that has no operating point is left out. */
    public void run(int sample) {
        try {
            Trace trace = new Answer(build, letter, sampling.perturbation(sample)).soak(COARSER);
            Load load = Load.of(trace);
            int worst = load.worst();
            sampling.accept(sample, trace.intakeAt(sampling.times()), worst < 0 ? Double.NaN : load.held(worst));
        } catch (EnthalpaFault noPoint) {
            // The result says how many samples it stands on.
        }
    }

    /** @return what the samples run so far say */
    public MonteCarloResult result() {
        return sampling.result(build.targets().intake(), build.targets().timingPull());
    }
}
