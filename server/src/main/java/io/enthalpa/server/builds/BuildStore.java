package io.enthalpa.server.builds;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;

/** Builds as append-only revisions. A revision is never changed or removed; the head of a build moves. */
interface BuildStore {

    /** @param parent revision it was made from; empty for the first */
    record Revision(long build, int number, OptionalInt parent, String change, String document, Instant createdAt) {
    }

    /** @return id of the new build, whose first revision is number 1 */
    long create(String document, String change, Instant now);

    /** @return the newest state of every build, last changed first */
    List<Revision> heads();

    Optional<Revision> head(long build);

    /** @return every revision, newest first */
    List<Revision> history(long build);

    /** @return the youngest revision made from this one */
    Optional<Revision> youngestChild(long build, int number);

    /**
     * Appends a revision and moves the head to it.
     *
     * @return its number; empty when the head is no longer {@code expected}, in which case nothing was written
     */
    OptionalInt append(long build, int expected, String document, String change, Instant now);

    /** @return false when the head is no longer {@code expected}, in which case nothing was written */
    boolean moveHead(long build, int expected, int to);
}
