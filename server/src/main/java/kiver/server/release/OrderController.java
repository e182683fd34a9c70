package kiver.server.release;

import jakarta.annotation.Nullable;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import kiver.core.batch.BatchStage;
import kiver.core.outlook.BatchOutlook;
import kiver.core.release.PlantingAdvice;
import kiver.core.release.ReadyCheck;
import kiver.core.release.ReadySample;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.account.Person;
import kiver.server.clock.NurseryClock;
import kiver.server.limit.Limits;
import kiver.server.order.Order;
import kiver.server.order.OrderedLine;
import kiver.server.outlook.BatchAnalyst;
import kiver.server.problem.NotFound;
import kiver.server.wording.Said;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Orders, what is proposed to go with them, and letting it go. */
@RestController
class OrderController {

    private final OrderViews views;
    private final ReleaseService releases;
    private final ReleaseMapper mapper;
    private final DeliveryNote note;
    private final BatchAnalyst analyst;
    private final SiteAdvice advice;
    private final NurseryClock clock;

    OrderController(
            OrderViews views,
            ReleaseService releases,
            ReleaseMapper mapper,
            DeliveryNote note,
            BatchAnalyst analyst,
            SiteAdvice advice,
            NurseryClock clock) {
        this.views = views;
        this.releases = releases;
        this.mapper = mapper;
        this.note = note;
        this.analyst = analyst;
        this.advice = advice;
        this.clock = clock;
    }

    /** Plants that would be taken from a tray. */
    record PickView(int batch, String tray, int plants, boolean wholeTray) {}

    /**
     * What would go with a line now.
     *
     * @param advice what its site asks of whoever plants it today
     * @param leavesNow true leaves that the plants should have; missing where it is not known
     */
    record LinePicks(
            int line,
            List<PickView> picks,
            List<PlantingAdvice> advice,
            @Nullable Double leavesNow) {}

    /** An order with what would go with it now. */
    record OrderWithPicks(OrderView order, List<LinePicks> picks) {}

    /**
     * Plants to let go with one line.
     *
     * @param plants under their name
     * @param mixed plants of which nobody is sure what they are; missing for none
     * @param sample what was looked at of them; missing where nobody looked
     * @param picks cells that were picked for it; missing to let them be chosen
     */
    record PartingEntry(
            @NotNull(message = "Say with which line.") Integer line,

            @NotNull(message = "Say how many plants.") @Min(value = 0, message = "Release at least 1 plant.")
            Integer plants,

            @Nullable @Min(value = 0, message = "Release at least 1 plant.")
            Integer mixed,

            @Nullable @Valid SampleEntry sample,

            @Nullable @Size(max = 500, message = "Name at most 500 trays.")
            List<@Valid @NotNull PickEntry> picks) {

        private ReleaseService.Parting parting() {
            return new ReleaseService.Parting(
                    line,
                    plants,
                    mixed == null ? 0 : mixed,
                    sample == null ? ReadySample.NONE : sample.sample(),
                    picks == null
                            ? List.of()
                            : picks.stream()
                                    .map(pick -> new ReleaseService.Chosen(pick.tray(), pick.cells()))
                                    .toList());
        }
    }

    /** Cells picked from a tray, by its number. */
    record PickEntry(
            @NotNull(message = "Say from which tray.") Integer tray,

            @NotNull(message = "Say which cells.") @Size(min = 1, max = 1000, message = "Name 1 to 1,000 cells.")
            List<@NotNull Integer> cells) {}

    /**
     * What was seen on a sample.
     *
     * @param plants looked at
     * @param held what was as it should be
     */
    record SampleEntry(
            @NotNull(message = "Say how many plants you looked at.")
            @Min(value = 1, message = "Look at 1 plant or more.")
            @Max(value = 10_000, message = "Look at 10,000 plants at most.")
            Integer plants,

            @NotNull(message = "Say what was as it should be.")
            Set<@NotNull ReadyCheck> held) {

        private ReadySample sample() {
            return new ReadySample(plants, held);
        }
    }

    /**
     * What is to go.
     *
     * @param seedOf lines whose seed goes, to be sown in place; missing for none
     */
    record ReleaseEntry(
            @NotNull UUID requestId,
            @NotNull(message = "Say for which order.") Integer order,

            @NotNull(message = "Say how many plants go with which line.")
            @Size(max = 200, message = "Name at most 200 lines.")
            List<@Valid @NotNull PartingEntry> lines,

            @Nullable @Size(max = 200, message = "Name at most 200 lines.")
            List<@NotNull(message = "Say with which line.") Integer> seedOf) {}

    /** The release made. */
    record ReleaseMade(int number) {}

    @OpenTo(Callers.WHOEVER_IS_SIGNED_IN)
    @GetMapping("/api/orders")
    List<OrderView> orders(
            @RequestParam(defaultValue = "false") boolean withDone,
            @RequestParam Optional<Integer> year,
            @AuthenticationPrincipal Person person) {
        return views.visibleTo(person, withDone, year.map(Limits::year));
    }

    @OpenTo(Callers.WHOEVER_IS_SIGNED_IN)
    @GetMapping("/api/orders/{number}")
    OrderWithPicks order(@PathVariable int number, @AuthenticationPrincipal Person person) {
        OrderView view = views.one(number, person);
        Order order = views.visibleOrder(number, person);
        List<BatchOutlook> all =
                analyst.of(order.lines().stream().map(OrderedLine::id).toList());
        List<LinePicks> picks = view.lines().stream()
                .filter(line -> line.ready() > 0)
                .map(line -> new LinePicks(
                        line.line(),
                        releases
                                .propose(
                                        order.line(line.line()),
                                        all,
                                        line.asked().plants() - line.released())
                                .stream()
                                .map(pick -> new PickView(
                                        pick.batch(), releases.code(pick.tray()), pick.plants(), pick.wholeTray()))
                                .toList(),
                        advice.of(order.line(line.line()), clock.today()),
                        leavesNow(order.line(line.line()), all)))
                .toList();
        return new OrderWithPicks(view, picks);
    }

    /** Of the oldest plants that are ready for it. */
    @Nullable
    private static Double leavesNow(OrderedLine line, List<BatchOutlook> all) {
        return all.stream()
                .filter(batch -> batch.stage() == BatchStage.READY
                        && batch.trouble().isEmpty()
                        && batch.file().promises().stream()
                                .anyMatch(promise -> promise.line().equals(line.id())))
                .map(BatchOutlook::leavesNow)
                .max(Double::compare)
                .orElse(null);
    }

    @OpenTo(Callers.PROPAGATOR)
    @PostMapping("/api/releases")
    ReleaseMade release(@Valid @RequestBody ReleaseEntry entry, @AuthenticationPrincipal Person person) {
        return new ReleaseMade(releases.release(
                entry.requestId(),
                entry.order(),
                entry.lines().stream().map(PartingEntry::parting).toList(),
                entry.seedOf() == null
                        ? List.of()
                        : entry.seedOf().stream().distinct().toList(),
                person.id()));
    }

    @OpenTo(Callers.WHOEVER_IS_SIGNED_IN)
    @GetMapping(value = "/api/releases/{number}/note.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> note(@PathVariable int number, @AuthenticationPrincipal Person person) {
        ReleaseMapper.ReleaseRow release = mapper.byNumber(number)
                .orElseThrow(() ->
                        new NotFound(Said.of("There is no release {number}.").with("number", number)));
        Order order = views.visibleOrder(release.orderNumber(), person);
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "inline; filename=\"delivery-note-" + number + ".pdf\"")
                .body(note.print(release, order));
    }
}
