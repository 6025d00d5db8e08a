package io.enthalpa.formats.document;

import io.enthalpa.core.quantity.Quantity;
import io.enthalpa.core.quantity.Unit;
import java.util.Arrays;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** The end of a key, which tells what its number measures and in which unit. */
enum Suffix {
    NONE("", Quantity.NUMBER, ""),
    PCT("pct", Quantity.SHARE, "%"),
    MM("mm", Quantity.LENGTH, "mm"),
    M("m", Quantity.LENGTH, "m"),
    L("L", Quantity.VOLUME, "L"),
    CM2("cm2", Quantity.AREA, "cm²"),
    DEG("deg", Quantity.ANGLE, "°"),
    S("s", Quantity.TIME, "s"),
    RPM("rpm", Quantity.ROTATION, "rpm"),
    KM_H("km_h", Quantity.SPEED, "km/h"),
    M_S("m_s", Quantity.SPEED, "m/s"),
    KG("kg", Quantity.MASS, "kg"),
    KG_S("kg_s", Quantity.MASS_FLOW, "kg/s"),
    L_MIN("L_min", Quantity.VOLUME_FLOW, "L/min"),
    M3_H("m3_h", Quantity.AIR_FLOW, "m³/h"),
    KPA("kPa", Quantity.PRESSURE, "kPa"),
    /** Of moving air or of water through a core, small beside boost. */
    PA("Pa", Quantity.DRAUGHT, "Pa"),
    C("C", Quantity.TEMPERATURE, "°C"),
    K("K", Quantity.TEMPERATURE_DIFFERENCE, "K"),
    KW("kW", Quantity.POWER, "kW"),
    W_K("W_K", Quantity.CONDUCTANCE, "W/K"),
    W_MK("W_mK", Quantity.THERMAL_CONDUCTIVITY, "W/mK"),
    M2K_KW("m2K_kW", Quantity.FOULING, "m²K/kW"),
    N("N", Quantity.FORCE, "N"),
    N_MM("N_mm", Quantity.STIFFNESS, "N/mm"),
    G_KWH("g_kWh", Quantity.FUEL_RATE, "g/kWh");

    private static final Map<String, Suffix> BY_END =
            Arrays.stream(values()).collect(Collectors.toMap(s -> s.end, Function.identity()));
    private final String end;
    private final Quantity quantity;
    private final Unit unit;

    Suffix(String end, Quantity quantity, String unit) {
        this.end = end;
        this.quantity = quantity;
        this.unit = quantity.requireUnit(unit);
    }

    /** @throws IllegalArgumentException when the key ends on no unit */
    static Suffix of(String key) {
        int cut = key.indexOf('_');
        Suffix suffix = BY_END.get(cut < 0 ? "" : key.substring(cut + 1));
        if (suffix == null) {
            throw new IllegalArgumentException("the end of " + key + " is no unit");
        }
        return suffix;
    }

    Quantity quantity() {
        return quantity;
    }

    Unit unit() {
        return unit;
    }

    /** @return in SI what a file says */
    double si(double written) {
        return unit.toSi(written);
    }

    OptionalDouble si(@Nullable Double written) {
        return written == null ? OptionalDouble.empty() : OptionalDouble.of(unit.toSi(written));
    }

    /** @return as a file says it what is so much in SI */
    double of(double si) {
        return unit.fromSi(si);
    }

    @Nullable
    Double of(OptionalDouble si) {
        return si.isEmpty() ? null : Double.valueOf(unit.fromSi(si.getAsDouble()));
    }
}
