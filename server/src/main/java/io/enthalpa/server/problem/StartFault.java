package io.enthalpa.server.problem;

import org.jspecify.annotations.Nullable;

/** Why the program cannot start or a command cannot be done: one plain sentence with the way out. */
public final class StartFault extends RuntimeException {
    public StartFault(String sentence) {
        super(sentence);
    }

    public StartFault(String sentence, @Nullable Throwable cause) {
        super(sentence, cause);
    }
}
