package io.enthalpa.server.answers;

import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import tools.jackson.databind.JsonNode;

/** Where an option stands in a document that has been read once already. */
final class OptionIndex {
    private OptionIndex() {}

    /** @return the refusal of a place at which nothing of that kind stands */
    static EnthalpaFault noSuch(String what, String place) {
        String told = place.length() > 60 ? place.substring(0, 60) + "..." : place;
        return EnthalpaFault.of(
                FaultKind.MALFORMED,
                "/place",
                "place",
                "\"" + told + "\"",
                "the pointer of a " + what + " within the option, as in /path/3",
                "");
    }

    /** @return its index, -1 when there is none of that letter */
    static int of(JsonNode document, String letter) {
        JsonNode options = document.path("options");
        for (int i = 0; i < options.size(); i++) {
            if (letter.equals(options.get(i).path("letter").asString(""))) {
                return i;
            }
        }
        return -1;
    }
}
