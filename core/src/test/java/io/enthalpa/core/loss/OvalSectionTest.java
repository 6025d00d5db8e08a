package io.enthalpa.core.loss;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;

/** A tube of 57 bore, 36.8 high inside over 100, 37.694 to either side leading over to the round. */
class OvalSectionTest {
    private static final double BORE = 0.057;
    private static final OvalSection MADE = OvalSection.ofEqualArea(BORE, 0.0368, 0.1, 0.037694);
    private static final OvalSection PRESSED = OvalSection.pressed(BORE, 0.0368, 0.1, 0.037694);

    /** pi/4 (57^2 - 36.8^2) / 36.8 = 40.438 of flat; the girth pi 36.8 + 2 x 40.438 = 196.49, so 4 x 2551.76 / 196.49 = 51.948. */
    @Test
    void madeItHasTheAreaOfTheTube() {
        assertThat(MADE.flat()).isCloseTo(0.040438, within(1e-6));
        assertThat(MADE.area()).isCloseTo(2.55176e-3, within(1e-8));
        assertThat(MADE.hydraulicDiameter()).isCloseTo(0.051948, within(1e-6));
    }

    /** pi/2 (57 - 36.8) = 31.730 of flat; pi/4 36.8^2 + 36.8 x 31.730 = 2231.3 mm2; over the girth of the tube, pi 57 = 179.07, 49.841. */
    @Test
    void pressedItHasItsGirth() {
        assertThat(PRESSED.flat()).isCloseTo(0.031730, within(1e-6));
        assertThat(PRESSED.area()).isCloseTo(2.2313e-3, within(1e-7));
        assertThat(PRESSED.hydraulicDiameter()).isCloseTo(0.049841, within(1e-6));
    }

    /** Over 175.39 in all, with f = 0.018: 0.018 x 175.39 (1/51.948 - 1/57) = 0.005386. */
    @Test
    void madeItOnlyRubsMore() {
        assertThat(added(MADE, 0.018)).isCloseTo(0.005386, within(2e-6));
    }

    /**
     * Pressed to 0.87441 of the area, which counts 1.30788 heads: as a cone from 57 to 53.300 over 37.694, whose half angle has a sine of 0.04902,
     * closing 0.8 x 0.04902 x 0.1256 = 0.004926, opening 2.6 x 0.04902 x 0.1256^2 = 0.002011; 1.30788 (0.018 x 175.39 / 49.841 + 0.006936) -
     * 0.018 x 175.39 / 57 = 0.03653.
     */
    @Test
    void pressedItClosesAndOpensBesides() {
        assertThat(added(PRESSED, 0.018)).isCloseTo(0.03653, within(2e-5));
    }

    /** A round one adds nothing. */
    @Test
    void aRoundOneAddsNothing() {
        assertThat(added(OvalSection.pressed(BORE, BORE, 0.1, 0), 0.018)).isCloseTo(0, within(1e-12));
        assertThat(added(OvalSection.ofEqualArea(BORE, BORE, 0.1, 0), 0.018)).isCloseTo(0, within(1e-12));
    }

    /** Pressed 2551.76 - 2231.28 = 320.48 mm2 less over 100 and half of both leads: 44.13 cm3. */
    @Test
    void pressedItHoldsLess() {
        assertThat(round().volume() - with(PRESSED).volume()).isCloseTo(44.13e-6, within(5e-9));
        assertThat(round().volume() - with(MADE).volume()).isCloseTo(0, within(1e-15));
    }

    private static PipeSpec round() {
        return new PipeSpec(PipeMaterial.ALUMINIUM, BORE, 0.5, List.of());
    }

    private static PipeSpec with(OvalSection oval) {
        return new PipeSpec(PipeMaterial.ALUMINIUM, BORE, 0.5, List.of(), List.of(oval));
    }

    private static double added(OvalSection oval, double friction) {
        return k(with(oval), friction) - k(round(), friction);
    }

    private static double k(PipeSpec spec, double friction) {
        return spec.loss().slope() * friction + spec.loss().constant();
    }
}
