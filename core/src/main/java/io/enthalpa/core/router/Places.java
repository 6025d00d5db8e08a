package io.enthalpa.core.router;

import io.enthalpa.core.space.Bounds;
import io.enthalpa.core.space.Convex;
import io.enthalpa.core.space.Frustum;
import io.enthalpa.core.space.Gaps;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.hipparchus.geometry.euclidean.threed.Rotation;
import org.hipparchus.geometry.euclidean.threed.RotationConvention;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.hipparchus.random.HaltonSequenceGenerator;

/**
 * Where corners may stand: straight out of the ports, square between them, in the narrow places, and all over the room, there moved off what
 * is too near.
 */
final class Places {
    /** Parts of the bend's radius past the seat that a first corner may stand. */
    private static final double[] OUT = {0.27, 0.42, 0.58, 0.8, 1, 1.3, 1.7, 2.2, 3, 4, 5.5, 7.5, 10};
    /** Corners of each port that are joined squarely. */
    private static final int SQUARE = 5;
    /** Parts of the distance between the ports that are looked at beyond them. */
    private static final double BEYOND = 0.4;
    /** m beyond the ports at least. */
    private static final double ROUND = 0.25;
    /** Narrow places that are looked at, the narrowest first. */
    private static final int NARROW = 16;
    /** m: a place that is wider needs no care. */
    private static final double WIDE = 0.06;
    /** Ways through a narrow place. */
    private static final int THROUGH = 8;
    /** Parts of the way from port to port from which a narrow place is looked for. */
    private static final double[] BETWEEN = {0.2, 0.4, 0.6, 0.8};
    /** m: what is short by less just passes. */
    private static final double JUST = 1e-6;
    /** Shifts off what is near. */
    private static final int SHIFTS = 14;

    private final Tube tube;
    private final Port start;
    private final Port end;
    private final Passage passage;
    private final Bounds room;
    private final List<Vector3D> fromStart;
    private final List<Vector3D> fromEnd;

    Places(Tube tube, Port start, Port end, Passage passage) {
        this.tube = tube;
        this.start = start;
        this.end = end;
        this.passage = passage;
        Bounds ports = point(start.at()).with(point(end.at()));
        this.room = ports.grown(Math.max(ROUND, BEYOND * ports.diagonal()) + 2 * tube.bend());
        this.fromStart = out(start, end);
        this.fromEnd = out(end, start);
    }

    private static Bounds point(Vector3D p) {
        return new Bounds(p.getX(), p.getY(), p.getZ(), p.getX(), p.getY(), p.getZ());
    }

    /** @return straight out of the port a pipe begins on; none where it may begin as it likes */
    List<Vector3D> fromStart() {
        return fromStart;
    }

    List<Vector3D> fromEnd() {
        return fromEnd;
    }

    private List<Vector3D> out(Port port, Port other) {
        List<Vector3D> all = new ArrayList<>();
        if (port.out().isEmpty()) {
            return all;
        }
        Vector3D out = port.out().get();
        List<Double> far = new ArrayList<>();
        for (double part : OUT) {
            far.add(tube.seat() + part * tube.bend());
        }
        // Abreast of the other port, and as far before it as a right angle takes.
        double abreast = other.at().subtract(port.at()).dotProduct(out);
        far.add(abreast);
        other.out().ifPresent(o -> far.add(abreast + (tube.seat() + tube.bend()) * o.dotProduct(out)));
        far.sort(Comparator.naturalOrder());
        for (double f : far) {
            Vector3D at = port.at().add(f, out);
            boolean again = !all.isEmpty() && all.get(all.size() - 1).distance(at) < Search.SAME;
            if (again || f < tube.seat() + OUT[0] * tube.bend()) {
                continue;
            }
            double clear = Math.max(tube.seat(), f - tube.bend());
            Convex leg = Frustum.cylinder(port.at(), port.at().add(clear, out), tube.radius());
            if (!passage.isClear(leg, 0)) {
                break;
            }
            all.add(at);
        }
        return all;
    }

    /** @param count places all over the room @param seed which of them @return without those of the ports and the narrow ones */
    List<Vector3D> between(int count, int seed) {
        List<Vector3D> all = new ArrayList<>(square());
        HaltonSequenceGenerator halton = new HaltonSequenceGenerator(3);
        halton.skipTo(seed);
        for (int i = 0; i < count; i++) {
            double[] part = halton.nextVector();
            Vector3D p = new Vector3D(
                    room.minX() + part[0] * (room.maxX() - room.minX()),
                    room.minY() + part[1] * (room.maxY() - room.minY()),
                    room.minZ() + part[2] * (room.maxZ() - room.minZ()));
            movedOff(p).ifPresent(all::add);
        }
        return all;
    }

    /** Corners of the boxes between those nearest the ports. */
    private List<Vector3D> square() {
        List<Vector3D> all = new ArrayList<>();
        for (Vector3D a : fromStart.subList(0, Math.min(SQUARE, fromStart.size()))) {
            for (Vector3D b : fromEnd.subList(0, Math.min(SQUARE, fromEnd.size()))) {
                for (int i = 1; i < 7; i++) {
                    all.add(new Vector3D(
                            (i & 1) == 0 ? a.getX() : b.getX(),
                            (i & 2) == 0 ? a.getY() : b.getY(),
                            (i & 4) == 0 ? a.getZ() : b.getZ()));
                }
            }
        }
        return all;
    }

    private record Pair(double wide, Keepout a, Keepout b, Vector3D middle) {}

    /** In the middle between two that a tube just passes between, and before and behind that: each list is one place and the ways through it. */
    List<List<Vector3D>> narrow() {
        List<Pair> pairs = new ArrayList<>();
        List<Keepout> all = passage.keepouts();
        for (int i = 0; i < all.size(); i++) {
            for (int j = i + 1; j < all.size(); j++) {
                pair(all.get(i), all.get(j)).ifPresent(pairs::add);
            }
        }
        pairs.sort(Comparator.comparingDouble(Pair::wide));
        List<List<Vector3D>> places = new ArrayList<>();
        for (Pair pair : pairs.subList(0, Math.min(NARROW, pairs.size()))) {
            through(pair, pair.middle).ifPresent(places::add);
            for (double part : BETWEEN) {
                Vector3D seed = start.at().scalarMultiply(1 - part).add(part, end.at());
                through(pair, seed).ifPresent(places::add);
            }
        }
        return places;
    }

    private Optional<Pair> pair(Keepout a, Keepout b) {
        if (a.solid().half().isPresent() && b.solid().half().isPresent()) {
            return Optional.empty();
        }
        double least = tube.outside() + a.still() + b.still() - 2 * passage.ease();
        return Gaps.between(a.solid(), b.solid(), tube.outside() + a.still() + b.still() + WIDE)
                .filter(g -> g.value() >= least - JUST)
                .map(g -> new Pair(
                        g.value() - least,
                        a,
                        b,
                        g.apart().onA().add(g.apart().onB()).scalarMultiply(0.5)));
    }

    /** Between its nearest points on both, and again from there; then all ways square to the line between those. */
    private Optional<List<Vector3D>> through(Pair pair, Vector3D seed) {
        Passage one = new Passage(List.of(pair.a), 0);
        Passage other = new Passage(List.of(pair.b), 0);
        Vector3D p = seed;
        Vector3D across = Vector3D.PLUS_K;
        for (int i = 0; i < SHIFTS; i++) {
            Passage.Tight a = one.tightest(p);
            Passage.Tight b = other.tightest(p);
            if (a.keepout() < 0 || b.keepout() < 0) {
                return Optional.empty();
            }
            Vector3D onA = p.subtract(a.spare() + pair.a.still(), a.away());
            Vector3D onB = p.subtract(b.spare() + pair.b.still(), b.away());
            Vector3D line = onB.subtract(onA);
            if (line.getNorm() < JUST) {
                return Optional.empty();
            }
            across = line.normalize();
            Vector3D middle = onA.add(onB).scalarMultiply(0.5).add((pair.a.still() - pair.b.still()) / 2, across);
            boolean there = middle.distance(p) < JUST / 10;
            p = middle;
            if (there) {
                break;
            }
        }
        if (passage.tightest(p).spare() < tube.radius() - passage.ease() - JUST) {
            return Optional.empty();
        }
        List<Vector3D> places = new ArrayList<>(List.of(p));
        Vector3D first = square(across);
        for (int i = 0; i < THROUGH; i++) {
            Vector3D way =
                    new Rotation(across, Math.PI * 2 * i / THROUGH, RotationConvention.VECTOR_OPERATOR).applyTo(first);
            places.add(p.add(1.5 * tube.bend(), way));
            places.add(p.add(3 * tube.bend(), way));
        }
        return Optional.of(places);
    }

    /** Along one of the room's axes as nearly as may be: what is measured mostly stands square. */
    private static Vector3D square(Vector3D across) {
        Vector3D axis = Math.abs(across.getX()) < 0.9 ? Vector3D.PLUS_I : Vector3D.PLUS_J;
        return axis.subtract(axis.dotProduct(across), across).normalize();
    }

    /** Off the nearest as far as is missing, and again: between two it comes to the middle. Empty where that does not end outside. */
    private Optional<Vector3D> movedOff(Vector3D from) {
        Vector3D p = from;
        double wanted = tube.radius() - passage.ease();
        double most = 2 * tube.bend();
        int last = -1;
        for (int i = 0; i < SHIFTS; i++) {
            Passage.Tight near = passage.tightest(p);
            double missing = wanted - near.spare();
            if (missing <= 0) {
                return Optional.of(p);
            }
            if (last >= 0 && near.keepout() != last) {
                most = Math.max(most / 2, 1e-4);
            }
            last = near.keepout();
            p = p.add(Math.min(missing + 1e-5, most), near.away());
        }
        return Optional.empty();
    }
}
