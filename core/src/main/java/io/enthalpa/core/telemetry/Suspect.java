package io.enthalpa.core.telemetry;

import io.enthalpa.core.build.Answer;
import io.enthalpa.core.chargepath.LoopCores;
import io.enthalpa.core.uncertainty.Perturbation;
import io.enthalpa.core.uncertainty.UncertainInput;
import io.enthalpa.core.waterloop.WaterLoopSpec;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** What can be wrong with a car so that a log shows it: each leaves its own mark on the channels. */
public enum Suspect {
    /** Kinked or collapsed hose, weak pump, air in the loop. */
    WATER(UncertainInput.WATER_FLOW, "too little water goes round"),
    /** Blocked face, fan the wrong way round, air that goes past. */
    AIR(UncertainInput.COOLING_AIR, "too little cooling air"),
    /** Fed from above, wrong port, oil on the fins, air in the core. */
    CORE(UncertainInput.CORE_CONDUCTANCE, "the core passes too little heat"),
    /** Off its map, rubbing, or working against a leak. */
    BLOWER(UncertainInput.BLOWER_EFFICIENCY, "the blower heats the charge too much"),
    RADIATOR(UncertainInput.RADIATOR_CONDUCTANCE, "the radiator gives off too little"),
    /** Compressor that drops out. */
    CHILLER(UncertainInput.CHILLER_CAPACITY, "the chiller drops out"),
    /** Frozen together, or gone. */
    ICE(UncertainInput.ICE_CONTACT, "the water misses the ice"),
    /** Air that has been through a core or the bay already. */
    WARM_AIR(UncertainInput.OUTSIDE_AIR, "it draws warmer air than the weather"),
    /** Shows the metal it sits in where little air passes it. */
    SENSOR(null, "the sensor shows its own metal");

    /** Of a relative one, ln of the factor; usual size of a fault that somebody looks for. */
    private static final double FAULT = 0.6;

    private static final double WARMER = 6;
    /** K that a soaked sensor shows too much where no air passes. */
    static final double SOAKED = 10;

    private final UncertainInput input;

    private final String words;

    Suspect(UncertainInput input, String words) {
        this.input = input;
        this.words = words;
    }

    /** @return what is wrong, in short */
    public String words() {
        return words;
    }

    /** @param size in usual faults, 0 or more @return the model with it; a sensor is no part of the model */
    public Perturbation at(double size) {
        if (input == null) {
            return Perturbation.NONE;
        }
        Perturbation at = Perturbation.NONE.with(input, by(size));
        // Core and water start as warm as they were measured, whatever air is drawn.
        return this == WARM_AIR ? at.with(UncertainInput.START, -by(size)) : at;
    }

    /** @return what it moves: relative and less than 0, or K */
    public double by(double size) {
        return this == SENSOR ? SOAKED * size : this == WARM_AIR ? WARMER * size : Math.expm1(-FAULT * size);
    }

    public boolean isKelvin() {
        return this == SENSOR || this == WARM_AIR;
    }

    /** @return those that an option can have */
    public static List<Suspect> of(Answer answer) {
        List<WaterLoopSpec> loops =
                answer.system().path().loops().stream().map(LoopCores::spec).toList();
        boolean cores = !answer.system().path().cores().isEmpty();
        return Arrays.stream(values())
                .filter(s -> switch (s) {
                    case WATER -> !loops.isEmpty();
                    case AIR ->
                        loops.stream().anyMatch(l -> l.radiator().isPresent())
                                || answer.system().path().cores().stream()
                                        .anyMatch(c -> c.element().isCooledByAir());
                    case CORE -> cores;
                    case RADIATOR -> loops.stream().anyMatch(l -> l.radiator().isPresent());
                    case CHILLER -> loops.stream().anyMatch(l -> l.chiller().isPresent());
                    case ICE ->
                        loops.stream()
                                .map(WaterLoopSpec::tank)
                                .flatMap(Optional::stream)
                                .anyMatch(t -> t.ice().mass() > 0);
                    case BLOWER, WARM_AIR, SENSOR -> true;
                })
                .toList();
    }
}
