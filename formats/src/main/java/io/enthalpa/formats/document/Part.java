package io.enthalpa.formats.document;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/** An object of the build file. */
@Retention(RetentionPolicy.RUNTIME)
@Target(ElementType.TYPE)
@interface Part {
    /** Where its figures are found in the field catalogue, "core/card". */
    String value();

    /** What it is, in a few words. */
    String says() default "";

    /** Whether a reader knows it by its own name. */
    boolean named() default false;
}
