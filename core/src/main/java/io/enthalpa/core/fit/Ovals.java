package io.enthalpa.core.fit;

import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.fit.FitFinding.Kind;
import io.enthalpa.core.fit.Seats.Reach;
import io.enthalpa.core.loss.OvalSection;
import io.enthalpa.core.route.Centreline;
import io.enthalpa.core.route.Oval;
import io.enthalpa.core.route.Run;
import io.enthalpa.core.router.Ribbon;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import io.enthalpa.core.space.Convex;
import io.enthalpa.core.space.Discs;
import io.enthalpa.core.space.Discs.Disc;
import io.enthalpa.core.space.Frustum;
import io.enthalpa.core.space.Solid;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/** Where a laid tube is made flat: what room that takes, and where it cannot be. */
public final class Ovals {
    public static final Method METHOD = Method.of(
                    "oval-room",
                    "Where a tube is made flat",
                    "A stretch of a straight is made flat to pass a tight place: two flats with half a round at either side. At both ends the flats lean out to the round by 15 degrees. It keeps "
                            + "its gaps by what it is there: less across the flats, more along them. It wants straight tube under all of it and no joint, no brace and no fitting; it is no flatter than "
                            + "half the tube.")
            .formula("taper = (D - h) / 2 / tan 15")
            .source(Citation.commonPractice(
                    "a tube is pressed flat between boards, or an oval of the same area is welded in"))
            .leavesOut(
                    "How far the flats belly out under pressure: a bar across or a bead in each flat is asked of whoever makes it.");
    /** As a reader calls it. */
    static final String WORD = "oval";
    /** rad that the flats lean where they come to the round; common practice, no source. */
    private static final double LEANS = Math.toRadians(15);
    /** m that is flat all along at least. */
    private static final double SHORTEST = 5e-3;
    /** Of the tube, the flattest that is made; common practice, no source. */
    public static final double FLATTEST = 0.5;

    /** Of the tube: flat enough to help, round enough for any press; common practice, no source. */
    private static final double USUAL = 0.75;

    private Ovals() {}

    /** @return m, height of one that nothing is said of, to a millimetre */
    public static double usual(PathElement.Pipe pipe) {
        return Math.rint(USUAL * pipe.outside() * 1e3) / 1e3;
    }

    /** @return m that lead over to the round at either end */
    static double taper(Oval o, PathElement.Pipe pipe) {
        return taper(o.height(), pipe);
    }

    static double taper(double height, PathElement.Pipe pipe) {
        return Math.max(0, pipe.outside() - height) / 2 / Math.tan(LEANS);
    }

    /** @return m along the pipe, what leads over to the round included */
    public static double length(Oval o, PathElement.Pipe pipe) {
        return o.length() + 2 * taper(o, pipe);
    }

    static Reach reach(Oval o, PathElement.Pipe pipe) {
        return Reach.about(o.along(), length(o, pipe));
    }

    /** @return as the air sees it */
    public static OvalSection section(Oval o, PathElement.Pipe pipe) {
        double inside = o.height() - 2 * pipe.wall().thickness();
        double taper = taper(o, pipe);
        return o.pressed()
                ? OvalSection.pressed(pipe.bore(), inside, o.length(), taper)
                : OvalSection.ofEqualArea(pipe.bore(), inside, o.length(), taper);
    }

    /** @return m outside, along its flats */
    public static double width(Oval o, PathElement.Pipe pipe) {
        return section(o, pipe).flat() + o.height();
    }

    /**
     * @param from m along the pipe, of what must be flat @param to m along it
     * @return with the area of the tube, its flats looking up; as much shorter as its straight leaves; empty where it leaves none
     */
    public static Optional<Oval> over(Laid laid, double from, double to, double height) {
        double taper = taper(height, laid.pipe());
        Seats seats = Seats.of(laid);
        return seats.straights().stream()
                .filter(s -> s.from() <= (from + to) / 2 && (from + to) / 2 <= s.to())
                .map(s -> new Reach(
                        Math.max(from, Math.max(s.from(), seats.start()) + taper),
                        Math.min(to, Math.min(s.to(), seats.end()) - taper)))
                .filter(s -> s.across() > SHORTEST)
                .map(s -> new Oval(told(s.middle()), told(s.across()), height, 0, false))
                .findFirst();
    }

    /** To a tenth of a millimetre. */
    private static double told(double m) {
        return Math.rint(m * 1e4) / 1e4;
    }

    /** @return those that can be where they are; the others are told and the tube is round there */
    static List<Oval> seated(Run run, PathElement.Pipe pipe, Seats seats) {
        List<Oval> all = new ArrayList<>();
        if (pipe.spec().material().isTube()) {
            run.ovals().stream()
                    .filter(o -> height(o, pipe).isEmpty()
                            && seats.wrong(reach(o, pipe)).isEmpty()
                            && meets(run, o, pipe, all).isEmpty())
                    .forEach(all::add);
        }
        return all;
    }

    private static Optional<Seats.Wrong> height(Oval o, PathElement.Pipe pipe) {
        double least = FLATTEST * pipe.outside();
        if (o.height() < least - Seats.TRUE) {
            return Optional.of(new Seats.Wrong(Kind.OVAL_FLAT, "", o.height(), least));
        }
        return o.height() > pipe.outside() - Seats.TRUE
                ? Optional.of(new Seats.Wrong(Kind.OVAL_ROUND, "", o.height(), pipe.outside()))
                : Optional.empty();
    }

    /** Another before it, or a brace. */
    private static Optional<Seats.Wrong> meets(Run run, Oval o, PathElement.Pipe pipe, List<Oval> before) {
        Reach own = reach(o, pipe);
        return before.stream()
                .filter(other -> reach(other, pipe).meets(own))
                .map(other -> Seats.Wrong.meets("one before it", o.along(), other.along()))
                .findFirst()
                .or(() -> Seats.brace(run, own));
    }

    /** @return what cannot be where it is, with the least change that mends it */
    static List<Buildable.Fault> faults(Laid laid, Run run) {
        List<Buildable.Fault> faults = new ArrayList<>();
        PathElement.Pipe pipe = laid.pipe();
        String name = FitFinding.named(WORD, pipe.name());
        List<Oval> before = new ArrayList<>();
        for (int i = 0; i < run.ovals().size(); i++) {
            Oval o = run.ovals().get(i);
            int number = i;
            Optional<Seats.Wrong> height = height(o, pipe);
            if (!pipe.spec().material().isTube()) {
                faults.add(new Buildable.Fault(
                        new Seats.Wrong(Kind.OVAL_OF_HOSE, "", 0, 0).of(name), Optional.of(run.withOvals(List.of()))));
                return faults;
            }
            if (height.isPresent()) {
                faults.add(new Buildable.Fault(
                        height.get().of(name),
                        height.filter(w -> w.kind() == Kind.OVAL_FLAT)
                                .map(w -> with(run, number, o.withHeight(w.wanted())))));
            } else {
                Seats.of(laid)
                        .wrong(reach(o, pipe))
                        .or(() -> meets(run, o, pipe, before))
                        .ifPresentOrElse(
                                w -> faults.add(new Buildable.Fault(w.of(name), moved(laid, run, number))),
                                () -> before.add(o));
            }
        }
        return faults;
    }

    /** The nearest place where it can be, or as much of it as its straight has room for. */
    private static Optional<Run> moved(Laid laid, Run run, int number) {
        Oval o = run.ovals().get(number);
        List<Reach> taken = new ArrayList<>();
        run.fittings().forEach(f -> taken.add(Fittings.reach(f)));
        run.braces().forEach(b -> taken.add(Reach.of(b)));
        laid.ovals().stream().filter(other -> !other.equals(o)).forEach(other -> taken.add(reach(other, laid.pipe())));
        return Seats.of(laid)
                .nearest(reach(o, laid.pipe()), taken)
                .map(o::at)
                .or(() -> shorter(laid, o))
                .map(other -> with(run, number, other));
    }

    /** No straight has room for all of it. */
    private static Optional<Oval> shorter(Laid laid, Oval o) {
        return over(laid, o.along() - o.length() / 2, o.along() + o.length() / 2, o.height())
                .map(s -> new Oval(s.along(), s.length(), o.height(), o.clock(), o.pressed()));
    }

    private static Run with(Run run, int number, Oval other) {
        List<Oval> all = new ArrayList<>(run.ovals());
        all.set(number, other);
        return run.withOvals(all);
    }

    /** @param begins m along the pipe @param ends m @return a straight: round, flat and what leads from one to the other, in order */
    static List<Convex> straight(Laid laid, double begins, double ends) {
        List<Convex> parts = new ArrayList<>();
        double radius = laid.outside() / 2;
        double from = begins;
        for (Oval o : laid.ovals().stream()
                .filter(o -> o.along() >= begins && o.along() <= ends)
                .sorted(Comparator.comparingDouble(Oval::along))
                .toList()) {
            Reach own = reach(o, laid.pipe());
            round(laid, from, own.from(), radius, parts);
            flat(laid, o, radius, parts);
            from = own.to();
        }
        round(laid, from, ends, radius, parts);
        return parts;
    }

    private static void round(Laid laid, double from, double to, double radius, List<Convex> parts) {
        if (to > from + Centreline.SAME) {
            parts.add(Frustum.cylinder(laid.line().at(from), laid.line().at(to), radius));
        }
    }

    private static void flat(Laid laid, Oval o, double round, List<Convex> parts) {
        Reach own = reach(o, laid.pipe());
        double wrap = laid.pipe().wall().wrap();
        Vector3D axis = laid.line().heading(o.along());
        Vector3D along = axis.crossProduct(laid.line().side(o.along(), o.clock()))
                .scalarMultiply(section(o, laid.pipe()).flat() / 2);
        List<Disc> first = ends(laid, o.along() - o.length() / 2, along, o.height() / 2 + wrap);
        List<Disc> last = ends(laid, o.along() + o.length() / 2, along, o.height() / 2 + wrap);
        parts.add(hull(axis, first, List.of(new Disc(laid.line().at(own.from()), round))));
        parts.add(hull(axis, first, last));
        parts.add(hull(axis, last, List.of(new Disc(laid.line().at(own.to()), round))));
    }

    /** @return the flat part alone */
    public static Solid alone(Laid laid, Oval o) {
        List<Convex> parts = new ArrayList<>();
        flat(laid, o, laid.outside() / 2, parts);
        return Solid.of(laid.pipe().name(), parts.toArray(Convex[]::new));
    }

    /** @return a slice of the pipe, as it is there */
    static Ribbon.Slice slice(Laid laid, double at, double half) {
        double radius = laid.outside() / 2;
        for (Oval o : laid.ovals()) {
            Reach own = reach(o, laid.pipe());
            if (at > own.from() && at < own.to()) {
                double taper = taper(o, laid.pipe());
                // Of the way from the round to the flat.
                double share = Math.min(1, Math.min(at - own.from(), own.to() - at) / taper);
                double flat = share * section(o, laid.pipe()).flat() / 2;
                double low =
                        radius + share * (o.height() / 2 + laid.pipe().wall().wrap() - radius);
                Vector3D axis = laid.line().heading(at);
                Vector3D along =
                        axis.crossProduct(laid.line().side(at, o.clock())).scalarMultiply(flat);
                return new Ribbon.Slice(
                        hull(axis, ends(laid, at - half, along, low), ends(laid, at + half, along, low)), flat + low);
            }
        }
        return Ribbon.round(laid.line(), laid.outside()).at(at, half);
    }

    private static List<Disc> ends(Laid laid, double at, Vector3D along, double radius) {
        Vector3D middle = laid.line().at(at);
        return List.of(new Disc(middle.add(along), radius), new Disc(middle.subtract(along), radius));
    }

    private static Discs hull(Vector3D axis, List<Disc> one, List<Disc> other) {
        List<Disc> all = new ArrayList<>(one);
        all.addAll(other);
        return new Discs(axis, all);
    }
}
