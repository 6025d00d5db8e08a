package io.enthalpa.server.problem;

import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import io.enthalpa.formats.document.Pointers;
import org.jspecify.annotations.Nullable;

/**
 * A refusal in parts.
 *
 * @param field    JSON pointer into the document, or a plain name
 * @param sentence the whole refusal
 */
public record FaultView(
        FaultKind kind,
        String field,
        String label,
        String value,
        String allowed,
        @Nullable String remedy,
        String sentence) {
    public static FaultView of(EnthalpaFault fault) {
        return new FaultView(
                fault.kind(),
                Pointers.field(fault),
                fault.label(),
                fault.value(),
                fault.allowed(),
                fault.remedy().orElse(null),
                fault.sentence());
    }
}
