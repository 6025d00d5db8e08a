package io.enthalpa.core.fault;

/** What a search does that has used up its rounds without coming to its tolerance: it refuses, and never answers with what it had by then. */
public final class Budget {
    private Budget() {}

    /**
     * @param what   that was looked for, "temperature of the air"
     * @param rounds that it was given
     * @return the refusal, to be thrown by the caller
     */
    public static EnthalpaFault spent(String what, int rounds) {
        return EnthalpaFault.of(
                FaultKind.NO_SOLUTION,
                what,
                what,
                "not found in %d rounds".formatted(rounds),
                "no value fits",
                "Look for a figure far from what is usual, and change it.");
    }
}
