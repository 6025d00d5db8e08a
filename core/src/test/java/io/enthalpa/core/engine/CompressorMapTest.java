package io.enthalpa.core.engine;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.engine.MapPoint.Place;
import io.enthalpa.core.engine.SpeedLine.Point;
import io.enthalpa.core.fault.EnthalpaFault;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * A map of three straight lines, on which every answer can be worked out by hand: 10 000 rad/s from 0.05 kg/s at 1.5 to 0.10 at 1.3, 20 000 from 0.08 at 2.0 to 0.16 at 1.6, 30 000 from 0.12 at
 * 2.8 to 0.22 at 2.2; efficiencies 0.70 to 0.60, 0.76 to 0.66, 0.74 to 0.64. At a share s of their way the lines stand at (0.05 + 0.05 s, 1.5 - 0.2 s), (0.08 + 0.08 s, 2 - 0.4 s) and
 * (0.12 + 0.1 s, 2.8 - 0.6 s).
 */
class CompressorMapTest {
    private static CompressorMap map() {
        return new CompressorMap(
                "made up",
                298,
                100e3,
                List.of(
                        line(30_000, 0.12, 2.8, 0.74, 0.22, 2.2, 0.64),
                        line(10_000, 0.05, 1.5, 0.70, 0.10, 1.3, 0.60),
                        line(20_000, 0.08, 2.0, 0.76, 0.16, 1.6, 0.66)));
    }

    private static SpeedLine line(double speed, double... flowRatioEfficiency) {
        List<Point> points = new java.util.ArrayList<>();
        for (int i = 0; i < flowRatioEfficiency.length; i += 3) {
            points.add(new Point(flowRatioEfficiency[i], flowRatioEfficiency[i + 1], flowRatioEfficiency[i + 2]));
        }
        return new SpeedLine(speed, points);
    }

    /**
     * By hand. Ratio 1.7, s 0.5: three quarters of the way from (0.075, 1.4) to (0.12, 1.8), 0.10875 kg/s at 0.695 and 17 500; surge there 0.4 of the way between the first points, 0.062; choke a sixth of the way
     * from (0.16, 1.6) to (0.22, 2.2), 0.17. Ratio 2.5, s 0.25: 0.8 from (0.10, 1.9) to (0.145, 2.65), 0.136 at 0.719 and 28 000; surge 0.105, the top line ends it at 0.17. Ratio 1.2 below the lowest line, s 0.5: 0.075 times
     * sqrt(0.2 / 0.4), its speed so too; surge 0.05 sqrt(0.4), choke 0.1 sqrt(0.2 / 0.3).
     */
    @ParameterizedTest
    @CsvSource({
        "0.10875, 1.7, 0.695, 17500, 0.754032, 0.563218, INSIDE",
        "0.136, 2.5, 0.719, 28000, 0.295238, 0.25, INSIDE",
        "0.0530330, 1.2, 0.65, 7071.07, 0.677051, 0.539601, BELOW",
        "0.05, 1.7, 0.724, 14000, -0.193548, 2.4, SURGE",
        "0.18, 1.7, 0.656667, 21666.67, 1.903226, -0.055556, CHOKE",
        "0.20, 2.5, 0.69, 30000, 0.904762, -0.15, ABOVE",
        "0.15, 3.0, 0.74, 30000, 0.25, 0, ABOVE"
    })
    void placeOnTheMap(
            double flow, double ratio, double efficiency, double speed, double surge, double choke, Place place) {
        MapPoint at = map().at(flow, ratio);
        assertThat(at.efficiency()).isCloseTo(efficiency, within(1e-6));
        assertThat(at.speed()).isCloseTo(speed, within(0.02));
        assertThat(at.surgeMargin()).isCloseTo(surge, within(2e-6));
        assertThat(at.chokeMargin()).isCloseTo(choke, within(2e-6));
        assertThat(at.place()).isEqualTo(place);
        assertThat(map().efficiencyAt(flow, ratio)).isCloseTo(efficiency, within(1e-6));
    }

    /** The top line; left of it the line through the points of surge from standing still; right of it 40 of ratio for each whole of flow, not below 0.2. */
    @ParameterizedTest
    @CsvSource({
        "0.17, 2.5",
        "0.12, 2.8",
        "0.10, 2.4",
        "0.065, 1.75",
        "0.025, 1.25",
        "0.22, 2.2",
        "0.2222, 1.8",
        "0.3, 0.2"
    })
    void mostThatAFlowAllows(double flow, double ratio) {
        assertThat(map().mostRatio(flow)).isCloseTo(ratio, within(1e-9));
    }

    /** sqrt(320 / 298) 100 / 95 of 0.1 kg/s. */
    @Test
    void flowIsCorrectedToTheMapsInlet() {
        assertThat(map().corrected(0.1, 320, 95e3)).isCloseTo(0.109080, within(1e-6));
        assertThat(map().referenceTemperature()).isEqualTo(298);
        assertThat(map().referencePressure()).isEqualTo(100e3);
        assertThat(map().name()).isEqualTo("made up");
        assertThat(map().highestRatio()).isEqualTo(2.8);
        assertThat(map().lines()).extracting(SpeedLine::speed).containsExactly(10_000.0, 20_000.0, 30_000.0);
    }

    /**
     * A line of three points is cut by its way, flow over the largest flow and ratio over the largest ratio: 0.06 / 0.2 along, then hypot(0.04 / 0.2, 0.6 / 2); half of both together lies 0.08398 into the second piece: 0.16336
     * kg/s at 1.9496.
     */
    @Test
    void lineWithACornerIsCutByItsWay() {
        CompressorMap bent = new CompressorMap(
                298,
                100e3,
                List.of(
                        line(1000, 0.05, 1.5, 0.7, 0.1, 1.3, 0.6),
                        line(2000, 0.1, 2, 0.7, 0.16, 2, 0.8, 0.2, 1.4, 0.6)));
        MapPoint half = bent.at(0.5, 2 - 0.6 * 0.0839816);
        assertThat(half.place()).isEqualTo(Place.ABOVE);
        assertThat(half.chokeMargin()).isCloseTo(0.1633593 / 0.5 - 1, within(1e-4));
        assertThat(half.efficiency()).isCloseTo(0.8 - 0.2 * 0.0839816, within(1e-4));
        // Half way between the lines at half of both ways, (0.075, 1.4) and (0.16336, 1.9496), and at a quarter,
        // (0.0625, 1.45) and 0.55047 of the first piece, (0.133028, 2).
        MapPoint middle = bent.at((0.075 + 0.1633593) / 2, (1.4 + 1.9496110) / 2);
        assertThat(middle.efficiency()).isCloseTo((0.65 + 0.7832037) / 2, within(1e-4));
        assertThat(middle.speed()).isCloseTo(1500, within(0.5));
        MapPoint quarter = bent.at((0.0625 + 0.1330282) / 2, (1.45 + 2) / 2);
        assertThat(quarter.efficiency()).isCloseTo((0.675 + 0.755047) / 2, within(1e-4));
        assertThat(quarter.speed()).isCloseTo(1500, within(0.5));
        MapPoint late = bent.at((0.0875 + 0.1816795) / 2, (1.35 + 1.6748075) / 2);
        assertThat(late.efficiency()).isCloseTo((0.625 + 0.6916025) / 2, within(1e-4));
    }

    @Test
    void efficienciesStayWhatAMapMayHold() {
        assertThat(map().timesEfficiency(1.1).lines().get(1).points().get(0).efficiency())
                .isCloseTo(0.836, within(1e-12));
        assertThat(map().timesEfficiency(1.5).lines().get(2).points().get(0).efficiency())
                .isEqualTo(0.92);
        assertThat(map().timesEfficiency(0.2).lines().get(2).points().get(0).efficiency())
                .isEqualTo(0.2);
        assertThat(map().timesEfficiency(1.1).name()).isEqualTo("made up");
    }

    @ParameterizedTest
    @CsvSource({
        "0.05, 1.5, 0.70, 0.05, 1.3, 0.60, 'above that of the point before, 0.0500 kg/s'",
        "0, 1.5, 0.70, 0.1, 1.3, 0.60, 'flow is 0.0000 kg/s'",
        "0.05, 8.5, 0.70, 0.1, 1.3, 0.60, 'pressure ratio is 8.50'",
        "0.05, 1.5, 0.70, 0.1, 0.9, 0.60, 'point 2, pressure ratio is 0.90'",
        "0.05, 1.5, 0.95, 0.1, 1.3, 0.60, 'efficiency is 95 %'",
        "0.05, 1.5, 0.7, 0.1, 1.3, 0.1, 'point 2, efficiency is 10 %'",
        "0.05, 1.5, 0.7, 0.1, 1.95, 0.6, 'at 0.1000 kg/s'",
        "0.05, 2.0, 0.7, 0.1, 1.3, 0.6, 'highest ratios of map lines'",
        "0.05, 1.99, 0.7, 0.16, 1.9, 0.6, '0.1600 kg/s'"
    })
    void linesThatMakeNoMapAreRefused(
            double f1, double r1, double e1, double f2, double r2, double e2, String because) {
        assertThatThrownBy(() -> new CompressorMap(
                        298,
                        100e3,
                        List.of(line(1000, f1, r1, e1, f2, r2, e2), line(2000, 0.08, 2.0, 0.76, 0.16, 1.6, 0.66))))
                .isInstanceOf(EnthalpaFault.class)
                .hasMessageContaining(because);
    }

    @Test
    void oneLineOrTwoOfOneSpeedMakeNoMap() {
        SpeedLine one = line(1000, 0.05, 1.5, 0.7, 0.1, 1.3, 0.6);
        assertThatThrownBy(() -> new CompressorMap(298, 100e3, List.of(one)))
                .hasMessageContaining("number of speed lines");
        assertThatThrownBy(() -> new CompressorMap(298, 100e3, List.of(one, line(1000, 0.08, 2, 0.7, 0.1, 1.9, 0.6))))
                .hasMessageContaining("speed of two map lines");
        assertThatThrownBy(() -> new CompressorMap(298, 100e3, List.of(one, line(2000, 0.08, 2, 0.7))))
                .hasMessageContaining("number of points");
        assertThat(new CompressorMap(298, 100e3, List.of(one, line(2000, 0.05, 8, 0.92, 0.1, 1.31, 0.2)))
                        .highestRatio())
                .as("all at their bounds")
                .isEqualTo(8);
    }
}
