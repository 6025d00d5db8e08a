package io.enthalpa.core.route;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * How a pipe is laid in the room.
 *
 * @param of      name of the pipe
 * @param from    m, where it begins; empty where it begins on what stands before it, and goes along when that is moved
 * @param corners in the order of the flow
 * @param to      m, where it ends; empty where it ends on what stands behind it
 */
public record Run(String of, Optional<Vector3D> from, List<Corner> corners, Optional<Vector3D> to) {
    /**
     * @param at     m
     * @param radius m of the bend's middle line; empty for that of stock
     */
    public record Corner(Vector3D at, OptionalDouble radius) {}

    public Run {
        corners = List.copyOf(corners);
    }
}
