package io.enthalpa.server.answers;

import io.enthalpa.core.build.Build;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.duty.Gearing;
import io.enthalpa.core.fit.AirStack;
import io.enthalpa.core.fit.Bodies;
import io.enthalpa.core.fit.Body;
import io.enthalpa.core.fit.Fit;
import io.enthalpa.core.fit.FitFinding;
import io.enthalpa.core.fit.GapRow;
import io.enthalpa.core.fit.Laid;
import io.enthalpa.core.fit.LoopInRoom;
import io.enthalpa.core.mount.Held;
import io.enthalpa.core.mount.Mounting;
import io.enthalpa.core.room.Mount;
import io.enthalpa.core.room.Obstacle;
import io.enthalpa.core.room.ObstacleShape;
import io.enthalpa.core.room.RoomSpec;
import io.enthalpa.core.room.Stand;
import io.enthalpa.core.space.Silhouette;
import io.enthalpa.core.space.Solid;
import io.enthalpa.formats.MeshWords;
import io.enthalpa.formats.RoomShapes;
import io.enthalpa.formats.Sentences;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.jspecify.annotations.Nullable;

/** An option in its room: bodies and obstacles as outlines to draw, every gap with what is asked of it, and what is found. */
public record FitView(
        boolean fits,
        List<FitFindingView> findings,
        List<TrialView> trials,
        List<BodyView> bodies,
        List<LaidPipeView> pipes,
        List<LaidPipeView.StartingView> startings,
        List<LoopInRoomView> loops,
        List<UnplacedView> unplaced,
        List<String> gone,
        List<ObstacleView> obstacles,
        List<StackView> stacks,
        List<MountingView> mountings,
        List<RoomGapView> gaps) {
    private static final int BACK = 0;
    private static final int RIGHT = 1;
    private static final int UP = 2;

    /** A water loop whose heights are taken from the room, piece by piece. */
    public record LoopInRoomView(String core, List<LoopHeightView> heights) {
        static LoopInRoomView of(LoopInRoom loop) {
            return new LoopInRoomView(
                    loop.core(),
                    loop.heights().stream()
                            .map(h -> new LoopHeightView(mm(h.up()), h.typed()))
                            .toList());
        }
    }

    /** @param typed true where it is as it was typed */
    public record LoopHeightView(double up_mm, boolean typed) {}

    /** What is said, of what and to what; the numbers as they are told. */
    public record FitFindingView(FitFinding.Kind kind, String of, String to, Map<String, Double> values, String says) {
        static FitFindingView of(FitFinding f) {
            return new FitFindingView(f.kind(), f.of(), f.to(), Sentences.told(f.figures()), Sentences.of(f));
        }
    }

    /** Bonnet shut, full lock, engine rocking: whether it goes, and which gap decides it, a number among the gaps; empty where there is nothing to look at. */
    public record TrialView(Fit.Trial trial, boolean goes, int gap) {}

    /** Outlines of a part as corners after corners, mm: from the front right and up, from the side back and up, from above right and back. */
    public record OutlineView(String element, List<Double> front, List<Double> side, List<Double> above) {
        static OutlineView of(Solid.Part part) {
            return new OutlineView(
                    part.element(), corners(part, RIGHT, UP), corners(part, BACK, UP), corners(part, RIGHT, BACK));
        }

        private static List<Double> corners(Solid.Part part, int across, int second) {
            return Silhouette.of(part.convex(), across, second).stream()
                    .flatMap(p -> Arrays.stream(p).boxed())
                    .map(FitView::drawn)
                    .toList();
        }
    }

    /**
     * Outlines of all its parts. Of a surface those are of all its triangles at once, and how many there are is not the same from each side:
     * some stand empty.
     */
    static List<OutlineView> outlines(Solid solid) {
        if (!solid.isSurface()) {
            return solid.parts().stream().map(OutlineView::of).toList();
        }
        List<List<double[]>> front = solid.shadow(RIGHT, UP);
        List<List<double[]>> side = solid.shadow(BACK, UP);
        List<List<double[]>> above = solid.shadow(RIGHT, BACK);
        String element = solid.elements().get(0);
        return IntStream.range(0, Math.max(front.size(), Math.max(side.size(), above.size())))
                .mapToObj(i -> new OutlineView(element, ring(front, i), ring(side, i), ring(above, i)))
                .toList();
    }

    private static List<Double> ring(List<List<double[]>> rings, int i) {
        return i >= rings.size()
                ? List.of()
                : rings.get(i).stream()
                        .flatMap(p -> Arrays.stream(p).boxed())
                        .map(FitView::drawn)
                        .toList();
    }

    /** A body in its place; usual is true where its size is only the usual one, scroll where it is a blower whose housing can be clocked. */
    public record BodyView(
            String place, String name, Stand.What what, boolean usual, boolean scroll, List<OutlineView> parts) {}

    /** Where a layer would stand on its opening. */
    public record LayerSeatView(double across_mm, double up_mm, double gap_mm) {}

    /**
     * A way of the air where it is in the room: its opening, then its layers.
     *
     * @param away        names of the bodies that the room has elsewhere than the stack does
     * @param asTheyStand the layers where the room has those; null where that cannot be, or nothing is away
     */
    public record StackView(
            String place,
            String name,
            List<OutlineView> parts,
            List<String> away,
            @Nullable List<LayerSeatView> asTheyStand) {
        static StackView of(BuildOption option, AirStack s) {
            return new StackView(
                    "/airWays/" + s.way(),
                    s.name(),
                    s.parts().stream().map(OutlineView::of).toList(),
                    s.away().stream().map(AirStack.Away::name).toList(),
                    s.away().isEmpty()
                            ? null
                            : AirStack.asTheyStand(option, option.airWays().get(s.way()))
                                    .map(layers -> layers.stream()
                                            .map(l -> new LayerSeatView(tape(l.across()), tape(l.up()), tape(l.gap())))
                                            .toList())
                                    .orElse(null));
        }
    }

    /** What could be given a place. */
    public record UnplacedView(String of, Stand.What what, String name) {}

    /** A plane through a place, its normal out of what is filled. */
    public record PlaneView(List<Double> at_mm, List<Double> normal) {}

    /** @param says of a surface: how many triangles, how large, and what is not as it should be */
    public record ObstacleView(
            String place,
            String name,
            List<OutlineView> parts,
            @Nullable String says,
            @Nullable PlaneView plane) {}

    /**
     * @param place   of the body
     * @param against place of what is on the other side
     * @param from_mm where the gap is least, on the body: back, right, up
     * @param to_mm   and on the other side
     */
    public record RoomGapView(
            String place,
            String of,
            String against,
            String to,
            double gap_mm,
            double asked_mm,
            @Nullable Double moved_mm,
            @Nullable Double movedAsked_mm,
            double missing_mm,
            boolean isShort,
            List<Double> from_mm,
            List<Double> to_mm) {}

    /**
     * One point that holds a body, its bolt and where that meets the body: back, right, up.
     *
     * @param reach_mm    from the bolt to the body, less than 0 inside it
     * @param load_N      the most that comes on it
     * @param stress_MPa  of a strap under that
     * @param used_pct    of what a strap bears, or a bobbin standing; null where nothing is known
     */
    public record HeldView(
            List<Double> bolt_mm,
            List<Double> at_mm,
            double reach_mm,
            double load_N,
            double standing_N,
            @Nullable Double stress_MPa,
            @Nullable Double used_pct) {
        static HeldView of(Held held) {
            boolean strap = held.mount().hold() instanceof Mount.Strap;
            Double used = strap ? Double.valueOf(100 * held.used()) : null;
            if (held.mount().hold() instanceof Mount.Bobbin b && b.load() > 0) {
                used = 100 * held.standing() / b.load();
            }
            return new HeldView(
                    point(held.mount().bolt()),
                    point(held.at()),
                    mm(held.reach()),
                    held.load(),
                    held.standing(),
                    strap ? Double.valueOf(held.stress() / 1e6) : null,
                    used);
        }
    }

    /**
     * How a body is held, its points in the order of its mounts.
     *
     * @param frequency_Hz of its slowest swing; null where something is left free
     * @param growth_mm    between its hard points; 0 where something gives
     * @param level_deg    that it stands askew
     * @param off_mm       that its middle stands to the right of the room's
     */
    public record MountingView(
            String place,
            double mass_kg,
            List<HeldView> held,
            long existing,
            @Nullable Double frequency_Hz,
            double growth_mm,
            double play_mm,
            double level_deg,
            double off_mm) {
        static MountingView of(String place, Mounting m) {
            return new MountingView(
                    place,
                    m.mass(),
                    m.held().stream().map(HeldView::of).toList(),
                    m.existing(),
                    m.free() == 0 ? Double.valueOf(m.frequency()) : null,
                    mm(m.growth()),
                    mm(m.play()),
                    Math.toDegrees(m.level()),
                    mm(m.off()));
        }
    }

    /** @return the fit of an option; null where the build has no room */
    public static @Nullable FitView of(Build build, String letter) {
        double idle = build.gearing().map(Gearing::idle).orElse(Gearing.USUAL_IDLE);
        return build.room()
                .map(room -> of(build.option(letter), room, build.engine().firing(idle)))
                .orElse(null);
    }

    /** @return the same for a reader who has the obstacles from before: their outlines are two thirds of it */
    FitView withoutObstacles() {
        return new FitView(
                fits, findings, trials, bodies, pipes, startings, loops, unplaced, gone, List.of(), stacks, mountings,
                gaps);
    }

    private static FitView of(BuildOption option, RoomSpec room, double firing) {
        List<Solid> solids = room.obstacles().stream().map(Obstacle::solid).toList();
        Fit fit = Fit.of(option, room, solids);
        return new FitView(
                fit.fits(),
                FitFinding.of(fit, firing).stream().map(FitFindingView::of).toList(),
                Arrays.stream(Fit.Trial.values())
                        .flatMap(trial -> fit.decides(trial, room).stream()
                                .map(row -> new TrialView(
                                        trial, !row.isShort(), fit.gaps().indexOf(row))))
                        .toList(),
                bodies(option, fit),
                fit.pipes().all().stream()
                        .map(l -> LaidPipeView.of(l, fit.pipes().run(l), option))
                        .toList(),
                fit.pipes().startings().stream()
                        .map(LaidPipeView.StartingView::of)
                        .toList(),
                fit.pipes().loops().stream().map(LoopInRoomView::of).toList(),
                fit.unplaced().stream()
                        .map(s -> new UnplacedView(s.of(), s.what(), Bodies.name(s)))
                        .toList(),
                fit.gone().stream().map(Bodies::name).toList(),
                IntStream.range(0, solids.size())
                        .mapToObj(i -> obstacle(i, room.obstacles().get(i), solids.get(i)))
                        .toList(),
                fit.stacks().stream().map(s -> StackView.of(option, s)).toList(),
                fit.mountings().stream()
                        .map(m -> MountingView.of(stand(fit.bodies().get(m.body())), m.mounting()))
                        .toList(),
                fit.gaps().stream().map(row -> gap(row, fit)).toList());
    }

    private static List<BodyView> bodies(BuildOption option, Fit fit) {
        List<Laid> pipes = fit.pipes().all();
        int standing = fit.bodies().size() - pipes.size();
        return IntStream.range(0, fit.bodies().size())
                .mapToObj(i -> body(
                        option,
                        fit.bodies().get(i),
                        i < standing
                                ? fit.bodies().get(i).solid()
                                : pipes.get(i - standing).drawn()))
                .toList();
    }

    private static BodyView body(BuildOption option, Body body, Solid drawn) {
        return new BodyView(
                stand(body),
                body.name(),
                body.stand().what(),
                body.usual(),
                Bodies.hasScroll(option, body.stand()),
                outlines(drawn));
    }

    static String stand(Body body) {
        return RoomShapes.place(body);
    }

    private static ObstacleView obstacle(int i, Obstacle obstacle, Solid solid) {
        return new ObstacleView(
                place(i),
                obstacle.name(),
                outlines(solid),
                obstacle.shape() instanceof ObstacleShape.Surface s ? MeshWords.of(s.mesh(), s.skin()) : null,
                solid.half()
                        .map(h -> new PlaneView(
                                point(h.on()),
                                Arrays.stream(h.normal().toArray()).boxed().toList()))
                        .orElse(null));
    }

    static String place(int obstacle) {
        return "/room/obstacles/" + obstacle;
    }

    private static RoomGapView gap(GapRow row, Fit fit) {
        Body body = fit.bodies().get(row.body());
        String against = row.obstacle().isPresent()
                ? place(row.obstacle().getAsInt())
                : stand(fit.bodies().get(row.other().orElseThrow()));
        boolean moves = row.moved().isPresent();
        return new RoomGapView(
                stand(body),
                FitFinding.named(row.element(), body.name()),
                against,
                FitFinding.named(row.against(), row.name()),
                mm(row.still()),
                mm(row.asked().still()),
                moves ? Double.valueOf(mm(row.moved().getAsDouble())) : null,
                moves ? Double.valueOf(mm(row.asked().moved())) : null,
                mm(row.missing()),
                row.isShort(),
                point(row.from()),
                point(row.to()));
    }

    /** To a thousandth: a gap is known to a hundredth. */
    static double mm(double m) {
        return Math.round(m * 1e6) / 1e3;
    }

    /** To a tenth: finer than any line of the drawing. */
    private static double drawn(double m) {
        return Math.round(m * 1e4) / 1e1;
    }

    /** To a hundredth, as a place is typed. */
    static double tape(double m) {
        return Math.round(m * 1e5) / 1e2;
    }

    static List<Double> point(Vector3D p) {
        return List.of(mm(p.getX()), mm(p.getY()), mm(p.getZ()));
    }
}
