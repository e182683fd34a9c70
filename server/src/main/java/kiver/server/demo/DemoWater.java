package kiver.server.demo;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.UUID;
import java.util.stream.Collectors;
import kiver.core.batch.BatchChange;
import kiver.core.batch.CellCondition;
import kiver.core.batch.LossReason;
import kiver.core.care.DryingPace;
import kiver.core.care.WaterCall;
import kiver.core.care.WaterRecord;
import kiver.core.care.WaterSeen;
import kiver.core.care.WaterSeen.Heft;
import kiver.core.care.WaterSeen.How;
import kiver.server.batch.RecordingService;
import kiver.server.care.TrayScale;
import kiver.server.care.WaterBook;
import kiver.server.clock.Nursery;
import kiver.server.clock.NurseryClock;
import kiver.server.growth.SeasonService;
import kiver.server.play.WaterAgain;
import kiver.server.tray.Tray;
import kiver.server.water.WaterRound;
import org.springframework.stereotype.Component;

/**
 * Water in the invented nursery: trays dry by paces that nobody there knows, its people water by what the round says, a
 * scale stands on the bench, and what is forgotten dries out.
 */
@Component
class DemoWater implements TrayScale {

    /** Three weeks before the opening they began to note it. */
    private static final int DAYS_NOTED = 21;

    private static final double NEARLY_ALWAYS = 0.99;
    private static final int WEIGHED_A_DAY = 12;
    private static final int PURPOSE = 60;

    /** Below this share leaves hang and do not come back. */
    private static final double DRY = 0.02;

    /** Of the plants in a tray that stood dry for a day. */
    private static final int ONE_OF = 6;

    private final WaterRound round;
    private final WaterBook water;
    private final SeasonService seasons;
    private final RecordingService recording;
    private final NurseryClock clock;
    private final DemoTruth truth;
    private final WaterAgain again;

    DemoWater(
            WaterRound round,
            WaterBook water,
            SeasonService seasons,
            RecordingService recording,
            NurseryClock clock,
            DemoTruth truth,
            WaterAgain again) {
        this.again = again;
        this.round = round;
        this.water = water;
        this.seasons = seasons;
        this.recording = recording;
        this.clock = clock;
        this.truth = truth;
    }

    @Override
    public boolean isThere() {
        return clock.nursery().map(Nursery::demo).orElse(false);
    }

    @Override
    public OptionalDouble show(Tray tray) {
        if (!isThere()) {
            return OptionalDouble.empty();
        }
        return round.standing(seasons.season()).stream()
                .filter(standing -> standing.tray().number() == tray.number())
                .findFirst()
                .map(standing -> OptionalDouble.of(shown(standing, round.record(standing))))
                .orElse(OptionalDouble.of(0));
    }

    private double shown(WaterRound.Standing standing, WaterRecord record) {
        double off = truth.scaleOff(standing.tray().number(), clock.today().toEpochDay());
        return Math.round(standing.weight().dry()
                + truly(standing, record) * standing.weight().held()
                + off);
    }

    /** The true share: what it was watered with, less what it drank at its true pace. */
    private double truly(WaterRound.Standing standing, WaterRecord record) {
        WaterRecord watered = new WaterRecord(
                record.seen().stream()
                        .filter(each -> each.seen() instanceof WaterSeen.Watered)
                        .toList(),
                record.drinking(),
                record.air());
        double pace =
                truth.dryingPace(standing.group().hashCode(), standing.tray().number());
        return watered.at(clock.now(), new DryingPace(pace, 0)).share();
    }

    /** The morning's walk with can and scale; before that what stood dry yesterday is found. */
    void walk() {
        LocalDate today = clock.today();
        LocalDate first = DemoNursery.OPENING_DAY.minusDays(DAYS_NOTED);
        if (today.isBefore(first)) {
            return;
        }
        if (today.isAfter(first)) {
            // On the first day nothing is known of what was watered before.
            findDried(today);
        }
        List<WaterRound.Called> calls = round.calls();
        look(calls, today);
        Map<How, List<Integer>> given = new EnumMap<>(How.class);
        for (WaterRound.Called called : round.calls()) {
            boolean wants = called.call().advice() == WaterCall.Advice.WATER
                    || called.call().advice() == WaterCall.Advice.SPRAY;
            int tray = called.standing().tray().number();
            if (wants && truth.getsDone(tray, today.toEpochDay(), PURPOSE, NEARLY_ALWAYS)) {
                given.computeIfAbsent(called.call().how(), how -> new ArrayList<>())
                        .add(tray);
            }
        }
        given.forEach((how, trays) -> note(today, WaterBook.Kind.WATERED, how.name(), trays));
        again.today();
    }

    private void look(List<WaterRound.Called> calls, LocalDate today) {
        Map<String, List<Integer>> lifted = new HashMap<>();
        Map<String, List<Integer>> surfaces = new HashMap<>();
        int weighed = 0;
        for (WaterRound.Called called : calls) {
            WaterRound.Standing standing = called.standing();
            double share = truly(standing, called.record());
            int tray = standing.tray().number();
            if (called.call().advice() == WaterCall.Advice.LOOK
                    && standing.untilUp().isPresent()) {
                surfaces.computeIfAbsent(share > 0.55 ? "DARK" : "PALE", word -> new ArrayList<>())
                        .add(tray);
            } else if (called.call().advice() == WaterCall.Advice.LOOK) {
                lifted.computeIfAbsent(heft(share).name(), word -> new ArrayList<>())
                        .add(tray);
            } else if (standing.untilUp().isEmpty() && weighed < WEIGHED_A_DAY && tray % 7 == today.toEpochDay() % 7) {
                weighed++;
                water.note(
                        id(today, "weighed " + tray),
                        List.of(tray),
                        clock.now(),
                        new WaterBook.Done(WaterBook.Kind.WEIGHED, shown(standing, called.record()), null),
                        null);
            }
        }
        lifted.forEach((word, trays) -> note(today, WaterBook.Kind.LIFTED, word, trays));
        surfaces.forEach((word, trays) -> note(today, WaterBook.Kind.SURFACE, word, trays));
    }

    private static Heft heft(double share) {
        if (share < 0.38) {
            return Heft.LIGHT;
        }
        return share < 0.68 ? Heft.SOME : Heft.HEAVY;
    }

    private void note(LocalDate today, WaterBook.Kind kind, String word, List<Integer> trays) {
        LocalDateTime at = clock.now();
        water.note(id(today, kind + " " + word), trays, at, new WaterBook.Done(kind, null, word), null);
    }

    /** One of six plants of a tray that has stood dry dies of it. */
    private void findDried(LocalDate today) {
        Map<Integer, List<BatchChange>> losses = round.calls().stream()
                .filter(called ->
                        called.standing().untilUp().isEmpty() && truly(called.standing(), called.record()) < DRY)
                .collect(Collectors.toMap(
                        called -> called.standing().batch().number(), DemoWater::dead, (one, other) -> {
                            List<BatchChange> both = new ArrayList<>(one);
                            both.addAll(other);
                            return both;
                        }));
        losses.forEach((batch, changes) -> {
            if (!changes.isEmpty()) {
                recording.record(id(today, "dried " + batch), batch, today, changes, null);
            }
        });
    }

    private static List<BatchChange> dead(WaterRound.Called called) {
        var tray = called.standing().tray().trayId();
        List<Integer> cells = called.standing().batch().file().state().cellsIn(tray, CellCondition.ALIVE).stream()
                .filter(cell -> (cell + tray.number()) % ONE_OF == 0)
                .toList();
        return cells.isEmpty() ? List.of() : List.of(new BatchChange.Lost(tray, cells, LossReason.DRIED_OUT));
    }

    private static UUID id(LocalDate day, String what) {
        return UUID.nameUUIDFromBytes(("water " + day + " " + what).getBytes(StandardCharsets.UTF_8));
    }
}
