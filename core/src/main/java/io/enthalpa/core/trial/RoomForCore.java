package io.enthalpa.core.trial;

import io.enthalpa.core.build.Build;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.chargepath.PathElement.Core;
import io.enthalpa.core.chargepath.Pieces;
import io.enthalpa.core.chargepath.Pieces.Placed;
import io.enthalpa.core.envelope.LargestCore;
import io.enthalpa.core.exchanger.CoreSize;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fit.Fit;
import io.enthalpa.core.room.Obstacle;
import io.enthalpa.core.room.RoomSpec;
import io.enthalpa.core.room.Stand;
import io.enthalpa.core.space.Gaps;
import io.enthalpa.core.space.Solid;
import io.enthalpa.core.space.Way;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/** The largest core that passes at a place, and what it gains by moving what can be moved, each through the whole duty. */
public final class RoomForCore {
    /** m: a core is ordered by the whole millimetre. */
    private static final double STEP = 1e-3;
    /** Share of volume that is worth moving something for; common practice, no source. */
    private static final double WORTH_MOVING = 0.03;
    /** Share of what taking it out altogether would gain that a shift must bring. */
    private static final double MOST_OF_IT = 0.9;
    /** m that are tried, the nearest first. */
    private static final double[] SHIFTS = {20e-3, 40e-3, 60e-3, 100e-3, 150e-3};
    /** Boxes looked at for each: there are many. */
    private static final int BOXES = 300;
    /** m: what comes as near as that touches. */
    private static final double TOUCHES = 1e-3;

    private final BuildOption option;
    private final RoomSpec room;
    private final Fit fit;
    private final int body;
    private final LargestCore.Wanted wanted;

    private RoomForCore(Build build, String letter, int body, LargestCore.Wanted wanted) {
        this.option = build.option(letter);
        this.room = build.room().orElseThrow();
        this.fit = Fit.of(option, room);
        this.body = body;
        this.wanted = wanted;
    }

    /**
     * @param core   as it passes, to the millimetre below
     * @param more   volume of its block over that of the core in hand
     * @param option with it in its place
     * @param change over the duty; empty where it has no answer
     * @param why     it has none; empty where it has one
     */
    public record Place(
            LargestCore core, double more, BuildOption option, Optional<Change> change, Optional<EnthalpaFault> why) {}

    /**
     * @param obstacle number of what is moved
     * @param way      it goes; empty for out of the way altogether, where no way nearer gains as much
     * @param by       m
     * @param place    what passes then
     */
    public record Moved(int obstacle, Optional<Way> way, double by, Place place) {}

    /** @param places each way to stand it, those that face as it does now first, then the largest @param moved what is worth moving, for the first of them */
    public record Found(List<Place> places, List<Moved> moved) {}

    /**
     * @param body number of the core among the bodies of the option's fit
     */
    public static Found of(Build build, String letter, int body, LargestCore.Wanted wanted) {
        return new RoomForCore(build, letter, body, wanted).found(new Trials(build, letter));
    }

    private Found found(Trials trials) {
        List<LargestCore> cores = LargestCore.of(option, room, fit, body, wanted);
        List<Place> places = priced(trials, cores);
        List<Moved> moved = new ArrayList<>();
        for (int k = 0; !cores.isEmpty() && k < room.obstacles().size(); k++) {
            if (room.obstacles().get(k).moving().isPresent()) {
                moved(trials, cores.get(0), k).ifPresent(moved::add);
            }
        }
        return new Found(places, List.copyOf(moved));
    }

    private Placed<Core> piece() {
        Stand stand = fit.bodies().get(body).stand();
        return Pieces.of(Core.class, option.path()).stream()
                .filter(c -> c.piece().name().equals(stand.of()))
                .findFirst()
                .orElseThrow();
    }

    private List<Place> priced(Trials trials, List<LargestCore> cores) {
        List<Candidate> candidates = new ArrayList<>();
        List<BuildOption> options = new ArrayList<>();
        for (LargestCore core : cores) {
            BuildOption with = with(core);
            options.add(with);
            candidates.add(new Candidate(What.CORE_SIZE, piece().piece().name(), with));
        }
        List<Change> changes = trials.of(candidates);
        List<Place> places = new ArrayList<>();
        double now = piece().piece().spec().size().volume();
        for (int i = 0; i < options.size(); i++) {
            BuildOption with = options.get(i);
            Optional<Change> change =
                    changes.stream().filter(c -> c.option().equals(with)).findFirst();
            places.add(new Place(
                    cores.get(i),
                    whole(cores.get(i).size()).volume() / now,
                    with,
                    change,
                    change.isPresent() ? Optional.empty() : trials.refusal(with)));
        }
        return List.copyOf(places);
    }

    private BuildOption with(LargestCore core) {
        int index = fit.bodies().get(body).index();
        List<Stand> stands = new ArrayList<>(option.stands());
        stands.set(index, core.stand());
        return option.with(piece(), c -> c.withSpec(core.of(c.spec()).withSize(whole(core.size()))))
                .withStands(stands);
    }

    private static CoreSize whole(CoreSize size) {
        return new CoreSize(down(size.width()), down(size.height()), down(size.depth()));
    }

    private static double down(double length) {
        return Math.floor(length / STEP + 1e-6) * STEP;
    }

    /** Only where it is out of the way altogether enough is gained is the nearest shift looked for that gains most of that. */
    private Optional<Moved> moved(Trials trials, LargestCore now, int k) {
        Optional<LargestCore> without = largest(
                now, Optional.empty(), k, new LargestCore.Search(now.size().volume(), 5 * BOXES));
        double volume = now.size().volume();
        double gain = without.map(c -> c.size().volume() / volume - 1).orElse(0.0);
        if (gain < WORTH_MOVING) {
            return Optional.empty();
        }
        double most = volume * (1 + MOST_OF_IT * gain);
        for (double by : SHIFTS) {
            Optional<Shift> shift = Arrays.stream(Way.values())
                    .parallel()
                    .flatMap(way -> shift(now, k, way, by, most).stream())
                    .findFirst();
            if (shift.isPresent()) {
                return place(trials.in(roomWith(k, Optional.of(shift.get().there))), shift.get().core)
                        .map(p -> new Moved(k, Optional.of(shift.get().way), by, p));
            }
        }
        return place(trials.in(roomWith(k, Optional.empty())), without.orElseThrow())
                .map(p -> new Moved(k, Optional.empty(), 0, p));
    }

    private record Shift(Way way, Obstacle there, LargestCore core) {}

    /** Empty where it strikes something or gains too little. */
    private Optional<Shift> shift(LargestCore now, int k, Way way, double by, double most) {
        Vector3D v = way.vector().scalarMultiply(by);
        Obstacle there = room.obstacles().get(k).shifted(v.getX(), v.getY(), v.getZ());
        return strikes(there, k)
                ? Optional.empty()
                : largest(now, Optional.of(there), k, new LargestCore.Search(most, BOXES))
                        .map(core -> new Shift(way, there, core));
    }

    private Optional<Place> place(Trials trials, LargestCore core) {
        return priced(trials, List.of(core)).stream().findFirst();
    }

    private Optional<LargestCore> largest(LargestCore as, Optional<Obstacle> there, int k, LargestCore.Search search) {
        List<Solid> solids = new ArrayList<>(fit.solids());
        if (there.isPresent()) {
            solids.set(k, there.get().solid());
        } else {
            solids.remove(k);
        }
        RoomSpec other = roomWith(k, there);
        return LargestCore.of(
                option, other, Fit.of(option, other, solids), body, wanted, as.facing(), as.towards(), search);
    }

    /** @param there where an obstacle stands then; empty where it is out of the way */
    private RoomSpec roomWith(int k, Optional<Obstacle> there) {
        List<Obstacle> others = new ArrayList<>(room.obstacles());
        there.ifPresentOrElse(o -> others.set(k, o), () -> others.remove(k));
        return new RoomSpec(room.datum(), room.carriers(), others);
    }

    /** Whether it would stand deeper in something than it does where it is. */
    private boolean strikes(Obstacle there, int k) {
        Solid solid = there.solid();
        Solid before = fit.solids().get(k);
        for (int i = 0; i < fit.solids().size(); i++) {
            if (i != k
                    && inside(solid, fit.solids().get(i))
                            > inside(before, fit.solids().get(i)) + TOUCHES) {
                return true;
            }
        }
        for (int j = 0; j < fit.bodies().size(); j++) {
            if (j != body && inside(solid, fit.bodies().get(j).solid()) > TOUCHES) {
                return true;
            }
        }
        return false;
    }

    /** m that one stands in the other; 0 where it does not, and of two planes. */
    private static double inside(Solid a, Solid b) {
        return a.half().isPresent() && b.half().isPresent()
                ? 0
                : Gaps.between(a, b, 0).map(g -> -g.value()).orElse(0.0);
    }
}
