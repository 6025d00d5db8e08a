package io.enthalpa.core.exchanger;

import java.util.ArrayList;
import java.util.List;

/**
 * How the charge passages of a core share its water. Every part is an exchanger of its own, with its share of the charge and of the water; the charge of all
 * mixes behind them. What a part without water lets through hot costs far more than its share of the surface. Effectiveness by capacity ratio and NTU of
 * each part (Kays &amp; London, Compact Heat Exchangers, from memory); that no heat passes from part to part is assumed.
 *
 * @param parts all passages and all water
 */
public record WaterSpread(List<Part> parts) {
    public static final WaterSpread EVEN = new WaterSpread(List.of(new Part(1, 1)));
    /** Of the water's film with its flow, as in {@link ScalingLaw#airToWater}. */
    private static final double FILM_EXPONENT = 0.7;
    /** Share of the water that a wet part has at least. */
    private static final double LEAST = 0.01;
    /** Share of the passages that can be dry at most. */
    private static final double MOST_DRY = 0.6;

    private static final int ROUNDS = 40;
    private static final double CLOSE = 1e-7;

    /**
     * @param passages share of the charge passages, above 0
     * @param water    share of the water that they see; 0 for dry ones
     */
    public record Part(double passages, double water) {}

    public WaterSpread {
        parts = List.copyOf(parts);
    }

    /** @param passages share that something stands before @param relative water they see over that of the others @return with those as a part of their own */
    public WaterSpread shaded(double passages, double relative) {
        List<Part> all = new ArrayList<>();
        double water = passages * relative / (passages * relative + 1 - passages);
        parts.forEach(p -> all.add(new Part(p.passages() * (1 - passages), p.water() * (1 - water))));
        all.add(new Part(passages, water));
        return new WaterSpread(all);
    }

    /** @param unevenness 1 as it is believed; more is worse @return the same passages further from an even share, or nearer to it */
    public WaterSpread times(double unevenness) {
        double wasDry = dry();
        double isDry = Math.min(wasDry * unevenness, MOST_DRY);
        double sum = 0;
        List<Part> all = new ArrayList<>();
        for (Part p : parts) {
            if (p.water() > 0) {
                double passages = p.passages() / (1 - wasDry);
                double water = Math.max(passages + (p.water() - passages) * unevenness, LEAST * passages);
                sum += water;
                all.add(new Part(passages * (1 - isDry), water));
            }
        }
        double whole = sum;
        all.replaceAll(p -> new Part(p.passages(), p.water() / whole));
        if (isDry > 0) {
            all.add(new Part(isDry, 0));
        }
        return new WaterSpread(all);
    }

    /** @return share of the passages that see no water */
    public double dry() {
        return parts.stream()
                .filter(p -> p.water() <= 0)
                .mapToDouble(Part::passages)
                .sum();
    }

    /** @return share of the passages that see less than three quarters of their share, dry ones not counted */
    public double slow() {
        return parts.stream()
                .filter(p -> p.water() > 0 && p.water() < 0.75 * p.passages())
                .mapToDouble(Part::passages)
                .sum();
    }

    /**
     * @param even     conductances of the core with the same water everywhere
     * @param hotRate  W/K of the charge
     * @param coldRate W/K of the water
     * @return what the conductances of an evenly washed core would have to be multiplied with to move the same heat
     */
    public double factor(Conductances even, Effectiveness arrangement, double hotRate, double coldRate) {
        if (parts.size() == 1) {
            return 1;
        }
        double moved = 0;
        for (Part p : parts) {
            if (p.water() > 0) {
                Conductances own = new Conductances(
                        even.hot() * p.passages(),
                        even.wall() * p.passages(),
                        even.cold() * p.passages() * Math.pow(p.water() / p.passages(), FILM_EXPONENT));
                moved += HeatTransfer.of(own, arrangement, hotRate * p.passages(), coldRate * p.water())
                        .conductancePerKelvin();
            }
        }
        return like(even, arrangement, hotRate, coldRate, moved);
    }

    /** By halving: what is moved rises with the factor. */
    private static double like(
            Conductances even, Effectiveness arrangement, double hotRate, double coldRate, double moved) {
        double low = 0;
        double high = 1;
        for (int i = 0; i < ROUNDS && high - low > CLOSE; i++) {
            double middle = (low + high) / 2;
            boolean less = HeatTransfer.of(even.times(middle), arrangement, hotRate, coldRate)
                            .conductancePerKelvin()
                    < moved;
            low = less ? middle : low;
            high = less ? high : middle;
        }
        return high;
    }
}
