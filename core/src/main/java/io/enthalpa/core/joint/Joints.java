package io.enthalpa.core.joint;

import io.enthalpa.core.build.Answer;
import io.enthalpa.core.build.Build;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.chargepath.LegResult;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.chargepath.PathResult;
import io.enthalpa.core.chargepath.PieceResult;
import io.enthalpa.core.chargepath.Station;
import io.enthalpa.core.engine.EngineSpec;
import io.enthalpa.core.fit.Bodies;
import io.enthalpa.core.fit.Body;
import io.enthalpa.core.fit.FitFinding;
import io.enthalpa.core.fit.Laid;
import io.enthalpa.core.fit.Pipework;
import io.enthalpa.core.place.Spot;
import io.enthalpa.core.quantity.Figure;
import io.enthalpa.core.quantity.Quantity;
import io.enthalpa.core.room.RoomSpec;
import io.enthalpa.core.room.Stand;
import io.enthalpa.core.route.Brace;
import io.enthalpa.core.route.Clamp;
import io.enthalpa.core.route.Coupling;
import io.enthalpa.core.route.Joining;
import io.enthalpa.core.route.JointsSpec;
import io.enthalpa.core.route.Run;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The joints of an option, and what mends those that do not bear what they must: each tried. */
public final class Joints {
    public static final Method METHOD = Method.of(
                    "joint-movement",
                    "What a joint sees of movement",
                    "A pipe is stiff; the bodies at its ends go with what carries them. It comes to lie where its joints are used least: the least sum of squares of "
                            + "offset, bend and shift over what each joint bears, with braces that do not give as stiff as a weld and rubber ones as soft as 5 mm. Of every "
                            + "way in which all carriers roll and travel to the ends of what they do, cold and as long as the pipe grows hot, the worst counts for each joint.")
            .formula("min sum((offset/bears)^2 + (bend/bears)^2 + (along/bears)^2); growth = alpha L dT")
            .source(
                    Citation.fromMemory(
                            "Strang", 1986, "Introduction to Applied Mathematics, equilibrium as least squares"),
                    Citation.commonPractice("what each kind of joint bears"))
            .leavesOut(
                    "Bending of the pipe itself, the weight of the pipe, twisting of hoses; turns of the links among each other of second order.");

    private final BuildOption option;
    private final Optional<RoomSpec> room;
    private final Map<Spot, Station> behind;
    private final double outside;
    private final List<Joint> all;

    private Joints(BuildOption option, Optional<RoomSpec> room, Map<Spot, Station> behind, double outside) {
        this.option = option;
        this.room = room;
        this.behind = behind;
        this.outside = outside;
        List<Seam> seams = Seam.of(option);
        List<Optional<Moved>> moved = room.map(
                        r -> new Links(option, r, spot -> behind.get(spot).temperature()).moved(seams))
                .orElseGet(
                        () -> seams.stream().map(s -> Optional.<Moved>empty()).toList());
        List<Joint> joints = new ArrayList<>();
        for (int i = 0; i < seams.size(); i++) {
            Station at = behind.get(seams.get(i).from());
            joints.add(new Joint(seams.get(i), at.totalPressure() - outside, at.temperature(), moved.get(i)));
        }
        this.all = List.copyOf(joints);
    }

    /** As its full load has it. */
    public static Joints of(Build build, String letter) {
        Answer answer = new Answer(build, letter);
        return of(answer, answer.steady().path());
    }

    /** @param full the answer's path at full load */
    public static Joints of(Answer answer, PathResult full) {
        Build build = answer.build();
        Map<Spot, Station> behind = new HashMap<>();
        collect(full.pieces(), full.stations(), Spot.Row.PATH, behind);
        return new Joints(
                answer.option(), build.room(), behind, build.climate().ambient().pressure());
    }

    private static void collect(
            List<PieceResult> pieces, List<Station> stations, Spot.Row row, Map<Spot, Station> behind) {
        for (int i = 0; i < pieces.size(); i++) {
            Spot spot = row.at(i);
            behind.put(spot, stations.get(i + 1));
            for (int k = 0; k < pieces.get(i).legs().size(); k++) {
                LegResult leg = pieces.get(i).legs().get(k);
                collect(leg.pieces(), leg.stations(), spot.leg(k), behind);
            }
        }
    }

    /** The same at the same load, of an option that differs in how things are held and joined. */
    Joints like(BuildOption other) {
        return new Joints(other, room, behind, outside);
    }

    BuildOption option() {
        return option;
    }

    /** @return pipe by pipe in the order of the path */
    public List<Joint> all() {
        return all;
    }

    /** What can be done about a joint. */
    public enum Mend {
        BEAD,
        T_BOLT,
        HUMP,
        HUMP_BOTH,
        QUICK,
        V_BAND,
        BELLOWS,
        CARRY
    }

    /**
     * @param option with it
     * @param what   that is hung elsewhere; empty unless that is what mends it
     */
    public record Mended(Mend by, BuildOption option, String what, String carrier) {}

    private record Try(Mend by, BuildOption option, String what, String carrier) {}

    /** @param number of a joint that is not sound @return the least that makes it so and spoils none; empty when nothing does that is tried */
    public Optional<Mended> mend(int number) {
        for (Try tried : tries(all.get(number).seam())) {
            List<Joint> then = like(tried.option).all;
            boolean spoils = false;
            for (int i = 0; i < all.size(); i++) {
                spoils |= then.get(i).isWorseThan(all.get(i));
            }
            if (then.get(number).isSound() && !spoils) {
                return Optional.of(new Mended(tried.by, tried.option, tried.what, tried.carrier));
            }
        }
        return Optional.empty();
    }

    private List<Try> tries(Seam seam) {
        Joining now = seam.joining();
        Joining beaded = new Joining(now.coupling(), now.clamp(), true, now.hold(), now.own(), now.hottest());
        Joining bolted = new Joining(now.coupling(), Clamp.T_BOLT, true, now.hold(), now.own(), now.hottest());
        List<Try> tries = new ArrayList<>();
        tries.add(as(Mend.BEAD, seam, beaded));
        tries.add(as(Mend.T_BOLT, seam, bolted));
        tries.add(as(Mend.HUMP, seam, bolted.as(Coupling.HUMP)));
        JointsSpec both = option.joints();
        for (Joint j : all) {
            if (j.seam().spot().equals(seam.spot()) || j.seam().beside().equals(seam.spot())) {
                both = both.with(
                        j.seam().pipe().name(),
                        j.seam().end(),
                        j.seam().joining().as(Coupling.HUMP));
            }
        }
        tries.add(new Try(Mend.HUMP_BOTH, option.withJoints(both), "", ""));
        tries.add(as(Mend.QUICK, seam, now.as(Coupling.QUICK)));
        tries.add(as(Mend.V_BAND, seam, now.as(Coupling.V_BAND)));
        tries.add(as(Mend.BELLOWS, seam, now.as(Coupling.BELLOWS)));
        tries.addAll(carried(seam));
        return tries;
    }

    private Try as(Mend by, Seam seam, Joining other) {
        return new Try(by, option.withJoints(option.joints().with(seam.pipe().name(), seam.end(), other)), "", "");
    }

    /** A core at either end of the pipe hung on what the other end hangs on. */
    private List<Try> carried(Seam seam) {
        List<Try> tries = new ArrayList<>();
        List<String> ends = all.stream()
                .filter(j -> j.seam().spot().equals(seam.spot()))
                .map(j -> j.seam().other())
                .filter(o -> !(o instanceof PathElement.Pipe))
                .map(PathElement::name)
                .toList();
        List<Stand> stands = option.stands();
        for (int i = 0; i < stands.size(); i++) {
            Stand core = stands.get(i);
            if (core.what() == Stand.What.CORE && ends.contains(core.of())) {
                for (Stand other : stands) {
                    if (ends.contains(other.of()) && !other.carrier().equals(core.carrier())) {
                        List<Stand> hung = new ArrayList<>(stands);
                        hung.set(i, core.carriedBy(other.carrier()));
                        tries.add(new Try(Mend.CARRY, option.withStands(hung), core.of(), other.carrier()));
                    }
                }
            }
        }
        return tries;
    }

    /**
     * A laid pipe and what holds it.
     *
     * @param number  of its run
     * @param longest free length; empty of hose
     * @param hangs   carrier that it hangs on
     * @param fights  carriers that it is bolted to hard and that move against each other
     * @param loose   what it is joined to by bellows that no brace is beside
     */
    public record Pipe(
            int number,
            String of,
            Run run,
            Optional<Held> longest,
            String hangs,
            List<String> fights,
            List<String> loose) {}

    /** m along the pipe from a bellows to the brace that takes its pull; common practice, no source. */
    private static final double BESIDE = 0.3;

    private List<String> loose(Laid laid, Run run) {
        double length = laid.line().length();
        return all.stream()
                .map(Joint::seam)
                .filter(s -> s.joining().coupling() == Coupling.BELLOWS)
                .filter(s -> s.spot().equals(laid.spot()) || s.beside().equals(laid.spot()))
                .filter(s -> {
                    boolean start = s.spot().equals(laid.spot()) && s.end() == JointsSpec.End.START;
                    return run.braces().stream().noneMatch(b -> (start ? b.along() : length - b.along()) <= BESIDE);
                })
                .map(s -> s.spot().equals(laid.spot())
                        ? s.other().name()
                        : s.pipe().name())
                .toList();
    }

    /** @return those that are laid */
    public List<Pipe> held() {
        List<Body> bodies = Bodies.of(option);
        Pipework pipes = Pipework.of(option, bodies);
        return pipes.laid().stream()
                .map(l -> {
                    Run run = pipes.run(l);
                    List<String> hard = run.braces().stream()
                            .filter(b -> !b.rubber())
                            .map(Brace::carrier)
                            .distinct()
                            .toList();
                    return new Pipe(
                            l.run(),
                            run.of(),
                            run,
                            Held.of(l, run),
                            pipes.hangs(l),
                            hard.size() > 1 ? hard : List.of(),
                            loose(l, run));
                })
                .toList();
    }

    /** @return what is wrong with how a pipe is held */
    public static List<FitFinding> findings(Pipe pipe, EngineSpec engine) {
        List<FitFinding> found = new ArrayList<>();
        pipe.longest()
                .filter(h -> h.rings(engine))
                .map(h -> h.finding(pipe.of(), engine))
                .ifPresent(found::add);
        if (!pipe.fights().isEmpty()) {
            found.add(new FitFinding(
                    FitFinding.Kind.PIPE_OVER_HELD, pipe.of(), String.join(" and ", pipe.fights()), List.of()));
        }
        for (String at : pipe.loose()) {
            found.add(new FitFinding(
                    FitFinding.Kind.JOINT_LOOSE,
                    pipe.of(),
                    at,
                    List.of(new Figure("beside", BESIDE, Quantity.LENGTH))));
        }
        return found;
    }
}
