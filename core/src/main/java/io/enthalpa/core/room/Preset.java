package io.enthalpa.core.room;

import io.enthalpa.core.fault.EnthalpaFault;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * A place that many jobs share, by the measures that a tape takes of it: they make several obstacles at once. Usual measures: common practice,
 * no source; they are there to be typed over.
 *
 * @param key      "front"
 * @param title    "front of a car"
 * @param datum    where its measures are taken from
 * @param measures in the order one takes them
 */
public record Preset(String key, String title, String datum, List<Measure> measures, Consumer<Tape> build) {
    /**
     * @param key   short, its own among those of the preset
     * @param label as a reader sees it
     * @param how   where the tape lies
     * @param usual m
     */
    public record Measure(String key, String label, String how, double usual) {}

    /** m: nothing that is measured by the tape here is farther off. */
    private static final double FARTHEST = 10;

    public Preset {
        measures = List.copyOf(measures);
    }

    public static List<Preset> all() {
        return Presets.ALL;
    }

    /**
     * @param measured m by key; what is missing is as usual
     * @return what stands there
     * @throws EnthalpaFault when a measure is no number or out of all reach
     */
    public List<Obstacle> obstacles(Map<String, Double> measured) {
        Map<String, Double> all = new HashMap<>();
        for (Measure m : measures) {
            double value = measured.getOrDefault(m.key, m.usual);
            all.put(m.key, EnthalpaFault.within(m.label, value, -FARTHEST, FARTHEST, "m"));
        }
        Tape tape = new Tape(all);
        build.accept(tape);
        return List.copyOf(tape.found);
    }

    /** Of an engine's height, from its underside: where the crankshaft runs. Common practice, no source. */
    private static final double CRANKSHAFT = 1.0 / 3;

    /**
     * @param found what stands in a place
     * @return m, the middle of the crankshaft that the engine rolls about, from the outside of its block; nothing where no engine stands
     */
    public static Optional<Vector3D> crankshaft(List<Obstacle> found) {
        return found.stream()
                .filter(o -> o.nature() == Nature.ENGINE_PART && o.carrier().equals(Carrier.ENGINE))
                .map(Obstacle::shape)
                .filter(ObstacleShape.Box.class::isInstance)
                .map(ObstacleShape.Box.class::cast)
                .findFirst()
                .map(b -> new Vector3D(
                        (b.front() + b.rear()) / 2,
                        (b.left() + b.right()) / 2,
                        b.bottom() + CRANKSHAFT * (b.top() - b.bottom())));
    }

    /** What was measured, and what it makes. */
    public static final class Tape {
        private final Map<String, Double> measured;
        private final List<Obstacle> found = new ArrayList<>();

        private Tape(Map<String, Double> measured) {
            this.measured = measured;
        }

        double of(String key) {
            return measured.get(key);
        }

        void add(Obstacle obstacle) {
            found.add(obstacle);
        }
    }
}
