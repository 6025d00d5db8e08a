package io.enthalpa.formats.document;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/**
 * A number of the build file: what it is called, its allowed range, a sensible default and where that comes from, all in the unit that the
 * end of its key tells ({@code loss_kPa}). Stands on a record's component, or on the method of an interface that several records share.
 */
@Retention(RetentionPolicy.RUNTIME)
@Target({ElementType.RECORD_COMPONENT, ElementType.METHOD})
public @interface Figure {
    String label();

    double min();

    double max();

    double usual();

    /** Where default and range come from, or where to look the number up. */
    String help();

    /** The part of the field catalogue it is found under, where that is not its record's. */
    String part() default "";
}
