package io.enthalpa.core.room;

import io.enthalpa.core.space.Bounds;
import io.enthalpa.core.space.Solid;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * Where the tape lies for a measure of a preset: found by making it a little larger and looking at what moves. Nothing about it is written down
 * twice: what a measure makes is what its drawing shows.
 *
 * @param axis  that it is along
 * @param from  m on that axis: the datum, or the face on the other side
 * @param to    m
 * @param at    m, a place on the line that is measured
 * @param moves numbers of the obstacles that hang on it
 */
public record Taped(Mount.Axis axis, double from, double to, Vector3D at, List<Integer> moves) {
    /** m */
    private static final double LARGER = 1e-3;
    /** m: nearer than that a face is where the tape ends. */
    private static final double MEETS = 1e-6;
    /** m behind the datum at which a bonnet is measured a second time. */
    private static final double BEHIND = 0.5;

    /** A side of an obstacle, or its middle, and how far it goes for each metre of the measure. */
    private record Face(int obstacle, Mount.Axis axis, double at, double slope, Vector3D place) {
        double start(double value) {
            return at - slope * value;
        }
    }

    /** @return where the tape lies; empty when nothing hangs on the measure */
    public static Optional<Taped> of(Preset preset, Preset.Measure measure) {
        List<Obstacle> usual = preset.obstacles(Map.of());
        Map<String, Double> more = new HashMap<>();
        more.put(measure.key(), measure.usual() + LARGER);
        List<Obstacle> larger = preset.obstacles(more);
        List<Face> faces = new ArrayList<>();
        for (int k = 0; k < usual.size(); k++) {
            moved(k, usual.get(k).solid(), larger.get(k).solid(), faces);
        }
        return across(faces, measure.usual()).or(() -> single(faces, measure.usual()));
    }

    private static void moved(int k, Solid before, Solid after, List<Face> faces) {
        if (before.half().isPresent()) {
            for (double back : new double[] {0, BEHIND}) {
                add(k, Mount.Axis.UP, height(before, back), height(after, back), new Vector3D(back, 0, 0), faces);
            }
            return;
        }
        Bounds a = before.bounds().orElseThrow();
        Bounds b = after.bounds().orElseThrow();
        Vector3D lowA = new Vector3D(a.minX(), a.minY(), a.minZ());
        Vector3D highA = new Vector3D(a.maxX(), a.maxY(), a.maxZ());
        Vector3D lowB = new Vector3D(b.minX(), b.minY(), b.minZ());
        Vector3D highB = new Vector3D(b.maxX(), b.maxY(), b.maxZ());
        for (Mount.Axis axis : Mount.Axis.values()) {
            add(k, axis, lowA.dotProduct(axis.way()), lowB.dotProduct(axis.way()), a.middle(), faces);
            add(k, axis, highA.dotProduct(axis.way()), highB.dotProduct(axis.way()), a.middle(), faces);
            add(k, axis, a.middle().dotProduct(axis.way()), b.middle().dotProduct(axis.way()), a.middle(), faces);
        }
    }

    private static double height(Solid half, double back) {
        Vector3D on = half.half().orElseThrow().on();
        Vector3D n = half.half().orElseThrow().normal();
        return on.getZ() - (n.getX() * (back - on.getX()) - n.getY() * on.getY()) / n.getZ();
    }

    private static void add(int k, Mount.Axis axis, double before, double after, Vector3D middle, List<Face> faces) {
        double slope = (after - before) / LARGER;
        if (Math.abs(slope) > 1e-3) {
            Vector3D off = axis.way().scalarMultiply(before - middle.dotProduct(axis.way()));
            faces.add(new Face(k, axis, before, slope, middle.add(off)));
        }
    }

    /** From one side to the other, as far apart as the tape tells. */
    private static Optional<Taped> across(List<Face> faces, double value) {
        for (Face low : faces) {
            for (Face high : faces) {
                if (low.axis == high.axis
                        && low.slope < 0
                        && high.slope > 0
                        && Math.abs(high.at - low.at - value) < MEETS) {
                    return Optional.of(taped(low.axis, low.at, high, faces));
                }
            }
        }
        return Optional.empty();
    }

    /** From the datum, or from wherever else the face would be if the measure were nothing. */
    private static Optional<Taped> single(List<Face> faces, double value) {
        return faces.stream()
                .min(Comparator.comparingDouble((Face f) -> Math.abs(Math.abs(f.slope) - 1) > 1e-3 ? 1 : 0)
                        .thenComparingDouble(f -> Math.abs(f.start(value)) < MEETS ? 0 : 1))
                .map(f -> taped(f.axis, f.start(value), f, faces));
    }

    private static Taped taped(Mount.Axis axis, double from, Face to, List<Face> faces) {
        TreeSet<Integer> moves = new TreeSet<>();
        faces.forEach(f -> moves.add(f.obstacle));
        return new Taped(axis, from, to.at, to.place, List.copyOf(moves));
    }
}
