package kiver.server.today;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import kiver.core.today.TaskKind;
import kiver.core.today.WhyNow;

/** Says in growers' words why a piece of work is called for. */
final class TaskWords {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM", Locale.UK);

    private TaskWords() {}

    /** What is to be done with some plants, for example "Pot on Copper Bell". */
    static String doing(TaskKind kind, String plants) {
        return switch (kind) {
            case SOW -> "Sow " + plants;
            case LOOK_FOR_FROST -> "Look for frost losses in " + plants;
            case COUNT -> "Count " + plants;
            case DECIDE_ON_FAILING -> "Decide on " + plants;
            case MOVE_TO_GROW_ON -> "Move " + plants + " to grow on";
            case POT_ON -> "Pot on " + plants;
            case START_HARDENING -> "Begin hardening " + plants;
            case HARDEN -> "Harden " + plants;
            case END_HARDENING -> "End hardening " + plants;
            case RELEASE -> "Release " + plants;
            case CLEAR_SPARES -> "Clear spares of " + plants;
            case WATCH_DATE -> "Watch the date of " + plants;
        };
    }

    /**
     * The reason in one or two sentences.
     *
     * @param today the day of the round
     */
    static String of(WhyNow why, LocalDate today) {
        if (why instanceof WhyNow.ToBeSown sowing) {
            String planned = sowing.planned().isBefore(today)
                    ? "Was to be sown on " + DAY.format(sowing.planned()) + "." : "To be sown today.";
            return planned + sowing.lastUseful()
                    .map(last -> last.isBefore(today)
                            ? " The last safe day, " + DAY.format(last) + ", has passed."
                            : " Last safe day: " + DAY.format(last) + ".")
                    .orElse("");
        } else if (why instanceof WhyNow.PartSown part) {
            return "Part sown, " + counted(part.traysToGo(), "tray") + " to go.";
        } else if (why instanceof WhyNow.NightWasCold night) {
            return "The night fell to " + String.format(Locale.ROOT, "%.0f", night.minimum()).replace('-', '−')
                    + " °C where it stands. Look for losses and note them.";
        } else if (why instanceof WhyNow.Short left) {
            return "Short: " + left.alive() + " alive" + (left.moreMayCome() ? " so far" : "") + ", " + left.needed() + " needed. "
                    + left.resowBy().map(day -> "Resow by " + DAY.format(day) + ", or tell the grower.")
                            .orElse("A resowing would be late: offer fewer plants or a later day.");
        } else if (why instanceof WhyNow.DueToBeCounted due) {
            String expected = shouldBeUp(due.expected());
            return expected.substring(0, 1).toUpperCase(Locale.ROOT) + expected.substring(1)
                    + due.lastCounted().map(day -> "; counted last on " + DAY.format(day) + ".").orElse("; none counted yet.");
        } else if (why instanceof WhyNow.Late late) {
            return "Late: " + shouldBeUp(late.expected()) + ", " + late.counted() + " were counted.";
        } else if (why instanceof WhyNow.IsUp up) {
            return "Up: " + up.up() + " of " + up.sown() + " cells. Needs light and cooler air before it stretches.";
        } else if (why instanceof WhyNow.ReadyForPotting potting) {
            return "Has the leaves for it: " + counted(potting.plants(), "plant") + " into the "
                    + potting.container().toLowerCase(Locale.ROOT)
                    + ", before their roots circle. Look at the roots of a few first.";
        }
        return ofHardeningAndHandingOver(why, today);
    }

    private static String ofHardeningAndHandingOver(WhyNow why, LocalDate today) {
        if (why instanceof WhyNow.NeedsNoHardening) {
            return "Has its leaves and was raised cool: it can go out at once.";
        } else if (why instanceof WhyNow.HardeningIsDue due) {
            return "Has its leaves; hardening takes " + counted(due.days(), "day") + " and the plants are wanted on "
                    + DAY.format(due.target()) + ".";
        } else if (why instanceof WhyNow.HardeningIsDone done) {
            return done.days() == 1 ? "Its one day of hardening is done." : "All " + done.days() + " days of hardening are done.";
        } else if (why instanceof WhyNow.HardeningGoesOn day) {
            return "Day " + day.day() + " of " + day.ofDays() + ". " + switch (day.outside()) {
                case OUT -> "Out today.";
                case IN_AT_NIGHT -> "Out by day; bring in or cover for the night, it will be too cold.";
                case STAY_IN -> "Leave in or covered today; the weather would harm it.";
            };
        } else if (why instanceof WhyNow.IsWanted wanted) {
            return wanted.target().isBefore(today)
                    ? "Was wanted on " + DAY.format(wanted.target()) + "."
                    : "Wanted on " + DAY.format(wanted.target()) + "; water well before it goes.";
        } else if (why instanceof WhyNow.SparesAreKept spares) {
            return counted(spares.plants(), "spare") + ", kept since " + DAY.format(spares.since())
                    + ". Nobody has asked for them: clear the trays.";
        } else if (why instanceof WhyNow.PastItsBestTooSoon past) {
            return "Likely past its best from " + DAY.format(past.from()) + ", before it is wanted on "
                    + DAY.format(past.target()) + ". Hold it cooler or offer it earlier.";
        } else if (why instanceof WhyNow.NotReadyInTime missed) {
            return missed.ready().map(day -> "Likely ready on " + DAY.format(day)).orElse("Not likely ready this season")
                    + "; wanted on " + DAY.format(missed.target()) + ". Bring it on warmer or tell the grower.";
        }
        throw new IllegalStateException("There are no words for " + why + ".");
    }

    private static String shouldBeUp(long cells) {
        return cells == 1 ? "a first cell should be up" : "about " + cells + " cells should be up";
    }

    private static String counted(int number, String thing) {
        return number + " " + thing + (number == 1 ? "" : "s");
    }
}
