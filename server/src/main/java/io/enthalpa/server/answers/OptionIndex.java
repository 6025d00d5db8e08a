package io.enthalpa.server.answers;

import tools.jackson.databind.JsonNode;

/** Where an option stands in a document that has been read once already. */
final class OptionIndex {
    private OptionIndex() {
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
