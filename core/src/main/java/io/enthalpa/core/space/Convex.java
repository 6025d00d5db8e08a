package io.enthalpa.core.space;

/**
 * A convex shape where it stands in the room: a core given by its support function, and a ball of some radius rolled all over it (a rounding
 * that costs nothing: a ball is a point with a rounding, a rod with round ends a line with one).
 */
public sealed interface Convex permits Hull, Frustum, Discs {
    /**
     * The core's farthest point in a direction.
     *
     * @param point where it is written to, m
     */
    void support(double x, double y, double z, double[] point);

    /** @return m */
    double rounding();

    /** @return the box that holds it, rounding included */
    Bounds bounds();

    /** @return the same shape after a movement of the room */
    Convex moved(Pose movement);

    /** @return m, the core's reach in a direction: the largest scalar product of it with any point of the core */
    default double reach(double x, double y, double z) {
        double[] p = new double[3];
        support(x, y, z, p);
        return x * p[0] + y * p[1] + z * p[2];
    }
}
