package io.enthalpa.server.problem;

import org.jspecify.annotations.Nullable;

/** A change was made against a revision that is no longer the newest. Carries both sides, so that nothing is lost. */
public final class StaleRevisionException extends RuntimeException {
    private final transient Object theirs;
    private final transient @Nullable Object yours;

    /**
     * @param theirs the state kept now
     * @param yours  what was sent, unsaved
     */
    public StaleRevisionException(Object theirs, @Nullable Object yours) {
        this(
                "This build was changed in another window. Nothing was overwritten; both versions are in this answer.",
                theirs,
                yours);
    }

    /** @param sentence what happened */
    public StaleRevisionException(String sentence, Object theirs, @Nullable Object yours) {
        super(sentence);
        this.theirs = theirs;
        this.yours = yours;
    }

    public Object theirs() {
        return theirs;
    }

    public @Nullable Object yours() {
        return yours;
    }
}
