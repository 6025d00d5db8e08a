package io.enthalpa.core.room;

import io.enthalpa.core.space.Convex;
import io.enthalpa.core.space.Frustum;
import io.enthalpa.core.space.Hull;
import io.enthalpa.core.space.Mesh;
import io.enthalpa.core.space.Pose;
import io.enthalpa.core.space.Solid;
import java.util.ArrayList;
import java.util.List;
import org.hipparchus.geometry.euclidean.threed.Rotation;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/** A shape by the measures that a tape gives, m from the datum: rearward, to the right as one sits, up. */
public sealed interface ObstacleShape {
    /** m2: an outline round less is none. */
    double LEAST_AREA = 1e-6;

    Solid solid(String element);

    ObstacleShape shifted(double back, double right, double up);

    /**
     * By its six sides, then turned about its middle.
     *
     * @param turned rad, clockwise seen from above
     * @param tipped rad, its top rearwards
     * @param leaned rad, its top to the right
     */
    record Box(
            double front,
            double rear,
            double left,
            double right,
            double bottom,
            double top,
            double turned,
            double tipped,
            double leaned)
            implements ObstacleShape {
        @Override
        public Solid solid(String element) {
            Vector3D middle = new Vector3D((front + rear) / 2, (left + right) / 2, (bottom + top) / 2);
            return Solid.of(
                    element,
                    Hull.box(Pose.of(middle, turned, tipped, leaned), rear - front, right - left, top - bottom));
        }

        @Override
        public Box shifted(double x, double y, double z) {
            return new Box(front + x, rear + x, left + y, right + y, bottom + z, top + z, turned, tipped, leaned);
        }
    }

    /** Cylinder or cone by the middles of its ends; a ball when both are one place. */
    record Round(Vector3D from, double radius, Vector3D to, double otherRadius) implements ObstacleShape {
        @Override
        public Solid solid(String element) {
            return Solid.of(
                    element, from.equals(to) ? Hull.ball(from, radius) : new Frustum(from, radius, to, otherRadius));
        }

        @Override
        public Round shifted(double x, double y, double z) {
            Vector3D by = new Vector3D(x, y, z);
            return new Round(from.add(by), radius, to.add(by), otherRadius);
        }
    }

    /** A hose, cable or line: straight from point to point, round at its ends. */
    record Tube(List<Vector3D> points, double radius) implements ObstacleShape {
        public Tube {
            points = List.copyOf(points);
        }

        @Override
        public Solid solid(String element) {
            List<Convex> parts = new ArrayList<>();
            for (int i = 1; i < points.size(); i++) {
                parts.add(Hull.rod(points.get(i - 1), points.get(i), radius));
            }
            return Solid.of(element, parts.toArray(Convex[]::new));
        }

        @Override
        public Tube shifted(double x, double y, double z) {
            Vector3D by = new Vector3D(x, y, z);
            return new Tube(points.stream().map(p -> p.add(by)).toList(), radius);
        }
    }

    /**
     * All above, or all below, a plane through a place.
     *
     * @param falls  rad that it falls forwards
     * @param leans  rad that it falls to the right
     * @param filled whether what is above it is out of bounds, as of a bonnet; otherwise what is below, as of the ground
     */
    record Plane(Vector3D at, double falls, double leans, boolean filled) implements ObstacleShape {
        @Override
        public Solid solid(String element) {
            Rotation turn = Pose.of(Vector3D.ZERO, 0, -falls, leans).turn();
            Vector3D up = turn.applyTo(Vector3D.PLUS_K);
            return Solid.beyond(element, new Solid.HalfSpace(at, filled ? up.negate() : up));
        }

        @Override
        public Plane shifted(double x, double y, double z) {
            return new Plane(at.add(new Vector3D(x, y, z)), falls, leans, filled);
        }
    }

    /** What looks the same all along one direction, drawn as its outline seen along that. */
    record Prism(View seen, List<double[]> outline, double from, double to) implements ObstacleShape {
        /** @return what is wrong with an outline, in a few words; empty when nothing is */
        public static String wrong(List<double[]> outline) {
            if (outline.size() < 3) {
                return outline.size() + " corners";
            }
            if (Math.abs(Outline.area(outline)) < LEAST_AREA) {
                return "no area";
            }
            return Outline.isSimple(outline) ? "" : "two sides cross";
        }

        @Override
        public Solid solid(String element) {
            List<Convex> parts = new ArrayList<>();
            for (double[][] piece : Outline.convexPieces(outline)) {
                List<Vector3D> corners = new ArrayList<>();
                for (double[] p : piece) {
                    corners.add(seen.point(p[0], p[1], from));
                    corners.add(seen.point(p[0], p[1], to));
                }
                parts.add(Hull.of(corners, 0));
            }
            return Solid.of(element, parts.toArray(Convex[]::new));
        }

        @Override
        public Prism shifted(double x, double y, double z) {
            double[] on = seen.on(new Vector3D(x, y, z));
            return new Prism(
                    seen,
                    outline.stream()
                            .map(p -> new double[] {p[0] + on[0], p[1] + on[1]})
                            .toList(),
                    from + on[2],
                    to + on[2]);
        }
    }

    /**
     * A surface of triangles in its own axes, its own origin at a place, then turned about that.
     *
     * @param skin whether what lies inside it is free though it is closed
     */
    record Surface(Mesh mesh, Vector3D at, double turned, double tipped, double leaned, boolean skin)
            implements ObstacleShape {
        @Override
        public Solid solid(String element) {
            return mesh.placed(element, Pose.of(at, turned, tipped, leaned), !skin);
        }

        @Override
        public Surface shifted(double x, double y, double z) {
            return new Surface(mesh, at.add(new Vector3D(x, y, z)), turned, tipped, leaned, skin);
        }
    }

    /** Where one looks from. */
    enum View {
        /** Across is to the right as one sits, the second up; depth rearward. */
        FRONT,
        /** From the right: across is rearward, the second up; depth to the right. */
        SIDE,
        /** Across is to the right, the second rearward; depth up. */
        ABOVE;

        Vector3D point(double across, double second, double depth) {
            return switch (this) {
                case FRONT -> new Vector3D(depth, across, second);
                case SIDE -> new Vector3D(across, depth, second);
                case ABOVE -> new Vector3D(second, across, depth);
            };
        }

        double[] on(Vector3D p) {
            return switch (this) {
                case FRONT -> new double[] {p.getY(), p.getZ(), p.getX()};
                case SIDE -> new double[] {p.getX(), p.getZ(), p.getY()};
                case ABOVE -> new double[] {p.getY(), p.getX(), p.getZ()};
            };
        }
    }
}
