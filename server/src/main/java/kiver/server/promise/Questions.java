package kiver.server.promise;

import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import kiver.core.crop.Container;
import kiver.core.order.LeafStage;
import kiver.core.order.OrderLine;
import kiver.server.clock.NurseryClock;
import kiver.server.crop.CropBook;
import kiver.server.crop.Variety;
import kiver.server.order.Grower;
import kiver.server.order.OrderBook;
import kiver.server.order.OrderedLine;
import kiver.server.order.Site;
import kiver.server.plan.Wish;
import kiver.server.problem.Refusal;
import kiver.server.seed.SeedLot;
import kiver.server.seed.SeedStore;
import kiver.server.wording.Said;
import org.springframework.stereotype.Component;

/** Understands a question in plain words, with the names and habits of this nursery, and answers it. */
@Component
class Questions {

    /** What is usual is told by orders of so many years. */
    private static final int USUAL_WITHIN_YEARS = 2;

    private static final LeafStage USUAL_STAGE = new LeafStage(4, 5);

    private final PlanViews plans;
    private final CropBook crops;
    private final OrderBook orders;
    private final SeedStore seeds;
    private final NurseryClock clock;

    Questions(PlanViews plans, CropBook crops, OrderBook orders, SeedStore seeds, NurseryClock clock) {
        this.plans = plans;
        this.crops = crops;
        this.orders = orders;
        this.seeds = seeds;
        this.clock = clock;
    }

    /**
     * What was understood, and the answer when that is enough.
     *
     * @param wish as understood, with what was not said filled in
     * @param words of the wish, part by part
     * @param missing what must still be said
     * @param notUnderstood words that meant nothing
     * @param plan the answer
     */
    record Understood(
            @Nullable Wish wish,
            @Nullable Long growerId,
            @Nullable Reading words,
            List<Question.Missing> missing,
            List<String> notUnderstood,
            @Nullable PlanView plan) {}

    /** How the question was read, for the person to check. */
    record Reading(
            int plants,
            String variety,
            String crop,
            String container,
            int leavesFrom,
            int leavesTo,
            LocalDate target,
            @Nullable String site,
            @Nullable String grower) {}

    Understood understand(String text) {
        LocalDate today = clock.today();
        List<OrderedLine> past = orders.linesTakenSince(today.minusYears(USUAL_WITHIN_YEARS));
        Question question = PlainWords.read(text, vocabulary(past), today);
        if (!question.missing().isEmpty()) {
            return new Understood(null, null, null, question.missing(), question.notUnderstood(), null);
        }
        if (question.plants().getAsInt() < 1 || question.plants().getAsInt() > OrderLine.MOST_PLANTS) {
            throw new Refusal(
                    "text",
                    Said.of("Ask for 1 to {mostPlants} plants, not {plants, number}.")
                            .with("mostPlants", OrderLine.MOST_PLANTS)
                            .with("plants", question.plants().getAsInt()));
        }
        Variety variety = variety(question);
        Optional<Site> site = question.site().map(Long::valueOf).map(orders::site);
        Optional<OrderedLine> usual = past.stream()
                .filter(line -> line.crop().equals(variety.crop()))
                .max(Comparator.comparing((OrderedLine line) -> line.varietyId() == variety.id())
                        .thenComparing(OrderedLine::placedOn));
        String container = question.container()
                .or(() -> usual.map(OrderedLine::container))
                .orElseGet(() -> crops.containers().get(0).code());
        LeafStage stage = question.stage()
                .or(() -> usual.map(line -> new LeafStage(line.leavesFrom(), line.leavesTo())))
                .orElse(USUAL_STAGE);
        Wish wish = new Wish(
                variety.id(),
                container,
                question.plants().getAsInt(),
                stage.from(),
                stage.to(),
                question.day().orElseThrow(),
                null,
                null,
                site.map(Site::id).orElse(null),
                null);
        try {
            return answer(wish, question.notUnderstood());
        } catch (Refusal refusal) {
            throw new Refusal("text", refusal.said());
        }
    }

    /** The answer to a wish that was understood before, perhaps changed by an offer. */
    Understood answer(Wish wish) {
        return answer(wish, List.of());
    }

    private Understood answer(Wish wish, List<String> notUnderstood) {
        Variety variety = crops.variety(wish.varietyId());
        Optional<Site> site = Optional.ofNullable(wish.siteId()).map(orders::site);
        Optional<Grower> grower = site.flatMap(each -> orders.growers().stream()
                .filter(one -> one.id() == each.growerId())
                .findFirst());
        Reading words = new Reading(
                wish.plants(),
                variety.name(),
                crops.cropOf(variety).name(),
                crops.container(wish.container()).name(),
                wish.leavesFrom(),
                wish.leavesTo(),
                wish.target(),
                site.map(Site::name).orElse(null),
                grower.map(Grower::name).orElse(null));
        return new Understood(
                wish, grower.map(Grower::id).orElse(null), words, List.of(), notUnderstood, plans.view(wish));
    }

    /** Of the varieties that may be meant, the one with the most seed. */
    private Variety variety(Question question) {
        Map<Long, Integer> seedsLeft = seeds.lots().stream()
                .collect(Collectors.groupingBy(SeedLot::varietyId, Collectors.summingInt(SeedLot::seedsLeft)));
        return question.varieties().stream()
                .map(key -> crops.variety(Long.parseLong(key)))
                .max(Comparator.comparing((Variety each) -> seedsLeft.getOrDefault(each.id(), 0)))
                .orElseThrow();
    }

    private Vocabulary vocabulary(List<OrderedLine> past) {
        Map<Long, String> growers = orders.growers().stream().collect(Collectors.toMap(Grower::id, Grower::name));
        Map<String, Long> used =
                past.stream().collect(Collectors.groupingBy(OrderedLine::container, Collectors.counting()));
        return new Vocabulary(
                crops.varieties().stream()
                        .map(variety -> new Vocabulary.Name(
                                String.valueOf(variety.id()),
                                variety.name(),
                                crops.cropOf(variety).name()))
                        .toList(),
                orders.sites().stream()
                        .map(site -> new Vocabulary.Name(
                                String.valueOf(site.id()), site.name(), growers.get(site.growerId())))
                        .toList(),
                crops.containers().stream()
                        .sorted(Comparator.comparing((Container each) -> -used.getOrDefault(each.code(), 0L)))
                        .map(container -> new Vocabulary.Name(container.code(), container.name(), ""))
                        .toList());
    }
}
