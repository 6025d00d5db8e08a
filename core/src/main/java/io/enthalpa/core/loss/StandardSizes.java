package io.enthalpa.core.loss;

import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.OptionalDouble;

/** Sizes that somebody sells or would ask for; all in m. Common practice, no source. */
public final class StandardSizes {
    /** Usual tubes, by outside diameter, as tube is sold. */
    public static final StandardSizes TUBES = new StandardSizes(38, 45, 50.8, 57, 63.5, 70, 76.2, 89, 101.6, 127);
    /** Usual water hoses, by bore, as hose is sold. */
    public static final StandardSizes HOSES = new StandardSizes(13, 16, 19, 25, 32, 38, 45, 51, 57, 63, 76);
    /** Usual charge hoses, by bore. */
    public static final StandardSizes CHARGE_HOSES = new StandardSizes(38, 45, 51, 57, 63, 70, 76, 89, 102, 127);
    /** Bores of spigots and fittings, and of the hoses that go on them. */
    public static final StandardSizes FITTINGS = new StandardSizes(10, 12, 14, 17, 19, 22, 25, 32, 38, 45, 51);

    private final double[] sizes;

    private StandardSizes(double... millimetres) {
        sizes = Arrays.stream(millimetres).map(mm -> mm / 1000).toArray();
    }

    /** @return all, smallest first */
    public List<Double> all() {
        return Arrays.stream(sizes).boxed().toList();
    }

    /** @return the smallest above a size; empty when there is none */
    public OptionalDouble above(double size) {
        return Arrays.stream(sizes).filter(s -> s > size).findFirst();
    }

    /** @return the nearest */
    public double nearest(double size) {
        double best = sizes[0];
        for (double s : sizes) {
            best = Math.abs(s - size) < Math.abs(best - size) ? s : best;
        }
        return best;
    }

    /** @return a round size, not smaller */
    public static double upTo(double size, double step) {
        return step * Math.ceil(size / step - 1e-9);
    }

    /** @return the nearest round size */
    public static double round(double size, double step) {
        return step * Math.rint(size / step);
    }

    /** @return the largest below a size, m, largest first, so many of them at most */
    public List<Double> below(double size, int count) {
        return all().stream()
                .filter(s -> s < size)
                .sorted(Comparator.reverseOrder())
                .limit(count)
                .toList();
    }
}
