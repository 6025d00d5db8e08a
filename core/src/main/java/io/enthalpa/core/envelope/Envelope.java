package io.enthalpa.core.envelope;

import io.enthalpa.core.exchanger.CoreSpec;
import io.enthalpa.core.space.Gap;
import io.enthalpa.core.space.Gaps;
import io.enthalpa.core.space.Hull;
import io.enthalpa.core.space.Pose;
import io.enthalpa.core.space.Solid;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.PriorityQueue;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/** Searches the largest core round a place that misses all its neighbours by the gaps asked. */
final class Envelope {
    /** m: the farthest that a face is looked for from the place. */
    private static final double REACH = 0.8;
    /** m: a face is moved in by this at least. */
    private static final double LEAST_CUT = 0.5e-3;
    /** m: what a face may still grow by and is not asked about. */
    private static final double FINE = 0.1e-3;
    /** A share of volume that is as good as the largest. */
    private static final double AS_GOOD = 1.005;

    /** m: what is nearer than asked by less is put right when the box is filled out. */
    private static final double SLACK = 0.3e-3;

    private static final int MOST_BOXES = 3000;
    private static final int MOST_TURNS = 12;
    /** m: farther than any room. */
    private static final double FAR = 100;

    private final List<Neighbour> neighbours;

    Envelope(List<Neighbour> neighbours) {
        this.neighbours = neighbours;
    }

    /**
     * @param box     the largest found
     * @param certain false where a larger one may have been missed, for the search's budget was used up
     */
    record Found(Box box, boolean certain) {}

    /** @param deepest m, of the block @return empty when nothing passes there */
    Optional<Found> search(Pose frame, CoreSpec template, double deepest) {
        Box all = new Box(new double[] {-REACH, REACH, -REACH, REACH, -REACH, REACH}, frame, template, deepest);
        PriorityQueue<Box> open = new PriorityQueue<>((a, b) -> Double.compare(b.volume(), a.volume()));
        open.add(all);
        Box best = dive(all).orElse(null);
        int looked = 0;
        while (!open.isEmpty() && looked < MOST_BOXES) {
            Box box = open.remove();
            if (best != null && box.volume() <= best.volume() * AS_GOOD) {
                open.clear();
                break;
            }
            looked++;
            Optional<Struck> struck = struck(box);
            if (struck.isEmpty()) {
                best = box;
                open.clear();
                break;
            }
            open.addAll(cuts(box, struck.get()));
        }
        boolean certain = open.isEmpty();
        return best == null ? Optional.empty() : filled(best).map(box -> new Found(box, certain));
    }

    /** Always on with the largest: a core to measure the others by. */
    private Optional<Box> dive(Box from) {
        Box box = from;
        for (int i = 0; i < MOST_BOXES; i++) {
            Optional<Struck> struck = struck(box);
            if (struck.isEmpty()) {
                return Optional.of(box);
            }
            List<Box> cuts = cuts(box, struck.get());
            if (cuts.isEmpty()) {
                return Optional.empty();
            }
            box = cuts.stream()
                    .max((a, b) -> Double.compare(a.volume(), b.volume()))
                    .orElseThrow();
        }
        return Optional.empty();
    }

    /**
     * A point that must be missed.
     *
     * @param gap m, by which
     * @param off m, from the place that was pointed at
     */
    private record Struck(Vector3D point, double gap, double off) {}

    private Optional<Struck> struck(Box box) {
        Solid core = box.core();
        Struck first = null;
        for (Neighbour n : neighbours) {
            double enough = n.enough(core.bounds().orElseThrow());
            Optional<Gap> near = n.nearer(core, enough - SLACK);
            if (near.isPresent()) {
                Struck met = met(box, n, enough, near.get());
                if (first == null || met.off < first.off) {
                    first = met;
                }
            }
        }
        return Optional.ofNullable(first);
    }

    /** A point of what is too near, as near to the place as can be: then few faces can miss it, and the box is soon small enough. */
    private static Struck met(Box box, Neighbour n, double enough, Gap near) {
        Vector3D from = box.frame().at();
        for (int i = 0; i < MOST_TURNS; i++) {
            Vector3D there = Gaps.between(Solid.of("point", Hull.ball(from, 0)), n.solid(), FAR)
                    .orElseThrow()
                    .apart()
                    .onB();
            from = box.nearest(there);
            if (from.distance(there) < enough - FINE) {
                return new Struck(there, enough, there.distance(box.frame().at()));
            }
        }
        return new Struck(
                near.apart().onB(),
                enough,
                near.apart().onB().distance(box.frame().at()));
    }

    /** Each face moved in until the core misses the point; the place itself stays in it. */
    private static List<Box> cuts(Box box, Struck struck) {
        List<Box> all = new ArrayList<>();
        for (int side = 0; side < Box.SIDES; side++) {
            int out = Box.outwards(side);
            Box other = box.with(side, out * Math.max(0, out * box.faces()[side] - LEAST_CUT));
            if (!other.misses(struck.point, struck.gap)) {
                other = box.with(side, 0);
                if (other.misses(struck.point, struck.gap)) {
                    other = leastCut(box, side, struck);
                }
            }
            if (other.volume() > 0) {
                all.add(other);
            }
        }
        all.removeIf(other -> !other.misses(struck.point, struck.gap));
        return all;
    }

    private static Box leastCut(Box box, int side, Struck struck) {
        double clear = 0;
        double meets = box.faces()[side];
        while (Math.abs(clear - meets) > FINE) {
            double middle = (clear + meets) / 2;
            if (box.with(side, middle).misses(struck.point, struck.gap)) {
                clear = middle;
            } else {
                meets = middle;
            }
        }
        return box.with(side, clear);
    }

    /** Each face out as far as the gaps themselves let it, round and round until nothing grows. */
    private Optional<Box> filled(Box from) {
        Box box = from;
        for (int i = 0; !misses(box); i++) {
            if (box.volume() == 0 || i == MOST_TURNS) {
                return Optional.empty();
            }
            box = drawnIn(box);
        }
        boolean grew = true;
        for (int round = 0; grew && round < 4; round++) {
            grew = false;
            for (int side = 0; side < Box.SIDES; side++) {
                Box more = grown(box, side);
                grew |= more.volume() > box.volume() * (1 + 1e-6);
                box = more;
            }
        }
        return Optional.of(box);
    }

    private static Box drawnIn(Box box) {
        Box other = box;
        for (int side = 0; side < Box.SIDES; side++) {
            other = other.with(side, box.faces()[side] - Box.outwards(side) * SLACK);
        }
        return other;
    }

    private Box grown(Box box, int side) {
        double in = box.faces()[side];
        double out = in + Box.outwards(side) * 20e-3;
        if (Math.abs(out) > REACH || side < 2 && box.faces()[1] - box.faces()[0] >= box.deepest()) {
            return box;
        }
        while (Math.abs(out - in) > FINE) {
            double middle = (in + out) / 2;
            if (misses(box.with(side, middle))) {
                in = middle;
            } else {
                out = middle;
            }
        }
        return box.with(side, in);
    }

    private boolean misses(Box box) {
        if (box.volume() == 0) {
            return false;
        }
        Solid core = box.core();
        return neighbours.stream().allMatch(n -> n.isMissedBy(core));
    }

    /** @return what stops each face, in their order; empty where nothing does but the depth asked or the reach of the search */
    List<Optional<Neighbour>> stops(Box box) {
        List<Optional<Neighbour>> all = new ArrayList<>();
        for (int side = 0; side < Box.SIDES; side++) {
            Solid core = box.with(side, box.faces()[side] + Box.outwards(side) * 2e-3)
                    .core();
            boolean full = side < 2 && box.faces()[1] - box.faces()[0] >= box.deepest();
            all.add(
                    full
                            ? Optional.empty()
                            : neighbours.stream()
                                    .filter(n -> !n.isMissedBy(core))
                                    .max((a, b) -> Double.compare(a.missing(core), b.missing(core))));
        }
        return all;
    }
}
