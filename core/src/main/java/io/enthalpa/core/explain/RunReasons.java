package io.enthalpa.core.explain;

import io.enthalpa.core.build.Answer;
import io.enthalpa.core.duty.Duty;
import io.enthalpa.core.endurance.EnduranceRun;
import io.enthalpa.core.endurance.Sensor;
import io.enthalpa.core.endurance.Trace;
import io.enthalpa.core.place.Subject;
import io.enthalpa.core.plant.CoreTrace;
import io.enthalpa.core.plant.ResistanceShares;
import io.enthalpa.core.plant.WaterSide;
import io.enthalpa.core.quantity.Figure;
import io.enthalpa.core.quantity.Quantity;
import io.enthalpa.core.verdict.RunFigures;
import io.enthalpa.core.verdict.RunShape;
import io.enthalpa.core.verdict.Verdict;
import java.util.ArrayList;
import java.util.List;

/** Opens a run through the duty: how the worst, the shape and what limits it came about. All about the duty. */
public final class RunReasons {
    private static final Subject SUBJECT = Subject.Whole.DUTY;

    private RunReasons() {}

    /** @return nothing where the engine never runs */
    public static List<Reason> of(Answer answer) {
        Trace trace = answer.soak();
        Verdict verdict = answer.verdict(trace);
        List<Reason> reasons = new ArrayList<>();
        if (verdict.outcome() == Verdict.Outcome.NEVER_RUNS) {
            return reasons;
        }
        RunFigures figures = answer.figures(trace);
        Duty duty = answer.duty();
        reasons.add(new Reason(
                SUBJECT,
                Reasons.temperature("worst intake", verdict.worst()),
                EnduranceRun.METHOD,
                List.of(
                        new Figure("at", verdict.worstTime(), Quantity.TIME),
                        Figure.plain("steps", trace.length()),
                        new Figure("step while running", EnduranceRun.stepFor(duty), Quantity.TIME),
                        Reasons.temperature("core and water at the start", trace.outside() + duty.startAbove()),
                        Reasons.share("accounts off by", trace.audit().error()))));
        water(trace, reasons);
        if (Double.isFinite(figures.wonBack())) {
            reasons.add(new Reason(
                    SUBJECT,
                    Reasons.share("density won back", figures.wonBack()),
                    RunFigures.METHOD,
                    List.of(Reasons.share(
                            "charge over what outside air at this boost would weigh", figures.density()))));
        }
        reasons.add(new Reason(
                SUBJECT,
                Figure.plain("seconds that the sensor shows the timing line", figures.shownOverPull()),
                Sensor.METHOD,
                List.of(
                        new Figure(
                                "lag in air of 10 m/s",
                                answer.targets().sensor().lag(),
                                Quantity.TIME),
                        new Figure("above it in truth", verdict.secondsOverPull(), Quantity.TIME))));
        reasons.add(new Reason(
                SUBJECT,
                Reasons.temperature("mean intake, by which its shape is read", verdict.mean()),
                RunShape.METHOD,
                List.of()));
        if (verdict.atWorst() != null) {
            ResistanceShares s = verdict.atWorst();
            List<Figure> shares = new ArrayList<>(List.of(
                    Reasons.share("charge side", s.charge()),
                    Reasons.share("wall", s.wall()),
                    Reasons.share("cold film", s.coldFilm()),
                    Reasons.share("too little cold stream", s.coldFlow()),
                    Reasons.share("behind the water", s.radiator()),
                    Reasons.share("stored in the tank", s.tank()),
                    Reasons.share("air warmed before it", s.warmedAir())));
            if (Double.isFinite(verdict.needed())) {
                shares.add(Reasons.share("way to the outside air that the target needs", verdict.needed()));
            }
            reasons.add(new Reason(
                    SUBJECT,
                    Reasons.share("largest share of the resistance", s.largestShare()),
                    ResistanceShares.METHOD,
                    shares));
        }
        return reasons;
    }

    private static void water(Trace trace, List<Reason> reasons) {
        CoreTrace core = trace.core();
        double low =
                core == null ? 0 : java.util.Arrays.stream(core.coldIn()).min().orElse(0);
        double high =
                core == null ? 0 : java.util.Arrays.stream(core.coldIn()).max().orElse(0);
        if (high - low > 0.5) {
            reasons.add(new Reason(
                    SUBJECT,
                    Reasons.temperature("coolant at the core, hottest", high),
                    WaterSide.METHOD,
                    List.of(
                            Reasons.temperature("coldest", low),
                            new Figure("ice left", core.ice()[trace.length() - 1], Quantity.MASS))));
        }
    }
}
