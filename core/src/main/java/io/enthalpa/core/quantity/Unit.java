package io.enthalpa.core.quantity;

import java.util.List;
import java.util.Locale;

/**
 * One unit of a quantity: {@code si = value * factor + offset}.
 *
 * @param symbol      how it is shown
 * @param factor      SI units in one of this
 * @param offset      SI value at zero of this
 * @param alsoWritten other ways people type it
 */
public record Unit(String symbol, double factor, double offset, List<String> alsoWritten) {

    public double toSi(double value) {
        return value * factor + offset;
    }

    public double fromSi(double si) {
        return (si - offset) / factor;
    }

    boolean isWritten(String text) {
        return symbol.equals(text) || alsoWritten.contains(text);
    }

    boolean isWrittenLoosely(String lowerCase) {
        return symbol.toLowerCase(Locale.ROOT).equals(lowerCase)
                || alsoWritten.stream().anyMatch(w -> w.toLowerCase(Locale.ROOT).equals(lowerCase));
    }
}
