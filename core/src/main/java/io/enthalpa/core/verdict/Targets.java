package io.enthalpa.core.verdict;

import io.enthalpa.core.endurance.Sensor;

/**
 * What the intake temperature is judged by.
 *
 * @param intake     K wanted
 * @param timingPull K from which the ECU pulls timing
 * @param sensor     that the ECU reads
 */
public record Targets(double intake, double timingPull, Sensor sensor) {
    public Targets(double intake, double timingPull) {
        this(intake, timingPull, Sensor.USUAL);
    }
}
