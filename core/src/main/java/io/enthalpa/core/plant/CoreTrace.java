package io.enthalpa.core.plant;

import java.util.List;

/**
 * One core over a run, one value a step in each column.
 *
 * @param name   of the core
 * @param in     K of charge in front of it
 * @param out    K of charge behind it
 * @param flow   kg/s of charge through it
 * @param condensate kg/s of water that comes out of the charge inside
 * @param cold   what cools it
 * @param frames pictures of the metal, evenly spread over the steps
 */
public record CoreTrace(
        String name, double[] in, double[] out, double[] flow, double[] condensate, Cold cold, List<Frame> frames) {
    /** K over outside air below which effectiveness says nothing. */
    private static final double LEAST_EXCESS = 10;

    /**
     * The cold side: outside air, or the water of a loop with what takes its heat.
     *
     * @param byWater  false for a core that air cools; pump, tank, ice and chiller mean nothing then
     * @param leads    whether the loop is its own: what belongs to the loop is told once, of this core
     * @param hasChiller whether a chiller belongs to its loop
     * @param in       K of the stream at the core
     * @param out      K of the stream behind it
     * @param water    m3/s of the loop's water; 0 for a core that air cools
     * @param airIn    K of the air before the core or the loop's radiator
     * @param air      m/s of cooling air at the face of the core, or of the loop's radiator
     * @param tank     K of the water that leaves the tank
     * @param ice      kg left in it
     * @param rejected W given to the air, by the core itself or by the radiator
     * @param chilled  W taken by the chiller
     * @param radiator effectiveness of the loop's radiator: its heat over the most that its air and water could pass; NaN without one or with nothing to give
     * @param pump     whether the water is moved
     * @param chills   whether the chiller's compressor may run; at its coldest it takes only what comes in
     */
    public record Cold(
            boolean byWater,
            boolean leads,
            boolean hasChiller,
            double[] in,
            double[] out,
            double[] water,
            double[] airIn,
            double[] air,
            double[] tank,
            double[] ice,
            double[] rejected,
            double[] chilled,
            double[] radiator,
            boolean[] pump,
            boolean[] chills) {
        public static Cold of(boolean byWater, boolean leads, boolean hasChiller, int n) {
            return new Cold(
                    byWater,
                    leads,
                    hasChiller,
                    new double[n],
                    new double[n],
                    new double[n],
                    new double[n],
                    new double[n],
                    new double[n],
                    new double[n],
                    new double[n],
                    new double[n],
                    new double[n],
                    new boolean[n],
                    new boolean[n]);
        }
    }

    /**
     * The metal at a moment.
     *
     * @param time  s
     * @param along cells along the charge flow
     * @param across cells along the cold flow
     * @param cells K, along outer and across inner
     */
    public record Frame(double time, int along, int across, double[] cells) {}

    /** @return K of the cold stream at it: outside air, or the water */
    public double[] coldIn() {
        return cold.in;
    }

    /** @param outside K @return how far the charge comes down towards the outside air: what a fabricator calls effectiveness; NaN where nothing passes or it comes hardly warmer */
    public double recovered(double outside, int i) {
        return flow[i] > 0 && in[i] - outside > LEAST_EXCESS ? (in[i] - out[i]) / (in[i] - outside) : Double.NaN;
    }

    /** @return how far the charge comes down towards what cools it; NaN where nothing passes or it comes hardly warmer */
    public double effectiveness(int i) {
        return flow[i] > 0 && in[i] - cold.in[i] > LEAST_EXCESS ? (in[i] - out[i]) / (in[i] - cold.in[i]) : Double.NaN;
    }

    /** @return kg left in its tank */
    public double[] ice() {
        return cold.ice;
    }
}
