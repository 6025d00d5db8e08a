package io.enthalpa.core.trial;

import io.enthalpa.core.build.Build;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.coolingair.AirWaySpec;
import io.enthalpa.core.steady.SteadyResult;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/** The same stack in every order, each solved at full load: who gains and who loses. */
public final class StackOrders {
    /** Above this number of layers only neighbours are swapped. */
    private static final int ALL_UP_TO = 4;

    private StackOrders() {}

    /**
     * One order.
     *
     * @param order  numbers of the layers as they stand now, front first
     * @param result at full load
     */
    public record StackOrder(List<Integer> order, SteadyResult result) {}

    /**
     * @param way number of the way, from 0
     * @return the order as it stands first, then the coolest charge first; empty when there is no such way
     */
    public static Optional<List<StackOrder>> of(Build build, String letter, int way) {
        BuildOption option = build.option(letter);
        if (way < 0 || way >= option.airWays().size()) {
            return Optional.empty();
        }
        AirWaySpec spec = option.airWays().get(way);
        Trials trials = new Trials(build, letter);
        List<StackOrder> found = new ArrayList<>();
        for (List<Integer> order : orders(spec.layers().size())) {
            trials.steady(option.withWay(way, w -> w.ordered(order)))
                    .ifPresent(result -> found.add(new StackOrder(order, result)));
        }
        if (found.size() > 2) {
            found.subList(1, found.size())
                    .sort(Comparator.comparingDouble(o -> o.result().path().intakeTemperature()));
        }
        return Optional.of(found);
    }

    /** @return the present order first */
    private static List<List<Integer>> orders(int n) {
        List<Integer> now = IntStream.range(0, n).boxed().toList();
        List<List<Integer>> all = new ArrayList<>();
        if (n <= ALL_UP_TO) {
            permute(new ArrayList<>(), now, all);
            return all;
        }
        all.add(now);
        for (int i = 1; i < n; i++) {
            List<Integer> swapped = new ArrayList<>(now);
            Collections.swap(swapped, i - 1, i);
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
