package io.enthalpa.core.joint;

import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.chargepath.PathElement.Pipe;
import io.enthalpa.core.chargepath.Pieces;
import io.enthalpa.core.chargepath.PipeWallSpec;
import io.enthalpa.core.fit.Fit;
import io.enthalpa.core.fit.GapRow;
import io.enthalpa.core.loss.PipeMaterial;
import io.enthalpa.core.room.Carrier;
import io.enthalpa.core.room.RoomSpec;
import io.enthalpa.core.room.Stand;
import io.enthalpa.core.route.Coupling;
import io.enthalpa.core.route.Joining;
import io.enthalpa.core.route.JointsSpec;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.Stream;

/**
 * One of the ways in which shops do it, with what comes of it for this option.
 *
 * @param matter  that they differ in
 * @param choice  {@link Coupling}, name of a carrier, or {@link PipeMaterial}
 * @param now     whether the option is made so
 * @param option  made so
 * @param unsound joints that do not bear what they must
 * @param tight   gaps that are less than asked; empty where the room is not measured
 */
public record School(
        Matter matter,
        String choice,
        boolean now,
        BuildOption option,
        Making making,
        List<Joint> unsound,
        OptionalInt tight) {
    /** What they differ in. */
    public enum Matter {
        JOINTS,
        CARRYING,
        METAL
    }

    /** @return the option as it is, then each school */
    public static List<School> of(Joints joints, Optional<RoomSpec> room) {
        BuildOption option = joints.option();
        List<School> all = new ArrayList<>();
        for (Coupling kind : Coupling.values()) {
            all.add(of(Matter.JOINTS, kind.name(), joints, option.withJoints(joined(option, kind)), room));
        }
        if (option.stands().stream().anyMatch(s -> s.what() == Stand.What.CORE) && room.isPresent()) {
            Stream.concat(Stream.of(Carrier.BODY), room.get().carriers().stream())
                    .map(Carrier::name)
                    .filter(c -> c.equals(Carrier.BODY.name()) || c.equals(Carrier.ENGINE))
                    .forEach(c -> all.add(of(Matter.CARRYING, c, joints, carried(option, c), room)));
        }
        for (PipeMaterial metal : PipeMaterial.values()) {
            if (metal.isTube()) {
                all.add(of(Matter.METAL, metal.name(), joints, made(option, metal), room));
            }
        }
        return all;
    }

    private static School of(Matter matter, String choice, Joints joints, BuildOption other, Optional<RoomSpec> room) {
        boolean now = Making.of(other).equals(Making.of(joints.option()))
                && other.stands().equals(joints.option().stands())
                && couplings(other).equals(couplings(joints.option()));
        return new School(
                matter,
                choice,
                now,
                other,
                Making.of(other),
                joints.like(other).all().stream().filter(j -> !j.isSound()).toList(),
                room.map(r -> OptionalInt.of((int) Fit.of(other, r).gaps().stream()
                                .filter(GapRow::isShort)
                                .count()))
                        .orElse(OptionalInt.empty()));
    }

    private static List<Coupling> couplings(BuildOption option) {
        return Seam.of(option).stream().map(s -> s.joining().coupling()).toList();
    }

    /** All of one kind. Who welds all welds pipe to pipe and to the core; at blower and engine it must come apart. */
    private static JointsSpec joined(BuildOption option, Coupling kind) {
        if (kind != Coupling.WELD) {
            return option.joints().all(kind);
        }
        Joining usual = option.joints().usual();
        Joining hose = usual.coupling().isHose() ? usual : usual.as(Coupling.HOSE);
        JointsSpec spec = new JointsSpec(hose, List.of());
        for (Seam seam : Seam.of(option)) {
            if (seam.other() instanceof Pipe || seam.other() instanceof PathElement.Core) {
                spec = spec.with(seam.pipe().name(), seam.end(), hose.as(Coupling.WELD));
            }
        }
        return spec;
    }

    private static BuildOption carried(BuildOption option, String carrier) {
        return option.withStands(option.stands().stream()
                .map(s -> s.what() == Stand.What.CORE ? s.carriedBy(carrier) : s)
                .toList());
    }

    private static BuildOption made(BuildOption option, PipeMaterial metal) {
        List<PathElement> path = option.path();
        for (Pieces.Placed<Pipe> placed : Pieces.of(Pipe.class, path)) {
            Pipe p = placed.piece();
            if (p.spec().material().isTube() && p.spec().material() != metal) {
                double wall = metal.usualWall();
                Pipe other = new Pipe(
                        p.name(),
                        p.spec().of(metal).asTube(p.outside(), wall),
                        new PipeWallSpec(
                                wall,
                                p.wall().inBay(),
                                p.wall().wrap(),
                                p.wall().neighbour()));
                path = Pieces.with(placed.spot(), path, piece -> other);
            }
        }
        return option.withPath(path);
    }
}
