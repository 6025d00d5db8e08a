package io.enthalpa.core;

import io.enthalpa.core.build.Build;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.duty.Duty;
import io.enthalpa.core.duty.DutyPoint;
import io.enthalpa.core.engine.EngineSpec;
import io.enthalpa.core.room.Carrier;
import io.enthalpa.core.room.Nature;
import io.enthalpa.core.room.Obstacle;
import io.enthalpa.core.room.ObstacleShape;
import io.enthalpa.core.room.RoomSpec;
import io.enthalpa.core.room.Stand;
import io.enthalpa.core.verdict.Targets;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * Invented rooms round the core of {@link Systems}: a block of 500 x 250 x 64 mm, tanks of 57, ports of 57 (61 outside, 77 over their clamps) in
 * the middle on stubs of 40, so 694 from port to port.
 */
public final class Rooms {
    private static final double RPM = Math.PI / 30;

    private Rooms() {}

    public static BuildOption core(Systems s, double back, double right, double up) {
        Stand stand = new Stand(
                "core", Stand.What.CORE, new Vector3D(back, right, up), 0, 0, 0, Carrier.BODY.name(), Optional.empty());
        return new BuildOption("A", "first", 100e3, s.path().elements(), List.of(), List.of(stand));
    }

    public static Obstacle of(String name, Nature nature, ObstacleShape shape) {
        return new Obstacle(name, nature, Carrier.BODY.name(), OptionalDouble.empty(), shape, Optional.empty());
    }

    public static Obstacle box(
            String name, double front, double rear, double left, double right, double bottom, double top) {
        return of(name, Nature.BODY, new ObstacleShape.Box(front, rear, left, right, bottom, top, 0, 0, 0));
    }

    public static RoomSpec room(Obstacle... obstacles) {
        return new RoomSpec("", List.of(), List.of(obstacles));
    }

    /** @return a job of two minutes at full load in a room, with one option */
    public static Build build(RoomSpec room, BuildOption option) {
        return new Build(
                "bench",
                "",
                new EngineSpec(0.0023, 4, 0.92, 7000 * RPM),
                new Build.Climate(300, 0, 0.4, OptionalDouble.empty()),
                new Targets(325, 340),
                new Build.FullLoad(5000 * RPM, 20),
                new Duty(
                        "hold",
                        true,
                        10,
                        1,
                        0,
                        List.of(new DutyPoint(0, 500, 100e3, 15), new DutyPoint(120, 500, 100e3, 15))),
                Optional.empty(),
                Optional.empty(),
                Optional.of(room),
                List.of(option));
    }
}
