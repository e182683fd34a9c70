package kiver.server.emerge;

import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import java.util.stream.Collectors;
import kiver.core.emerge.LotOrPlace;
import kiver.core.seed.LotId;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.problem.NotFound;
import kiver.server.problem.Refusal;
import kiver.server.seed.SeedLot;
import kiver.server.seed.SeedStore;
import kiver.server.wording.Said;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

/** Whether a lot or a place is to blame, with the counts that it rests on; and a letter to whom the lot came from. */
@RestController
class LotOrPlaceController {

    private final LotEvidence evidence;
    private final ClaimLetter letter;
    private final SeedStore seeds;

    LotOrPlaceController(LotEvidence evidence, ClaimLetter letter, SeedStore seeds) {
        this.evidence = evidence;
        this.letter = letter;
        this.seeds = seeds;
    }

    /**
     * A batch that was counted to its end.
     *
     * @param cells whether cells were counted and not seeds, as it was only seen whether something came up
     * @param tail how often so few would come up if the label were true, 0 to 1; of other lots allowing for batches that differ
     * @param meanCelsius °C of the place while it came up; missing where that is not known
     */
    record EvidenceView(
            int batch,
            long lotId,
            String lot,
            String place,
            LocalDate sown,
            int tried,
            int up,
            boolean cells,
            double tail,
            @Nullable Double meanCelsius) {}

    /**
     * What came of holding a batch against what else was counted.
     *
     * @param blame missing until the batch had its last look
     * @param tailElsewhere of the same lot in all other places together; missing where it was sown in none
     * @param tailOthers how often chance and mishaps alone leave so many of the other lots here as bad; missing where there were none
     */
    record LotOrPlaceView(
            @Nullable LotOrPlace.Blame blame,
            @Nullable EvidenceView here,
            List<EvidenceView> elsewhere,
            List<EvidenceView> othersHere,
            @Nullable Double tailElsewhere,
            @Nullable Double tailOthers) {}

    @OpenTo(Callers.THE_NURSERY)
    @GetMapping("/api/batches/{number}/lot-or-place")
    LotOrPlaceView lotOrPlace(@PathVariable int number) {
        Optional<LotEvidence.Told> here = evidence.of(number);
        if (here.isEmpty()) {
            return new LotOrPlaceView(null, null, List.of(), List.of(), null, null);
        }
        Map<LotOrPlace.Count, LotEvidence.Told> others = evidence.all().stream()
                .filter(each -> each.count().batch() != number)
                .collect(Collectors.toMap(LotEvidence.Told::count, Function.identity()));
        LotOrPlace judged = LotOrPlace.of(here.get().count(), List.copyOf(others.keySet()));
        return new LotOrPlaceView(
                judged.blame(),
                view(here.get(), here.get().count().tail()),
                views(judged.elsewhere(), others, LotOrPlace.Count::tail),
                views(judged.othersHere(), others, LotOrPlace.Count::usualTail),
                orNull(judged.tailElsewhere()),
                orNull(judged.tailOthers()));
    }

    private List<EvidenceView> views(
            List<LotOrPlace.Count> counts,
            Map<LotOrPlace.Count, LotEvidence.Told> told,
            ToDoubleFunction<LotOrPlace.Count> tail) {
        return counts.stream()
                .sorted((one, other) -> Integer.compare(other.batch(), one.batch()))
                .map(count -> view(told.get(count), tail.applyAsDouble(count)))
                .toList();
    }

    private EvidenceView view(LotEvidence.Told told, double tail) {
        LotOrPlace.Count count = told.count();
        return new EvidenceView(
                count.batch(),
                count.lot().number(),
                seeds.lot(count.lot()).code(),
                told.place(),
                told.sown(),
                count.tried(),
                count.up(),
                count.trials().stream().anyMatch(trials -> trials.seeds() > 1),
                tail,
                told.meanCelsius().orElse(null));
    }

    private static @Nullable Double orNull(OptionalDouble tail) {
        return tail.isPresent() ? tail.getAsDouble() : null;
    }

    @OpenTo(Callers.PROPAGATOR)
    @GetMapping(value = "/api/lots/{id}/claim.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> claim(@PathVariable long id) {
        SeedLot lot = seeds.lots().stream()
                .filter(each -> each.id().equals(new LotId(id)))
                .findFirst()
                .orElseThrow(() -> new NotFound(Said.of("This seed lot is not in the store.")));
        List<LotEvidence.Told> counts = evidence.all().stream()
                .filter(each -> each.count().lot().equals(lot.id()))
                .toList();
        if (counts.isEmpty()) {
            throw new Refusal(
                    "lot",
                    Said.of("No batch of lot {lot} was counted to its end yet; a letter needs a count to show.")
                            .with("lot", lot.code()));
        }
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "inline; filename=\"claim-" + id + ".pdf\"")
                .body(letter.print(lot, counts));
    }
}
