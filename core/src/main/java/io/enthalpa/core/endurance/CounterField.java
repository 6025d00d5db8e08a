package io.enthalpa.core.endurance;

import java.util.Arrays;

/**
 * Metal with both streams along it in opposite directions: one row of cells. Each stream's way depends on the metal, the metal on
 * both; over a step the ways are found by sweeping there and back until they agree.
 */
final class CounterField implements MetalField {
    private static final int CELLS = 16;
    private static final int SWEEPS = 40;
    private static final double AGREED = 1e-10;
    private final double heatCapacity;
    private final double[] metal = new double[CELLS];
    private final double[] average = new double[CELLS];
    private final double[] hot = new double[CELLS + 1];
    private final double[] cold = new double[CELLS + 1];
    private double heatOut;

    CounterField(double heatCapacity, double temperature) {
        this.heatCapacity = heatCapacity;
        Arrays.fill(metal, temperature);
        Arrays.fill(hot, temperature);
    }

    @Override
    public void step(double dt, double hotRate, double hotInlet, double hotToMetal, double coldRate, double coldInlet, double metalToCold) {
        double hotReach = hotRate > 0 ? -Math.expm1(-hotToMetal / (CELLS * hotRate)) : 0;
        double coldReach = -Math.expm1(-metalToCold / (CELLS * coldRate));
        double g = hotRate * hotReach;
        double c = coldRate * coldReach;
        double rate = (g + c) * dt * CELLS / heatCapacity;
        double mean = rate < 1e-8 ? 1 : -Math.expm1(-rate) / rate;
        double weight = g / (g + c);
        System.arraycopy(metal, 0, average, 0, CELLS);
        for (int sweep = 0; sweep < SWEEPS; sweep++) {
            hot[0] = hotInlet;
            for (int x = 0; x < CELLS; x++) {
                hot[x + 1] = hot[x] + hotReach * (average[x] - hot[x]);
            }
            cold[CELLS] = coldInlet;
            for (int x = CELLS - 1; x >= 0; x--) {
                cold[x] = cold[x + 1] + coldReach * (average[x] - cold[x + 1]);
            }
            double moved = 0;
            for (int x = 0; x < CELLS; x++) {
                double limit = cold[x + 1] + weight * (hot[x] - cold[x + 1]);
                double next = limit + (metal[x] - limit) * mean;
                moved = Math.max(moved, Math.abs(next - average[x]));
                average[x] = next;
            }
            if (moved < AGREED) {
                break;
            }
        }
        double left = Math.exp(-rate);
        for (int x = 0; x < CELLS; x++) {
            double limit = cold[x + 1] + weight * (hot[x] - cold[x + 1]);
            metal[x] = limit + (metal[x] - limit) * left;
        }
        heatOut = coldRate * (cold[0] - coldInlet) * dt;
    }

    @Override
    public double hotOut() {
        return hot[CELLS];
    }

    @Override
    public double heatOut() {
        return heatOut;
    }

    @Override
    public double stored() {
        return Arrays.stream(metal).sum() * heatCapacity / CELLS;
    }

    @Override
    public int along() {
        return CELLS;
    }

    @Override
    public int across() {
        return 1;
    }

    @Override
    public double[] snapshot() {
        return metal.clone();
    }
}
