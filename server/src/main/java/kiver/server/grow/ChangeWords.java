package kiver.server.grow;

import java.util.Locale;
import java.util.function.Function;
import java.util.function.LongFunction;
import java.util.stream.Collectors;
import kiver.core.batch.BatchChange;
import kiver.core.place.PlaceId;
import kiver.core.tray.TrayId;

/** Tells recorded changes in words. */
record ChangeWords(
        Function<PlaceId, String> place, Function<TrayId, String> tray, LongFunction<String> lot) {

    String of(BatchChange change) {
        if (change instanceof BatchChange.Sown sown) {
            return "Sown " + tray.apply(sown.run().tray()) + ", cells " + sown.run().first() + " to "
                    + sown.run().last() + ", " + sown.seedsPerCell() + " a cell, lot " + lot.apply(sown.lot()) + ", in "
                    + sown.medium() + "; put in " + place.apply(sown.place());
        }
        if (change instanceof BatchChange.Counted counted) {
            long up = counted.seedlings().values().stream().filter(count -> count > 0).count() + counted.somethingUp().size();
            int cells = counted.seedlings().size() + counted.somethingUp().size();
            return "Counted " + cells + (cells == 1 ? " cell of " : " cells of ") + tray.apply(counted.tray()) + ", " + up
                    + " with something up" + (counted.complete() ? "; last look, the rest is given up" : "");
        }
        if (change instanceof BatchChange.Lost lost) {
            return "Lost " + lost.cells().size() + " in " + tray.apply(lost.tray()) + ": " + words(lost.reason().name());
        }
        if (change instanceof BatchChange.PottedOn potted) {
            return "Potted on " + potted.cells().size() + " from " + tray.apply(potted.from()) + " into "
                    + tray.apply(potted.into().tray());
        }
        if (change instanceof BatchChange.Moved moved) {
            return "Moved " + (moved.trays().isEmpty() ? "" : moved.trays().stream().map(tray).collect(Collectors.joining(", ")) + " ")
                    + "to " + place.apply(moved.place());
        }
        if (change instanceof BatchChange.HardeningStarted started) {
            return "Hardening begun in " + place.apply(started.place()) + ", " + started.programmeDays() + " days";
        }
        if (change instanceof BatchChange.HardenedForDay day) {
            return "Outside for " + day.hours() + (day.hours() == 1 ? " hour" : " hours");
        }
        if (change instanceof BatchChange.HardeningEnded) {
            return "Hardened";
        }
        if (change instanceof BatchChange.Released released) {
            return "Released " + released.cells().size() + " from " + tray.apply(released.tray()) + " with note "
                    + released.release();
        }
        if (change instanceof BatchChange.LeftUnsown left) {
            return "Left unsown: the rest of " + tray.apply(left.tray());
        }
        BatchChange.Corrected correction = (BatchChange.Corrected) change;
        return "Undid entry " + correction.sequence() + (correction.reason().isEmpty() ? "" : ": " + correction.reason());
    }

    private static String words(String name) {
        return name.toLowerCase(Locale.ROOT).replace('_', ' ');
    }
}
