package kiver.server.clock;

import java.time.DateTimeException;
import java.time.ZoneId;
import kiver.server.problem.Refusal;
import kiver.server.wording.Said;

/** Time zones by their names, as devices tell them. */
public final class TimeZones {

    private TimeZones() {}

    /** The zone of a name, for example "Europe/Paris". */
    public static ZoneId named(String name) {
        try {
            return ZoneId.of(name.strip());
        } catch (DateTimeException unknown) {
            throw new Refusal(
                    "timeZone",
                    Said.of("\"{name}\" is no time zone; write it like Europe/Paris or UTC+2.")
                            .with("name", name));
        }
    }
}
