package io.enthalpa.server.answers;

import io.enthalpa.core.build.Build;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.coolingair.AirWaySpec;
import io.enthalpa.core.coolingair.Layer;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import io.enthalpa.core.steady.AirWayResult;
import io.enthalpa.core.trial.StackOrders;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * One order of a stack.
 *
 * @param order    indices of the layers as they stand now, front first
 * @param intake_C charge at the plenum
 * @param total_kW heat of all layers
 * @param layers   in the order tried
 */
record OrderView(List<Integer> order, double intake_C, double total_kW, List<PlacedView> layers) {
    /** A layer at its place: the air it gets, what it gives to it of what it has to, and how warm its hot side gets, where it has one of its own. */
    record PlacedView(
            int layer,
            String name,
            String kind,
            double airIn_C,
            double heat_kW,
            double asked_kW,
            @Nullable Double hot_C,
            boolean fallsShort) {}

    /** @param way index of the way @return the order as it stands first, then the coolest charge first */
    static List<OrderView> of(Build build, String letter, int way) {
        BuildOption option = build.option(letter);
        return StackOrders.of(build, letter, way)
                .orElseThrow(() -> EnthalpaFault.of(
                        FaultKind.OUT_OF_RANGE,
                        "/way",
                        "way of the air",
                        String.valueOf(way),
                        option.airWays().isEmpty()
                                ? "none, for this option has none"
                                : "0 and " + (option.airWays().size() - 1),
                        ""))
                .stream()
                .map(order -> of(order, option.airWays().get(way), way))
                .toList();
    }

    private static OrderView of(StackOrders.StackOrder tried, AirWaySpec spec, int way) {
        List<PlacedView> placed = new ArrayList<>();
        for (int i = 0; i < tried.order().size(); i++) {
            Layer layer = spec.layers().get(tried.order().get(i));
            AirWayResult.LayerResult solved =
                    tried.result().ways().get(way).layers().get(i);
            placed.add(new PlacedView(
                    tried.order().get(i),
                    layer.name(),
                    layer.kind().name(),
                    solved.airIn() - 273.15,
                    solved.heat() / 1000,
                    solved.asked() / 1000,
                    layer.isOther() ? solved.hot() - 273.15 : null,
                    solved.fallsShort()));
        }
        return new OrderView(
                tried.order(),
                tried.result().path().intakeTemperature() - 273.15,
                placed.stream().mapToDouble(PlacedView::heat_kW).sum(),
                placed);
    }
}
