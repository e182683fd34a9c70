package kiver.server.problem;

import java.util.Map;
import kiver.server.wording.Said;

/** What the fields of entries are called on the screens, for when one cannot even be read. */
final class FieldWords {

    private static final Said ANY = Said.of("This entry");

    private static final Map<String, Said> WORDS = Map.ofEntries(
            Map.entry("altitude", Said.of("The altitude")),
            Map.entry("arrives", Said.of("The day of arrival")),
            Map.entry("batch", Said.of("The batch")),
            Map.entry("cause", Said.of("What they were lost to")),
            Map.entry("cells", Said.of("The cells")),
            Map.entry("code", Said.of("The code")),
            Map.entry("container", Said.of("The container")),
            Map.entry("count", Said.of("The number of sowings")),
            Map.entry("day", Said.of("The day")),
            Map.entry("days", Said.of("The number of days")),
            Map.entry("email", Said.of("The e-mail address")),
            Map.entry("firstCell", Said.of("The first cell")),
            Map.entry("from", Said.of("The first day")),
            Map.entry("germinationLabel", Said.of("The germination")),
            Map.entry("growerId", Said.of("The grower")),
            Map.entry("hours", Said.of("The hours")),
            Map.entry("lastCell", Said.of("The last cell")),
            Map.entry("latitude", Said.of("The latitude")),
            Map.entry("leaves", Said.of("The leaves")),
            Map.entry("leavesFrom", Said.of("The true leaves")),
            Map.entry("leavesTo", Said.of("The true leaves")),
            Map.entry("line", Said.of("The line")),
            Map.entry("lines", Said.of("The lines")),
            Map.entry("lotId", Said.of("The seed lot")),
            Map.entry("medium", Said.of("The mix")),
            Map.entry("minutes", Said.of("The minutes")),
            Map.entry("name", Said.of("The name")),
            Map.entry("number", Said.of("The number")),
            Map.entry("person", Said.of("The person")),
            Map.entry("place", Said.of("The place")),
            Map.entry("placeId", Said.of("The place")),
            Map.entry("plants", Said.of("The number of plants")),
            Map.entry("price", Said.of("The price")),
            Map.entry("programme", Said.of("The steps of hardening")),
            Map.entry("protection", Said.of("The cover")),
            Map.entry("reason", Said.of("The reason")),
            Map.entry("role", Said.of("The role")),
            Map.entry("seedlings", Said.of("The seedlings")),
            Map.entry("seeds", Said.of("The number of seeds")),
            Map.entry("seedsPerCell", Said.of("The seeds a cell")),
            Map.entry("siteId", Said.of("The site")),
            Map.entry("slots", Said.of("The tray places")),
            Map.entry("sowDay", Said.of("The sow day")),
            Map.entry("supplier", Said.of("The supplier")),
            Map.entry("target", Said.of("The day wanted")),
            Map.entry("telephone", Said.of("The number to ring")),
            Map.entry("temperatureOffset", Said.of("How much colder it is")),
            Map.entry("testedOn", Said.of("The day of the test")),
            Map.entry("testedSeeds", Said.of("The seeds tested")),
            Map.entry("to", Said.of("The last day")),
            Map.entry("tray", Said.of("The tray")),
            Map.entry("trays", Said.of("The trays")),
            Map.entry("under", Said.of("The tolerance")),
            Map.entry("until", Said.of("The last day")),
            Map.entry("varietyId", Said.of("The variety")),
            Map.entry("year", Said.of("The year")));

    private FieldWords() {}

    /** That a field cannot be read, in the screen's words. */
    static Said unreadable(String field) {
        return Said.of("{what} cannot be read; check it and try again.").with("what", WORDS.getOrDefault(field, ANY));
    }
}
