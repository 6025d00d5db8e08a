package io.enthalpa.core.trial;

import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.chargepath.CoolingSide;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.chargepath.PathElement.Core;
import io.enthalpa.core.chargepath.Pieces;
import io.enthalpa.core.chargepath.Pieces.Placed;
import io.enthalpa.core.chargepath.PlenumWallSpec;
import io.enthalpa.core.coolingair.AirWaySpec;
import io.enthalpa.core.coolingair.FaceAirSpec;
import io.enthalpa.core.coolingair.OpeningSpec;
import io.enthalpa.core.coolingair.WayInRoom;
import io.enthalpa.core.exchanger.CoreSize;
import io.enthalpa.core.loss.StandardSizes;
import io.enthalpa.core.waterloop.IceSpec;
import io.enthalpa.core.waterloop.LoopPiece;
import io.enthalpa.core.waterloop.RadiatorSpec;
import io.enthalpa.core.waterloop.WaterLoopSpec;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;

/** The single changes that a fabricator would think of: the next pipe size, a larger core, a better fed face, more water. */
final class Candidates {
    private static final double PER_MINUTE = 1e-3 / 60;
    /** An open front is fed no better, share of road speed; common practice, no source. */
    private static final double BEST_FED = 0.6;
    /** What a fan of usual size still moves through a face when standing, m/s; common practice, no source. */
    private static final double BY_FAN = 2;
    /** A foamed stack; common practice, no source. */
    private static final double WELL_SEALED = 0.97;
    /** K that an intake with a cold-air feed warms; common practice, no source. */
    private static final double COLD_FEED = 2;
    /** W/K through a plenum's flange with a spacer; common practice, no source. */
    private static final double THROUGH_SPACER = 2;
    /** How far a plate is moved out of the way, m. */
    private static final double OUT_OF_THE_WAY = 60e-3;

    private final BuildOption option;
    private final List<Candidate> all = new ArrayList<>();

    private Candidates(BuildOption option) {
        this.option = option;
    }

    static List<Candidate> of(BuildOption option) {
        Candidates candidates = new Candidates(option);
        Pieces.of(PathElement.Filter.class, option.path()).forEach(candidates::filter);
        Pieces.of(PathElement.Plenum.class, option.path()).forEach(candidates::plenum);
        Pieces.of(PathElement.Pipe.class, option.path()).forEach(candidates::pipe);
        Pieces.of(Core.class, option.path()).forEach(candidates::core);
        for (int way = 0; way < option.airWays().size(); way++) {
            candidates.way(way);
        }
        return candidates.all;
    }

    private void add(What what, String of, BuildOption other) {
        all.add(new Candidate(what, of, other));
    }

    private void filter(Placed<PathElement.Filter> filter) {
        if (filter.piece().bayShare() > 0.05) {
            add(What.INTAKE, filter.piece().name(), option.with(filter, f -> f.withBayShare(0)));
        }
        if (filter.piece().heatGain() > COLD_FEED + 1) {
            add(What.INTAKE, filter.piece().name(), option.with(filter, f -> f.withHeatGain(COLD_FEED)));
        }
    }

    private void plenum(Placed<PathElement.Plenum> plenum) {
        plenum.piece()
                .wall()
                .filter(wall -> wall.toHead() > THROUGH_SPACER + 1)
                .ifPresent(wall -> add(
                        What.PLENUM,
                        plenum.piece().name(),
                        option.with(
                                plenum,
                                p -> p.withWall(
                                        new PlenumWallSpec(wall.mass(), wall.area(), wall.head(), THROUGH_SPACER)))));
    }

    private void pipe(Placed<PathElement.Pipe> pipe) {
        pipe.piece().larger().ifPresent(larger -> add(What.PIPE, larger.name(), option.with(pipe, p -> larger)));
    }

    private void core(Placed<Core> core) {
        Map<MoreCore.Step, BuildOption> more = MoreCore.of(option, core);
        add(What.CORE_SIZE, core.piece().name(), more.get(MoreCore.Step.DEEPER));
        add(What.CORE_SIZE, core.piece().name(), more.get(MoreCore.Step.HIGHER));
        add(What.CORE_SIZE, core.piece().name(), more.get(MoreCore.Step.WIDER));
        if (core.piece().cooling() instanceof CoolingSide.Air air) {
            if (!option.isInWay(core.piece())) {
                face(air.face())
                        .forEach(face -> add(
                                What.FACE_AIR,
                                core.piece().name(),
                                option.with(core, c -> c.withCooling(new CoolingSide.Air(face)))));
            }
        } else {
            core.piece().loop().ifPresent(loop -> water(core, loop));
        }
    }

    /** Better fed, and a fan. */
    private static List<FaceAirSpec> face(FaceAirSpec now) {
        List<FaceAirSpec> better = new ArrayList<>();
        double share = Math.min(StandardSizes.round(now.speedShare() * 1.3, 0.01), BEST_FED);
        if (share > now.speedShare()) {
            better.add(new FaceAirSpec(share, now.standstillSpeed()));
        }
        if (now.standstillSpeed() < BY_FAN) {
            better.add(new FaceAirSpec(now.speedShare(), BY_FAN));
        }
        return better;
    }

    private void water(Placed<Core> core, WaterLoopSpec loop) {
        loop.measured()
                .ifPresent(flow -> loop(
                        core,
                        What.WATER,
                        core.piece().name(),
                        l -> l.withMeasured(Math.max(StandardSizes.round(flow * 1.5, PER_MINUTE), flow))));
        loop(core, What.WATER, core.piece().name(), l -> l.withVolume(2 * l.volume()));
        loop.pieces().stream()
                .filter(p -> p.bore() > 0 && !(p instanceof LoopPiece.Pump))
                .min(Comparator.comparingDouble(LoopPiece::bore))
                .ifPresent(narrow -> StandardSizes.HOSES
                        .above(narrow.bore() * 1.3)
                        .ifPresent(bore -> {
                            int index = loop.pieces().indexOf(narrow);
                            loop(
                                    core,
                                    What.WATER,
                                    narrow.name(),
                                    l -> l.withPieces(replaced(l.pieces(), index, narrow.withBore(bore))));
                        }));
        loop.radiator().ifPresent(radiator -> radiator(core, radiator));
        loop.tank().map(tank -> tank.ice()).filter(ice -> ice.mass() > 0).ifPresent(ice -> ice(core, ice));
        loop.chiller()
                .ifPresent(chiller -> loop(
                        core,
                        What.CHILLER,
                        "chiller",
                        l -> l.withChiller(chiller.withCapacity(StandardSizes.round(chiller.capacity() * 1.5, 100)))));
    }

    private void radiator(Placed<Core> core, RadiatorSpec radiator) {
        CoreSize size = radiator.size();
        List<CoreSize> larger = List.of(
                size.withHeight(StandardSizes.upTo(size.height() * 1.25, 10e-3)),
                size.withDepth(StandardSizes.upTo(size.depth() * 1.5, 2e-3)));
        larger.forEach(other -> loop(
                core,
                What.RADIATOR,
                "radiator",
                l -> l.withRadiator(new RadiatorSpec(other, radiator.basis(), radiator.air()))));
        if (!option.isInWay(core.piece())) {
            face(radiator.air()).stream()
                    .filter(face -> face.speedShare() > radiator.air().speedShare())
                    .forEach(face -> loop(
                            core,
                            What.FACE_AIR,
                            core.piece().name(),
                            l -> l.withRadiator(new RadiatorSpec(size, radiator.basis(), face))));
        }
    }

    private void ice(Placed<Core> core, IceSpec ice) {
        double more = Math.max(StandardSizes.round(ice.mass() * 1.5, 1), ice.mass());
        loop(core, What.ICE, "ice tank", withIce(new IceSpec(more, ice.piece(), ice.stir())));
        if (ice.piece() > 12e-3) {
            loop(
                    core,
                    What.ICE,
                    "ice tank",
                    withIce(new IceSpec(ice.mass(), StandardSizes.round(ice.piece() / 2, 1e-3), ice.stir())));
        }
    }

    private static UnaryOperator<WaterLoopSpec> withIce(IceSpec ice) {
        return l -> l.withTank(l.tank().orElseThrow().withIce(ice));
    }

    static List<LoopPiece> replaced(List<LoopPiece> pieces, int index, LoopPiece other) {
        List<LoopPiece> all = new ArrayList<>(pieces);
        all.set(index, other);
        return all;
    }

    private void loop(Placed<Core> core, What what, String of, UnaryOperator<WaterLoopSpec> change) {
        Optional<WaterLoopSpec> changed = Loops.made(core.piece().loop().orElseThrow(), change);
        changed.ifPresent(loop -> add(what, of, option.withLoop(core, l -> loop)));
    }

    /** Better sealed, more exit, and each wall moved out of the way, up or down. */
    private void way(int number) {
        AirWaySpec way = option.airWays().get(number);
        OpeningSpec opening = way.opening();
        if (way.seal() < WELL_SEALED) {
            add(What.AIR_WAY, way.name(), option.withWay(number, w -> w.withSeal(WELL_SEALED)));
        }
        // What is taken from the room changes by moving something there, and not by typing.
        if (way.inRoom().filter(WayInRoom::exitFromRoom).isEmpty()) {
            add(
                    What.AIR_WAY,
                    way.name(),
                    option.withWay(number, w -> w.withExitArea(StandardSizes.upTo(way.exitArea() * 1.4, 50e-4))));
        }
        add(
                What.AIR_WAY,
                way.name(),
                option.withWay(
                        number,
                        w -> w.withOpening(opening.withHeight(StandardSizes.upTo(opening.height() * 1.25, 5e-3)))));
        boolean typed = way.inRoom().filter(WayInRoom::wallsFromRoom).isEmpty();
        for (int k = 0; typed && k < opening.walls().size(); k++) {
            OpeningSpec.Wall wall = opening.walls().get(k);
            double up = wall.up() + (wall.up() < 0 ? -OUT_OF_THE_WAY : OUT_OF_THE_WAY);
            List<OpeningSpec.Wall> walls = new ArrayList<>(opening.walls());
            walls.set(k, new OpeningSpec.Wall(wall.name(), wall.width(), wall.height(), wall.across(), up));
            add(What.AIR_WAY, wall.name(), option.withWay(number, w -> w.withOpening(opening.withWalls(walls))));
        }
    }
}
