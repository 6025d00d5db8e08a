package io.enthalpa.server.problem;

/** A command that cannot be carried out: one plain sentence with the way out. */
public final class StartFault extends RuntimeException {
    public StartFault(String sentence) {
        super(sentence);
    }
}
