package kiver.server.release;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import kiver.core.batch.LossReason;
import kiver.core.order.LineId;
import kiver.core.order.PlantShares;
import kiver.core.outlook.BatchFile;
import kiver.server.account.Person;
import kiver.server.account.Role;
import kiver.server.batch.BatchBook;
import kiver.server.clock.NurseryClock;
import kiver.server.order.Order;
import kiver.server.order.OrderBook;
import kiver.server.order.OrderedLine;
import kiver.server.problem.NotFound;
import kiver.server.problem.Refusal;
import kiver.server.problem.Requests;
import kiver.server.wording.Said;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What growers lost of what was handed over, and what is given in its place while spares are kept. */
@Service
class GrowerLosses {

    private static final int SHOWN = 500;

    private final GrowerLossMapper mapper;
    private final ReleaseMapper releases;
    private final ReleaseService service;
    private final OrderViews orders;
    private final OrderBook book;
    private final BatchBook batches;
    private final Requests requests;
    private final NurseryClock clock;

    GrowerLosses(
            GrowerLossMapper mapper,
            ReleaseMapper releases,
            ReleaseService service,
            OrderViews orders,
            OrderBook book,
            BatchBook batches,
            Requests requests,
            NurseryClock clock) {
        this.mapper = mapper;
        this.releases = releases;
        this.service = service;
        this.orders = orders;
        this.book = book;
        this.batches = batches;
        this.requests = requests;
        this.clock = clock;
    }

    /** A loss that is told. */
    record Told(int line, int plants, LossReason reason, String words) {}

    /** What a person may see, newest first. */
    List<GrowerLossMapper.GrowerLossRow> visibleTo(Person person) {
        return person.role() == Role.GROWER ? mapper.of(person.growerId(), SHOWN) : mapper.newest(SHOWN);
    }

    /** The photograph of a loss. */
    byte[] photograph(int number, Person person) {
        return visible(number, person)
                .flatMap(row -> Optional.ofNullable(mapper.photograph(number)))
                .map(GrowerLossMapper.Photograph::photograph)
                .orElseThrow(() -> new NotFound(
                        Said.of("There is no photograph of loss {number}.").with("number", number)));
    }

    /** Keeps a photograph with a loss, in the place of one there is. */
    @Transactional
    public void picture(int number, byte[] picture, Person person) {
        visible(number, person)
                .orElseThrow(
                        () -> new NotFound(Said.of("There is no loss {number}.").with("number", number)));
        mapper.picture(number, picture);
    }

    private Optional<GrowerLossMapper.GrowerLossRow> visible(int number, Person person) {
        return mapper.held(number)
                .filter(row -> person.role() != Role.GROWER
                        || Long.valueOf(row.growerId()).equals(person.growerId()));
    }

    /** Tells of a loss of plants that left with a note; never of more than left. */
    @Transactional
    public int tell(UUID requestId, int note, Told told, Person person) {
        return (int) requests.once(
                requestId,
                Arrays.asList("loss", note, told.line(), told.plants(), told.reason(), told.words(), person.id()),
                () -> {
                    ReleaseMapper.ReleaseRow release = releases.byNumber(note)
                            .orElseThrow(() -> new NotFound(
                                    Said.of("There is no release {number}.").with("number", note)));
                    Order order = orders.visibleOrder(release.orderNumber(), person);
                    OrderedLine line = order.line(told.line());
                    releases.hold(note);
                    int left = service.releases(List.of(order), batches.filesOnNote(note)).stream()
                            .filter(each -> each.number() == note)
                            .flatMap(each -> each.lines().stream())
                            .filter(part -> part.line() == told.line())
                            .mapToInt(Release.Part::plants)
                            .sum();
                    int most = left - mapper.lost(note, line.id());
                    if (told.plants() > most) {
                        throw new Refusal(
                                "plants",
                                Said.of(
                                                "{left} left with note {note}, and {most} of them are not told lost yet; enter at most that many.")
                                        .with("left", left)
                                        .with("note", note)
                                        .with("most", Math.max(0, most)));
                    }
                    return mapper.insert(note, line.id(), told, clock.today(), person.id());
                });
    }

    /** Promises plants in the place of some that were lost, of the batch they came from, while its spares are kept. */
    @Transactional
    public void replace(UUID requestId, int number, int plants, Person person) {
        requests.once(requestId, Arrays.asList("replace", number, plants, person.id()), () -> {
            book.lockBookings();
            GrowerLossMapper.GrowerLossRow loss = mapper.held(number)
                    .orElseThrow(() ->
                            new NotFound(Said.of("There is no loss {number}.").with("number", number)));
            LocalDate last = loss.releasedOn().plusDays(PlantShares.DAYS_SPARES_ARE_KEPT);
            if (clock.today().isAfter(last)) {
                throw new Refusal(
                        "plants",
                        Said.of("Spares of it were kept until {last}.").with("last", last));
            }
            if (plants > loss.plants() - loss.replaced()) {
                throw new Refusal(
                        "plants",
                        Said.of("{plants} are not replaced yet; give at most that many.")
                                .with("plants", loss.plants() - loss.replaced()));
            }
            OrderedLine line = book.orderHeld(loss.orderNumber()).line(loss.line());
            BatchFile batch = batches.filesOnNote(loss.note()).stream()
                    .filter(file -> spare(file) >= plants
                            && file.releases().stream()
                                    .anyMatch(gone -> gone.line().equals(line.id())))
                    .findFirst()
                    .orElseThrow(() -> new Refusal(
                            "plants", Said.of("So many spares of it are not left. Give fewer, or sow or buy again.")));
            book.setPlants(line, line.plants() + plants, clock.today(), person.id());
            batches.promise(line.id(), batch.batch().number(), plants);
            return mapper.replace(number, plants);
        });
    }

    /** What lives of a batch and nobody waits for, whether it was counted to the end or not. */
    private static int spare(BatchFile file) {
        Map<LineId, Integer> released = file.releasedByLine();
        int waitedFor = file.promises().stream()
                .mapToInt(promise -> {
                    int gone = released.getOrDefault(promise.line(), 0);
                    return gone < promise.accepted() ? promise.plants() - gone : 0;
                })
                .sum();
        return file.plantsAlive() - waitedFor;
    }
}
