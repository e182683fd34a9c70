package kiver.core.outlook;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import kiver.core.batch.BatchState;
import kiver.core.batch.CellCondition;
import kiver.core.growth.Scenario;
import kiver.core.plan.ContainerPath;
import kiver.core.space.Footprint;
import kiver.core.space.Stay;
import kiver.core.tray.CellRun;
import kiver.core.tray.TrayId;

/**
 * The room that a batch takes from a day on.
 *
 * @param file of the batch
 * @param containers it passes
 * @param journey it is on
 * @param today the day
 */
record RoomAhead(BatchFile file, ContainerPath containers, Journey journey, LocalDate today) {

    /** Plants that are not ready on their day are waited for so long, then thrown out or handed over as they are. */
    private static final int MOST_DAYS_LATE = 28;

    /** Its stays as most likely; none once all its plants are gone. */
    List<Stay> stays(List<Scenario> scenarios) {
        if (isGone()) {
            return List.of();
        }
        return withThoseElsewhere(footprint().from(journey.standing(), scenarios, leaves()), leaves());
    }

    /** Its stays in each of some ways the season may go, in their order. */
    List<List<Stay>> inEach(List<Scenario> ways) {
        if (isGone()) {
            return ways.stream().map(way -> List.<Stay>of()).toList();
        }
        return footprint().inEach(journey.standing(), ways, leaves(), MOST_DAYS_LATE).stream()
                .map(stays -> withThoseElsewhere(
                        stays,
                        stays.isEmpty()
                                ? leaves()
                                : stays.get(stays.size() - 1).until().minusDays(1)))
                .toList();
    }

    private boolean isGone() {
        return file.state().sownOn().isPresent() && living() == 0;
    }

    private int living() {
        return file.state().balance().alive() + file.state().balance().waiting();
    }

    private LocalDate leaves() {
        return Days.later(file.batch().target(), today);
    }

    private double slotsOfOne() {
        return containers.containers().get(journey.standing().pottingsDone()).slots();
    }

    private List<TrayId> elsewhere() {
        return file.state().trays().stream()
                .filter(this::isInUse)
                .filter(this::standsElsewhere)
                .toList();
    }

    /** The room that most of it takes; what stands elsewhere is left out. */
    private Footprint footprint() {
        boolean sown = file.state().sownOn().isPresent();
        int plants = sown ? Math.max(1, living()) : file.batch().cellsNeeded();
        List<Double> planned = containers.slots(file.batch().cells(), plants);
        List<Double> slots = new ArrayList<>(planned.subList(journey.standing().pottingsDone(), planned.size()));
        List<TrayId> inUse = file.state().trays().stream().filter(this::isInUse).toList();
        if (!inUse.isEmpty()) {
            slots.set(0, slotsOfOne() * inUse.stream().mapToDouble(file::roomOf).sum());
        } else if (!sown) {
            slots.set(0, Math.max(0, slots.get(0) - slotsOfOne() * roomSaved()));
        }
        double away = elsewhere().stream().mapToDouble(file::roomOf).sum();
        slots.set(0, Math.max(0, slots.get(0) - slotsOfOne() * away));
        return new Footprint(journey.path(), journey.way(), slots);
    }

    private List<Stay> withThoseElsewhere(List<Stay> most, LocalDate lastDay) {
        List<Stay> stays = new ArrayList<>(beginningWhereItStands(most));
        elsewhere()
                .forEach(tray -> stays.add(new Stay(
                        file.state().placeOf(tray).orElseThrow(),
                        today,
                        lastDay.plusDays(1),
                        slotsOfOne() * file.roomOf(tray))));
        return List.copyOf(stays);
    }

    /** In trays, what it need not take because some that are set aside for it are cut or shared. */
    private double roomSaved() {
        return file.runs().stream()
                .map(CellRun::tray)
                .distinct()
                .mapToDouble(tray -> 1 - file.roomOf(tray))
                .sum();
    }

    /** What should have been moved and still stands where it was takes its room there today. */
    private List<Stay> beginningWhereItStands(List<Stay> stays) {
        BatchState state = file.state();
        if (stays.isEmpty()
                || state.place().isEmpty()
                || stays.get(0).place().equals(state.place().get())) {
            return stays;
        }
        List<Stay> moved = new ArrayList<>();
        moved.add(new Stay(
                state.place().get(), today, today.plusDays(1), stays.get(0).slots()));
        for (Stay stay : stays) {
            LocalDate from = Days.later(stay.from(), today.plusDays(1));
            if (from.isBefore(stay.until())) {
                moved.add(new Stay(stay.place(), from, stay.until(), stay.slots()));
            }
        }
        return moved;
    }

    /** Whether it stands elsewhere than most of the batch. */
    private boolean standsElsewhere(TrayId tray) {
        return !file.state().placeOf(tray).equals(file.state().place());
    }

    /** Whether something in it is alive or may yet come up. */
    private boolean isInUse(TrayId tray) {
        return !file.state().cellsIn(tray, CellCondition.ALIVE).isEmpty()
                || !file.state().cellsIn(tray, CellCondition.WAITING).isEmpty();
    }
}
