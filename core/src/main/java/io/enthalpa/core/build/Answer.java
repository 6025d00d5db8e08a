package io.enthalpa.core.build;

import io.enthalpa.core.chargepath.ChargePath;
import io.enthalpa.core.chargepath.OperatingPoint;
import io.enthalpa.core.duty.Duty;
import io.enthalpa.core.endurance.ChargeSystem;
import io.enthalpa.core.endurance.EnduranceRun;
import io.enthalpa.core.endurance.SteadyResult;
import io.enthalpa.core.endurance.Trace;
import io.enthalpa.core.endurance.Verdict;

/** The two answers an option of a build has: at full load, and over its duty. The one place where a document becomes a computation. */
public final class Answer {
    private final Build build;
    private final BuildOption option;
    private final ChargeSystem system;

    public Answer(Build build, String letter) {
        this.build = build;
        this.option = build.option(letter);
        this.system = new ChargeSystem(new ChargePath(build.climate().ambient(), build.engine(), option.path(), build.bay()), option.airWays());
    }

    public ChargeSystem system() {
        return system;
    }

    public BuildOption option() {
        return option;
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
        return new OperatingPoint(build.fullLoad().speed(), option.boost(), build.fullLoad().roadSpeed());
    }

    /** @return the option through the build's duty */
    public Trace soak() {
        Duty duty = build.duty().scaledTo(option.boost());
        return EnduranceRun.run(system, duty, build.targets().sensor(), EnduranceRun.stepFor(duty));
    }

    public Verdict verdict(Trace trace) {
        return Verdict.of(system, trace, build.targets());
    }
}
