package io.enthalpa.core.chargepath;

import java.util.List;
import java.util.OptionalDouble;

/**
 * One of two ways side by side.
 *
 * @param name      as the user calls it
 * @param share     of the whole flow
 * @param flow      kg/s
 * @param splitLoss Pa where it leaves the common pipe
 * @param mergeLoss Pa where it joins the common pipe; below zero when the other leg draws it along
 * @param stations  one more than pieces
 * @param pieces    in order
 */
public record LegResult(
        String name,
        double share,
        double flow,
        double splitLoss,
        double mergeLoss,
        List<Station> stations,
        List<PieceResult> pieces) {
    public LegResult {
        stations = List.copyOf(stations);
        pieces = List.copyOf(pieces);
    }

    /** @return Pa lost on this way, blower not counted */
    public double loss() {
        return splitLoss
                + mergeLoss
                + pieces.stream().mapToDouble(PieceResult::lossWithoutBlower).sum();
    }

    /** @return m, bore of its narrowest tube, joint or cone; empty where it has none */
    public OptionalDouble narrowest() {
        return pieces.stream()
                .map(PieceResult::element)
                .filter(e -> e instanceof PathElement.Pipe
                        || e instanceof PathElement.Joint
                        || e instanceof PathElement.Reducer)
                .mapToDouble(PathElement::bore)
                .min();
    }
}
