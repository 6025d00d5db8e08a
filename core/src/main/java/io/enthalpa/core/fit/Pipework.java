package io.enthalpa.core.fit;

import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.chargepath.Pieces;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.loss.PipeSpec.Bend;
import io.enthalpa.core.place.Spot;
import io.enthalpa.core.room.Carrier;
import io.enthalpa.core.room.Stand;
import io.enthalpa.core.route.JointsSpec;
import io.enthalpa.core.route.Run;
import io.enthalpa.core.route.RunName;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.Stream;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/** The pipes of an option as they are laid: from port to port, joint and cone between them straight on. */
public final class Pipework {
    public static final Method METHOD = Method.of(
                    "laid-pipe",
                    "A pipe laid in the room",
                    "It begins and ends where it is typed, or on the port of what stands there, and goes along when that is moved; what is between the port and "
                            + "the pipe (a joint, a cone) lies straight on from the port. Its length and its bends are those of its middle line, and it "
                            + "keeps its gaps by its outside diameter, wrap included. What it is joined to is left out there: the port with its clamp, the pipe "
                            + "before and behind it. It hangs on what a brace that does not give is bolted to; without one on what the body at its beginning hangs on, or else that at its end. "
                            + "Where its ends are on two carriers and nothing holds it between, it goes along with the other the more, the nearer to that end: by that it moves against what hangs on its own.")
            .source(Citation.commonPractice("pipes are bought by the outside and measured along the middle"))
            .leavesOut(
                    "Beads, clamps and welds on it; against what hangs on the other carrier it counts as if it stood.");

    private final BuildOption option;
    private final List<Body> bodies;
    private final List<Laid> laid = new ArrayList<>();
    private final List<Unlaid> unlaid = new ArrayList<>();
    /** Ends of those that are laid, by the spot of the pipe. */
    private final Hosework hoses;

    private final Map<Spot, PipeEnd> ends = new HashMap<>();

    /** What a brace that does not give is bolted to; without one what the body at its beginning, or else at its end, hangs on. */
    static String carrierOf(Optional<Run> run, OptionalInt body, List<Body> bodies) {
        return run.flatMap(Run::heldBy)
                .orElseGet(() ->
                        body.isPresent() ? bodies.get(body.getAsInt()).stand().carrier() : Carrier.BODY.name());
    }

    private Pipework(BuildOption option, List<Body> bodies) {
        this.option = option;
        this.bodies = bodies;
        this.hoses = Hosework.of(option, bodies);
    }

    /** @param bodies of the option that have a place */
    public static Pipework of(BuildOption option, List<Body> bodies) {
        Pipework work = new Pipework(option, bodies);
        if (!option.runs().isEmpty()) {
            work.lay();
        }
        return work;
    }

    /** @return the option, its pipes and hoses as long and bent as they are laid */
    public static BuildOption applied(BuildOption option) {
        if (option.runs().isEmpty()) {
            return option;
        }
        List<PathElement> path = option.path();
        Pipework work = of(option, Bodies.of(option));
        for (Laid l : work.laid) {
            path = Pieces.with(l.spot(), path, pipe -> l.piece());
        }
        return option.withPath(work.hoses.applied(path));
    }

    /** @return the pipes of the charge, in the order of the path */
    public List<Laid> laid() {
        return List.copyOf(laid);
    }

    /** @return the pipes of the charge, then the hoses of the loops */
    public List<Laid> all() {
        return Stream.concat(laid.stream(), hoses.laid().stream()).toList();
    }

    /** @return the water loops whose heights are taken from the room */
    public List<LoopInRoom> loops() {
        return hoses.inRoom();
    }

    /** @return what of an option can be laid: its pipes, then the hoses of its loops */
    public static List<RunName> names(BuildOption option) {
        return Stream.concat(
                        Pieces.of(PathElement.Pipe.class, option.path()).stream()
                                .map(p -> RunName.ofPipe(p.piece().name())),
                        Hosework.names(option))
                .toList();
    }

    public Optional<Laid> laid(RunName of) {
        return all().stream().filter(l -> run(l).name().equals(of)).findFirst();
    }

    /** @return as it is written */
    public Run run(Laid l) {
        return option.runs().get(l.run());
    }

    /** @return whether what joins it there comes apart */
    boolean isClamped(Laid l, JointsSpec.End end) {
        return l.hose().isPresent()
                || option.joints().at(l.pipe().name(), end).coupling().isJoint();
    }

    public List<Unlaid> unlaid() {
        return Stream.concat(unlaid.stream(), hoses.unlaid().stream()).toList();
    }

    /** @return m, of the middle line of a bend of stock */
    public static double stockRadius(PathElement.Pipe pipe) {
        return Bend.STOCK * pipe.size();
    }

    private void lay() {
        List<Pieces.Placed<PathElement>> all = Pieces.all(option.path());
        boolean[] found = new boolean[option.runs().size()];
        for (Pieces.Placed<PathElement> placed : all) {
            for (int i = 0; i < found.length; i++) {
                boolean its = placed.piece() instanceof PathElement.Pipe
                        && option.runs().get(i).isOfPipe(placed.piece().name());
                if (its && !found[i] && !ends.containsKey(placed.spot())) {
                    found[i] = true;
                    lay(i, placed.spot(), (PathElement.Pipe) placed.piece());
                }
            }
        }
        for (int i = 0; i < found.length; i++) {
            if (!found[i] && option.runs().get(i).loop().isEmpty()) {
                unlaid.add(new Unlaid(i, option.runs().get(i).of(), Unlaid.Why.GONE, ""));
            }
        }
    }

    private void lay(int number, Spot spot, PathElement.Pipe pipe) {
        Run run = option.runs().get(number);
        Between between = between(spot, pipe, Optional.of(run));
        Optional<PipeEnd> start = between.start();
        Optional<PipeEnd> finish = between.finish();
        if (run.from().isEmpty() && start.isEmpty()) {
            unlaid.add(new Unlaid(number, run.of(), Unlaid.Why.NO_START, between.before()));
            return;
        }
        if (run.to().isEmpty() && finish.isEmpty()) {
            unlaid.add(new Unlaid(number, run.of(), Unlaid.Why.NO_END, between.behind()));
            return;
        }
        try {
            Laid made = Laid.of(number, run, spot, pipe, Optional.empty(), start, finish, bodies);
            ends.put(spot, made.end());
            laid.add(made);
        } catch (EnthalpaFault wrong) {
            unlaid.add(new Unlaid(number, run.of(), Unlaid.Why.WRONG, wrong.sentence()));
        }
    }

    /** m straight out of a port before a first bend: room for the joint; common practice, no source. */
    static final double STUB = 0.05;
    /**
     * @return for each pipe and hose that is not laid how one may begin to lay it: square out of the ports that are known, with a corner before each
     *     where there are two; otherwise straight on
     */
    public List<Run> startings() {
        List<Run> all = new ArrayList<>();
        for (Pieces.Placed<PathElement.Pipe> placed : Pieces.of(PathElement.Pipe.class, option.path())) {
            PathElement.Pipe pipe = placed.piece();
            if (option.runs().stream().noneMatch(r -> r.isOfPipe(pipe.name()))) {
                Between between = between(placed.spot(), pipe, Optional.empty());
                all.add(Starting.of(pipe.name(), stockRadius(pipe), between.start(), between.finish()));
            }
        }
        all.addAll(hoses.startings());
        return all;
    }

    /** @return empty where there is no such pipe or hose */
    Optional<Between> between(RunName of) {
        Optional<Run> run =
                option.runs().stream().filter(r -> r.name().equals(of)).findFirst();
        return of.loop().isPresent()
                ? hoses.between(of, run)
                : Pieces.of(PathElement.Pipe.class, option.path()).stream()
                        .filter(placed -> placed.piece().name().equals(of.of()))
                        .findFirst()
                        .map(placed -> between(placed.spot(), placed.piece(), run));
    }

    private Between between(Spot spot, PathElement.Pipe pipe, Optional<Run> run) {
        Neighbours beside = new Neighbours(option.path(), spot);
        Optional<PipeEnd> start =
                run.flatMap(Run::from).isPresent() ? Optional.empty() : end(spot, pipe, beside, Optional.empty(), true);
        Optional<PipeEnd> finish =
                run.flatMap(Run::to).isPresent() ? Optional.empty() : end(spot, pipe, beside, start, false);
        return new Between(
                spot,
                pipe,
                Optional.empty(),
                start,
                finish,
                run,
                beside.nameBefore(),
                beside.nameBehind(),
                l -> l.hose().isEmpty() && beside.isBeside(l.spot()));
    }

    /** Straight on through joints and cones to the port, or to the pipe that ends there; of what two legs share their own arm of the Y. */
    private Optional<PipeEnd> end(
            Spot spot, PathElement.Pipe pipe, Neighbours beside, Optional<PipeEnd> from, boolean start) {
        String role = start ? "outlet" : "inlet";
        double lead = 0;
        for (Pieces.Placed<PathElement> p : start ? beside.before() : beside.behind()) {
            if (p.piece() instanceof PathElement.Joint joint) {
                lead += joint.gap();
            } else if (p.piece() instanceof PathElement.Reducer cone) {
                lead += cone.length();
            } else if (!(p.piece() instanceof PathElement.Injection)) {
                double on = lead;
                Optional<PipeEnd> end = p.piece() instanceof PathElement.Pipe
                        ? Optional.ofNullable(start ? ends.get(p.spot()) : null).map(e -> e.on(on))
                        : port(p.piece(), role, beside, lead);
                boolean shared = !p.spot().row().equals(spot.row());
                return end.map(e -> shared && e.isAlone(role) ? forked(e, spot, pipe, beside.leg(), from, start) : e);
            }
        }
        return Optional.empty();
    }

    private PipeEnd forked(
            PipeEnd end, Spot spot, PathElement.Pipe pipe, int leg, Optional<PipeEnd> from, boolean start) {
        double angle = Fork.angle(option.path(), spot, start).orElse(0.0);
        Vector3D left = from.filter(f -> f.fork().isPresent())
                .map(f -> Fork.carried(
                        f.heading(),
                        Fork.left(f.heading()),
                        end.heading().negate(),
                        end.at().subtract(f.at())))
                .orElseGet(() -> Fork.left(end.heading()));
        Fork fork = Fork.of(end.at(), end.heading(), left, leg, Laid.outside(pipe), angle);
        return new PipeEnd(fork.at(), end.heading(), end.port(), end.body(), Optional.of(fork));
    }

    private Optional<PipeEnd> port(PathElement piece, String role, Neighbours beside, double lead) {
        Optional<Stand.What> what = Bodies.what(piece);
        for (int i = 0; i < bodies.size(); i++) {
            Body body = bodies.get(i);
            if (what.filter(w -> w == body.stand().what()).isPresent()
                    && body.stand().of().equals(piece.name())) {
                int number = i;
                List<OpenPort> fit = body.ports().stream()
                        .filter(p -> !p.isOfWater() && p.role().endsWith(role))
                        .toList();
                return fit.stream()
                        .skip(fit.size() > 1 ? beside.leg() : 0)
                        .findFirst()
                        .map(p -> new PipeEnd(
                                p.at().add(lead, p.out()), p.out(), Optional.of(p), number, Optional.empty()));
            }
        }
        return Optional.empty();
    }

    /** @return each as a body, in the order of {@link #all} */
    List<Body> asBodies() {
        return all().stream().map(this::body).toList();
    }

    /** @return name of the carrier that it hangs on */
    public String hangs(Laid l) {
        return carrierOf(
                Optional.of(run(l)),
                l.before().or(l::behind).stream().mapToInt(Laid.Joined::body).findFirst(),
                bodies);
    }

    private Body body(Laid l) {
        Stand stand = new Stand(l.pipe().name(), Stand.What.PIPE, l.spec().from(), 0, 0, 0, hangs(l), Optional.empty());
        return new Body(l.pipe().name(), l.run(), stand, l.solid(), false, Optional.empty(), List.of(), floats(l));
    }

    /** Nothing that does not give holds it, and its ends are on two carriers. */
    private Optional<Floats> floats(Laid l) {
        if (run(l).heldBy().isPresent() || l.before().isEmpty() || l.behind().isEmpty()) {
            return Optional.empty();
        }
        String with = bodies.get(l.behind().get().body()).stand().carrier();
        return Floats.between(hangs(l), with, l.spec().from(), l.spec().to());
    }

    /** @return the port of a body that a pipe comes on; empty where they are not joined */
    Optional<OpenPort> joint(int pipe, int body) {
        Laid l = all().get(pipe);
        return l.before()
                .filter(j -> j.body() == body)
                .or(() -> l.behind().filter(j -> j.body() == body))
                .map(Laid.Joined::port);
    }

    /** @return whether one pipe goes on where the other ends */
    boolean goesOn(int pipe, int other) {
        Laid one = all().get(pipe);
        Laid two = all().get(other);
        if (one.hose().isPresent() || two.hose().isPresent()) {
            return one.hose().isPresent() && two.hose().isPresent() && hoses.goesOn(one, two);
        }
        return new Neighbours(option.path(), one.spot()).isBeside(two.spot());
    }

    /** @return whether both are legs of one pair, whose arms meet where they part */
    boolean isForked(int pipe, int other) {
        return Math.max(pipe, other) < laid.size()
                && laid.get(pipe).spot().row().isBeside(laid.get(other).spot().row());
    }
}
