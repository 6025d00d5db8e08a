package io.enthalpa.core.fit;

import io.enthalpa.core.fit.FitFinding.Kind;
import io.enthalpa.core.quantity.Figure;
import io.enthalpa.core.quantity.Quantity;
import io.enthalpa.core.route.Brace;
import io.enthalpa.core.route.Centreline.Bend;
import io.enthalpa.core.route.Centreline.Stretch;
import io.enthalpa.core.route.Fitting;
import io.enthalpa.core.route.Run;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import io.enthalpa.core.space.Frustum;
import io.enthalpa.core.space.Solid;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/** Sensors, nipples, valves and nozzles in the wall of a laid pipe: what room they take, and where they cannot sit. */
public final class Fittings {
    public static final Method METHOD = Method.of(
                    "fittings",
                    "Fittings in the wall of a pipe",
                    "A fitting is a round body that stands out of the tube and goes where the pipe goes. It keeps the gaps of its pipe; a relief valve 25 mm from what is "
                            + "of the car and 13 from the build's own. It wants straight tube under all of it, 50 mm left at a joined end for hose and clamp, a hole no "
                            + "wider than 0.7 of the bore, and nothing else within its round. What mends it is the nearest place along the same pipe where it can sit.")
            .source(Citation.commonPractice(
                    "13 mm from valve to cooler, 25 mm from valve to bodywork; bosses sit on straight tube"))
            .leavesOut("What it takes out of the flow; the way of cable and hose from it; the room to screw it out.");
    /** m from a relief valve to what is of the car, and to what is of the build; common practice, no source. */
    static final double VALVE_TO_ROOM = 25e-3;

    static final double VALVE_TO_BUILD = 13e-3;
    private static final String VALVE = Fitting.Kind.RELIEF.words();
    /** Of the bore; a wider saddle leaves too little of the wall; common practice, no source. */
    private static final double WIDEST = 0.7;
    /** m along the pipe that a brace's band takes to either side; common practice, no source. */
    private static final double BAND = 10e-3;
    /** m that a place on a pipe is told to. */
    private static final double TRUE = 0.5e-3;

    private Fittings() {}

    /** m along the pipe. */
    private record Reach(double from, double to) {
        boolean meets(Reach other) {
            return from < other.to - TRUE && other.from < to - TRUE;
        }
    }

    /** @return each as part of its pipe */
    static List<Solid.Part> parts(Laid laid) {
        return laid.fittings().stream()
                .filter(f -> f.along() <= laid.line().length())
                .map(f -> {
                    Vector3D middle = laid.line().at(f.along());
                    Vector3D out = laid.line().side(f.along(), f.clock());
                    double wall = laid.outside() / 2;
                    return new Solid.Part(
                            f.kind().words(),
                            Frustum.cylinder(middle, middle.add(wall + f.out(), out), f.across() / 2));
                })
                .toList();
    }

    /** @return a pipe without its relief valves, then each of them: they want gaps of their own */
    static List<Body> apart(Body body) {
        if (body.solid().elements().stream().noneMatch(VALVE::equals) || isValve(body)) {
            return List.of(body);
        }
        List<Body> all = new ArrayList<>();
        List<Solid.Part> parts = body.solid().parts();
        all.add(body.of(parts.stream().filter(p -> !p.element().equals(VALVE)).toList()));
        parts.stream().filter(p -> p.element().equals(VALVE)).forEach(p -> all.add(body.of(List.of(p))));
        return all;
    }

    static boolean isValve(Body body) {
        return body.solid().elements().stream().allMatch(VALVE::equals);
    }

    /** @return what cannot sit where it is, with the nearest place where it can */
    static List<Buildable.Fault> faults(Laid laid, Run run) {
        List<Buildable.Fault> faults = new ArrayList<>();
        for (int i = 0; i < run.fittings().size(); i++) {
            wrong(laid, run, i).ifPresent(faults::add);
        }
        return faults;
    }

    private static Optional<Buildable.Fault> wrong(Laid laid, Run run, int number) {
        Fitting f = run.fittings().get(number);
        double length = laid.line().length();
        double bore = laid.pipe().bore();
        Reach own = reach(f);
        if (f.along() > length) {
            return fault(Kind.FITTING_OFF, laid, run, number, "", f.along() - length, length);
        }
        if (f.hole() > WIDEST * bore) {
            return Optional.of(new Buildable.Fault(
                    finding(Kind.FITTING_HOLE, laid, f, "", f.hole(), WIDEST * bore), Optional.empty()));
        }
        double start = laid.before().isPresent() ? Pipework.STUB : 0;
        double end = length - (laid.behind().isPresent() ? Pipework.STUB : 0);
        if (own.from < start - TRUE) {
            return fault(Kind.FITTING_IN_JOINT, laid, run, number, "begins", Math.max(0, own.from), start);
        }
        if (own.to > end + TRUE) {
            return fault(Kind.FITTING_IN_JOINT, laid, run, number, "ends", Math.max(0, length - own.to), length - end);
        }
        if (straights(laid).stream().noneMatch(s -> own.from > s.from - TRUE && own.to < s.to + TRUE)) {
            return fault(Kind.FITTING_IN_BEND, laid, run, number, "", f.across(), f.across());
        }
        for (int i = 0; i < number; i++) {
            Fitting other = run.fittings().get(i);
            if (reach(other).meets(own) && touch(laid, f, other)) {
                return fault(Kind.FITTING_MEETS, laid, run, number, other.kind().words(), f.along(), other.along());
            }
        }
        for (Brace brace : run.braces()) {
            if (reach(brace).meets(own)) {
                return fault(Kind.FITTING_MEETS, laid, run, number, "brace", f.along(), brace.along());
            }
        }
        return Optional.empty();
    }

    /** On the same side of the tube: their rounds meet at its wall. */
    private static boolean touch(Laid laid, Fitting a, Fitting b) {
        Vector3D one = on(laid, a);
        return one.distance(on(laid, b)) < (a.across() + b.across()) / 2 - TRUE;
    }

    private static Vector3D on(Laid laid, Fitting f) {
        return laid.line().at(f.along()).add(laid.outside() / 2, laid.line().side(f.along(), f.clock()));
    }

    private static Reach reach(Fitting f) {
        return new Reach(f.along() - f.across() / 2, f.along() + f.across() / 2);
    }

    private static Reach reach(Brace b) {
        return new Reach(b.along() - BAND, b.along() + BAND);
    }

    private static List<Reach> straights(Laid laid) {
        List<Reach> all = new ArrayList<>();
        double along = 0;
        for (Stretch s : laid.line().stretches()) {
            if (!(s instanceof Bend)) {
                all.add(new Reach(along, along + s.length()));
            }
            along += s.length();
        }
        return all;
    }

    /** What is left of the straights for something of that breadth, as reaches of its middle. */
    private static List<Reach> free(Laid laid, double across, List<Reach> taken) {
        double start = laid.before().isPresent() ? Pipework.STUB : 0;
        double end = laid.line().length() - (laid.behind().isPresent() ? Pipework.STUB : 0);
        List<Reach> left = straights(laid).stream()
                .map(s -> new Reach(Math.max(s.from, start), Math.min(s.to, end)))
                .toList();
        for (Reach t : taken) {
            left = left.stream()
                    .flatMap(s -> t.meets(s)
                            ? List.of(new Reach(s.from, t.from), new Reach(t.to, s.to)).stream()
                            : List.of(s).stream())
                    .toList();
        }
        return left.stream()
                .map(s -> new Reach(s.from + across / 2, s.to - across / 2))
                .filter(s -> s.to > s.from - TRUE)
                .toList();
    }

    /** @return m along it: the middle of the longest straight that nothing sits on; empty where there is none */
    public static OptionalDouble best(Laid laid, Run run) {
        return free(laid, 0, taken(run, -1)).stream()
                .max(Comparator.comparingDouble(s -> s.to - s.from))
                .map(s -> OptionalDouble.of((s.from + s.to) / 2))
                .orElse(OptionalDouble.empty());
    }

    private static List<Reach> taken(Run run, int but) {
        List<Reach> all = new ArrayList<>();
        for (int i = 0; i < run.fittings().size(); i++) {
            if (i != but) {
                all.add(reach(run.fittings().get(i)));
            }
        }
        run.braces().forEach(b -> all.add(reach(b)));
        return all;
    }

    /** The nearest place where it can sit. */
    private static Optional<Run> mended(Laid laid, Run run, int number) {
        Fitting f = run.fittings().get(number);
        return free(laid, f.across(), taken(run, number)).stream()
                .map(s -> Math.max(s.from, Math.min(s.to, f.along())))
                .min(Comparator.comparingDouble(at -> Math.abs(at - f.along())))
                .map(at -> {
                    List<Fitting> all = new ArrayList<>(run.fittings());
                    all.set(number, f.at(at));
                    return run.withFittings(all);
                });
    }

    private static Optional<Buildable.Fault> fault(
            Kind kind, Laid laid, Run run, int number, String to, double is, double wanted) {
        return Optional.of(new Buildable.Fault(
                finding(kind, laid, run.fittings().get(number), to, is, wanted), mended(laid, run, number)));
    }

    private static FitFinding finding(Kind kind, Laid laid, Fitting f, String to, double is, double wanted) {
        return new FitFinding(
                kind,
                FitFinding.named(f.kind().words(), laid.pipe().name()),
                to,
                List.of(new Figure("is", is, Quantity.LENGTH), new Figure("wanted", wanted, Quantity.LENGTH)));
    }
}
