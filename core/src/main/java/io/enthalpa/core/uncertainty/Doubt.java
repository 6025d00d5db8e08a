package io.enthalpa.core.uncertainty;

/**
 * An input or a formula that is not known exactly, in this build.
 *
 * @param spread one standard deviation: relative, or K for outside air and start
 */
public record Doubt(UncertainInput unknown, double spread) {}
