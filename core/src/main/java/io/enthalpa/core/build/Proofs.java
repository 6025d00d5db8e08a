package io.enthalpa.core.build;

import io.enthalpa.core.leak.LeakRecord;
import java.util.List;

/**
 * What was tried on the car itself and written down.
 *
 * @param leakTests in the order they were made
 * @param changes   in the order they were made
 */
public record Proofs(List<LeakRecord> leakTests, List<MadeChange> changes) {
    public static final Proofs NONE = new Proofs(List.of(), List.of());

    public Proofs {
        leakTests = List.copyOf(leakTests);
        changes = List.copyOf(changes);
    }
}
