package io.enthalpa.formats.document;

import static io.enthalpa.formats.document.Suffix.DEG;
import static io.enthalpa.formats.document.Suffix.MM;

import io.enthalpa.core.room.Carrier;
import io.enthalpa.core.room.Nature;
import io.enthalpa.core.room.Obstacle;
import io.enthalpa.core.room.ObstacleShape;
import io.enthalpa.core.room.ObstacleShape.View;
import java.util.List;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.jspecify.annotations.Nullable;

/** Something in the room that must be missed. */
sealed interface ObstacleDocument extends Named
        permits ObstacleDocument.BoxObstacle,
                ObstacleDocument.RoundObstacle,
                ObstacleDocument.BallObstacle,
                ObstacleDocument.TubeObstacle,
                ObstacleDocument.PlaneObstacle,
                ObstacleDocument.PrismObstacle,
                MeshObstacle {
    String SIDE = "from the datum; the tape's own figure";

    Nature nature();

    @Nullable
    String carrier();

    @Figure(
            label = "gap asked",
            min = 0,
            max = 500,
            usual = 8,
            help = "empty for the usual of what it is",
            part = "room/obstacle")
    @Nullable
    Double gap_mm();

    @Nullable
    Moving move();

    ObstacleShape shape(Place at);

    default Obstacle core(Place at) {
        if (move() != null && nature().isNeverCut()) {
            throw at.contradiction(
                    "move",
                    "moving it",
                    "\"" + name() + "\" is structure",
                    "nothing, for structure is never cut or moved",
                    "Take the cost of moving it out.");
        }
        if (this instanceof PlaneObstacle && carrier() != null && !carrier().equals(Carrier.BODY.name())) {
            throw at.contradiction(
                    "carrier",
                    "what carries a plane",
                    "\"" + carrier() + "\"",
                    "the body",
                    "Give a plane that moves as a box.");
        }
        return new Obstacle(
                name(),
                nature(),
                carrier() == null ? Carrier.BODY.name() : carrier(),
                MM.si(gap_mm()),
                shape(at),
                java.util.Optional.ofNullable(move())
                        .map(m -> new Obstacle.Moving(
                                m.hours, m.price == null ? 0 : m.price, m.words == null ? "" : m.words)));
    }

    @Part(value = "room/move", says = "what it costs to move it out of the way")
    record Moving(
            @Figure(label = "hours to move it", min = 0, max = 500, usual = 1, help = "of work, there and back")
            double hours,

            @Figure(label = "parts to move it", min = 0, max = 1e6, usual = 0, help = "in your currency") @Nullable
            Double price,

            @Nullable String words) {}

    @Part(value = "room/obstacle", says = "a box by its six sides", named = true)
    record BoxObstacle(
            @Kind("box") String kind,
            String name,
            Nature nature,
            @Nullable String carrier,
            @Nullable Double gap_mm,
            @Called("moving it") @Nullable Moving move,

            @Figure(label = "front face", min = -PlaceInRoom.FAR_MM, max = PlaceInRoom.FAR_MM, usual = 0, help = SIDE)
            double front_mm,

            @Figure(label = "rear face", min = -PlaceInRoom.FAR_MM, max = PlaceInRoom.FAR_MM, usual = 100, help = SIDE)
            double rear_mm,

            @Figure(label = "left side", min = -PlaceInRoom.FAR_MM, max = PlaceInRoom.FAR_MM, usual = -50, help = SIDE)
            double left_mm,

            @Figure(label = "right side", min = -PlaceInRoom.FAR_MM, max = PlaceInRoom.FAR_MM, usual = 50, help = SIDE)
            double right_mm,

            @Figure(label = "underside", min = -PlaceInRoom.FAR_MM, max = PlaceInRoom.FAR_MM, usual = -50, help = SIDE)
            double bottom_mm,

            @Figure(label = "top", min = -PlaceInRoom.FAR_MM, max = PlaceInRoom.FAR_MM, usual = 50, help = SIDE)
            double top_mm,

            @Nullable Double turned_deg,
            @Nullable Double tipped_deg,
            @Nullable Double leaned_deg,
            @Nullable String id)
            implements ObstacleDocument, TurnedInRoom {
        @Override
        public ObstacleShape shape(Place at) {
            inOrder(at, "rear_mm", "rear face", rear_mm, "front face", front_mm);
            inOrder(at, "right_mm", "right side", right_mm, "left side", left_mm);
            inOrder(at, "top_mm", "top", top_mm, "underside", bottom_mm);
            return new ObstacleShape.Box(
                    MM.si(front_mm),
                    MM.si(rear_mm),
                    MM.si(left_mm),
                    MM.si(right_mm),
                    MM.si(bottom_mm),
                    MM.si(top_mm),
                    turned(),
                    tipped(),
                    leaned());
        }
    }

    private static void inOrder(Place at, String key, String label, double value, String lower, double bound) {
        if (!(value >= bound + LEAST_MM)) {
            throw at.contradiction(
                    key,
                    label,
                    "%.1f mm".formatted(value),
                    "at least %.0f mm beyond the %s at %.1f mm".formatted(LEAST_MM, lower, bound),
                    "");
        }
    }

    /** Thinner than sheet metal nothing is measured. */
    double LEAST_MM = 1;

    @Part(value = "room/obstacle", says = "a cylinder or a cone by the middles of its ends", named = true)
    record RoundObstacle(
            @Kind("cylinder") String kind,
            String name,
            Nature nature,
            @Nullable String carrier,
            @Nullable Double gap_mm,
            @Called("moving it") @Nullable Moving move,
            double back_mm,
            double right_mm,
            double up_mm,

            @Figure(
                    label = "diameter",
                    min = 1,
                    max = 5000,
                    usual = 60,
                    help = "outside, over all that stands out of it")
            double diameter_mm,

            @Figure(
                    label = "other end, back",
                    min = -PlaceInRoom.FAR_MM,
                    max = PlaceInRoom.FAR_MM,
                    usual = 100,
                    help = SIDE)
            double toBack_mm,

            @Figure(
                    label = "other end, right",
                    min = -PlaceInRoom.FAR_MM,
                    max = PlaceInRoom.FAR_MM,
                    usual = 0,
                    help = SIDE)
            double toRight_mm,

            @Figure(
                    label = "other end, up",
                    min = -PlaceInRoom.FAR_MM,
                    max = PlaceInRoom.FAR_MM,
                    usual = 0,
                    help = SIDE)
            double toUp_mm,

            @Figure(label = "diameter there", min = 0, max = 5000, usual = 60, help = "of a cone; empty for a cylinder")
            @Nullable
            Double toDiameter_mm,

            @Nullable String id)
            implements ObstacleDocument, PlaceInRoom {
        @Override
        public ObstacleShape shape(Place at) {
            Vector3D to = new Vector3D(MM.si(toBack_mm), MM.si(toRight_mm), MM.si(toUp_mm));
            if (to.distance(vector()) < MM.si(LEAST_MM)) {
                throw at.contradiction(
                        "toBack_mm",
                        "other end",
                        "where the first one is",
                        "at least %.0f mm from it".formatted(LEAST_MM),
                        "");
            }
            double radius = MM.si(diameter_mm) / 2;
            return new ObstacleShape.Round(
                    vector(), radius, to, toDiameter_mm == null ? radius : MM.si(toDiameter_mm.doubleValue()) / 2);
        }
    }

    @Part(value = "room/obstacle", says = "a ball", named = true)
    record BallObstacle(
            @Kind("ball") String kind,
            String name,
            Nature nature,
            @Nullable String carrier,
            @Nullable Double gap_mm,
            @Called("moving it") @Nullable Moving move,
            double back_mm,
            double right_mm,
            double up_mm,
            @Like(RoundObstacle.class) double diameter_mm,
            @Nullable String id)
            implements ObstacleDocument, PlaceInRoom {
        @Override
        public ObstacleShape shape(Place at) {
            double radius = MM.si(diameter_mm) / 2;
            return new ObstacleShape.Round(vector(), radius, vector(), radius);
        }
    }

    @Part(value = "room/point", says = "a point of a hose, cable or line")
    record Point(
            double back_mm,
            double right_mm,
            double up_mm,
            @Nullable String id) implements PlaceInRoom {
        static Point of(Vector3D p) {
            return new Point(MM.of(p.getX()), MM.of(p.getY()), MM.of(p.getZ()), null);
        }
    }

    @Part(value = "room/obstacle", says = "a hose, cable or line, straight from point to point", named = true)
    record TubeObstacle(
            @Kind("tube") String kind,
            String name,
            Nature nature,
            @Nullable String carrier,
            @Nullable Double gap_mm,
            @Called("moving it") @Nullable Moving move,
            @Like(RoundObstacle.class) double diameter_mm,
            @Called(value = "point", most = 100) List<Point> points,
            @Nullable String id)
            implements ObstacleDocument {
        @Override
        public ObstacleShape shape(Place at) {
            if (points.size() < 2) {
                throw Place.malformed(
                        at.pointer() + "/points",
                        at.words() + ", points",
                        String.valueOf(points.size()),
                        "at least two");
            }
            return new ObstacleShape.Tube(
                    points.stream().map(PlaceInRoom::vector).toList(), MM.si(diameter_mm) / 2);
        }
    }

    @Part(value = "room/obstacle", says = "all above or below a plane: bonnet, under-tray, ground", named = true)
    record PlaneObstacle(
            @Kind("plane") String kind,
            String name,
            Nature nature,
            @Nullable String carrier,
            @Nullable Double gap_mm,
            @Called("moving it") @Nullable Moving move,
            double back_mm,
            double right_mm,
            double up_mm,

            @Figure(label = "falls forwards", min = -80, max = 80, usual = 0, help = "less than 0 rearwards") @Nullable
            Double falls_deg,

            @Figure(label = "falls to the right", min = -80, max = 80, usual = 0, help = "less than 0 to the left")
            @Nullable
            Double leans_deg,

            boolean above,
            @Nullable String id)
            implements ObstacleDocument, PlaceInRoom {
        @Override
        public ObstacleShape shape(Place at) {
            return new ObstacleShape.Plane(
                    vector(), DEG.si(falls_deg).orElse(0), DEG.si(leans_deg).orElse(0), above);
        }
    }

    @Part(value = "room/corner", says = "a corner of a drawn outline")
    record Corner(
            @Figure(
                    label = "corner, across",
                    min = -PlaceInRoom.FAR_MM,
                    max = PlaceInRoom.FAR_MM,
                    usual = 0,
                    help = "seen from the front and from above to the right as one sits, from the side rearward")
            double across_mm,

            @Figure(
                    label = "corner, up",
                    min = -PlaceInRoom.FAR_MM,
                    max = PlaceInRoom.FAR_MM,
                    usual = 0,
                    help = "seen from above it is rearward")
            double up_mm,

            @Nullable String id) {}

    @Part(value = "room/obstacle", says = "what is alike all along one direction, by its outline", named = true)
    record PrismObstacle(
            @Kind("prism") String kind,
            String name,
            Nature nature,
            @Nullable String carrier,
            @Nullable Double gap_mm,
            @Called("moving it") @Nullable Moving move,
            View seen,

            @Figure(
                    label = "from",
                    min = -PlaceInRoom.FAR_MM,
                    max = PlaceInRoom.FAR_MM,
                    usual = 0,
                    help =
                            "along the line of sight: seen from the front its front face, from the side its left one, from above its underside")
            double from_mm,

            @Figure(
                    label = "to",
                    min = -PlaceInRoom.FAR_MM,
                    max = PlaceInRoom.FAR_MM,
                    usual = 100,
                    help = "the other face")
            double to_mm,

            @Called(value = "corner", most = 60) List<Corner> outline,
            @Nullable String id)
            implements ObstacleDocument {
        @Override
        public ObstacleShape shape(Place at) {
            inOrder(at, "to_mm", "to", to_mm, "other face", from_mm);
            List<double[]> corners = outline.stream()
                    .map(c -> new double[] {MM.si(c.across_mm), MM.si(c.up_mm)})
                    .toList();
            String wrong = ObstacleShape.Prism.wrong(corners);
            if (!wrong.isEmpty()) {
                throw Place.malformed(
                        at.pointer() + "/outline",
                        at.words() + ", outline",
                        wrong,
                        "three corners or more round an area, no two sides crossing");
            }
            return new ObstacleShape.Prism(seen, corners, MM.si(from_mm), MM.si(to_mm));
        }
    }

    static ObstacleDocument of(Obstacle o) {
        return new Obstacles(o).document();
    }
}
