package io.enthalpa.core.router;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Predicate;
import java.util.function.ToDoubleFunction;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.hipparchus.random.RandomGenerator;
import org.hipparchus.random.UnitSphereRandomVectorGenerator;
import org.hipparchus.random.Well19937c;

/** Shifts the corners of a way, one or two at a time, by less and less, as long as that makes it better. */
final class Polish {
    /** m. */
    private static final double[] STEPS = {0.064, 0.032, 0.016, 0.008, 0.004, 0.002, 0.001, 0.0005};
    /** m of way: with a corner less it is worth taking though it is dearer by this. */
    private static final double AS_GOOD = 1e-4;
    /** Rounds of one step. */
    private static final int ROUNDS = 40;
    /** Ways off the room's axes that are tried of each corner each round. */
    private static final int ODD = 4;

    private static final Vector3D[] AXES = {Vector3D.PLUS_I, Vector3D.PLUS_J, Vector3D.PLUS_K};
    private final Tube tube;
    private final Port start;
    private final Port end;
    private final UnitSphereRandomVectorGenerator odd;

    Polish(Tube tube, Port start, Port end, int seed) {
        this.tube = tube;
        this.start = start;
        this.end = end;
        RandomGenerator random = new Well19937c(seed);
        this.odd = new UnitSphereRandomVectorGenerator(3, random);
    }

    /** @return as cheap as shifting its corners makes it, and clear as before */
    Draft cheaper(Draft draft, Taste taste, Passage passage) {
        return better(draft, d -> d.cost(taste), d -> d.isClear(passage));
    }

    /** @return with as much to spare in its tightest place as shifting its corners gives it */
    Draft wider(Draft draft, Passage passage) {
        return better(draft, d -> -d.tightest(passage).spare(), d -> true);
    }

    private Draft better(Draft draft, ToDoubleFunction<Draft> cost, Predicate<Draft> holds) {
        Draft best = draft;
        double least = cost.applyAsDouble(draft);
        for (double step : STEPS) {
            boolean again = true;
            for (int round = 0; again && round < ROUNDS; round++) {
                again = false;
                for (List<Vector3D> points : shifts(best.points(), step)) {
                    Draft other = new Draft(tube, points);
                    double costs = other.canBeMade() ? cost.applyAsDouble(other) : Double.POSITIVE_INFINITY;
                    boolean fewer = points.size() < best.points().size();
                    if (costs < least - (fewer ? -AS_GOOD : AS_GOOD / 1000) && holds.test(other)) {
                        best = other;
                        least = costs;
                        again = true;
                        break;
                    }
                }
            }
        }
        return best;
    }

    private List<List<Vector3D>> shifts(List<Vector3D> points, double step) {
        List<List<Vector3D>> all = new ArrayList<>();
        int last = points.size() - 2;
        for (int i = 1; i <= last; i++) {
            if (isFree(i, last)) {
                List<Vector3D> fewer = new ArrayList<>(points);
                fewer.remove(i);
                all.add(fewer);
            }
        }
        for (int i = 1; i <= last; i++) {
            for (Vector3D way : ways(i, last)) {
                both(all, points, i, i, step, way);
            }
        }
        // Two at once: a leg keeps its way.
        for (int i = 1; i < last; i++) {
            if (isFree(i, last) && isFree(i + 1, last)) {
                for (Vector3D way : AXES) {
                    both(all, points, i, i + 1, step, way);
                }
            } else if (isFree(i, last) != isFree(i + 1, last)) {
                int held = isFree(i, last) ? i + 1 : i;
                for (Vector3D way : ways(held, last)) {
                    both(all, points, i, i + 1, step, way);
                }
            }
        }
        return all;
    }

    private boolean isFree(int corner, int last) {
        return !(corner == 1 && start.out().isPresent())
                && !(corner == last && end.out().isPresent());
    }

    /** A corner before a port goes along it, and one before both stands where it is. */
    private List<Vector3D> ways(int corner, int last) {
        boolean first = corner == 1 && start.out().isPresent();
        boolean behind = corner == last && end.out().isPresent();
        if (first && behind) {
            return List.of();
        }
        if (first || behind) {
            return List.of(first ? start.out().get() : end.out().get());
        }
        List<Vector3D> all = new ArrayList<>(List.of(AXES));
        for (int i = 0; i < ODD; i++) {
            all.add(new Vector3D(odd.nextVector()));
        }
        return all;
    }

    private static void both(
            List<List<Vector3D>> all, List<Vector3D> points, int from, int to, double step, Vector3D way) {
        for (double by : new double[] {step, -step}) {
            List<Vector3D> other = new ArrayList<>(points);
            for (int i = from; i <= to; i++) {
                other.set(i, points.get(i).add(by, way));
            }
            all.add(other);
        }
    }
}
