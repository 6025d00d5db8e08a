package io.enthalpa.core.endurance;

import java.util.Arrays;

/**
 * The metal of a core as cells along the charge flow (x) and along the cold flow (y), each of one temperature.
 * The streams pass without storing heat: in a cell each comes exponentially closer to the metal. Over a step
 * every cell relaxes exactly towards the state its two inlets ask for, and hands on the mean of the step, so that heat given
 * and taken balance to the last digit for any step length.
 */
final class CoreField {
    private final int nx;
    private final int ny;
    private final double[] metal;
    private final double[] hot;
    private final double[] cold;
    private final double heatCapacity;
    private double hotOut;
    private double coldOut;
    private double heatIn;
    private double heatOut;

    /**
     * @param nx           cells along the charge
     * @param ny           cells along the cold stream
     * @param heatCapacity J/K of all the metal
     * @param temperature  K at the start
     */
    CoreField(int nx, int ny, double heatCapacity, double temperature) {
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

    /**
     * @param dt        s
     * @param hotRate   W/K, capacity rate of the charge; 0 when it stands
     * @param hotInlet  K
     * @param hotToMetal W/K
     * @param coldRate  W/K, above 0
     * @param coldInlet K
     * @param metalToCold W/K
     */
    void step(double dt, double hotRate, double hotInlet, double hotToMetal, double coldRate, double coldInlet, double metalToCold) {
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
        for (int x = 0; x < nx; x++) {
            for (int y = 0; y < ny; y++) {
                int i = x * ny + y;
                double limit = cold[x] + hotWeight * (hot[y] - cold[x]);
                double away = metal[i] - limit;
                double average = limit + away * mean;
                metal[i] = limit + away * left;
                hot[y] += hotReach * (average - hot[y]);
                cold[x] += coldReach * (average - cold[x]);
            }
        }
        hotOut = average(hot);
        coldOut = average(cold);
        heatIn = hotRate * (hotInlet - hotOut) * dt;
        heatOut = coldRate * (coldOut - coldInlet) * dt;
    }

    private static double average(double[] values) {
        double sum = 0;
        for (double value : values) {
            sum += value;
        }
        return sum / values.length;
    }

    /** @return K of the charge behind the core, mean of the last step */
    double hotOut() {
        return hotOut;
    }

    /** @return K of the cold stream behind the core, mean of the last step */
    double coldOut() {
        return coldOut;
    }

    /** @return J taken from the charge in the last step */
    double heatIn() {
        return heatIn;
    }

    /** @return J given to the cold stream in the last step */
    double heatOut() {
        return heatOut;
    }

    /** @return J in the metal above 0 K */
    double stored() {
        double sum = 0;
        for (double t : metal) {
            sum += t;
        }
        return sum * heatCapacity / metal.length;
    }

    /** @return K by cell, x outer and y inner */
    double[] snapshot() {
        return metal.clone();
    }
}
