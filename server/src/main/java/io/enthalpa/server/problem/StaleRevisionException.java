package io.enthalpa.server.problem;

/** A change was made against a revision that is no longer the newest. Carries both sides, so that nothing is lost. */
public final class StaleRevisionException extends RuntimeException {
    private final transient Object theirs;
    private final transient Object yours;

    /**
     * @param theirs the state kept now
     * @param yours  what was sent, unsaved
     */
    public StaleRevisionException(Object theirs, Object yours) {
        super("This build was changed in another window. Nothing was overwritten; both versions are in this answer.");
        this.theirs = theirs;
        this.yours = yours;
    }

    public Object theirs() {
        return theirs;
    }

    public Object yours() {
        return yours;
    }
}
