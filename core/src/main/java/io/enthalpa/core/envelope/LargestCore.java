package io.enthalpa.core.envelope;

import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.chargepath.Pieces;
import io.enthalpa.core.exchanger.CoreSize;
import io.enthalpa.core.exchanger.CoreSpec;
import io.enthalpa.core.exchanger.PortSide;
import io.enthalpa.core.fit.AirBehind;
import io.enthalpa.core.fit.Body;
import io.enthalpa.core.fit.Fit;
import io.enthalpa.core.room.AskedGap;
import io.enthalpa.core.room.Obstacle;
import io.enthalpa.core.room.RoomSpec;
import io.enthalpa.core.room.Stand;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import io.enthalpa.core.space.Bounds;
import io.enthalpa.core.space.Pose;
import io.enthalpa.core.space.Solid;
import io.enthalpa.core.space.Way;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * The largest core that passes at a place, one way of standing it.
 *
 * @param facing  which way the air goes through it
 * @param towards which way the inlet's tank looks before the core is turned
 * @param size    m, of its block
 * @param stand   where it stands
 * @param stops   what stops it, one for each side of the room that something stops it on
 * @param certain whether no larger one was missed for want of time
 */
public record LargestCore(
        Facing facing, PortSide towards, CoreSize size, Stand stand, List<Stop> stops, boolean certain) {
    public static final Method METHOD = Method.of(
                    "envelope",
                    "Largest core at a place",
                    "The best box is looked for first: one that strikes something is replaced by the up to six that miss the point of it "
                            + "that is nearest to the place, each with one face moved in by as little as it takes. The first box that strikes nothing is the "
                            + "largest. It is then filled out face by face, with the gaps as the list of gaps has them, standing and moved.")
            .formula(
                    "volume of the finned block, no deeper than asked; tanks, ports and clamps stand round it as on the core in hand, and where that is asked "
                            + "75 mm of free air behind all of it")
            .source(
                    Citation.fromMemory(
                            "Breuel",
                            2002,
                            "two geometric algorithms for layout analysis: the largest empty rectangle by branch and bound"),
                    Citation.commonPractice("what stops a core on each side is what the fabricator wants to know"))
            .leavesOut(
                    "Boxes that miss a rounded corner by half of the gap on each of two faces are found only when filled out: a result may be 2 mm short of the "
                            + "largest on a face. Nothing is looked for beyond what was measured. Where the search is stopped by its budget the answer says so. Whether air gets there.");

    /**
     * @param side in the room, that the core is stopped on
     * @param name of what stops it
     * @param place its number among the obstacles; of a body of the option counted on behind them
     */
    public record Stop(Way side, String name, int place) {}

    /**
     * How far is looked.
     *
     * @param least m3: no smaller block is of interest
     * @param boxes that are looked at, at most
     */
    public record Search(double least, int boxes) {}

    /**
     * What is looked for.
     *
     * @param at      the place that must lie in it, m
     * @param deepest m, of its block
     * @param behind  m of free air wanted behind the whole of the block, of everything that stops air; 0 where that is not asked
     */
    public record Wanted(Vector3D at, double deepest, double behind) {}

    /** A second of looking for all ways to stand it in a full room. */
    private static final int BOXES = 800;

    /** @return the core of a stand with the block as it would be */
    public CoreSpec of(CoreSpec now) {
        return now.turnedTo(towards).withSize(size);
    }

    /**
     * @param body number of the core among the bodies of the fit
     * @return of each sensible way to stand it the largest that passes, those that face as it does now first, then the largest
     */
    public static List<LargestCore> of(BuildOption option, RoomSpec room, Fit fit, int body, Wanted wanted) {
        Stand stand = fit.bodies().get(body).stand();
        List<LargestCore> all = new ArrayList<>();
        for (Facing facing : Facing.values()) {
            if (facing == Facing.AS_IT_STANDS
                    && Stream.of(Facing.FRONT, Facing.FLAT, Facing.SIDE).anyMatch(f -> f.isAlike(stand))) {
                continue;
            }
            for (PortSide towards : sides(core(option, stand))) {
                of(option, room, fit, body, wanted, facing, towards, new Search(0, BOXES))
                        .ifPresent(all::add);
            }
        }
        all.sort(Comparator.comparing((LargestCore core) -> !core.facing.isAlike(stand))
                .thenComparingDouble(core -> -core.size.volume()));
        return all;
    }

    /** @return the largest that passes stood so; empty when none does */
    public static Optional<LargestCore> of(
            BuildOption option,
            RoomSpec room,
            Fit fit,
            int body,
            Wanted wanted,
            Facing facing,
            PortSide towards,
            Search search) {
        Stand turned = facing.turn(fit.bodies().get(body).stand().at(wanted.at));
        CoreSpec now = core(option, turned);
        CoreSpec template = now.turnedTo(towards);
        List<Neighbour> all = neighbours(room, fit, body, turned.carrier());
        if (wanted.behind > 0) {
            all.addAll(all.stream()
                    .filter(n -> stopsAir(n.place(), room, fit))
                    .map(Neighbour::ofAir)
                    .toList());
        }
        Envelope envelope = new Envelope(all, measured(fit));
        return envelope.search(turned.pose(), template, wanted, search.least, search.boxes)
                .map(found -> result(envelope, found, facing, towards, turned));
    }

    /** As far as anything stands that was measured or placed. */
    private static Bounds measured(Fit fit) {
        return Stream.concat(fit.solids().stream(), fit.bodies().stream().map(Body::solid))
                .flatMap(s -> s.bounds().stream())
                .reduce(Bounds::with)
                .orElseThrow();
    }

    /** Level and on end, the inlet on the side it is on now where that is one of them. */
    private static List<PortSide> sides(CoreSpec now) {
        return now.isOnEnd() ? List.of(now.inletTowards(), PortSide.LEFT) : List.of(now.inletTowards(), PortSide.UP);
    }

    private static CoreSpec core(BuildOption option, Stand stand) {
        return Pieces.cores(option.path()).stream()
                .filter(c -> c.name().equals(stand.of()))
                .map(PathElement.Core::spec)
                .findFirst()
                .orElseThrow();
    }

    private static boolean stopsAir(int place, RoomSpec room, Fit fit) {
        int obstacles = room.obstacles().size();
        return place < obstacles
                ? AirBehind.stops(room.obstacles().get(place).nature())
                : AirBehind.stops(fit.bodies().get(place - obstacles).stand().what());
    }

    private static List<Neighbour> neighbours(RoomSpec room, Fit fit, int body, String carrier) {
        List<Neighbour> all = new ArrayList<>();
        for (int k = 0; k < room.obstacles().size(); k++) {
            Obstacle o = room.obstacles().get(k);
            all.add(neighbour(room, o.name(), fit.solids().get(k), AskedGap.from(o, carrier), carrier, o.carrier(), k));
        }
        for (int j = 0; j < fit.bodies().size(); j++) {
            Body other = fit.bodies().get(j);
            // What is on its ports goes along with them.
            if (j != body && !fit.isJoined(body, j)) {
                String its = other.stand().carrier();
                all.add(neighbour(
                        room,
                        other.name(),
                        other.solid(),
                        AskedGap.between(carrier, its),
                        carrier,
                        its,
                        room.obstacles().size() + j));
            }
        }
        return all;
    }

    private static Neighbour neighbour(
            RoomSpec room, String name, Solid solid, AskedGap asked, String carrier, String its, int place) {
        return new Neighbour(
                name, solid, asked, room.motion(carrier), room.motion(its), !carrier.equals(its), place, false);
    }

    private static LargestCore result(
            Envelope envelope, Envelope.Found found, Facing facing, PortSide towards, Stand turned) {
        Box box = found.box();
        List<Optional<Neighbour>> stopped = envelope.stops(box);
        List<Stop> stops = new ArrayList<>();
        for (int side = 0; side < Box.SIDES; side++) {
            Way way = way(turned.pose(), side);
            stopped.get(side).ifPresent(n -> stops.add(new Stop(way, n.name(), n.place())));
        }
        return new LargestCore(
                facing, towards, box.size(), turned.at(box.place()), List.copyOf(stops), found.certain());
    }

    /** The way in the room that a face of the core looks to, nearest. */
    private static Way way(Pose pose, int side) {
        Vector3D own = Box.axis(side);
        Vector3D out = pose.turn().applyTo(own.scalarMultiply(Box.outwards(side)));
        Way best = Way.UP;
        for (Way way : Way.values()) {
            if (way.vector().dotProduct(out) > best.vector().dotProduct(out)) {
                best = way;
            }
        }
        return best;
    }
}
