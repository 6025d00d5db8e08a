package io.enthalpa.core.fit;

import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.mount.Mounting;
import io.enthalpa.core.room.AskedGap;
import io.enthalpa.core.room.Nature;
import io.enthalpa.core.room.Obstacle;
import io.enthalpa.core.room.RoomSpec;
import io.enthalpa.core.room.Stand;
import io.enthalpa.core.space.Gap;
import io.enthalpa.core.space.Gaps;
import io.enthalpa.core.space.Motion;
import io.enthalpa.core.space.Solid;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.function.Predicate;
import java.util.stream.IntStream;

/**
 * Every body of an option against the room and against every other body.
 *
 * @param bodies    those that have a place, then the pipes that are laid
 * @param pipes     how they are laid, and which are not
 * @param unplaced  what could have one
 * @param gone      places of what is not in the option any more
 * @param gaps      those nearer than {@link #HORIZON}, what is missing most first
 * @param air       what stands close behind each face that air goes through
 * @param stacks    of the ways of the air whose opening has a place
 * @param clamps    that no tool comes to
 * @param keptIn    filters that cannot be taken off
 * @param mountings of those bodies that have mounts and whose weight is known
 * @param unweighed numbers of bodies that have mounts and have to be weighed
 * @param solids    of the room's obstacles, one for each
 */
public record Fit(
        List<Body> bodies,
        Pipework pipes,
        List<Stand> unplaced,
        List<Stand> gone,
        List<GapRow> gaps,
        List<AirBehind> air,
        List<AirStack> stacks,
        List<ToolRoom> clamps,
        List<KeptIn> keptIn,
        List<Mounted> mountings,
        List<Integer> unweighed,
        List<Solid> solids) {
    /** @param body its number */
    public record Mounted(int body, Mounting mounting) {}

    /** m: nobody asks for what is farther off. */
    static final double HORIZON = 0.25;

    public static Fit of(BuildOption option, RoomSpec room) {
        return of(option, room, room.obstacles().stream().map(Obstacle::solid).toList());
    }

    /** @param solids of the room's obstacles, where they are known already */
    public static Fit of(BuildOption option, RoomSpec room, List<Solid> solids) {
        List<Body> standing = Bodies.of(option);
        Pipework pipes = Pipework.of(option, standing);
        List<Body> bodies = new ArrayList<>(standing);
        bodies.addAll(pipes.asBodies());
        List<GapRow> rows = new ArrayList<>();
        for (int i = 0; i < bodies.size(); i++) {
            rows.addAll(toRoom(i, bodies, room, solids));
            for (int j = i + 1; j < bodies.size(); j++) {
                rows.addAll(beside(i, j, bodies, pipes, room));
            }
        }
        rows.sort(Comparator.comparingDouble(row -> -row.missing()));
        Fit fit = new Fit(
                List.copyOf(bodies),
                pipes,
                Bodies.without(option),
                Bodies.gone(option),
                List.copyOf(rows),
                AirBehind.of(bodies, room, solids),
                AirStack.of(option),
                ToolRoom.of(bodies, pipes, solids),
                List.of(),
                mountings(option, standing, room),
                IntStream.range(0, standing.size())
                        .filter(i -> !standing.get(i).stand().mounts().isEmpty())
                        .filter(i ->
                                BodyMass.of(option, standing.get(i).stand()).isEmpty())
                        .boxed()
                        .toList(),
                List.copyOf(solids));
        return fit.with(KeptIn.of(fit, room));
    }

    private Fit with(List<KeptIn> kept) {
        return kept.isEmpty()
                ? this
                : new Fit(bodies, pipes, unplaced, gone, gaps, air, stacks, clamps, kept, mountings, unweighed, solids);
    }

    private static List<Mounted> mountings(BuildOption option, List<Body> bodies, RoomSpec room) {
        List<Mounted> all = new ArrayList<>();
        for (int i = 0; i < bodies.size(); i++) {
            Stand stand = bodies.get(i).stand();
            OptionalDouble mass = BodyMass.of(option, stand);
            if (!stand.mounts().isEmpty() && mass.isPresent()) {
                all.add(new Mounted(i, Mounting.of(stand, bodies.get(i).solid(), mass.getAsDouble(), room)));
            }
        }
        return List.copyOf(all);
    }

    private static List<GapRow> toRoom(int i, List<Body> bodies, RoomSpec room, List<Solid> solids) {
        List<GapRow> rows = new ArrayList<>();
        for (int k = 0; k < solids.size(); k++) {
            for (Body part : Fittings.apart(bodies.get(i))) {
                toObstacle(i, part, k, room, solids.get(k)).ifPresent(rows::add);
            }
        }
        return rows;
    }

    /** What pipes are joined to counts without the joint. */
    private static List<GapRow> beside(int i, int j, List<Body> bodies, Pipework pipes, RoomSpec room) {
        int standing = bodies.size() - pipes.all().size();
        Body one = bodies.get(i);
        Body other = bodies.get(j);
        if (i >= standing) {
            if (pipes.goesOn(i - standing, j - standing)) {
                return List.of();
            }
            if (pipes.isForked(i - standing, j - standing)) {
                one = Fork.without(one);
                other = Fork.without(other);
            }
        } else if (j >= standing) {
            one = pipes.joint(j - standing, i).map(one::without).orElse(one);
        }
        List<GapRow> rows = new ArrayList<>();
        for (Body part : Fittings.apart(one)) {
            for (Body against : Fittings.apart(other)) {
                toBody(i, part, j, against, room).ifPresent(rows::add);
            }
        }
        return rows;
    }

    /** @return whether one of the two is a pipe on a port of the other, or goes on where the other ends */
    public boolean isJoined(int body, int other) {
        int standing = bodies.size() - pipes.all().size();
        int first = Math.min(body, other);
        int second = Math.max(body, other);
        return second >= standing
                && (first < standing
                        ? pipes.joint(second - standing, first).isPresent()
                        : pipes.goesOn(first - standing, second - standing));
    }

    /** @return of one body to the room and to every other */
    static List<GapRow> about(int body, List<Body> bodies, RoomSpec room, List<Solid> solids) {
        List<GapRow> rows = toRoom(body, bodies, room, solids);
        for (int j = 0; j < bodies.size(); j++) {
            if (j != body) {
                toBody(body, bodies.get(body), j, bodies.get(j), room).ifPresent(rows::add);
            }
        }
        return rows;
    }

    /** A relief valve asks for more than the pipe that it is on, unless the gap of what it is near is said. */
    private static AskedGap asked(Obstacle obstacle, Body body) {
        AskedGap asked = AskedGap.from(obstacle, body.stand().carrier());
        boolean floats = body.floats().isPresent()
                && obstacle.carrier().equals(body.stand().carrier());
        AskedGap rule = floats ? asked.asItMoves() : asked;
        return Fittings.isValve(body) && obstacle.gap().isEmpty() ? rule.atLeast(Fittings.VALVE_TO_ROOM) : rule;
    }

    private static AskedGap asked(Body body, Body other) {
        AskedGap asked = AskedGap.between(body.stand().carrier(), other.stand().carrier());
        boolean floats = body.stand().carrier().equals(other.stand().carrier())
                && body.floats().isPresent() != other.floats().isPresent();
        AskedGap rule = floats ? asked.asItMoves() : asked;
        return Fittings.isValve(body) || Fittings.isValve(other) ? rule.atLeast(Fittings.VALVE_TO_BUILD) : rule;
    }

    private static Optional<GapRow> toObstacle(int i, Body body, int k, RoomSpec room, Solid solid) {
        Obstacle obstacle = room.obstacles().get(k);
        return row(
                i,
                body,
                solid,
                obstacle.carrier(),
                Optional.empty(),
                room,
                asked(obstacle, body),
                OptionalInt.of(k),
                OptionalInt.empty(),
                obstacle.name());
    }

    private static Optional<GapRow> toBody(int i, Body body, int j, Body other, RoomSpec room) {
        return row(
                i,
                body,
                other.solid(),
                other.stand().carrier(),
                other.floats(),
                room,
                asked(body, other),
                OptionalInt.empty(),
                OptionalInt.of(j),
                other.name());
    }

    private static Optional<GapRow> row(
            int i,
            Body body,
            Solid against,
            String carrier,
            Optional<Floats> floats,
            RoomSpec room,
            AskedGap asked,
            OptionalInt obstacle,
            OptionalInt other,
            String name) {
        Optional<Gap> still = Gaps.between(body.solid(), against, HORIZON);
        if (still.isEmpty()) {
            return Optional.empty();
        }
        Gap gap = still.get();
        return Optional.of(new GapRow(
                i,
                body.solid().elements().get(gap.elementA()),
                obstacle,
                other,
                name,
                against.elements().get(gap.elementB()),
                gap.value(),
                moved(body, against, carrier, floats, room),
                asked,
                gap.apart().onA(),
                gap.apart().onB()));
    }

    /** Of two that hang on one carrier, what floats against what does not; two that float go along with one another. */
    private static OptionalDouble moved(
            Body body, Solid against, String carrier, Optional<Floats> floats, RoomSpec room) {
        if (carrier.equals(body.stand().carrier())) {
            if (body.floats().isPresent() == floats.isPresent()) {
                return OptionalDouble.empty();
            }
            Motion its = room.motion(carrier);
            return body.floats()
                    .map(f -> f.least(body.solid(), against, room.motion(f.with()), its, 2 * HORIZON))
                    .orElseGet(() -> floats.get()
                            .least(
                                    against,
                                    body.solid(),
                                    room.motion(floats.get().with()),
                                    its,
                                    2 * HORIZON));
        }
        Motion own = room.motion(body.stand().carrier());
        Motion others = room.motion(carrier);
        return Gaps.moved(body.solid(), own, against, others, 2 * HORIZON)
                .map(g -> OptionalDouble.of(g.value()))
                .orElse(OptionalDouble.empty());
    }

    /** @return what of the laid pipes cannot be made as they are laid */
    public List<Buildable.Fault> unbuildable() {
        return pipes.all().stream()
                .flatMap(l -> Buildable.of(l, pipes.run(l)).stream())
                .toList();
    }

    /** @return whether all gaps are as asked */
    public boolean fits() {
        return gaps.stream().noneMatch(GapRow::isShort);
    }

    /** What is asked at the end, with the bonnet shut, the wheels at full lock, the engine rocking. */
    public enum Trial {
        BONNET_SHUT,
        FULL_LOCK,
        ENGINE_ROCKING
    }

    /** @return the gap that decides it, the worst of those it looks at; empty when there is none to look at */
    public Optional<GapRow> decides(Trial trial, RoomSpec room) {
        Predicate<GapRow> of = switch (trial) {
            case BONNET_SHUT -> row -> nature(row, room) == Nature.BONNET;
            case FULL_LOCK -> row -> nature(row, room) == Nature.TYRE;
            case ENGINE_ROCKING -> row -> row.moved().isPresent();
        };
        return gaps.stream().filter(of).max(Comparator.comparingDouble(GapRow::missing));
    }

    private static Nature nature(GapRow row, RoomSpec room) {
        return row.obstacle().isEmpty()
                ? Nature.BODY
                : room.obstacles().get(row.obstacle().getAsInt()).nature();
    }
}
