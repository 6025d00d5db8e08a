package io.enthalpa.core.fit;

import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fit.FitFinding.Kind;
import io.enthalpa.core.quantity.Figure;
import io.enthalpa.core.quantity.Quantity;
import io.enthalpa.core.route.Centreline;
import io.enthalpa.core.route.Centreline.Bend;
import io.enthalpa.core.route.Centreline.Stretch;
import io.enthalpa.core.route.Run;
import io.enthalpa.core.route.RunSpec;
import io.enthalpa.core.router.Tube;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.ToDoubleFunction;
import java.util.function.UnaryOperator;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/** Whether a laid pipe can be made of what is sold, and the least change that mends what cannot. */
public final class Buildable {
    public static final Method METHOD = Method.of(
                    "buildable",
                    "Whether a pipe can be made so",
                    "A bend is cut from stock of 1.5 times the pipe's size, or from tight stock of once its size, or is a mitre. Between two bends that are not cut in one "
                            + "from a U there are 20 mm of straight to weld; a joint wants 50 mm of straight to sit on, and the pipe square out of its port. "
                            + "What mends it moves one corner along its own pipe, or takes the bend of stock.")
            .source(Citation.commonPractice("what bends are sold, and what a weld and a clamp want"))
            .leavesOut("Whether what mends it keeps its gaps: that is told as of any other change.");
    /** Middle line of the tightest bend that is sold over the size of the pipe; common practice, no source. */
    public static final double TIGHTEST = 1;
    /** m that a saw is true to. */
    private static final double TRUE = 0.5e-3;
    /** rad: two bends that lie in one plane as nearly are cut in one. */
    private static final double IN_PLANE = Math.toRadians(0.5);

    /** After each only a small part of what was missing still is. */
    private static final int ROUNDS = 12;

    /** rad that a hose on a port bears; common practice, no source. */
    private static final double OUT_OF_SQUARE = Math.toRadians(2);
    /** rad that a hose of a water loop bears where it comes on; common practice, no source. */
    private static final double HOSE_OUT_OF_SQUARE = Math.toRadians(10);

    private Buildable() {}

    /** @param mended how it would be laid with the least change; empty where no place along it does */
    public record Fault(FitFinding says, Optional<Run> mended) {}

    /** @param run as it is laid */
    public static List<Fault> of(Laid laid, Run run) {
        return laid.hose().isPresent() ? hose(laid, run) : pipe(laid, run);
    }

    /** It is neither cut from stock nor welded: it kinks. */
    private static List<Fault> hose(Laid laid, Run run) {
        List<Fault> faults = new ArrayList<>();
        double least = laid.usualRadius();
        for (Bend b : laid.line().bends()) {
            if (b.radius() < least - TRUE) {
                Fault tight = fault(
                        Kind.HOSE_KINKS,
                        laid,
                        b.corner() + 1,
                        b.radius(),
                        least,
                        changed(run, b.corner(), c -> new Run.Corner(c.at(), OptionalDouble.empty())));
                faults.add(hasRoom(laid, b.corner(), least) ? tight : new Fault(tight.says, Optional.empty()));
            }
        }
        ends(laid, run, HOSE_OUT_OF_SQUARE, faults);
        return faults;
    }

    /** Whether the straights beside a corner are long enough for such a bend. */
    private static boolean hasRoom(Laid laid, int corner, double radius) {
        List<RunSpec.Corner> corners = new ArrayList<>(laid.spec().corners());
        corners.set(corner, new RunSpec.Corner(corners.get(corner).at(), radius));
        try {
            Centreline.of(
                    new RunSpec(laid.spec().from(), corners, laid.spec().to()),
                    laid.pipe().name());
            return true;
        } catch (EnthalpaFault tooLong) {
            return false;
        }
    }

    private static void ends(Laid laid, Run run, double most, List<Fault> faults) {
        int last = laid.spec().corners().size() - 1;
        laid.before()
                .flatMap(j -> square(laid, run, j, laid.spec().from(), 0, most))
                .ifPresent(faults::add);
        laid.behind()
                .flatMap(j -> square(laid, run, j, laid.spec().to(), last, most))
                .ifPresent(faults::add);
    }

    private static List<Fault> pipe(Laid laid, Run run) {
        List<Fault> faults = new ArrayList<>();
        double tightest = TIGHTEST * laid.pipe().size();
        for (Bend b : laid.line().bends()) {
            if (laid.pipe().spec().material().isTube() && b.radius() > 0 && b.radius() < tightest - TRUE) {
                faults.add(fault(
                        Kind.PIPE_TIGHT_BEND,
                        laid,
                        b.corner() + 1,
                        b.radius(),
                        tightest,
                        changed(run, b.corner(), c -> new Run.Corner(c.at(), OptionalDouble.empty()))));
            }
        }
        List<Stretch> all = laid.line().stretches();
        for (int i = 0; i < all.size(); i++) {
            // A hose is not welded.
            if (laid.pipe().spec().material().isTube() && all.get(i) instanceof Bend next) {
                boolean straight = i > 0 && all.get(i - 1) instanceof Centreline.Straight;
                int before = straight ? i - 2 : i - 1;
                double left = straight ? all.get(i - 1).length() : 0;
                if (before >= 0
                        && all.get(before) instanceof Bend first
                        && left < Tube.TACK - TRUE
                        && !inOne(first, next, left)) {
                    Vector3D way = first.heading(first.length());
                    faults.add(fault(
                            Kind.PIPE_NO_WELD,
                            laid,
                            next.corner() + 1,
                            left,
                            Tube.TACK,
                            moved(laid, run, next.corner(), way, l -> before(l, next.corner()), Tube.TACK)));
                }
            }
        }
        int last = laid.spec().corners().size() - 1;
        ends(laid, run, OUT_OF_SQUARE, faults);
        seat(laid, run, all.get(0), laid.before().isPresent(), 0, 1).ifPresent(faults::add);
        seat(laid, run, all.get(all.size() - 1), laid.behind().isPresent(), last, -1)
                .ifPresent(faults::add);
        faults.addAll(Fittings.faults(laid, run));
        faults.addAll(Ovals.faults(laid, run));
        return faults;
    }

    /** One U cut, or one bend of more: in one plane, turning the same way, nothing between. */
    private static boolean inOne(Bend a, Bend b, double left) {
        Vector3D one = a.way().crossProduct(a.inward());
        Vector3D other = b.way().crossProduct(b.inward());
        return left < TRUE
                && Math.abs(a.radius() - b.radius()) < TRUE
                && Vector3D.angle(one, other) < IN_PLANE
                && a.angle() + b.angle() <= Math.PI + 1e-9;
    }

    /** Square again with the corner next to the port put onto the line of the port, as far off as it is. */
    private static Optional<Fault> square(
            Laid laid, Run run, Laid.Joined joined, Vector3D port, int corner, double mostOff) {
        if (joined.off() <= mostOff) {
            return Optional.empty();
        }
        FitFinding says = new FitFinding(
                Kind.PIPE_OUT_OF_SQUARE,
                laid.pipe().name(),
                FitFinding.named(joined.port().role(), joined.name()),
                List.of(new Figure("off", joined.off(), Quantity.ANGLE), new Figure("most", mostOff, Quantity.ANGLE)));
        if (run.corners().isEmpty()) {
            return Optional.of(new Fault(says, Optional.empty()));
        }
        Vector3D out = joined.port().out();
        double far = run.corners().get(corner).at().subtract(port).dotProduct(out);
        Vector3D on = port.add(Math.max(far, Pipework.STUB), out);
        return Optional.of(new Fault(says, Optional.of(changed(run, corner, c -> new Run.Corner(on, c.radius())))));
    }

    private static Optional<Fault> seat(Laid laid, Run run, Stretch end, boolean joined, int corner, int sense) {
        double left = length(end);
        if (!joined || laid.spec().corners().isEmpty() || left > Pipework.STUB - TRUE) {
            return Optional.empty();
        }
        Vector3D way = sense > 0 ? end.heading(0) : end.heading(end.length()).negate();
        return Optional.of(fault(
                sense > 0 ? Kind.PIPE_NO_SEAT_START : Kind.PIPE_NO_SEAT_END,
                laid,
                corner + 1,
                left,
                Pipework.STUB,
                moved(laid, run, corner, way, l -> length(sense > 0 ? l.get(0) : l.get(l.size() - 1)), Pipework.STUB)));
    }

    private static Fault fault(Kind kind, Laid laid, int corner, double is, double wanted, Run mended) {
        return new Fault(
                new FitFinding(
                        kind,
                        laid.pipe().name(),
                        "",
                        List.of(
                                Figure.plain("corner", corner),
                                new Figure("is", is, Quantity.LENGTH),
                                new Figure("wanted", wanted, Quantity.LENGTH))),
                Optional.of(mended));
    }

    private static double length(Stretch stretch) {
        return stretch instanceof Bend ? 0 : stretch.length();
    }

    /** m of straight before the bend at a corner. */
    private static double before(List<Stretch> line, int corner) {
        for (int i = 1; i < line.size(); i++) {
            if (line.get(i) instanceof Bend b && b.corner() == corner) {
                return length(line.get(i - 1));
            }
        }
        return 0;
    }

    /** As far as it takes: a corner that is moved turns otherwise, and its bend takes more or less of the straight. */
    private static Run moved(
            Laid laid, Run run, int corner, Vector3D way, ToDoubleFunction<List<Stretch>> left, double wanted) {
        double by = 0;
        for (int i = 0; i < ROUNDS; i++) {
            List<RunSpec.Corner> corners = new ArrayList<>(laid.spec().corners());
            RunSpec.Corner at = corners.get(corner);
            corners.set(corner, new RunSpec.Corner(at.at().add(by, way), at.radius()));
            try {
                RunSpec spec =
                        new RunSpec(laid.spec().from(), corners, laid.spec().to());
                by += wanted - left.applyAsDouble(Centreline.of(spec, run.of()).stretches());
            } catch (EnthalpaFault tooFar) {
                break;
            }
        }
        double far = by;
        return changed(run, corner, c -> new Run.Corner(c.at().add(far, way), c.radius()));
    }

    private static Run changed(Run run, int corner, UnaryOperator<Run.Corner> change) {
        List<Run.Corner> corners = new ArrayList<>(run.corners());
        corners.set(corner, change.apply(corners.get(corner)));
        return run.withCorners(corners);
    }
}
