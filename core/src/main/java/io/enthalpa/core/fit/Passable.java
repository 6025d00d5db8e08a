package io.enthalpa.core.fit;

import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import io.enthalpa.core.place.Spot;
import io.enthalpa.core.room.AskedGap;
import io.enthalpa.core.room.Carrier;
import io.enthalpa.core.room.RoomSpec;
import io.enthalpa.core.route.Run;
import io.enthalpa.core.route.RunSpec;
import io.enthalpa.core.router.Keepout;
import io.enthalpa.core.router.Port;
import io.enthalpa.core.router.Tube;
import io.enthalpa.core.space.Motion;
import io.enthalpa.core.space.Solid;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * A pipe of an option that wants a way through its room: between which ports, and past what.
 *
 * @param tube     as it is bought, bent as stock is
 * @param keepouts all that it must miss, the room's obstacles first, in their order
 */
public record Passable(
        Spot spot,
        PathElement.Pipe pipe,
        Tube tube,
        Port start,
        Port end,
        List<Keepout> keepouts,
        Optional<Run> before) {
    /** m that are asked besides, so that a corner may be told to a hundredth of a millimetre. */
    private static final double TOLD = 2e-5;

    public Passable {
        keepouts = List.copyOf(keepouts);
    }

    /**
     * @param of name of the pipe
     * @throws EnthalpaFault when there is no such pipe, or it is not known where it begins or ends
     */
    public static Passable of(BuildOption option, RoomSpec room, Fit fit, String of) {
        Pipework.Between between = fit.pipes().between(of).orElseThrow(() -> noPipe(of));
        Port start = port(between.run().flatMap(Run::from), between.start());
        Port end = port(between.run().flatMap(Run::to), between.finish());
        if (start == null || end == null) {
            Neighbours beside = new Neighbours(option.path(), between.spot());
            throw unknown(of, start == null, start == null ? beside.nameBefore() : beside.nameBehind());
        }
        String carrier = between.start()
                .or(between::finish)
                .filter(e -> e.body() >= 0)
                .map(e -> fit.bodies().get(e.body()).stand().carrier())
                .orElse(Carrier.BODY.name());
        return new Passable(
                between.spot(),
                between.pipe(),
                tube(between.pipe()),
                start,
                end,
                keepouts(fit, room, between, carrier),
                between.run());
    }

    private static Tube tube(PathElement.Pipe pipe) {
        return new Tube(
                pipe.outside() + 2 * pipe.wall().wrap(),
                pipe.bore(),
                Pipework.stockRadius(pipe),
                Pipework.STUB,
                Tube.TACK);
    }

    private static EnthalpaFault noPipe(String of) {
        return EnthalpaFault.of(FaultKind.CONTRADICTION, "/of", "the pipe", of, "a pipe of the option", "");
    }

    private static EnthalpaFault unknown(String of, boolean start, String on) {
        return EnthalpaFault.of(
                FaultKind.CONTRADICTION,
                "/runs",
                (start ? "the beginning of " : "the end of ") + of,
                "not known",
                "on a port that has its place in the room, or where it is typed",
                on.isEmpty()
                        ? "Lay the pipe and type that place."
                        : "Give " + on + " its place in the room, or lay the pipe and type that place.");
    }

    private static Port port(Optional<Vector3D> typed, Optional<Pipework.End> end) {
        return typed.map(at -> new Port(at, Optional.empty()))
                .or(() -> end.map(e -> new Port(e.at(), Optional.of(e.heading()))))
                .orElse(null);
    }

    /** As {@link Fit} counts them: what it is joined to without the joint, pipes that go on where it ends not at all. */
    private static List<Keepout> keepouts(Fit fit, RoomSpec room, Pipework.Between between, String carrier) {
        List<Keepout> all = new ArrayList<>();
        for (int k = 0; k < fit.solids().size(); k++) {
            String theirs = room.obstacles().get(k).carrier();
            AskedGap asked = AskedGap.from(room.obstacles().get(k), carrier);
            all.add(keepout(room.obstacles().get(k).name(), fit.solids().get(k), asked, carrier, theirs, room));
        }
        Neighbours beside = new Neighbours(fit.pipes().path(), between.spot());
        int standing = fit.bodies().size() - fit.pipes().laid().size();
        for (int i = 0; i < fit.bodies().size(); i++) {
            int number = i;
            Body body = fit.bodies().get(i);
            if (i >= standing) {
                Spot other = fit.pipes().laid().get(i - standing).spot();
                if (other.equals(between.spot()) || beside.isBeside(other)) {
                    continue;
                }
            }
            Solid solid = between.start()
                    .filter(e -> e.body() == number)
                    .or(() -> between.finish().filter(e -> e.body() == number))
                    .flatMap(Pipework.End::port)
                    .map(p -> body.without(p).solid())
                    .orElse(body.solid());
            String theirs = body.stand().carrier();
            all.add(keepout(body.name(), solid, AskedGap.between(theirs, carrier), carrier, theirs, room));
        }
        return all;
    }

    private static Keepout keepout(String name, Solid solid, AskedGap asked, String own, String theirs, RoomSpec room) {
        boolean together = own.equals(theirs);
        return new Keepout(
                name,
                solid,
                asked.still() + TOLD,
                asked.moved() + TOLD,
                together ? Motion.STILL : room.motion(own),
                together ? Motion.STILL : room.motion(theirs));
    }

    /** @return the same for a pipe that is bent more tightly, m, or is another one */
    public Passable as(Tube other) {
        return new Passable(spot, pipe, other, start, end, keepouts, before);
    }

    /** @return the same with one obstacle out of the way */
    public Passable without(int keepout) {
        List<Keepout> others = new ArrayList<>(keepouts);
        others.remove(keepout);
        return new Passable(spot, pipe, tube, start, end, others, before);
    }

    /** @return how it is laid then; its ends stay on what they are on */
    public Run run(RunSpec way) {
        return new Run(
                pipe.name(),
                before.flatMap(Run::from),
                way.corners().stream()
                        .map(c -> new Run.Corner(
                                told(c.at()),
                                c.radius() == Pipework.stockRadius(pipe)
                                        ? OptionalDouble.empty()
                                        : OptionalDouble.of(c.radius())))
                        .toList(),
                before.flatMap(Run::to));
    }

    private static Vector3D told(Vector3D p) {
        return new Vector3D(told(p.getX()), told(p.getY()), told(p.getZ()));
    }

    private static double told(double m) {
        return Math.rint(m * 1e5) / 1e5;
    }
}
