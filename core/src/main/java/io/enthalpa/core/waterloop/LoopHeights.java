package io.enthalpa.core.waterloop;

import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import java.util.List;

/**
 * Where air stays in a closed loop.
 *
 * @param highest index of the highest piece; -1 without pieces
 * @param over    m that it stands above the tank's cap; above 0 is a high spot that does not bleed by itself
 * @param hasTank false when nothing can take air and expansion
 */
public record LoopHeights(int highest, double over, boolean hasTank) {
    /** A sealed high spot no more than this above the header is filled while the pump runs (TF-29: common practice, no source). */
    public static final double BEARABLE = 0.1;

    public static final Method METHOD = Method.of(
                    "loop-air",
                    "Air in a loop",
                    "Air gathers where the loop is highest. The header with its cap belongs there. A sealed high spot up to 100 mm above it stays full while the pump runs, "
                            + "but a pin-hole there lets it drain back and overflows the tank; higher than that, give it a bleed or raise the header.")
            .source(Citation.commonPractice("loops that would not fill, and those that did"))
            .leavesOut("Foaming; air drawn in at the pump's seal.");

    public static LoopHeights of(List<LoopPiece> pieces) {
        int highest = -1;
        int tank = -1;
        for (int i = 0; i < pieces.size(); i++) {
            if (pieces.get(i) instanceof LoopPiece.Tank) {
                tank = i;
            }
            if (highest < 0 || pieces.get(i).height() > pieces.get(highest).height()) {
                highest = i;
            }
        }
        double over = tank < 0 || highest < 0
                ? 0
                : pieces.get(highest).height() - pieces.get(tank).height();
        return new LoopHeights(highest, over, tank >= 0);
    }
}
