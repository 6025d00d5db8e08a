package io.enthalpa.core.exchanger;

import java.util.List;

/**
 * The stream along the tanks of a core: in the inlet's tank it slows down and its pressure rises, in the outlet's it gathers speed and its
 * pressure falls by twice the head, for what joins it brings no speed along. Ports at the same end let the two work against each other, ports
 * across from each other add them up.
 */
final class TankStream {
    /** Heads of the stream that leaves a collecting tank, lost from its dead end: all its momentum has to be given to it. */
    private static final double COLLECTING = 2;

    private static final int CELLS = 240;

    private final CoreSpec spec;
    private final double uneven;

    TankStream(CoreSpec spec) {
        this.spec = spec;
        this.uneven = spec.tanks().isOpen() ? 0 : uneven(spec);
    }

    CoreSpec spec() {
        return spec;
    }

    /** @return root mean square of the pressure difference across the passages about its mean, in heads of the whole flow through one tank's section */
    double uneven() {
        return uneven;
    }

    private static double uneven(CoreSpec spec) {
        CorePorts ports = new CorePorts(spec);
        double[] feeding = feeding(spec.tanks().divided() ? 0.5 : ports.inletAt());
        double[] collecting = collecting(ports.outletsAt());
        if (spec.arrangement().isTwoPass()) {
            // The turning tank between the passes mixes: each is fed for itself.
            return Math.hypot(spread(feeding), spread(collecting));
        }
        double[] across = new double[CELLS];
        for (int i = 0; i < CELLS; i++) {
            across[i] = feeding[i] - collecting[i];
        }
        return spread(across);
    }

    private static double place(int cell) {
        return (cell + 0.5) / CELLS;
    }

    /** Pressure of a tank that parts with its flow evenly, from a port at a share of its length: both ways its dead ends have the same. */
    private static double[] feeding(double port) {
        double[] pressure = new double[CELLS];
        for (int i = 0; i < CELLS; i++) {
            double x = place(i);
            double passing = x < port ? x : 1 - x;
            pressure[i] = -passing * passing;
        }
        return pressure;
    }

    /** Pressure of a tank that gathers its flow evenly: at each port both streams have the port's. Each of two ports gathers its half. */
    private static double[] collecting(List<Double> ports) {
        double share = 1.0 / ports.size();
        double[] pressure = new double[CELLS];
        for (int i = 0; i < CELLS; i++) {
            double x = place(i);
            int mine = Math.min((int) (x / share), ports.size() - 1);
            double from = mine * share;
            double port = ports.get(mine);
            double end = x < port ? from : from + share;
            double passing = x - end;
            double all = port - end;
            pressure[i] = COLLECTING * (all * all - passing * passing);
        }
        return pressure;
    }

    private static double spread(double[] values) {
        double mean = 0;
        double squares = 0;
        for (double v : values) {
            mean += v / values.length;
            squares += v * v / values.length;
        }
        return Math.sqrt(Math.max(0, squares - mean * mean));
    }
}
