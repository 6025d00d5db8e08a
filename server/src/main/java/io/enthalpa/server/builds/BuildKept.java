package io.enthalpa.server.builds;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** That a change is on the disk, and as which revision: {@link BuildState} without the document, which the sender has. */
public record BuildKept(
        int revision,
        String change,
        Instant changedAt,
        @Nullable String undo,
        @Nullable String redo) {}
