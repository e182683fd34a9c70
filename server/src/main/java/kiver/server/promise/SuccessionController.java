package kiver.server.promise;

import jakarta.annotation.Nullable;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import kiver.core.growth.DateSpread;
import kiver.core.plan.Plan;
import kiver.core.plan.Succession;
import kiver.core.promise.Answer;
import kiver.core.sow.SowingOption;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.order.OrderBook;
import kiver.server.plan.Wish;
import kiver.server.problem.Refusal;
import kiver.server.wording.Said;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Quantities spread over a period, and standing orders. */
@RestController
class SuccessionController {

    private final PromiseService promises;
    private final Bookings bookings;
    private final OrderBook orders;
    private final ProvisoWords words;

    SuccessionController(PromiseService promises, Bookings bookings, OrderBook orders, ProvisoWords words) {
        this.words = words;
        this.promises = promises;
        this.bookings = bookings;
        this.orders = orders;
    }

    /**
     * A succession as typed. The wish's plants are those of the whole period; its target is the first day.
     *
     * @param wish what is wanted each time
     * @param until last day
     * @param count of sowings into which the plants are divided; missing for a standing order
     * @param every days of a standing order, which asks for the wish's plants each time; missing otherwise
     */
    record SuccessionEntry(
            @NotNull @Valid Wish wish,
            @NotNull(message = "Choose the last day.") LocalDate until,

            @Nullable
            @Min(value = 1, message = "At least one sowing.")
            @Max(value = Succession.MOST_PARTS, message = "At most 60 sowings.")
            Integer count,

            @Nullable
            @Min(value = 1, message = "Every day at most.")
            @Max(value = 120, message = "At most every 120 days.")
            Integer every) {}

    /** A succession to be taken. */
    record SuccessionOrder(
            @NotNull UUID requestId,
            @NotNull(message = "Choose the grower.") Long growerId,
            @NotNull(message = "Choose the site.") Long siteId,
            @NotNull @Valid SuccessionEntry succession) {}

    /** One part with its plan. */
    record PartView(
            LocalDate ready,
            int plants,
            Answer answer,
            double chance,
            @Nullable LocalDate sowDay,
            @Nullable DateSpread readySpread,
            int cells,
            int seeds,
            String why) {}

    /** The number of orders taken and of the first. */
    record SuccessionTaken(int orders, int first) {}

    @OpenTo(Callers.PROPAGATOR)
    @PostMapping("/api/successions/plan")
    List<PartView> plan(@Valid @RequestBody SuccessionEntry entry) {
        return parts(entry).parts().stream()
                .map(part -> view(entry.wish(), part))
                .toList();
    }

    @OpenTo(Callers.PROPAGATOR)
    @PostMapping("/api/successions")
    @Transactional
    public SuccessionTaken take(@Valid @RequestBody SuccessionOrder entry) {
        Succession succession = parts(entry.succession());
        int first = bookings.once(entry.requestId(), List.of("succession", entry), () -> {
            int number = orders.nextSuccession();
            List<Integer> taken = new ArrayList<>();
            for (Succession.Part part : succession.parts()) {
                Wish wish = of(entry.succession().wish(), part);
                taken.add(promises.take(
                        entry.growerId(),
                        entry.siteId(),
                        List.of(new PromiseService.LineWish(wish, null, null)),
                        number));
            }
            return taken.get(0);
        });
        return new SuccessionTaken(succession.parts().size(), first);
    }

    private PartView view(Wish wish, Succession.Part part) {
        PromiseService.Checked checked = promises.check(of(wish, part), false);
        Plan plan = checked.promise().plan();
        String why = words.all(checked.prepared(), checked.promise());
        return new PartView(
                part.ready(),
                part.plants(),
                checked.promise().answer(),
                plan.chance(),
                plan.sowDay().orElse(null),
                plan.ready().orElse(null),
                plan.chosen().map(SowingOption::cells).orElse(0),
                plan.chosen().map(SowingOption::seeds).orElse(0),
                why);
    }

    private static Wish of(Wish wish, Succession.Part part) {
        return wish.with(part.plants(), part.ready());
    }

    private static Succession parts(SuccessionEntry entry) {
        if ((entry.count() == null) == (entry.every() == null)) {
            throw new Refusal(
                    "count",
                    Said.of("Say either into how many sowings it is divided, or every how many days it comes."));
        }
        LocalDate first = entry.wish().target();
        if (entry.until().isBefore(first)) {
            throw new Refusal("until", Said.of("The last day lies before the first."));
        }
        long most = Math.min(Succession.MOST_PARTS, entry.until().toEpochDay() - first.toEpochDay() + 1);
        if (entry.count() != null && (entry.count() < 1 || entry.count() > most)) {
            throw new Refusal(
                    "count",
                    Said.of("Choose from 1 to {most} sowings for this period.").with("most", most));
        }
        if (entry.count() != null && entry.wish().plants() < entry.count()) {
            throw new Refusal(
                    "count",
                    Said.of("{plants} plants cannot be divided into {count} sowings.")
                            .with("plants", entry.wish().plants())
                            .with("count", entry.count()));
        }
        if (entry.every() != null && entry.every() < 1) {
            throw new Refusal("every", Said.of("A standing order comes every day at most."));
        }
        if (entry.every() != null
                && (entry.until().toEpochDay() - first.toEpochDay()) / entry.every() >= Succession.MOST_PARTS) {
            throw new Refusal(
                    "until",
                    Said.of("These would be more than {most} sowings; choose a nearer last day.")
                            .with("most", Succession.MOST_PARTS));
        }
        return entry.count() != null
                ? Succession.dividing(entry.wish().plants(), entry.wish().target(), entry.until(), entry.count())
                : Succession.standing(entry.wish().plants(), entry.wish().target(), entry.until(), entry.every());
    }
}
