package io.enthalpa.formats.document;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/** The word that tells an object from others that may stand in its place: the component that holds it, and the words it may be. */
@Retention(RetentionPolicy.RUNTIME)
@Target(ElementType.RECORD_COMPONENT)
@interface Kind {
    /** Left out where the component's type has words of its own. */
    String[] value() default {};
}
