package io.enthalpa.core.coolingair;

import java.util.ArrayList;
import java.util.List;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** Area of the stack covered by the same layers. */
record Lane(double area, int[] layers) {
    boolean passes(int layer) {
        for (int k : layers) {
            if (k == layer) {
                return true;
            }
        }
        return false;
    }

    /** @param outlines of the layers, front first @return every area that the same of them cover */
    static List<Lane> of(List<Rectangle> outlines) {
        double[] xs = edges(outlines, Rectangle::left, Rectangle::right);
        double[] ys = edges(outlines, Rectangle::bottom, Rectangle::top);
        double[] area = new double[1 << outlines.size()];
        for (int i = 1; i < xs.length; i++) {
            for (int j = 1; j < ys.length; j++) {
                area[cover(outlines, (xs[i - 1] + xs[i]) / 2, (ys[j - 1] + ys[j]) / 2)] +=
                        (xs[i] - xs[i - 1]) * (ys[j] - ys[j - 1]);
            }
        }
        List<Lane> found = new ArrayList<>();
        for (int mask = 1; mask < area.length; mask++) {
            if (area[mask] > 1e-6) {
                int bits = mask;
                found.add(new Lane(
                        area[mask],
                        IntStream.range(0, outlines.size())
                                .filter(k -> (bits >> k & 1) == 1)
                                .toArray()));
            }
        }
        return found;
    }

    private static double[] edges(
            List<Rectangle> outlines, ToDoubleFunction<Rectangle> from, ToDoubleFunction<Rectangle> to) {
        return Stream.of(from, to)
                .flatMapToDouble(edge -> outlines.stream().mapToDouble(edge))
                .sorted()
                .distinct()
                .toArray();
    }

    private static int cover(List<Rectangle> outlines, double x, double y) {
        int mask = 0;
        for (int k = 0; k < outlines.size(); k++) {
            mask |= outlines.get(k).holds(x, y) ? 1 << k : 0;
        }
        return mask;
    }
}
