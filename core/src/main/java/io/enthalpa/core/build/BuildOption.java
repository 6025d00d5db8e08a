package io.enthalpa.core.build;

import io.enthalpa.core.chargepath.CoolingSide;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.chargepath.Pieces;
import io.enthalpa.core.coolingair.AirWaySpec;
import io.enthalpa.core.room.Stand;
import io.enthalpa.core.route.JointsSpec;
import io.enthalpa.core.route.Run;
import io.enthalpa.core.waterloop.WaterLoopSpec;
import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;

/**
 * One way of doing the job. Its {@code with...} make another that differs in one thing: what tries a change does so with them.
 *
 * @param letter "A"
 * @param name   "stock core"
 * @param boost  Pa above ambient, asked for at full load
 * @param path   from filter to plenum
 * @param airWays through which cooling air comes; what stands in none takes its own share of road speed
 * @param stands  where its bodies stand in the room; what has none is not counted there
 * @param runs    how its pipes are laid; what has none is as long as it is said to be
 * @param joints  how its pipes are joined
 */
public record BuildOption(
        String letter,
        String name,
        double boost,
        List<PathElement> path,
        List<AirWaySpec> airWays,
        List<Stand> stands,
        List<Run> runs,
        JointsSpec joints) {
    public BuildOption {
        path = List.copyOf(path);
        airWays = List.copyOf(airWays);
        stands = List.copyOf(stands);
        runs = List.copyOf(runs);
    }

    /** With nothing placed in a room. */
    public BuildOption(String letter, String name, double boost, List<PathElement> path, List<AirWaySpec> airWays) {
        this(letter, name, boost, path, airWays, List.of(), List.of(), JointsSpec.USUAL);
    }

    /** With no pipe laid. */
    public BuildOption(
            String letter,
            String name,
            double boost,
            List<PathElement> path,
            List<AirWaySpec> airWays,
            List<Stand> stands) {
        this(letter, name, boost, path, airWays, stands, List.of(), JointsSpec.USUAL);
    }

    /** @return with other ways of the air */
    public BuildOption withWays(List<AirWaySpec> others) {
        return new BuildOption(letter, name, boost, path, others, stands, runs, joints);
    }

    /** @return called otherwise */
    public BuildOption named(String other) {
        return new BuildOption(letter, other, boost, path, airWays, stands, runs, joints);
    }

    public BuildOption withStands(List<Stand> others) {
        return new BuildOption(letter, name, boost, path, airWays, others, runs, joints);
    }

    public BuildOption withRuns(List<Run> others) {
        return new BuildOption(letter, name, boost, path, airWays, stands, others, joints);
    }

    /** @return joined otherwise */
    public BuildOption withJoints(JointsSpec others) {
        return new BuildOption(letter, name, boost, path, airWays, stands, runs, others);
    }

    public BuildOption withPath(List<PathElement> other) {
        return new BuildOption(letter, name, boost, other, airWays, stands, runs, joints);
    }

    /** @return with one piece changed, as it is now */
    @SuppressWarnings("unchecked")
    public <P extends PathElement> BuildOption with(Pieces.Placed<P> placed, UnaryOperator<P> change) {
        return withPath(Pieces.with(placed.spot(), path, piece -> change.apply((P) piece)));
    }

    /** @param core cooled by water @return with its loop changed */
    public BuildOption withLoop(Pieces.Placed<PathElement.Core> core, UnaryOperator<WaterLoopSpec> change) {
        return with(
                core,
                c -> c.withCooling(new CoolingSide.Water(change.apply(c.loop().orElseThrow()))));
    }

    /** @return with one way of the air changed */
    public BuildOption withWay(int way, UnaryOperator<AirWaySpec> change) {
        List<AirWaySpec> ways = new ArrayList<>(airWays);
        ways.set(way, change.apply(ways.get(way)));
        return withWays(ways);
    }

    /** @return whether what stands in the room changes what is computed of it: its pipes are laid there, or its air is let in and out there */
    public boolean takesFromRoom() {
        return !runs.isEmpty()
                || airWays.stream()
                        .flatMap(way -> way.inRoom().stream())
                        .anyMatch(way -> way.wallsFromRoom() || way.exitFromRoom());
    }

    /** @return whether a way of the air brings what meets a core, or its radiator */
    public boolean isInWay(PathElement.Core core) {
        return airWays.stream()
                .flatMap(way -> way.layers().stream())
                .anyMatch(layer -> !layer.isOther() && layer.name().equals(core.name()));
    }
}
