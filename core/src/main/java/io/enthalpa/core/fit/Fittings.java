package io.enthalpa.core.fit;

import io.enthalpa.core.fit.FitFinding.Kind;
import io.enthalpa.core.fit.Seats.Reach;
import io.enthalpa.core.route.Fitting;
import io.enthalpa.core.route.Run;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import io.enthalpa.core.space.Frustum;
import io.enthalpa.core.space.Solid;
import java.util.ArrayList;
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

    private Fittings() {}

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
        String name = FitFinding.named(f.kind().words(), laid.pipe().name());
        Reach own = reach(f);
        double most = WIDEST * laid.pipe().bore();
        if (f.along() <= laid.line().length() && f.hole() > most) {
            return Optional.of(new Buildable.Fault(
                    new Seats.Wrong(Kind.FITTING_HOLE, "", f.hole(), most).of(name), Optional.empty()));
        }
        return Seats.of(laid)
                .wrong(own)
                .or(() -> meets(laid, run, number))
                .map(w -> new Buildable.Fault(w.of(name), mended(laid, run, number)));
    }

    /** What sits where it does. */
    private static Optional<Seats.Wrong> meets(Laid laid, Run run, int number) {
        Fitting f = run.fittings().get(number);
        Reach own = reach(f);
        Optional<Seats.Wrong> other = run.fittings().stream()
                .limit(number)
                .filter(o -> reach(o).meets(own) && touch(laid, f, o))
                .map(o -> Seats.Wrong.meets(o.kind().words(), f.along(), o.along()))
                .findFirst();
        return other.or(() -> laid.ovals().stream()
                        .filter(o -> Ovals.reach(o, laid.pipe()).meets(own))
                        .map(o -> Seats.Wrong.meets(Ovals.WORD, f.along(), o.along()))
                        .findFirst())
                .or(() -> Seats.brace(run, own));
    }

    /** On the same side of the tube: their rounds meet at its wall. */
    private static boolean touch(Laid laid, Fitting a, Fitting b) {
        Vector3D one = on(laid, a);
        return one.distance(on(laid, b)) < (a.across() + b.across()) / 2 - Seats.TRUE;
    }

    private static Vector3D on(Laid laid, Fitting f) {
        return laid.line().at(f.along()).add(laid.outside() / 2, laid.line().side(f.along(), f.clock()));
    }

    static Reach reach(Fitting f) {
        return Reach.about(f.along(), f.across());
    }

    /** @return m along it: the middle of the longest straight that nothing sits on; empty where there is none */
    public static OptionalDouble best(Laid laid, Run run) {
        return Seats.of(laid).best(taken(laid, run, -1));
    }

    private static List<Reach> taken(Laid laid, Run run, int but) {
        List<Reach> all = new ArrayList<>();
        for (int i = 0; i < run.fittings().size(); i++) {
            if (i != but) {
                all.add(reach(run.fittings().get(i)));
            }
        }
        run.braces().forEach(b -> all.add(Reach.of(b)));
        laid.ovals().forEach(o -> all.add(Ovals.reach(o, laid.pipe())));
        return all;
    }

    /** The nearest place where it can sit. */
    private static Optional<Run> mended(Laid laid, Run run, int number) {
        Fitting f = run.fittings().get(number);
        return Seats.of(laid).nearest(reach(f), taken(laid, run, number)).map(at -> {
            List<Fitting> all = new ArrayList<>(run.fittings());
            all.set(number, f.at(at));
            return run.withFittings(all);
        });
    }
}
