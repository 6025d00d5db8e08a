package io.enthalpa.core.coolingair;

import java.util.List;

/** An upright rectangle in the plane of a face, m. */
record Rectangle(double left, double right, double bottom, double top) {
    static Rectangle centred(double width, double height, double across, double up) {
        return new Rectangle(across - width / 2, across + width / 2, up - height / 2, up + height / 2);
    }

    double area() {
        return (right - left) * (top - bottom);
    }

    /** @return true when the cell's middle lies inside */
    boolean holds(double x, double y) {
        return x > left && x < right && y > bottom && y < top;
    }

    /** @return m2 of a rectangle that lies under any of the others */
    static double covered(Rectangle base, List<Rectangle> others) {
        double[] xs = edges(
                base.left,
                base.right,
                others.stream()
                        .flatMapToDouble(r -> java.util.stream.DoubleStream.of(r.left, r.right))
                        .toArray());
        double[] ys = edges(
                base.bottom,
                base.top,
                others.stream()
                        .flatMapToDouble(r -> java.util.stream.DoubleStream.of(r.bottom, r.top))
                        .toArray());
        double sum = 0;
        for (int i = 1; i < xs.length; i++) {
            for (int j = 1; j < ys.length; j++) {
                double x = (xs[i - 1] + xs[i]) / 2;
                double y = (ys[j - 1] + ys[j]) / 2;
                if (others.stream().anyMatch(r -> r.holds(x, y))) {
                    sum += (xs[i] - xs[i - 1]) * (ys[j] - ys[j - 1]);
                }
            }
        }
        return sum;
    }

    /** @return sorted edges between two limits, the limits among them */
    static double[] edges(double from, double to, double... more) {
        return java.util.stream.DoubleStream.concat(
                        java.util.stream.DoubleStream.of(from, to),
                        java.util.Arrays.stream(more).filter(e -> e > from && e < to))
                .sorted()
                .distinct()
                .toArray();
    }
}
