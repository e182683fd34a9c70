package kiver.server.question;

import java.util.List;

/**
 * What was understood of a question.
 *
 * @param kind what is asked
 * @param lines what is asked for, in the order in which it was said; one, with little in it, where only a change was said
 * @param adds whether it is wanted besides what was asked before
 * @param notUnderstood words that meant nothing, with their places in the text
 */
record Question(Kind kind, List<Asked> lines, boolean adds, List<Spoken.Word> notUnderstood) {

    /** What a question is after. */
    enum Kind {
        /** Could so many plants be had by a day? */
        PROMISE,
        /** What can still be sown? */
        STILL_TO_SOW
    }

    Question {
        lines = List.copyOf(lines);
        notUnderstood = List.copyOf(notUnderstood);
    }

    /** Whether it only changes what was asked before: nothing new is named, or no number and no day is. */
    boolean isFollowUp() {
        Asked only = lines.get(0);
        return adds
                || (lines.size() == 1
                        && (only.varieties().isEmpty()
                                || (only.amount().isEmpty() && only.day().isEmpty())));
    }
}
