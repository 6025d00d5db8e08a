package io.enthalpa.core.duty;

/**
 * One row of a duty.
 *
 * @param time      s from the start
 * @param speed     rad/s of the crankshaft
 * @param boost     Pa above ambient
 * @param roadSpeed m/s
 */
public record DutyPoint(double time, double speed, double boost, double roadSpeed) {}
