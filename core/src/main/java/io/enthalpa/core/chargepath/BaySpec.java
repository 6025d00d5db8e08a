package io.enthalpa.core.chargepath;

import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;

/**
 * The air of the engine bay, known by two readings of a thermometer.
 *
 * @param standing K over outside air, engine warm, standing until it settles
 * @param rolling  K over outside air at {@link #ROLLING}
 * @param settles  s, time constant while standing
 */
public record BaySpec(double standing, double rolling, double settles) {
    /** Road speed of the second reading, m/s: 60 km/h. */
    public static final double ROLLING = 60 / 3.6;
    /** Time constant of a warm engine that was switched off, s (common practice, no source). */
    public static final double COOLS = 3600;

    public static final Method METHOD = Method.of(
                    "bay",
                    "Air in the engine bay",
                    "A warm engine gives the bay its heat, leaks and road wind take it away. Two readings, standing and at 60 km/h, give both; between and beyond, what "
                            + "is taken away grows straight with road speed. The bay's air follows with its own time constant, quicker the more air passes. Switched off, the "
                            + "engine cools over an hour, and the bay with it.")
            .formula(
                    "rise(v) = E / (1/standing + (1/rolling - 1/standing) v / 60 km/h); tau(v) = settles rise(v) / standing; E = 1 running, off dE/dt = -E / 3600 s")
            .source(
                    Citation.fromMemory(
                            "Incropera & DeWitt", 2007, "Fundamentals of Heat and Mass Transfer, lumped capacitance"),
                    Citation.commonPractice("bays stand 30 to 60 K over outside at idle and 8 to 20 K rolling"))
            .leavesOut("Layers of warm air under the bonnet, load of the engine, fans.");

    /** @return K over outside air that a warm engine's bay settles at */
    public double rise(double roadSpeed) {
        return 1 / (1 / standing + (1 / rolling - 1 / standing) * roadSpeed / ROLLING);
    }

    /** @return s, at a road speed in m/s */
    public double timeConstant(double roadSpeed) {
        return settles * rise(roadSpeed) / standing;
    }
}
