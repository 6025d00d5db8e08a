package io.enthalpa.server.problem;

/** More is asked for than this machine does at a time; nothing was begun. */
public final class BusyException extends RuntimeException {
    public BusyException(String sentence) {
        super(sentence);
    }
}
