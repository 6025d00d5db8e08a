package io.enthalpa.formats;

import io.enthalpa.formats.document.BuildDocument;
import java.util.HashSet;
import java.util.Set;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Every row of a list in a build file (piece, bend, layer, duty row and so on) has an {@code id} that is its own among its neighbours and
 * stays with it while rows come and go around it: an edit names the row it changes by it. An option's identity is its letter. A file
 * need not have them; what is missing is given out in order, so that two readers of one file give the same.
 */
final class RowIdentities {
    static final String KEY = "id";

    private RowIdentities() {}

    /** Gives rows the identities they have in another tree of the same build, and those without one an identity of their own. */
    static void carry(JsonNode from, JsonNode to) {
        if (to instanceof ObjectNode object) {
            object.properties().forEach(e -> carry(from.path(e.getKey()), e.getValue()));
        } else if (to instanceof ArrayNode rows) {
            rows(from, rows);
        }
    }

    private static void rows(JsonNode from, ArrayNode rows) {
        Set<String> taken = new HashSet<>();
        boolean same = from.size() == rows.size();
        String[] ids = new String[rows.size()];
        for (int i = 0; i < rows.size(); i++) {
            JsonNode id = from.path(i).path(KEY);
            if (same && BuildDocument.isIdentity(id) && taken.add(id.stringValue())) {
                ids[i] = id.stringValue();
            }
        }
        int next = 1;
        for (int i = 0; i < rows.size(); i++) {
            carry(same ? from.path(i) : rows.get(i), rows.get(i));
            if (rows.get(i) instanceof ObjectNode row && !row.has("letter")) {
                while (ids[i] == null) {
                    String free = "r" + next++;
                    ids[i] = taken.add(free) ? free : null;
                }
                row.put(KEY, ids[i]);
            }
        }
    }
}
