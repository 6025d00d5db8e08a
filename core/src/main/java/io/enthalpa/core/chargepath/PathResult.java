package io.enthalpa.core.chargepath;

import java.util.List;

/**
 * A solved charge path.
 *
 * @param stations        from air in to plenum; one more than pieces
 * @param pieces          in the order of the path
 * @param flow            kg/s
 * @param pressureRatio   outlet over inlet total pressure of the blower; of the first of two
 * @param shaftPower      W that the blowers take
 * @param manifoldPressure Pa absolute, reached; mean of two banks
 * @param askedPressure   Pa absolute, asked
 * @param throttleLoss    Pa that a closed throttle takes because less than free flow was asked
 * @param blowerLimited   true when the blower's limit keeps the manifold below what was asked
 * @param filling         what stands between blower and valves
 * @param residual        relative, of pressure and flow
 * @param iterations      of the solver
 */
public record PathResult(
        List<Station> stations,
        List<PieceResult> pieces,
        double flow,
        double pressureRatio,
        double shaftPower,
        double manifoldPressure,
        double askedPressure,
        double throttleLoss,
        boolean blowerLimited,
        Filling filling,
        double residual,
        int iterations) {
    public PathResult {
        stations = List.copyOf(stations);
        pieces = List.copyOf(pieces);
    }

    /** @return K at the plenum: what the engine breathes */
    public double intakeTemperature() {
        return stations.get(stations.size() - 1).temperature();
    }

    /** @return Pa lost by all pieces but the blower */
    public double totalLoss() {
        return pieces.stream().mapToDouble(PieceResult::lossWithoutBlower).sum();
    }
}
