package kiver.server.wording;

import java.util.Map;
import org.springframework.stereotype.Component;

/** What people call the columns of sheets, and what they are to enter there. */
@Component
public class ColumnWords {

    private final Wording wording;

    ColumnWords(Wording wording) {
        this.wording = wording;
    }

    /** A column's name with its unit, for example "Sown deep, mm". */
    public Said name(String sheet, String column) {
        return Said.of("column." + sheet + "." + column);
    }

    /** What to enter; empty where the name says it. */
    public Said hint(String sheet, String column) {
        String key = "hint." + sheet + "." + column;
        return wording.keys().contains(key) ? new Said(key, Map.of()) : Said.of("");
    }
}
