package io.enthalpa.core.explain;

import io.enthalpa.core.build.Answer;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.chargepath.Pieces;
import io.enthalpa.core.endurance.EnergyAudit;
import io.enthalpa.core.endurance.Trace;
import io.enthalpa.core.explain.Finding.Kind;
import io.enthalpa.core.plant.ResistanceShares;
import io.enthalpa.core.quantity.Figure;
import io.enthalpa.core.quantity.Quantity;
import io.enthalpa.core.verdict.Load;
import io.enthalpa.core.verdict.RunFigures;
import io.enthalpa.core.verdict.RunShape;
import io.enthalpa.core.verdict.Targets;
import io.enthalpa.core.verdict.Verdict;
import io.enthalpa.core.verdict.WaterBounds;
import io.enthalpa.core.waterloop.WaterLoopSpec;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** The judgement of a run: what is worth saying of it, from how it ends to what to change first. */
public final class Findings {
    /** Share of a ramp's climb from which the coolant's own warming makes it. */
    private static final double BY_COOLANT = 0.5;
    /** K over the worst under load from which heat off load is worth a word. */
    private static final double HOTTER = 1;
    /** kg of water in a core over a duty that are worth a word. */
    private static final double DRIPS = 1e-3;
    /** Share of the heat from which condensing is worth a word. */
    private static final double LATENT = 0.01;
    /** Share of the charge side from which more cooling does little. */
    private static final double BY_FAR = 0.6;

    private final Verdict verdict;
    private final RunFigures figures;
    private final Circumstances around;
    private final boolean air;
    private final List<Finding> found = new ArrayList<>();

    private Findings(Verdict verdict, RunFigures figures, Circumstances around) {
        this.verdict = verdict;
        this.figures = figures;
        this.around = around;
        this.air = around.loop().isEmpty();
    }

    /**
     * What the judgement needs to know beside the run.
     *
     * @param runs    of the duty
     * @param outside K
     * @param audit   of the heat
     * @param loop    of the core nearest the plenum; empty where air cools it, or there is none
     * @param water   when it is hotter or colder than it can be
     */
    record Circumstances(
            Targets targets,
            int runs,
            double outside,
            EnergyAudit audit,
            Optional<WaterLoopSpec> loop,
            WaterBounds water) {}

    /** @return in the order they are told */
    public static List<Finding> of(Answer answer, Trace trace) {
        List<PathElement.Core> cores = Pieces.cores(answer.option().path());
        Optional<WaterLoopSpec> loop = cores.isEmpty()
                ? Optional.empty()
                : Pieces.loopOf(cores.get(cores.size() - 1), answer.option().path());
        return of(
                answer.verdict(trace),
                answer.figures(trace),
                new Circumstances(
                        answer.targets(),
                        answer.duty().repeats(),
                        trace.outside(),
                        trace.audit(),
                        loop,
                        WaterBounds.of(answer.system(), trace)));
    }

    static List<Finding> of(Verdict verdict, RunFigures figures, Circumstances around) {
        Findings findings = new Findings(verdict, figures, around);
        findings.headline();
        findings.particulars();
        if (findings.verdict.outcome() != Verdict.Outcome.NEVER_RUNS) {
            findings.shape();
            findings.beside();
            findings.worth();
            if (findings.verdict.atWorst() != null) {
                findings.limit();
            }
        }
        return List.copyOf(findings.found);
    }

    private void say(Kind kind, Figure... named) {
        found.add(new Finding(kind, List.of(named)));
    }

    private static Figure temperature(String name, double kelvin) {
        return new Figure(name, kelvin, Quantity.TEMPERATURE);
    }

    private static Figure time(String name, double seconds) {
        return new Figure(name, seconds, Quantity.TIME);
    }

    private static Figure share(String name, double share) {
        return new Figure(name, share, Quantity.SHARE);
    }

    private static Figure whether(String name, boolean is) {
        return Figure.plain(name, is ? 1 : 0);
    }

    private boolean holds() {
        return verdict.outcome() == Verdict.Outcome.HOLDS;
    }

    private void headline() {
        Figure worst = temperature("worst", verdict.worst());
        Figure climbing = whether("climbing", verdict.stillClimbing());
        Figure falls = whether("short", !Double.isNaN(verdict.limitedFrom()));
        int runs = around.runs();
        switch (verdict.outcome()) {
            case NEVER_RUNS -> say(Kind.NEVER_RUNS);
            case HOLDS -> {
                if (runs == 1) {
                    say(Kind.HOLDS, worst, climbing, falls);
                } else if (runs == 2) {
                    say(Kind.HOLDS_BOTH_RUNS, worst, falls);
                } else {
                    say(Kind.HOLDS_ALL_RUNS, worst, Figure.plain("runs", runs), falls);
                }
            }
            case OVER_TARGET -> say(Kind.OVER_TARGET, time("first", verdict.firstOverTarget()), worst, climbing, falls);
            case PULLS_TIMING -> say(Kind.PULLS_TIMING, time("first", verdict.firstOverPull()), worst, climbing, falls);
            default -> throw new IllegalStateException(verdict.outcome().toString());
        }
    }

    private void particulars() {
        if (verdict.outcome() == Verdict.Outcome.NEVER_RUNS) {
            say(Kind.WANTS_ENGINE_SPEED);
            return;
        }
        Figure target = temperature("target", around.targets().intake());
        Figure line = temperature("line", around.targets().timingPull());
        if (verdict.secondsOverTarget() > 0) {
            say(Kind.TARGET_PASSED, target, time("over", verdict.secondsOverTarget()));
        } else {
            say(Kind.TARGET_KEPT, target);
        }
        if (verdict.secondsOverPull() > 0) {
            say(Kind.TIMING_PASSED, line, time("over", verdict.secondsOverPull()));
        } else {
            say(Kind.TIMING_NEVER, line);
        }
        say(Kind.MEAN, temperature("mean", verdict.mean()));
        if (!Double.isNaN(verdict.limitedFrom())) {
            say(Kind.BLOWER_SHORT, time("from", verdict.limitedFrom()));
        }
    }

    private void shape() {
        switch (figures.shape()) {
            case FLAT -> say(holds() ? Kind.FLAT_AND_HOLDS : Kind.FLAT_BUT_HIGH);
            case SAW_TEETH -> say(holds() ? Kind.TEETH_AND_HOLDS : Kind.TEETH_TOO_HIGH);
            case SOAKED -> say(air ? Kind.SOAKED_THEN_AIR : Kind.SOAKED_THEN_WATER);
            case RAMP -> ramp();
            default -> throw new IllegalStateException(RunShape.class.getName());
        }
    }

    /** What makes a ramp: the coolant that warms up, or the narrow place within the core. */
    private void ramp() {
        ResistanceShares shares = verdict.atWorst();
        if (shares == null) {
            say(Kind.RAMP_OF_SURROUNDINGS);
        } else if (figures.climbByCoolant() > BY_COOLANT) {
            if (air) {
                say(Kind.RAMP_OF_WARM_AIR);
            } else if (shares.tank() > shares.radiator()) {
                say(Kind.RAMP_OF_TANK);
            } else {
                say(Kind.RAMP_OF_SINK, sink());
            }
        } else if (verdict.limit() == ResistanceShares.Limit.COLD_SIDE) {
            say(air ? Kind.RAMP_OF_LITTLE_AIR : Kind.RAMP_OF_LITTLE_WATER);
        } else {
            say(verdict.limit() == ResistanceShares.Limit.OUTSIDE_AIR ? Kind.RAMP_TO_OUTSIDE_AIR : Kind.RAMP_OF_CORE);
        }
    }

    /** What takes the water's heat for good: 0 radiator, 1 ice, 2 chiller, 3 raw water. */
    private Figure sink() {
        WaterLoopSpec spec = around.loop().orElseThrow();
        int which = spec.radiator().isPresent()
                ? 0
                : spec.tank().isPresent() && spec.tank().get().ice().mass() > 0
                        ? 1
                        : spec.chiller().isPresent() ? 2 : 3;
        return Figure.plain("sink", which);
    }

    private void beside() {
        Verdict.Beside beside = verdict.beside();
        if (beside.startSoak() > verdict.worst()) {
            say(Kind.START_SOAK, temperature("start", beside.startSoak()), time("until", beside.startSoakUntil()));
        }
        if (beside.idle() > verdict.worst() + HOTTER) {
            say(Kind.HOT_OFF_LOAD, temperature("idle", beside.idle()), time("at", beside.idleTime()));
        }
        WaterBounds water = around.water();
        if (Double.isFinite(water.boilsFrom())) {
            say(
                    Kind.WATER_BOILS,
                    time("from", water.boilsFrom()),
                    temperature("hottest", water.hottest()),
                    temperature("boiling", water.boiling()));
        }
        if (Double.isFinite(water.freezesFrom())) {
            say(
                    Kind.WATER_FREEZES,
                    time("from", water.freezesFrom()),
                    temperature("coldest", water.coldest()),
                    temperature("freezing", water.freezing()));
        }
    }

    private void worth() {
        if (Double.isFinite(figures.density()) && Double.isFinite(figures.wonBack())) {
            say(Kind.DENSITY, share("density", figures.density()), share("won", figures.wonBack()));
        }
        if (verdict.mean() < Load.SPRAYS_BADLY) {
            say(Kind.SPRAYS_BADLY, temperature("mean", verdict.mean()), temperature("line", Load.SPRAYS_BADLY));
        }
        if (Double.isFinite(figures.recoveredAfter())) {
            say(Kind.BACK_AT_TARGET, time("after", figures.recoveredAfter()));
        }
        if (verdict.secondsOverPull() > 0) {
            Figure line = temperature("line", around.targets().timingPull());
            if (Double.isNaN(figures.firstShownOverPull())) {
                say(Kind.SENSOR_NEVER_SHOWS, line);
            } else {
                say(Kind.SENSOR_SHOWS, line, time("from", figures.firstShownOverPull()));
            }
        }
        if (figures.condensed() > DRIPS) {
            double latent = around.audit().latent() / Math.max(around.audit().taken(), 1000);
            Figure water = new Figure("water", figures.condensed(), Quantity.MASS);
            if (latent >= LATENT) {
                say(Kind.CONDENSED_HEAVILY, water, share("latent", latent));
            } else {
                say(Kind.CONDENSED, water);
            }
        }
    }

    private void limit() {
        ResistanceShares s = verdict.atWorst();
        double cold = s.coldFilm() + s.coldFlow();
        switch (verdict.limit()) {
            case OUTSIDE_AIR ->
                say(
                        verdict.needed() >= 1 ? Kind.LIMIT_OUTSIDE_AIR_TOO_WARM : Kind.LIMIT_OUTSIDE_AIR,
                        temperature("outside", around.outside()),
                        temperature("target", around.targets().intake()),
                        share("needed", verdict.needed()));
            case COLD_SIDE -> {
                boolean little = s.coldFlow() > s.coldFilm();
                say(
                        air
                                ? little ? Kind.LIMIT_LITTLE_AIR : Kind.LIMIT_AIR_SIDE
                                : little ? Kind.LIMIT_LITTLE_WATER : Kind.LIMIT_WATER_SIDE,
                        share("share", cold));
            }
            case TANK ->
                say(
                        around.loop().flatMap(WaterLoopSpec::radiator).isPresent()
                                ? Kind.LIMIT_TANK_OVER_RADIATOR
                                : Kind.LIMIT_TANK,
                        share("share", s.tank()));
            case WARMED_AIR -> say(Kind.LIMIT_WARMED_AIR, share("share", s.warmedAir()));
            case SINK -> say(sinkLimit(), share("share", s.radiator()));
            case WALL -> say(Kind.LIMIT_WALL, share("share", s.wall()));
            default ->
                say(
                        s.charge() > BY_FAR ? Kind.LIMIT_CHARGE_SIDE_BY_FAR : Kind.LIMIT_CHARGE_SIDE,
                        share("share", s.charge()));
        }
    }

    private Kind sinkLimit() {
        return switch ((int) sink().value()) {
            case 1 -> Kind.LIMIT_ICE;
            case 2 -> Kind.LIMIT_CHILLER;
            default -> Kind.LIMIT_RADIATOR;
        };
    }
}
