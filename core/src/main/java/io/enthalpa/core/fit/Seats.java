package io.enthalpa.core.fit;

import io.enthalpa.core.fit.FitFinding.Kind;
import io.enthalpa.core.quantity.Figure;
import io.enthalpa.core.quantity.Quantity;
import io.enthalpa.core.route.Brace;
import io.enthalpa.core.route.Centreline;
import io.enthalpa.core.route.Centreline.Bend;
import io.enthalpa.core.route.Centreline.Stretch;
import io.enthalpa.core.route.Run;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Where along a pipe what wants straight tube can sit.
 *
 * @param straights in the order of the flow
 * @param start     m, from which a joint leaves it free
 * @param end       m, up to which
 * @param length    m of the pipe
 */
record Seats(List<Reach> straights, double start, double end, double length) {
    /** m that a place on a pipe is told to. */
    static final double TRUE = 0.5e-3;
    /** m along the pipe that a brace's band takes to either side; common practice, no source. */
    private static final double BAND = 10e-3;

    /** m along the pipe. */
    record Reach(double from, double to) {
        static Reach about(double middle, double across) {
            return new Reach(middle - across / 2, middle + across / 2);
        }

        static Reach of(Brace b) {
            return about(b.along(), 2 * BAND);
        }

        double middle() {
            return (from + to) / 2;
        }

        double across() {
            return to - from;
        }

        boolean meets(Reach other) {
            return from < other.to - TRUE && other.from < to - TRUE;
        }
    }

    /** What is wrong with where it sits, and how much it is and should be, m. */
    record Wrong(Kind kind, String to, double is, double wanted) {
        /** @param at m, its middle @param other m, that of what sits there */
        static Wrong meets(String what, double at, double other) {
            return new Wrong(Kind.FITTING_MEETS, what, at, other);
        }

        FitFinding of(String name) {
            return new FitFinding(
                    kind,
                    name,
                    to,
                    List.of(new Figure("is", is, Quantity.LENGTH), new Figure("wanted", wanted, Quantity.LENGTH)));
        }
    }

    /** @param before whether it begins on a joint @param behind whether it ends on one */
    static Seats of(Centreline line, boolean before, boolean behind) {
        List<Reach> straights = new ArrayList<>();
        double along = 0;
        for (Stretch s : line.stretches()) {
            if (!(s instanceof Bend)) {
                straights.add(new Reach(along, along + s.length()));
            }
            along += s.length();
        }
        return new Seats(straights, before ? Pipework.STUB : 0, along - (behind ? Pipework.STUB : 0), along);
    }

    /** @return the brace that holds the pipe there */
    static Optional<Wrong> brace(Run run, Reach own) {
        return run.braces().stream()
                .filter(b -> Reach.of(b).meets(own))
                .map(b -> Wrong.meets("brace", own.middle(), b.along()))
                .findFirst();
    }

    static Seats of(Laid laid) {
        return of(laid.line(), laid.before().isPresent(), laid.behind().isPresent());
    }

    /** @return empty where it sits on straight tube that no joint wants */
    Optional<Wrong> wrong(Reach own) {
        if (own.middle() > length) {
            return Optional.of(new Wrong(Kind.FITTING_OFF, "", own.middle() - length, length));
        }
        if (own.from < start - TRUE) {
            return Optional.of(new Wrong(Kind.FITTING_IN_JOINT, "begins", Math.max(0, own.from), start));
        }
        if (own.to > end + TRUE) {
            return Optional.of(new Wrong(Kind.FITTING_IN_JOINT, "ends", Math.max(0, length - own.to), length - end));
        }
        return straights.stream().noneMatch(s -> own.from > s.from - TRUE && own.to < s.to + TRUE)
                ? Optional.of(new Wrong(Kind.FITTING_IN_BEND, "", own.across(), own.across()))
                : Optional.empty();
    }

    /** What is left of the straights for something of that breadth, as reaches of its middle. */
    private List<Reach> free(double across, List<Reach> taken) {
        List<Reach> left = straights.stream()
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

    /** @return m along it, the place nearest to its own where it can sit; empty where there is none */
    Optional<Double> nearest(Reach own, List<Reach> taken) {
        double middle = own.middle();
        return free(own.across(), taken).stream()
                .map(s -> Math.max(s.from, Math.min(s.to, middle)))
                .min(Comparator.comparingDouble(at -> Math.abs(at - middle)));
    }

    /** @return m along it: the middle of the longest straight that nothing sits on; empty where there is none */
    OptionalDouble best(List<Reach> taken) {
        return free(0, taken).stream()
                .max(Comparator.comparingDouble(Reach::across))
                .map(s -> OptionalDouble.of(s.middle()))
                .orElse(OptionalDouble.empty());
    }
}
