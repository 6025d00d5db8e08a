package io.enthalpa.core.fault;

/** What kind of refusal this is. The sentence is a template; the parts travel beside it. */
public enum FaultKind {
    /** A number lies outside the range in which the computation means anything. */
    OUT_OF_RANGE("%s is %s; it must lie between %s."),
    /** A value that the computation needs is not there. */
    MISSING("%1$s is missing; give a value between %3$s."),
    /** The text is not a number with a unit. */
    NOT_A_NUMBER("%s: \"%s\" is not a number with a unit; try %s."),
    /** The unit measures something else. */
    WRONG_UNIT("%s: \"%s\" does not measure this; use one of %s."),
    /** Two values contradict each other. */
    CONTRADICTION("%s is %s; it must be %s."),
    /** The blower cannot make the pressure that was asked for. */
    BLOWER_LIMIT("%s is %s; this blower gives at most %s."),
    /** No operating point satisfies the request. */
    NO_SOLUTION("%s is %s; no operating point exists: %s."),
    /** A file or document does not have the shape it should. */
    MALFORMED("%s: %s; expected %s.");

    private final String template;

    FaultKind(String template) {
        this.template = template;
    }

    /** @return a sentence template with three places: what, its value, the allowed range */
    public String template() {
        return template;
    }
}
