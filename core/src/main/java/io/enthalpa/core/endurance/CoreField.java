package io.enthalpa.core.endurance;

import java.util.Arrays;

/**
 * The metal of a core as cells along the charge flow (x) and along the cold flow (y), each of one temperature.
 * The streams pass without storing heat: in a cell each comes exponentially closer to the metal. Over a step
 * every cell relaxes exactly towards the state its two inlets ask for, and hands on the mean of the step, so that heat given
 * and taken balance to the last digit for any step length.
 */
final class CoreField implements MetalField {
    /** Cells along the charge and along the cold stream; finer changes the outlet by less than 0.1 K. */
    static final int ALONG = 16;
    static final int ACROSS = 8;

    /** Which stream mixes across its way. */
    enum Mixed { NONE, HOT, COLD }

    private final Mixed mixed;
    private final int nx;
    private final int ny;
    private final double[] metal;
    private final double[] hot;
    private final double[] cold;
    private final double heatCapacity;
    private double hotOut;
    private double coldOut;
    private double heatOut;

    /**
     * @param nx           cells along the charge
     * @param ny           cells along the cold stream
     * @param heatCapacity J/K of all the metal
     * @param temperature  K at the start
     */
    CoreField(int nx, int ny, Mixed mixed, double heatCapacity, double temperature) {
        this.mixed = mixed;
        this.nx = nx;
        this.ny = ny;
        this.heatCapacity = heatCapacity;
        this.metal = new double[nx * ny];
        this.hot = new double[ny];
        this.cold = new double[nx];
        Arrays.fill(metal, temperature);
        hotOut = temperature;
        coldOut = temperature;
    }

    CoreField(Mixed mixed, double heatCapacity, double temperature) {
        this(ALONG, ACROSS, mixed, heatCapacity, temperature);
    }

    @Override
    public void step(double dt, double hotRate, double hotInlet, double hotToMetal, double coldRate, double coldInlet, double metalToCold) {
        double hotReach = hotRate > 0 ? -Math.expm1(-hotToMetal / (nx * hotRate)) : 0;
        double coldReach = -Math.expm1(-metalToCold / (ny * coldRate));
        double g = hotRate / ny * hotReach;
        double c = coldRate / nx * coldReach;
        double cell = heatCapacity / (nx * ny);
        double rate = (g + c) * dt / cell;
        double left = Math.exp(-rate);
        double mean = rate < 1e-8 ? 1 : -Math.expm1(-rate) / rate;
        double hotWeight = g / (g + c);
        Arrays.fill(hot, hotInlet);
        Arrays.fill(cold, coldInlet);
        if (mixed == Mixed.COLD) {
            for (int y = 0; y < ny; y++) {
                for (int x = 0; x < nx; x++) {
                    pass(x, y, hotWeight, left, mean, hotReach, coldReach);
                }
                Arrays.fill(cold, average(cold));
            }
        } else {
            for (int x = 0; x < nx; x++) {
                for (int y = 0; y < ny; y++) {
                    pass(x, y, hotWeight, left, mean, hotReach, coldReach);
                }
                if (mixed == Mixed.HOT) {
                    Arrays.fill(hot, average(hot));
                }
            }
        }
        hotOut = average(hot);
        coldOut = average(cold);
        heatOut = coldRate * (coldOut - coldInlet) * dt;
    }

    private void pass(int x, int y, double hotWeight, double left, double mean, double hotReach, double coldReach) {
        int i = x * ny + y;
        double limit = cold[x] + hotWeight * (hot[y] - cold[x]);
        double away = metal[i] - limit;
        double average = limit + away * mean;
        metal[i] = limit + away * left;
        hot[y] += hotReach * (average - hot[y]);
        cold[x] += coldReach * (average - cold[x]);
    }

    /** Puts the metal back to a state kept earlier by {@link #snapshot}. */
    void restore(double[] cells) {
        System.arraycopy(cells, 0, metal, 0, metal.length);
    }

    private static double average(double[] values) {
        double sum = 0;
        for (double value : values) {
            sum += value;
        }
        return sum / values.length;
    }

    @Override
    public double hotOut() {
        return hotOut;
    }

    /** @return K of the cold stream behind the core, mean of the last step */
    double coldOut() {
        return coldOut;
    }

    @Override
    public double heatOut() {
        return heatOut;
    }

    @Override
    public double stored() {
        double sum = 0;
        for (double t : metal) {
            sum += t;
        }
        return sum * heatCapacity / metal.length;
    }

    @Override
    public double[] snapshot() {
        return metal.clone();
    }

    @Override
    public int along() {
        return nx;
    }

    @Override
    public int across() {
        return ny;
    }
}
