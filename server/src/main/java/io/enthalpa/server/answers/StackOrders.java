package io.enthalpa.server.answers;

import io.enthalpa.core.build.Answer;
import io.enthalpa.core.build.Build;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.coolingair.AirWaySpec;
import io.enthalpa.core.coolingair.Layer;
import io.enthalpa.core.endurance.AirWayResult;
import io.enthalpa.core.endurance.SteadyResult;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import java.util.ArrayList;
import java.util.List;

/** The same stack in every order, each solved at full load: who gains and who loses. */
final class StackOrders {
    /** Above this number of layers only neighbours are swapped. */
    private static final int ALL_UP_TO = 4;

    /**
     * One order.
     *
     * @param order    indices of the layers as they stand now, front first
     * @param intake_C charge at the plenum
     * @param total_kW heat of all layers
     * @param layers   in the order tried
     */
    record OrderView(List<Integer> order, double intake_C, double total_kW, List<PlacedView> layers) {}

    /** A layer at its place: what it gives to the air, and the air it gets. */
    record PlacedView(int layer, String name, String kind, double airIn_C, double heat_kW) {}

    private StackOrders() {}

    /** @param way index of the way @return the order as it stands first, then the coolest charge first */
    static List<OrderView> of(Build build, String letter, int way) {
        BuildOption option = build.option(letter);
        if (way < 0 || way >= option.airWays().size()) {
            throw EnthalpaFault.of(
                    FaultKind.OUT_OF_RANGE,
                    "/way",
                    "way of the air",
                    String.valueOf(way),
                    option.airWays().isEmpty()
                            ? "none, for this option has none"
                            : "0 and " + (option.airWays().size() - 1),
                    "");
        }
        AirWaySpec spec = option.airWays().get(way);
        List<OrderView> found = new ArrayList<>();
        for (List<Integer> order : orders(spec.layers().size())) {
            List<AirWaySpec> ways = new ArrayList<>(option.airWays());
            ways.set(way, spec.ordered(order));
            BuildOption trial = new BuildOption(letter, option.name(), option.boost(), option.path(), ways);
            try {
                Build other = build.withOptions(List.of(trial));
                found.add(view(order, spec, way, new Answer(other, letter).steady()));
            } catch (EnthalpaFault noAnswer) {
                // An order without an answer is left out.
            }
        }
        List<OrderView> others = new ArrayList<>(found.subList(Math.min(1, found.size()), found.size()));
        others.sort((a, b) -> Double.compare(a.intake_C(), b.intake_C()));
        List<OrderView> sorted = new ArrayList<>(found.subList(0, Math.min(1, found.size())));
        sorted.addAll(others);
        return sorted;
    }

    private static OrderView view(List<Integer> order, AirWaySpec spec, int way, SteadyResult result) {
        List<PlacedView> placed = new ArrayList<>();
        for (int i = 0; i < order.size(); i++) {
            Layer layer = spec.layers().get(order.get(i));
            AirWayResult.LayerResult solved = result.ways().get(way).layers().get(i);
            placed.add(new PlacedView(
                    order.get(i), layer.name(), layer.kind().name(), solved.airIn() - 273.15, solved.heat() / 1000));
        }
        return new OrderView(
                order,
                result.path().intakeTemperature() - 273.15,
                placed.stream().mapToDouble(PlacedView::heat_kW).sum(),
                placed);
    }

    /** @return the present order first */
    private static List<List<Integer>> orders(int n) {
        List<Integer> now = java.util.stream.IntStream.range(0, n).boxed().toList();
        List<List<Integer>> all = new ArrayList<>();
        if (n <= ALL_UP_TO) {
            permute(new ArrayList<>(), now, all);
            return all;
        }
        all.add(now);
        for (int i = 1; i < n; i++) {
            List<Integer> swapped = new ArrayList<>(now);
            java.util.Collections.swap(swapped, i - 1, i);
            all.add(swapped);
        }
        return all;
    }

    private static void permute(List<Integer> head, List<Integer> rest, List<List<Integer>> all) {
        if (rest.isEmpty()) {
            all.add(List.copyOf(head));
        }
        for (int i = 0; i < rest.size(); i++) {
            List<Integer> longer = new ArrayList<>(head);
            longer.add(rest.get(i));
            List<Integer> left = new ArrayList<>(rest);
            left.remove(i);
            permute(longer, left, all);
        }
    }
}
