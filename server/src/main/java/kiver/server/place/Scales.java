package kiver.server.place;

import java.time.LocalDateTime;
import java.util.Optional;
import kiver.server.wording.Said;

/** Where weights of trays go that a scale sends with the readings. */
public interface Scales {

    /** What cannot be about a weight of a tray; empty when it can be taken. */
    Optional<Said> faultIn(int tray, double grams);

    /** Takes a weight; answers false where the scale had said so before. */
    boolean take(Device scale, int tray, LocalDateTime at, double grams);
}
