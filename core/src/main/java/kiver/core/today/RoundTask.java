package kiver.core.today;

/**
 * One piece of work at a stop of the round.
 *
 * @param kind what is to be done
 * @param urgency how pressing it is
 * @param why now
 */
public record RoundTask(TaskKind kind, Urgency urgency, WhyNow why) {}
