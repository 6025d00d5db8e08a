package io.enthalpa.core.chargepath;

/**
 * A place between two pieces of the path.
 *
 * @param name              "blower out"
 * @param totalPressure     Pa absolute
 * @param staticPressure    Pa absolute
 * @param temperature       K, total
 * @param staticTemperature K
 * @param density           kg/m3, static
 * @param velocity          m/s
 * @param mach              velocity over speed of sound
 * @param bore              m
 */
public record Station(
        String name,
        double totalPressure,
        double staticPressure,
        double temperature,
        double staticTemperature,
        double density,
        double velocity,
        double mach,
        double bore) {}
