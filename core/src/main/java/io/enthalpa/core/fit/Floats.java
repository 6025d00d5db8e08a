package io.enthalpa.core.fit;

import io.enthalpa.core.router.Keepout;
import io.enthalpa.core.space.Bounds;
import io.enthalpa.core.space.Convex;
import io.enthalpa.core.space.Gap;
import io.enthalpa.core.space.Gaps;
import io.enthalpa.core.space.Motion;
import io.enthalpa.core.space.Shorter;
import io.enthalpa.core.space.Solid;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.SortedMap;
import java.util.TreeMap;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * A pipe between two carriers that nothing holds on its way: it stands with the first at its one end and goes along with the other at its
 * other, and in between the more, the nearer to that.
 *
 * @param with  name of the other carrier
 * @param still m, its end on the first
 * @param moved m, its end on the other
 */
record Floats(String with, Vector3D still, Vector3D moved) implements Keepout.Sways {
    /** Parts that go along about as much are looked at together, as the one that does most. */
    private static final int STEPS = 8;

    /** @return empty where both ends are on one carrier */
    static Optional<Floats> between(String carrier, String with, Vector3D still, Vector3D moved) {
        return with.equals(carrier) ? Optional.empty() : Optional.of(new Floats(with, still, moved));
    }

    /** How much a part goes along at most: by how far any place of it may be from both ends. */
    double most(Bounds part) {
        double half = part.diagonal() / 2;
        double far = part.middle().distance(still) + half;
        double near = Math.max(0, part.middle().distance(moved) - half);
        return far / (far + near);
    }

    /** In steps, rounded up. */
    @Override
    public double share(Bounds part) {
        return Math.ceil(STEPS * most(part) - 1e-9) / STEPS;
    }

    /**
     * @param own     the pipe, or some of it
     * @param against hangs on the carrier that the pipe stands with
     * @return m, the least gap as the other carrier moves; empty where that is farther than anyone asks
     */
    OptionalDouble least(Solid own, Solid against, Motion ofOther, Motion ofCarrier, double within) {
        SortedMap<Double, List<Solid.Part>> alike = new TreeMap<>();
        for (Solid.Part part : own.parts()) {
            for (Convex some : Shorter.of(part.convex(), Keepout.SHORT)) {
                alike.computeIfAbsent(share(some.bounds()), s -> new ArrayList<>())
                        .add(new Solid.Part(part.element(), some));
            }
        }
        OptionalDouble least = OptionalDouble.empty();
        for (var group : alike.entrySet()) {
            double share = group.getKey();
            OptionalDouble gap = Gaps.moved(
                            Solid.of(group.getValue()),
                            ofOther.times(share),
                            against,
                            ofCarrier.times(share),
                            least.orElse(within))
                    .map(Gap::value)
                    .map(OptionalDouble::of)
                    .orElse(OptionalDouble.empty());
            least = gap.isPresent() ? gap : least;
        }
        return least;
    }
}
