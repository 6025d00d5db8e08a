package io.enthalpa.core.endurance;

/**
 * What the intake temperature is judged by.
 *
 * @param intake     K wanted
 * @param timingPull K from which the ECU pulls timing
 */
public record Targets(double intake, double timingPull) {
}
