package io.enthalpa.core.fit;

import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import io.enthalpa.core.place.Spot;
import io.enthalpa.core.room.RoomSpec;
import io.enthalpa.core.route.Run;
import io.enthalpa.core.route.RunName;
import io.enthalpa.core.route.RunSpec;
import io.enthalpa.core.router.Keepout;
import io.enthalpa.core.router.Port;
import io.enthalpa.core.router.Tube;
import io.enthalpa.core.space.Solid;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * A pipe or hose of an option that wants a way through its room: between which ports, and past what.
 *
 * @param spot     of a hose that of the core on whose water it is
 * @param pipe     of a hose a pipe of its size
 * @param hose     empty of a pipe of the charge
 * @param tube     as it is bought, bent as stock is, a hose as tight as it bears
 * @param keepouts all that it must miss, the room's obstacles first, in their order
 */
public record Passable(
        RunName of,
        Spot spot,
        PathElement.Pipe pipe,
        Optional<Laid.Hose> hose,
        Tube tube,
        Port start,
        Port end,
        List<Keepout> keepouts,
        Optional<Run> before) {
    public Passable {
        keepouts = List.copyOf(keepouts);
    }

    /**
     * @param solids of the room's obstacles
     * @throws EnthalpaFault when there is no such pipe or hose, or it is not known where it begins or ends
     */
    public static Passable of(BuildOption option, RoomSpec room, List<Solid> solids, RunName of) {
        List<Body> bodies = Bodies.of(option);
        Pipework pipes = Pipework.of(option, bodies);
        Between between = pipes.between(of).orElseThrow(() -> noPipe(of.of()));
        Port start = port(between.run().flatMap(Run::from), between.start());
        Port end = port(between.run().flatMap(Run::to), between.finish());
        if (start == null || end == null) {
            throw unknown(of.of(), start == null, start == null ? between.before() : between.behind());
        }
        Hung hung = new Hung(between.carrier(bodies), between.floats(bodies), room);
        List<Keepout> keepouts = new ArrayList<>(hung.toRoom(solids));
        keepouts.addAll(toBodies(bodies, between, hung));
        keepouts.addAll(toPipes(pipes, between, hung));
        return new Passable(
                of, between.spot(), between.pipe(), between.hose(), tube(between), start, end, keepouts, between.run());
    }

    /** @param solids of the room's obstacles @return what a laid pipe or hose keeps its gaps to */
    public static List<Keepout> around(
            Pipework pipes, List<Body> bodies, Laid laid, RoomSpec room, List<Solid> solids) {
        int own = pipes.all().indexOf(laid);
        Hung hung = new Hung(pipes.hangs(laid), pipes.asBodies().get(own).floats(), room);
        List<Keepout> keepouts = new ArrayList<>(hung.toRoom(solids));
        for (int i = 0; i < bodies.size(); i++) {
            Body body = bodies.get(i);
            keepouts.add(hung.keepout(pipes.joint(own, i).map(body::without).orElse(body)));
        }
        List<Body> laidBodies = pipes.asBodies();
        for (int i = 0; i < laidBodies.size(); i++) {
            if (i != own && !pipes.goesOn(own, i)) {
                Body other = laidBodies.get(i);
                keepouts.add(hung.keepout(pipes.isForked(own, i) ? Fork.without(other) : other));
            }
        }
        return keepouts;
    }

    /** A hose is not welded. */
    private static Tube tube(Between between) {
        return new Tube(
                Laid.outside(between.pipe()),
                between.pipe().bore(),
                between.usualRadius(),
                Pipework.STUB,
                between.hose().isPresent() ? 0 : Tube.TACK);
    }

    private static EnthalpaFault noPipe(String of) {
        return EnthalpaFault.of(FaultKind.CONTRADICTION, "/of", "The pipe", of, "a pipe of the option", "");
    }

    private static EnthalpaFault unknown(String of, boolean start, String on) {
        return EnthalpaFault.of(
                FaultKind.CONTRADICTION,
                "/runs",
                (start ? "The beginning of " : "The end of ") + of,
                "not known",
                "on a port that has its place in the room, or where it is typed",
                on.isEmpty()
                        ? "Lay the pipe and type that place."
                        : "Give " + on + " its place in the room, or lay the pipe and type that place.");
    }

    private static Port port(Optional<Vector3D> typed, Optional<PipeEnd> end) {
        return typed.map(at -> new Port(at, Optional.empty()))
                .or(() -> end.map(e -> new Port(e.at(), Optional.of(e.heading()))))
                .orElse(null);
    }

    /** As {@link Fit} counts them: what it is joined to without the joint. */
    private static List<Keepout> toBodies(List<Body> bodies, Between between, Hung hung) {
        List<Keepout> all = new ArrayList<>();
        for (int i = 0; i < bodies.size(); i++) {
            int number = i;
            Body body = bodies.get(i);
            Body own = Stream.of(between.start(), between.finish())
                    .flatMap(Optional::stream)
                    .filter(e -> e.body() == number)
                    .flatMap(e -> e.port().stream())
                    .findFirst()
                    .map(body::without)
                    .orElse(body);
            all.add(hung.keepout(own));
        }
        return all;
    }

    /** Those that go on where it ends not at all, nor itself. */
    private static List<Keepout> toPipes(Pipework pipes, Between between, Hung hung) {
        List<Keepout> all = new ArrayList<>();
        List<Body> bodies = pipes.asBodies();
        for (int i = 0; i < bodies.size(); i++) {
            Laid other = pipes.all().get(i);
            if (!between.is(other) && !between.goesOn().test(other)) {
                boolean forked = other.hose().isEmpty()
                        && between.hose().isEmpty()
                        && other.spot().row().isBeside(between.spot().row());
                all.add(hung.keepout(forked ? Fork.without(bodies.get(i)) : bodies.get(i)));
            }
        }
        return all;
    }

    /** @param radius m, middle line of its bends @return the same bent otherwise */
    public Passable bent(double radius) {
        Tube other = new Tube(tube.outside(), tube.bore(), radius, tube.seat(), tube.tack());
        return new Passable(of, spot, pipe, hose, other, start, end, keepouts, before);
    }

    /** @param height m, of the flat stretches that its straights may have @return the same with them */
    public Passable flat(double height) {
        double wrap = tube.outside() - pipe.outside();
        Tube other = tube.flat(height + wrap, Ovals.taper(height, pipe));
        return new Passable(of, spot, pipe, hose, other, start, end, keepouts, before);
    }

    /** @return the same with one obstacle out of the way */
    public Passable without(int keepout) {
        List<Keepout> others = new ArrayList<>(keepouts);
        others.remove(keepout);
        return new Passable(of, spot, pipe, hose, tube, start, end, others, before);
    }

    /** @return how it is laid then, round all along; its ends stay on what they are on */
    public Run run(RunSpec way) {
        Run like = before.orElseGet(() -> Run.fresh(of));
        return like.withCorners(Relaid.corners(way, Laid.usualRadius(pipe, hose)))
                .withOvals(List.of());
    }
}
