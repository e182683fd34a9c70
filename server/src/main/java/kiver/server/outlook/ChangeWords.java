package kiver.server.outlook;

import java.util.function.Function;
import kiver.core.batch.BatchChange;
import kiver.core.batch.LookedOver;
import kiver.core.batch.Tended;
import kiver.core.place.PlaceId;
import kiver.core.seed.LotId;
import kiver.core.tray.TrayId;
import kiver.server.wording.Said;

/** Tells recorded changes in words. */
record ChangeWords(Function<PlaceId, String> place, Function<TrayId, String> tray, Function<LotId, String> lot) {

    Said of(BatchChange change) {
        if (change instanceof BatchChange.Sown sown) {
            return Said.of(
                            "Sown {tray}, cells {first} to {last}, {seeds} a cell, lot {lot}, in {medium}; put in {place}")
                    .with("tray", tray.apply(sown.run().tray()))
                    .with("first", sown.run().first())
                    .with("last", sown.run().last())
                    .with("seeds", sown.seedsPerCell())
                    .with("lot", lot.apply(sown.lot()))
                    .with("medium", sown.medium())
                    .with("place", place.apply(sown.place()));
        }
        if (change instanceof BatchChange.BroughtIn arrived) {
            return Said.of("Taken in {plants, plural, one {# plant} other {# plants}} in {tray}, {lot}; put in {place}")
                    .with("plants", arrived.run().length())
                    .with("tray", tray.apply(arrived.run().tray()))
                    .with("lot", lot.apply(arrived.lot()))
                    .with("place", place.apply(arrived.place()));
        }
        if (change instanceof BatchChange.Counted counted) {
            long up = counted.seedlings().values().stream()
                            .filter(count -> count > 0)
                            .count()
                    + counted.somethingUp().size();
            int cells = counted.seedlings().size() + counted.somethingUp().size();
            return Said.of("Counted {cells, plural, one {# cell} other {# cells}} of {tray}, {up} with something up"
                            + "{complete, select, true {; last look, the rest is given up} other {}}")
                    .with("cells", cells)
                    .with("tray", tray.apply(counted.tray()))
                    .with("up", up)
                    .when("complete", counted.complete());
        }
        if (change instanceof BatchChange.Lost lost) {
            return Said.of("Lost {cells} in {tray}: {reason}")
                    .with("cells", lost.cells().size())
                    .with("tray", tray.apply(lost.tray()))
                    .with("reason", Said.of("loss." + lost.reason()));
        }
        if (change instanceof BatchChange.Mixed mixed) {
            return Said.of("Names in doubt: {cells} in {tray}; {doubt}")
                    .with("cells", mixed.cells().size())
                    .with("tray", tray.apply(mixed.tray()))
                    .with("doubt", Said.of("doubt." + mixed.doubt()));
        }
        if (change instanceof BatchChange.Recognised recognised) {
            return Said.of("Known again: {cells} in {tray}")
                    .with("cells", recognised.cells().size())
                    .with("tray", tray.apply(recognised.tray()));
        }
        if (change instanceof BatchChange.PottedOn potted) {
            return Said.of("Potted on {cells} from {from} into {into}")
                    .with("cells", potted.cells().size())
                    .with("from", tray.apply(potted.from()))
                    .with("into", tray.apply(potted.into().tray()));
        }
        if (change instanceof BatchChange.CellsMoved moved) {
            return moved.from().equals(moved.into())
                    ? Said.of("Moved together in {tray}: {cells, plural, one {# cell} other {# cells}}")
                            .with("cells", moved.cells().size())
                            .with("tray", tray.apply(moved.from()))
                    : Said.of("Moved over from {from} into {into}: {cells, plural, one {# cell} other {# cells}}")
                            .with("cells", moved.cells().size())
                            .with("from", tray.apply(moved.from()))
                            .with("into", tray.apply(moved.into()));
        }
        if (change instanceof BatchChange.Thinned thinned) {
            return Said.of("Thinned {cells, plural, one {# cell} other {# cells}} of {tray} to {left}")
                    .with("cells", thinned.cells().size())
                    .with("tray", tray.apply(thinned.tray()))
                    .with("left", thinned.left());
        }
        if (change instanceof BatchChange.PrickedOut pricked) {
            return Said.of(
                            "Pricked out {seedlings, plural, one {# double} other {# doubles}} from {from} into empty cells of {into}")
                    .with("seedlings", pricked.cells().size())
                    .with("from", tray.apply(pricked.from()))
                    .with("into", tray.apply(pricked.into()));
        }
        if (change instanceof BatchChange.Moved moved) {
            return moved.trays().isEmpty()
                    ? Said.of("Moved to {place}").with("place", place.apply(moved.place()))
                    : Said.of("Moved {trays} to {place}")
                            .with("trays", moved.trays().stream().map(tray).toList())
                            .with("place", place.apply(moved.place()));
        }
        if (change instanceof BatchChange.HardeningStarted started) {
            return Said.of("Hardening begun in {place}, {days, plural, one {# day} other {# days}}")
                    .with("place", place.apply(started.place()))
                    .with("days", started.programmeDays());
        }
        if (change instanceof BatchChange.HardenedForDay day) {
            return Said.of("Outside for {hours, plural, one {# hour} other {# hours}}")
                    .with("hours", day.hours());
        }
        if (change instanceof BatchChange.HardeningEnded) {
            return Said.of("Hardened");
        }
        if (change instanceof BatchChange.Released released) {
            return Said.of("Released {cells} from {tray} with note {note}{mixed, select, true {, as mixed} other {}}")
                    .with("cells", released.cells().size())
                    .with("tray", tray.apply(released.tray()))
                    .with("note", released.release())
                    .when("mixed", released.asMixed());
        }
        if (change instanceof BatchChange.LeftUnsown left) {
            return Said.of("Left unsown: the rest of {tray}").with("tray", tray.apply(left.tray()));
        }
        if (change instanceof BatchChange.Noted noted) {
            return Said.of("Noted: {text}").with("text", noted.text());
        }
        if (change instanceof LookedOver look) {
            return Said.of(
                            "Looked closely: {plants, plural, =0 {} one {{leaves} true leaves on # plant} other {{leaves} true leaves on average of # plants}}{both, select, true {; } other {}}{roots, select, NONE {no roots at the side of the plug} AT_EDGE {roots at the edge} OUT {roots come out below} CIRCLING {roots circle} other {}}")
                    .with("plants", look.leaves().size())
                    .with("leaves", Math.round(10 * look.meanLeaves().orElse(0)) / 10.0)
                    .when("both", !look.leaves().isEmpty() && look.roots().isPresent())
                    .with("roots", look.roots().map(Enum::name).orElse(""));
        }
        if (change instanceof Tended tended) {
            return switch (tended.step()) {
                case BRUSHED -> Said.of("Brushed the tops");
                case PINCHED -> Said.of("Took the tips out");
                case FLOWERS_OFF -> Said.of("Took early flowers off");
            };
        }
        BatchChange.Corrected correction = (BatchChange.Corrected) change;
        return correction.reason().isEmpty()
                ? Said.of("Undid entry {entry}").with("entry", correction.sequence())
                : Said.of("Undid entry {entry}: {reason}")
                        .with("entry", correction.sequence())
                        .with("reason", correction.reason());
    }
}
