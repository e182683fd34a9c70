package kiver.server.release;

import jakarta.annotation.Nullable;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.UUID;
import kiver.core.batch.BatchStage;
import kiver.core.growth.DateSpread;
import kiver.core.order.OrderLine;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.account.Person;
import kiver.server.clock.NurseryClock;
import kiver.server.crop.CropBook;
import kiver.server.outlook.BatchAnalyst;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** What growers ask for, what they are answered, and what is free to be asked for. */
@RestController
class GrowerRequestController {

    private final GrowerRequests requests;
    private final BatchAnalyst analyst;
    private final CropBook crops;
    private final NurseryClock clock;

    GrowerRequestController(GrowerRequests requests, BatchAnalyst analyst, CropBook crops, NurseryClock clock) {
        this.requests = requests;
        this.analyst = analyst;
        this.crops = crops;
        this.clock = clock;
    }

    /** What a grower asks for a line. */
    record LineRequest(
            @NotNull UUID requestId,
            @NotNull(message = "Say what you ask for.") GrowerRequests.Kind kind,
            @Nullable LocalDate target,

            @Nullable
            @Min(value = 1, message = "Enter 1 plant or more.")
            @Max(value = OrderLine.MOST_PLANTS, message = "Enter at most 100,000 plants.")
            Integer plants,

            @Nullable
            @Min(value = 1, message = "Enter 1 to 30 times.")
            @Max(value = GrowerRequests.MOST_TIMES, message = "Enter 1 to 30 times.")
            Integer times,

            @Nullable
            @Min(value = 1, message = "Enter 1 to 26 weeks.")
            @Max(value = GrowerRequests.MOST_WEEKS_APART, message = "Enter 1 to 26 weeks.")
            Integer weeksApart,

            @Nullable @Size(max = 500, message = "Use at most 500 letters.")
            String words) {}

    /** Free plants that a grower asks for. */
    record WantedPlants(
            @NotNull UUID requestId,

            @NotNull(message = "Say how many plants.") @Min(value = 1, message = "Enter 1 plant or more.")
            Integer plants,

            @Nullable @Size(max = 500, message = "Use at most 500 letters.")
            String words) {}

    /** An answer. */
    record RequestAnswer(
            @NotNull UUID requestId,
            @NotNull(message = "Say yes or no.") Boolean granted,

            @Nullable @Size(max = 500, message = "Use at most 500 letters.")
            String words) {}

    /** Plants that nobody was promised. */
    record FreePlants(
            int batch,
            String variety,
            String crop,
            String container,
            int plants,
            @Nullable DateSpread ready) {}

    @OpenTo(Callers.WHOEVER_IS_SIGNED_IN)
    @GetMapping("/api/requests")
    List<GrowerRequestMapper.GrowerRequestRow> requests(@AuthenticationPrincipal Person person) {
        return requests.visibleTo(person);
    }

    @OpenTo(Callers.WHOEVER_IS_SIGNED_IN)
    @PostMapping("/api/orders/{number}/lines/{line}/requests")
    void ask(
            @PathVariable int number,
            @PathVariable int line,
            @Valid @RequestBody LineRequest entry,
            @AuthenticationPrincipal Person person) {
        requests.ask(
                entry.requestId(),
                number,
                line,
                new GrowerRequests.Asked(
                        entry.kind(),
                        entry.target(),
                        entry.plants(),
                        entry.times(),
                        entry.weeksApart(),
                        said(entry.words())),
                person);
    }

    @OpenTo(Callers.WHOEVER_IS_SIGNED_IN)
    @PostMapping("/api/free/{batch}/requests")
    void want(@PathVariable int batch, @Valid @RequestBody WantedPlants entry, @AuthenticationPrincipal Person person) {
        requests.want(
                entry.requestId(),
                batch,
                new GrowerRequests.Asked(GrowerRequests.Kind.WANT, null, entry.plants(), said(entry.words())),
                person);
    }

    @OpenTo(Callers.PROPAGATOR)
    @PostMapping("/api/requests/{number}/answers")
    void answer(
            @PathVariable int number, @Valid @RequestBody RequestAnswer entry, @AuthenticationPrincipal Person person) {
        requests.answer(entry.requestId(), number, entry.granted(), said(entry.words()), person);
    }

    /** What is free, what is ready first. */
    @OpenTo(Callers.WHOEVER_IS_SIGNED_IN)
    @GetMapping("/api/free")
    List<FreePlants> free() {
        LocalDate today = clock.today();
        return analyst.all().stream()
                .filter(batch -> batch.trouble().isEmpty()
                        && batch.stage().compareTo(BatchStage.EMERGING) > 0
                        && batch.stage().compareTo(BatchStage.READY) <= 0)
                .map(batch -> new FreePlants(
                        batch.number(),
                        batch.file().batch().variety(),
                        batch.crop().name(),
                        crops.container(batch.file().batch().container()).name(),
                        batch.file().shares(today).free(),
                        batch.forecast().ready().orElse(null)))
                .filter(each -> each.plants() > 0 && each.ready() != null)
                .sorted(Comparator.comparing((FreePlants each) -> each.ready().middle())
                        .thenComparing(FreePlants::batch))
                .toList();
    }

    private static String said(@Nullable String words) {
        return words == null ? "" : words.strip();
    }
}
