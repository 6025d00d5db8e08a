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
 * @param blowerFlow kg/s through the blower, corrected to its map's inlet where it has one; of the second of two
 * @param blowerRatio outlet over inlet pressure of that blower
 * @param intake     charge at the plenum
 * @param outside    K of outside air
 * @param sprayed    m3 of injection liquid used since the start
 * @param limited    true where the blower could not make what was asked
 * @param cores      each core, in the order of the path
 * @param audit      heat accounts of all cores
 */
public record Trace(double[] time, double[] duration, double[] speed, double[] roadSpeed, double[] boost, double[] flow,
                    double[] blowerFlow, double[] blowerRatio, double[] intake, double outside, double[] sprayed, boolean[] limited, List<CoreTrace> cores, EnergyAudit audit) {
    public Trace {
        cores = List.copyOf(cores);
    }

    public int length() {
        return time.length;
    }

    /** @return the core nearest the plenum; null without one */
    public CoreTrace core() {
        return cores.isEmpty() ? null : cores.get(cores.size() - 1);
    }

    /** @return charge before the first core; without a core that at the plenum */
    public double[] coreIn() {
        return cores.isEmpty() ? intake : cores.get(0).in();
    }

    /** @return cold stream at the core nearest the plenum at a step, K: outside air, or its water */
    public double coldAt(int i) {
        return cores.isEmpty() ? outside : core().coldIn()[i];
    }
}
