package io.enthalpa.core.endurance;

import java.util.List;

/**
 * A run, one value a step in each column; all columns equally long. Temperatures K, pressures Pa absolute.
 *
 * @param time       s, at the end of each step
 * @param duration   s, of each step
 * @param speed      rad/s of the crankshaft
 * @param roadSpeed  m/s
 * @param boost      Pa above ambient, reached
 * @param flow       kg/s of charge
 * @param coreIn     charge before the core (blower outlet without a core)
 * @param intake     charge at the plenum
 * @param coldIn     cold stream at the core: outside air, or the water
 * @param limited    true where the blower could not make what was asked
 * @param frames     pictures of the metal, evenly spread over the steps
 * @param audit      heat accounts
 */
public record Trace(double[] time, double[] duration, double[] speed, double[] roadSpeed, double[] boost, double[] flow, double[] coreIn,
                    double[] intake, double[] coldIn, boolean[] limited, List<Frame> frames, EnergyAudit audit) {

    /**
     * The metal at a moment.
     *
     * @param time  s
     * @param along cells along the charge flow
     * @param across cells along the cold flow
     * @param cells K, along outer and across inner
     */
    public record Frame(double time, int along, int across, double[] cells) {
    }

    public int length() {
        return time.length;
    }
}
