package io.enthalpa.core.fit;

/**
 * A pipe that cannot be laid: what was typed of its length and bends counts.
 *
 * @param run    its number
 * @param why    it cannot
 * @param detail what its end would be on, or what is wrong with its corners; empty where there is no more to say
 */
public record Unlaid(int run, String of, Why why, String detail) {
    /** Why a pipe cannot be laid. */
    public enum Why {
        /** There is no such pipe. */
        GONE,
        /** What it begins on has no place, or it is not known where its port is. */
        NO_START,
        NO_END,
        /** It cannot be made so. */
        WRONG
    }
}
