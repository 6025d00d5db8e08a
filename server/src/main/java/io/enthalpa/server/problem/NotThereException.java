package io.enthalpa.server.problem;

/** Something asked for by its address is not there. */
public final class NotThereException extends RuntimeException {
    public NotThereException(String what) {
        super(what);
    }
}
