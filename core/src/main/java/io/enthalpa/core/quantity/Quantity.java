package io.enthalpa.core.quantity;

import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * The kinds of number a fabricator types, each with the units that measure it.
 * SI inside; a unit maps to SI by {@code si = value * factor + offset}.
 *
 * <p>Factors: inch, foot, pound, gallon by the international yard and pound agreement (1959) and NIST
 * Special Publication 811 (2008); exact except {@code hp}, {@code inHg} and {@code cfm}, which are rounded
 * there to the digits given here.
 */
public enum Quantity {
    LENGTH(
            "m",
            u("mm", 1e-3, 0),
            u("cm", 1e-2, 0),
            u("m", 1, 0),
            u("in", 0.0254, 0, "\"", "inch", "inches", "″"),
            u("ft", 0.3048, 0, "'", "foot", "feet")),
    /** Absolute or gauge is decided by the field, not by the unit. */
    PRESSURE(
            "Pa",
            u("kPa", 1e3, 0),
            u("bar", 1e5, 0),
            u("mbar", 100, 0, "hPa"),
            u("Pa", 1, 0),
            u("psi", 6894.757293168, 0, "psig"),
            u("inH2O", 249.08891, 0, "inh20"),
            u("inHg", 3386.38864, 0)),
    TEMPERATURE("K", u("°C", 1, 273.15, "C", "degC"), u("°F", 5.0 / 9, 459.67 * 5 / 9, "F", "degF"), u("K", 1, 0)),
    TEMPERATURE_DIFFERENCE("K", u("K", 1, 0, "°C", "C"), u("°F", 5.0 / 9, 0, "F")),
    VOLUME(
            "m3",
            u("L", 1e-3, 0, "l", "litre", "liter"),
            u("cm3", 1e-6, 0, "cc", "mL", "ml"),
            u("m3", 1, 0),
            u("cu in", 1.6387064e-5, 0, "in3", "ci", "cid"),
            u("US gal", 3.785411784e-3, 0, "gal")),
    MASS("kg", u("kg", 1, 0), u("g", 1e-3, 0), u("lb", 0.45359237, 0, "lbs")),
    MASS_FLOW(
            "kg/s",
            u("kg/s", 1, 0),
            u("g/s", 1e-3, 0),
            u("kg/h", 1 / 3600.0, 0),
            u("lb/min", 0.45359237 / 60, 0, "lbs/min")),
    VOLUME_FLOW(
            "m3/s",
            u("L/min", 1e-3 / 60, 0, "lpm", "l/min"),
            u("L/h", 1e-3 / 3600, 0, "l/h"),
            u("m3/s", 1, 0),
            u("US gal/min", 3.785411784e-3 / 60, 0, "gpm", "gal/min"),
            u("cfm", 4.719474e-4, 0)),
    /** Cooling air, which moves in other amounts than water. */
    AIR_FLOW(
            "m3/s",
            u("m³/h", 1 / 3600.0, 0, "m3/h"),
            u("m³/s", 1, 0, "m3/s"),
            u("L/s", 1e-3, 0, "l/s"),
            u("cfm", 4.719474e-4, 0)),
    /** Pressure of moving air, small beside that of boost. */
    DRAUGHT("Pa", u("Pa", 1, 0), u("kPa", 1e3, 0), u("mbar", 100, 0, "hPa"), u("inH2O", 249.08891, 0, "inh20")),
    AREA(
            "m2",
            u("cm²", 1e-4, 0, "cm2"),
            u("m²", 1, 0, "m2"),
            u("mm²", 1e-6, 0, "mm2"),
            u("sq in", 0.0254 * 0.0254, 0, "in2", "in²")),
    SPEED(
            "m/s",
            u("km/h", 1 / 3.6, 0, "kph", "kmh"),
            u("m/s", 1, 0),
            u("mph", 0.44704, 0),
            u("ft/s", 0.3048, 0, "fps"),
            u("kn", 1852 / 3600.0, 0, "kt")),
    ROTATION("rad/s", u("rpm", Math.PI / 30, 0, "1/min", "rev/min"), u("rad/s", 1, 0)),
    ANGLE("rad", u("°", Math.PI / 180, 0, "deg"), u("rad", 1, 0)),
    TIME("s", u("s", 1, 0, "sec"), u("min", 60, 0), u("h", 3600, 0, "hr")),
    POWER("W", u("kW", 1e3, 0), u("W", 1, 0), u("hp", 745.69987, 0, "bhp")),
    DENSITY("kg/m3", u("kg/m3", 1, 0), u("lb/ft3", 16.01846337, 0)),
    THERMAL_CONDUCTIVITY("W/(m K)", u("W/mK", 1, 0, "W/(m K)")),
    FOULING("m2 K/W", u("m²K/kW", 1e-3, 0, "m2K/kW", "m2 K/kW"), u("m²K/W", 1, 0, "m2K/W")),
    CONDUCTANCE("W/K", u("W/K", 1, 0), u("kW/K", 1e3, 0)),
    FUEL_RATE("kg/J", u("g/kWh", 1e-3 / 3.6e6, 0), u("lb/hph", 0.45359237 / (745.69987 * 3600), 0, "lb/hp h")),
    FORCE("N", u("N", 1, 0), u("kN", 1e3, 0), u("lbf", 0.45359237 * 9.80665, 0)),
    STIFFNESS("N/m", u("N/mm", 1e3, 0), u("lbf/in", 0.45359237 * 9.80665 / 0.0254, 0, "lb/in")),
    STRESS("Pa", u("MPa", 1e6, 0, "N/mm2", "N/mm²"), u("ksi", 6894757.293168, 0)),
    FREQUENCY("Hz", u("Hz", 1, 0, "1/s")),
    SHARE("1", u("%", 0.01, 0, "pct", "percent")),
    NUMBER("1", u("", 1, 0));

    private final String si;
    private final List<Unit> units;

    Quantity(String si, Unit... units) {
        this.si = si;
        this.units = List.of(units);
    }

    private static Unit u(String symbol, double factor, double offset, String... alsoWritten) {
        return new Unit(symbol, factor, offset, List.of(alsoWritten));
    }

    /** @return the SI unit this quantity is held in */
    public String si() {
        return si;
    }

    public List<Unit> units() {
        return units;
    }

    /** @return the unit written so, exactly first, then without regard to case */
    public Optional<Unit> unit(String written) {
        String plain = written.strip();
        return units.stream()
                .filter(unit -> unit.isWritten(plain))
                .findFirst()
                .or(() -> units.stream()
                        .filter(unit -> unit.isWrittenLoosely(plain.toLowerCase(Locale.ROOT)))
                        .findFirst());
    }

    /**
     * @throws IllegalArgumentException when no unit of this quantity has the symbol
     */
    public Unit requireUnit(String symbol) {
        return unit(symbol).orElseThrow(() -> new IllegalArgumentException(this + " has no unit " + symbol));
    }
}
