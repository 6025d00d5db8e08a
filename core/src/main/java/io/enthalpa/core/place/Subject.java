package io.enthalpa.core.place;

/**
 * What a result, a note, a refusal or a change is about. Files and pages have their own names for it, made where files are known.
 */
public sealed interface Subject
        permits Subject.Whole, Spot, Subject.Loop, Subject.LoopPiece, Subject.Way, Subject.Layer {
    /** What a build has one of. */
    enum Whole implements Subject {
        CLIMATE,
        ENGINE,
        TARGETS,
        /** The operating point of the charge line. */
        FULL_LOAD,
        GEARING,
        BAY,
        /** The charge's whole way from filter to plenum. */
        PATH,
        DUTY,
        OPTIONS,
        /** The option asked about, where it is no piece of it. */
        OPTION
    }

    /**
     * The water side of a core.
     *
     * @param core where its core stands
     */
    record Loop(Spot core) implements Subject {}

    /**
     * A piece of a water loop.
     *
     * @param core  where the loop's core stands
     * @param piece its number in the loop, from 0
     */
    record LoopPiece(Spot core, int piece) implements Subject {}

    /**
     * A way of the cooling air.
     *
     * @param way its number in the option, from 0
     */
    record Way(int way) implements Subject {}

    /**
     * What stands in a way of the cooling air.
     *
     * @param layer its number from the front, from 0
     */
    record Layer(int way, int layer) implements Subject {}
}
