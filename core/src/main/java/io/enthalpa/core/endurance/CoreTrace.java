package io.enthalpa.core.endurance;

import java.util.List;

/**
 * One core over a run.
 *
 * @param name   of the core
 * @param in     K of charge in front of it
 * @param out    K of charge behind it
 * @param flow   kg/s of charge through it
 * @param coldIn K of the cold stream at it: outside air, or the water
 * @param ice    kg left in its tank
 * @param condensate kg/s of water that comes out of the charge inside
 * @param frames pictures of the metal, evenly spread over the steps
 */
public record CoreTrace(String name, double[] in, double[] out, double[] flow, double[] coldIn, double[] ice, double[] condensate, List<Frame> frames) {
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
}
