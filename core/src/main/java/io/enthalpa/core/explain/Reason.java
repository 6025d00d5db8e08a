package io.enthalpa.core.explain;

import io.enthalpa.core.place.Subject;
import io.enthalpa.core.quantity.Quantity;
import io.enthalpa.core.source.Method;
import java.util.List;

/**
 * How one number of an answer came about.
 *
 * @param subject what it is about
 * @param result  the number
 * @param method  that gave it
 * @param numbers that went in
 */
public record Reason(Subject subject, Figure result, Method method, List<Figure> numbers) {
    public Reason {
        numbers = List.copyOf(numbers);
    }

    /**
     * A number with its name.
     *
     * @param name     "Reynolds number"
     * @param value    SI
     * @param quantity what it measures
     */
    public record Figure(String name, double value, Quantity quantity) {
        static Figure plain(String name, double value) {
            return new Figure(name, value, Quantity.NUMBER);
        }
    }
}
