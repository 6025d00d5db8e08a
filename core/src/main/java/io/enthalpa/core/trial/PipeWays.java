package io.enthalpa.core.trial;

import io.enthalpa.core.build.Build;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.chargepath.Pieces;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fit.Buildable;
import io.enthalpa.core.fit.Fit;
import io.enthalpa.core.fit.FitFinding;
import io.enthalpa.core.fit.GapRow;
import io.enthalpa.core.fit.Laid;
import io.enthalpa.core.fit.Passable;
import io.enthalpa.core.place.Spot;
import io.enthalpa.core.room.Obstacle;
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
import java.util.OptionalDouble;
import java.util.function.BooleanSupplier;
import java.util.function.Supplier;
import java.util.stream.Stream;

/** Ways that one pipe or hose of an option can take through its room, each checked anew as any pipe that is laid, and priced over the duty. */
public final class PipeWays {
    /** Sizes smaller than the pipe that are tried where it has no way. */
    private static final int SMALLER = 3;

    private final Build build;
    private final String letter;
    private final BuildOption option;
    private final RoomSpec room;
    private final List<Solid> solids;
    private final Passable asked;
    private final Taste taste;
    private final BooleanSupplier cancelled;
    private final List<Supplier<Tried>> attempts;

    /**
     * @param cancelled asked again and again
     * @throws EnthalpaFault when the build has no room, the option no such pipe or hose, or it is not known where it begins or ends
     */
    public PipeWays(Build build, String letter, RunName of, Taste taste, BooleanSupplier cancelled) {
        this.build = build;
        this.letter = letter;
        this.option = build.option(letter);
        this.room = build.room().orElseThrow(ToldWays::noRoom);
        this.solids = room.obstacles().stream().map(Obstacle::solid).toList();
        this.asked = Passable.of(option, room, solids, of);
        this.taste = taste;
        this.cancelled = cancelled;
        this.attempts = attempts();
    }

    /**
     * A way, as it is laid.
     *
     * @param option with it
     * @param laid   the pipe on it, of two the first
     * @param second of two side by side
     * @param tight  its gap with least to spare; empty where nothing stands near
     * @param beside what that is to; empty likewise
     * @param change over the duty against the option as it stands; empty where either has no answer
     * @param roomy  whether it was looked for with more gap than asked
     */
    public record Way(
            BuildOption option,
            Laid laid,
            Optional<Laid> second,
            Optional<GapRow> tight,
            String beside,
            Optional<Change> change,
            boolean roomy) {
        /** @return the pipe, or both */
        public Stream<Laid> all() {
            return Stream.concat(Stream.of(laid), second.stream());
        }

        /** @return kg of its wall */
        public double mass() {
            return all().mapToDouble(l -> l.pipe().wall().section(l.pipe().bore())
                            * l.line().length()
                            * l.pipe().spec().material().density())
                    .sum();
        }

        /** @return m3 inside */
        public double volume() {
            return all().mapToDouble(l -> l.piece().spec().volume()).sum();
        }
    }

    /**
     * What was tried.
     *
     * @param of     the body that is set otherwise, or the obstacle that is out of the way; empty where it is the pipe that is other
     * @param figure m, outside of the tube or of each of two; rad that a housing is clocked to; number of the way a port turns; of the obstacle
     * @param way    that it opens; empty where it opens none
     */
    public record Tried(Opening opening, String of, OptionalDouble figure, boolean opens, Optional<Way> way) {
        private static Tried none(Opening opening, String of) {
            return new Tried(opening, of, OptionalDouble.empty(), false, Optional.empty());
        }
    }

    /** @return why there is none */
    public FitFinding says(Found found) {
        return ToldWays.none(asked.pipe().name(), found.narrow(), found.dropped());
    }

    /** @return what came of it */
    public FitFinding says(Tried tried) {
        return ToldWays.tried(asked.pipe(), tried);
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
        return checked(with(in, passable.run(way.spec())), List.of(passable.of()), way.roomy());
    }

    /** Where one obstacle is out of the way: laid and checked in the room without it. */
    private Optional<Way> without(int obstacle) {
        Passable passable = asked.without(obstacle);
        List<Obstacle> others = new ArrayList<>(room.obstacles());
        others.remove(obstacle);
        List<Solid> left = new ArrayList<>(solids);
        left.remove(obstacle);
        RoomSpec then = new RoomSpec(room.datum(), room.carriers(), others);
        return router(passable)
                .one(taste)
                .flatMap(way -> {
                    BuildOption with = with(option, passable.run(way.spec()));
                    return checked(with, Fit.of(with, then, left), List.of(passable.of()), way.roomy());
                })
                .flatMap(way -> priced(List.of(way)).stream().findFirst());
    }

    static BuildOption with(BuildOption in, Run run) {
        List<Run> runs = new ArrayList<>(in.runs());
        runs.removeIf(r -> r.name().equals(run.name()));
        runs.add(run);
        return in.withRuns(runs);
    }

    /** @param names of the pipe, or of both @return empty where one is not laid then, or keeps not all its gaps */
    private Optional<Way> checked(BuildOption with, List<RunName> names, boolean roomy) {
        return checked(with, Fit.of(with, room, solids), names, roomy);
    }

    private static Optional<Way> checked(BuildOption with, Fit then, List<RunName> names, boolean roomy) {
        List<Laid> there = then.pipes().all();
        int standing = then.bodies().size() - there.size();
        List<Laid> laid = new ArrayList<>();
        Optional<GapRow> tight = Optional.empty();
        int tightest = 0;
        for (int i = 0; i < there.size(); i++) {
            int body = standing + i;
            if (names.contains(then.pipes().run(there.get(i)).name())) {
                laid.add(there.get(i));
                Optional<GapRow> own = then.gaps().stream()
                        .filter(row -> row.body() == body || row.other().orElse(-1) == body)
                        .max(Comparator.comparingDouble(GapRow::missing));
                if (own.isPresent()
                        && (tight.isEmpty() || own.get().missing() > tight.get().missing())) {
                    tight = own;
                    tightest = body;
                }
            }
        }
        if (laid.size() < names.size() || tight.filter(GapRow::isShort).isPresent()) {
            return Optional.empty();
        }
        String beside = tight.isPresent() ? beside(tight.get(), tightest, then) : "";
        Optional<Laid> second = laid.stream().skip(1).findFirst();
        return Optional.of(new Way(with, laid.get(0), second, tight, beside, Optional.empty(), roomy));
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
                        w.second,
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
        return attempts.size();
    }

    /** @param number less than {@link #tries()} */
    public Tried attempt(int number) {
        return attempts.get(number).get();
    }

    private List<Supplier<Tried>> attempts() {
        List<Supplier<Tried>> all = new ArrayList<>(asked.hose().isPresent() ? List.of() : ofPipe());
        for (OtherHose other : OtherHose.of(option, asked)) {
            all.add(() -> tried(other.by(), OptionalDouble.empty(), first(as(other.option()), other.option())));
        }
        for (int k = 0; k < room.obstacles().size(); k++) {
            Obstacle obstacle = room.obstacles().get(k);
            if (obstacle.moving().isPresent()) {
                int number = k;
                all.add(() -> {
                    Optional<Way> way = without(number);
                    return new Tried(Opening.MOVED, obstacle.name(), OptionalDouble.of(number), way.isPresent(), way);
                });
            }
        }
        return all;
    }

    private List<Supplier<Tried>> ofPipe() {
        List<Supplier<Tried>> all = new ArrayList<>();
        all.add(() -> tried(
                Opening.TIGHT_BENDS,
                OptionalDouble.empty(),
                first(asked.bent(Buildable.TIGHTEST * asked.pipe().size()), option)));
        for (List<Reseat> kind : Reseat.of(option, asked.spot())) {
            if (!kind.isEmpty()) {
                all.add(() -> reseated(kind));
            }
        }
        if (asked.pipe().spec().material().isTube()) {
            all.add(this::flat);
        }
        for (double size : asked.pipe().sizes().below(0.98 * asked.pipe().size(), SMALLER)) {
            all.add(() -> {
                BuildOption other = sized(size);
                return tried(Opening.SMALLER, OptionalDouble.of(size), first(as(other), other));
            });
        }
        // A pair stands in no leg of another.
        if (asked.spot().row().equals(Spot.Row.PATH)) {
            double half = TwoTubes.half(asked.pipe());
            all.add(() -> tried(Opening.TWO_TUBES, OptionalDouble.of(half), two(half)));
        }
        return all;
    }

    private static Tried tried(Opening opening, OptionalDouble figure, Optional<Way> way) {
        return new Tried(opening, "", figure, way.isPresent(), way);
    }

    /** The first that opens a way, and with which nothing is wrong that is not wrong now; with tight bends where none does with those of stock. */
    private Tried reseated(List<Reseat> kind) {
        int wrong = wrong(option);
        List<Reseat> sound =
                kind.stream().filter(other -> wrong(other.option()) <= wrong).toList();
        for (boolean tight : List.of(false, true)) {
            for (Reseat other : sound) {
                Passable passable = as(other.option());
                Optional<Way> way = cancelled.getAsBoolean()
                        ? Optional.empty()
                        : first(
                                tight
                                        ? passable.bent(Buildable.TIGHTEST
                                                * asked.pipe().size())
                                        : passable,
                                other.option());
                if (way.isPresent()) {
                    return new Tried(other.by(), other.of(), OptionalDouble.of(other.figure()), true, way);
                }
            }
        }
        return Tried.none(kind.get(0).by(), kind.get(0).of());
    }

    /** What is wrong with an option besides the pipe that is looked for. */
    private int wrong(BuildOption other) {
        List<Run> runs = new ArrayList<>(other.runs());
        runs.removeIf(r -> r.name().equals(asked.of()));
        Fit fit = Fit.of(other.withRuns(runs), room, solids);
        return (int) fit.gaps().stream().filter(GapRow::isShort).count()
                + FitFinding.of(fit, 0).size();
    }

    /** As round as it can be. */
    private Tried flat() {
        double flattest = asked.pipe().outside();
        for (double height : MadeFlat.heights(asked)) {
            flattest = height;
            Optional<Way> way = cancelled.getAsBoolean() ? Optional.empty() : flat(height);
            if (way.isPresent()) {
                return tried(Opening.OVAL, OptionalDouble.of(height), way);
            }
        }
        return tried(Opening.OVAL, OptionalDouble.of(flattest), Optional.empty());
    }

    /** By what is liked best, then by what is cheapest: where it is narrow one finds what another does not. */
    private Optional<Way> flat(double height) {
        Router router = router(asked.flat(height));
        return Stream.of(taste, Taste.CHEAPEST)
                .distinct()
                .flatMap(t -> router.one(t).stream())
                .flatMap(way -> flat(asked.run(way.spec()), height).stream())
                .findFirst()
                .flatMap(w -> priced(List.of(w)).stream().findFirst());
    }

    private Optional<Way> flat(Run run, double height) {
        return MadeFlat.of(with(option, run), run, asked, height)
                .flatMap(flat -> checked(with(option, flat), List.of(asked.of()), false));
    }

    private Optional<Way> first(Passable passable, BuildOption in) {
        return router(passable).one(taste).flatMap(way -> laid(passable, in, way)).stream()
                .flatMap(way -> priced(List.of(way)).stream())
                .findFirst();
    }

    private Passable as(BuildOption other) {
        return Passable.of(other, room, solids, asked.of());
    }

    private BuildOption sized(double size) {
        Pieces.Placed<PathElement.Pipe> placed = new Pieces.Placed<>(asked.spot(), asked.pipe());
        return option.with(placed, p -> p.sized(size));
    }

    /** One beside the other from Y to Y. */
    private Optional<Way> two(double size) {
        SideBySide legs = new SideBySide(room, solids, taste, cancelled);
        return legs.of(option, asked, size).stream()
                .flatMap(pair -> checked(pair.option(), pair.names(), false).stream())
                .findFirst()
                .stream()
                .flatMap(way -> priced(List.of(way)).stream())
                .findFirst();
    }
}
