package io.enthalpa.core.router;

import io.enthalpa.core.space.Hull;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.PriorityQueue;
import java.util.stream.IntStream;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * The best way over given places, each a corner or not: the cheapest so far is gone on with, what it costs to the end at least counted in.
 * Whether anything is in the way is asked only of what is gone on with.
 */
final class Search {
    private static final int START = 0;
    private static final int END = 1;
    /** Nearest places that are gone to from one in the room. */
    private static final int NEAREST = 14;
    /** Ways to come along the same leg that are kept: a cheaper one may leave less room for its next bend. */
    private static final int ALIKE = 2;
    /** rad: a pipe begins square out of its port. */
    private static final double SQUARE = Math.toRadians(0.25);
    /** Of what a bend turns at most. */
    private static final double MOST_TURN_COSINE = Math.cos(Tube.MOST_TURN);
    /** Part of a leg at either end that is left to the bends, when it is looked at for the first time. */
    private static final double ENDS = 0.3;

    /** Steps for each other way when one is found. */
    private static final int MORE = 200;
    /** Steps for each place. */
    private static final int STEPS = 100;
    /**
     * What is still ahead counts so many times where the steps ran out before there was a way, as where a port faces away and all that does not turn
     * back yet looks cheaper: what comes nearer to the end is gone on with first then.
     */
    private static final double HURRY = 3;
    /** Part of the steps for another look in a hurry. */
    private static final int HURRIED = 2;
    /** m: places nearer than that are one. */
    static final double SAME = 1e-3;

    private final Tube tube;
    private final Port start;
    private final Port end;
    private final Passage passage;
    /** After so many nothing more is looked at. */
    private final int steps;

    private final List<Vector3D> places = new ArrayList<>();
    private final int firstFree;
    private final int firstEnd;
    private final int[] group;
    private final int[][] next;
    /** By both ends of a leg: 0 not looked at yet, 1 clear in its middle, 2 not. */
    private final byte[] open;
    /** m by place; 0 not worked out yet. */
    private final double[] lengthLeft;

    /** @param count places all over the room, and for each so many steps: {@link #STEPS} */
    Search(Tube tube, Port start, Port end, Passage passage, Places ports, int count, int seed) {
        this.steps = STEPS * count;
        this.tube = tube;
        this.start = start;
        this.end = end;
        this.passage = passage;
        places.add(start.at());
        places.add(end.at());
        places.addAll(ports.fromStart());
        firstEnd = places.size();
        places.addAll(ports.fromEnd());
        firstFree = places.size();
        places.addAll(ports.between(count, seed));
        List<List<Vector3D>> narrow = ports.narrow();
        int other = places.size();
        narrow.forEach(places::addAll);
        group = new int[places.size()];
        for (List<Vector3D> one : narrow) {
            Arrays.fill(group, other, other + one.size(), other);
            other += one.size();
        }
        next = new int[places.size()][];
        open = new byte[places.size() * places.size()];
        lengthLeft = new double[places.size()];
    }

    private int[] next(int place) {
        if (next[place] == null) {
            next[place] = goneToFrom(place);
        }
        return next[place];
    }

    private int[] goneToFrom(int place) {
        if (place == END) {
            return new int[0];
        }
        IntStream all = IntStream.range(END, places.size()).filter(i -> i != place);
        if (place == START && start.out().isPresent()) {
            return IntStream.concat(IntStream.of(END), IntStream.range(2, firstEnd))
                    .toArray();
        }
        if (place < firstFree) {
            return all.toArray();
        }
        double[] far = new double[places.size()];
        for (int i = firstFree; i < far.length; i++) {
            far[i] = i == place ? Double.POSITIVE_INFINITY : far(place, i);
        }
        double[] sorted = Arrays.copyOfRange(far, firstFree, far.length);
        Arrays.sort(sorted);
        double most = sorted[Math.min(NEAREST, sorted.length) - 1];
        IntStream near = IntStream.range(firstFree, far.length).filter(i -> far[i] <= most);
        IntStream through = group[place] == 0
                ? IntStream.empty()
                : IntStream.range(0, group.length).filter(i -> i != place && group[i] == group[place]);
        return IntStream.concat(
                        IntStream.concat(IntStream.of(END), IntStream.range(firstEnd, firstFree)),
                        IntStream.concat(near, through))
                .distinct()
                .toArray();
    }

    /**
     * A leg, and how it is come to.
     *
     * @param before  null for the first
     * @param tangent m of it that the bend at its beginning takes
     * @param cost    to its end, without a bend there
     * @param rank    cost to the end of the way at least, what is ahead counted as often as there is hurry
     */
    private record Leg(Leg before, int from, int to, double tangent, double cost, double rank) {}

    /** @param most of them @return the cheapest ways, the cheapest first; none where there is none over these places */
    List<Draft> best(Taste taste, int most) {
        return look(taste, most, 1, steps).ways;
    }

    /** @return the same, or where there are too many to look at all a way that may not be the cheapest */
    List<Draft> any(Taste taste, int most) {
        Looked looked = look(taste, most, 1, steps);
        return looked.ways.isEmpty() && looked.ranOut ? look(taste, most, HURRY, steps / HURRIED).ways : looked.ways;
    }

    private record Looked(List<Draft> ways, boolean ranOut) {}

    private Looked look(Taste taste, int most, double hurry, int steps) {
        List<Draft> ways = new ArrayList<>();
        PriorityQueue<Leg> ahead = new PriorityQueue<>(Comparator.comparingDouble(Leg::rank));
        Map<Integer, List<Double>> kept = new HashMap<>();
        for (int to : next(START)) {
            if (to != END || isSquare(START, END)) {
                add(ahead, null, START, to, 0, 0, taste, hurry);
            }
        }
        int left = steps;
        for (; left > 0 && ways.size() < most && !ahead.isEmpty(); left--) {
            Leg leg = ahead.remove();
            if (leg.before != null && !isClear(leg)) {
                continue;
            }
            if (leg.to == END) {
                Draft whole = draft(leg);
                if (whole.canBeMade() && whole.isClear(passage)) {
                    ways.add(whole);
                    left = Math.min(left, MORE * most);
                }
                continue;
            }
            List<Double> alike = kept.computeIfAbsent(key(leg.from, leg.to), k -> new ArrayList<>(ALIKE));
            if (alike.size() < ALIKE && alike.stream().noneMatch(t -> t <= leg.tangent + 1e-9)) {
                alike.add(leg.tangent);
                goOn(ahead, leg, taste, hurry);
            }
        }
        return new Looked(ways, left == 0);
    }

    private int key(int from, int to) {
        return from * places.size() + to;
    }

    private void goOn(PriorityQueue<Leg> ahead, Leg leg, Taste taste, double hurry) {
        Vector3D along = way(leg.from, leg.to);
        double far = far(leg.from, leg.to);
        for (int to : next(leg.to)) {
            double on = far(leg.to, to);
            if (on < SAME || to == leg.from || to == END && !mayEnd(leg.to)) {
                continue;
            }
            double halfTan = halfTan(along, leg.to, to, on);
            boolean straightOn = halfTan < Draft.STRAIGHT_ON / 2;
            double tangent = straightOn ? 0 : halfTan * tube.bend();
            double needs = leg.from == START ? tube.seat() : leg.tangent > 0 && tangent > 0 ? tube.tack() : 0;
            boolean fits =
                    far - leg.tangent - tangent >= needs - 1e-9 && on - tangent >= (to == END ? tube.seat() : 0) - 1e-9;
            if (fits && isOpen(leg.to, to)) {
                double bend = straightOn ? 0 : taste.bend(2 * Math.atan(halfTan), tube) - 2 * tangent;
                add(ahead, leg, leg.to, to, tangent, leg.cost + bend, taste, hurry);
            }
        }
    }

    /** @param far m from one place to the other @return the tangent of half the angle from a way to that between two places; infinite of more than may be */
    private double halfTan(Vector3D along, int from, int to, double far) {
        Vector3D a = places.get(from);
        Vector3D b = places.get(to);
        double x = (b.getX() - a.getX()) / far;
        double y = (b.getY() - a.getY()) / far;
        double z = (b.getZ() - a.getZ()) / far;
        double cx = along.getY() * z - along.getZ() * y;
        double cy = along.getZ() * x - along.getX() * z;
        double cz = along.getX() * y - along.getY() * x;
        double cosine = along.getX() * x + along.getY() * y + along.getZ() * z;
        return cosine < MOST_TURN_COSINE
                ? Double.POSITIVE_INFINITY
                : Math.sqrt(cx * cx + cy * cy + cz * cz) / (1 + cosine);
    }

    private void add(
            PriorityQueue<Leg> ahead,
            Leg before,
            int from,
            int to,
            double tangent,
            double cost,
            Taste taste,
            double hurry) {
        double whole = cost + far(from, to);
        double least = to == END ? 0 : lengthLeft(to) + taste.least(turnsLeft(from, to), tube);
        ahead.add(new Leg(before, from, to, tangent, whole, whole + hurry * least));
    }

    private double lengthLeft(int to) {
        if (lengthLeft[to] == 0) {
            lengthLeft[to] = Approach.least(places.get(to), end, tube);
        }
        return lengthLeft[to];
    }

    /**
     * @return rad that all bends behind a leg turn at least: as far as to the way of the port, and where that lies aside, first as far as
     *     there and then back
     */
    private double turnsLeft(int from, int to) {
        Vector3D now = way(from, to);
        double aside = Draft.turn(now, way(to, END));
        if (end.out().isEmpty()) {
            return aside;
        }
        Vector3D last = end.out().get().negate();
        double there = Draft.turn(now, last);
        double behind = Draft.turn(last, way(to, END));
        return Math.max(Math.max(aside, there), 2 * Math.max(aside, behind) - there);
    }

    /** A pipe comes square onto its port. */
    private boolean mayEnd(int from) {
        return end.out().isEmpty() || from >= firstEnd && from < firstFree || isSquare(from, END);
    }

    private boolean isSquare(int from, int to) {
        Vector3D way = way(from, to);
        return (from != START
                        || start.out().filter(o -> Draft.turn(o, way) > SQUARE).isEmpty())
                && end.out().filter(o -> Draft.turn(o.negate(), way) > SQUARE).isEmpty();
    }

    private double far(int from, int to) {
        return places.get(from).distance(places.get(to));
    }

    private Vector3D way(int from, int to) {
        Vector3D along = places.get(to).subtract(places.get(from));
        double far = along.getNorm();
        return far == 0 ? Vector3D.PLUS_I : along.scalarMultiply(1 / far);
    }

    /** Whether the middle of a leg is clear: what it is made of at its ends hangs on where it goes on. */
    private boolean isOpen(int from, int to) {
        int key = key(Math.min(from, to), Math.max(from, to));
        if (open[key] == 0) {
            Vector3D a = places.get(from);
            Vector3D along = places.get(to).subtract(a);
            boolean clear = passage.isClear(Hull.rod(a.add(ENDS, along), a.add(1 - ENDS, along), 0), tube.radius());
            open[key] = (byte) (clear ? 1 : 2);
        }
        return open[key] == 1;
    }

    /** The leg before and the bend between, now that both are known. */
    private boolean isClear(Leg leg) {
        List<Vector3D> points = List.of(places.get(leg.before.from), places.get(leg.from), places.get(leg.to));
        Draft bend = new Draft(tube, points);
        if (!bend.bendIsClear(1, passage)) {
            return false;
        }
        Vector3D way = way(leg.before.from, leg.from);
        Vector3D from = points.get(0).add(leg.before.tangent, way);
        Vector3D to = points.get(1).subtract(leg.tangent, way);
        return leg.before.from == START
                ? bend.legIsClear(0, passage)
                : passage.isClear(Hull.rod(from, to, tube.radius()), 0);
    }

    private Draft draft(Leg last) {
        List<Vector3D> points = new ArrayList<>();
        points.add(end.at());
        for (Leg leg = last; leg != null; leg = leg.before) {
            points.add(0, places.get(leg.from));
        }
        return new Draft(tube, withoutStraightOn(points));
    }

    /** A place that is passed straight on is no corner. */
    private static List<Vector3D> withoutStraightOn(List<Vector3D> points) {
        List<Vector3D> corners = new ArrayList<>(points);
        for (int i = corners.size() - 2; i > 0; i--) {
            Vector3D a = corners.get(i).subtract(corners.get(i - 1));
            Vector3D b = corners.get(i + 1).subtract(corners.get(i));
            if (Draft.turn(a, b) < Draft.STRAIGHT_ON) {
                corners.remove(i);
            }
        }
        return corners;
    }
}
