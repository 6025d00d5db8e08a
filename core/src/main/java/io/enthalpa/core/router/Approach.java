package io.enthalpa.core.router;

import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * How far it is onto a port at least. A pipe comes square onto it and bends no tighter than it can: from beside the port or behind it the shortest
 * is straight to a circle that touches the way onto the port, and round that. After Dubins (1957), On curves of minimal length with a constraint on
 * average curvature, with the way at the beginning left free; from memory.
 */
final class Approach {
    private Approach() {}

    /** @return m from a place, whatever way it is left */
    static double least(Vector3D place, Port port, Tube tube) {
        double straight = place.distance(port.at());
        if (port.out().isEmpty()) {
            return straight;
        }
        Vector3D onto = port.out().get().negate();
        Vector3D left = port.at().subtract(tube.seat(), onto).subtract(place);
        double along = left.dotProduct(onto);
        double across = left.subtract(along, onto).getNorm();
        // No place is inside both circles.
        double round = Math.min(round(tube.bend(), along, across), round(tube.bend(), along, -across));
        return Math.max(straight, round + tube.seat());
    }

    /**
     * @param along  m to where the seat of the joint begins, in the way onto the port; less than 0 from behind
     * @param across m beside that way, less than 0 where the circle lies to the other side
     * @return m straight to the circle and round it; infinite from inside it
     */
    private static double round(double radius, double along, double across) {
        double off = across - radius;
        double far = Math.hypot(along, off);
        if (far < radius - 1e-12) {
            return Double.POSITIVE_INFINITY;
        }
        double touches = Math.atan2(off, -along) + Math.acos(Math.min(1, radius / far));
        double turn = -Math.PI / 2 - touches;
        turn -= Math.floor(turn / (2 * Math.PI) + 1e-9) * 2 * Math.PI;
        return Math.sqrt(Math.max(0, far * far - radius * radius)) + radius * Math.max(0, turn);
    }
}
