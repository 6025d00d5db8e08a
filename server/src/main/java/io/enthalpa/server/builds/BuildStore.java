package io.enthalpa.server.builds;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * Builds as append-only revisions. A revision is never changed, only named; the head of a build moves. Labels and documents are kept
 * apart: what lists revisions reads no document.
 */
interface BuildStore {

    /**
     * A revision without its document.
     *
     * @param parent revision it was made from; empty for the first
     * @param change what made it, in the user's words
     * @param name   given by the user; null without
     */
    record Revision(
            long build,
            int number,
            OptionalInt parent,
            String change,
            @Nullable String name,
            Instant createdAt) {}

    /**
     * What is known of a build without reading its document.
     *
     * @param uid       the same in every copy of the build, however it travelled
     * @param putAwayAt null when it is on the table
     */
    record Head(
            long id,
            UUID uid,
            String name,
            String summary,
            @Nullable Instant putAwayAt,
            Revision revision) {}

    /**
     * A document to be kept.
     *
     * @param name    of the build in it
     * @param edit    the edit's own identity, so that one sent twice is kept once; null where nobody sends twice
     */
    record Draft(
            String document,
            String name,
            String summary,
            String change,
            @Nullable String edit,
            Instant at) {}

    /** @return id of the new build, whose first revision is number 1; that of the build there is when one of this uid was made before */
    long create(UUID uid, Draft draft);

    /** Makes several builds in one step, all or none. */
    void createAll(List<Draft> drafts);

    /** @return every build, last changed first */
    List<Head> heads();

    Optional<Head> head(long build);

    Optional<Revision> revision(long build, int number);

    /**
     * @return the document of a revision
     * @throws io.enthalpa.server.problem.StoreFault when it is damaged
     */
    String document(long build, int number);

    /** @return revisions below a number, newest first, at most so many */
    List<Revision> history(long build, int below, int most);

    /** @return the youngest revision made from this one */
    Optional<Revision> youngestChild(long build, int number);

    /** @return all revisions made from this one */
    List<Revision> children(long build, int number);

    /** @return the revision that an edit of this identity made */
    OptionalInt madeBy(long build, String edit);

    /**
     * Appends a revision and moves the head to it.
     *
     * @return its number; empty when the head is no longer {@code expected}, in which case nothing was written
     */
    OptionalInt append(long build, int expected, Draft draft);

    /**
     * Puts a revision in that was made from an earlier one elsewhere; the head stays where it is.
     *
     * @return its number
     */
    int branch(long build, int parent, Draft draft);

    /** @return false when the head is no longer {@code expected}, in which case nothing was written */
    boolean moveHead(long build, int expected, int to, String name, String summary);

    /** @param name null to take it away */
    void name(long build, int number, @Nullable String name);

    /** @param at null to bring it back */
    void putAway(long build, @Nullable Instant at);

    /** Removes a build with all its revisions, for good. */
    void delete(long build);
}
