package io.enthalpa.core.explain;

import io.enthalpa.core.place.Subject;
import io.enthalpa.core.quantity.Figure;
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
}
