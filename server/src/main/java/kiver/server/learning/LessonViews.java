package kiver.server.learning;

import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import kiver.core.crop.Crop;
import kiver.core.crop.CropCode;
import kiver.core.crop.LessonAbout;
import kiver.core.crop.LessonAbout.Matter;
import kiver.core.crop.PaceTelling;
import kiver.core.crop.SurvivalLessons;
import kiver.core.crop.SurvivalLessons.LivedOn;
import kiver.core.growth.GrowingYear;
import kiver.core.growth.NormalHierarchy;
import kiver.core.learning.Proposal;
import kiver.core.learning.Survived;
import kiver.core.learning.WorkSeen;
import kiver.core.outlook.BatchFile;
import kiver.core.place.PlaceId;
import kiver.server.batch.BatchBook;
import kiver.server.batch.WorkTimes;
import kiver.server.clock.NurseryClock;
import kiver.server.crop.CropBook;
import kiver.server.crop.DecidedLesson;
import kiver.server.crop.LessonBook;
import kiver.server.crop.PaceTellings;
import kiver.server.crop.Variety;
import kiver.server.growth.SeasonService;
import kiver.server.seed.SeedLot;
import kiver.server.seed.SeedStore;
import kiver.server.space.RateBook;
import org.springframework.stereotype.Component;

/** Lessons as the screens show them: factors of time instead of their logarithms, names instead of numbers. */
@Component
class LessonViews {

    /** Survival is told by these growing years and the present one. */
    private static final int YEARS_BACK = 3;

    private final LessonBook lessons;
    private final PaceTellings tellings;
    private final BatchBook batches;
    private final CropBook crops;
    private final SeedStore seeds;
    private final SeasonService seasons;
    private final WorkTimes times;
    private final RateBook rates;
    private final NurseryClock clock;
    private final DryingTold drying;

    LessonViews(
            LessonBook lessons,
            PaceTellings tellings,
            BatchBook batches,
            CropBook crops,
            SeedStore seeds,
            SeasonService seasons,
            WorkTimes times,
            RateBook rates,
            NurseryClock clock,
            DryingTold drying) {
        this.drying = drying;
        this.lessons = lessons;
        this.tellings = tellings;
        this.batches = batches;
        this.crops = crops;
        this.seeds = seeds;
        this.seasons = seasons;
        this.times = times;
        this.rates = rates;
        this.clock = clock;
    }

    /**
     * What one batch told.
     *
     * @param batch number
     * @param value times as long as the figures say
     */
    record BatchTold(int batch, double value) {}

    /**
     * A proposal.
     *
     * @param name of the place, variety or lot; empty for the crop itself
     * @param value times as long as the figures say or, for survival, share
     * @param low tenth of the distribution
     * @param high nine tenths of it
     * @param inUse what plans go by, in the same unit
     * @param told batch by batch, for paces
     */
    record ProposalView(
            Matter matter,
            String crop,
            String cropName,
            LessonAbout.Beside beside,
            long number,
            String name,
            double value,
            double low,
            double high,
            int batches,
            double inUse,
            boolean atWork,
            List<BatchTold> told) {}

    /** A decision. */
    record DecisionView(
            long id,
            Matter matter,
            String cropName,
            LessonAbout.Beside beside,
            String name,
            boolean taken,
            double value,
            double was,
            int batches,
            LocalDate decidedOn,
            String by,
            @Nullable LocalDate undoneOn) {}

    /** Work of which the times of entries tell how long it takes. */
    enum Work {
        SOWING("seconds_to_sow"),
        POTTING("seconds_to_pot");

        private final String rate;

        Work(String rate) {
            this.rate = rate;
        }

        /** Code of the rate that costs and hours go by. */
        String rate() {
            return rate;
        }
    }

    /**
     * How long a piece of work takes.
     *
     * @param inUse seconds that costs reckon with
     */
    record WorkView(Work work, WorkSeen seen, double inUse) {}

    /** All that was learnt. */
    record LessonsView(List<ProposalView> proposals, List<DecisionView> decisions, List<WorkView> work) {}

    LessonsView all() {
        Function<LessonAbout, String> names = names();
        return new LessonsView(
                proposals().stream().map(each -> view(each, names)).toList(),
                lessons.history().stream()
                        .sorted((one, other) -> Long.compare(other.id(), one.id()))
                        .map(each -> view(each, names))
                        .toList(),
                Stream.of(Work.values())
                        .flatMap(work -> work(work).map(seen -> new WorkView(work, seen, inUse(work))).stream())
                        .toList());
    }

    /** How long work took in the last year. */
    Optional<WorkSeen> work(Work work) {
        LocalDate since = clock.today().minusYears(1);
        return WorkSeen.of(work == Work.SOWING ? times.sowings(since) : times.pottings(since));
    }

    private double inUse(Work work) {
        return work == Work.SOWING
                ? rates.rates().secondsToSow()
                : rates.rates().secondsToPot();
    }

    /** What the nursery's own batches say otherwise than what plans go by. */
    List<Proposal> proposals() {
        Set<CropCode> known = crops.crops().stream().map(Crop::code).collect(Collectors.toSet());
        Set<Long> places = seasons.season().places().stream()
                .map(place -> place.id().number())
                .collect(Collectors.toSet());
        // Of what the nursery has no more nothing is planned.
        return Proposal.of(tellings.ofEmergence(), survival(), drying.lessons(), lessons.inUse()).stream()
                .filter(each -> known.contains(each.about().crop())
                        && (each.about().beside() != LessonAbout.Beside.PLACE
                                || places.contains(each.about().number())))
                .toList();
    }

    private SurvivalLessons survival() {
        GrowingYear present = GrowingYear.of(clock.today(), clock.latitude());
        Stream<BatchFile> before = IntStream.rangeClosed(0, YEARS_BACK)
                .mapToObj(back -> new GrowingYear(present.number() - back, present.south()))
                .flatMap(year -> batches.filesPutAway(year).stream());
        List<LivedOn> over = Stream.concat(batches.files().stream(), before)
                .filter(file -> !file.batch().isBoughtIn())
                .flatMap(file -> Survived.of(file.batch().crop(), file.state()).stream())
                .toList();
        return new SurvivalLessons(over);
    }

    private ProposalView view(Proposal each, Function<LessonAbout, String> names) {
        LessonAbout about = each.about();
        double aside = NormalHierarchy.Normal.EIGHT_OF_TEN * each.deviation();
        return new ProposalView(
                about.matter(),
                about.crop().written(),
                cropName(about.crop()),
                about.beside(),
                about.number(),
                names.apply(about),
                shown(about.matter(), each.value()),
                shown(about.matter(), each.value() - aside),
                shown(about.matter(), each.value() + aside),
                each.batches(),
                shown(about.matter(), each.inUse()),
                each.atWork(),
                told(about));
    }

    private DecisionView view(DecidedLesson each, Function<LessonAbout, String> names) {
        return new DecisionView(
                each.id(),
                each.matter(),
                cropName(each.about().crop()),
                each.beside(),
                names.apply(each.about()),
                each.taken(),
                shown(each.matter(), each.value()),
                shown(each.matter(), each.was()),
                each.batches(),
                each.decidedOn(),
                each.by(),
                each.undoneOn());
    }

    private static double shown(Matter matter, double value) {
        return matter == Matter.SURVIVAL ? Math.min(1, value) : Math.exp(value);
    }

    private List<BatchTold> told(LessonAbout about) {
        if (about.matter() == Matter.SURVIVAL || about.matter() == Matter.DRYING) {
            return List.of();
        }
        return (about.matter() == Matter.LEAVES ? tellings.ofLeaves() : tellings.ofEmergence())
                .told(about.crop()).stream()
                        .filter(telling -> isAbout(telling, about))
                        .map(telling -> new BatchTold(telling.batch(), Math.exp(telling.log())))
                        .toList();
    }

    private static boolean isAbout(PaceTelling telling, LessonAbout about) {
        return switch (about.beside()) {
            case CROP -> true;
            case PLACE -> telling.place().equals(new PlaceId(about.number()));
            case VARIETY -> telling.descent().variety() == about.number();
            case LOT -> telling.descent().lot() == about.number();
        };
    }

    /** A crop that is in the library no more is named by its code. */
    private String cropName(CropCode code) {
        return Optional.of(code)
                .filter(known ->
                        crops.crops().stream().anyMatch(crop -> crop.code().equals(known)))
                .map(known -> crops.crop(known).name())
                .orElse(code.written());
    }

    private Function<LessonAbout, String> names() {
        Map<Long, String> varieties = crops.varieties().stream().collect(Collectors.toMap(Variety::id, Variety::name));
        Map<Long, String> lots = seeds.lotsAndConsignments().stream()
                .collect(Collectors.toMap(lot -> lot.id().number(), SeedLot::code));
        Map<Long, String> places = seasons.season().places().stream()
                .collect(Collectors.toMap(place -> place.id().number(), place -> place.name()));
        return about -> switch (about.beside()) {
            case CROP -> "";
            case PLACE -> places.getOrDefault(about.number(), "");
            case VARIETY -> varieties.getOrDefault(about.number(), "");
            case LOT -> lots.getOrDefault(about.number(), "");
        };
    }
}
