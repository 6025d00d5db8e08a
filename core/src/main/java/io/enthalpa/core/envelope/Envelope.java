package io.enthalpa.core.envelope;

import io.enthalpa.core.exchanger.CoreSize;
import io.enthalpa.core.exchanger.CoreSpec;
import io.enthalpa.core.space.Bounds;
import io.enthalpa.core.space.Gap;
import io.enthalpa.core.space.Gaps;
import io.enthalpa.core.space.Hull;
import io.enthalpa.core.space.Pose;
import io.enthalpa.core.space.Solid;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.PriorityQueue;
import java.util.stream.Stream;
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

    private static final int MOST_ROUNDS = 30;
    private static final int MOST_TURNS = 12;
    /** m: farther than any room. */
    private static final double FAR = 100;

    private final List<Neighbour> neighbours;
    private final Bounds limits;

    /** @param limits m: the room as far as it was measured; nothing is looked for beyond */
    Envelope(List<Neighbour> neighbours, Bounds limits) {
        this.neighbours = neighbours;
        this.limits = limits;
    }

    /**
     * @param box     the largest found
     * @param certain false where a larger one may have been missed: the search's budget was used up, or a box could not be filled
     */
    record Found(Box box, boolean certain) {}

    /**
     * @param wanted  how deep the block may be, and what air it wants behind
     * @param least   m3: nothing smaller is of interest
     * @param budget  boxes that are looked at
     * @return empty when nothing passes there
     */
    Optional<Found> search(Pose frame, CoreSpec template, LargestCore.Wanted wanted, double least, int budget) {
        Box all = new Box(faces(frame), frame, template, wanted.deepest(), wanted.behind());
        Optional<Box> best = seed(all).flatMap(this::filled).filter(box -> box.volume() > least);
        PriorityQueue<Box> open = new PriorityQueue<>((a, b) -> Double.compare(b.volume(), a.volume()));
        open.add(all);
        int looked = 0;
        boolean lost = false;
        while (!open.isEmpty() && looked < budget) {
            Box box = open.remove();
            if (box.volume() <= best.map(Box::volume).orElse(least) * AS_GOOD) {
                open.clear();
                break;
            }
            looked++;
            Optional<Struck> struck = struck(box);
            if (struck.isEmpty()) {
                Optional<Box> filled = filled(box);
                // What nothing was seen to strike, and still does not pass, may hide a larger core.
                lost |= filled.isEmpty();
                if (filled.isPresent()
                        && filled.get().volume() > best.map(Box::volume).orElse(least)) {
                    best = filled;
                }
            } else {
                open.addAll(cuts(box, struck.get()));
            }
        }
        boolean certain = open.isEmpty() && !lost;
        return best.map(box -> new Found(box, certain));
    }

    /** As far as the room was measured, and no farther than the reach. */
    private double[] faces(Pose frame) {
        double[] faces = new double[Box.SIDES];
        for (int side = 0; side < Box.SIDES; side++) {
            Vector3D out = frame.turn().applyTo(Box.axis(side).scalarMultiply(Box.outwards(side)));
            double far = Math.max(0, limits.reach(out) - out.dotProduct(frame.at()));
            faces[side] = Box.outwards(side) * Math.min(REACH, far);
        }
        return faces;
    }

    /** The core in hand as it stands, and where that does not pass the smallest that carries its ports; empty where neither does. */
    private Optional<Box> seed(Box all) {
        CoreSize least = all.template().tanks().least();
        CoreSize smallest = new CoreSize(
                Box.THINNEST, Math.max(Box.THINNEST, least.height()), Math.max(Box.THINNEST, least.depth()));
        return Stream.of(all.template().size(), smallest)
                .map(s -> all.round(s))
                .filter(box -> box.volume() > 0 && misses(box))
                .findFirst();
    }

    /**
     * What must be missed.
     *
     * @param by    what is missed by as much as that, m
     * @param point of it, that block and tanks must miss; empty where only ports come too near
     * @param off   m, from the place that was pointed at
     */
    private record Struck(Neighbour by, double gap, Optional<Vector3D> point, double off) {
        boolean isMissedBy(Box box) {
            return point.map(p -> box.misses(p, gap, by)).orElseGet(() -> box.portsMiss(by.solid(), gap - SLACK));
        }
    }

    private Optional<Struck> struck(Box box) {
        Solid core = box.core();
        Solid air = box.behind() > 0 ? box.air() : core;
        Struck first = null;
        for (Neighbour n : neighbours) {
            Solid own = n.isOfAir() ? air : core;
            double enough = n.enough(own.bounds().orElseThrow());
            Optional<Gap> near = n.nearer(own, enough - SLACK);
            if (near.isPresent()) {
                Struck met = met(box, n, enough, near.get());
                if (first == null
                        || met.point.isPresent() && first.point.isEmpty()
                        || met.off < first.off && met.point.isPresent() == first.point.isPresent()) {
                    first = met;
                }
            }
        }
        return Optional.ofNullable(first);
    }

    /** A point of what is too near, as near to the place as can be: then few faces can miss it, and the box is soon small enough. */
    private static Struck met(Box box, Neighbour n, double enough, Gap near) {
        Vector3D from = box.from(n);
        for (int i = 0; i < MOST_TURNS; i++) {
            Vector3D there = Gaps.between(Solid.of("point", Hull.ball(from, 0)), n.solid(), FAR)
                    .orElseThrow()
                    .apart()
                    .onB();
            from = box.nearest(there, n);
            if (from.distance(there) < enough - FINE) {
                return new Struck(
                        n,
                        enough,
                        Optional.of(there),
                        there.distance(box.frame().at()));
            }
        }
        Vector3D there = near.apart().onB();
        Vector3D on = box.nearest(there, n);
        return new Struck(
                n,
                enough,
                on.distance(there) < enough - FINE ? Optional.of(there) : Optional.empty(),
                there.distance(box.frame().at()));
    }

    /** Each face moved in until the core misses it; the place itself stays in it. */
    private static List<Box> cuts(Box box, Struck struck) {
        List<Box> all = new ArrayList<>();
        for (int side = 0; side < Box.SIDES; side++) {
            int out = Box.outwards(side);
            Box other = box.with(side, out * Math.max(0, out * box.faces()[side] - LEAST_CUT));
            if (!struck.isMissedBy(other)) {
                other = leastCut(box, side, struck);
            }
            if (other.volume() > 0 && struck.isMissedBy(other)) {
                all.add(other);
            }
        }
        return all;
    }

    private static Box leastCut(Box box, int side, Struck struck) {
        double clear = 0;
        double meets = box.faces()[side];
        if (!struck.isMissedBy(box.with(side, clear))) {
            return box.with(side, clear);
        }
        while (Math.abs(clear - meets) > FINE) {
            double middle = (clear + meets) / 2;
            if (struck.isMissedBy(box.with(side, middle))) {
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
        for (int round = 0; grew && round < MOST_ROUNDS; round++) {
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
        if (Math.abs(out) > Math.abs(farthest(box, side))
                || side < 2 && box.faces()[1] - box.faces()[0] >= box.deepest()) {
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

    private double farthest(Box box, int side) {
        return faces(box.frame())[side];
    }

    private boolean misses(Box box) {
        if (box.volume() == 0) {
            return false;
        }
        Solid core = box.core();
        Solid air = box.behind() > 0 ? box.air() : core;
        return neighbours.stream().allMatch(n -> n.isMissedBy(n.isOfAir() ? air : core));
    }

    /** @return what stops each face, in their order; empty where nothing does but the depth asked or the reach of the search */
    List<Optional<Neighbour>> stops(Box box) {
        List<Optional<Neighbour>> all = new ArrayList<>();
        for (int side = 0; side < Box.SIDES; side++) {
            Box more = box.with(side, box.faces()[side] + Box.outwards(side) * 2e-3);
            boolean full = side < 2 && box.faces()[1] - box.faces()[0] >= box.deepest();
            all.add(
                    full
                            ? Optional.empty()
                            : neighbours.stream()
                                    .filter(n -> !n.isMissedBy(more.of(n)))
                                    .max((a, b) -> Double.compare(a.missing(more.of(a)), b.missing(more.of(b)))));
        }
        return all;
    }
}
