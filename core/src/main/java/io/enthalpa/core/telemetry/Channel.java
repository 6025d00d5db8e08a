package io.enthalpa.core.telemetry;

import io.enthalpa.core.quantity.Quantity;
import io.enthalpa.core.quantity.Unit;
import java.util.Set;

/** What a column of a log can be. Values SI; pressures before and after the core both gauge or both absolute. */
public enum Channel {
    TIME("time", Quantity.TIME, "s", 0, 1e10),
    ROAD_SPEED("road speed", Quantity.SPEED, "km/h", 0, 600 / 3.6),
    ENGINE_SPEED("engine speed", Quantity.ROTATION, "rpm", 0, 30_000 * Math.PI / 30),
    BOOST("boost", Quantity.PRESSURE, "kPa", -101e3, 500e3),
    MANIFOLD("manifold pressure, absolute", Quantity.PRESSURE, "kPa", 2e3, 600e3),
    THROTTLE("throttle", Quantity.SHARE, "%", -0.1, 1.2),
    OUTSIDE("outside air", Quantity.TEMPERATURE, "°C", 213, 343),
    BEFORE_CORE("charge before the core", Quantity.TEMPERATURE, "°C", 213, 673),
    AFTER_CORE("charge behind the core", Quantity.TEMPERATURE, "°C", 213, 523),
    INTAKE("intake", Quantity.TEMPERATURE, "°C", 213, 523),
    WATER_TO_CORE("water to the core", Quantity.TEMPERATURE, "°C", 213, 423),
    WATER_FROM_CORE("water behind the core", Quantity.TEMPERATURE, "°C", 213, 423),
    WATER_FROM_RADIATOR("water behind the radiator", Quantity.TEMPERATURE, "°C", 213, 423),
    WATER_TANK("water in the tank", Quantity.TEMPERATURE, "°C", 213, 423),
    WATER_FLOW("water flow", Quantity.VOLUME_FLOW, "L/min", 0, 1000 / 60e3),
    PRESSURE_BEFORE("pressure before the core", Quantity.PRESSURE, "kPa", -101e3, 800e3),
    PRESSURE_AFTER("pressure behind the core", Quantity.PRESSURE, "kPa", -101e3, 800e3),
    TIMING("ignition timing", Quantity.ANGLE, "°", Math.toRadians(-60), Math.toRadians(90)),
    LAMBDA("lambda", Quantity.NUMBER, "", 0.2, 5),
    GEAR("gear", Quantity.NUMBER, "", -2, 30),
    MARKER("lap marker", Quantity.NUMBER, "", -1e9, 1e9);

    /** What a duty is made of. */
    public static final Set<Channel> OF_DUTY = Set.of(TIME, ROAD_SPEED, ENGINE_SPEED, BOOST, MANIFOLD, THROTTLE);

    private final String words;
    private final Quantity quantity;
    private final String usualUnit;
    private final double low;
    private final double high;

    Channel(String words, Quantity quantity, String usualUnit, double low, double high) {
        this.words = words;
        this.quantity = quantity;
        this.usualUnit = usualUnit;
        this.low = low;
        this.high = high;
    }

    /** @return as a reader knows it */
    public String words() {
        return words;
    }

    public Quantity quantity() {
        return quantity;
    }

    /** @return what is assumed where nothing names a unit */
    public Unit usualUnit() {
        return quantity.requireUnit(usualUnit);
    }

    /** @return SI; what is measured outside this is no measurement (judgement) */
    public double low() {
        return low;
    }

    public double high() {
        return high;
    }

    public boolean isTemperature() {
        return quantity == Quantity.TEMPERATURE;
    }

    /** @return whether it measures the charge's water */
    public boolean isWater() {
        return this == WATER_TO_CORE || this == WATER_FROM_CORE || this == WATER_FROM_RADIATOR || this == WATER_TANK;
    }
}
