package io.enthalpa.server.problem;

/** Something about the disk kept an edit from being written, or a build from being read. Nothing was changed by it. */
public final class StoreFault extends RuntimeException {
    /** What is the matter. */
    public enum Kind {
        FULL,
        READ_ONLY,
        GONE,
        FAILING,
        DAMAGED
    }

    private final Kind kind;

    public StoreFault(Kind kind, String sentence) {
        super(sentence);
        this.kind = kind;
    }

    public StoreFault(Kind kind, String sentence, Throwable cause) {
        super(sentence, cause);
        this.kind = kind;
    }

    public Kind kind() {
        return kind;
    }
}
