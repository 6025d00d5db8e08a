package io.enthalpa.core.steady;

import io.enthalpa.core.chargepath.OperatingPoint;
import io.enthalpa.core.chargepath.SteadyCooling.ColdStream;
import io.enthalpa.core.plant.CoolingLoop;
import io.enthalpa.core.plant.CoreResult;
import java.util.List;

/**
 * The water of a loop at a steady point.
 *
 * @param stream all of it
 * @param feed   K where it enters the first core
 * @param back   K behind the last
 * @param heat   W from all cores on it
 */
record LoopPoint(ColdStream stream, double feed, double back, double heat) {
    static LoopPoint of(CoolingLoop loop, List<CoreResult> results, OperatingPoint point) {
        double feed = results.get(loop.members().lead()).coldIn();
        double heat = loop.members().cores().stream()
                .mapToDouble(k -> results.get(k).heat())
                .sum();
        ColdStream stream = loop.stream(feed, point.speed());
        return new LoopPoint(stream, feed, feed + heat / stream.capacityRate(), heat);
    }
}
