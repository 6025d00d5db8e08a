package io.enthalpa.core.mount;

import io.enthalpa.core.room.Mount;
import java.util.List;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/** A strap, clamped flat under its bolt, with the body at its other end. @param length m */
record Beam(Mount.Strap strap, double length) {
    /** Along it, in the way it gives, and on its edge. */
    static List<Vector3D> ways(Mount.Strap strap, Vector3D along) {
        // Lying, it gives up and down; on its edge, level and across itself.
        Vector3D level = along.crossProduct(Vector3D.PLUS_K);
        Vector3D across = level.getNorm() < 1e-6 ? Vector3D.PLUS_J : level.normalize();
        Vector3D over = across.crossProduct(along);
        return strap.standing() ? List.of(along, across, over) : List.of(along, over, across);
    }

    /** N/m in the three ways, none more than a bolt through a lug. */
    double[] stiffness() {
        double e = strap.metal().modulus();
        double thin = 3 * e * strap.width() * Math.pow(strap.thickness(), 3) / 12 / Math.pow(length, 3);
        double edge = 3 * e * strap.thickness() * Math.pow(strap.width(), 3) / 12 / Math.pow(length, 3);
        double along = e * strap.width() * strap.thickness() / length;
        return new double[] {
            Math.min(along, Springs.STIFF), Math.min(thin, Springs.STIFF), Math.min(edge, Springs.STIFF)
        };
    }

    /** @param force N at the body @param ways as {@link #ways} @return Pa where it is clamped */
    double stress(Vector3D force, List<Vector3D> ways) {
        double b = strap.width();
        double t = strap.thickness();
        return Math.abs(force.dotProduct(ways.get(0))) / (b * t)
                + 6 * Math.abs(force.dotProduct(ways.get(1))) * length / (b * t * t)
                + 6 * Math.abs(force.dotProduct(ways.get(2))) * length / (t * b * b);
    }
}
