package kiver.server.question;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.IntStream;
import kiver.core.crop.ContainerCode;
import kiver.core.order.LeafStage;
import kiver.core.order.OrderLine;
import kiver.core.promise.Answer;
import kiver.core.promise.Promise;
import kiver.server.clock.NurseryClock;
import kiver.server.crop.CropBook;
import kiver.server.crop.Variety;
import kiver.server.order.Grower;
import kiver.server.order.OrderBook;
import kiver.server.order.Site;
import kiver.server.plan.Wish;
import kiver.server.problem.Refusal;
import kiver.server.promise.PlanViews;
import kiver.server.promise.PromiseService;
import kiver.server.wording.Said;
import org.springframework.stereotype.Component;

/** Understands a question in plain words, with the names and habits of this nursery, and answers it. */
@Component
class Questions {

    /** What is usual is told by orders of so many years. */
    private static final int USUAL_WITHIN_YEARS = 2;

    /** Nobody chooses among more on the telephone. */
    private static final int MOST_CHOICES = 8;

    private static final int MOST_LINES = 12;

    private final PlanViews plans;
    private final PromiseService promises;
    private final SowableLots sowable;
    private final CropBook crops;
    private final OrderBook orders;
    private final NurseryClock clock;

    Questions(
            PlanViews plans,
            PromiseService promises,
            SowableLots sowable,
            CropBook crops,
            OrderBook orders,
            NurseryClock clock) {
        this.plans = plans;
        this.promises = promises;
        this.sowable = sowable;
        this.crops = crops;
        this.orders = orders;
        this.clock = clock;
    }

    /**
     * The answer to a question.
     *
     * @param text as typed
     * @param monthFirst whether 6/12 is in June
     * @param before what was asked just before; a question that only changes something changes that
     * @param settled wishes of lines that were settled by choosing, by their place from 0
     */
    Answered answer(String text, boolean monthFirst, List<Wish> before, Map<Integer, Wish> settled) {
        LocalDate today = clock.today();
        Habits habits = new Habits(orders.linesTakenSince(today.minusYears(USUAL_WITHIN_YEARS)), crops);
        Vocabulary vocabulary = habits.vocabulary(orders);
        Question question = new QuestionReader(vocabulary, today, monthFirst).read(text);
        List<Answered.LostWord> notUnderstood = question.notUnderstood().stream()
                .map(word -> new Answered.LostWord(word.word(), word.from(), word.to()))
                .toList();
        if (question.kind() == Question.Kind.STILL_TO_SOW) {
            return new Answered(
                    List.of(), false, notUnderstood, sowable.of(question.lines().get(0), habits));
        }
        boolean follows = !before.isEmpty() && question.isFollowUp();
        List<Asked> asked = follows
                ? FollowUp.of(question, before.stream().map(Questions::asked).toList())
                : question.lines();
        if (asked.size() > MOST_LINES) {
            throw new Refusal(
                    "text",
                    Said.of("Ask for at most {mostLines} kinds at once.").with("mostLines", MOST_LINES));
        }
        List<Answered.AskedLine> lines = IntStream.range(0, asked.size())
                .mapToObj(index -> settled.containsKey(index)
                        ? settled(settled.get(index), asked.get(index))
                        : answeredOrRefused(
                                asked.get(index), habits, follows && index < before.size() ? before.get(index) : null))
                .toList();
        return new Answered(lines, question.adds(), notUnderstood, null);
    }

    /** A wish that was asked before, as it would be said. */
    private static Asked asked(Wish wish) {
        return new Asked(
                Optional.of(new Asked.Amount(wish.plants(), false)),
                List.of(wish.varietyId()),
                Optional.of(DaySpan.of(wish.target())),
                Optional.empty(),
                Optional.ofNullable(wish.siteId()).stream().toList(),
                List.of(wish.container()),
                Optional.of(new LeafStage(wish.leavesFrom(), wish.leavesTo())),
                Optional.ofNullable(wish.protection()));
    }

    private Answered.AskedLine settled(Wish wish, Asked asked) {
        return line(wish, trays(asked), asked.day().orElse(DaySpan.of(wish.target())));
    }

    private static Optional<Integer> trays(Asked asked) {
        return asked.amount().filter(Asked.Amount::trays).map(Asked.Amount::number);
    }

    /** One kind that cannot be asked for stands among the others with the reason. */
    private Answered.AskedLine answeredOrRefused(Asked asked, Habits habits, Wish before) {
        try {
            return answered(asked, habits, before);
        } catch (Refusal refused) {
            return Answered.AskedLine.refused(null, refused.said());
        }
    }

    private Answered.AskedLine answered(Asked asked, Habits habits, Wish before) {
        List<Answered.Missing> missing = missing(asked);
        List<Answered.Fitting> choices = choices(asked, habits, missing.isEmpty());
        if (!missing.isEmpty() || !choices.isEmpty()) {
            return Answered.AskedLine.unsettled(missing, choices);
        }
        Wish wish = wish(asked, asked.varieties().get(0), habits);
        if (before != null && before.container().equals(wish.container())) {
            wish = wish.along(before.containerPath());
        }
        return line(
                firstYes(wish, asked.day().orElseThrow()),
                trays(asked),
                asked.day().orElseThrow());
    }

    private static List<Answered.Missing> missing(Asked asked) {
        List<Answered.Missing> missing = new ArrayList<>();
        if (asked.amount().isEmpty()) {
            missing.add(Answered.Missing.PLANTS);
        }
        if (asked.varieties().isEmpty()) {
            missing.add(Answered.Missing.VARIETY);
        }
        if (asked.day().isEmpty()) {
            missing.add(Answered.Missing.DAY);
        }
        return missing;
    }

    /** What must be chosen first: the variety, then the container, then the site. */
    private List<Answered.Fitting> choices(Asked asked, Habits habits, boolean answerable) {
        if (asked.varieties().size() > 1) {
            return choices(asked.varieties(), variety -> {
                Variety one = crops.variety(variety);
                return choice(
                        Answered.FittingKind.VARIETY,
                        one.name(),
                        crops.cropOf(one).name(),
                        answerable ? wish(asked, variety, habits) : null,
                        asked);
            });
        }
        List<ContainerCode> containers = containers(asked, habits);
        if (containers.size() > 1) {
            return choices(
                    containers,
                    code -> choice(
                            Answered.FittingKind.CONTAINER,
                            crops.container(code).name(),
                            "",
                            answerable ? wish(asked, asked.varieties().get(0), code, habits) : null,
                            asked));
        }
        if (asked.sites().size() > 1) {
            return choices(asked.sites(), id -> {
                Site site = orders.site(id);
                return choice(
                        Answered.FittingKind.SITE,
                        site.name(),
                        grower(site).name(),
                        answerable
                                ? wish(asked, asked.varieties().get(0), habits).at(id)
                                : null,
                        asked);
            });
        }
        return List.of();
    }

    private static <T> List<Answered.Fitting> choices(List<T> things, Function<T, Answered.Fitting> choice) {
        return things.stream()
                .limit(MOST_CHOICES)
                .map(choice)
                .sorted(Comparator.comparing(
                                Answered.Fitting::answer, Comparator.nullsLast(Comparator.<Answer>naturalOrder()))
                        .thenComparing(Answered.Fitting::chance, Comparator.nullsLast(Comparator.reverseOrder())))
                .toList();
    }

    /** One that cannot be worked out stands beside the others without an answer. */
    private Answered.Fitting choice(Answered.FittingKind kind, String name, String of, Wish wish, Asked asked) {
        if (wish == null) {
            return new Answered.Fitting(kind, name, of, null, null, null);
        }
        try {
            Wish best = firstYes(wish, asked.day().orElseThrow());
            Promise promise = promises.check(best, false).promise();
            return new Answered.Fitting(
                    kind, name, of, best, promise.answer(), promise.plan().chance());
        } catch (Refusal refused) {
            return new Answered.Fitting(kind, name, of, wish, Answer.NO, 0.0);
        }
    }

    /** Of several that were said the usual one, where it is among them. */
    private List<ContainerCode> containers(Asked asked, Habits habits) {
        if (asked.containers().size() <= 1 || asked.varieties().isEmpty()) {
            return asked.containers();
        }
        ContainerCode usual = habits.container(crops.variety(asked.varieties().get(0)));
        return asked.containers().contains(usual) ? List.of(usual) : asked.containers();
    }

    private Wish wish(Asked asked, long varietyId, Habits habits) {
        List<ContainerCode> said = containers(asked, habits);
        ContainerCode container = said.isEmpty() ? habits.container(crops.variety(varietyId)) : said.get(0);
        return wish(asked, varietyId, container, habits);
    }

    private Wish wish(Asked asked, long varietyId, ContainerCode container, Habits habits) {
        Asked.Amount amount = asked.amount().orElseThrow();
        long plants = (long) amount.number()
                * (amount.trays() ? crops.container(container).cells() : 1);
        if (plants < 1 || plants > OrderLine.MOST_PLANTS) {
            throw new Refusal(
                    "text",
                    Said.of("Ask for 1 to {mostPlants, number} plants of {variety}.")
                            .with("mostPlants", OrderLine.MOST_PLANTS)
                            .with("variety", crops.variety(varietyId).name()));
        }
        LeafStage stage = asked.stage().orElseGet(() -> habits.stage(crops.variety(varietyId)));
        return new Wish(
                        varietyId,
                        container,
                        (int) plants,
                        stage.from(),
                        stage.to(),
                        asked.day().orElseThrow().first(),
                        null,
                        null)
                .at(asked.sites().size() == 1 ? asked.sites().get(0) : null)
                .covered(asked.protection().orElse(null));
    }

    /** For days that span some time: the first of them, its middle or the last, whichever is a yes first. */
    private Wish firstYes(Wish wish, DaySpan span) {
        LocalDate first = span.first().isBefore(clock.today()) && !span.last().isBefore(clock.today())
                ? clock.today()
                : span.first();
        List<LocalDate> days =
                List.of(first, first.plusDays(ChronoUnit.DAYS.between(first, span.last()) / 2), span.last()).stream()
                        .distinct()
                        .toList();
        return days.stream()
                .map(day -> wish.with(wish.plants(), day))
                .filter(each -> days.size() == 1
                        || promises.check(each, false).promise().answer() == Answer.YES)
                .findFirst()
                .orElse(wish.with(wish.plants(), first));
    }

    private Answered.AskedLine line(Wish wish, Optional<Integer> trays, DaySpan span) {
        Variety variety = crops.variety(wish.varietyId());
        Optional<Site> site = Optional.ofNullable(wish.siteId()).map(orders::site);
        Optional<Grower> grower = site.map(this::grower);
        boolean within = !wish.target().isBefore(span.first()) && !wish.target().isAfter(span.last());
        Answered.Reading reading = new Answered.Reading(
                wish,
                trays.filter(count ->
                                (long) count * crops.container(wish.container()).cells() == wish.plants())
                        .orElse(null),
                variety.name(),
                crops.cropOf(variety).name(),
                crops.container(wish.container()).name(),
                within ? span.first() : wish.target(),
                within ? span.last() : wish.target(),
                site.map(Site::name).orElse(null),
                grower.map(Grower::name).orElse(null));
        try {
            return Answered.AskedLine.answered(reading, grower.map(Grower::id).orElse(null), plans.view(wish));
        } catch (Refusal refused) {
            return Answered.AskedLine.refused(reading, refused.said());
        }
    }

    private Grower grower(Site site) {
        return orders.growers().stream()
                .filter(each -> each.id() == site.growerId())
                .findFirst()
                .orElseThrow();
    }
}
