package kiver.server.question;

import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.util.List;
import kiver.core.growth.DateSpread;
import kiver.core.promise.Answer;
import kiver.server.plan.Wish;
import kiver.server.promise.PlanView;
import kiver.server.wording.Said;

/**
 * How a question was understood, and what can be said to it.
 *
 * @param lines what is asked for, each with its answer as far as enough was said
 * @param adds whether it stands besides what was asked before
 * @param notUnderstood words that meant nothing, with their places in the text
 * @param stillToSow where that was asked: what can still be sown
 */
record Answered(
        List<AskedLine> lines,
        boolean adds,
        List<LostWord> notUnderstood,
        @Nullable StillToSowView stillToSow) {

    /**
     * Words that meant nothing.
     *
     * @param from place of the first letter in the text, from 0
     * @param to place after the last
     */
    record LostWord(String word, int from, int to) {}

    /** What a question may leave unsaid. */
    enum Missing {
        PLANTS,
        VARIETY,
        DAY
    }

    /**
     * One thing that is asked for.
     *
     * @param reading how it was read, for the person to check; missing while too much is unsaid or unsettled
     * @param missing what must still be said
     * @param choices of which one must be chosen, because each fits what was said
     * @param growerId whose the site is
     * @param plan the answer
     * @param refused why there is none, where this cannot be asked; the other lines have theirs
     */
    record AskedLine(
            @Nullable Reading reading,
            List<Missing> missing,
            List<Fitting> choices,
            @Nullable Long growerId,
            @Nullable PlanView plan,
            @Nullable Said refused) {

        static AskedLine unsettled(List<Missing> missing, List<Fitting> choices) {
            return new AskedLine(null, missing, choices, null, null, null);
        }

        static AskedLine answered(Reading reading, @Nullable Long growerId, PlanView plan) {
            return new AskedLine(reading, List.of(), List.of(), growerId, plan, null);
        }

        static AskedLine refused(@Nullable Reading reading, Said why) {
            return new AskedLine(reading, List.of(), List.of(), null, null, why);
        }
    }

    /**
     * A line as it was read, with what was not said filled in.
     *
     * @param wish that is answered
     * @param trays that were asked for; missing where plants were
     * @param lastDay of the days that were said; the wish is for the first of them that is a yes
     */
    record Reading(
            Wish wish,
            @Nullable Integer trays,
            String variety,
            String crop,
            String container,
            LocalDate firstDay,
            LocalDate lastDay,
            @Nullable String site,
            @Nullable String grower) {}

    /** What fits equally well. */
    enum FittingKind {
        VARIETY,
        CONTAINER,
        SITE
    }

    /**
     * One of several that fit.
     *
     * @param name of it
     * @param of what, for example a variety's crop or a site's grower; empty where the name says it
     * @param wish that it would be; missing while more must be said first
     * @param answer to that
     * @param chance of it, 0 to 1
     */
    record Fitting(
            FittingKind kind,
            String name,
            String of,
            @Nullable Wish wish,
            @Nullable Answer answer,
            @Nullable Double chance) {}

    /**
     * What can still be sown.
     *
     * @param sowDay on which
     * @param siteId for which; missing for wherever it may go
     * @param lots of which something would come, the most pressing first
     * @param nothingOf how many lots would give nothing now
     */
    record StillToSowView(
            LocalDate sowDay,
            @Nullable Long siteId,
            @Nullable String site,
            List<SowableLot> lots,
            int nothingOf) {}

    /**
     * A lot that can still be sown.
     *
     * @param code of the lot
     * @param seedsLeft that no plan waits for
     * @param container in which it is usually grown
     * @param goesOut the day on which plants could best go
     * @param lastDay on which it can be sown; missing where nothing ends its season
     * @param chance that plants are ready and not past their best then, 0 to 1
     * @param plants that the seed gives, 19 times in 20
     */
    record SowableLot(
            long lotId,
            String code,
            long varietyId,
            String variety,
            String crop,
            int seedsLeft,
            String container,
            DateSpread ready,
            LocalDate goesOut,
            @Nullable LocalDate lastDay,
            double chance,
            int plants) {}
}
