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
 * @param braces  that hold it
 * @param fittings in its wall
 */
public record Run(
        String of,
        Optional<Vector3D> from,
        List<Corner> corners,
        Optional<Vector3D> to,
        List<Brace> braces,
        List<Fitting> fittings) {
    /**
     * @param at     m
     * @param radius m of the bend's middle line; empty for that of stock
     */
    public record Corner(Vector3D at, OptionalDouble radius) {}

    public Run {
        corners = List.copyOf(corners);
        braces = List.copyOf(braces);
        fittings = List.copyOf(fittings);
    }

    /** Held by its ends alone, nothing in its wall. */
    public Run(String of, Optional<Vector3D> from, List<Corner> corners, Optional<Vector3D> to) {
        this(of, from, corners, to, List.of(), List.of());
    }

    /** @return carrier of the first brace that does not give */
    public Optional<String> heldBy() {
        return braces.stream().filter(b -> !b.rubber()).map(Brace::carrier).findFirst();
    }

    /** @return laid by other corners */
    public Run withCorners(List<Corner> others) {
        return new Run(of, from, others, to, braces, fittings);
    }

    /** @return typed elsewhere, or ending on what stands there */
    public Run withEnd(Optional<Vector3D> other) {
        return new Run(of, from, corners, other, braces, fittings);
    }

    public Run withBraces(List<Brace> others) {
        return new Run(of, from, corners, to, others, fittings);
    }

    public Run withFittings(List<Fitting> others) {
        return new Run(of, from, corners, to, braces, others);
    }
}
