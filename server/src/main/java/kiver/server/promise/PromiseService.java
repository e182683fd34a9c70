package kiver.server.promise;

import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import kiver.core.batch.BatchStage;
import kiver.core.crop.Container;
import kiver.core.crop.Crop;
import kiver.core.order.LineId;
import kiver.core.order.Protection;
import kiver.core.outlook.BatchFile;
import kiver.core.plan.ContainerPath;
import kiver.core.plan.Obstacle;
import kiver.core.promise.Answer;
import kiver.core.promise.Promise;
import kiver.core.promise.PromiseCheck;
import kiver.core.promise.SiteChoice;
import kiver.core.space.Occupancy;
import kiver.core.space.Rates;
import kiver.server.crop.CropBook;
import kiver.server.order.OrderBook;
import kiver.server.order.OrderedLine;
import kiver.server.order.OutdoorsBook;
import kiver.server.order.Site;
import kiver.server.plan.PlanRequests;
import kiver.server.plan.Wish;
import kiver.server.problem.Refusal;
import kiver.server.space.SpaceBook;
import kiver.server.wording.Said;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Checks promises against seed, space and weather, and turns an accepted one into an order with a batch. */
@Service
public class PromiseService {

    private static final int MOST_WEEKS_LATER = 16;

    private final PlanRequests plans;
    private final SpaceBook space;
    private final CropBook crops;
    private final OutdoorsBook outdoors;
    private final OrderBook orders;
    private final Bookings bookings;
    private final Sources sources;
    private final ProvisoWords words;
    private final MixNeeds mixes;

    PromiseService(
            PlanRequests plans,
            SpaceBook space,
            CropBook crops,
            OutdoorsBook outdoors,
            OrderBook orders,
            Bookings bookings,
            Sources sources,
            ProvisoWords words,
            MixNeeds mixes) {
        this.mixes = mixes;
        this.plans = plans;
        this.space = space;
        this.crops = crops;
        this.outdoors = outdoors;
        this.orders = orders;
        this.bookings = bookings;
        this.sources = sources;
        this.words = words;
    }

    /** A promise with what was put together for it. */
    public record Checked(PlanRequests.Prepared prepared, Promise promise) {}

    /** Batches that could give what is wished. */
    @Transactional(readOnly = true)
    List<Source> sources(Wish wish, Checked checked, Rates rates) {
        return sources.of(wish, checked.promise().plan().chosen(), rates);
    }

    /**
     * The answer to a wish as things stand now.
     *
     * @param wish asked
     * @param withOffers whether something near is looked for where it is not a plain yes
     */
    @Transactional(readOnly = true)
    public Checked check(Wish wish, boolean withOffers) {
        PlanRequests.Prepared prepared = plans.prepare(wish);
        List<Container> containers = withOffers ? crops.containers() : List.of();
        PromiseCheck check = new PromiseCheck(
                        prepared.season(),
                        space.occupancy(),
                        containers,
                        () -> sites(prepared.request().crop(), wish))
                .withMix(mixes.ahead());
        try {
            return new Checked(
                    prepared, withOffers ? check.check(prepared.request()) : check.answer(prepared.request()));
        } catch (IllegalArgumentException impossible) {
            throw new Refusal(
                    "plants",
                    Said.of(
                            "With this seed no number of cells gives so many plants. Choose another lot, or fewer plants."));
        }
    }

    /** Answers to several wishes, each as if those before it had been taken: none gets room that another stands in. */
    @Transactional(readOnly = true)
    public List<Checked> checkTogether(List<Wish> wishes) {
        Occupancy room = space.occupancy();
        List<Checked> answers = new ArrayList<>();
        for (Wish wish : wishes) {
            PlanRequests.Prepared prepared = plans.prepare(wish);
            Promise promise = new PromiseCheck(prepared.season(), room, List.of(), List::of)
                    .withMix(mixes.ahead())
                    .answer(prepared.request());
            if (promise.answer() != Answer.NO) {
                room = room.with(-1 - answers.size(), promise.stays());
            }
            answers.add(new Checked(prepared, promise));
        }
        return answers;
    }

    /** The wish on every path that ends in its container, the straight one first. */
    @Transactional(readOnly = true)
    public List<Checked> paths(Wish wish) {
        PlanRequests.Prepared prepared = plans.prepare(wish.along(null));
        PromiseCheck check =
                new PromiseCheck(prepared.season(), space.occupancy(), List.of(), List::of).withMix(mixes.ahead());
        return ContainerPath.all(
                        crops.container(wish.container()), prepared.request().crop(), crops.containers())
                .stream()
                .map(path -> new PlanRequests.Prepared(
                        prepared.request().in(path), prepared.season(), prepared.programme(), prepared.lot()))
                .map(each -> new Checked(each, check.answer(each.request())))
                .toList();
    }

    /** The first day after one on which so many plants like those of a line can be had. */
    @Transactional(readOnly = true)
    public LocalDate firstDayFor(OrderedLine line, int plants, LocalDate after) {
        for (int weeks = 1; weeks <= MOST_WEEKS_LATER; weeks++) {
            LocalDate day = after.plusWeeks(weeks);
            if (check(wishFor(line, plants, day), false).promise().plan().isPossible()) {
                return day;
            }
        }
        throw new Refusal(
                "target",
                Said.of("No day within {mostWeeksLater} weeks can be met with new plants.")
                        .with("mostWeeksLater", MOST_WEEKS_LATER));
    }

    /** A wish for other plants like those of a line. */
    public static Wish wishFor(OrderedLine line, int plants, LocalDate day) {
        return new Wish(
                line.varietyId(),
                line.container(),
                plants,
                line.leavesFrom(),
                line.leavesTo(),
                day,
                null,
                null,
                line.siteId(),
                null,
                line.under(),
                line.countedIn(),
                line.protection(),
                null);
    }

    /** The site under better cover, and the grower's other sites. */
    private List<SiteChoice> sites(Crop crop, Wish wish) {
        if (wish.siteId() == null) {
            return List.of();
        }
        Site site = orders.site(wish.siteId());
        Protection cover = wish.protection() == null ? site.protection() : wish.protection();
        List<SiteChoice> choices = new ArrayList<>();
        Arrays.stream(Protection.values())
                .filter(protection -> protection.compareTo(cover) > 0)
                .forEach(protection -> choices.add(new SiteChoice(
                        String.valueOf(site.id()),
                        Optional.of(protection),
                        outdoors.season(crop, site, protection, wish.target()))));
        orders.sites().stream()
                .filter(other -> other.growerId() == site.growerId() && other.id() != site.id())
                .forEach(other -> choices.add(new SiteChoice(
                        String.valueOf(other.id()),
                        Optional.empty(),
                        outdoors.season(crop, other.id(), wish.target()))));
        return choices;
    }

    /**
     * One line of an order to be taken.
     *
     * @param wish as asked
     * @param fromBatch number of the batch that is to give it; null to sow for it
     * @param seen answer that it was taken on; null where none was shown
     */
    public record LineWish(
            Wish wish,
            @Nullable Integer fromBatch,
            @Nullable Answer seen) {}

    /**
     * Takes an order of one line, sown for by itself.
     *
     * @return the number of the order
     */
    @Transactional
    public int accept(UUID requestId, long growerId, Wish wish, Integer succession) {
        return accept(requestId, growerId, wish.siteId(), List.of(new LineWish(wish, null, null)), succession);
    }

    /**
     * Takes an order with all its lines, or none of it.
     *
     * @return the number of the order
     */
    @Transactional
    public int accept(UUID requestId, long growerId, long siteId, List<LineWish> lines, Integer succession) {
        return bookings.once(
                requestId,
                Arrays.asList("order", growerId, siteId, lines, succession),
                () -> take(growerId, siteId, lines, succession));
    }

    /** Takes one order of however many a request holds; must run inside the request. */
    public int take(long growerId, long siteId, List<LineWish> lines, Integer succession) {
        bookings.oneAtATime();
        LocalDate first = lines.stream()
                .map(line -> line.wish().target())
                .min(LocalDate::compareTo)
                .orElseThrow();
        int order = bookings.openOrder(growerId, siteId, first, succession);
        for (int index = 0; index < lines.size(); index++) {
            LineWish line = lines.get(index);
            try {
                addLine(order, new LineWish(line.wish().at(siteId), line.fromBatch(), line.seen()));
            } catch (Refusal refusal) {
                throw lines.size() == 1
                        ? refusal
                        : new Refusal(
                                "lines[" + index + "]." + refusal.field(),
                                Said.of("Line {index}, {variety}: {problem}")
                                        .with("index", (index + 1))
                                        .with(
                                                "variety",
                                                crops.variety(line.wish().varietyId())
                                                        .name())
                                        .with("problem", refusal.said()));
            }
        }
        return order;
    }

    /** Adds a line to an order, with what is to give it, and answers its number in the database. */
    public LineId addLine(int order, LineWish line) {
        bookings.oneAtATime();
        LineId id = bookings.addLine(order, line.wish());
        supply(id, line);
        return id;
    }

    /** Promises plants for a line: of a batch that grows or is planned, or of one that is sown for it. */
    public void supply(LineId lineId, LineWish line) {
        bookings.oneAtATime();
        if (line.fromBatch() != null) {
            Sources.Found found = sources.in(line.fromBatch(), line.wish())
                    .orElseThrow(() -> new Refusal(
                            "fromBatch",
                            Said.of(
                                            "Batch {fromBatch} cannot give {plants} plants like these any more. Look at the answer again.")
                                    .with("fromBatch", line.fromBatch())
                                    .with("plants", line.wish().plants())));
            bookings.promise(lineId, line.fromBatch(), line.wish().plants(), found.size());
            return;
        }
        Checked checked = bookable(line.wish(), line.seen());
        bookings.promise(
                lineId, bookings.addBatch(line.wish(), checked), line.wish().plants(), Optional.empty());
    }

    /** Whether a batch that is not sown yet was planned for more plants than are wanted of it by now. */
    public static boolean isTooLarge(BatchFile file) {
        return file.state().stage() == BatchStage.PLANNED
                && !file.batch().isBoughtIn()
                && !file.promises().isEmpty()
                && file.wanted() < file.batch().plants();
    }

    /** Has a batch sown for no more plants than are wanted of it; left as it is where that cannot be worked out. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void sowOnlyWhatIsWanted(BatchFile file) {
        if (isTooLarge(file)) {
            sources.sizeFor(file, file.wanted())
                    .ifPresent(size -> bookings.resize(file.batch().number(), size));
        }
    }

    /** What a batch could give for a wish; empty where it cannot give all of it. */
    @Transactional(readOnly = true)
    public Optional<Source> source(int batch, Wish wish) {
        return sources.in(batch, wish).map(Sources.Found::source);
    }

    /** Plans a batch for nobody yet and answers its number. */
    @Transactional
    public int sowForNobody(UUID requestId, Wish wish) {
        return bookings.once(requestId, Arrays.asList("batch", wish), () -> {
            bookings.oneAtATime();
            return bookings.addBatch(wish, bookable(wish, null));
        });
    }

    /** Takes a batch that is for nobody and not sown out of the plan. */
    @Transactional
    public void withdraw(UUID requestId, int number) {
        bookings.once(requestId, Arrays.asList("withdraw", number), () -> {
            bookings.withdraw(number);
            return number;
        });
    }

    private Checked bookable(Wish wish, @Nullable Answer seen) {
        Checked checked = check(wish, false);
        if (seen != null && checked.promise().answer().compareTo(seen) > 0) {
            throw new Refusal(
                    "seen",
                    Said.of(
                                    "With all that is promised now, the other lines of this order among it: {all} Take it on these terms, or change it.")
                            .with("all", words.all(checked.prepared(), checked.promise())));
        }
        checked.promise().plan().obstacles().stream()
                .filter(Obstacle::prevents)
                .findFirst()
                .ifPresent(obstacle -> {
                    throw new Refusal("target", Said.plain(words.say(checked.prepared(), obstacle)));
                });
        return checked;
    }
}
