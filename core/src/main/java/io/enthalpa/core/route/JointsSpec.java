package io.enthalpa.core.route;

import java.util.ArrayList;
import java.util.List;

/**
 * How the pipes of an option are joined.
 *
 * @param usual  all that are not said to be otherwise
 * @param others those that are
 */
public record JointsSpec(Joining usual, List<Other> others) {
    public static final JointsSpec USUAL = new JointsSpec(Joining.USUAL, List.of());

    /** End of a pipe, in the way of the flow. */
    public enum End {
        START,
        END
    }

    /**
     * @param of name of the pipe; of two pipes that are joined, the second with its start
     */
    public record Other(String of, End end, Joining joining) {
        boolean is(String pipe, End at) {
            return of.equals(pipe) && end == at;
        }
    }

    public JointsSpec {
        others = List.copyOf(others);
    }

    public Joining at(String pipe, End end) {
        return others.stream()
                .filter(o -> o.is(pipe, end))
                .map(Other::joining)
                .findFirst()
                .orElse(usual);
    }

    /** @return all made of one kind */
    public JointsSpec all(Coupling coupling) {
        return new JointsSpec(usual.as(coupling), List.of());
    }

    /** @return with one that is otherwise */
    public JointsSpec with(String pipe, End end, Joining joining) {
        List<Other> all = new ArrayList<>(others);
        all.removeIf(o -> o.is(pipe, end));
        if (!joining.equals(usual)) {
            all.add(new Other(pipe, end, joining));
        }
        return new JointsSpec(usual, all);
    }
}
