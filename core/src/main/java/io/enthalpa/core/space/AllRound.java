package io.enthalpa.core.space;

import io.enthalpa.core.space.Difference.Vertex;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.hipparchus.random.UnitSphereRandomVectorGenerator;
import org.hipparchus.random.Well19937c;

/**
 * How deep two things stand in each other, looked for all round: the least of what the {@link Difference} reaches in any direction. Slower than
 * growing a hull inside it, but there is nothing that rounding could tear.
 */
final class AllRound {
    private static final int DIRECTIONS = 600;
    /** The best of them, each followed to its own least. */
    private static final int FOLLOWED = 8;
    /** Ways to either side that are tried with each step. */
    private static final int WAYS = 24;

    private static final double GOLDEN = Math.PI * (3 - Math.sqrt(5));
    /** rad */
    private static final double FIRST_STEP = 0.08;

    private static final double LAST_STEP = 1e-7;
    /** m: as exact as a depth otherwise is. */
    private static final double LOOSE = 5e-6;

    private final Difference difference;
    private final UnitSphereRandomVectorGenerator ways = new UnitSphereRandomVectorGenerator(3, new Well19937c(1));

    AllRound(Difference difference) {
        this.difference = difference;
    }

    private record Reach(Vector3D n, Vertex vertex, double value) {}

    Apart depth() {
        List<Reach> best = IntStream.range(0, DIRECTIONS)
                .mapToObj(AllRound::spread)
                .map(this::reach)
                .sorted(Comparator.comparingDouble(Reach::value))
                .limit(FOLLOWED)
                .map(this::least)
                .sorted(Comparator.comparingDouble(Reach::value))
                .toList();
        Reach least = best.get(0);
        Vector3D onA = new Vector3D(least.vertex.onA);
        Vector3D onB = new Vector3D(least.vertex.onB);
        return Separation.rounded(difference, -least.value, LOOSE, onA, onB, least.n);
    }

    /** Evenly over the sphere. */
    private static Vector3D spread(int i) {
        double z = 1 - (2.0 * i + 1) / DIRECTIONS;
        double r = Math.sqrt(1 - z * z);
        return new Vector3D(r * Math.cos(GOLDEN * i), r * Math.sin(GOLDEN * i), z);
    }

    private Reach reach(Vector3D n) {
        Vertex w = difference.support(n.getX(), n.getY(), n.getZ());
        return new Reach(n, w, w.along(n.getX(), n.getY(), n.getZ()));
    }

    /** What it reaches has ridges: along one only few ways lead down, so that many are tried. */
    private Reach least(Reach from) {
        Reach best = from;
        double step = FIRST_STEP;
        while (step > LAST_STEP) {
            Optional<Reach> lower = lower(best, step);
            best = lower.orElse(best);
            step = lower.isPresent() ? step : step / 2;
        }
        return best;
    }

    private Optional<Reach> lower(Reach from, double step) {
        for (int i = 0; i < WAYS; i++) {
            Reach other =
                    reach(from.n.add(step, new Vector3D(ways.nextVector())).normalize());
            if (other.value < from.value) {
                return Optional.of(other);
            }
        }
        return Optional.empty();
    }
}
