package io.enthalpa.core.build;

import io.enthalpa.core.chargepath.ChargePath;
import io.enthalpa.core.chargepath.LoopCores;
import io.enthalpa.core.endurance.Trace;
import io.enthalpa.core.exchanger.FinnedCore;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.uncertainty.Calibration;
import io.enthalpa.core.uncertainty.Doubt;
import io.enthalpa.core.uncertainty.MonteCarlo;
import io.enthalpa.core.uncertainty.MonteCarloResult;
import io.enthalpa.core.uncertainty.UncertainInput;
import io.enthalpa.core.verdict.Load;
import io.enthalpa.core.waterloop.CorePorts;
import io.enthalpa.core.waterloop.Radiator;
import io.enthalpa.core.waterloop.WaterLoopSpec;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

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
                doubted(build, letter),
                build.calibration(believed.option()),
                samples,
                seed,
                believed.duty().length());
    }

    /** @return which inputs and formulas of an option are not known exactly */
    public static List<Doubt> doubted(Build build, String letter) {
        List<Doubt> doubts = doubted(build, new Answer(build, letter).system().path());
        Optional<Calibration> known = build.calibration(build.option(letter));
        // The core was fitted with its formulas: what is left of it holds both.
        if (known.filter(k -> k.knows(UncertainInput.CORE_CONDUCTANCE)).isPresent()) {
            doubts.removeIf(d -> d.unknown() == UncertainInput.CHARGE_FINS || d.unknown() == UncertainInput.COLD_FINS);
        }
        return doubts.stream().map(d -> known.map(k -> k.left(d)).orElse(d)).toList();
    }

    private static List<Doubt> doubted(Build build, ChargePath path) {
        List<Doubt> unknowns = new ArrayList<>();
        add(unknowns, true, UncertainInput.BLOWER_EFFICIENCY);
        add(unknowns, true, UncertainInput.VOLUMETRIC_EFFICIENCY);
        add(unknowns, true, UncertainInput.OUTSIDE_AIR);
        add(unknowns, true, UncertainInput.PATH_LOSSES);
        List<WaterLoopSpec> loops = path.loops().stream().map(LoopCores::spec).toList();
        boolean air = path.cores().stream().anyMatch(slot -> slot.element().isCooledByAir())
                || loops.stream().anyMatch(l -> l.radiator().isPresent());
        add(unknowns, !path.cores().isEmpty(), UncertainInput.CORE_CONDUCTANCE);
        add(unknowns, !path.cores().isEmpty(), UncertainInput.START);
        add(unknowns, air, UncertainInput.COOLING_AIR);
        fins(unknowns, path);
        add(unknowns, loops.stream().anyMatch(l -> l.measured().isEmpty() || l.guessed()), UncertainInput.WATER_FLOW);
        add(unknowns, loops.stream().anyMatch(l -> !l.ports().equals(CorePorts.BEST)), UncertainInput.WATER_PORTS);
        radiators(unknowns, loops);
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

    /** What the formulas of cores by their geometry may miss by. */
    private static void fins(List<Doubt> unknowns, ChargePath path) {
        List<FinnedCore> finned = path.cores().stream()
                .map(slot -> slot.cooler().model())
                .filter(FinnedCore.class::isInstance)
                .map(FinnedCore.class::cast)
                .toList();
        if (!finned.isEmpty()) {
            unknowns.add(new Doubt(
                    UncertainInput.CHARGE_FINS,
                    finned.stream().mapToDouble(FinnedCore::chargeWithin).max().orElseThrow() / 2));
            unknowns.add(new Doubt(
                    UncertainInput.COLD_FINS,
                    finned.stream().mapToDouble(FinnedCore::coldWithin).max().orElseThrow() / 2));
        }
    }

    /** A card leaves a radiator its usual spread; a formula adds what it may miss by. */
    private static void radiators(List<Doubt> unknowns, List<WaterLoopSpec> loops) {
        loops.stream()
                .flatMap(l -> l.radiator().stream()
                        .map(r -> Radiator.of(r, l.coolant()).within() / 2))
                .max(Double::compare)
                .ifPresent(formula -> unknowns.add(new Doubt(
                        UncertainInput.RADIATOR_CONDUCTANCE,
                        Math.hypot(UncertainInput.RADIATOR_CONDUCTANCE.spread(), formula))));
    }

    private static void add(List<Doubt> unknowns, boolean there, UncertainInput unknown) {
        if (there) {
            unknowns.add(new Doubt(unknown, unknown.spread()));
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
