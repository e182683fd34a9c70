package kiver.server.release;

import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import java.util.stream.IntStream;
import kiver.core.outlook.Batch;
import kiver.core.outlook.BatchFile;
import kiver.server.account.Account;
import kiver.server.account.AccountMapper;
import kiver.server.account.Person;
import kiver.server.account.Role;
import kiver.server.batch.BatchBook;
import kiver.server.clock.NurseryClock;
import kiver.server.message.Outbox;
import kiver.server.order.Order;
import kiver.server.order.OrderBook;
import kiver.server.order.OrderedLine;
import kiver.server.order.Site;
import kiver.server.plan.Wish;
import kiver.server.problem.NotFound;
import kiver.server.problem.Refusal;
import kiver.server.problem.Requests;
import kiver.server.promise.PromiseService;
import kiver.server.wording.Said;
import kiver.server.wording.SpokenTo;
import kiver.server.wording.Wording;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What growers ask for, and the propagator's answers; a yes carries out what was asked. */
@Service
class GrowerRequests {

    private static final int SHOWN = 200;

    private final GrowerRequestMapper mapper;
    private final OrderViews orders;
    private final OrderEditService edits;
    private final PromiseService promises;
    private final OrderBook book;
    private final BatchBook batches;
    private final Outbox outbox;
    private final AccountMapper accounts;
    private final Requests requests;
    private final NurseryClock clock;
    private final Wording wording;

    GrowerRequests(
            GrowerRequestMapper mapper,
            OrderViews orders,
            OrderEditService edits,
            PromiseService promises,
            OrderBook book,
            BatchBook batches,
            Outbox outbox,
            AccountMapper accounts,
            Requests requests,
            NurseryClock clock,
            Wording wording) {
        this.mapper = mapper;
        this.orders = orders;
        this.edits = edits;
        this.promises = promises;
        this.book = book;
        this.batches = batches;
        this.outbox = outbox;
        this.accounts = accounts;
        this.requests = requests;
        this.clock = clock;
        this.wording = wording;
    }

    /** What a grower asks for. */
    enum Kind {
        /** Takes them as they will be: nothing to answer. */
        ACCEPT,
        /** On another day. */
        LATER,
        /** Fewer of them. */
        FEWER,
        /** None of them. */
        CANCEL,
        /** Plants of a batch that are free. */
        WANT,
        /** The like of a line again and again. */
        AGAIN
    }

    /** Where it is. */
    enum State {
        OPEN,
        GRANTED,
        DECLINED
    }

    /**
     * What is asked.
     *
     * @param target for {@link Kind#LATER}; the first day for {@link Kind#AGAIN}
     * @param plants for {@link Kind#FEWER}, those wanted from then on; for {@link Kind#WANT}; each time for {@link Kind#AGAIN}
     * @param times for {@link Kind#AGAIN}
     * @param weeksApart for {@link Kind#AGAIN}
     */
    record Asked(
            Kind kind,
            @Nullable LocalDate target,
            @Nullable Integer plants,
            @Nullable Integer times,
            @Nullable Integer weeksApart,
            String words) {

        /** Nothing that is asked for again and again. */
        Asked(Kind kind, @Nullable LocalDate target, @Nullable Integer plants, String words) {
            this(kind, target, plants, null, null, words);
        }
    }

    /** So often at most in one request, as the database holds it. */
    static final int MOST_TIMES = 30;

    /** So far apart at most. */
    static final int MOST_WEEKS_APART = 26;

    /** What the person may see: a grower theirs, newest first. */
    List<GrowerRequestMapper.GrowerRequestRow> visibleTo(Person person) {
        return person.role() == Role.GROWER ? mapper.of(person.growerId(), SHOWN) : mapper.newest(SHOWN);
    }

    /** Asks for a change of a line. */
    @Transactional
    public void ask(UUID requestId, int number, int position, Asked asked, Person person) {
        requests.once(requestId, Arrays.asList("ask", number, position, asked, person.id()), () -> {
            orders.visibleOrder(number, person);
            // Held, so that of two who ask at once the second sees the first.
            Order order = book.orderHeld(number);
            OrderedLine line = order.line(position);
            requireSensible(line, asked);
            return mapper.insert(
                    order.growerId(), line.id(), null, asked, clock.today(), person.id(), first(asked.kind()));
        });
    }

    private static State first(Kind kind) {
        return kind == Kind.ACCEPT ? State.GRANTED : State.OPEN;
    }

    private void requireSensible(OrderedLine line, Asked asked) {
        if (asked.kind() == Kind.WANT) {
            throw new Refusal("kind", Said.of("Ask for free plants where they are offered."));
        }
        if (mapper.open(line.id()) > 0) {
            throw new Refusal("line", Said.of("Something is asked for this line already; wait for the answer."));
        }
        if (asked.kind() == Kind.AGAIN) {
            requireStanding(asked);
            return;
        }
        if (line.cancelledOn() != null) {
            throw new Refusal("line", Said.of("This line is cancelled already."));
        }
        LocalDate target = asked.target();
        if (asked.kind() == Kind.LATER
                && (target == null || target.isBefore(clock.today()) || target.equals(line.target()))) {
            throw new Refusal("target", Said.of("Choose another day, today or later."));
        }
        if (asked.kind() == Kind.FEWER
                && (asked.plants() == null || asked.plants() < 1 || asked.plants() >= line.plants())) {
            throw new Refusal(
                    "plants",
                    Said.of("Enter 1 to {most} plants, or cancel the line.").with("most", line.plants() - 1));
        }
    }

    private void requireStanding(Asked asked) {
        if (asked.target() == null || !asked.target().isAfter(clock.today())) {
            throw new Refusal("target", Said.of("Choose a first day after today."));
        }
        if (asked.plants() == null) {
            throw new Refusal("plants", Said.of("Say how many plants each time."));
        }
        if (asked.times() == null || asked.weeksApart() == null) {
            throw new Refusal("times", Said.of("Say how often, and how many weeks apart."));
        }
        LocalDate last = asked.target().plusWeeks((long) (asked.times() - 1) * asked.weeksApart());
        if (last.isAfter(clock.today().plusDays(Wish.DAYS_AHEAD))) {
            throw new Refusal(
                    "times",
                    Said.of("The last would be on {last}; plants are promised until {until}.")
                            .with("last", last)
                            .with("until", clock.today().plusDays(Wish.DAYS_AHEAD)));
        }
    }

    /** Asks for plants of a batch that are free. */
    @Transactional
    public void want(UUID requestId, int batch, Asked asked, Person person) {
        requests.once(requestId, Arrays.asList("want", batch, asked, person.id()), () -> {
            if (person.growerId() == null) {
                throw new Refusal("batch", Said.of("Only growers ask for plants here; take an order instead."));
            }
            BatchFile file = batches.file(batch);
            int free = file.shares(clock.today()).free();
            if (asked.plants() == null || asked.plants() < 1 || asked.plants() > free) {
                throw new Refusal(
                        "plants",
                        free == 0
                                ? Said.of("None of these are free any more.")
                                : Said.of("Enter 1 to {most} plants.").with("most", free));
            }
            return mapper.insert(person.growerId(), null, batch, asked, clock.today(), person.id(), State.OPEN);
        });
    }

    /** Answers; a yes to a change of a line makes it. */
    @Transactional
    public void answer(UUID requestId, int number, boolean granted, String words, Person person) {
        requests.once(requestId, Arrays.asList("answer", number, granted, words, person.id()), () -> {
            GrowerRequestMapper.GrowerRequestRow asked = mapper.held(number)
                    .orElseThrow(() -> new NotFound(
                            Said.of("There is no request {number}.").with("number", number)));
            if (asked.state() != State.OPEN) {
                throw new Refusal("number", Said.of("This was answered already. Load the page again."));
            }
            if (granted && asked.kind() == Kind.AGAIN) {
                takeAgain(requestIdFor(requestId), asked);
            } else if (granted && asked.kind() == Kind.WANT) {
                take(requestIdFor(requestId), asked);
            } else if (granted) {
                edits.make(requestIdFor(requestId), asked.orderNumber(), edit(asked), person);
            }
            mapper.answer(number, granted ? State.GRANTED : State.DECLINED, words, clock.today(), person.id());
            tell(asked, granted, words);
            return number;
        });
    }

    /** The change that a yes makes has a number of its own, which follows from that of the answer. */
    private static UUID requestIdFor(UUID answer) {
        return new UUID(answer.getMostSignificantBits() ^ 1, answer.getLeastSignificantBits());
    }

    /** An order of what was free, for the grower's first site and the day on which it is ready. */
    private void take(UUID request, GrowerRequestMapper.GrowerRequestRow asked) {
        Batch batch = batches.file(asked.batch()).batch();
        LocalDate target = batch.target().isBefore(clock.today()) ? clock.today() : batch.target();
        Site site = book.sites().stream()
                .filter(each -> each.growerId() == asked.growerId())
                .findFirst()
                .orElseThrow(() -> new Refusal("number", Said.of("This grower has no site yet. Add one first.")));
        Wish wish = new Wish(
                        batch.varietyId(),
                        batch.container(),
                        asked.plants(),
                        batch.stage().from(),
                        batch.stage().to(),
                        target,
                        null,
                        null)
                .at(site.id());
        promises.accept(
                request,
                asked.growerId(),
                site.id(),
                List.of(new PromiseService.LineWish(wish, asked.batch(), null)),
                null);
    }

    /** One order with a line for each time, or none of it where one of them cannot be had. */
    private void takeAgain(UUID request, GrowerRequestMapper.GrowerRequestRow asked) {
        OrderedLine like = book.order(asked.orderNumber()).line(asked.line());
        List<PromiseService.LineWish> lines = IntStream.range(0, asked.times())
                .mapToObj(time -> asked.target().plusWeeks((long) time * asked.weeksApart()))
                .map(day -> new PromiseService.LineWish(PromiseService.wishFor(like, asked.plants(), day), null, null))
                .toList();
        promises.accept(request, asked.growerId(), like.siteId(), lines, null);
    }

    private static OrderEdit edit(GrowerRequestMapper.GrowerRequestRow asked) {
        return switch (asked.kind()) {
            case LATER -> new OrderEdit(asked.line(), OrderEdit.Kind.DAY, null, asked.target(), false);
            case FEWER -> new OrderEdit(asked.line(), OrderEdit.Kind.PLANTS, asked.plants(), null, false);
            case CANCEL -> new OrderEdit(asked.line(), OrderEdit.Kind.CANCEL, null, null, false);
            case ACCEPT, WANT, AGAIN ->
                throw new IllegalStateException("Nothing is changed by a request of kind " + asked.kind() + ".");
        };
    }

    private void tell(GrowerRequestMapper.GrowerRequestRow asked, boolean granted, String words) {
        for (Account reader : accounts.peopleOf(asked.growerId())) {
            SpokenTo.to(reader.speech(), () -> {
                String subject = wording.say(
                        granted
                                ? Said.of("Yes: {variety}").with("variety", asked.variety())
                                : Said.of("Sorry, no: {variety}").with("variety", asked.variety()));
                String body = words.isBlank()
                        ? wording.say(
                                Said.of("What you asked for is answered; your page says how your plants stand now."))
                        : words;
                outbox.write(asked.growerId(), reader.email(), subject, body);
            });
        }
    }
}
