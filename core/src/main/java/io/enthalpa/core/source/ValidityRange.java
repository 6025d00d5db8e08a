package io.enthalpa.core.source;

/**
 * The interval in which a correlation was established.
 *
 * @param quantity what varies, "temperature"
 * @param min      lower end, in {@code unit}
 * @param max      upper end, in {@code unit}
 * @param unit     the unit as text, "K"
 */
public record ValidityRange(String quantity, double min, double max, String unit) {
    public boolean contains(double value) {
        return value >= min && value <= max;
    }
}
