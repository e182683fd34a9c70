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
        String key = "column." + sheet + "." + column;
        return new Said(wording.keys().contains(key) ? key : "column.every." + column, Map.of());
    }

    /** What to enter; empty where the name says it. */
    public Said hint(String sheet, String column) {
        String own = "hint." + sheet + "." + column;
        String key = wording.keys().contains(own) ? own : "hint.every." + column;
        return wording.keys().contains(key) ? new Said(key, Map.of()) : Said.of("");
    }
}
