package io.enthalpa.core.space;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.junit.jupiter.api.Test;

class ShorterTest {
    private static final Vector3D FAR = new Vector3D(0.25, 0, 0);

    /** 250 in pieces of 100 at most: three of 83.3, the first where it begins and the last where it ends. */
    @Test
    void aCylinderAndARodAreTheSameInPieces() {
        List<Convex> cylinder = Shorter.of(Frustum.cylinder(Vector3D.ZERO, FAR, 0.02), 0.1);
        assertThat(cylinder)
                .hasSize(3)
                .allSatisfy(
                        c -> assertThat(c.bounds().maxX() - c.bounds().minX()).isCloseTo(0.25 / 3, within(1e-12)));
        assertThat(cylinder.get(2).bounds().maxX()).isCloseTo(0.25, within(1e-12));
        List<Convex> rod = Shorter.of(Hull.rod(Vector3D.ZERO, FAR, 0.02), 0.1);
        assertThat(rod).hasSize(3);
        assertThat(rod.get(0).bounds().minX()).isCloseTo(-0.02, within(1e-12));
        assertThat(rod.get(2).bounds().maxX()).isCloseTo(0.27, within(1e-12));
        assertThat(Shorter.of(Frustum.cylinder(Vector3D.ZERO, FAR, 0.02), 0.25)).hasSize(1);
    }

    @Test
    void aConeAndABallStayWhole() {
        Convex cone = new Frustum(Vector3D.ZERO, 0.02, FAR, 0.03);
        assertThat(Shorter.of(cone, 0.1)).containsExactly(cone);
        assertThat(Shorter.of(Hull.ball(FAR, 0.2), 0.1)).hasSize(1);
    }
}
