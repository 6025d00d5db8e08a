package io.enthalpa.core.fit;

import io.enthalpa.core.space.Pose;
import java.util.List;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * The end of a port, where a pipe or hose comes on.
 *
 * @param role "inlet", "first outlet"
 * @param at   m, the middle of its mouth
 * @param out  unit vector out of it
 */
public record OpenPort(String role, Vector3D at, Vector3D out) {
    /** @param line m, its middle line, the last two points the ends of what the hose is put on */
    static OpenPort of(String role, List<Vector3D> line) {
        Vector3D end = line.get(line.size() - 1);
        return new OpenPort(role, end, end.subtract(line.get(line.size() - 2)).normalize());
    }

    OpenPort moved(Pose pose) {
        return new OpenPort(role, pose.toRoom(at), pose.turn().applyTo(out));
    }

    boolean isOfWater() {
        return role.equals(WaterPorts.IN) || role.equals(WaterPorts.OUT);
    }

    /** @return whether a part of the body it is on belongs to it: its tube, its clamp */
    boolean owns(String element) {
        return element.equals(role + Spigot.PORT) || element.equals(role + Spigot.CLAMP);
    }
}
