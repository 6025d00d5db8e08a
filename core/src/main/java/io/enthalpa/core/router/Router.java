package io.enthalpa.core.router;

import io.enthalpa.core.route.Centreline;
import io.enthalpa.core.route.RunSpec;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import io.enthalpa.core.space.Frustum;
import io.enthalpa.core.space.Hull;
import io.enthalpa.core.space.Solid;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import java.util.stream.Stream;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/** Ways for one pipe between two ports. The same question has the same answer every time. */
public final class Router {
    public static final Method METHOD = Method.of(
                    "router",
                    "Finding a way for a pipe",
                    "Corners are tried straight out of the ports, square between them, in the middle of narrow places and all over the room; over these the "
                            + "cheapest way is looked for, bend by bend, and its corners are then shifted for as long as that makes it cheaper. Each straight and each "
                            + "bend keeps its asked gaps, standing and moved, by the same bounds as every gap. For the next way what lies round the middle of the "
                            + "last one is closed. Where there is none, less and less gap is asked until there is one: where that is tightest, and by how "
                            + "much, is told.")
            .formula(
                    "seat of 50 mm at a joint, 20 mm of straight between two bends; a bend costs what is liked least: loss, joints or money")
            .source(Citation.commonPractice("seats, tacks and what a bend costs"))
            .leavesOut(
                    "A way through a place that is narrow to less than a tenth of a millimetre in a bend; ways of more corners than the places that are tried give.");
    /** Places all over the room, more where fewer gave no way: with three times as many a search takes ten seconds and remembers five million legs. */
    private static final int[] PLACES = {120, 500};
    /** Ways whose corners are shifted to find the cheapest. */
    private static final int FINALISTS = 5;
    /** The same of another way than the best. */
    private static final int FEW = 2;
    /** Ways that are told. */
    public static final int MOST_WAYS = 5;
    /** Another way may cost so many times the cheapest. */
    private static final double MOST_COST = 2.5;
    /** Parts of a way at which it is closed to find another. */
    private static final double[] CLOSED = {0.5, 0.33, 0.67};
    /** m: a way that is nowhere farther from another is the same. */
    private static final double SAME = 0.06;
    /** m of gap besides, for a way with room. */
    private static final double[] ROOM = {0.03, 0.012};

    private static final double[] MOST_ROOM = {0.12, 0.09, 0.06, 0.045, 0.03, 0.02, 0.012, 0.006, 0.003};
    /** m to which it is told what is missing. */
    private static final double MISSING = 0.0005;

    /** m: a gap that is a hundredth of a millimetre short is as asked. */
    private static final double ROUNDING = 1e-5;

    private static final int SEED = 17;
    /** Other places, for a way that those of the first give only roughly. */
    private static final int SECOND = 5017;

    private final Tube tube;
    private final Port start;
    private final Port end;
    private final Passage passage;
    private final BooleanSupplier cancelled;

    /** @param cancelled asked again and again; once true what is known by then is the answer */
    public Router(Tube tube, Port start, Port end, List<Keepout> keepouts, BooleanSupplier cancelled) {
        this.tube = tube;
        this.start = start;
        this.end = end;
        this.passage = new Passage(keepouts, 0);
        this.cancelled = cancelled;
    }

    /**
     * A way.
     *
     * @param cost in metres of straight pipe, by the taste that was asked for
     * @param roomy whether it was looked for with more gap than asked
     */
    public record Way(RunSpec spec, double length, int bends, double cost, boolean roomy) {}

    /** Where a way ends before it has begun, or how. */
    public enum Where {
        /** On the port it begins on, for as long as a joint's seat is. */
        START,
        END,
        /** On the way. */
        BETWEEN,
        /** Something stands all across it. */
        ACROSS
    }

    /**
     * Where it is tightest.
     *
     * @param missing m of the gap asked; across, how deep it would stand in that
     * @param keepout name of what is in the way
     * @param at      m
     */
    public record Narrow(Where where, double missing, String keepout, Vector3D at) {}

    /** @param ways what is liked best first @param narrow where there is none what is missing least; empty where there would be none in free air either */
    public record Found(List<Way> ways, Optional<Narrow> narrow) {}

    public Found find(Taste taste) {
        Optional<Narrow> blocked = blocked();
        if (blocked.isPresent()) {
            return new Found(List.of(), blocked);
        }
        List<Way> ways = open(taste, PLACES.length);
        if (!ways.isEmpty()) {
            return new Found(ways, Optional.empty());
        }
        Optional<Draft> through = narrowest(taste);
        if (through.isEmpty()) {
            return new Found(List.of(), across(taste));
        }
        // What is shifted to where least is missing may miss nothing: then it is the way that the places did not give.
        return through.filter(d -> d.isClear(passage))
                .map(d -> new Found(List.of(way(polished(d, taste, passage), taste, false)), Optional.<Narrow>empty()))
                .orElseGet(() -> new Found(List.of(), narrow(through.get(), Where.BETWEEN)));
    }

    /** @return what is liked best first of what is easily found, without asking what is in the way where there is none */
    public List<Way> ways(Taste taste) {
        return blocked().isPresent() ? List.of() : open(taste, 1);
    }

    /** What is found where both ports are free. @param rounds of {@link #PLACES} until there is one */
    private List<Way> open(Taste taste, int rounds) {
        List<Draft> ways = new ArrayList<>();
        for (int i = 0; ways.isEmpty() && i < rounds && !cancelled.getAsBoolean(); i++) {
            Search search = over(PLACES[i], passage, SEED);
            // Where it is hard to find one at all, no better one is looked for.
            Stream<Optional<Draft>> found = i == 0
                    ? Stream.of(search, over(PLACES[i], passage, SECOND)).map(s -> best(s, taste, passage, FINALISTS))
                    : Stream.of(any(PLACES[i], taste, passage));
            found.flatMap(Optional::stream)
                    .min(Comparator.comparingDouble(d -> d.cost(taste)))
                    .ifPresent(ways::add);
            for (Taste other : ways.isEmpty() ? EnumSet.noneOf(Taste.class) : others(taste)) {
                best(search, other, passage, FEW).filter(o -> isOther(o, ways)).ifPresent(ways::add);
            }
        }
        if (ways.isEmpty()) {
            return List.of();
        }
        Optional<Draft> roomy = roomy(taste).filter(d -> isOther(d, ways));
        roomy.ifPresent(ways::add);
        round(ways, taste);
        return ways.stream()
                .sorted(Comparator.comparingDouble(
                        d -> taste == Taste.MOST_ROOM ? -d.tightest(passage).spare() : d.cost(taste)))
                .map(d -> way(d, taste, roomy.filter(r -> r == d).isPresent()))
                .toList();
    }

    /** What costs otherwise; room is looked for by itself. */
    private static EnumSet<Taste> others(Taste taste) {
        EnumSet<Taste> others = EnumSet.complementOf(EnumSet.of(taste, Taste.MOST_ROOM));
        if (taste == Taste.MOST_ROOM) {
            others.remove(Taste.LEAST_LOSS);
        }
        return others;
    }

    private static Way way(Draft draft, Taste taste, boolean roomy) {
        RunSpec spec = draft.spec();
        return new Way(spec, draft.length(), Centreline.of(spec, "").bends().size(), draft.cost(taste), roomy);
    }

    /** @return the first way that is found, without asking for others, nor what is in the way where there is none */
    public Optional<Way> one(Taste taste) {
        return blocked().isPresent()
                ? Optional.empty()
                : any(PLACES[0], taste, passage).map(d -> way(d, taste, false));
    }

    /** Of several that are found which is cheapest with its corners shifted. */
    private Optional<Draft> best(Search search, Taste taste, Passage through, int finalists) {
        return cheapest(search.best(taste, finalists), taste, through);
    }

    private Optional<Draft> cheapest(List<Draft> found, Taste taste, Passage through) {
        return found.stream().map(d -> polished(d, taste, through)).min(Comparator.comparingDouble(d -> d.cost(taste)));
    }

    /** One at least, where there is one. */
    private Optional<Draft> any(int count, Taste taste, Passage through) {
        return cheapest(over(count, through, SEED).any(taste, FINALISTS), taste, through);
    }

    private Draft polished(Draft draft, Taste taste, Passage through) {
        return new Polish(tube, start, end, SEED).cheaper(draft, taste, through);
    }

    private Search over(int count, Passage through, int seed) {
        return new Search(tube, start, end, through, new Places(tube, start, end, through), count, seed);
    }

    private Optional<Draft> roomy(Taste taste) {
        for (double more : taste == Taste.MOST_ROOM ? MOST_ROOM : ROOM) {
            Optional<Draft> found = few(taste, passage.eased(-more));
            if (found.isPresent()) {
                return found;
            }
        }
        return Optional.empty();
    }

    /** With few places: another way is wanted only where it is easily found. */
    private Optional<Draft> few(Taste taste, Passage through) {
        if (cancelled.getAsBoolean()) {
            return Optional.empty();
        }
        return best(over(PLACES[0], through, SEED), taste, through, FEW);
    }

    /** Others: what lies round the middle of all that are known is closed, and open again for what is found then. */
    private void round(List<Draft> ways, Taste taste) {
        double least = ways.stream().mapToDouble(d -> d.cost(taste)).min().orElseThrow();
        int inVain = 0;
        for (int i = 0; inVain < CLOSED.length && ways.size() < MOST_WAYS && !cancelled.getAsBoolean(); i++) {
            Optional<Draft> other = few(taste, closed(ways, CLOSED[i % CLOSED.length]))
                    .map(d -> polished(d, taste, passage))
                    .filter(d -> isOther(d, ways) && d.cost(taste) < MOST_COST * least);
            other.ifPresent(ways::add);
            inVain = other.isPresent() ? 0 : inVain + 1;
        }
    }

    private Passage closed(List<Draft> ways, double part) {
        List<Keepout> all = new ArrayList<>(passage.keepouts());
        for (Draft way : ways) {
            Vector3D at = Centreline.of(way.spec(), "").at(part * way.length());
            Solid ball = Solid.of("", Hull.ball(at, Math.max(SAME, tube.outside())));
            all.add(Keepout.together("", ball, 0));
        }
        return new Passage(all, 0);
    }

    private boolean isOther(Draft draft, List<Draft> ways) {
        Centreline line = Centreline.of(draft.spec(), "");
        return ways.stream().noneMatch(w -> isSame(line, Centreline.of(w.spec(), "")));
    }

    /** Nowhere farther off than {@link #SAME}, or half of that with another number of bends. */
    private static boolean isSame(Centreline a, Centreline b) {
        double far = Math.max(strays(a, b), strays(b, a));
        return far < (a.bends().size() == b.bends().size() ? SAME : SAME / 2);
    }

    private static double strays(Centreline a, Centreline b) {
        double most = 0;
        int count = 40;
        for (int i = 0; i <= count; i++) {
            Vector3D p = a.at(a.length() * i / count);
            double least = Double.POSITIVE_INFINITY;
            for (int k = 0; k <= 2 * count; k++) {
                least = Math.min(least, p.distance(b.at(b.length() * k / (2 * count))));
            }
            most = Math.max(most, least);
        }
        return most;
    }

    /** What is missing lies between none and all of the gap and of the tube. @return where it misses least; empty where even all is not enough */
    private Optional<Draft> narrowest(Taste taste) {
        double none = 0;
        double all = passage.keepouts().stream()
                        .mapToDouble(k -> Math.max(k.still(), k.moved()))
                        .max()
                        .orElse(0)
                + tube.outside();
        Optional<Draft> found = few(taste, passage.eased(all));
        while (found.isPresent() && all - none > MISSING && !cancelled.getAsBoolean()) {
            double half = (none + all) / 2;
            Optional<Draft> less = few(taste, passage.eased(half));
            if (less.isPresent()) {
                found = less;
                all = half;
            } else {
                none = half;
            }
        }
        return found.map(d -> new Polish(tube, start, end, SEED).wider(d, passage));
    }

    /** What a way in free air runs into. */
    private Optional<Narrow> across(Taste taste) {
        Passage free = new Passage(List.of(), 0);
        return any(PLACES[0], taste, free).or(() -> any(PLACES[1], taste, free)).flatMap(d -> narrow(d, Where.ACROSS));
    }

    private Optional<Narrow> narrow(Draft way, Where where) {
        return narrow(way.tightest(passage), where);
    }

    private Optional<Narrow> narrow(Passage.Tight tight, Where where) {
        return tight.keepout() < 0
                ? Optional.empty()
                : Optional.of(new Narrow(
                        where,
                        -tight.spare(),
                        passage.keepouts().get(tight.keepout()).name(),
                        tight.at()));
    }

    private Optional<Narrow> blocked() {
        return blocked(start, Where.START).or(() -> blocked(end, Where.END));
    }

    /** A joint could not even be put on the port. */
    private Optional<Narrow> blocked(Port port, Where where) {
        return port.out().flatMap(out -> {
            Vector3D clear = port.at().add(tube.seat() + tube.lead(), out);
            Solid seat = Solid.of("", Frustum.cylinder(port.at(), clear, tube.round() / 2));
            return narrow(passage.tightest(seat), where).filter(n -> n.missing() > ROUNDING);
        });
    }
}
