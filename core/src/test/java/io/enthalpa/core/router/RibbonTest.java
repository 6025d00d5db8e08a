package io.enthalpa.core.router;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.route.Centreline;
import io.enthalpa.core.route.RunSpec;
import java.util.List;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.junit.jupiter.api.Test;

/** A tube of 60, a metre straight back. */
class RibbonTest {
    private static final Centreline LINE =
            Centreline.of(new RunSpec(Scene.p(0, 0, 0), List.of(), Scene.p(1000, 0, 0)), "pipe");

    private static List<Ribbon.Spot> of(Scene.Box... boxes) {
        return Ribbon.of(
                LINE,
                Ribbon.round(LINE, 0.06),
                List.of(boxes).stream().map(Scene.Box::keepout).toList());
    }

    /** A tray 50 below the middle from 400 to 600: 20 off the tube, of which 8 are asked. */
    @Test
    void whatIsToSpareIsToldWhereItIs() {
        List<Ribbon.Spot> spots = of(Scene.box("tray", 400, 600, -200, 200, -100, -50));
        assertThat(spots).hasSize(101);
        Ribbon.Spot middle = spots.get(50);
        assertThat(middle.along()).isCloseTo(0.5, within(1e-9));
        assertThat(middle.spare()).isCloseTo(0.012, within(1e-5));
        assertThat(middle.asked()).isCloseTo(0.008, within(1e-9));
        assertThat(middle.on().getZ()).isCloseTo(-0.05, within(1e-4));
        // 100 before its edge: as far off as 100 along and 20 down are.
        assertThat(spots.get(30).spare()).isCloseTo(Math.hypot(0.1, 0.02) - 0.008, within(2e-4));
        // 300 before it nothing is near.
        assertThat(spots.get(10).nearest()).isEqualTo(-1);
    }

    /** A wall 40 behind its flat end is 40 off, not 40 less the tube's radius; the post 10 in it is told as missing. */
    @Test
    void anEndIsFlatAndWhatIsMissingIsToldAsLess() {
        List<Ribbon.Spot> spots =
                of(Scene.box("wall", 1040, 1100, -500, 500, -500, 500), Scene.box("post", 195, 205, 20, 60, -500, 500));
        assertThat(spots.get(100).spare()).isCloseTo(0.032, within(2e-4));
        assertThat(spots.get(100).nearest()).isZero();
        assertThat(spots.get(20).spare()).isCloseTo(-0.018, within(2e-4));
        assertThat(spots.get(20).nearest()).isEqualTo(1);
        assertThat(spots.get(20).at().distance(new Vector3D(0.2, 0, 0))).isLessThan(1e-9);
    }
}
