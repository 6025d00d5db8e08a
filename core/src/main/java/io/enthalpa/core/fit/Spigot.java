package io.enthalpa.core.fit;

import io.enthalpa.core.space.Frustum;
import io.enthalpa.core.space.Solid;
import java.util.ArrayList;
import java.util.List;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/** A port as a body: the tube along its middle line, and the clamp on its end. */
final class Spigot {
    /** How the names of ports end. */
    static final String PORT = " port";
    /** How the names of clamps end. */
    static final String CLAMP = " clamp";
    /** m of metal round a port; common practice, no source. */
    static final double WALL = 2e-3;
    /** m that hose and clamp band stand out from a port, and how wide the band is; common practice, no source. */
    static final double CLAMP_OUT = 8e-3;

    static final double CLAMP_WIDTH = 15e-3;

    private Spigot() {}

    /**
     * @param role "inlet"
     * @param line m, the middle line, the last two points the ends of what the hose is put on
     * @param bore m
     */
    static List<Solid.Part> parts(String role, List<Vector3D> line, double bore) {
        double radius = bore / 2 + WALL;
        List<Solid.Part> parts = new ArrayList<>();
        for (int i = 1; i < line.size(); i++) {
            if (line.get(i).distance(line.get(i - 1)) > 0) {
                parts.add(new Solid.Part(role + PORT, Frustum.cylinder(line.get(i - 1), line.get(i), radius)));
            }
        }
        Vector3D from = line.get(line.size() - 2);
        Vector3D to = line.get(line.size() - 1);
        if (from.distance(to) > CLAMP_WIDTH) {
            // A band sits a little in from the end of its spigot.
            Vector3D half = to.subtract(from).normalize().scalarMultiply(CLAMP_WIDTH / 2);
            Vector3D band = from.add(to).scalarMultiply(0.5);
            parts.add(new Solid.Part(
                    role + CLAMP, Frustum.cylinder(band.subtract(half), band.add(half), radius + CLAMP_OUT)));
        }
        return parts;
    }
}
