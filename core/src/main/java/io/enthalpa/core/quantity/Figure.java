package io.enthalpa.core.quantity;

/**
 * A number with its name.
 *
 * @param name     "Reynolds number"
 * @param value    SI
 * @param quantity what it measures
 */
public record Figure(String name, double value, Quantity quantity) {
    public static Figure plain(String name, double value) {
        return new Figure(name, value, Quantity.NUMBER);
    }
}
