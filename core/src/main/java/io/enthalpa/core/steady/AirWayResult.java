package io.enthalpa.core.steady;

import io.enthalpa.core.coolingair.AirFlow;
import io.enthalpa.core.coolingair.AirWay;
import io.enthalpa.core.coolingair.AirWaySpec;
import java.util.List;

/**
 * What a way of the cooling air does at a steady point.
 *
 * @param way      ready to compute with, for other road speeds
 * @param flow     m3/s and Pa
 * @param warmth   K and W from layer to layer
 * @param face     m2 of the stack's outline
 * @param density  kg/m3 of the outside air
 * @param layers   front first
 */
public record AirWayResult(
        AirWay way, AirFlow flow, AirWay.Warmth warmth, double face, double density, List<LayerResult> layers) {
    public AirWayResult {
        layers = List.copyOf(layers);
    }

    public AirWaySpec spec() {
        return way.spec();
    }

    /** @param roadSpeed m/s @return m/s at the face of a layer */
    public double faceSpeed(double roadSpeed, int layer) {
        return way.faceSpeed(way.flow(roadSpeed), layer);
    }

    /**
     * @param width  m
     * @param height m
     * @param depth  m
     * @param speed  m/s at its face
     * @param airIn  K
     * @param airOut K
     * @param heat   W that it gives to the air
     * @param asked  W that a condenser, engine radiator or oil cooler has to give; 0 for what the build knows
     * @param hot    K of its hot side then; 0 for what the build knows
     */
    public record LayerResult(
            double width,
            double height,
            double depth,
            double speed,
            double airIn,
            double airOut,
            double heat,
            double asked,
            double hot) {
        /** @return whether it comes to the most its hot side may and gives less than it has */
        public boolean fallsShort() {
            return heat < 0.999 * asked;
        }
    }
}
