package io.enthalpa.server.command;

import io.enthalpa.server.problem.StartFault;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Words of a command line: {@code --name value}, flags and the rest. */
final class Arguments {
    private final Map<String, String> values = new HashMap<>();
    private final List<String> rest = new ArrayList<>();

    /**
     * @param withValue names that take a value, dashes included
     * @param flags     names that stand alone
     */
    Arguments(String[] args, Set<String> withValue, Set<String> flags) {
        for (int i = 0; i < args.length; i++) {
            String word = args[i];
            if (withValue.contains(word)) {
                if (i + 1 == args.length) {
                    throw new StartFault(word + " wants a value after it.");
                }
                values.put(word, args[++i]);
            } else if (flags.contains(word)) {
                values.put(word, "");
            } else if (word.startsWith("--")) {
                throw new StartFault(word + " is not known here. See enthalpa help.");
            } else {
                rest.add(word);
            }
        }
    }

    Optional<String> value(String name) {
        return Optional.ofNullable(values.get(name));
    }

    boolean has(String name) {
        return values.containsKey(name);
    }

    List<String> rest() {
        return rest;
    }

    /** @return the port asked for, checked */
    Optional<Integer> port() {
        return value("--port").map(text -> {
            try {
                int port = Integer.parseInt(text);
                if (port >= 0 && port <= 65535) {
                    return port;
                }
            } catch (NumberFormatException e) {
                // refused below
            }
            throw new StartFault("--port is " + text + "; it must be a number from 0 (any free one) to 65535.");
        });
    }
}
