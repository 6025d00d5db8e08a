package io.enthalpa.core.plant;

import io.enthalpa.core.exchanger.DampCharge;
import io.enthalpa.core.fluid.WaterVapour;
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
    /** W that water coming out gives to each cell. */
    private final double[] wet = new double[CELLS];

    private double heatOut;
    private double condensed;
    private double latent;

    CounterField(double heatCapacity, double temperature) {
        this.heatCapacity = heatCapacity;
        Arrays.fill(metal, temperature);
        Arrays.fill(hot, temperature);
    }

    @Override
    public void step(
            double dt,
            double hotRate,
            double hotInlet,
            double hotToMetal,
            double coldRate,
            double coldInlet,
            double metalToCold,
            DampCharge damp) {
        double hotReach = hotRate > 0 ? -Math.expm1(-hotToMetal / (CELLS * hotRate)) : 0;
        double coldReach = -Math.expm1(-metalToCold / (CELLS * coldRate));
        double g = hotRate * hotReach;
        double c = coldRate * coldReach;
        double rate = (g + c) * dt * CELLS / heatCapacity;
        double mean = rate < 1e-8 ? 1 : -Math.expm1(-rate) / rate;
        double weight = g / (g + c);
        System.arraycopy(metal, 0, average, 0, CELLS);
        Arrays.fill(wet, 0);
        condensed = 0;
        for (int sweep = 0; sweep < SWEEPS; sweep++) {
            hot[0] = hotInlet;
            for (int x = 0; x < CELLS; x++) {
                hot[x + 1] = hot[x] + hotReach * (average[x] - hot[x]);
            }
            cold[CELLS] = coldInlet;
            for (int x = CELLS - 1; x >= 0; x--) {
                cold[x] = cold[x + 1] + coldReach * (average[x] - cold[x + 1]);
            }
            double moved = damp.vapour() > 0 ? condense(damp, hotReach) : 0;
            for (int x = 0; x < CELLS; x++) {
                double limit = cold[x + 1] + weight * (hot[x] - cold[x + 1]) + wet[x] / (g + c);
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
            double limit = cold[x + 1] + weight * (hot[x] - cold[x + 1]) + wet[x] / (g + c);
            metal[x] = limit + (metal[x] - limit) * left;
        }
        heatOut = coldRate * (cold[0] - coldInlet) * dt;
        latent = Arrays.stream(wet).sum() * dt;
    }

    /** Half way from what came out by the sweep before to what does by this one, so that the two do not chase each other. @return W it moved by at most */
    private double condense(DampCharge damp, double hotReach) {
        double vapour = damp.vapour();
        double moved = 0;
        condensed = 0;
        for (int x = 0; x < CELLS; x++) {
            double out = Math.max(vapour - damp.held(average[x]), 0) * hotReach;
            double latentHeat = WaterVapour.latentHeat(average[x]);
            double next = (wet[x] + damp.perShare() * out * latentHeat) / 2;
            moved = Math.max(moved, Math.abs(next - wet[x]));
            wet[x] = next;
            condensed += next / latentHeat;
            vapour -= next / latentHeat / damp.perShare();
        }
        return moved;
    }

    @Override
    public double coldest() {
        return Arrays.stream(metal).min().orElseThrow();
    }

    @Override
    public double condensed() {
        return condensed;
    }

    @Override
    public double latent() {
        return latent;
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
