package io.enthalpa.core.engine;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import io.enthalpa.core.Cases;
import io.enthalpa.core.Maps;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fluid.HumidAir;
import java.util.List;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class BlowerAndDemandTest {
    private static final CompressorMap MAP = Maps.turbo();

    static LongStream seeds() {
        return Cases.seeds();
    }

    /**
     * Worked example (Çengel &amp; Boles, Thermodynamics, isentropic efficiency of a compressor, from memory): air 0.2 kg/s from 100 kPa and
     * 12 °C to 800 kPa at 80 %: outlet 569.5 K, 58.0 kW.
     */
    @Test
    void compressorOfTheTextbook() {
        double out = BlowerSpec.outletTemperature(HumidAir.DRY, 285.15, 8, 0.8);
        assertThat(out).isCloseTo(569.5, withinPercentage(0.3));
        assertThat(0.2 * (HumidAir.DRY.enthalpy(out) - HumidAir.DRY.enthalpy(285.15)))
                .isCloseTo(58.0e3, withinPercentage(0.5));
    }

    /** 300 kW at 300 g/kWh and 12 : 1 by hand: 0.3 kg/s. */
    @Test
    void airFromPower() {
        assertThat(new FuelDemand(300e3, 0.3 / 3.6e6, 12).airDemand()).isCloseTo(0.3, within(1e-12));
    }

    /** By hand: 2.3 L, 92 %, 5000 rpm, two turns a filling, 200 kPa and 320 K (2.1773 kg/m3): 0.92 (2.1773) 0.0023 (5000 / 120) = 0.19197 kg/s. */
    @Test
    void airFromSpeedAndDensity() {
        EngineSpec engine = new EngineSpec(0.0023, 4, 0.92, 7000 * Math.PI / 30);
        assertThat(engine.airDemand(HumidAir.DRY, 200e3, 320, 5000 * Math.PI / 30))
                .isCloseTo(0.19197, withinPercentage(0.02));
    }

    /** Without a map what was told holds everywhere; with one the map's, at its own inlet's flow, and never more than was told. */
    @Test
    void blowerWithAMapAndWithout() {
        BlowerSpec plain = new BlowerSpec(BlowerType.SCREW, 0.7, 2.5, 0.06);
        assertThat(plain.efficiencyAt(0.2, 1e5, 300, 2)).isEqualTo(0.7);
        assertThat(plain.mostRatio(0.2, 1e5, 300)).isEqualTo(2.5);
        assertThat(BlowerSpec.outletTemperature(HumidAir.DRY, 300, 0.9, 0.7)).isEqualTo(300);
        assertThat(BlowerSpec.outletTemperature(HumidAir.DRY, 300, 1, 0.7)).isEqualTo(300);
        BlowerSpec mapped = new BlowerSpec(BlowerType.TURBO, 0.7, 2.5, 0.06, java.util.Optional.of(MAP));
        double corrected = MAP.corrected(0.15, 310, 95e3);
        assertThat(mapped.efficiencyAt(0.15, 95e3, 310, 2)).isEqualTo(MAP.efficiencyAt(corrected, 2));
        assertThat(mapped.efficiencyAt(0.15, 95e3, 310, 1)).isEqualTo(0.7);
        assertThat(mapped.place(0.15, 95e3, 310, 2)).isEqualTo(MAP.at(corrected, 2));
        assertThat(mapped.mostRatio(0.15, 95e3, 310)).isEqualTo(Math.min(2.5, MAP.mostRatio(corrected)));
        assertThat(BlowerType.SCREW.usualLow()).isEqualTo(0.65);
        assertThat(BlowerType.SCREW.usualHigh()).isEqualTo(0.75);
        assertThat(BlowerType.SCREW.usualEfficiency()).isCloseTo(0.70, within(1e-12));
        assertThat(BlowerType.SCREW.usualName()).isEqualTo("screw blower");
    }

    @Test
    void measuredPointsComeBack() {
        for (SpeedLine line : MAP.lines().subList(0, MAP.lines().size() - 1)) {
            SpeedLine.Point p = line.points().get(1);
            MapPoint found = MAP.at(p.flow(), p.ratio());
            assertThat(found.place()).isEqualTo(MapPoint.Place.INSIDE);
            assertThat(found.speed()).isCloseTo(line.speed(), withinPercentage(2));
            assertThat(found.efficiency()).isCloseTo(p.efficiency(), within(0.02));
        }
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void betweenMeasuredPointsNothingIsInvented(long seed) {
        Cases cases = Cases.of(seed);
        double flow = cases.between(0.01, 0.5);
        double ratio = cases.between(1.01, 3.6);
        MapPoint p = MAP.at(flow, ratio);
        double least = MAP.lines().stream()
                .flatMap(l -> l.points().stream())
                .mapToDouble(SpeedLine.Point::efficiency)
                .min()
                .orElseThrow();
        double most = MAP.lines().stream()
                .flatMap(l -> l.points().stream())
                .mapToDouble(SpeedLine.Point::efficiency)
                .max()
                .orElseThrow();
        assertThat(p.efficiency()).isBetween(least - 1e-9, most + 1e-9);
        assertThat(MAP.efficiencyAt(flow, ratio)).isEqualTo(p.efficiency());
        if (p.place() == MapPoint.Place.INSIDE) {
            assertThat(p.surgeMargin()).isGreaterThanOrEqualTo(-1e-9);
            assertThat(p.chokeMargin()).isGreaterThanOrEqualTo(-1e-9);
            assertThat(MAP.mostRatio(flow)).as("inside means it can").isGreaterThanOrEqualTo(ratio - 1e-6);
        } else if (p.place() == MapPoint.Place.SURGE) {
            assertThat(p.surgeMargin()).isNegative();
        } else if (p.place() == MapPoint.Place.CHOKE) {
            assertThat(p.chokeMargin()).isNegative();
        }
    }

    @Test
    void edgesAreNamed() {
        assertThat(MAP.at(0.02, 2.6).place()).isEqualTo(MapPoint.Place.SURGE);
        assertThat(MAP.at(0.30, 1.6).place()).isEqualTo(MapPoint.Place.CHOKE);
        assertThat(MAP.at(0.2, 4.5).place()).isEqualTo(MapPoint.Place.ABOVE);
        assertThat(MAP.at(0.03, 1.05).place()).isEqualTo(MapPoint.Place.BELOW);
    }

    @Test
    void flowIsCorrectedToTheMapsInlet() {
        assertThat(MAP.corrected(0.2, 298.15, 100e3)).isCloseTo(0.2, within(1e-12));
        assertThat(MAP.corrected(0.2, 298.15, 80e3)).as("thin air").isCloseTo(0.25, within(1e-12));
        assertThat(MAP.corrected(0.2, 335.42, 100e3))
                .as("warm air")
                .isCloseTo(0.2 * Math.sqrt(335.42 / 298.15), within(1e-12));
    }

    private static SpeedLine line(double rpm, double... flowRatio) {
        List<SpeedLine.Point> points = new java.util.ArrayList<>();
        for (int i = 0; i < flowRatio.length; i += 2) {
            points.add(new SpeedLine.Point(flowRatio[i], flowRatio[i + 1], 0.7));
        }
        return new SpeedLine(rpm * Math.PI / 30, points);
    }

    private static void refused(List<SpeedLine> lines, String... words) {
        assertThatThrownBy(() -> new CompressorMap(298.15, 100e3, lines))
                .isInstanceOf(EnthalpaFault.class)
                .satisfies(e -> assertThat(((EnthalpaFault) e).sentence()).contains(words));
    }

    @Test
    void badMapsAreRefusedByName() {
        SpeedLine slow = line(60_000, 0.05, 1.5, 0.1, 1.4, 0.14, 1.2);
        refused(List.of(slow), "number of speed lines on the map is 1", "2 or more");
        refused(
                List.of(slow, line(90_000, 0.1, 2.0)),
                "number of points on the map line 90000 rpm is 1",
                "One point is not a line");
        refused(List.of(slow, line(90_000, 0.04, 1.45, 0.12, 1.1)), "map lines 60000 rpm and 90000 rpm", "lines cross");
        refused(
                List.of(slow, line(90_000, 0.04, 1.9, 0.08, 1.35, 0.12, 1.1)),
                "map lines 60000 rpm and 90000 rpm at 0.",
                "lines cross");
        refused(List.of(slow, line(90_000, 0.2, 2.0, 0.1, 2.2)), "map line 90000 rpm, point 2, flow", "flow rising");
        refused(List.of(slow, line(60_000, 0.1, 2.0, 0.2, 1.9)), "speed of two map lines");
        refused(List.of(slow, line(90_000, 0.1, 0.9, 0.2, 0.8)), "pressure ratio is 0.90", "not boost");
    }
}
