package io.enthalpa.server.answers;

import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.fit.Buildable;
import io.enthalpa.core.fit.Fittings;
import io.enthalpa.core.fit.Laid;
import io.enthalpa.core.fit.Mirrored;
import io.enthalpa.core.fit.Ovals;
import io.enthalpa.core.loss.PipeSpec;
import io.enthalpa.core.route.Centreline;
import io.enthalpa.core.route.Oval;
import io.enthalpa.core.route.Run;
import io.enthalpa.core.route.TurnList;
import java.util.Arrays;
import java.util.Iterator;
import java.util.List;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.jspecify.annotations.Nullable;

/**
 * A pipe as it is laid, and as it is cut and put together.
 *
 * @param place       of its run, "/runs/0"
 * @param loop        name of the core on whose water it is; none of a pipe of the charge
 * @param usual_mm    radius of a bend that says none
 * @param from_mm     where it begins: back, right, up
 * @param to_mm       where it ends
 * @param outside_mm  that must be clear, wrap included
 * @param length_mm   along its middle
 * @param straight_mm of it without its bends
 * @param last_mm     straight behind the last bend
 * @param mends       what cannot be made so
 * @param fittings    in its wall, as they are written
 * @param ovals       where it is flat, as they are written
 * @param flat_mm     height of one more; none of a hose
 * @param mirror      the pipe at the same place of the other leg of its pair
 * @param best_mm     along it, where there is most room for one more
 */
public record LaidPipeView(
        String place,
        String name,
        @Nullable String loop,
        double usual_mm,
        List<Double> from_mm,
        List<Double> to_mm,
        double outside_mm,
        double length_mm,
        double straight_mm,
        List<TurnView> turns,
        double last_mm,
        List<MendView> mends,
        List<FittingView> fittings,
        @Nullable Double best_mm,
        List<OvalView> ovals,
        @Nullable Double flat_mm,
        @Nullable String mirror) {
    /** What cannot be made so, and its corners, where its fittings are and its ovals with the least change that mends it; none where none does. */
    public record MendView(
            FitView.FitFindingView says,
            @Nullable List<PipeWaysView.CornerView> corners,
            @Nullable List<Double> fittings_mm,
            @Nullable List<OvalRowView> ovals) {
        static MendView of(Buildable.Fault fault) {
            return new MendView(
                    FitView.FitFindingView.of(fault.says()),
                    fault.mended()
                            .map(r -> r.corners().stream()
                                    .map(PipeWaysView.CornerView::of)
                                    .toList())
                            .orElse(null),
                    fault.mended()
                            .map(r -> r.fittings().stream()
                                    .map(f -> FitView.mm(f.along()))
                                    .toList())
                            .orElse(null),
                    fault.mended().map(OvalRowView::of).orElse(null));
        }
    }

    /** Where it is made flat, to write into the run. */
    public record OvalRowView(
            double at_mm,
            double length_mm,
            double height_mm,
            @Nullable Double clocked_deg,
            @Nullable Boolean pressed) {
        static List<OvalRowView> of(Run run) {
            return run.ovals().stream()
                    .map(o -> new OvalRowView(
                            FitView.tape(o.along()),
                            FitView.tape(o.length()),
                            FitView.tape(o.height()),
                            o.clock() == 0 ? null : Double.valueOf(Math.toDegrees(o.clock())),
                            o.pressed() ? true : null))
                    .toList();
        }
    }

    /**
     * @param width_mm outside, along its flats
     * @param reach_mm of the pipe, what leads over to the round at both ends included
     * @param area     over that of the tube
     */
    public record OvalView(double width_mm, double reach_mm, double area) {
        static OvalView of(Oval o, PathElement.Pipe pipe) {
            return new OvalView(
                    FitView.mm(Ovals.width(o, pipe)),
                    FitView.mm(Ovals.length(o, pipe)),
                    Ovals.section(o, pipe).area() / pipe.spec().area());
        }
    }

    /**
     * Its size, be it said or the usual one of its kind.
     *
     * @param of    what it is
     * @param at_mm where it is on the middle of the pipe: back, right, up
     */
    public record FittingView(String of, double out_mm, double across_mm, double hole_mm, List<Double> at_mm) {}

    /**
     * @param straight_mm before it
     * @param turned_deg  from the plane of the bend before it, clockwise in the way of the flow
     * @param angle_deg   of the bend
     * @param radius_mm   of its middle line; 0 of a mitre
     * @param share       of the pipe's loss that the bend makes
     */
    public record TurnView(double straight_mm, double turned_deg, double angle_deg, double radius_mm, double share) {}

    /** How one may begin to lay a pipe: back, right, up; no end where it is on a port. */
    public record StartingView(
            String of,
            @Nullable String loop,
            @Nullable List<Double> from_mm,
            List<List<Double>> corners_mm,
            @Nullable List<Double> to_mm) {
        static StartingView of(Run run) {
            return new StartingView(
                    run.of(),
                    run.loop().orElse(null),
                    run.from().map(StartingView::typed).orElse(null),
                    run.corners().stream().map(c -> typed(c.at())).toList(),
                    run.to().map(StartingView::typed).orElse(null));
        }

        /** To the millimetre: a place to go on from. */
        private static List<Double> typed(Vector3D p) {
            return Arrays.stream(p.toArray())
                    .map(m -> Math.rint(m * 1e3))
                    .boxed()
                    .toList();
        }
    }

    static LaidPipeView of(Laid l, Run run, BuildOption option) {
        TurnList turns = l.turns();
        Iterator<Double> shares =
                Arrays.stream(l.piece().spec().shares(PipeSpec.USUAL_FRICTION)).iterator();
        return new LaidPipeView(
                "/runs/" + l.run(),
                l.pipe().name(),
                run.loop().orElse(null),
                FitView.mm(l.usualRadius()),
                FitView.point(l.spec().from()),
                FitView.point(l.spec().to()),
                FitView.mm(l.outside()),
                FitView.mm(l.line().length()),
                FitView.mm(l.line().straight()),
                turns.steps().stream()
                        .map(s -> new TurnView(
                                FitView.mm(s.length()),
                                Math.toDegrees(s.turn()),
                                Math.toDegrees(s.angle()),
                                FitView.mm(s.radius()),
                                s.angle() > Centreline.STRAIGHT_ON ? shares.next() : 0))
                        .toList(),
                FitView.mm(turns.last()),
                Buildable.of(l, run).stream().map(MendView::of).toList(),
                run.fittings().stream()
                        .map(f -> new FittingView(
                                f.kind().words(),
                                FitView.mm(f.out()),
                                FitView.mm(f.across()),
                                FitView.mm(f.hole()),
                                FitView.point(l.line().at(f.along()))))
                        .toList(),
                l.hose().isPresent()
                        ? null
                        : Fittings.best(l, run).stream()
                                .mapToObj(FitView::mm)
                                .findFirst()
                                .orElse(null),
                run.ovals().stream().map(o -> OvalView.of(o, l.pipe())).toList(),
                l.pipe().spec().material().isTube() ? Double.valueOf(FitView.mm(Ovals.usual(l.pipe()))) : null,
                l.hose().isPresent()
                        ? null
                        : Mirrored.other(option, l.pipe().name()).orElse(null));
    }
}
