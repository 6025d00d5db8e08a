package io.enthalpa.formats.document;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/** What a reader calls an object inside another one, or each row of a list. */
@Retention(RetentionPolicy.RUNTIME)
@Target(ElementType.RECORD_COMPONENT)
@interface Called {
    String value();

    /** Said without what it stands in: "tank", not "sea core, tank". */
    boolean alone() default false;

    /** Rows at most, of a list. */
    int most() default 0;
}
