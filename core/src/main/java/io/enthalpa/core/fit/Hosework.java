package io.enthalpa.core.fit;

import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.chargepath.CoolingSide;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.chargepath.Pieces;
import io.enthalpa.core.chargepath.PipeWallSpec;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.place.Subject;
import io.enthalpa.core.room.Stand;
import io.enthalpa.core.route.Run;
import io.enthalpa.core.route.RunName;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import io.enthalpa.core.space.Bounds;
import io.enthalpa.core.waterloop.LoopPiece;
import io.enthalpa.core.waterloop.WaterLoopSpec;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/** The hoses of an option's water loops as they are laid. */
public final class Hosework {
    public static final Method METHOD = Method.of(
                    "laid-hose",
                    "A hose laid in the room",
                    "It begins and ends where it is typed, or on the water port of what stands there; fittings between lie straight on. Its length and bends are those of its middle line, which loses pressure as any other. "
                            + "Once a hose of a loop is laid and its tank has a place, heights of that loop are taken from the room: of a laid hose its highest place, of a fitting the end of the hose beside it, of what has a place its middle, "
                            + "each as far from the tank's water as it stands from the top of the tank, which carries the cap. What is not in the room keeps the height that was typed.")
            .source(Citation.commonPractice("heights are taken from the cap: what stands over it holds air"))
            .leavesOut("That a hose sags between its ends and moves under pressure.");

    private final BuildOption option;
    private final List<Body> bodies;
    private final List<Laid> laid = new ArrayList<>();
    private final List<Unlaid> unlaid = new ArrayList<>();
    private final Map<Subject.LoopPiece, PipeEnd> ends = new HashMap<>();

    private Hosework(BuildOption option, List<Body> bodies) {
        this.option = option;
        this.bodies = bodies;
    }

    static Hosework of(BuildOption option, List<Body> bodies) {
        Hosework work = new Hosework(option, bodies);
        if (option.runs().stream().anyMatch(r -> r.loop().isPresent())) {
            work.lay();
        }
        return work;
    }

    List<Laid> laid() {
        return laid;
    }

    List<Unlaid> unlaid() {
        return unlaid;
    }

    private static List<Pieces.Placed<PathElement.Core>> loops(BuildOption option) {
        return Pieces.of(PathElement.Core.class, option.path()).stream()
                .filter(c -> c.piece().loop().isPresent())
                .toList();
    }

    static Stream<RunName> names(BuildOption option) {
        return loops(option).stream()
                .flatMap(core -> pieces(core).stream()
                        .filter(LoopPiece.Hose.class::isInstance)
                        .map(hose -> new RunName(
                                hose.name(), Optional.of(core.piece().name()))));
    }

    private static List<LoopPiece> pieces(Pieces.Placed<PathElement.Core> core) {
        return core.piece().loop().orElseThrow().pieces();
    }

    private void lay() {
        boolean[] found = new boolean[option.runs().size()];
        for (Pieces.Placed<PathElement.Core> core : loops(option)) {
            for (int piece = 0; piece < pieces(core).size(); piece++) {
                for (int i = 0; i < found.length; i++) {
                    Subject.LoopPiece here = new Subject.LoopPiece(core.spot(), piece);
                    if (!found[i]
                            && !ends.containsKey(here)
                            && pieces(core).get(piece) instanceof LoopPiece.Hose hose
                            && isOf(option.runs().get(i), core.piece(), hose)) {
                        found[i] = true;
                        lay(i, core, piece, hose);
                    }
                }
            }
        }
        for (int i = 0; i < found.length; i++) {
            if (!found[i] && option.runs().get(i).loop().isPresent()) {
                unlaid.add(new Unlaid(i, option.runs().get(i).of(), Unlaid.Why.GONE, ""));
            }
        }
    }

    private static boolean isOf(Run run, PathElement.Core core, LoopPiece.Hose hose) {
        return run.loop().filter(core.name()::equals).isPresent() && run.of().equals(hose.name());
    }

    private void lay(int number, Pieces.Placed<PathElement.Core> core, int piece, LoopPiece.Hose hose) {
        Run run = option.runs().get(number);
        Between between = between(core, piece, hose, Optional.of(run));
        if (run.from().isEmpty() && between.start().isEmpty()) {
            unlaid.add(new Unlaid(number, run.of(), Unlaid.Why.NO_START, between.before()));
            return;
        }
        if (run.to().isEmpty() && between.finish().isEmpty()) {
            unlaid.add(new Unlaid(number, run.of(), Unlaid.Why.NO_END, between.behind()));
            return;
        }
        try {
            Laid made = Laid.of(
                    number,
                    run,
                    core.spot(),
                    between.pipe(),
                    between.hose(),
                    between.start(),
                    between.finish(),
                    bodies);
            ends.put(new Subject.LoopPiece(core.spot(), piece), made.end());
            laid.add(made);
        } catch (EnthalpaFault wrong) {
            unlaid.add(new Unlaid(number, run.of(), Unlaid.Why.WRONG, wrong.sentence()));
        }
    }

    private static PathElement.Pipe asPipe(LoopPiece.Hose hose) {
        double wall = hose.spec().material().usualWall();
        return new PathElement.Pipe(
                hose.name(), hose.spec(), new PipeWallSpec(wall, true, hose.wrap(), Optional.empty()));
    }

    /** @return for each hose that is not laid how one may begin to lay it */
    List<Run> startings() {
        List<Run> all = new ArrayList<>();
        for (Pieces.Placed<PathElement.Core> core : loops(option)) {
            for (int piece = 0; piece < pieces(core).size(); piece++) {
                if (pieces(core).get(piece) instanceof LoopPiece.Hose hose
                        && option.runs().stream().noneMatch(r -> isOf(r, core.piece(), hose))) {
                    Between between = between(core, piece, hose, Optional.empty());
                    all.add(Starting.of(hose.name(), hose.leastRadius(), between.start(), between.finish())
                            .on(core.piece().name()));
                }
            }
        }
        return all;
    }

    /** @param run how it is laid by now @return empty where there is no such hose */
    Optional<Between> between(RunName of, Optional<Run> run) {
        for (Pieces.Placed<PathElement.Core> core : loops(option)) {
            for (int piece = 0; piece < pieces(core).size(); piece++) {
                if (pieces(core).get(piece) instanceof LoopPiece.Hose hose
                        && of.equals(new RunName(
                                hose.name(), Optional.of(core.piece().name())))) {
                    return Optional.of(between(core, piece, hose, run));
                }
            }
        }
        return Optional.empty();
    }

    private Between between(Pieces.Placed<PathElement.Core> core, int piece, LoopPiece.Hose hose, Optional<Run> run) {
        int before = beside(core, piece, -1);
        int behind = beside(core, piece, 1);
        return new Between(
                core.spot(),
                asPipe(hose),
                Optional.of(new Laid.Hose(piece, hose)),
                run.flatMap(Run::from).isPresent()
                        ? Optional.empty()
                        : end(core, before, lead(core, piece, before, -1), WaterPorts.OUT),
                run.flatMap(Run::to).isPresent()
                        ? Optional.empty()
                        : end(core, behind, lead(core, piece, behind, 1), WaterPorts.IN),
                run,
                before < 0 ? "" : pieces(core).get(before).name(),
                behind < 0 ? "" : pieces(core).get(behind).name(),
                l -> l.spot().equals(core.spot())
                        && l.hose()
                                .filter(h -> h.piece() == before || h.piece() == behind)
                                .isPresent());
    }

    /** The nearest piece that is no fitting; -1 past the end of an open line. */
    private static int beside(Pieces.Placed<PathElement.Core> core, int piece, int step) {
        List<LoopPiece> all = pieces(core);
        boolean open = core.piece().loop().orElseThrow().isOpen();
        for (int k = 1; k < all.size(); k++) {
            int other = piece + step * k;
            if (open && (other < 0 || other >= all.size())) {
                return -1;
            }
            int there = Math.floorMod(other, all.size());
            if (!(all.get(there) instanceof LoopPiece.Fitting)) {
                return there;
            }
        }
        return -1;
    }

    /** m of fittings between. */
    private static double lead(Pieces.Placed<PathElement.Core> core, int piece, int beside, int step) {
        List<LoopPiece> all = pieces(core);
        double sum = 0;
        for (int k = piece; beside >= 0 && k != beside; k = Math.floorMod(k + step, all.size())) {
            sum += all.get(k) instanceof LoopPiece.Fitting f ? f.length() : 0;
        }
        return sum;
    }

    private Optional<PipeEnd> end(Pieces.Placed<PathElement.Core> core, int beside, double lead, String role) {
        if (beside < 0) {
            return Optional.empty();
        }
        if (pieces(core).get(beside) instanceof LoopPiece.Hose) {
            // Only what is laid before it has an end to go on from.
            return role.equals(WaterPorts.OUT)
                    ? Optional.ofNullable(ends.get(new Subject.LoopPiece(core.spot(), beside)))
                            .map(e -> e.on(lead))
                    : Optional.empty();
        }
        return what(pieces(core), beside).flatMap(what -> port(core.piece().name(), what, role, lead));
    }

    /** What of the room a piece of a loop is; of several pumps the first has the place. */
    private static Optional<Stand.What> what(List<LoopPiece> pieces, int number) {
        LoopPiece piece = pieces.get(number);
        boolean otherPump = piece instanceof LoopPiece.Pump
                && pieces.subList(0, number).stream().anyMatch(LoopPiece.Pump.class::isInstance);
        return Optional.ofNullable(
                piece instanceof LoopPiece.CoreSide
                        ? Stand.What.CORE
                        : piece instanceof LoopPiece.RadiatorSide
                                ? Stand.What.RADIATOR
                                : piece instanceof LoopPiece.Tank
                                        ? Stand.What.TANK
                                        : piece instanceof LoopPiece.Pump && !otherPump ? Stand.What.PUMP : null);
    }

    private Optional<Integer> body(String core, Stand.What what) {
        return IntStream.range(0, bodies.size())
                .filter(i -> bodies.get(i).stand().what() == what
                        && bodies.get(i).stand().of().equals(core))
                .boxed()
                .findFirst();
    }

    private Optional<PipeEnd> port(String core, Stand.What what, String role, double lead) {
        return body(core, what)
                .flatMap(i -> bodies.get(i).ports().stream()
                        .filter(p -> p.role().equals(role))
                        .findFirst()
                        .map(p ->
                                new PipeEnd(p.at().add(lead, p.out()), p.out(), Optional.of(p), i, Optional.empty())));
    }

    /** @return whether one of two laid hoses goes on where the other ends */
    boolean goesOn(Laid one, Laid other) {
        return one.spot().equals(other.spot())
                && loops(option).stream()
                        .filter(c -> c.spot().equals(one.spot()))
                        .anyMatch(c -> {
                            int piece = one.hose().orElseThrow().piece();
                            int next = other.hose().orElseThrow().piece();
                            return beside(c, piece, 1) == next || beside(c, piece, -1) == next;
                        });
    }

    /** @return the path, its loops with their hoses as they are laid */
    List<PathElement> applied(List<PathElement> path) {
        List<PathElement> changed = path;
        for (Pieces.Placed<PathElement.Core> core : loops(option)) {
            List<Laid> own = own(core);
            if (!own.isEmpty()) {
                WaterLoopSpec loop = core.piece().loop().orElseThrow().withPieces(inRoom(core, own));
                changed = Pieces.with(
                        core.spot(), changed, p -> ((PathElement.Core) p).withCooling(new CoolingSide.Water(loop)));
            }
        }
        return changed;
    }

    private List<LoopPiece> inRoom(Pieces.Placed<PathElement.Core> core, List<Laid> own) {
        List<LoopPiece> all = new ArrayList<>(pieces(core));
        own.forEach(l -> l.hose().ifPresent(h -> all.set(h.piece(), h.hose().withSpec(l.asLaid()))));
        List<LoopInRoom.Height> heights = heights(core, own);
        for (int i = 0; i < heights.size(); i++) {
            all.set(i, all.get(i).at(heights.get(i).up()));
        }
        return all;
    }

    /** @return of the loops whose heights are those of the room */
    List<LoopInRoom> inRoom() {
        return loops(option).stream()
                .map(core -> new LoopInRoom(core.piece().name(), heights(core, own(core))))
                .filter(loop -> !loop.heights().isEmpty())
                .toList();
    }

    private List<Laid> own(Pieces.Placed<PathElement.Core> core) {
        return laid.stream().filter(l -> l.spot().equals(core.spot())).toList();
    }

    /** Of each piece; none where none of its hoses is laid, or its cap is not in the room. */
    private List<LoopInRoom.Height> heights(Pieces.Placed<PathElement.Core> core, List<Laid> own) {
        Optional<Double> cap = body(core.piece().name(), Stand.What.TANK)
                .flatMap(i -> bodies.get(i).solid().bounds())
                .map(Bounds::maxZ);
        Optional<Double> typed = pieces(core).stream()
                .filter(LoopPiece.Tank.class::isInstance)
                .map(LoopPiece::height)
                .findFirst();
        if (own.isEmpty() || cap.isEmpty() || typed.isEmpty()) {
            return List.of();
        }
        double shift = typed.get() - cap.get();
        List<LoopInRoom.Height> all = new ArrayList<>();
        for (int i = 0; i < pieces(core).size(); i++) {
            LoopPiece piece = pieces(core).get(i);
            all.add(height(core, i, own)
                    .map(up -> new LoopInRoom.Height(up + shift, false))
                    .orElseGet(() -> new LoopInRoom.Height(piece.height(), true)));
        }
        return all;
    }

    private static Optional<Laid> laid(int piece, List<Laid> own) {
        return own.stream().filter(l -> l.hose().orElseThrow().piece() == piece).findFirst();
    }

    /** m up in the room; empty of what is not in it, and of the tank, by which both are counted. */
    private Optional<Double> height(Pieces.Placed<PathElement.Core> core, int piece, List<Laid> own) {
        LoopPiece there = pieces(core).get(piece);
        if (there instanceof LoopPiece.Tank) {
            return Optional.empty();
        }
        if (there instanceof LoopPiece.Fitting) {
            return laid(beside(core, piece, -1), own)
                    .map(l -> l.spec().to())
                    .or(() ->
                            laid(beside(core, piece, 1), own).map(l -> l.spec().from()))
                    .map(Vector3D::getZ);
        }
        return laid(piece, own)
                .map(l -> l.line().highest())
                .or(() -> what(pieces(core), piece)
                        .flatMap(what -> body(core.piece().name(), what))
                        .map(i -> bodies.get(i).stand().middle().getZ()));
    }
}
