package io.enthalpa.core.waterloop;

import java.util.List;

/**
 * The operating point of a loop.
 *
 * @param flow        m3/s
 * @param head        Pa that pumps add and losses take
 * @param power       W that the pumps draw
 * @param pieces      in the order of the loop; empty when only a measured flow is known
 * @param narrowest   index of the piece with the least area; -1 without pieces
 * @param pastCurve   the flow lies beyond the last point of a pump's curve
 */
public record LoopFlow(
        double flow, double head, double power, List<PieceLoss> pieces, int narrowest, boolean pastCurve) {
    /**
     * What pumps give and the loop takes at a flow, for a drawing of both.
     *
     * @param flow  m3/s
     * @param given Pa
     * @param taken Pa
     */
    public record Head(double flow, double given, double taken) {}

    public LoopFlow {
        pieces = List.copyOf(pieces);
    }
}
