package io.enthalpa.core.room;

import io.enthalpa.core.room.Preset.Measure;
import io.enthalpa.core.room.Preset.Tape;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/** The places that are measured most. */
final class Presets {
    static final List<Preset> ALL = List.of(
            new Preset(
                    "front",
                    "front of a car",
                    "middle of the latch panel's top edge",
                    List.of(
                            m(
                                    "barFront",
                                    "crash bar, front face",
                                    "rearward from the datum; it stands before it",
                                    -0.16),
                            m("barRear", "crash bar, rear face", "where a core may begin", -0.10),
                            m("barTop", "crash bar, top", "down from the datum is less than 0", -0.16),
                            m("barBottom", "crash bar, underside", "", -0.26),
                            m("latchBottom", "latch panel, underside", "", -0.06),
                            m("condenserFront", "condenser, front face", "", 0.02),
                            m("condenserRear", "condenser, rear face", "", 0.04),
                            m("radiatorFront", "radiator, front face", "", 0.15),
                            m("radiatorRear", "fan shroud, rear face", "radiator and shroud together", 0.26),
                            m("radiatorTop", "radiator, top", "", -0.13),
                            m("radiatorBottom", "radiator, underside", "", -0.55),
                            m("radiatorWidth", "radiator, width", "over its tanks", 0.65),
                            m("between", "between the frame legs", "the narrowest place, side to side", 0.78),
                            m("lamps", "between the headlamp backs", "bulb caps and plugs counted", 0.86),
                            m("lampRear", "headlamp backs, rear end", "", 0.07),
                            m("bonnet", "bonnet over the datum", "shut, with a lump of clay", 0.03),
                            m(
                                    "bonnetBehind",
                                    "bonnet over the datum, 500 behind it",
                                    "the same, half a metre to the rear",
                                    0.10)),
                    Presets::front),
            new Preset(
                    "bay",
                    "engine bay, left side",
                    "middle of the latch panel's top edge",
                    List.of(
                            m("trayFront", "battery tray, front end", "", 0.25),
                            m("trayRear", "battery, rear end", "", 0.48),
                            m("trayRight", "battery, side towards the engine", "less than 0 to the left", -0.24),
                            m("trayTop", "battery, top with its poles", "", -0.10),
                            m("tower", "strut tower, its middle rearward", "", 0.64),
                            m("towerRight", "strut tower, its side towards the engine", "", -0.40),
                            m("engineLeft", "engine, its left side", "", -0.20),
                            m("engineFront", "engine, its front", "belt drive not counted", 0.37),
                            m("engineTop", "engine, its top", "", -0.20),
                            m("belt", "belt drive, before the engine's front", "how far it stands out", 0.06),
                            m("exhaust", "exhaust or turbine housing, outermost to the left", "", -0.26),
                            m("exhaustUp", "exhaust, its middle upwards", "", -0.35),
                            m("bonnet", "bonnet over the datum", "shut, with a lump of clay", 0.03)),
                    Presets::bay),
            new Preset(
                    "quarter",
                    "rear quarter with under-tray",
                    "front end of the left sill's top edge, at the wheel arch",
                    List.of(
                            m("archRear", "wheel arch, its rear end", "", 0.70),
                            m("tyreRight", "tyre, its inner side", "to the right of the datum", 0.18),
                            m("tyre", "tyre, height", "", 0.62),
                            m("railRight", "chassis rail, its outer side", "", 0.34),
                            m("railTop", "chassis rail, top", "", 0.05),
                            m("railBottom", "chassis rail, underside", "", -0.08),
                            m("tray", "under-tray below the datum", "less than 0", -0.16),
                            m("floor", "boot floor over the datum", "", 0.30),
                            m("skin", "body skin, to the left of the datum", "less than 0", -0.14)),
                    Presets::quarter),
            new Preset(
                    "frame",
                    "open frame",
                    "middle of the seat bulkhead at the lower rail",
                    List.of(
                            m("wide", "between the rails, inside", "side to side", 0.62),
                            m("high", "upper rails over the lower ones", "middle to middle", 0.52),
                            m("tube", "tube, outside", "", 0.04),
                            m("long", "rails, to their rear end", "", 0.90),
                            m("hoop", "main hoop, its top", "over the lower rails", 0.98),
                            m("engineFront", "engine, its front", "", 0.05),
                            m("engineRear", "engine, its rear", "", 0.46),
                            m("engineWide", "engine, width", "about the middle", 0.36),
                            m("engineTop", "engine, its top", "", 0.40),
                            m("floor", "floor below the lower rails", "less than 0", -0.06)),
                    Presets::frame),
            new Preset(
                    "box",
                    "boat engine box",
                    "forward end of the port engine bearer, inner top edge",
                    List.of(
                            m("bulkhead", "forward bulkhead, its after face", "", -0.04),
                            m("long", "box, length aft", "", 1.60),
                            m("port", "box side to port", "less than 0", -0.32),
                            m("starboard", "box side to starboard", "", 0.92),
                            m("lid", "lid over the bearers", "its lining counted", 0.96),
                            m("bearers", "between the bearers", "inner faces", 0.60),
                            m("engineFront", "engine, forward end", "belt guard counted", 0.15),
                            m("engineRear", "engine, after end", "", 1.20),
                            m("engineWide", "engine, width", "about the middle of the bearers", 0.56),
                            m("engineTop", "engine, its top", "", 0.64),
                            m("bilge", "bilge below the bearers", "less than 0", -0.30)),
                    Presets::boat));

    private Presets() {}

    private static Measure m(String key, String label, String how, double usual) {
        return new Measure(key, label, how, usual);
    }

    private static Obstacle obstacle(String name, Nature nature, String carrier, ObstacleShape shape) {
        return new Obstacle(name, nature, carrier, OptionalDouble.empty(), shape, Optional.empty());
    }

    private static final String BODY = Carrier.BODY.name();

    /** It shakes on its mounts, and whatever is bolted to it. */
    private static Obstacle onEngine(Obstacle o) {
        return obstacle(o.name(), o.nature(), Carrier.ENGINE, o.shape());
    }

    private static Obstacle box(
            String name,
            Nature nature,
            double front,
            double rear,
            double left,
            double right,
            double bottom,
            double top) {
        return obstacle(name, nature, BODY, new ObstacleShape.Box(front, rear, left, right, bottom, top, 0, 0, 0));
    }

    private static Obstacle bar(String name, double radius, Vector3D... points) {
        return obstacle(name, Nature.STRUCTURE, BODY, new ObstacleShape.Tube(List.of(points), radius));
    }

    private static Obstacle above(String name, double at, double falls) {
        return obstacle(name, Nature.BONNET, BODY, new ObstacleShape.Plane(new Vector3D(0, 0, at), falls, 0, true));
    }

    private static void front(Tape t) {
        double leg = t.of("between") / 2;
        double half = t.of("radiatorWidth") / 2;
        double lamp = t.of("lamps") / 2;
        double top = t.of("radiatorTop");
        double bottom = t.of("radiatorBottom");
        t.add(box(
                "crash bar",
                Nature.STRUCTURE,
                t.of("barFront"),
                t.of("barRear"),
                -leg - 0.2,
                leg + 0.2,
                t.of("barBottom"),
                t.of("barTop")));
        t.add(box("latch panel", Nature.BODY, -0.01, 0.03, -leg - 0.04, leg + 0.04, t.of("latchBottom"), 0));
        t.add(box(
                "condenser",
                Nature.AIR_THROUGH,
                t.of("condenserFront"),
                t.of("condenserRear"),
                -half + 0.02,
                half - 0.02,
                bottom + 0.03,
                top - 0.03));
        t.add(box(
                "radiator and shroud",
                Nature.AIR_THROUGH,
                t.of("radiatorFront"),
                t.of("radiatorRear"),
                -half,
                half,
                bottom,
                top));
        t.add(box("left frame leg", Nature.STRUCTURE, 0, 0.9, -leg - 0.07, -leg, bottom, bottom + 0.12));
        t.add(box("right frame leg", Nature.STRUCTURE, 0, 0.9, leg, leg + 0.07, bottom, bottom + 0.12));
        t.add(box("left headlamp back", Nature.BODY, -0.12, t.of("lampRear"), -lamp - 0.21, -lamp, -0.33, -0.08));
        t.add(box("right headlamp back", Nature.BODY, -0.12, t.of("lampRear"), lamp, lamp + 0.21, -0.33, -0.08));
        t.add(above("bonnet", t.of("bonnet"), Math.atan2(t.of("bonnetBehind") - t.of("bonnet"), 0.5)));
    }

    private static void bay(Tape t) {
        double side = t.of("trayRight");
        double tower = t.of("towerRight");
        t.add(box(
                "battery",
                Nature.BODY,
                t.of("trayFront"),
                t.of("trayRear"),
                side - 0.18,
                side,
                t.of("trayTop") - 0.23,
                t.of("trayTop")));
        t.add(obstacle(
                "left strut tower",
                Nature.STRUCTURE,
                BODY,
                new ObstacleShape.Round(
                        new Vector3D(t.of("tower"), tower - 0.095, -0.7),
                        0.095,
                        new Vector3D(t.of("tower"), tower - 0.095, -0.12),
                        0.095)));
        t.add(onEngine(box(
                "engine block",
                Nature.ENGINE_PART,
                t.of("engineFront"),
                t.of("engineFront") + 0.45,
                t.of("engineLeft"),
                0.15,
                t.of("engineTop") - 0.4,
                t.of("engineTop"))));
        t.add(onEngine(box(
                "belt drive",
                Nature.TURNING,
                t.of("engineFront") - t.of("belt"),
                t.of("engineFront"),
                t.of("engineLeft"),
                0.15,
                t.of("engineTop") - 0.4,
                t.of("engineTop"))));
        t.add(obstacle(
                "exhaust",
                Nature.EXHAUST,
                Carrier.ENGINE,
                new ObstacleShape.Round(
                        new Vector3D(t.of("engineFront") + 0.1, t.of("exhaust") + 0.04, t.of("exhaustUp")),
                        0.04,
                        new Vector3D(t.of("engineFront") + 0.4, t.of("exhaust") + 0.04, t.of("exhaustUp")),
                        0.04)));
        t.add(above("bonnet", t.of("bonnet"), 0));
    }

    private static void quarter(Tape t) {
        double rear = t.of("archRear");
        double tyre = t.of("tyre") / 2;
        t.add(obstacle(
                "tyre",
                Nature.TYRE,
                BODY,
                new ObstacleShape.Round(
                        new Vector3D(rear / 2, t.of("tyreRight") - 0.24, 0),
                        tyre,
                        new Vector3D(rear / 2, t.of("tyreRight"), 0),
                        tyre)));
        t.add(box(
                "chassis rail",
                Nature.STRUCTURE,
                -0.2,
                rear + 0.8,
                t.of("railRight"),
                t.of("railRight") + 0.09,
                t.of("railBottom"),
                t.of("railTop")));
        t.add(box(
                "under-tray",
                Nature.TRIMMED_EDGE,
                rear,
                rear + 0.8,
                t.of("skin"),
                t.of("railRight"),
                t.of("tray") - 0.005,
                t.of("tray")));
        t.add(box(
                "boot floor",
                Nature.BODY,
                -0.2,
                rear + 0.8,
                t.of("skin"),
                t.of("railRight") + 0.5,
                t.of("floor"),
                t.of("floor") + 0.005));
        t.add(box(
                "body skin",
                Nature.TRIMMED_EDGE,
                rear,
                rear + 0.8,
                t.of("skin") - 0.005,
                t.of("skin"),
                t.of("tray"),
                t.of("floor")));
    }

    private static void frame(Tape t) {
        double radius = t.of("tube") / 2;
        double side = t.of("wide") / 2 + radius;
        double high = t.of("high");
        double rear = t.of("long");
        for (double right : new double[] {-side, side}) {
            String name = right < 0 ? "left" : "right";
            t.add(bar(name + " lower rail", radius, new Vector3D(-0.1, right, 0), new Vector3D(rear, right, 0)));
            t.add(bar(name + " upper rail", radius, new Vector3D(-0.1, right, high), new Vector3D(rear, right, high)));
        }
        t.add(bar(
                "main hoop",
                radius,
                new Vector3D(0, -side, 0),
                new Vector3D(0, -side + 0.03, t.of("hoop") - 0.18),
                new Vector3D(0, 0, t.of("hoop")),
                new Vector3D(0, side - 0.03, t.of("hoop") - 0.18),
                new Vector3D(0, side, 0)));
        double half = t.of("engineWide") / 2;
        t.add(onEngine(box(
                "engine",
                Nature.ENGINE_PART,
                t.of("engineFront"),
                t.of("engineRear"),
                -half,
                half,
                0,
                t.of("engineTop"))));
        t.add(box("floor", Nature.TRIMMED_EDGE, -0.1, rear, -side, side, t.of("floor") - 0.005, t.of("floor")));
    }

    private static void boat(Tape t) {
        double between = t.of("bearers");
        double half = t.of("engineWide") / 2;
        double aft = t.of("long");
        double bilge = t.of("bilge");
        t.add(box(
                "forward bulkhead",
                Nature.STRUCTURE,
                t.of("bulkhead") - 0.02,
                t.of("bulkhead"),
                t.of("port"),
                t.of("starboard"),
                bilge,
                t.of("lid")));
        t.add(box("port bearer", Nature.STRUCTURE, 0, aft, -0.06, 0, -0.16, 0));
        t.add(box("starboard bearer", Nature.STRUCTURE, 0, aft, between, between + 0.06, -0.16, 0));
        t.add(box(
                "port box side",
                Nature.BODY,
                t.of("bulkhead"),
                aft,
                t.of("port") - 0.01,
                t.of("port"),
                bilge,
                t.of("lid")));
        t.add(box(
                "starboard box side",
                Nature.BODY,
                t.of("bulkhead"),
                aft,
                t.of("starboard"),
                t.of("starboard") + 0.01,
                bilge,
                t.of("lid")));
        t.add(onEngine(box(
                "engine",
                Nature.ENGINE_PART,
                t.of("engineFront"),
                t.of("engineRear"),
                between / 2 - half,
                between / 2 + half,
                -0.1,
                t.of("engineTop"))));
        t.add(box("bilge", Nature.BODY, t.of("bulkhead"), aft, t.of("port"), t.of("starboard"), bilge - 0.01, bilge));
        t.add(above("lid", t.of("lid"), 0));
    }
}
