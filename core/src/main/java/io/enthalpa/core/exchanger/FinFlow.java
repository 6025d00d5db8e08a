package io.enthalpa.core.exchanger;

/**
 * What the stream does in a layer.
 *
 * @param reynolds    as the correlation counts it: on the hydraulic diameter, for louvres on their pitch
 * @param film        heat transfer coefficient, W/(m2 K)
 * @param friction    Fanning friction factor
 * @param withinRange false when the Reynolds number lies outside what the correlation was made for
 */
public record FinFlow(double reynolds, double film, double friction, boolean withinRange) {}
