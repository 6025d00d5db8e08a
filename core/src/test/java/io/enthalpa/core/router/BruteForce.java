package io.enthalpa.core.router;

import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.loss.BendLoss;
import io.enthalpa.core.route.Centreline;
import io.enthalpa.core.route.RunSpec;
import java.util.ArrayList;
import java.util.List;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/** Every way of few corners over a lattice, one after the other. */
final class BruteForce {
    private static final double LATTICE = 0.075;
    private static final double AROUND = 0.45;
    private static final int OUT = 9;

    private BruteForce() {}

    /** @return the least cost by what the air feels; infinite where no way was found */
    static double cheapest(Scene scene) {
        List<Vector3D> first = out(scene.start());
        List<Vector3D> last = out(scene.end());
        double best = Double.POSITIVE_INFINITY;
        best = Math.min(
                best, cost(scene, List.of(scene.start().at(), scene.end().at()), best));
        for (Vector3D a : first) {
            if (aligned(scene, a)) {
                best = Math.min(
                        best,
                        cost(scene, List.of(scene.start().at(), a, scene.end().at()), best));
            }
            for (Vector3D b : last) {
                best = Math.min(
                        best,
                        cost(
                                scene,
                                List.of(scene.start().at(), a, b, scene.end().at()),
                                best));
            }
        }
        for (Vector3D c : lattice(scene)) {
            for (Vector3D a : first) {
                for (Vector3D b : last) {
                    best = Math.min(
                            best,
                            cost(
                                    scene,
                                    List.of(
                                            scene.start().at(),
                                            a,
                                            c,
                                            b,
                                            scene.end().at()),
                                    best));
                }
            }
        }
        return best;
    }

    private static boolean aligned(Scene scene, Vector3D corner) {
        return scene.end().out().isEmpty()
                || Vector3D.angle(
                                scene.end().out().get(),
                                corner.subtract(scene.end().at()))
                        < 0.004;
    }

    /** Every 60 mm out of a port; where it looks nowhere the port itself stands for all. */
    private static List<Vector3D> out(Port port) {
        List<Vector3D> all = new ArrayList<>();
        port.out().ifPresent(o -> {
            for (int i = 0; i < OUT; i++) {
                all.add(port.at().add(0.06 + 0.06 * i, o));
            }
        });
        return all;
    }

    private static List<Vector3D> lattice(Scene scene) {
        double[] a = scene.start().at().toArray();
        double[] b = scene.end().at().toArray();
        List<Vector3D> all = new ArrayList<>();
        for (double x = Math.min(a[0], b[0]) - AROUND; x <= Math.max(a[0], b[0]) + AROUND; x += LATTICE) {
            for (double y = Math.min(a[1], b[1]) - AROUND; y <= Math.max(a[1], b[1]) + AROUND; y += LATTICE) {
                for (double z = Math.min(a[2], b[2]) - AROUND; z <= Math.max(a[2], b[2]) + AROUND; z += LATTICE) {
                    all.add(new Vector3D(x, y, z));
                }
            }
        }
        return all;
    }

    /** Infinite where it cannot be made, is not clear, or is dearer than what is known. */
    private static double cost(Scene scene, List<Vector3D> points, double known) {
        Tube tube = Scene.TUBE;
        double cost = 0;
        double before = 0;
        int legs = points.size() - 1;
        for (int i = 0; i < legs; i++) {
            Vector3D leg = points.get(i + 1).subtract(points.get(i));
            double turn =
                    i == legs - 1 ? 0 : Vector3D.angle(leg, points.get(i + 2).subtract(points.get(i + 1)));
            if (turn > Math.toRadians(170)) {
                return Double.POSITIVE_INFINITY;
            }
            double tangent = tube.bend() * Math.tan(turn / 2);
            double straight = leg.getNorm() - before - tangent;
            double needs = i == 0 || i == legs - 1 ? tube.seat() : tube.tack();
            if (straight < needs) {
                return Double.POSITIVE_INFINITY;
            }
            cost += straight;
            if (turn > 0) {
                cost += BendLoss.coefficient(tube.bend() / tube.bore(), turn, 0.018) * tube.bore() / 0.018;
            }
            before = tangent;
            if (cost >= known) {
                return Double.POSITIVE_INFINITY;
            }
        }
        boolean askew = scene.start()
                        .out()
                        .filter(o -> Vector3D.angle(o, points.get(1).subtract(points.get(0))) > 0.004)
                        .isPresent()
                || scene.end()
                        .out()
                        .filter(o -> Vector3D.angle(o, points.get(legs - 1).subtract(points.get(legs))) > 0.004)
                        .isPresent();
        if (askew) {
            return Double.POSITIVE_INFINITY;
        }
        try {
            RunSpec spec = new RunSpec(
                    points.get(0),
                    points.subList(1, legs).stream()
                            .map(p -> new RunSpec.Corner(p, tube.bend()))
                            .toList(),
                    points.get(legs));
            Centreline line = Centreline.of(spec, "tried");
            return scene.missing(line, 0.02, 0) > 0 ? Double.POSITIVE_INFINITY : cost;
        } catch (EnthalpaFault cannotBeMade) {
            return Double.POSITIVE_INFINITY;
        }
    }
}
