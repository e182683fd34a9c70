package kiver.server.promise;

import jakarta.annotation.Nullable;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import kiver.core.crop.Crop;
import kiver.core.order.Bed;
import kiver.core.order.Ripening;
import kiver.core.place.Place;
import kiver.core.place.PlaceId;
import kiver.core.plan.Plan;
import kiver.core.plan.Succession;
import kiver.core.promise.Answer;
import kiver.core.promise.Offer;
import kiver.core.promise.Promise;
import kiver.core.sow.SowingOption;
import kiver.core.space.Occupancy;
import kiver.core.space.Stay;
import kiver.server.clock.NurseryClock;
import kiver.server.crop.CropBook;
import kiver.server.crop.Variety;
import kiver.server.place.PlaceBook;
import kiver.server.plan.Wish;
import kiver.server.problem.Refusal;
import kiver.server.seed.SeedLot;
import kiver.server.seed.SeedStore;
import kiver.server.space.SpaceBook;
import kiver.server.wording.Said;
import kiver.server.wording.Wording;
import org.springframework.stereotype.Component;

/** A season of one's own: what is to be eaten or cut, and when, turned into sowings, seed, room and days. */
@Component
class OwnTable {

    /** Each is counted back by itself, which takes its time. */
    private static final int MOST_SOWINGS = 40;

    private final PromiseService promises;
    private final CropBook crops;
    private final UsualRaising usual;
    private final SeedStore seeds;
    private final PlaceBook places;
    private final SpaceBook space;
    private final NurseryClock clock;
    private final ProvisoWords words;
    private final Wording wording;

    OwnTable(
            PromiseService promises,
            CropBook crops,
            UsualRaising usual,
            SeedStore seeds,
            PlaceBook places,
            SpaceBook space,
            NurseryClock clock,
            ProvisoWords words,
            Wording wording) {
        this.wording = wording;
        this.promises = promises;
        this.crops = crops;
        this.usual = usual;
        this.seeds = seeds;
        this.places = places;
        this.space = space;
        this.clock = clock;
        this.words = words;
    }

    /**
     * Something wanted.
     *
     * @param want number of the want it is of, from 0
     * @param wish as it is taken
     * @param pickOn the day from which it is to be picked; that of planting where nothing is picked
     */
    record Part(int want, Wish wish, LocalDate pickOn) {}

    /**
     * A sowing.
     *
     * @param want number of the want it is of, from 0
     * @param answer to it, when those before it are taken
     * @param chance of so many plants in time
     * @param sowDay nothing where it cannot be sown in time
     * @param seeds that it takes
     * @param trays on the bench when sown
     * @param why it is no plain yes; empty where it is one
     * @param couldPickFrom of the first of its kind that is not in time, the day from which as many could be picked; null where
     *     no day near it would do
     */
    record OwnSowing(
            int want,
            Wish wish,
            LocalDate pickOn,
            Answer answer,
            double chance,
            @Nullable LocalDate sowDay,
            int seeds,
            double trays,
            String why,
            @Nullable LocalDate couldPickFrom) {}

    /**
     * Seed that is needed.
     *
     * @param inStore seeds of the variety that are there, of all its lots
     */
    record SeedWanted(long varietyId, String variety, int needed, int inStore) {}

    /** Room that is needed at a place in a week, at most, and what is free of it. */
    record ShelfRoom(long placeId, String place, double needed, double free) {}

    /** What is to be done with a sowing. */
    enum OwnStep {
        SOW,
        MOVE,
        PLANT,
        PICK
    }

    /**
     * Something to be done.
     *
     * @param sowing its number, from 0
     * @param place where it goes; null for planting and picking
     */
    record OwnTask(
            LocalDate day,
            OwnStep step,
            int sowing,
            @Nullable String place) {}

    /** A week. */
    record OwnWeek(LocalDate monday, List<OwnTask> tasks, List<ShelfRoom> rooms) {}

    /** The season. */
    record OwnSeason(List<OwnSowing> sowings, List<SeedWanted> seeds, List<OwnWeek> weeks) {}

    /** Counts a season back. */
    OwnSeason plan(long siteId, List<OwnTableController.Want> wants) {
        List<Part> parts = new ArrayList<>();
        for (int index = 0; index < wants.size(); index++) {
            parts.addAll(parts(siteId, index, wants.get(index)));
        }
        if (parts.size() > MOST_SOWINGS) {
            throw new Refusal(
                    "wants",
                    Said.of("These would be {sowings} sowings; {most} at once are planned here. Take some first.")
                            .with("sowings", parts.size())
                            .with("most", MOST_SOWINGS));
        }
        List<Part> ahead =
                parts.stream().filter(part -> outOfSight(part).isEmpty()).toList();
        List<PromiseService.Checked> checked =
                promises.checkTogether(ahead.stream().map(Part::wish).toList());
        Map<Part, PromiseService.Checked> byPart = new LinkedHashMap<>();
        for (int index = 0; index < ahead.size(); index++) {
            byPart.put(ahead.get(index), checked.get(index));
        }
        Set<Integer> told = new HashSet<>();
        List<OwnSowing> sowings = new ArrayList<>();
        for (Part part : parts) {
            PromiseService.Checked answer = byPart.get(part);
            // Another day is looked for once for each kind, since that takes longer than the answer.
            boolean later = answer != null && answer.promise().answer() == Answer.NO && told.add(part.want());
            sowings.add(
                    answer == null
                            ? notSown(part, outOfSight(part).orElseThrow())
                            : sowing(part, answer, later ? couldPickFrom(part) : null));
        }
        return new OwnSeason(sowings, seedsWanted(sowings), weeks(parts, byPart));
    }

    /** Why a sowing is not even looked at: one that comes too late stops none of the others. */
    private Optional<Said> outOfSight(Part part) {
        LocalDate planted = part.wish().target();
        if (planted.isBefore(clock.today())) {
            return Optional.of(Said.of("It would have had to be planted by {day}; pick it later.")
                    .with("day", planted));
        }
        if (planted.isAfter(clock.today().plusDays(Wish.DAYS_AHEAD))) {
            return Optional.of(
                    Said.of("It is planted on {day}, which is further ahead than Kiver looks; come back later.")
                            .with("day", planted));
        }
        return Optional.empty();
    }

    private OwnSowing notSown(Part part, Said why) {
        return new OwnSowing(part.want(), part.wish(), part.pickOn(), Answer.NO, 0, null, 0, 0, wording.say(why), null);
    }

    /** The plants that a want comes to; of a bed, as many as stand in it. */
    int plants(OwnTableController.Want want, Crop crop) {
        if (want.bed() == null) {
            return want.plants();
        }
        Bed bed = want.bed().bed(crop.planting().spacing());
        int plants = bed.plants();
        if (plants < 1) {
            throw new Refusal("bed", Said.of("Nothing stands in so small a bed when its edge is kept free."));
        }
        return plants;
    }

    private List<Part> parts(long siteId, int index, OwnTableController.Want want) {
        Variety variety = crops.variety(want.varietyId());
        Crop crop = crops.cropOf(variety);
        int plants = plants(want, crop);
        if (want.until().isBefore(want.from())) {
            throw new Refusal("until", Said.of("The last day lies before the first."));
        }
        long most = Math.min(plants, want.until().toEpochDay() - want.from().toEpochDay() + 1);
        if (want.sowings() > most) {
            throw new Refusal(
                    "sowings",
                    Said.of("Choose from 1 to {most} sowings for this period.").with("most", most));
        }
        UsualRaising.Raised raised = usual.of(crop, want.container());
        return Succession.dividing(plants, want.from(), want.until(), want.sowings()).parts().stream()
                .map(part -> {
                    LocalDate planted = plantedOn(want, crop, part.ready());
                    return new Part(
                            index,
                            raised.wish(variety.id(), part.plants(), planted).at(siteId),
                            part.ready());
                })
                .toList();
    }

    /** What is picked was planted as long before as it ripens, but not before its bed is free. */
    private LocalDate plantedOn(OwnTableController.Want want, Crop crop, LocalDate picked) {
        double latitude = clock.latitude();
        LocalDate planted = Ripening.plantedBy(
                picked, crop.outdoors().maturityDays(), Ripening.longestDay(latitude, picked.getYear()), latitude);
        return want.bedFree() != null && planted.isBefore(want.bedFree()) ? want.bedFree() : planted;
    }

    private OwnSowing sowing(Part part, PromiseService.Checked checked, @Nullable LocalDate couldPickFrom) {
        Plan plan = checked.promise().plan();
        Promise promise = checked.promise();
        return new OwnSowing(
                part.want(),
                part.wish(),
                part.pickOn(),
                promise.answer(),
                plan.chance(),
                plan.sowDay().orElse(null),
                plan.chosen().map(SowingOption::seeds).orElse(0),
                promise.stays().isEmpty() ? 0 : promise.stays().get(0).slots(),
                words.all(checked.prepared(), promise),
                couldPickFrom);
    }

    /** As much later as the next day that is offered for planting. */
    private @Nullable LocalDate couldPickFrom(Part part) {
        LocalDate target = part.wish().target();
        return promises.check(part.wish(), true).promise().offers().stream()
                .filter(offer ->
                        offer.change() == Offer.Change.DAY && offer.target().isAfter(target))
                .map(offer -> part.pickOn().plusDays(ChronoUnit.DAYS.between(target, offer.target())))
                .findFirst()
                .orElse(null);
    }

    private List<SeedWanted> seedsWanted(List<OwnSowing> sowings) {
        Map<Long, Integer> needed = new LinkedHashMap<>();
        sowings.stream()
                .filter(each -> each.answer() != Answer.NO)
                .forEach(each -> needed.merge(each.wish().varietyId(), each.seeds(), Integer::sum));
        Map<Long, Integer> inStore = seeds.lotsInUse().stream()
                .collect(Collectors.groupingBy(SeedLot::varietyId, Collectors.summingInt(SeedLot::seedsLeft)));
        return needed.entrySet().stream()
                .map(each -> new SeedWanted(
                        each.getKey(),
                        crops.variety(each.getKey()).name(),
                        each.getValue(),
                        inStore.getOrDefault(each.getKey(), 0)))
                .toList();
    }

    private List<OwnWeek> weeks(List<Part> parts, Map<Part, PromiseService.Checked> checked) {
        Map<PlaceId, Place> byId = new LinkedHashMap<>();
        places.places().forEach(place -> byId.put(place.id(), place));
        TreeMap<LocalDate, List<OwnTask>> tasks = new TreeMap<>();
        TreeMap<LocalDate, Map<PlaceId, Double>> room = new TreeMap<>();
        for (int index = 0; index < parts.size(); index++) {
            PromiseService.Checked answer = checked.get(parts.get(index));
            if (answer == null || answer.promise().answer() == Answer.NO) {
                continue;
            }
            Promise promise = answer.promise();
            int number = index;
            OwnStep step = OwnStep.SOW;
            for (Stay stay : promise.stays()) {
                add(
                        tasks,
                        new OwnTask(
                                stay.from(),
                                step,
                                number,
                                byId.get(stay.place()).name()));
                step = OwnStep.MOVE;
            }
            add(tasks, new OwnTask(parts.get(index).wish().target(), OwnStep.PLANT, number, null));
            if (parts.get(index).pickOn().isAfter(parts.get(index).wish().target())) {
                add(tasks, new OwnTask(parts.get(index).pickOn(), OwnStep.PICK, number, null));
            }
        }
        List<Stay> all = checked.values().stream()
                .filter(each -> each.promise().answer() != Answer.NO)
                .flatMap(each -> each.promise().stays().stream())
                .toList();
        all.forEach(stay -> stay.from()
                .datesUntil(stay.until())
                .forEach(day -> room.computeIfAbsent(monday(day), week -> new HashMap<>())
                        .merge(stay.place(), slotsOn(all, stay.place(), day), Math::max)));
        Occupancy present = space.occupancy();
        TreeMap<LocalDate, OwnWeek> weeks = new TreeMap<>();
        tasks.forEach((monday, each) -> weeks.put(
                monday,
                new OwnWeek(
                        monday,
                        each.stream().sorted(Comparator.comparing(OwnTask::day)).toList(),
                        rooms(byId, room.getOrDefault(monday, Map.of()), present, monday))));
        room.forEach((monday, needed) -> weeks.computeIfAbsent(
                monday, week -> new OwnWeek(week, List.of(), rooms(byId, needed, present, week))));
        return List.copyOf(weeks.values());
    }

    private static List<ShelfRoom> rooms(
            Map<PlaceId, Place> places, Map<PlaceId, Double> needed, Occupancy present, LocalDate monday) {
        return places.values().stream()
                .filter(place -> needed.containsKey(place.id()))
                .map(place -> new ShelfRoom(
                        place.id().number(),
                        place.name(),
                        needed.get(place.id()),
                        present.free(place.id(), monday, monday.plusWeeks(1))))
                .toList();
    }

    private static double slotsOn(List<Stay> all, PlaceId place, LocalDate day) {
        return all.stream()
                .filter(stay -> stay.place().equals(place) && stay.covers(day))
                .mapToDouble(Stay::slots)
                .sum();
    }

    private static void add(Map<LocalDate, List<OwnTask>> tasks, OwnTask task) {
        tasks.computeIfAbsent(monday(task.day()), week -> new ArrayList<>()).add(task);
    }

    private static LocalDate monday(LocalDate day) {
        return day.with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
    }
}
