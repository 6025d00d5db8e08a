package io.enthalpa.core.waterloop;

/**
 * A closed water loop in first form: the flow that really circulates (by bucket and watch), one mixed volume, a radiator.
 *
 * @param flow     m3/s
 * @param volume   m3 of water in tank, hoses, core and radiator
 * @param radiator water to air
 */
public record WaterLoopSpec(double flow, double volume, RadiatorSpec radiator) {
}
