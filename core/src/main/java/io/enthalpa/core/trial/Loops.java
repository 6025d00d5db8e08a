package io.enthalpa.core.trial;

import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.waterloop.WaterLoopSpec;
import java.util.Optional;
import java.util.function.UnaryOperator;

/** Water loops with something changed. */
final class Loops {
    private Loops() {}

    /** @return empty when the change makes no loop: more ice than the tank holds */
    static Optional<WaterLoopSpec> made(WaterLoopSpec loop, UnaryOperator<WaterLoopSpec> change) {
        try {
            return Optional.of(change.apply(loop));
        } catch (EnthalpaFault noLoop) {
            return Optional.empty();
        }
    }
}
