package io.enthalpa.server.builds;

import io.enthalpa.server.builds.BuildStore.Head;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A build in the list.
 *
 * @param putAwayAt  null when it is on the table
 * @param unreadable why its newest version cannot be read; null when it can
 */
record BuildCard(
        long id,
        UUID uid,
        String name,
        String summary,
        int revision,
        String change,
        Instant changedAt,
        @Nullable Instant putAwayAt,
        @Nullable String unreadable) {
    static BuildCard of(Head head, @Nullable String unreadable) {
        return new BuildCard(
                head.id(),
                head.uid(),
                head.name(),
                head.summary(),
                head.revision().number(),
                head.revision().change(),
                head.revision().createdAt(),
                head.putAwayAt(),
                unreadable);
    }
}
