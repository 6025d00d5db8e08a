package io.enthalpa.server.answers;

import io.enthalpa.formats.document.OptionEdits;
import java.util.List;

/**
 * @param pointer within the option, "/path/4/bore_mm"
 * @param value   to write there, a word, a number or a list of pieces
 */
record EditView(String pointer, Object value) {
    static List<EditView> of(OptionEdits edits) {
        return edits.edits().stream()
                .map(edit -> new EditView(edit.pointer(), edit.value()))
                .toList();
    }
}
