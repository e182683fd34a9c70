package kiver.core.care;

/** When seedlings are fed: practitioners differ, and each way works with the mix that goes with it. */
public enum FeedSchool {
    /** From the day on which the mix has no more to give, weakly, once a week. */
    BY_RESERVE,
    /** From emergence, weakly, with every second watering. */
    FROM_EMERGENCE,
    /** Once, a week before they are planted. */
    BEFORE_PLANTING,
    /** Never: the mix is rich enough. */
    NEVER
}
