package io.enthalpa.core.fit;

import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.coolingair.AirWaySpec;
import io.enthalpa.core.coolingair.Layer;
import io.enthalpa.core.coolingair.OpeningSpec;
import io.enthalpa.core.coolingair.WayInRoom;
import io.enthalpa.core.exchanger.CoreSize;
import io.enthalpa.core.room.RoomSpec;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import io.enthalpa.core.space.Bounds;
import io.enthalpa.core.space.Gaps;
import io.enthalpa.core.space.Hull;
import io.enthalpa.core.space.Pose;
import io.enthalpa.core.space.Solid;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** What the room leaves free before and behind the stacks whose opening has a place in it. */
public final class AirSeen {
    public static final Method METHOD = Method.of(
                    "air-in-room",
                    "Opening and exit from the room",
                    "The opening is cut into 24 by 12 cells. What stands within 300 mm before a cell, or between it and the stack, covers it. Behind the last "
                            + "layer each cell has 0 to 300 mm free: the air of cells with all 300 goes straight on, that of the others turns and leaves "
                            + "through the slot round the stack, as wide as they have free on average, along their share of its edge.")
            .formula("A = A_free + min(A_near, P (A_near / A) d), d the mean depth free behind the near cells")
            .source(
                    Citation.commonPractice(
                            "a number plate or bar counts as its shadow; what leaves a stack needs its face or the slot behind it"))
            .leavesOut(
                    "How the air turns, and what it meets farther on. Bonnet and ground do not count, nor what air goes through, nor the skin that the opening is cut into: what covers nine tenths of it within 20 mm of its plane.");

    private static final int ACROSS = 24;
    private static final int UP = 12;
    /** m: what stands farther off lets the air come together again. */
    private static final double FAR = 0.3;

    /** m before and behind the plane of the opening, within which the bodywork lies that it is cut into. */
    private static final double SKIN = 0.02;
    /** Of the opening, that only its own bodywork covers there. */
    private static final double HOLE_OF = 0.9;

    private static final double[] DEPTHS = {0.0375, 0.075, 0.15, FAR};
    /** m2: the least that a build file has. */
    private static final double LEAST_EXIT = 1e-4;

    /** m: what lies along a bar does not strike it. */
    private static final double TOUCH = 1e-5;

    private final BuildOption option;
    private final AirWaySpec way;
    private final WayInRoom place;
    private final List<Thing> things;

    private record Thing(String name, Solid solid, Bounds box) {}

    private AirSeen(BuildOption option, AirWaySpec way, List<Thing> things) {
        this.option = option;
        this.way = way;
        this.place = way.inRoom().orElseThrow();
        this.things = things;
    }

    /** @return the option with what the room has before and behind each way that has a place in it */
    public static BuildOption of(BuildOption option, RoomSpec room) {
        if (option.airWays().stream().noneMatch(way -> way.inRoom().isPresent())) {
            return option;
        }
        List<Thing> things = things(option, room);
        BuildOption seen = option;
        for (int i = 0; i < option.airWays().size(); i++) {
            AirWaySpec way = option.airWays().get(i);
            if (way.inRoom().isPresent()) {
                AirSeen looking = new AirSeen(option, way, things);
                WayInRoom.Found found = new WayInRoom.Found(looking.walls(), looking.exit());
                seen = seen.withWay(
                        i, w -> w.withInRoom(w.inRoom().orElseThrow().with(found)));
            }
        }
        return seen;
    }

    private static List<Thing> things(BuildOption option, RoomSpec room) {
        List<Thing> things = new ArrayList<>();
        room.obstacles().stream()
                .filter(o -> AirBehind.stops(o.nature()))
                .forEach(o -> put(things, o.name(), o.solid()));
        List<Body> standing = Bodies.of(option);
        Stream.concat(standing.stream(), Pipework.of(option, standing).asBodies().stream())
                .filter(b -> AirBehind.stops(b.stand().what()))
                .forEach(b -> put(things, b.name(), b.solid()));
        return things;
    }

    /** What lies beyond a plane has no bounds and does not count. */
    private static void put(List<Thing> things, String name, Solid solid) {
        solid.bounds().ifPresent(box -> things.add(new Thing(name, solid, box)));
    }

    /** What the air of a cell goes through; only where something comes near is it more than its box. */
    private static final class Bar {
        private final Bounds box;
        private Optional<Solid> solid = Optional.empty();

        private Bar(Bounds box) {
            this.box = box;
        }

        boolean strikes(Thing thing) {
            if (box.gap(thing.box) > 0) {
                return false;
            }
            if (solid.isEmpty()) {
                solid = Optional.of(Solid.of(
                        "air",
                        Hull.box(
                                Pose.at(
                                        box.middle().getX(),
                                        box.middle().getY(),
                                        box.middle().getZ()),
                                box.maxX() - box.minX(),
                                box.maxY() - box.minY(),
                                box.maxZ() - box.minZ())));
            }
            return Gaps.meet(solid.get(), thing.solid);
        }
    }

    /** From the opening's middle; rearward, to the right and up. */
    private Bar bar(double from, double to, double right, double up, double wide, double high) {
        double back = place.opening().getX() + (from + to) / 2;
        double across = place.opening().getY() + right;
        double at = place.opening().getZ() + up;
        double deep = (to - from - TOUCH) / 2;
        double half = (wide - TOUCH) / 2;
        double tall = (high - TOUCH) / 2;
        return new Bar(new Bounds(back - deep, across - half, at - tall, back + deep, across + half, at + tall));
    }

    private List<Thing> near(Bar all) {
        return things.stream().filter(t -> all.strikes(t)).toList();
    }

    /** Cells beside one another that the same thing covers are one piece. */
    private List<OpeningSpec.Wall> walls() {
        OpeningSpec o = way.opening();
        double to = Math.max(way.layers().get(0).gap(), 1e-3);
        double wide = o.width() / ACROSS;
        double high = o.height() / UP;
        List<Thing> near = near(bar(-FAR, to, 0, 0, o.width(), o.height())).stream()
                .filter(t -> !isCutInto(t, wide, high))
                .toList();
        List<OpeningSpec.Wall> walls = new ArrayList<>();
        for (int r = 0; r < UP && !near.isEmpty(); r++) {
            double up = ((r + 0.5) / UP - 0.5) * o.height();
            int begun = 0;
            Optional<Thing> before = Optional.empty();
            for (int c = 0; c <= ACROSS; c++) {
                double right = ((c + 0.5) / ACROSS - 0.5) * o.width();
                // Half as wide and high as the cell: it counts by its middle.
                Bar bar = bar(-FAR, to, right, up, wide / 2, high / 2);
                Optional<Thing> now = c == ACROSS
                        ? Optional.empty()
                        : near.stream().filter(t -> bar.strikes(t)).findFirst();
                if (!now.equals(before)) {
                    if (before.isPresent()) {
                        double middle = ((begun + c) / 2.0 / ACROSS - 0.5) * o.width();
                        walls.add(new OpeningSpec.Wall(before.get().name, (c - begun) * wide, high, middle, up));
                    }
                    begun = c;
                    before = now;
                }
            }
        }
        return walls;
    }

    /** Whether it covers nearly all of the opening in its very plane: the skin that the opening is a hole of, measured without it. */
    private boolean isCutInto(Thing thing, double wide, double high) {
        int free = 0;
        for (int r = 0; r < UP; r++) {
            for (int c = 0; c < ACROSS; c++) {
                double right = (c + 0.5 - ACROSS / 2.0) * wide;
                double up = (r + 0.5 - UP / 2.0) * high;
                free += bar(-SKIN, SKIN, right, up, wide / 2, high / 2).strikes(thing) ? 0 : 1;
                if (free > (1 - HOLE_OF) * ACROSS * UP) {
                    return false;
                }
            }
        }
        return true;
    }

    private double exit() {
        Layer last = way.layers().get(way.layers().size() - 1);
        Optional<CoreSize> face = AirStack.size(option, last);
        if (face.isEmpty()) {
            return way.exitArea();
        }
        double rear = AirStack.fronts(option, way).get(way.layers().size());
        double width = face.get().width();
        double height = face.get().height();
        List<Thing> near = near(bar(rear, rear + FAR, last.across(), last.up(), width, height));
        int blocked = 0;
        double depths = 0;
        for (int r = 0; r < UP; r++) {
            for (int c = 0; c < ACROSS; c++) {
                double right = last.across() + ((c + 0.5) / ACROSS - 0.5) * width;
                double up = last.up() + ((r + 0.5) / UP - 0.5) * height;
                double free = free(near, rear, right, up, width / ACROSS / 2, height / UP / 2);
                if (free < FAR) {
                    blocked++;
                    depths += free;
                }
            }
        }
        double share = blocked / (double) (ACROSS * UP);
        double round = 2 * (width + height) * share * (blocked == 0 ? 0 : depths / blocked);
        double area = width * height;
        return Math.max(LEAST_EXIT, area * (1 - share) + Math.min(area * share, round));
    }

    private double free(List<Thing> near, double rear, double right, double up, double wide, double high) {
        double free = 0;
        for (double depth : DEPTHS) {
            Bar bar = bar(rear, rear + depth, right, up, wide, high);
            if (near.stream().anyMatch(t -> bar.strikes(t))) {
                return free;
            }
            free = depth;
        }
        return free;
    }
}
