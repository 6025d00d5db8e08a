package io.enthalpa.core.exchanger;

import java.util.ArrayList;
import java.util.List;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * How far a core with its tanks and port stubs reaches from the middle of its finned block, seen from the front of the car, all m.
 *
 * @param left  to the left
 * @param right to the right
 * @param down  downwards
 * @param up    upwards
 */
public record CoreOutline(double left, double right, double down, double up) {
    /** Block, tanks and ports; an elbow with the tube it is bent of. */
    public static CoreOutline of(CoreSpec spec) {
        CorePorts ports = new CorePorts(spec);
        double tank = spec.tanks().depth();
        Reach reach = new Reach();
        reach.with(ports.point(spec.size().width() / 2 + tank, spec.size().height() / 2), 0, Vector3D.PLUS_I);
        reach.with(ports.point(-spec.size().width() / 2 - tank, -spec.size().height() / 2), 0, Vector3D.PLUS_I);
        for (CorePorts.Port port : ports.all()) {
            if (port.elbow().isPresent()) {
                List<Vector3D> line =
                        port.elbow().get().points(port, spec.tanks().stub());
                for (int i = 1; i < line.size(); i++) {
                    Vector3D way = line.get(i).subtract(line.get(i - 1));
                    if (way.getNorm() > 0) {
                        reach.with(line.get(i), port.bore() / 2, way.normalize());
                    }
                }
            } else {
                reach.with(port.root().add(spec.tanks().stub(), port.out()), 0, port.out());
            }
        }
        return new CoreOutline(
                reach.most(Vector3D.PLUS_J),
                reach.most(Vector3D.MINUS_J),
                reach.most(Vector3D.MINUS_K),
                reach.most(Vector3D.PLUS_K));
    }

    /** The farthest of some discs. */
    private static final class Reach {
        private record Disc(Vector3D middle, double radius, Vector3D normal) {}

        private final List<Disc> discs = new ArrayList<>();

        void with(Vector3D middle, double radius, Vector3D normal) {
            discs.add(new Disc(middle, radius, normal));
        }

        double most(Vector3D way) {
            double far = 0;
            for (Disc d : discs) {
                double along = d.normal.dotProduct(way);
                far = Math.max(far, d.middle.dotProduct(way) + d.radius * Math.sqrt(Math.max(0, 1 - along * along)));
            }
            return far;
        }
    }

    /**
     * @param across m, its middle to the right of the middle of a space
     * @param above  m, and above it
     * @return m that it stands outside a space of a width and height, where it does most; 0 when it is inside
     */
    public double outside(double across, double above, double width, double height) {
        double sideways = Math.max(left - across, right + across) - width / 2;
        double upright = Math.max(down - above, up + above) - height / 2;
        return Math.max(Math.max(sideways, upright), 0);
    }

    /** @return of what has no tanks and ports to count */
    public static CoreOutline bare(double width, double height) {
        return new CoreOutline(width / 2, width / 2, height / 2, height / 2);
    }
}
