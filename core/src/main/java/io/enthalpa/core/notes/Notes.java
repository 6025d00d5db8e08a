package io.enthalpa.core.notes;

import io.enthalpa.core.steady.ChargeSystem;
import io.enthalpa.core.steady.SteadyResult;
import java.util.ArrayList;
import java.util.List;

/** What a user should know about a steady answer. */
public final class Notes {
    private Notes() {}

    /** @return in the order of the path, then water, then cooling air */
    public static List<Note> about(ChargeSystem system, SteadyResult result) {
        List<Note> notes = new ArrayList<>();
        PathNotes.about(notes, system, result);
        ColdNotes.about(notes, result, system.path().ambient());
        return notes;
    }
}
