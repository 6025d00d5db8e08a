package io.enthalpa.core.waterloop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.Loops;
import io.enthalpa.core.Systems;
import io.enthalpa.core.endurance.EnduranceRun;
import io.enthalpa.core.endurance.Trace;
import io.enthalpa.core.exchanger.Conductances;
import io.enthalpa.core.exchanger.Effectiveness;
import io.enthalpa.core.exchanger.WaterSpread;
import io.enthalpa.core.exchanger.WaterSpread.Part;
import io.enthalpa.core.plant.CoreResult;
import io.enthalpa.core.waterloop.CorePorts.Feed;
import io.enthalpa.core.waterloop.CorePorts.Layout;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** How the passages of a core share its water, and what that costs. */
class WaterSpreadTest {
    private static final Conductances EVEN = new Conductances(300, 3000, 900);

    private static double factor(Layout layout, Feed feed, boolean boss) {
        return new CorePorts(layout, feed, boss).spread().factor(EVEN, Effectiveness.COUNTERFLOW, 170, 1400);
    }

    /**
     * Worked out beside the program, in counterflow with 170 W/K of charge and 1400 of water: an even core of 300, 3000 and 900 W/K moves 117.19 W/K. Fed from the top
     * 88 % of it with all the water move 104.52, which an even core of 0.8103 of these conductances would; ports on the middle 112.77 (0.9288); at one end 115.99 (0.9800).
     */
    @ParameterizedTest
    @CsvSource({
        "OPPOSITE_CORNERS, BOTTOM, 1",
        "OPPOSITE_CORNERS, TOP, 0.8103",
        "MIDDLE, BOTTOM, 0.9288",
        "ONE_END, BOTTOM, 0.9800"
    })
    void partsAreExchangersOfTheirOwn(Layout layout, Feed feed, double factor) {
        assertThat(factor(layout, feed, false)).isCloseTo(factor, within(1e-4));
    }

    /** By hand: with conductances without end seven eighths of the charge come down to the water and one eighth stays hot, which 88 % of a core never shows. */
    @Test
    void dryPassagesLetTheChargeThroughHot() {
        WaterSpread top = new CorePorts(Layout.OPPOSITE_CORNERS, Feed.TOP, false).spread();
        Conductances much = new Conductances(3000, 30_000, 9000);
        double factor = top.factor(much, Effectiveness.COUNTERFLOW, 170, 1e6);
        assertThat(factor * much.overall() / 170).as("1 - exp(-N) = 0.88").isCloseTo(-Math.log(0.12), within(0.01));
        assertThat(factor).isLessThan(0.2);
    }

    @Test
    void sharesAddUpWhateverTheUnevenness() {
        WaterSpread worst = new CorePorts(Layout.MIDDLE, Feed.TOP, true).spread();
        for (double unevenness : new double[] {0, 0.5, 1, 1.6, 3}) {
            WaterSpread spread = worst.times(unevenness);
            assertThat(spread.parts().stream().mapToDouble(Part::passages).sum())
                    .isCloseTo(1, within(1e-12));
            assertThat(spread.parts().stream().mapToDouble(Part::water).sum()).isCloseTo(1, within(1e-12));
            assertThat(spread.dry()).isCloseTo(0.12 * unevenness, within(1e-12));
        }
        assertThat(worst.times(0).factor(EVEN, Effectiveness.COUNTERFLOW, 170, 1400))
                .isCloseTo(1, within(1e-6));
        // Behind the boss a tenth of the wet passages sees 0.3 of what others do: 0.03 / 0.93 of their water.
        WaterSpread boss = new CorePorts(Layout.OPPOSITE_CORNERS, Feed.BOTTOM, true).spread();
        assertThat(boss.parts().get(1)).isEqualTo(new Part(0.1, 0.03 / 0.93));
        assertThat(boss.slow()).isCloseTo(0.1, within(1e-12));
        assertThat(WaterSpread.EVEN.parts()).isEqualTo(List.of(new Part(1, 1)));
    }

    /** The steady answer and the end of a run see the same core. */
    @Test
    void runEndsAsTheSteadyAnswer() {
        Loops l = new Loops();
        l.ports = new CorePorts(Layout.MIDDLE, Feed.TOP, false);
        Systems s = l.systems();
        CoreResult steady = s.system().steady(Systems.point(4000, 120, 15)).core();
        Trace trace = EnduranceRun.run(s.system(), Systems.hold(Systems.point(4000, 120, 15), 10, 1500));
        assertThat(trace.core().out()[trace.length() - 1]).isCloseTo(steady.out(), within(0.7));
    }
}
