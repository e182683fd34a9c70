package kiver.core.outlook;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import kiver.core.batch.BatchState;
import kiver.core.batch.CellCondition;
import kiver.core.batch.Tended;
import kiver.core.crop.ContainerCode;
import kiver.core.crop.Crop;
import kiver.core.crop.PaceTelling;
import kiver.core.emerge.CountSoFar;
import kiver.core.emerge.EmergenceVerdict;
import kiver.core.emerge.EmergenceWatch;
import kiver.core.growth.PaceSpread;
import kiver.core.growth.Paces;
import kiver.core.growth.Path;
import kiver.core.growth.Potting;
import kiver.core.growth.Scenario;
import kiver.core.growth.Season;
import kiver.core.growth.Standing;
import kiver.core.growth.Way;
import kiver.core.order.LineId;
import kiver.core.place.ClimateSeries;
import kiver.core.place.PlaceId;
import kiver.core.place.PlaceUse;
import kiver.core.plan.ContainerPath;
import kiver.core.seed.Germination;
import kiver.core.tray.TrayId;

/**
 * What lies ahead of batches on a day, from their records, the temperatures they had and the season.
 *
 * @param season ahead
 * @param today the day
 * @param containerByTray code of the container that each tray is
 */
public record LookingAhead(Season season, LocalDate today, Map<TrayId, ContainerCode> containerByTray) {

    /** Light is judged over this many days gone by. */
    private static final int DAYS_OF_LIGHT = 7;

    private static final double EVEN = 0.5;

    /**
     * How a batch stands and what lies ahead of it.
     *
     * @param file as recorded
     * @param germination what is known of its lot, its own counts left out
     * @param crop it is of
     * @param containers it passes
     */
    public BatchOutlook of(BatchFile file, Germination germination, Crop crop, ContainerPath containers) {
        Batch batch = file.batch();
        BatchState state = file.state();
        Optional<BatchCourse> course = course(state, crop);
        Optional<EmergenceWatch> watch =
                batch.isBoughtIn() ? Optional.empty() : course.map(made -> watch(state, crop, germination, made));
        PaceSpread pace = watch.filter(made -> !state.cellsUp().isEmpty())
                .map(EmergenceWatch::pace)
                .orElse(crop.learnt().paces().emergence());
        List<Potting> pottings =
                containers.pottings(crop, batch.stage().from(), batch.plan().pottedLate());
        Standing worked =
                course.map(made -> standing(made, file, pace, pottings, today)).orElseGet(() -> beforeItBegins(batch));
        Optional<Map.Entry<LocalDate, List<Integer>>> look =
                worked.hasEmerged() ? lastLeaves(state, LocalDate.MAX) : Optional.empty();
        Optional<Standing> atTheLook =
                look.map(seen -> standing(course.orElseThrow(), file, pace, pottings, seen.getKey()));
        Optional<LeavesTold> told = look.map(seen -> LeavesTold.of(
                seen.getValue(),
                atTheLook.orElseThrow().leafProgress(),
                crop.learnt().paces().leaves()));
        Standing standing = told.map(leaves -> leaves.truing(atTheLook.orElseThrow(), worked))
                .orElse(worked);
        PaceSpread leafPace =
                told.map(LeavesTold::pace).orElse(crop.learnt().paces().leaves());
        Paces paces = new Paces(pace, leafPace);
        RootsTold roots = RootsTold.of(
                state,
                crop.leafLimitIn(containers.containers().get(worked.pottingsDone())),
                day -> leavesOn(day, course.orElseThrow(), file, pace, pottings, atTheLook, told));
        Path path = roots.bending(path(file, crop, containers, pottings), standing.pottingsDone());
        Journey journey = new Journey(path, standing, wayFromHere(file), paces);
        List<Scenario> scenarios = season.scenarios(journey.way(), crop.development(), paces);
        List<Scenario> fresh = season.freshDraws(journey.way(), crop.development(), paces);
        BatchForecast forecast = BatchForecast.of(journey.path(), standing, scenarios, fresh, batch.target());
        double progress = course.map(made -> made.emergenceProgressUntil(today)).orElse(0.0);
        EnoughPlants plants = new EnoughPlants(file, crop, germination, watch, today);
        double enough = plants.chanceOf(file.stillWanted());
        Map<LineId, Double> byLine = plants.chanceByLine(target -> target.equals(batch.target())
                ? forecast
                : BatchForecast.of(journey.path(), standing, scenarios, fresh, target));
        Emerging emerging = new Emerging(
                course,
                watch,
                watch.map(made -> made.expectedAt(progress).middle()).orElse(0.0),
                verdict(file, watch, progress, enough));
        return new BatchOutlook(
                file,
                crop,
                containers,
                journey,
                emerging,
                new Chances(enough, byLine),
                forecast,
                standing.hasEmerged() && file.plantsAlive() > 0
                        ? roots.rooting(
                                standing,
                                standing.leafProgress() / Math.exp(leafPace.logMean()),
                                path,
                                containers,
                                crop,
                                containers.pottings(crop, batch.stage().from(), true),
                                scenarios)
                        : Rooting.NONE,
                standing.hasEmerged() && isLeggy(state, crop),
                new RoomAhead(file, containers, journey, today).stays(scenarios),
                0,
                file.trouble());
    }

    /**
     * What the last count of its leaves tells of its crop at the place where it made most of them; empty where none was
     * counted, or it has none yet. From the day on which its tips are taken out counts tell nothing: what was taken is missing.
     *
     * @param batch as it stands
     * @param untaught its crop as its figures say, with nothing taught
     */
    public Optional<PaceTelling> telling(BatchOutlook batch, Crop untaught) {
        BatchState state = batch.file().state();
        Optional<BatchCourse> course = course(state, untaught);
        Optional<Map.Entry<LocalDate, List<Integer>>> look =
                lastLeaves(state, Tended.last(state, Tended.Step.PINCHED).orElse(LocalDate.MAX));
        if (course.isEmpty() || look.isEmpty() || !batch.standing().hasEmerged()) {
            return Optional.empty();
        }
        LocalDate day = look.get().getKey();
        List<Potting> pottings = batch.containers()
                .pottings(
                        untaught,
                        batch.file().batch().stage().from(),
                        batch.file().batch().plan().pottedLate());
        double expected = standing(
                        course.get(), batch.file(), batch.journey().paces().emergence(), pottings, day)
                .leafProgress();
        LocalDate up = season.firstDay().plusDays((long) batch.standing().emergedAt());
        return LeavesTold.pace(look.get().getValue(), expected)
                .map(pace -> new PaceTelling(
                        batch.number(),
                        batch.file().descent(),
                        mostLeaves(state.placements(), course.get(), up, day),
                        pace.logMean(),
                        pace.logDeviation()));
    }

    /** Of the places where it stood between two mornings, the one at which it made most leaves. */
    private static PlaceId mostLeaves(
            List<BatchState.Placement> placements, BatchCourse course, LocalDate up, LocalDate day) {
        Map<PlaceId, Double> made = new HashMap<>();
        for (int at = 0; at < placements.size(); at++) {
            LocalDate from = Days.later(placements.get(at).from(), up);
            LocalDate to = at + 1 < placements.size()
                    ? Days.earlier(placements.get(at + 1).from(), day)
                    : day;
            if (from.isBefore(to)) {
                made.merge(placements.get(at).place(), course.leavesBetween(from, to), Double::sum);
            }
        }
        return made.entrySet().stream()
                .max(Map.Entry.comparingByValue())
                .map(Map.Entry::getKey)
                .orElse(placements.get(placements.size() - 1).place());
    }

    private Standing standing(
            BatchCourse course, BatchFile file, PaceSpread pace, List<Potting> pottings, LocalDate day) {
        return course.standing(
                file.state(),
                day,
                Math.exp(pace.logMean()),
                pottings,
                pottingsDone(file.state(), file.batch().containerCodes()));
    }

    /** True leaves on a day, as worked out and as far as a count of them tells. */
    private double leavesOn(
            LocalDate day,
            BatchCourse course,
            BatchFile file,
            PaceSpread pace,
            List<Potting> pottings,
            Optional<Standing> atTheLook,
            Optional<LeavesTold> told) {
        Standing then = standing(course, file, pace, pottings, day);
        return told.map(leaves -> leaves.truing(atTheLook.orElseThrow(), then).leafProgress()
                        / Math.exp(leaves.pace().logMean()))
                .orElse(then.leafProgress());
    }

    /** When leaves were last counted before a day, and how many each plant had; what came before is in them. */
    private static Optional<Map.Entry<LocalDate, List<Integer>>> lastLeaves(BatchState state, LocalDate before) {
        return state.looks().headMap(before).entrySet().stream()
                .filter(look -> !look.getValue().leaves().isEmpty())
                .reduce((earlier, later) -> later)
                .map(look -> Map.entry(look.getKey(), look.getValue().leaves()));
    }

    Optional<BatchCourse> course(BatchState state, Crop crop) {
        return state.sownOn()
                .filter(sown -> !sown.isBefore(season.firstDay()))
                .map(sown -> new BatchCourse(
                        state.placements(),
                        place -> season.emergence(place, crop.emergence()).get(0),
                        place -> season.leaves(place, crop.leaves()).get(0)));
    }

    private Standing beforeItBegins(Batch batch) {
        double time = timeOf(Days.later(batch.sowDay(), today));
        Double leaves = batch.leavesOnArrival();
        return leaves == null ? Standing.sownAt(time) : Standing.arrivingAt(time, leaves);
    }

    private static Path path(BatchFile file, Crop crop, ContainerPath containers, List<Potting> pottings) {
        Batch batch = file.batch();
        BatchState state = file.state();
        double limit = Math.min(batch.stage().to() + 1.0, crop.leafLimitIn(containers.last()));
        int hardeningDays = state.hardenedOn().isPresent()
                ? state.hardeningDays()
                : state.hardeningStartedOn().isPresent()
                        ? state.programmeDays()
                        : batch.hardeningProgramme().days();
        Path straight = new Path(
                pottings,
                batch.stage().from(),
                Math.max(limit, batch.stage().from()),
                crop.dayLimitIn(containers.last()),
                hardeningDays);
        return batch.plan().overWinter() ? crop.overWinter(straight) : straight;
    }

    /** How far along its containers most of its plants are. */
    private int pottingsDone(BatchState state, List<ContainerCode> containers) {
        int[] plants = new int[containers.size()];
        for (TrayId tray : state.trays()) {
            ContainerCode standsIn = containerByTray.get(tray);
            int at = standsIn == null ? 0 : Math.max(containers.indexOf(standsIn), 0);
            plants[at] += state.cellsIn(tray, CellCondition.ALIVE).size();
        }
        int most = 0;
        for (int index = 1; index < plants.length; index++) {
            most = plants[index] >= plants[most] && plants[index] > 0 ? index : most;
        }
        return most;
    }

    static EmergenceWatch watch(BatchState state, Crop crop, Germination germination, BatchCourse course) {
        List<CountSoFar> counts = new ArrayList<>();
        int most = 0;
        for (Map.Entry<LocalDate, Integer> count : state.cellsUp().entrySet()) {
            most = Math.max(most, count.getValue());
            counts.add(new CountSoFar(course.emergenceProgressUntil(count.getKey()), most));
        }
        int seedsPerCell = state.sowings().values().iterator().next().sown().seedsPerCell();
        return new EmergenceWatch(
                crop.emergence(),
                germination,
                crop.learnt().paces().emergence(),
                state.balance().sown(),
                seedsPerCell,
                counts);
    }

    private static EmergenceVerdict verdict(
            BatchFile file, Optional<EmergenceWatch> watch, double progress, double chanceEnough) {
        if (file.state().isCompletelyCounted() && file.toSow().isEmpty()) {
            return chanceEnough >= EVEN ? EmergenceVerdict.ON_COURSE : EmergenceVerdict.FAILING;
        }
        return watch.map(made -> made.verdict(progress, chanceEnough)).orElse(EmergenceVerdict.TOO_SOON_TO_TELL);
    }

    /** The planned way, bent by the moves that were made. */
    private Way wayFromHere(BatchFile file) {
        Way planned = file.batch().way();
        Optional<PlaceId> here = file.state().place();
        if (here.isEmpty()) {
            return planned;
        }
        boolean hardening = file.state().hardeningStartedOn().isPresent();
        boolean movedOn = !here.get().equals(planned.emergence())
                && season.place(here.get()).suits(PlaceUse.GROWING_ON);
        return new Way(
                here.get(),
                hardening || movedOn ? here.get() : planned.growingOn(),
                hardening ? here.get() : planned.hardening());
    }

    private boolean isLeggy(BatchState state, Crop crop) {
        if (state.place().isEmpty()) {
            return false;
        }
        ClimateSeries climate = season.climate(state.place().get()).get(0);
        int now = (int) timeOf(today);
        double light = 0;
        double warmth = 0;
        for (int day = now - DAYS_OF_LIGHT; day < now; day++) {
            light += climate.light(day) / DAYS_OF_LIGHT;
            warmth += (climate.minimum(day) + climate.maximum(day)) / 2 / DAYS_OF_LIGHT;
        }
        return crop.leaves().isLeggyIn(light, warmth);
    }

    private double timeOf(LocalDate day) {
        return day.toEpochDay() - season.firstDay().toEpochDay();
    }
}
