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
import io.enthalpa.core.space.Gaps;
import io.enthalpa.core.space.Hull;
import io.enthalpa.core.space.Pose;
import io.enthalpa.core.space.Solid;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

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

    private record Thing(String name, Solid solid) {}

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
                .map(o -> new Thing(o.name(), o.solid()))
                .filter(t -> t.solid.half().isEmpty())
                .forEach(things::add);
        Bodies.of(option).stream()
                .filter(b -> AirBehind.stops(b.stand().what()))
                .map(b -> new Thing(b.name(), b.solid()))
                .forEach(things::add);
        return things;
    }

    /** From the opening's middle; rearward, to the right and up. */
    private Solid bar(double from, double to, double right, double up, double wide, double high) {
        Pose at = Pose.at(
                place.opening().getX() + (from + to) / 2,
                place.opening().getY() + right,
                place.opening().getZ() + up);
        return Solid.of("air", Hull.box(at, to - from - TOUCH, wide - TOUCH, high - TOUCH));
    }

    private static boolean strikes(Thing thing, Solid bar) {
        return Gaps.meet(bar, thing.solid);
    }

    private List<Thing> near(Solid all) {
        return things.stream().filter(t -> strikes(t, all)).toList();
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
                Solid bar = bar(-FAR, to, right, up, wide / 2, high / 2);
                Optional<Thing> now = c == ACROSS
                        ? Optional.empty()
                        : near.stream().filter(t -> strikes(t, bar)).findFirst();
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
                free += strikes(thing, bar(-SKIN, SKIN, right, up, wide / 2, high / 2)) ? 0 : 1;
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
            Solid bar = bar(rear, rear + depth, right, up, wide, high);
            if (near.stream().anyMatch(t -> strikes(t, bar))) {
                return free;
            }
            free = depth;
        }
        return free;
    }
}
