package io.enthalpa.formats.document;

import static io.enthalpa.formats.document.Suffix.MM;
import static io.enthalpa.formats.document.TurnedInRoom.degrees;

import io.enthalpa.core.room.Carrier;
import io.enthalpa.core.room.Obstacle;
import io.enthalpa.core.room.ObstacleShape;
import io.enthalpa.formats.document.ObstacleDocument.Moving;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.jspecify.annotations.Nullable;

/** An obstacle as a file says it. */
final class Obstacles {
    private final Obstacle o;
    private final @Nullable String carrier;
    private final @Nullable Double gap;
    private final @Nullable Moving move;

    Obstacles(Obstacle obstacle) {
        this.o = obstacle;
        this.carrier = o.carrier().equals(Carrier.BODY.name()) ? null : o.carrier();
        this.gap = MM.of(o.gap());
        this.move = o.moving()
                .map(m -> new Moving(
                        m.hours(),
                        m.price() == 0 ? null : Double.valueOf(m.price()),
                        m.words().isEmpty() ? null : m.words()))
                .orElse(null);
    }

    ObstacleDocument document() {
        ObstacleShape shape = o.shape();
        if (shape instanceof ObstacleShape.Box box) {
            return box(box);
        }
        if (shape instanceof ObstacleShape.Round round) {
            return round.from().equals(round.to()) ? ball(round) : round(round);
        }
        if (shape instanceof ObstacleShape.Tube tube) {
            return new ObstacleDocument.TubeObstacle(
                    "tube",
                    o.name(),
                    o.nature(),
                    carrier,
                    gap,
                    move,
                    MM.of(2 * tube.radius()),
                    tube.points().stream().map(ObstacleDocument.Point::of).toList(),
                    null);
        }
        if (shape instanceof ObstacleShape.Surface surface) {
            return mesh(surface);
        }
        return shape instanceof ObstacleShape.Plane plane ? plane(plane) : prism((ObstacleShape.Prism) shape);
    }

    private ObstacleDocument box(ObstacleShape.Box b) {
        return new ObstacleDocument.BoxObstacle(
                "box",
                o.name(),
                o.nature(),
                carrier,
                gap,
                move,
                MM.of(b.front()),
                MM.of(b.rear()),
                MM.of(b.left()),
                MM.of(b.right()),
                MM.of(b.bottom()),
                MM.of(b.top()),
                degrees(b.turned()),
                degrees(b.tipped()),
                degrees(b.leaned()),
                null);
    }

    private ObstacleDocument round(ObstacleShape.Round r) {
        Vector3D a = r.from();
        Vector3D b = r.to();
        return new ObstacleDocument.RoundObstacle(
                "cylinder",
                o.name(),
                o.nature(),
                carrier,
                gap,
                move,
                MM.of(a.getX()),
                MM.of(a.getY()),
                MM.of(a.getZ()),
                MM.of(2 * r.radius()),
                MM.of(b.getX()),
                MM.of(b.getY()),
                MM.of(b.getZ()),
                r.otherRadius() == r.radius() ? null : Double.valueOf(MM.of(2 * r.otherRadius())),
                null);
    }

    private ObstacleDocument ball(ObstacleShape.Round r) {
        Vector3D a = r.from();
        return new ObstacleDocument.BallObstacle(
                "ball",
                o.name(),
                o.nature(),
                carrier,
                gap,
                move,
                MM.of(a.getX()),
                MM.of(a.getY()),
                MM.of(a.getZ()),
                MM.of(2 * r.radius()),
                null);
    }

    private ObstacleDocument mesh(ObstacleShape.Surface s) {
        return new MeshObstacle(
                "mesh",
                o.name(),
                o.nature(),
                carrier,
                gap,
                move,
                MM.of(s.at().getX()),
                MM.of(s.at().getY()),
                MM.of(s.at().getZ()),
                degrees(s.turned()),
                degrees(s.tipped()),
                degrees(s.leaned()),
                s.skin() ? Boolean.TRUE : null,
                MeshText.write(s.mesh()),
                null);
    }

    private ObstacleDocument plane(ObstacleShape.Plane p) {
        Vector3D a = p.at();
        return new ObstacleDocument.PlaneObstacle(
                "plane",
                o.name(),
                o.nature(),
                carrier,
                gap,
                move,
                MM.of(a.getX()),
                MM.of(a.getY()),
                MM.of(a.getZ()),
                degrees(p.falls()),
                degrees(p.leans()),
                p.filled(),
                null);
    }

    private ObstacleDocument prism(ObstacleShape.Prism p) {
        return new ObstacleDocument.PrismObstacle(
                "prism",
                o.name(),
                o.nature(),
                carrier,
                gap,
                move,
                p.seen(),
                MM.of(p.from()),
                MM.of(p.to()),
                p.outline().stream()
                        .map(c -> new ObstacleDocument.Corner(MM.of(c[0]), MM.of(c[1]), null))
                        .toList(),
                null);
    }
}
