package io.enthalpa.core.router;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Optional;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ApproachTest {
    private static final Tube TUBE = new Tube(0.06, 0.0568, 0.1, 0.05, 0.02);
    /** A pipe comes onto it going backwards; the joint's seat begins at 50 before it. */
    private static final Port PORT = new Port(new Vector3D(0.05, 0, 0), Optional.of(Vector3D.MINUS_I));

    /**
     * Worked by hand, bends of 100, the seat's 50 counted in: 1000 straight on; 400 square to the way onto the port and a quarter of a circle,
     * 50 pi; from abreast, a diameter beside, half a circle, 100 pi; from a metre farther, that and a metre. From abreast and
     * 50 beside, too near for a bend to that side, round the other way: sqrt(150^2 - 100^2) and 360 degrees less arccos(100 / 150) = 48.19.
     */
    @ParameterizedTest
    @CsvSource({
        "-1, 0, 1.05",
        "-0.1, 0.5, 0.607080",
        "0, 0.2, 0.364159",
        "1, 0.2, 1.364159",
        "1, -0.2, 1.364159",
        "0, 0.05, 0.706015"
    })
    void itIsStraightToACircleAndRoundIt(double x, double y, double least) {
        assertThat(Approach.least(new Vector3D(x, y, 0), PORT, TUBE)).isCloseTo(least, within(1e-6));
    }

    @Test
    void whereAPipeMayComeAsItLikesItIsTheStraightLine() {
        Port open = new Port(PORT.at(), Optional.empty());
        assertThat(Approach.least(new Vector3D(1, 0.2, 0), open, TUBE)).isCloseTo(Math.hypot(0.95, 0.2), within(1e-12));
    }
}
