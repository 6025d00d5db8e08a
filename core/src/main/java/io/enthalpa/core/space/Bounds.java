package io.enthalpa.core.space;

import org.hipparchus.geometry.euclidean.threed.Vector3D;

/** The box along the room's axes that holds something, m. */
public record Bounds(double minX, double minY, double minZ, double maxX, double maxY, double maxZ) {
    public Bounds with(Bounds o) {
        return new Bounds(
                Math.min(minX, o.minX),
                Math.min(minY, o.minY),
                Math.min(minZ, o.minZ),
                Math.max(maxX, o.maxX),
                Math.max(maxY, o.maxY),
                Math.max(maxZ, o.maxZ));
    }

    public Bounds grown(double by) {
        return new Bounds(minX - by, minY - by, minZ - by, maxX + by, maxY + by, maxZ + by);
    }

    Bounds grown(double x, double y, double z) {
        return new Bounds(minX - x, minY - y, minZ - z, maxX + x, maxY + y, maxZ + z);
    }

    /**
     * How far two boxes are apart, or, less than 0, how far they lie over one another along the axis on which that is least. What two convex
     * shapes inside them keep is never less, as a gap counts.
     */
    public double gap(Bounds o) {
        double x = Math.max(minX - o.maxX, o.minX - maxX);
        double y = Math.max(minY - o.maxY, o.minY - maxY);
        double z = Math.max(minZ - o.maxZ, o.minZ - maxZ);
        if (x <= 0 && y <= 0 && z <= 0) {
            return Math.max(x, Math.max(y, z));
        }
        double px = Math.max(x, 0);
        double py = Math.max(y, 0);
        double pz = Math.max(z, 0);
        return Math.sqrt(px * px + py * py + pz * pz);
    }

    double[] least() {
        return new double[] {minX, minY, minZ};
    }

    double[] most() {
        return new double[] {maxX, maxY, maxZ};
    }

    public Vector3D middle() {
        return new Vector3D((minX + maxX) / 2, (minY + maxY) / 2, (minZ + maxZ) / 2);
    }

    /** @param out unit vector @return m, the farthest that it reaches in a direction, from the origin */
    public double reach(Vector3D out) {
        return Math.max(out.getX() * minX, out.getX() * maxX)
                + Math.max(out.getY() * minY, out.getY() * maxY)
                + Math.max(out.getZ() * minZ, out.getZ() * maxZ);
    }

    /** @return m, from corner to corner */
    public double diagonal() {
        return Math.sqrt(square(maxX - minX) + square(maxY - minY) + square(maxZ - minZ));
    }

    /** @return m, the farthest that any point of it is from an axis through a point */
    double reachFrom(Vector3D point, Vector3D axis) {
        return turningAbout(point, axis)[3];
    }

    /** @return m for each rad along x, y and z, the most that any point of it goes when it turns about an axis; and its farthest from that */
    double[] turningAbout(Vector3D point, Vector3D axis) {
        // By numbers alone: asked for every pair of boxes of a scan.
        double ax = axis.getX();
        double ay = axis.getY();
        double az = axis.getZ();
        double[] most = new double[3];
        double far = 0;
        for (int i = 0; i < 8; i++) {
            double x = ((i & 1) == 0 ? minX : maxX) - point.getX();
            double y = ((i & 2) == 0 ? minY : maxY) - point.getY();
            double z = ((i & 4) == 0 ? minZ : maxZ) - point.getZ();
            double goesX = Math.abs(z * ay - y * az);
            double goesY = Math.abs(x * az - z * ax);
            double goesZ = Math.abs(y * ax - x * ay);
            most[0] = Math.max(most[0], goesX);
            most[1] = Math.max(most[1], goesY);
            most[2] = Math.max(most[2], goesZ);
            far = Math.max(far, square(goesX) + square(goesY) + square(goesZ));
        }
        return new double[] {most[0], most[1], most[2], Math.sqrt(far)};
    }

    private static double square(double v) {
        return v * v;
    }
}
