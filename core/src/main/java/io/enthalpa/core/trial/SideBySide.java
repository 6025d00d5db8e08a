package io.enthalpa.core.trial;

import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.fit.Passable;
import io.enthalpa.core.room.RoomSpec;
import io.enthalpa.core.route.Run;
import io.enthalpa.core.route.RunName;
import io.enthalpa.core.router.Router;
import io.enthalpa.core.router.Taste;
import io.enthalpa.core.space.Solid;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.BooleanSupplier;

/**
 * Ways for two tubes in place of one. The cheapest way of the one may lie across that of the other, which then has to go the long way round and
 * takes less than its share of the air: other ways of the first are looked at until the two are about as long as each other.
 */
record SideBySide(RoomSpec room, List<Solid> solids, Taste taste, BooleanSupplier cancelled) {
    /** Of how much longer the one is than the other, at which the two count as side by side; common practice, no source. */
    private static final double ALIKE = 1.25;

    /** @param total m, both together @param alike whether the two are about as long as each other */
    record Pair(BuildOption option, List<RunName> names, double total, boolean alike) {}

    private record Leg(BuildOption option, double length) {}

    /** @param size m, of each @return those about as long as each other first, of them the shortest in all */
    List<Pair> of(BuildOption option, Passable asked, double size) {
        List<Pair> found = new ArrayList<>();
        for (double parts : TwoTubes.PARTS) {
            TwoTubes tubes = TwoTubes.of(option, asked, size, parts);
            // The outer round a bend goes round the inner, not the other way about: either may be laid first.
            for (int first = 0; first < 2; first++) {
                for (Leg one : legs(tubes, first, tubes.option())) {
                    Optional<Leg> other = leg(tubes, 1 - first, one.option);
                    other.ifPresent(o -> found.add(pair(tubes, one, o)));
                    if (!found.isEmpty() && found.get(found.size() - 1).alike()) {
                        return sorted(found);
                    }
                }
            }
        }
        return sorted(found);
    }

    private static Pair pair(TwoTubes tubes, Leg one, Leg other) {
        return new Pair(
                other.option,
                tubes.names().stream().map(RunName::ofPipe).toList(),
                one.length + other.length,
                Math.max(one.length, other.length) <= ALIKE * Math.min(one.length, other.length));
    }

    private static List<Pair> sorted(List<Pair> found) {
        return found.stream()
                .sorted(Comparator.comparing(Pair::alike).reversed().thenComparingDouble(Pair::total))
                .toList();
    }

    /** With one leg laid more, each by a way of its own. */
    private List<Leg> legs(TwoTubes tubes, int number, BuildOption option) {
        BuildOption in = begun(tubes, number, option);
        Passable leg = passable(tubes, number, in);
        return router(leg).ways(taste).stream().map(way -> laid(in, leg, way)).toList();
    }

    private Optional<Leg> leg(TwoTubes tubes, int number, BuildOption option) {
        BuildOption in = begun(tubes, number, option);
        Passable leg = passable(tubes, number, in);
        return router(leg).one(taste).map(way -> laid(in, leg, way));
    }

    private static BuildOption begun(TwoTubes tubes, int number, BuildOption option) {
        Optional<Run> typed = tubes.typed(number);
        return typed.isPresent() ? PipeWays.with(option, typed.get()) : option;
    }

    private Passable passable(TwoTubes tubes, int number, BuildOption in) {
        return Passable.of(in, room, solids, RunName.ofPipe(tubes.names().get(number)));
    }

    private Router router(Passable leg) {
        return new Router(leg.tube(), leg.start(), leg.end(), leg.keepouts(), cancelled);
    }

    private static Leg laid(BuildOption in, Passable leg, Router.Way way) {
        return new Leg(PipeWays.with(in, leg.run(way.spec())), way.length());
    }
}
