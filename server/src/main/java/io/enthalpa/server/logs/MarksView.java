package io.enthalpa.server.logs;

import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import io.enthalpa.core.telemetry.Marks;
import java.util.List;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;

/**
 * What a reader put right in a log.
 *
 * @param moved       borders between parts, in order of being moved
 * @param startLine_s a moment at which the start line was passed; null where nobody said
 */
record MarksView(@Nullable List<BorderView> moved, @Nullable Double startLine_s) {
    static final MarksView NONE = new MarksView(List.of(), null);
    private static final int MOST = 500;

    /** A border. @param was_s where it was found @param is_s where it belongs */
    record BorderView(double was_s, double is_s) {}

    Marks core() {
        List<BorderView> all = moved == null ? List.of() : moved;
        if (all.size() > MOST) {
            throw EnthalpaFault.of(
                    FaultKind.CONTRADICTION,
                    "moved",
                    "borders that were moved",
                    String.valueOf(all.size()),
                    "at most " + MOST,
                    "Forget them and begin anew.");
        }
        return new Marks(
                all.stream().map(m -> new Marks.Moved(m.was_s(), m.is_s())).toList(),
                startLine_s == null ? OptionalDouble.empty() : OptionalDouble.of(startLine_s));
    }
}
