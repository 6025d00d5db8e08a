package io.enthalpa.core.chargepath;

import io.enthalpa.core.engine.MapPoint;
import java.util.List;
import java.util.Optional;

/**
 * What one piece of the path does.
 *
 * @param element     the piece
 * @param loss        Pa of total pressure lost; below zero where a blower adds more
 * @param temperature K gained; below zero for a cooler
 * @param heat        W given to the air; below zero when taken from it
 * @param velocity    m/s, the fastest inside
 * @param mach        at that place
 * @param volume      m3 of air inside; of a pair 0, its legs' pieces have theirs
 * @param stepLoss    Pa of the loss that the change of bore in front of it takes
 * @param map         where a blower with a map works on it
 * @param legs        the two ways of a pair, with what each does; else empty
 */
public record PieceResult(
        PathElement element,
        double loss,
        double temperature,
        double heat,
        double velocity,
        double mach,
        double volume,
        double stepLoss,
        Optional<MapPoint> map,
        List<LegResult> legs) {
    public PieceResult {
        legs = List.copyOf(legs);
    }

    /** @return Pa lost on the way through, blowers not counted; for a pair the mean of its legs by flow */
    public double lossWithoutBlower() {
        if (legs.isEmpty()) {
            return element instanceof PathElement.Blower ? 0 : loss;
        }
        return legs.stream().mapToDouble(leg -> leg.share() * leg.loss()).sum();
    }
}
