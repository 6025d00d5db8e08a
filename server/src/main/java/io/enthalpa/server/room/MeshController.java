package io.enthalpa.server.room;

import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import io.enthalpa.core.quantity.Quantity;
import io.enthalpa.core.quantity.Unit;
import io.enthalpa.core.room.Nature;
import io.enthalpa.core.room.Obstacle;
import io.enthalpa.core.room.ObstacleShape;
import io.enthalpa.core.space.Pose;
import io.enthalpa.core.space.ThreePoints;
import io.enthalpa.formats.MeshFile;
import io.enthalpa.formats.document.BuildDocument;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

/** Surfaces of triangles: taken in from files, and placed by three points of them. Stateless. */
@RestController
@RequestMapping("/api/room/mesh")
class MeshController {
    private static final int LONGEST_NAME = 60;

    /** @param units that a file's numbers can be in */
    record MeshUnitsView(List<String> units) {}

    @GetMapping("/units")
    MeshUnitsView units() {
        return new MeshUnitsView(
                Quantity.LENGTH.units().stream().map(Unit::symbol).toList());
    }

    /** @param obstacle to put into the room, where the file's own numbers put it @param dropped triangles without area */
    record MeshTakenView(JsonNode obstacle, int triangles, int dropped) {}

    /**
     * The body is the file, STL or OBJ, read as it comes; 422 tells where in it something is wrong.
     *
     * @param unit of its numbers, one of /units; never guessed
     * @param name of what it is
     */
    @PostMapping(consumes = "application/octet-stream")
    MeshTakenView take(
            HttpServletRequest body,
            @RequestParam(defaultValue = "") String unit,
            @RequestParam(defaultValue = "surface") String name)
            throws IOException {
        InputStream file = body.getInputStream();
        try {
            MeshFile taken = MeshFile.read(file, MeshFile.unit(unit));
            String called = name.isBlank() ? "surface" : name.strip();
            Obstacle obstacle = new Obstacle(
                    called.length() > LONGEST_NAME ? called.substring(0, LONGEST_NAME) : called,
                    Nature.BODY,
                    "body",
                    OptionalDouble.empty(),
                    new ObstacleShape.Surface(taken.mesh(), taken.middle(), 0, 0, 0, false),
                    Optional.empty());
            return new MeshTakenView(BuildDocument.tree(obstacle), taken.mesh().size(), taken.dropped());
        } finally {
            // Who still sends would not hear the answer.
            file.skip(Long.MAX_VALUE);
        }
    }

    record PointView(
            @Nullable Double back_mm,
            @Nullable Double right_mm,
            @Nullable Double up_mm) {
        Vector3D vector(String field, int number) {
            return new Vector3D(
                    metres(field, number, "back", back_mm),
                    metres(field, number, "right", right_mm),
                    metres(field, number, "up", up_mm));
        }

        private static double metres(String field, int number, String axis, @Nullable Double mm) {
            if (mm == null || !(Math.abs(mm) <= 10_000)) {
                throw EnthalpaFault.of(
                        FaultKind.MALFORMED,
                        "/%s/%d/%s_mm".formatted(field, number, axis),
                        "point %d, %s".formatted(number + 1, axis),
                        mm == null ? "not typed" : "%.0f mm".formatted(mm),
                        "a number between -10000 and 10000 mm",
                        "");
            }
            return mm / 1000;
        }
    }

    /** How a thing stands: its place and its turns. */
    record StandsView(
            double back_mm, double right_mm, double up_mm, double turned_deg, double tipped_deg, double leaned_deg) {
        Pose pose() {
            return Pose.of(
                    new Vector3D(back_mm / 1000, right_mm / 1000, up_mm / 1000),
                    Math.toRadians(turned_deg),
                    Math.toRadians(tipped_deg),
                    Math.toRadians(leaned_deg));
        }

        static StandsView of(Pose pose) {
            double[] turns = pose.turns();
            return new StandsView(
                    fine(1000 * pose.at().getX()),
                    fine(1000 * pose.at().getY()),
                    fine(1000 * pose.at().getZ()),
                    fine(Math.toDegrees(turns[0])),
                    fine(Math.toDegrees(turns[1])),
                    fine(Math.toDegrees(turns[2])));
        }

        /** To a ten-thousandth: a degree's is 0.002 mm at a metre. */
        private static double fine(double value) {
            return Math.round(value * 1e4) / 1e4;
        }
    }

    /** @param now how it stands @param on three points of it, as it stands @param at where they belong by the tape */
    record ThreeRequest(StandsView now, List<PointView> on, List<PointView> at) {}

    /** @param off_mm that each point ends from its place */
    record ThreeAnswer(StandsView stands, List<Double> off_mm) {}

    @PostMapping("/placed")
    ThreeAnswer placed(@RequestBody ThreeRequest request) {
        ThreePoints three = ThreePoints.of(vectors("on", request.on()), vectors("at", request.at()));
        return new ThreeAnswer(
                StandsView.of(request.now().pose().in(three.movement())),
                three.off().stream().map(off -> Math.round(off * 1e5) / 100.0).toList());
    }

    private static List<Vector3D> vectors(String field, List<PointView> points) {
        if (points == null || points.size() != 3 || points.contains(null)) {
            throw EnthalpaFault.of(FaultKind.MALFORMED, "/" + field, field, "not three points", "three points", "");
        }
        List<Vector3D> all = new ArrayList<>();
        for (int i = 0; i < 3; i++) {
            all.add(points.get(i).vector(field, i));
        }
        return all;
    }
}
