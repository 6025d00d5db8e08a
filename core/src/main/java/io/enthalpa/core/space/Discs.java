package io.enthalpa.core.space;

import java.util.List;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * The convex hull of discs that all look along one axis: a flat tube between four, what leads over to it from a round one between three.
 *
 * @param axis  unit vector
 * @param discs one at least
 */
public record Discs(Vector3D axis, List<Disc> discs) implements Convex {
    /** @param middle m @param radius m */
    public record Disc(Vector3D middle, double radius) {}

    public Discs {
        discs = List.copyOf(discs);
    }

    @Override
    public void support(double x, double y, double z, double[] point) {
        double along = x * axis.getX() + y * axis.getY() + z * axis.getZ();
        double px = x - along * axis.getX();
        double py = y - along * axis.getY();
        double pz = z - along * axis.getZ();
        double out = Math.sqrt(px * px + py * py + pz * pz);
        boolean square = out < Frustum.ALONG * Math.sqrt(x * x + y * y + z * z);
        double most = Double.NEGATIVE_INFINITY;
        for (Disc d : discs) {
            Vector3D m = d.middle;
            double reach = x * m.getX() + y * m.getY() + z * m.getZ() + d.radius * out;
            if (reach > most) {
                most = reach;
                double r = square ? 0 : d.radius / out;
                point[0] = m.getX() + r * px;
                point[1] = m.getY() + r * py;
                point[2] = m.getZ() + r * pz;
            }
        }
    }

    @Override
    public double rounding() {
        return 0;
    }

    @Override
    public Bounds bounds() {
        return discs.stream()
                .map(d -> Frustum.disc(d.middle, d.radius, axis))
                .reduce(Bounds::with)
                .orElseThrow();
    }

    @Override
    public Discs moved(Pose movement) {
        return new Discs(
                movement.turn().applyTo(axis),
                discs.stream()
                        .map(d -> new Disc(movement.toRoom(d.middle), d.radius))
                        .toList());
    }
}
