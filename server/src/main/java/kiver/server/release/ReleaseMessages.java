package kiver.server.release;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import kiver.server.account.Account;
import kiver.server.account.AccountMapper;
import kiver.server.account.GrowerLinks;
import kiver.server.message.Outbox;
import kiver.server.order.Order;
import kiver.server.wording.Said;
import kiver.server.wording.SpokenTo;
import kiver.server.wording.WholeDay;
import kiver.server.wording.Wording;
import org.springframework.stereotype.Component;

/** Tells growers that plants have left for them. */
@Component
class ReleaseMessages {

    private final Outbox outbox;
    private final AccountMapper accounts;
    private final GrowerLinks links;
    private final Wording wording;

    ReleaseMessages(Outbox outbox, AccountMapper accounts, GrowerLinks links, Wording wording) {
        this.outbox = outbox;
        this.accounts = accounts;
        this.links = links;
        this.wording = wording;
    }

    /** What left of a line. */
    record Left(int plants, String variety) {}

    /** By which code a grower opens their page, where there is one. */
    Optional<Said> page(long grower) {
        return links.of(grower)
                .map(link -> Said.of("Your page opens with the code {code} until {until}.")
                        .with("code", link.code())
                        .with("until", new WholeDay(link.until())));
    }

    /** To everybody who belongs to the grower, each in their own language; nobody who does is told nothing. */
    void write(Order order, int note, LocalDate day, List<Left> left) {
        for (Account reader : accounts.peopleOf(order.growerId())) {
            SpokenTo.to(reader.speech(), () -> write(reader, order, note, day, left));
        }
    }

    private void write(Account reader, Order order, int note, LocalDate day, List<Left> left) {
        String what = left.stream()
                .map(each -> wording.say(Said.of("{plants} {variety}")
                        .with("plants", each.plants())
                        .with("variety", each.variety())))
                .collect(Collectors.joining(", "));
        String subject = wording.say(Said.of("Order {order}: your plants have left, note {note}")
                .with("order", order.number())
                .with("note", note));
        String body = wording.say(Said.of(
                                "On {day} these left for {site}: {what}. How to plant them is on note {note}, which goes with them and is on your page.")
                        .with("day", new WholeDay(day))
                        .with("site", order.site())
                        .with("what", what)
                        .with("note", note))
                + page(order.growerId())
                        .map(words -> "\n\n" + wording.say(words))
                        .orElse("");
        outbox.write(order.growerId(), reader.email(), subject, body);
    }
}
