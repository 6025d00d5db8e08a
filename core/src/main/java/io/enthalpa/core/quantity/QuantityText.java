package io.enthalpa.core.quantity;

import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * Reads what people measured and typed: {@code 2 1/2 in}, {@code 63mm}, {@code 12 psi}, {@code 0,83 bar}, {@code 90F},
 * {@code 2-1/2"}. The browser reads the same grammar (web/src/quantity/read.ts); both are tested on
 * {@code quantity-cases.json}.
 */
public final class QuantityText {
    private static final Pattern GRAMMAR = Pattern.compile(
            "^\\s*(?<sign>[+\\-−]?)\\s*(?:(?<whole>\\d+)(?:\\s+|-))?(?:(?<num>\\d+)\\s*/\\s*(?<den>\\d+)|"
                    + "(?<dec>\\d+(?:[.,]\\d+)?(?:[eE][+\\-]?\\d+)?|[.,]\\d+))\\s*(?<unit>[^\\d\\s.,].*?)?\\s*$");

    private QuantityText() {}

    /**
     * @param label       the field's name, for a refusal
     * @param text        what was typed
     * @param quantity    what it must measure
     * @param defaultUnit the unit assumed when none was typed
     * @return the value in SI
     * @throws EnthalpaFault {@link FaultKind#NOT_A_NUMBER} or {@link FaultKind#WRONG_UNIT}
     */
    public static double read(String label, String text, Quantity quantity, Unit defaultUnit) {
        Matcher match = GRAMMAR.matcher(text);
        if (!match.matches() || match.group("whole") != null && match.group("num") == null) {
            throw notANumber(label, text, defaultUnit);
        }
        double value = match.group("num") == null
                ? Double.parseDouble(match.group("dec").replace(',', '.'))
                : fraction(match, label, text, defaultUnit);
        if (!match.group("sign").isEmpty() && !match.group("sign").equals("+")) {
            value = -value;
        }
        if (!Double.isFinite(value)) {
            throw notANumber(label, text, defaultUnit);
        }
        String unit = match.group("unit");
        return unit == null
                ? defaultUnit.toSi(value)
                : quantity.unit(unit)
                        .orElseThrow(() -> wrongUnit(label, unit, quantity))
                        .toSi(value);
    }

    private static double fraction(Matcher match, String label, String text, Unit defaultUnit) {
        double whole = match.group("whole") == null ? 0 : Double.parseDouble(match.group("whole"));
        double below = Double.parseDouble(match.group("den"));
        if (below == 0) {
            throw notANumber(label, text, defaultUnit);
        }
        return whole + Double.parseDouble(match.group("num")) / below;
    }

    private static EnthalpaFault notANumber(String label, String text, Unit unit) {
        return EnthalpaFault.of(
                FaultKind.NOT_A_NUMBER,
                label,
                label,
                text.strip(),
                ("12.5 " + unit.symbol()).strip() + " or " + ("2 1/2 " + unit.symbol()).strip(),
                "");
    }

    private static EnthalpaFault wrongUnit(String label, String unit, Quantity quantity) {
        return EnthalpaFault.of(
                FaultKind.WRONG_UNIT,
                label,
                label,
                unit.strip(),
                quantity.units().stream().map(Unit::symbol).collect(Collectors.joining(", ")),
                "");
    }
}
