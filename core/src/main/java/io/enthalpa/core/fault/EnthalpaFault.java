package io.enthalpa.core.fault;

import io.enthalpa.core.place.Subject;
import java.util.Optional;

/**
 * A refusal: the request was understood and cannot be answered as it stands.
 * Carries its parts separately so that the edge (screen, command line, REST) can name the
 * field, show the value and the allowed range in the reader's own units, and offer the way out.
 */
public final class EnthalpaFault extends RuntimeException {
    private final FaultKind kind;
    private final Optional<Subject> subject;
    private final String field;
    private final String label;
    private final String value;
    private final String allowed;
    private final String remedy;

    private EnthalpaFault(
            FaultKind kind,
            Optional<Subject> subject,
            String field,
            String label,
            String value,
            String allowed,
            String remedy) {
        super(kind.template().formatted(label, value, allowed));
        this.kind = kind;
        this.subject = subject;
        this.field = field;
        this.label = label;
        this.value = value;
        this.allowed = allowed;
        this.remedy = remedy;
    }

    /**
     * @param kind    what kind of refusal
     * @param field   what is refused, by the names of core's records from what holds it inwards, "tank/ice"; or a plain name
     * @param label   the field as a reader knows it, "cold pipe bore"
     * @param value   the refused value as text with its unit
     * @param allowed the allowed range as text with its unit
     * @param remedy  what to do, one sentence; empty when the range says it all
     * @return the refusal, to be thrown by the caller
     */
    public static EnthalpaFault of(
            FaultKind kind, String field, String label, String value, String allowed, String remedy) {
        return new EnthalpaFault(kind, Optional.empty(), field, label, value, allowed, remedy);
    }

    /**
     * As {@link #of(FaultKind, String, String, String, String, String)}, of something of the build.
     *
     * @param subject what holds the field
     * @param field   by the names of core's records, "rows/2/time"; empty for the subject itself
     */
    public static EnthalpaFault of(
            FaultKind kind, Subject subject, String field, String label, String value, String allowed, String remedy) {
        return new EnthalpaFault(kind, Optional.of(subject), field, label, value, allowed, remedy);
    }

    /**
     * Refuses a value outside [min, max], infinities and NaN included.
     *
     * @return the value, when it lies inside
     */
    public static double within(String label, double value, double min, double max, String unit) {
        if (value >= min && value <= max) {
            return value;
        }
        throw of(
                FaultKind.OUT_OF_RANGE,
                label,
                label,
                plain(value) + " " + unit,
                plain(min) + " and " + plain(max) + " " + unit,
                "");
    }

    private static String plain(double value) {
        return Double.isFinite(value) && value == Math.rint(value) && Math.abs(value) < 1e9
                ? Long.toString((long) value)
                : Double.toString(value);
    }

    /** @return the same refusal, naming the place in the document the reader edits */
    public EnthalpaFault at(String pointer, String readerLabel) {
        return new EnthalpaFault(kind, Optional.empty(), pointer, readerLabel, value, allowed, remedy);
    }

    /** @return the same refusal, saying what of an option it is about; its field is told from there */
    public EnthalpaFault about(Subject of, String below, String readerLabel) {
        return new EnthalpaFault(kind, Optional.of(of), below, readerLabel, value, allowed, remedy);
    }

    /** @return what of an option it is about; empty when the field says all */
    public Optional<Subject> subject() {
        return subject;
    }

    public FaultKind kind() {
        return kind;
    }

    public String field() {
        return field;
    }

    public String label() {
        return label;
    }

    public String value() {
        return value;
    }

    public String allowed() {
        return allowed;
    }

    public Optional<String> remedy() {
        return remedy.isEmpty() ? Optional.empty() : Optional.of(remedy);
    }

    /** @return the whole refusal as the command line prints it */
    public String sentence() {
        return remedy.isEmpty() ? getMessage() : getMessage() + " " + remedy;
    }
}
