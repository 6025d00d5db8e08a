package io.enthalpa.core.build;

import io.enthalpa.core.chargepath.Ambient;
import io.enthalpa.core.chargepath.BaySpec;
import io.enthalpa.core.duty.Duty;
import io.enthalpa.core.duty.Gearing;
import io.enthalpa.core.engine.EngineSpec;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import io.enthalpa.core.fluid.Atmosphere;
import io.enthalpa.core.place.Subject;
import io.enthalpa.core.room.RoomSpec;
import io.enthalpa.core.uncertainty.Calibration;
import io.enthalpa.core.verdict.Targets;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What a user edits: one car (boat, anything with a boosted engine), the job it must do, and the options for doing it.
 *
 * @param name     "Pass Van"
 * @param summary  one line
 * @param engine   shared by all options
 * @param climate  the air outside
 * @param targets  what the intake temperature is judged by
 * @param fullLoad the operating point that the charge line shows
 * @param duty     that all options run
 * @param gearing  from road speed to engine speed; empty where it is not known
 * @param bay      the air round pipes, plenum and hoses; empty where it is not counted
 * @param room     that the options must fit into; empty where it was not measured
 * @param options  at least one, letters distinct
 * @param fitted   to a log; empty where nothing but what it says is believed
 * @param proofs   what was tried on the car itself
 */
public record Build(
        String name,
        String summary,
        EngineSpec engine,
        Climate climate,
        Targets targets,
        FullLoad fullLoad,
        Duty duty,
        Optional<Gearing> gearing,
        Optional<BaySpec> bay,
        Optional<RoomSpec> room,
        List<BuildOption> options,
        Optional<Fitted> fitted,
        Proofs proofs) {
    /** Without anything tried yet. */
    public Build(
            String name,
            String summary,
            EngineSpec engine,
            Climate climate,
            Targets targets,
            FullLoad fullLoad,
            Duty duty,
            Optional<Gearing> gearing,
            Optional<BaySpec> bay,
            Optional<RoomSpec> room,
            List<BuildOption> options) {
        this(
                name,
                summary,
                engine,
                climate,
                targets,
                fullLoad,
                duty,
                gearing,
                bay,
                room,
                options,
                Optional.empty(),
                Proofs.NONE);
    }

    /** Without a room. */
    public Build(
            String name,
            String summary,
            EngineSpec engine,
            Climate climate,
            Targets targets,
            FullLoad fullLoad,
            Duty duty,
            Optional<Gearing> gearing,
            Optional<BaySpec> bay,
            List<BuildOption> options) {
        this(name, summary, engine, climate, targets, fullLoad, duty, gearing, bay, Optional.empty(), options);
    }

    /**
     * @param temperature K
     * @param altitude    m
     * @param humidity    relative, 0 to 1
     * @param barometer   Pa absolute as measured; empty to take the standard atmosphere
     */
    public record Climate(double temperature, double altitude, double humidity, OptionalDouble barometer) {
        public Ambient ambient() {
            return Ambient.of(temperature, barometer.orElseGet(() -> Atmosphere.pressure(altitude)), humidity);
        }
    }

    /**
     * @param speed     rad/s of the crankshaft
     * @param roadSpeed m/s
     */
    public record FullLoad(double speed, double roadSpeed) {}

    public Build {
        options = List.copyOf(options);
        if (targets.timingPull() <= targets.intake()) {
            throw EnthalpaFault.of(
                    FaultKind.CONTRADICTION,
                    Subject.Whole.TARGETS,
                    "timingPull",
                    "timing line",
                    "%.0f °C".formatted(targets.timingPull() - 273.15),
                    "above the intake target, %.0f °C".formatted(targets.intake() - 273.15),
                    "Raise the line or lower the target.");
        }
        if (fullLoad.speed() > engine.maxSpeed() * 1.0001) {
            throw EnthalpaFault.of(
                    FaultKind.CONTRADICTION,
                    Subject.Whole.FULL_LOAD,
                    "engineSpeed",
                    "engine speed at full load",
                    rpm(fullLoad.speed()),
                    "at most the limiter, " + rpm(engine.maxSpeed()),
                    "");
        }
        for (int i = 0; i < duty.rows().size(); i++) {
            if (duty.rows().get(i).speed() > engine.maxSpeed() * 1.0001) {
                String moment = duty.pieces().isEmpty()
                        ? "in duty row " + (i + 1)
                        : "in the duty, %.0f s".formatted(duty.rows().get(i).time());
                throw EnthalpaFault.of(
                        FaultKind.CONTRADICTION,
                        Subject.Whole.DUTY,
                        duty.pieces().isEmpty() ? "rows/" + i + "/engineSpeed" : "pieces",
                        "engine speed " + moment,
                        rpm(duty.rows().get(i).speed()),
                        "at most the limiter, " + rpm(engine.maxSpeed()),
                        "");
            }
        }
        if (options.stream().map(BuildOption::letter).distinct().count() != options.size()) {
            throw EnthalpaFault.of(
                    FaultKind.CONTRADICTION,
                    Subject.Whole.OPTIONS,
                    "",
                    "option letters",
                    "repeated",
                    "each different",
                    "");
        }
    }

    /** @return the same job with other options */
    public Build withOptions(List<BuildOption> others) {
        return like(climate, duty, room, others, fitted);
    }

    /** @return the same job in another room */
    public Build withRoom(RoomSpec other) {
        return like(climate, duty, Optional.of(other), options, fitted);
    }

    /** @return the same job under other weather, doing something else */
    public Build withDuty(Climate weather, Duty other) {
        return like(weather, other, room, options, fitted);
    }

    /** @return the same job, fitted to this or to nothing */
    public Build withFitted(Optional<Fitted> other) {
        return like(climate, duty, room, options, other);
    }

    private Build like(
            Climate weather, Duty does, Optional<RoomSpec> stands, List<BuildOption> ways, Optional<Fitted> learned) {
        return new Build(
                name, summary, engine, weather, targets, fullLoad, does, gearing, bay, stands, ways, learned, proofs);
    }

    /** @return what a log taught of an option; empty where none did */
    public Optional<Calibration> calibration(BuildOption option) {
        return fitted.map(f -> f.of(option)).filter(c -> !c.knowns().isEmpty());
    }

    private static String rpm(double speed) {
        return "%.0f rpm".formatted(speed * 30 / Math.PI);
    }

    /**
     * @throws EnthalpaFault {@link FaultKind#MISSING} when there is no such option
     */
    public BuildOption option(String letter) {
        return options.stream()
                .filter(o -> o.letter().equals(letter))
                .findFirst()
                .orElseThrow(() -> EnthalpaFault.of(
                        FaultKind.CONTRADICTION,
                        Subject.Whole.OPTIONS,
                        "",
                        "option",
                        letter,
                        "one of "
                                + String.join(
                                        ", ",
                                        options.stream()
                                                .map(BuildOption::letter)
                                                .toList()),
                        ""));
    }
}
