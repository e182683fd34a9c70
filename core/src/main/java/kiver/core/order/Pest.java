package kiver.core.order;

/** A pest that is about for a span of the year and that a planting can dodge. */
public enum Pest {
    CABBAGE_ROOT_FLY,
    FLEA_BEETLE,
    CARROT_FLY,
    CELERY_FLY,
    LEEK_MOTH,
    SQUASH_BORER,
    BEAN_FLY
}
