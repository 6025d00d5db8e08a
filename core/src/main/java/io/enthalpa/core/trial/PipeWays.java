package io.enthalpa.core.trial;

import io.enthalpa.core.build.Build;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.chargepath.Pieces;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import io.enthalpa.core.fit.Fit;
import io.enthalpa.core.fit.FitFinding;
import io.enthalpa.core.fit.FitFinding.Kind;
import io.enthalpa.core.fit.GapRow;
import io.enthalpa.core.fit.Passable;
import io.enthalpa.core.fit.Pipework;
import io.enthalpa.core.loss.StandardSizes;
import io.enthalpa.core.quantity.Figure;
import io.enthalpa.core.quantity.Quantity;
import io.enthalpa.core.room.RoomSpec;
import io.enthalpa.core.route.Centreline;
import io.enthalpa.core.route.Run;
import io.enthalpa.core.router.Keepout;
import io.enthalpa.core.router.Port;
import io.enthalpa.core.router.Router;
import io.enthalpa.core.router.Taste;
import io.enthalpa.core.router.Tube;
import io.enthalpa.core.space.Solid;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.function.BooleanSupplier;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/** Ways that one pipe of an option can take through its room, each checked anew as any pipe that is laid, and priced over the duty. */
public final class PipeWays {
    /** Sizes smaller than the pipe that are tried where it has no way. */
    private static final int SMALLER = 3;
    /** Middle line of a tight bend over the outside of the tube: common practice, no source. */
    private static final double TIGHT = 1;
    /** m between two tubes side by side. */
    private static final double BESIDE = 8e-3;
    /** A port that looks up or down as nearly has no side that is level. */
    private static final double LEVEL = 1e-3;

    private final Build build;
    private final String letter;
    private final BuildOption option;
    private final RoomSpec room;
    private final Fit fit;
    private final Passable asked;
    private final Taste taste;
    private final BooleanSupplier cancelled;

    /**
     * @param of        name of the pipe
     * @param cancelled asked again and again
     * @throws EnthalpaFault when the build has no room, the option no such pipe, or it is not known where it begins or ends
     */
    public PipeWays(Build build, String letter, String of, Taste taste, BooleanSupplier cancelled) {
        this.build = build;
        this.letter = letter;
        this.option = build.option(letter);
        this.room = build.room().orElseThrow(PipeWays::noRoom);
        this.fit = Fit.of(option, room);
        this.asked = Passable.of(option, room, fit, of);
        this.taste = taste;
        this.cancelled = cancelled;
    }

    private static EnthalpaFault noRoom() {
        return EnthalpaFault.of(
                FaultKind.CONTRADICTION,
                "/room",
                "the room",
                "not measured",
                "measured",
                "Put in a datum and what must be missed.");
    }

    /**
     * A way, as it is laid.
     *
     * @param option with it
     * @param laid   the pipe on it
     * @param tight  its gap with least to spare; empty where nothing stands near
     * @param beside what that is to; empty likewise
     * @param change over the duty against the option as it stands; empty where either has no answer
     * @param roomy  whether it was looked for with more gap than asked
     */
    public record Way(
            BuildOption option,
            Pipework.Laid laid,
            Optional<GapRow> tight,
            String beside,
            Optional<Change> change,
            boolean roomy) {
        /** @return kg of its wall */
        public double mass() {
            PathElement.Pipe pipe = laid.pipe();
            double wall = Math.PI
                    * (pipe.bore() + pipe.wall().thickness())
                    * pipe.wall().thickness();
            return wall * laid.line().length() * pipe.spec().material().density();
        }

        /** @return m3 inside */
        public double volume() {
            return laid.pipe().spec().area() * laid.line().length();
        }
    }

    /** What is changed where there is no way. */
    public enum Opening {
        TIGHT_BENDS,
        SMALLER,
        TWO_TUBES,
        MOVED
    }

    /**
     * What was tried.
     *
     * @param size     m, outside of the tube or of each of two
     * @param obstacle that is out of the way, its number
     * @param way      that it opens; empty where it opens none, or none that is laid as one pipe
     */
    public record Tried(Opening opening, OptionalDouble size, OptionalInt obstacle, boolean opens, Optional<Way> way) {}

    /** @return why there is none, and for what was tried whether that opens one */
    public FitFinding says(Optional<Router.Narrow> narrow) {
        Kind kind = narrow.map(n -> switch (n.where()) {
                    case START -> Kind.WAY_START_BLOCKED;
                    case END -> Kind.WAY_END_BLOCKED;
                    case BETWEEN -> Kind.WAY_NARROW;
                    case ACROSS -> Kind.WAY_ACROSS;
                })
                .orElse(Kind.WAY_NONE);
        double missing = narrow.map(Router.Narrow::missing).orElse(0.0);
        return new FitFinding(
                kind,
                asked.pipe().name(),
                narrow.map(Router.Narrow::keepout).orElse(""),
                List.of(new Figure("missing", missing, Quantity.LENGTH)));
    }

    /** @return what came of it */
    public FitFinding says(Tried tried) {
        List<Figure> figures = new ArrayList<>(List.of(Figure.plain("opens", tried.opens ? 1 : 0)));
        tried.size.ifPresent(size -> figures.add(new Figure("size", size, Quantity.LENGTH)));
        return new FitFinding(
                switch (tried.opening) {
                    case TIGHT_BENDS -> Kind.WAY_TIGHT_BENDS;
                    case SMALLER -> Kind.WAY_SMALLER;
                    case TWO_TUBES -> Kind.WAY_TWO_TUBES;
                    case MOVED -> Kind.WAY_MOVED;
                },
                asked.pipe().name(),
                tried.obstacle.isPresent()
                        ? room.obstacles().get(tried.obstacle.getAsInt()).name()
                        : "",
                figures);
    }

    /** @param dropped ways that were found and are not as they should be when they are laid: there should be none */
    public record Found(List<Way> ways, Optional<Router.Narrow> narrow, int dropped) {}

    public Found find() {
        Router.Found found = router(asked).find(taste);
        List<Way> ways = new ArrayList<>();
        for (Router.Way way : found.ways()) {
            laid(asked, option, way).ifPresent(ways::add);
        }
        return new Found(priced(ways), found.narrow(), found.ways().size() - ways.size());
    }

    private Router router(Passable passable) {
        return new Router(passable.tube(), passable.start(), passable.end(), passable.keepouts(), cancelled);
    }

    /** Checked by the fit, which knows nothing of how it was found. */
    private Optional<Way> laid(Passable passable, BuildOption in, Router.Way way) {
        Run run = passable.run(way.spec());
        List<Run> runs = new ArrayList<>(in.runs());
        runs.removeIf(r -> r.of().equals(run.of()));
        runs.add(run);
        BuildOption with = in.withRuns(runs);
        Fit then = Fit.of(with, room, fit.solids());
        int standing = then.bodies().size() - then.pipes().laid().size();
        for (int i = 0; i < then.pipes().laid().size(); i++) {
            Pipework.Laid laid = then.pipes().laid().get(i);
            if (laid.spot().equals(passable.spot())) {
                int body = standing + i;
                Optional<GapRow> tight = then.gaps().stream()
                        .filter(row -> row.body() == body || row.other().orElse(-1) == body)
                        .max(Comparator.comparingDouble(GapRow::missing));
                return tight.filter(GapRow::isShort).isPresent()
                        ? Optional.empty()
                        : Optional.of(new Way(
                                with,
                                laid,
                                tight,
                                tight.map(row -> beside(row, body, then)).orElse(""),
                                Optional.empty(),
                                way.roomy()));
            }
        }
        return Optional.empty();
    }

    private static String beside(GapRow row, int pipe, Fit fit) {
        return row.body() == pipe
                ? FitFinding.named(row.against(), row.name())
                : FitFinding.named(row.element(), fit.bodies().get(row.body()).name());
    }

    private List<Way> priced(List<Way> ways) {
        List<Change> changes = new Trials(build, letter)
                .of(ways.stream()
                        .map(w -> new Candidate(What.PIPE, asked.pipe().name(), w.option))
                        .toList());
        return ways.stream()
                .map(w -> new Way(
                        w.option,
                        w.laid,
                        w.tight,
                        w.beside,
                        changes.stream()
                                .filter(c -> c.option().equals(w.option))
                                .findFirst(),
                        w.roomy))
                .toList();
    }

    /** @return what can be tried where there is no way, one after the other */
    public int tries() {
        return 1 + smaller().size() + 1 + movable().size();
    }

    /** @param number less than {@link #tries()} */
    public Tried attempt(int number) {
        if (number == 0) {
            Tube tight = new Tube(
                    asked.tube().outside(),
                    asked.tube().bore(),
                    TIGHT * (asked.tube().outside() - 2 * asked.pipe().wall().wrap()),
                    asked.tube().seat(),
                    asked.tube().tack());
            Optional<Way> way = first(asked.as(tight), option);
            return new Tried(Opening.TIGHT_BENDS, OptionalDouble.empty(), OptionalInt.empty(), way.isPresent(), way);
        }
        List<Double> smaller = smaller();
        if (number <= smaller.size()) {
            double size = smaller.get(number - 1);
            BuildOption other = sized(size);
            Optional<Way> way = first(
                    Passable.of(
                            other,
                            room,
                            Fit.of(other, room, fit.solids()),
                            asked.pipe().name()),
                    other);
            return new Tried(Opening.SMALLER, OptionalDouble.of(size), OptionalInt.empty(), way.isPresent(), way);
        }
        if (number == smaller.size() + 1) {
            double size = half();
            return new Tried(
                    Opening.TWO_TUBES, OptionalDouble.of(size), OptionalInt.empty(), twoPass(size), Optional.empty());
        }
        int obstacle = movable().get(number - smaller.size() - 2);
        boolean opens = router(asked.without(obstacle)).one(taste).isPresent();
        return new Tried(Opening.MOVED, OptionalDouble.empty(), OptionalInt.of(obstacle), opens, Optional.empty());
    }

    private Optional<Way> first(Passable passable, BuildOption in) {
        return router(passable).one(taste).flatMap(way -> laid(passable, in, way)).stream()
                .flatMap(way -> priced(List.of(way)).stream())
                .findFirst();
    }

    private StandardSizes sizes() {
        return asked.pipe().spec().material().isTube() ? StandardSizes.TUBES : StandardSizes.CHARGE_HOSES;
    }

    private double size() {
        return asked.pipe().spec().material().isTube()
                ? asked.pipe().outside()
                : asked.pipe().bore();
    }

    /** The nearest first. */
    private List<Double> smaller() {
        return sizes().all().stream()
                .filter(s -> s < 0.98 * size())
                .sorted(Comparator.reverseOrder())
                .limit(SMALLER)
                .toList();
    }

    private BuildOption sized(double size) {
        Pieces.Placed<PathElement.Pipe> placed = new Pieces.Placed<>(asked.spot(), asked.pipe());
        return option.with(
                placed,
                p -> p.spec().material().isTube()
                        ? p.withSpec(p.spec().asTube(size, p.wall().thickness()))
                        : p.withSpec(p.spec().withBore(size)));
    }

    /** @return m, of each of two that leave the air as much room, or the largest there is below that */
    private double half() {
        return sizes().above(0.999 * size() / Math.sqrt(2)).orElse(size());
    }

    private List<Integer> movable() {
        List<Integer> all = new ArrayList<>();
        for (int k = 0; k < room.obstacles().size(); k++) {
            if (room.obstacles().get(k).moving().isPresent()) {
                all.add(k);
            }
        }
        return all;
    }

    /** One beside the other out of the ports, the second past the first. */
    private boolean twoPass(double size) {
        BuildOption other = sized(size);
        Passable one = Passable.of(
                other, room, Fit.of(other, room, fit.solids()), asked.pipe().name());
        double off = (one.tube().outside() + BESIDE) / 2;
        Optional<Router.Way> first = beside(one, off).one(taste);
        return first.filter(way -> {
                    Solid tube =
                            Centreline.of(way.spec(), "").solid("", one.tube().outside());
                    List<Keepout> all = new ArrayList<>(one.keepouts());
                    all.add(Keepout.together("", tube, BESIDE / 2));
                    Passable second =
                            new Passable(one.spot(), one.pipe(), one.tube(), one.start(), one.end(), all, one.before());
                    return beside(second, -off).one(taste).isPresent();
                })
                .isPresent();
    }

    private Router beside(Passable one, double off) {
        Port start = beside(one.start(), one.start().out(), off);
        Port end = beside(one.end(), one.end().out().map(Vector3D::negate), off);
        return new Router(one.tube(), start, end, one.keepouts(), cancelled);
    }

    /** To the right of the flow, level. */
    private static Port beside(Port port, Optional<Vector3D> flow, double off) {
        Vector3D side = flow.map(f -> Vector3D.PLUS_K.crossProduct(f))
                .filter(s -> s.getNorm() > LEVEL)
                .map(Vector3D::normalize)
                .orElse(Vector3D.PLUS_J);
        return new Port(port.at().add(off, side), port.out());
    }
}
