package io.enthalpa.core.space;

import java.util.Optional;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/** What a convex shape keeps a gap from: another, or all beyond a plane. */
sealed interface Opposite {
    /**
     * @param travel half-ways that the shape may be shifted by, to either side
     * @param enough m: of a gap that is known to be more it is only said that it is
     * @param hint   from the shape across a gap that is near this one; empty without
     */
    Apart from(Convex shape, double[][] travel, double enough, Optional<Vector3D> hint);

    /** @return m, its farthest in a direction, rounding not counted */
    double reach(double x, double y, double z);

    double rounding();

    Opposite moved(Pose movement);

    /** @return m, the farthest that any point of it is from an axis */
    double reachFrom(Motion motion);

    record Shape(Convex convex) implements Opposite {
        @Override
        public Apart from(Convex shape, double[][] travel, double enough, Optional<Vector3D> hint) {
            return Separation.between(shape, convex, travel, enough, hint);
        }

        @Override
        public double reach(double x, double y, double z) {
            return convex.reach(x, y, z);
        }

        @Override
        public double rounding() {
            return convex.rounding();
        }

        @Override
        public Opposite moved(Pose movement) {
            return new Shape(convex.moved(movement));
        }

        @Override
        public double reachFrom(Motion motion) {
            return convex.bounds().reachFrom(motion.point(), motion.axis());
        }
    }

    /** Reaches without end but square to its plane. */
    record Half(Solid.HalfSpace half) implements Opposite {
        @Override
        public Apart from(Convex shape, double[][] travel, double enough, Optional<Vector3D> hint) {
            return half.from(shape, travel);
        }

        @Override
        public double reach(double x, double y, double z) {
            return new Vector3D(x, y, z).dotProduct(half.on());
        }

        @Override
        public double rounding() {
            return 0;
        }

        @Override
        public Opposite moved(Pose movement) {
            return new Half(half.moved(movement));
        }

        @Override
        public double reachFrom(Motion motion) {
            return 0;
        }
    }
}
