package io.enthalpa.core.plant;

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
    enum Mixed {
        NONE,
        HOT,
        COLD
    }

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
    public void step(
            double dt,
            double hotRate,
            double hotInlet,
            double hotToMetal,
            double coldRate,
            double coldInlet,
            double metalToCold,
            DampCharge damp) {
        double hotReach = hotRate > 0 ? -Math.expm1(-hotToMetal / (nx * hotRate)) : 0;
        double coldReach = -Math.expm1(-metalToCold / (ny * coldRate));
        double g = hotRate / ny * hotReach;
        double c = coldRate / nx * coldReach;
        double perRate = dt * nx * ny / heatCapacity;
        Arrays.fill(hot, hotInlet);
        Arrays.fill(cold, coldInlet);
        Cell cell = new Cell(g, c, perRate, hotReach, coldReach);
        WetCell wet = begin(damp) ? new WetCell(g, c, perRate, hotReach, coldReach) : null;
        boolean alongCold = mixed == Mixed.COLD;
        for (int k = 0; k < (alongCold ? ny : nx); k++) {
            if (wet != null) {
                wet.row(alongCold, k, cell);
            } else if (alongCold) {
                cell.acrossCharge(k);
            } else {
                cell.alongCold(k);
            }
            if (mixed != Mixed.NONE) {
                double[] mixes = alongCold ? cold : hot;
                Arrays.fill(mixes, average(mixes));
            }
        }
        hotOut = average(hot);
        coldOut = average(cold);
        heatOut = coldRate * (coldOut - coldInlet) * dt;
        latent = wet != null ? wet.watts * dt : 0;
    }

    /**
     * What a step makes of a dry cell. With limit = (1 - w) cold + w hot, w the charge's part of the pull on the metal, metal and both streams behind the
     * cell are straight in metal, charge and cold before it; multiplied out once for all cells.
     */
    private final class Cell {
        private final double metalKept;
        private final double metalHot;
        private final double metalCold;
        private final double hotKept;
        private final double hotMetal;
        private final double hotCold;
        private final double coldKept;
        private final double coldMetal;
        private final double coldHot;

        /**
         * @param g         W/K that the charge can carry to a cell
         * @param c         W/K that the cold stream can carry away
         * @param perRate   s K/J, the step over the cell's heat capacity
         * @param hotReach  share by which the charge comes closer to the metal
         * @param coldReach share by which the cold stream does
         */
        Cell(double g, double c, double perRate, double hotReach, double coldReach) {
            double rate = (g + c) * perRate;
            double left = Math.exp(-rate);
            double mean = rate < 1e-8 ? 1 : -Math.expm1(-rate) / rate;
            double w = g / (g + c);
            metalKept = left;
            metalHot = (1 - left) * w;
            metalCold = (1 - left) * (1 - w);
            hotMetal = hotReach * mean;
            hotCold = hotReach * (1 - mean) * (1 - w);
            hotKept = 1 - hotReach + hotReach * (1 - mean) * w;
            coldMetal = coldReach * mean;
            coldHot = coldReach * (1 - mean) * w;
            coldKept = 1 - coldReach + coldReach * (1 - mean) * (1 - w);
        }

        /** All cells that the cold stream passes at one place of the charge's way. */
        void alongCold(int x) {
            double[] t = metal;
            double[] h = hot;
            int from = x * ny;
            double c = cold[x];
            for (int y = 0; y < h.length; y++) {
                double was = t[from + y];
                double before = h[y];
                t[from + y] = metalKept * was + metalHot * before + metalCold * c;
                h[y] = hotKept * before + hotMetal * was + hotCold * c;
                c = coldKept * c + (coldMetal * was + coldHot * before);
            }
            cold[x] = c;
        }

        /** All cells that the charge passes at one place of the cold stream's way. */
        void acrossCharge(int y) {
            for (int x = 0; x < nx; x++) {
                one(x, y);
            }
        }

        void one(int x, int y) {
            int i = x * ny + y;
            double m = metal[i];
            double h = hot[y];
            double c = cold[x];
            metal[i] = metalKept * m + metalHot * h + metalCold * c;
            hot[y] = hotKept * h + hotMetal * m + hotCold * c;
            cold[x] = coldKept * c + coldMetal * m + coldHot * h;
        }
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
        private final double fromCharge;
        private final double toCold;
        private final double perRate;
        private final double hotReach;
        private final double coldReach;
        private final double perShare;
        private double watts;

        /** @param perRate s K/J, the step over the cell's heat capacity */
        WetCell(double fromCharge, double toCold, double perRate, double hotReach, double coldReach) {
            this.hotReach = hotReach;
            this.coldReach = coldReach;
            this.fromCharge = fromCharge;
            this.toCold = toCold;
            this.perRate = perRate;
            this.perShare = damp.perShare() / ny * hotReach;
        }

        /** A row of cells, each as wet or dry as it is. */
        void row(boolean acrossCharge, int k, Cell dry) {
            for (int j = 0; j < (acrossCharge ? nx : ny); j++) {
                int x = acrossCharge ? j : k;
                int y = acrossCharge ? k : j;
                if (vapour[y] > damp.held(metal[x * ny + y])) {
                    pass(x, y);
                } else {
                    dry.one(x, y);
                }
            }
        }

        private void pass(int x, int y) {
            int i = x * ny + y;
            double was = metal[i];
            double latentHeat = WaterVapour.latentHeat(was);
            double held = damp.held(was);
            double now = perShare * latentHeat * (vapour[y] - held);
            double less = perShare * latentHeat * damp.heldMore(was);
            double pull = fromCharge + toCold + less;
            double limit = (fromCharge * hot[y] + toCold * cold[x] + now + less * was) / pull;
            double rate = pull * perRate;
            double left = Math.exp(-rate);
            double average = limit + (was - limit) * mean(rate, left);
            double given = now - less * (average - was);
            if (given < 0) {
                // It warms past the dew point within the step: as much as it would take stays vapour.
                pull = fromCharge + toCold;
                limit = (fromCharge * hot[y] + toCold * cold[x]) / pull;
                rate = pull * perRate;
                left = Math.exp(-rate);
                average = limit + (was - limit) * mean(rate, left);
                given = 0;
            }
            metal[i] = limit + (was - limit) * left;
            hot[y] += hotReach * (average - hot[y]);
            cold[x] += coldReach * (average - cold[x]);
            watts += given;
            condensed += given / latentHeat;
            vapour[y] -= given / latentHeat / damp.perShare() * ny;
        }
    }

    /** Mean over a step of what is left of an excess that falls to {@code left} by its end. */
    private static double mean(double rate, double left) {
        return rate < 1e-4 ? 1 - rate / 2 : (1 - left) / rate;
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
