package io.enthalpa.core.engine;

/**
 * Where a blower works on its map.
 *
 * @param flow        kg/s, corrected to the map's inlet
 * @param ratio       outlet over inlet total pressure
 * @param efficiency  isentropic, 0 to 1
 * @param speed       rad/s, corrected
 * @param surgeMargin flow over surge flow at this ratio, less one; below zero it surges
 * @param chokeMargin choke flow at this ratio over flow, less one
 * @param place       inside or beyond which edge
 */
public record MapPoint(
        double flow,
        double ratio,
        double efficiency,
        double speed,
        double surgeMargin,
        double chokeMargin,
        Place place) {
    /** Inside the measured lines, or beyond which edge. */
    public enum Place {
        INSIDE,
        BELOW,
        ABOVE,
        SURGE,
        CHOKE
    }
}
