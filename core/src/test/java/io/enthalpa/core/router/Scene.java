package io.enthalpa.core.router;

import io.enthalpa.core.route.Centreline;
import io.enthalpa.core.route.RunSpec;
import io.enthalpa.core.space.Hull;
import io.enthalpa.core.space.Motion;
import io.enthalpa.core.space.Pose;
import io.enthalpa.core.space.Solid;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.hipparchus.geometry.euclidean.threed.Rotation;
import org.hipparchus.geometry.euclidean.threed.RotationConvention;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/** Two ports and boxes between them; all lengths in mm. Knows by its own arithmetic, point by point, what a pipe keeps from its boxes. */
record Scene(String name, Port start, Port end, List<Box> boxes) {
    /** 60 outside, bends of 90, 50 to sit on, 20 between bends. */
    static final Tube TUBE = new Tube(0.06, 0.0568, 0.09, 0.05, 0.02);

    private static final double ASKED = 0.008;
    private static final double ASKED_MOVED = 0.005;

    /** @param motion of the box; the pipe stands still */
    record Box(String name, double[] least, double[] most, Motion motion) {
        Keepout keepout() {
            double[] size = {most[0] - least[0], most[1] - least[1], most[2] - least[2]};
            Vector3D middle = new Vector3D(0.5, new Vector3D(least), 0.5, new Vector3D(most));
            Solid solid = Solid.of(name, Hull.box(Pose.of(middle, 0, 0, 0), size[0], size[1], size[2]));
            return new Keepout(name, solid, ASKED, motion.isStill() ? ASKED : ASKED_MOVED, Motion.STILL, motion);
        }

        /** From the outside; inside it is 0. */
        double distance(Vector3D p) {
            double[] at = p.toArray();
            double sum = 0;
            for (int i = 0; i < 3; i++) {
                double out = Math.max(0, Math.max(least[i] - at[i], at[i] - most[i]));
                sum += out * out;
            }
            return Math.sqrt(sum);
        }

        /** By rolling and shifting the point the other way, to both ends and between. */
        double distanceMoved(Vector3D p) {
            double nearest = Double.POSITIVE_INFINITY;
            for (int roll = -10; roll <= 10; roll++) {
                Vector3D off = p.subtract(motion.point());
                Vector3D back = new Rotation(
                                motion.axis(), -motion.roll() * roll / 10, RotationConvention.VECTOR_OPERATOR)
                        .applyTo(off)
                        .add(motion.point());
                for (int i = 0; i < 8; i++) {
                    Vector3D t = motion.travel();
                    Vector3D shift = new Vector3D(
                            (i & 1) == 0 ? t.getX() : -t.getX(),
                            (i & 2) == 0 ? t.getY() : -t.getY(),
                            (i & 4) == 0 ? t.getZ() : -t.getZ());
                    nearest = Math.min(nearest, distance(back.add(shift)));
                }
            }
            return nearest;
        }
    }

    static Vector3D p(double x, double y, double z) {
        return new Vector3D(x / 1000, y / 1000, z / 1000);
    }

    static Port port(double x, double y, double z, Vector3D out) {
        return new Port(p(x, y, z), Optional.of(out));
    }

    static Box box(String name, double x0, double x1, double y0, double y1, double z0, double z1) {
        return new Box(
                name,
                new double[] {x0 / 1000, y0 / 1000, z0 / 1000},
                new double[] {x1 / 1000, y1 / 1000, z1 / 1000},
                Motion.STILL);
    }

    static Scene of(String name, Port start, Port end, Box... boxes) {
        return new Scene(name, start, end, List.of(boxes));
    }

    List<Keepout> keepouts() {
        return boxes.stream().map(Box::keepout).toList();
    }

    Router router() {
        return new Router(TUBE, start, end, keepouts(), () -> false);
    }

    /** m of what is asked that is missing along a line, looked at every so often, until that is enough; less than 0 what is to spare. */
    double missing(Centreline line, double every, double enough) {
        double most = Double.NEGATIVE_INFINITY;
        double length = line.length();
        int count = (int) Math.ceil(length / every);
        for (int i = 0; i <= count && most <= enough; i++) {
            Vector3D at = line.at(length * i / count);
            for (Box box : boxes) {
                most = Math.max(most, ASKED + TUBE.radius() - box.distance(at));
                if (!box.motion.isStill() && box.distance(at) < 0.15) {
                    most = Math.max(most, ASKED_MOVED + TUBE.radius() - box.distanceMoved(at));
                }
            }
        }
        return most;
    }

    /** Everything that is wrong with a way: what it begins and ends on, what it is made of, what it keeps. */
    List<String> faults(RunSpec way) {
        List<String> faults = new ArrayList<>();
        Centreline line = Centreline.of(way, "way");
        List<Centreline.Stretch> all = line.stretches();
        if (way.from().distance(start.at()) > 1e-9 || way.to().distance(end.at()) > 1e-9) {
            faults.add("does not go from port to port");
        }
        Centreline.Stretch last = all.get(all.size() - 1);
        start.out()
                .filter(o -> Vector3D.angle(o, all.get(0).heading(0)) > 0.005)
                .ifPresent(o -> faults.add("begins askew"));
        end.out()
                .filter(o -> Vector3D.angle(o.negate(), last.heading(last.length())) > 0.005)
                .ifPresent(o -> faults.add("ends askew"));
        if (all.get(0).length() < TUBE.seat() - 1e-9 || last.length() < TUBE.seat() - 1e-9) {
            faults.add("has no seat");
        }
        for (int i = 0; i < all.size(); i++) {
            Centreline.Stretch s = all.get(i);
            if (i > 0) {
                Centreline.Stretch before = all.get(i - 1);
                if (before.at(before.length()).distance(s.at(0)) > 1e-9
                        || before.heading(before.length()).distance(s.heading(0)) > 1e-9) {
                    faults.add("is broken at " + i);
                }
                if (before instanceof Centreline.Bend && s instanceof Centreline.Bend) {
                    faults.add("has two bends in one another at " + i);
                }
            }
            if (s instanceof Centreline.Bend b && Math.abs(b.radius() - TUBE.bend()) > 1e-12) {
                faults.add("has a bend that is no stock");
            }
            boolean between = i > 0 && i < all.size() - 1;
            if (between && s instanceof Centreline.Straight && s.length() < TUBE.tack() - 1e-9) {
                faults.add("has nothing to weld at " + i);
            }
        }
        double missing = missing(line, 0.001, 1);
        if (missing > 1e-5) {
            faults.add("comes %.3f mm too near".formatted(1000 * missing));
        }
        return faults;
    }
}
