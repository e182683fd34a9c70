package kiver.server.crop;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** What nurseries of a kind usually raise, from the library. */
@Component
class StarterSets {

    private final List<StarterSet> sets;

    StarterSets(JsonMapper json, @Value("${kiver.library}") Path folder) {
        try {
            sets = json.readValue(Files.readString(folder.resolve("starter-sets.json")), Library.class)
                    .sets();
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    /** The library's file. */
    record Library(String note, List<StarterSet> sets) {}

    /** For whom, and for which season, plants are raised. */
    enum NurseryKind {
        NEIGHBOURS_IN_SPRING,
        MARKET_GARDEN,
        LATE_SUMMER_AND_AUTUMN,
        CUT_FLOWERS,
        HERBS,
        SCHOOL,
        KITCHEN_TABLE
    }

    /**
     * A set to begin from.
     *
     * @param crops their codes
     * @param containers their codes
     */
    record StarterSet(NurseryKind kind, List<String> crops, List<String> containers) {}

    List<StarterSet> sets() {
        return sets;
    }
}
