package io.enthalpa.core.route;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * How a pipe or a hose of a water loop is laid in the room.
 *
 * @param of      name of the pipe or hose
 * @param loop    name of the core on whose water the hose is; empty of a pipe of the charge
 * @param from    m, where it begins; empty where it begins on what stands before it, and goes along when that is moved
 * @param corners in the order of the flow
 * @param to      m, where it ends; empty where it ends on what stands behind it
 * @param braces  that hold it
 * @param fittings in its wall
 * @param ovals   where it is made flat
 */
public record Run(
        String of,
        Optional<String> loop,
        Optional<Vector3D> from,
        List<Corner> corners,
        Optional<Vector3D> to,
        List<Brace> braces,
        List<Fitting> fittings,
        List<Oval> ovals) {
    /**
     * @param at     m
     * @param radius m of the bend's middle line; empty for that of stock
     */
    public record Corner(Vector3D at, OptionalDouble radius) {}

    public Run {
        corners = List.copyOf(corners);
        braces = List.copyOf(braces);
        fittings = List.copyOf(fittings);
        ovals = List.copyOf(ovals);
    }

    /** Held by its ends alone, nothing in its wall. */
    public Run(String of, Optional<Vector3D> from, List<Corner> corners, Optional<Vector3D> to) {
        this(of, Optional.empty(), from, corners, to, List.of(), List.of(), List.of());
    }

    /** @return from port to port, with no corner yet */
    public static Run fresh(RunName of) {
        return new Run(
                of.of(), of.loop(), Optional.empty(), List.of(), Optional.empty(), List.of(), List.of(), List.of());
    }

    public RunName name() {
        return new RunName(of, loop);
    }

    /** @return whether it is that of a pipe of the charge of this name */
    public boolean isOfPipe(String name) {
        return loop.isEmpty() && of.equals(name);
    }

    /** @return that of a hose on the water of a core */
    public Run on(String core) {
        return new Run(of, Optional.of(core), from, corners, to, braces, fittings, ovals);
    }

    /** @return carrier of the first brace that does not give */
    public Optional<String> heldBy() {
        return braces.stream().filter(b -> !b.rubber()).map(Brace::carrier).findFirst();
    }

    /** @return laid by other corners */
    public Run withCorners(List<Corner> others) {
        return new Run(of, loop, from, others, to, braces, fittings, ovals);
    }

    /** @return typed elsewhere, or ending on what stands there */
    public Run withEnd(Optional<Vector3D> other) {
        return new Run(of, loop, from, corners, other, braces, fittings, ovals);
    }

    public Run withBraces(List<Brace> others) {
        return new Run(of, loop, from, corners, to, others, fittings, ovals);
    }

    public Run withFittings(List<Fitting> others) {
        return new Run(of, loop, from, corners, to, braces, others, ovals);
    }

    public Run withOvals(List<Oval> others) {
        return new Run(of, loop, from, corners, to, braces, fittings, others);
    }
}
