package kiver.server.diagnosis;

import jakarta.annotation.Nullable;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import kiver.core.care.Failing;
import kiver.core.diagnosis.FailingNote;
import kiver.core.outlook.BatchOutlook;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.outlook.BatchAnalyst;
import kiver.server.problem.NotFound;
import kiver.server.problem.Refusal;
import kiver.server.wording.Said;
import kiver.server.wording.Wording;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Why plants of a batch fail, from what somebody sees and what was noted. */
@RestController
class FailingController {

    private final BatchAnalyst analyst;
    private final FailingRecords records;
    private final Wording wording;

    FailingController(BatchAnalyst analyst, FailingRecords records, Wording wording) {
        this.analyst = analyst;
        this.records = records;
        this.wording = wording;
    }

    /**
     * A cause worth a look.
     *
     * @param share how likely among all, 0 to 1
     * @param noted what the record says of it, in words
     */
    record SuspectView(Failing.Cause cause, double share, Failing.Evidence evidence, String noted) {}

    /**
     * What may lie behind a sign.
     *
     * @param clear whether the first cause stands out; otherwise the record cannot tell
     */
    record FailingView(Failing.Sign sign, boolean clear, List<SuspectView> suspects) {}

    @OpenTo(Callers.THE_NURSERY)
    @GetMapping("/api/batches/{number}/failing")
    FailingView failing(@PathVariable int number, @RequestParam(required = false) @Nullable Failing.Sign sign) {
        if (sign == null) {
            throw new Refusal("sign", Said.of("Say what you see most of."));
        }
        BatchOutlook batch = analyst.all().stream()
                .filter(each -> each.number() == number)
                .findFirst()
                .orElseThrow(() -> new NotFound(
                        Said.of("There is no batch {number} in hand.").with("number", number)));
        Map<Failing.Cause, FailingNote> notes = records.of(batch).notes();
        Failing.Answer answer = Failing.of(
                sign,
                notes.entrySet().stream()
                        .collect(Collectors.toMap(
                                Map.Entry::getKey, each -> each.getValue().evidence())));
        return new FailingView(
                sign,
                answer.clear(),
                answer.suspects().stream()
                        .map(suspect -> new SuspectView(
                                suspect.cause(),
                                suspect.share(),
                                suspect.evidence(),
                                notes.containsKey(suspect.cause())
                                        ? wording.say(Said.of((Record) notes.get(suspect.cause())))
                                        : ""))
                        .toList());
    }
}
