package kiver.core.promise;

/** What is said on the telephone. */
public enum Answer {
    /** It can be promised. */
    YES,
    /** It can be promised under conditions. */
    YES_IF,
    /** It cannot be done. */
    NO
}
