package kiver.core.plan;

/** Why seed cannot be sown in place. */
public sealed interface Hindrance {

    /** There is none of it in the store. */
    record NoSeedInStore() implements Hindrance {}

    /** On no day that can be looked at is the ground warm and safe enough. */
    record GroundNeverFit() implements Hindrance {}

    /** So many seeds are needed and fewer are free. */
    record TooFewSeeds(int needed, int left) implements Hindrance {}
}
