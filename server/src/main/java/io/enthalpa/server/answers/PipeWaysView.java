package io.enthalpa.server.answers;

import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.fit.FitFinding;
import io.enthalpa.core.route.Run;
import io.enthalpa.core.trial.Change;
import io.enthalpa.core.trial.Opening;
import io.enthalpa.core.trial.PipeWays;
import io.enthalpa.formats.Sentences;
import io.enthalpa.formats.document.OptionEdits;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.jspecify.annotations.Nullable;

/**
 * Ways that a pipe can take, cheapest first; where there are none why, and what was tried.
 *
 * @param says why there is none, then what came of what was tried; empty where there are ways
 */
public record PipeWaysView(String of, List<WayView> ways, List<FitView.FitFindingView> says, List<OpensView> opens) {
    /** A corner to write into the run; no radius for that of stock. */
    public record CornerView(
            double back_mm,
            double right_mm,
            double up_mm,
            @Nullable Double radius_mm) {
        static CornerView of(Run.Corner c) {
            Vector3D p = c.at();
            return new CornerView(
                    FitView.tape(p.getX()),
                    FitView.tape(p.getY()),
                    FitView.tape(p.getZ()),
                    c.radius().isPresent()
                            ? Double.valueOf(FitView.tape(c.radius().getAsDouble()))
                            : null);
        }
    }

    /** A run to write: its corners, where it is flat, and where it begins and ends as far as that is typed: back, right, up. */
    public record LaidRunView(
            String of,
            @Nullable String loop,
            @Nullable List<Double> from_mm,
            List<CornerView> corners,
            List<LaidPipeView.OvalRowView> ovals,
            @Nullable List<Double> to_mm) {
        static LaidRunView of(Run run) {
            return new LaidRunView(
                    run.of(),
                    run.loop().orElse(null),
                    run.from().map(FitView::point).orElse(null),
                    run.corners().stream().map(CornerView::of).toList(),
                    LaidPipeView.OvalRowView.of(run),
                    run.to().map(FitView::point).orElse(null));
        }
    }

    /**
     * @param laid     as it is cut and put together; of two tubes the first
     * @param parts    outlines
     * @param runs     to write
     * @param pipe     what to write of the pipe itself, or of what it is joined to, where that is other; within the option
     * @param spare_mm over the gap asked, where that is least; null where nothing stands near
     * @param beside   what stands there
     * @param loss_kPa change of the whole path's at full load; null where there is no answer
     * @param worst_K  of the worst intake over the duty
     * @param longer_s that the target is kept longer
     * @param roomy    looked for with more gap than asked
     */
    public record WayView(
            LaidPipeView laid,
            List<FitView.OutlineView> parts,
            List<LaidRunView> runs,
            List<EditView> pipe,
            @Nullable Double spare_mm,
            @Nullable String beside,
            double volume_L,
            double mass_kg,
            @Nullable Double loss_kPa,
            @Nullable Double worst_K,
            @Nullable Double longer_s,
            boolean roomy) {
        static WayView of(BuildOption now, PipeWays.Way way) {
            Optional<Change> change = way.change();
            BuildOption asLaidNow = way.option().withRuns(now.runs());
            List<Run> runs =
                    way.all().map(l -> way.option().runs().get(l.run())).toList();
            return new WayView(
                    LaidPipeView.of(way.laid(), runs.get(0), way.option()),
                    way.all().flatMap(l -> FitView.outlines(l.drawn()).stream()).toList(),
                    runs.stream().map(LaidRunView::of).toList(),
                    EditView.of(OptionEdits.between(now, asLaidNow)),
                    way.tight().map(row -> FitView.mm(-row.missing())).orElse(null),
                    way.tight().map(row -> way.beside()).orElse(null),
                    way.volume() * 1e3,
                    way.mass(),
                    change.map(c -> c.loss() / 1000).orElse(null),
                    change.map(Change::worst).orElse(null),
                    change.map(Change::longer).orElse(null),
                    way.roomy());
        }
    }

    /** A way that something opens, with what it says. @param moved the obstacle that is out of the way then, "/room/obstacles/3" */
    public record OpensView(
            String says, WayView way, @Nullable String moved) {
        static OpensView of(BuildOption now, PipeWays.Tried tried, FitFinding says, PipeWays.Way way) {
            String moved = tried.opening() == Opening.MOVED
                    ? "/room/obstacles/" + (int) tried.figure().orElseThrow()
                    : null;
            return new OpensView(Sentences.of(says), WayView.of(now, way), moved);
        }
    }

    /** @param tried what has come of it so far */
    public static PipeWaysView of(
            String of, BuildOption now, PipeWays ways, PipeWays.Found found, List<PipeWays.Tried> tried) {
        List<FitView.FitFindingView> says = new ArrayList<>();
        List<OpensView> opens = new ArrayList<>();
        if (found.ways().isEmpty()) {
            says.add(FitView.FitFindingView.of(ways.says(found)));
            for (PipeWays.Tried t : tried) {
                FitFinding finding = ways.says(t);
                says.add(FitView.FitFindingView.of(finding));
                t.way().ifPresent(way -> opens.add(OpensView.of(now, t, finding, way)));
            }
        }
        return new PipeWaysView(
                of, found.ways().stream().map(w -> WayView.of(now, w)).toList(), says, opens);
    }
}
