package io.enthalpa.core.room;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.space.Bounds;
import io.enthalpa.core.space.Gaps;
import io.enthalpa.core.space.Hull;
import io.enthalpa.core.space.Solid;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What the tape's measures make. */
class PresetTest {
    static List<Preset> all() {
        return Preset.all();
    }

    private static Preset of(String key) {
        return all().stream().filter(p -> p.key().equals(key)).findFirst().orElseThrow();
    }

    private static Bounds bounds(List<Obstacle> obstacles, String name) {
        return obstacles.stream()
                .filter(o -> o.name().equals(name))
                .findFirst()
                .orElseThrow()
                .solid()
                .bounds()
                .orElseThrow();
    }

    /** Every measure that is typed moves something: none is asked for nothing. */
    @ParameterizedTest
    @MethodSource("all")
    void everyMeasureCounts(Preset preset) {
        List<Obstacle> usual = preset.obstacles(Map.of());
        assertThat(usual).hasSizeGreaterThan(4).extracting(Obstacle::name).doesNotHaveDuplicates();
        for (Preset.Measure m : preset.measures()) {
            List<Obstacle> other = preset.obstacles(Map.of(m.key(), m.usual() + 0.0123));
            assertThat(other).as(m.label()).isNotEqualTo(usual);
        }
    }

    /**
     * 150 to 1200 along, bearers 600 apart, 100 below them to 640 over them: (150 + 1200) / 2, 600 / 2, -100 + 740 / 3. What is bolted to an
     * engine goes with it, the box about it does not.
     */
    @Test
    void anEngineRollsAboutItsCrankshaft() {
        List<Obstacle> boat = of("box").obstacles(Map.of("bearers", 0.6));
        Vector3D at = Preset.crankshaft(boat).orElseThrow();
        assertThat(Vector3D.distance(at, new Vector3D(0.675, 0.3, -0.1 + 0.74 / 3)))
                .isLessThan(1e-9);
        assertThat(boat)
                .filteredOn(o -> o.carrier().equals("engine"))
                .extracting(Obstacle::name)
                .containsExactly("engine");
        assertThat(of("bay").obstacles(Map.of()))
                .filteredOn(o -> o.carrier().equals("engine"))
                .extracting(Obstacle::name)
                .containsExactly("engine block", "belt drive", "exhaust");
        assertThat(Preset.crankshaft(of("front").obstacles(Map.of()))).isEmpty();
    }

    /** A bar from -150 to -90, legs 800 apart, a bonnet 20 up that rises 100 in half a metre: tan 0.2. */
    @Test
    void frontIsWhereTheTapeSaysItIs() {
        Map<String, Double> tape =
                new HashMap<>(Map.of("barFront", -0.15, "barRear", -0.09, "barTop", -0.2, "barBottom", -0.3));
        tape.putAll(Map.of("between", 0.8, "bonnet", 0.02, "bonnetBehind", 0.12, "radiatorBottom", -0.5));
        List<Obstacle> front = of("front").obstacles(tape);
        assertThat(bounds(front, "crash bar"))
                .usingRecursiveComparison()
                .withComparatorForType(new org.assertj.core.util.DoubleComparator(1e-9), Double.class)
                .isEqualTo(new Bounds(-0.15, -0.6, -0.3, -0.09, 0.6, -0.2));
        assertThat(bounds(front, "right frame leg").minY()).isCloseTo(0.4, within(1e-9));
        assertThat(bounds(front, "right frame leg").minZ()).isCloseTo(-0.5, within(1e-9));
        Solid bonnet = front.get(front.size() - 1).solid();
        Solid point = Solid.of("point", Hull.ball(new Vector3D(0.5, 0, 0), 0));
        // Half a metre to the rear it is 120 over the datum: 0.12 cos(atan 0.2).
        assertThat(Gaps.between(point, bonnet, 1).orElseThrow().value())
                .isCloseTo(0.12 / Math.hypot(1, 0.2), within(1e-9));
        assertThat(front)
                .filteredOn(o -> o.nature().isNeverCut())
                .extracting(Obstacle::name)
                .containsExactly("crash bar", "left frame leg", "right frame leg");
    }

    /** Rails 600 apart inside, of 40: their middles 320 off; 500 high. */
    @Test
    void frameIsOfTubes() {
        List<Obstacle> frame = of("frame").obstacles(Map.of("wide", 0.6, "high", 0.5, "tube", 0.04, "long", 1.0));
        assertThat(bounds(frame, "right upper rail").minY()).isCloseTo(0.3, within(1e-9));
        assertThat(bounds(frame, "right upper rail").maxZ()).isCloseTo(0.52, within(1e-9));
        assertThat(bounds(frame, "right upper rail").maxX()).isCloseTo(1.02, within(1e-9));
    }

    @Test
    void measureOutOfAllReachIsRefused() {
        assertThatThrownBy(() -> of("box").obstacles(Map.of("lid", 96.0)))
                .isInstanceOf(EnthalpaFault.class)
                .hasMessageContaining("lid over the bearers");
        assertThatThrownBy(() -> of("box").obstacles(Map.of("lid", Double.NaN))).isInstanceOf(EnthalpaFault.class);
    }
}
