package io.enthalpa.core.endurance;

import io.enthalpa.core.exchanger.DampCharge;
import io.enthalpa.core.fluid.WaterVapour;
import java.util.Arrays;

/**
 * The metal of a core as cells along the charge flow (x) and along the cold flow (y), each of one temperature.
 * The streams pass without storing heat: in a cell each comes exponentially closer to the metal. Over a step
 * every cell relaxes exactly towards the state its two inlets ask for, and hands on the mean of the step, so that heat given
 * and taken balance to the last digit for any step length. Metal below the dew point takes water out of the charge and its latent heat
 * with it: straight about where the cell stands, so that this too is stable for any step.
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
    private DampCharge damp = DampCharge.DRY;
    private double[] vapour = {};
    private double condensed;
    private double latent;

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
    public void step(double dt, double hotRate, double hotInlet, double hotToMetal, double coldRate, double coldInlet, double metalToCold, DampCharge damp) {
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
        boolean wet = begin(damp);
        WetCell wetCell = wet ? new WetCell(g, c, dt / cell, hotReach) : null;
        boolean alongCold = mixed == Mixed.COLD;
        int outer = alongCold ? ny : nx;
        int inner = alongCold ? nx : ny;
        for (int a = 0; a < outer; a++) {
            for (int b = 0; b < inner; b++) {
                int x = alongCold ? b : a;
                int y = alongCold ? a : b;
                if (wet && vapour[y] > this.damp.held(metal[x * ny + y])) {
                    wetCell.pass(x, y, hotReach, coldReach);
                } else {
                    pass(x, y, hotWeight, left, mean, hotReach, coldReach);
                }
            }
            if (alongCold) {
                Arrays.fill(cold, average(cold));
            } else if (mixed == Mixed.HOT) {
                Arrays.fill(hot, average(hot));
            }
        }
        hotOut = average(hot);
        coldOut = average(cold);
        heatOut = coldRate * (coldOut - coldInlet) * dt;
        latent = wet ? wetCell.watts * dt : 0;
    }

    /** @return false when no cell can get wet */
    private boolean begin(DampCharge charge) {
        damp = charge;
        condensed = 0;
        if (charge.vapour() <= 0) {
            return false;
        }
        vapour = vapour.length == ny ? vapour : new double[ny];
        Arrays.fill(vapour, charge.vapour());
        return true;
    }

    /** A cell below the dew point of what passes it. */
    private final class WetCell {
        private static final double NEAR = 0.05;
        private final double fromCharge;
        private final double toCold;
        private final double perRate;
        private final double perShare;
        private double watts;

        /** @param perRate s K/J, the step over the cell's heat capacity */
        WetCell(double fromCharge, double toCold, double perRate, double hotReach) {
            this.fromCharge = fromCharge;
            this.toCold = toCold;
            this.perRate = perRate;
            this.perShare = damp.perShare() / ny * hotReach;
        }

        void pass(int x, int y, double hotReach, double coldReach) {
            int i = x * ny + y;
            double was = metal[i];
            double latentHeat = WaterVapour.latentHeat(was);
            double held = damp.held(was);
            double now = perShare * latentHeat * (vapour[y] - held);
            double less = perShare * latentHeat * (damp.held(was + NEAR) - held) / NEAR;
            double pull = fromCharge + toCold + less;
            double limit = (fromCharge * hot[y] + toCold * cold[x] + now + less * was) / pull;
            double rate = pull * perRate;
            double average = limit - (was - limit) * Math.expm1(-rate) / rate;
            double given = now - less * (average - was);
            if (given < 0) {
                // It warms past the dew point within the step: as much as it would take stays vapour.
                pull = fromCharge + toCold;
                limit = (fromCharge * hot[y] + toCold * cold[x]) / pull;
                rate = pull * perRate;
                average = limit - (was - limit) * Math.expm1(-rate) / rate;
                given = 0;
            }
            metal[i] = limit + (was - limit) * Math.exp(-rate);
            hot[y] += hotReach * (average - hot[y]);
            cold[x] += coldReach * (average - cold[x]);
            watts += given;
            condensed += given / latentHeat;
            vapour[y] -= given / latentHeat / damp.perShare() * ny;
        }
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

    /** @return the charge as it left in the last step */
    DampCharge leaving() {
        return damp.vapour() <= 0 ? damp : damp.leaving(average(vapour));
    }

    @Override
    public double coldest() {
        double coldest = metal[0];
        for (double t : metal) {
            coldest = Math.min(coldest, t);
        }
        return coldest;
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
