package io.enthalpa.core.endurance;

import java.util.Arrays;

/**
 * Core, water line, tank, radiator, ice and chiller once more, from their equations and with none of the program's classes: explicit steps of a hundredth of
 * a second, hoses as a row of slices that move on by one in each step, other cells in the core, conductances from the cards by its own search. What the
 * charge path gives (flow, temperature before the core, water flow, boost) is told from outside.
 */
public final class SecondPlant {
    public static final double DT = 0.01;
    private static final int NX = 12;
    private static final int NY = 10;
    private static final double WATER = 990 * 4180.0;
    private static final double MELTING = 273.15;

    /** W/K at the card's flows, and what they go with. */
    private final double hot;

    private final double wall;
    private final double cold;
    private final double cardCharge;
    private final double cardCold;
    private final double coldPower;
    private final double[] metal = new double[NX * NY];
    private final double metalCapacity;

    /** m3; 0 where air cools the core. */
    double mixedVolume;

    double feedVolume;
    double backVolume;
    double tank;
    double ice;
    double iceAtStart;
    double icePiece;
    double iceFilm;
    /** W/K of the radiator between its inlets, of its water to the metal, its metal; 0 without one. */
    double radiator;

    double radiatorWater;
    double radiatorCapacity;
    double outside;
    double chillerCapacity;
    double chillerColdest;

    private double radiatorMetal;
    private double[] feed = {};
    private double[] back = {};
    private double out;

    /**
     * @param card     kg/s and K: charge flow, in, out; cold W/K and K in
     * @param shares   of the whole resistance: charge side and wall
     * @param capacity J/K of the metal
     */
    public SecondPlant(Card card, double[] shares, double coldPower, double capacity, double start) {
        double whole = card.conductance();
        hot = whole / shares[0];
        wall = whole / shares[1];
        cold = whole / (1 - shares[0] - shares[1]);
        cardCharge = card.flow;
        cardCold = card.coldRate;
        this.coldPower = coldPower;
        metalCapacity = capacity;
        Arrays.fill(metal, start);
        tank = start;
        radiatorMetal = start;
        out = start;
    }

    /** One measured point of an exchanger in crossflow. */
    public record Card(double flow, double hotRate, double in, double out, double coldRate, double coldIn) {
        /** W/K by halving, on a grid of its own. */
        public double conductance() {
            double low = 1;
            double high = 1e5;
            for (int i = 0; i < 80; i++) {
                double middle = Math.sqrt(low * high);
                boolean more = outlet(middle) > out;
                low = more ? middle : low;
                high = more ? high : middle;
            }
            return low;
        }

        private double outlet(double whole) {
            int n = 60;
            double[] cold = new double[n];
            Arrays.fill(cold, coldIn);
            double sum = 0;
            for (int y = 0; y < n; y++) {
                double h = in;
                for (int x = 0; x < n; x++) {
                    // In a cell the two streams pass each other with their means.
                    double u = whole / n / n;
                    double a = u / (hotRate / n);
                    double b = u / (coldRate / n);
                    double q = u * (h - cold[x]) / (1 + a / 2 + b / 2);
                    h -= q / (hotRate / n);
                    cold[x] += q / (coldRate / n);
                }
                sum += h;
            }
            return sum / n;
        }
    }

    /** @return W that the charge side, then the cold side moved; leaves the charge's outlet in {@link #out()} */
    private double core(double m, double in, double coldRate, double coldIn) {
        double h = hot * Math.pow(Math.max(m, 1e-6) / cardCharge, 0.55);
        double c = cold * Math.pow(coldRate / cardCold, coldPower);
        double hotSide = 1 / (1 / h + 0.5 / wall);
        double coldSide = 1 / (1 / c + 0.5 / wall);
        double hotRate = m * 1012;
        double eh = m > 0 ? 1 - Math.exp(-hotSide / NX / hotRate) : 0;
        double ec = 1 - Math.exp(-coldSide / NY / coldRate);
        double[] charge = new double[NY];
        double[] stream = new double[NX];
        Arrays.fill(charge, in);
        Arrays.fill(stream, coldIn);
        double given = 0;
        for (int x = 0; x < NX; x++) {
            for (int y = 0; y < NY; y++) {
                int i = x * NY + y;
                double brought = hotRate / NY * eh * (charge[y] - metal[i]);
                double taken = coldRate / NX * ec * (metal[i] - stream[x]);
                charge[y] += eh * (metal[i] - charge[y]);
                stream[x] += ec * (metal[i] - stream[x]);
                metal[i] += DT * (brought - taken) / (metalCapacity / metal.length);
                given += taken;
            }
        }
        out = m > 0
                ? Arrays.stream(charge).average().orElseThrow()
                : Arrays.stream(metal).average().orElseThrow();
        return given;
    }

    /** A step with air. @param coldRate W/K */
    public void air(double m, double in, double coldRate, double coldIn) {
        core(m, in, coldRate, coldIn);
    }

    /** A step with water. @param flow m3/s @param chills whether the compressor runs */
    void water(double m, double in, double flow, boolean chills) {
        double rate = flow * WATER;
        feed = slices(feed, feedVolume, flow);
        back = slices(back, backVolume, flow);
        double coldIn = move(feed, tank);
        double given = core(m, in, rate, coldIn);
        double warm = move(back, coldIn + given / rate);
        double left = 0;
        if (radiator > 0) {
            double air = 1 / (1 / radiator - 1 / radiatorWater);
            left = radiatorWater * (warm - radiatorMetal);
            radiatorMetal += DT * (left - air * (radiatorMetal - outside)) / radiatorCapacity;
        }
        double melt = ice > 0
                ? iceFilm * 6 * iceAtStart / (917 * icePiece) * Math.pow(ice / iceAtStart, 2.0 / 3) * (tank - MELTING)
                : 0;
        double chilled = chills && tank > chillerColdest
                ? chillerCapacity * (1 + 0.022 * (tank - 293.15)) * (1 - 0.012 * (outside - 298.15))
                : 0;
        double capacity = mixedVolume * WATER + (iceAtStart - ice) * 4180;
        double melted = Math.min(melt * DT / 334e3, ice);
        ice -= melted;
        tank += DT * (rate * (warm - left / rate - tank) - melt - chilled) / capacity;
        tank = (tank * capacity + MELTING * melted * 4180) / (capacity + melted * 4180);
    }

    /** As many slices as the hose holds steps of flow, with what stood in it. */
    private double[] slices(double[] now, double volume, double flow) {
        int n = (int) Math.max(Math.round(volume / (flow * DT)), 1);
        if (now.length == n) {
            return now;
        }
        double[] other = new double[n];
        for (int i = 0; i < n; i++) {
            other[i] = now.length == 0 ? tank : now[(int) ((long) i * now.length / n)];
        }
        return other;
    }

    private static double move(double[] hose, double in) {
        double last = hose[hose.length - 1];
        System.arraycopy(hose, 0, hose, 1, hose.length - 1);
        hose[0] = in;
        return last;
    }

    public double out() {
        return out;
    }
}
