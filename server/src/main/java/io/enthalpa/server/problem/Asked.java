package io.enthalpa.server.problem;

import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;

/** Parts that a request must have: what is missing is refused by its name. */
public final class Asked {
    private Asked() {}

    /** @return the build file in the request */
    public static JsonNode document(@Nullable JsonNode document) {
        if (document == null || !document.isObject()) {
            throw missing("document", "a whole build file");
        }
        return document;
    }

    public static String text(@Nullable String text, String name) {
        if (text == null) {
            throw missing(name, "a text in quotes");
        }
        return text;
    }

    /** @return a number that was sent and is one */
    public static double number(@Nullable Double number, String name) {
        if (number == null || !Double.isFinite(number)) {
            throw missing(name, "a number");
        }
        return number;
    }

    /** @return the number in an If-Match header */
    public static int revision(String etag) {
        try {
            return Integer.parseInt(etag.replace("\"", "").strip());
        } catch (NumberFormatException e) {
            throw EnthalpaFault.of(
                    FaultKind.MALFORMED,
                    "If-Match",
                    "revision",
                    "\"" + etag + "\"",
                    "the number of a revision in quotes",
                    "");
        }
    }

    private static EnthalpaFault missing(String name, String expected) {
        return EnthalpaFault.of(FaultKind.MALFORMED, "/" + name, name, "missing", expected, "");
    }
}
