package io.enthalpa.server.builds;

import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;

/**
 * A build as kept.
 *
 * @param uid       the same in every copy of the build, however it travelled
 * @param revision  number of the revision shown; send it back as If-Match
 * @param change    what made this revision, in the user's words
 * @param undo      what undo would take back; null at the first revision
 * @param redo      what redo would bring again; null when there is nothing
 * @param document  the build file
 */
public record BuildState(
        long id,
        UUID uid,
        int revision,
        String change,
        Instant changedAt,
        @Nullable String undo,
        @Nullable String redo,
        JsonNode document) {}
