package io.enthalpa.core.build;

import io.enthalpa.core.chargepath.BaySpec;
import io.enthalpa.core.chargepath.ChargePath;
import io.enthalpa.core.chargepath.OperatingPoint;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.coolingair.AirWaySpec;
import io.enthalpa.core.duty.Duty;
import io.enthalpa.core.endurance.EnduranceRun;
import io.enthalpa.core.endurance.Sensor;
import io.enthalpa.core.endurance.Trace;
import io.enthalpa.core.engine.BlowerSpec;
import io.enthalpa.core.engine.EngineSpec;
import io.enthalpa.core.steady.ChargeSystem;
import io.enthalpa.core.steady.SteadyResult;
import io.enthalpa.core.uncertainty.Calibration;
import io.enthalpa.core.uncertainty.Perturbation;
import io.enthalpa.core.uncertainty.UncertainInput;
import io.enthalpa.core.verdict.RunFigures;
import io.enthalpa.core.verdict.Targets;
import io.enthalpa.core.verdict.Verdict;
import java.util.List;
import java.util.Optional;

/** The two answers an option of a build has: at full load, and over its duty. The one place where a document becomes a computation. */
public final class Answer {
    private final Build build;
    private final BuildOption option;
    private final ChargeSystem system;
    private final Duty duty;
    private final Targets targets;

    public Answer(Build build, String letter) {
        this(build, letter, Perturbation.NONE);
    }

    /** @param other inputs other than they are believed to be */
    public Answer(Build build, String letter, Perturbation other) {
        this.build = build;
        this.option = build.option(letter);
        Perturbation perturbation = build.calibration(option)
                .map(Calibration::perturbation)
                .orElse(Perturbation.NONE)
                .and(other);
        EngineSpec e = build.engine();
        EngineSpec engine = new EngineSpec(
                e.displacement(),
                e.cylinders(),
                e.volumetricEfficiency() * perturbation.factor(UncertainInput.VOLUMETRIC_EFFICIENCY),
                e.maxSpeed(),
                e.fuel());
        Build.Climate c = build.climate();
        Build.Climate climate = new Build.Climate(
                c.temperature() + perturbation.by(UncertainInput.OUTSIDE_AIR),
                c.altitude(),
                c.humidity(),
                c.barometer());
        this.system = new ChargeSystem(
                new ChargePath(
                        climate.ambient(),
                        engine,
                        blown(option.path(), perturbation.factor(UncertainInput.BLOWER_EFFICIENCY)),
                        build.bay()
                                .map(b -> new BaySpec(
                                        b.standing() * perturbation.factor(UncertainInput.BAY),
                                        b.rolling() * perturbation.factor(UncertainInput.BAY),
                                        b.settles())),
                        perturbation.factor(UncertainInput.PATH_LOSSES)),
                option.airWays().stream().map(AirWaySpec::met).toList(),
                perturbation,
                Optional.of(point()));
        Targets t = build.targets();
        this.targets = new Targets(
                t.intake(),
                t.timingPull(),
                new Sensor(t.sensor().lag() * perturbation.factor(UncertainInput.SENSOR_LAG)));
        Duty asked = build.duty().scaledTo(option.boost());
        this.duty = asked.startingAbove(Math.max(asked.startAbove() + perturbation.by(UncertainInput.START), 0));
    }

    private static List<PathElement> blown(List<PathElement> path, double factor) {
        return factor == 1
                ? path
                : path.stream()
                        .map(piece -> {
                            if (piece instanceof PathElement.Blower blower) {
                                BlowerSpec s = blower.spec();
                                return new PathElement.Blower(
                                        blower.name(),
                                        new BlowerSpec(
                                                s.type(),
                                                Math.min(s.efficiency() * factor, 0.9),
                                                s.maxPressureRatio(),
                                                s.outletBore(),
                                                s.map().map(m -> m.timesEfficiency(factor))));
                            }
                            if (piece instanceof PathElement.Parallel pair) {
                                return new PathElement.Parallel(
                                        pair.name(),
                                        pair.splitAngle(),
                                        pair.legs().stream()
                                                .map(leg -> new PathElement.Leg(leg.name(), blown(leg.path(), factor)))
                                                .toList(),
                                        pair.mergeAngle(),
                                        pair.mergedBore(),
                                        pair.balance());
                            }
                            return piece;
                        })
                        .toList();
    }

    public ChargeSystem system() {
        return system;
    }

    public Build build() {
        return build;
    }

    public BuildOption option() {
        return option;
    }

    /** @return with the sensor as slow as it is believed to be */
    public Targets targets() {
        return targets;
    }

    /** @return as run: boost scaled to what is asked */
    public Duty duty() {
        return duty;
    }

    /** @return the full-load point held until nothing changes any more */
    public SteadyResult steady() {
        return system.steady(point());
    }

    /** @return as {@link #steady}, with what every piece costs */
    public SteadyResult priced() {
        return system.steady(point(), true);
    }

    /** @return m/s at full load */
    public double roadSpeed() {
        return build.fullLoad().roadSpeed();
    }

    private OperatingPoint point() {
        return new OperatingPoint(
                build.fullLoad().speed(), option.boost(), build.fullLoad().roadSpeed());
    }

    /** @return the option through the build's duty */
    public Trace soak() {
        return soak(1);
    }

    /** @param coarser how many times longer than usual the steps are, for searches and samples */
    public Trace soak(double coarser) {
        return EnduranceRun.run(system, duty, targets.sensor(), coarser * EnduranceRun.stepFor(duty));
    }

    public Verdict verdict(Trace trace) {
        return Verdict.of(system, trace, targets);
    }

    public RunFigures figures(Trace trace) {
        return RunFigures.of(trace, targets);
    }
}
