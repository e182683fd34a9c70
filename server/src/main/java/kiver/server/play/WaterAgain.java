package kiver.server.play;

import java.nio.charset.StandardCharsets;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import kiver.core.care.WaterSeen;
import kiver.server.care.WaterBook;
import kiver.server.water.WaterRound;
import org.springframework.stereotype.Component;

/** Hands go round with the can once more, on days that are too long for a tray, at the hour at which it comes to its mark. */
@Component
public class WaterAgain {

    private final WaterRound round;
    private final WaterBook water;

    WaterAgain(WaterRound round, WaterBook water) {
        this.round = round;
        this.water = water;
    }

    /** What the morning's round says of the afternoon is done. */
    public void today() {
        Map<LocalDateTime, List<Integer>> byHour = new TreeMap<>();
        for (WaterRound.Called called : round.calls()) {
            called.call()
                    .again()
                    .ifPresent(at -> byHour.computeIfAbsent(at, hour -> new ArrayList<>())
                            .add(called.standing().tray().number()));
        }
        byHour.forEach((at, trays) -> water.note(
                UUID.nameUUIDFromBytes(("again " + at + " " + trays).getBytes(StandardCharsets.UTF_8)),
                trays,
                at,
                new WaterBook.Done(WaterBook.Kind.WATERED, null, WaterSeen.How.BELOW.name()),
                null));
    }
}
