package io.enthalpa.core;

import io.enthalpa.core.engine.CompressorMap;
import io.enthalpa.core.engine.SpeedLine;
import java.util.ArrayList;
import java.util.List;

/** Invented compressor maps of usual shape. */
public final class Maps {
    private static final double[] SPEED = {60e3, 90e3, 115e3, 135e3, 150e3};
    private static final double[] SURGE_FLOW = {0.045, 0.075, 0.110, 0.145, 0.175};
    private static final double[] CHOKE_FLOW = {0.145, 0.215, 0.275, 0.315, 0.335};
    private static final double[] TOP_RATIO = {1.35, 1.85, 2.45, 3.05, 3.55};

    private Maps() {}

    /** A turbo compressor for about 0.3 kg/s, at 25 °C and 100 kPa. */
    public static CompressorMap turbo() {
        List<SpeedLine> lines = new ArrayList<>();
        for (int i = 0; i < SPEED.length; i++) {
            List<SpeedLine.Point> points = new ArrayList<>();
            for (int k = 0; k <= 4; k++) {
                double way = k / 4.0;
                double flow = SURGE_FLOW[i] + way * (CHOKE_FLOW[i] - SURGE_FLOW[i]);
                double ratio = 1 + (TOP_RATIO[i] - 1) * (1 - 0.55 * Math.pow(way, 3));
                points.add(new SpeedLine.Point(
                        flow, ratio, 0.76 - 0.2 * Math.pow(way - 0.45, 2) - 0.012 * Math.abs(i - 2)));
            }
            lines.add(new SpeedLine(SPEED[i] * Math.PI / 30, points));
        }
        return new CompressorMap(298.15, 100e3, lines);
    }
}
