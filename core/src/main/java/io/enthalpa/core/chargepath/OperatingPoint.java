package io.enthalpa.core.chargepath;

/**
 * What is asked of the engine at a moment.
 *
 * @param speed     rad/s of the crankshaft
 * @param boost     Pa above ambient in the manifold; below zero when throttled
 * @param roadSpeed m/s
 */
public record OperatingPoint(double speed, double boost, double roadSpeed) {}
