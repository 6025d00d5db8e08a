package io.enthalpa.core.chargepath;

import io.enthalpa.core.fault.EnthalpaFault;
import java.util.ArrayList;
import java.util.List;

/** Prices the pieces of a solved path: each in place but free of loss, beside the path as it is. */
final class Pricing {
    private final ChargePathSolver solver;
    private final PathResult now;
    private final List<Price> prices = new ArrayList<>();

    Pricing(ChargePathSolver solver, PathResult now) {
        this.solver = solver;
        this.now = now;
    }

    /** The solver stands at its point again afterwards. */
    List<Price> prices() {
        price(now.pieces(), false, 1);
        solver.without(null);
        return prices;
    }

    /** @param share of the whole flow that passes these pieces */
    private void price(List<PieceResult> pieces, boolean blown, double share) {
        boolean behind = blown;
        for (PieceResult piece : pieces) {
            if (piece.element() instanceof PathElement.Blower) {
                behind = true;
                prices.add(new Price(piece.element(), piece.loss(), 0, 0, 0));
                continue;
            }
            double loss = piece.lossWithoutBlower();
            double air = share * loss * (behind ? 1 : now.pressureRatio()) / now.manifoldPressure();
            prices.add(
                    now.blowerLimited() || !piece.legs().isEmpty()
                            ? new Price(piece.element(), loss, 0, 0, air)
                            : without(piece.element(), loss, air));
            for (LegResult leg : piece.legs()) {
                price(leg.pieces(), behind, share * leg.share());
            }
            behind |= piece.legs().stream()
                    .anyMatch(leg -> leg.pieces().stream().anyMatch(p -> p.element() instanceof PathElement.Blower));
        }
    }

    /** The same boost again with the piece free of loss; kelvin and power stay untold where that has no operating point. */
    private Price without(PathElement element, double loss, double air) {
        try {
            PathResult free = solver.without(element);
            return new Price(
                    element,
                    loss,
                    now.intakeTemperature() - free.intakeTemperature(),
                    now.shaftPower() - free.shaftPower(),
                    air);
        } catch (EnthalpaFault noPoint) {
            return new Price(element, loss, Double.NaN, Double.NaN, air);
        }
    }
}
