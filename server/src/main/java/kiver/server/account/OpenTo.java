package kiver.server.account;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/** Who may call an operation. Each says it; one that does not is open to nobody. */
@Target(ElementType.METHOD)
@Retention(RetentionPolicy.RUNTIME)
public @interface OpenTo {

    Callers value();

    /** Those who may call; each includes those after it. */
    enum Callers {
        /** Signed in or not; what is shown instead, such as a token, is looked at by the operation. */
        ANYBODY,
        /** Growers, too. Whose orders a grower sees is decided where orders are read. */
        WHOEVER_IS_SIGNED_IN,
        /** The propagator and bench hands. */
        THE_NURSERY,
        PROPAGATOR
    }
}
