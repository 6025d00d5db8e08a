package io.enthalpa.formats;

import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import java.util.List;
import tools.jackson.databind.node.ObjectNode;

/**
 * Something that can be bought or made and put into a path.
 *
 * @param kind    core, pipe, bend, joint, reducer or filter
 * @param name    as a buyer would call it, "bar-and-plate 500 x 250 x 76"
 * @param note    one line
 * @param price   in the reader's own currency, 0 or more
 * @param mass    kg; of a pipe for each metre
 * @param figures its numbers and words as in a build file
 */
public record CatalogueItem(String kind, String name, String note, double price, double mass, ObjectNode figures) {
    /** Kinds in the order they are offered. */
    public static final List<String> KINDS = List.of("core", "pipe", "bend", "joint", "reducer", "filter");

    private static final double MOST_PRICE = 1e6;
    private static final double MOST_MASS = 1000;
    private static final int LONGEST = 120;

    /** @throws EnthalpaFault when a number is missing or out of range; the figures are read as the piece they describe */
    public CatalogueItem {
        if (!KINDS.contains(kind)) {
            throw refusal("kind", "\"" + kind + "\"", "one of " + String.join(", ", KINDS));
        }
        if (name.isBlank() || name.length() > LONGEST) {
            throw refusal(
                    "name",
                    name.isBlank() ? "empty" : name.length() + " characters",
                    "1 to " + LONGEST + " characters");
        }
        if (note.length() > LONGEST) {
            throw refusal("note", note.length() + " characters", "at most " + LONGEST);
        }
        range("price", price, MOST_PRICE);
        range("mass", mass, MOST_MASS);
        CatalogueCheck.check(kind, name, figures);
    }

    private static void range(String what, double value, double most) {
        if (!(value >= 0 && value <= most)) {
            throw EnthalpaFault.of(
                    FaultKind.OUT_OF_RANGE, "/" + what, what, String.valueOf(value), "0 and %.0f".formatted(most), "");
        }
    }

    private static EnthalpaFault refusal(String what, String found, String expected) {
        return EnthalpaFault.of(FaultKind.MALFORMED, "/" + what, what, found, expected, "");
    }
}
