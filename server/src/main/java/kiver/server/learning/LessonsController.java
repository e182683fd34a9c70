package kiver.server.learning;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import java.util.List;
import java.util.UUID;
import kiver.core.crop.CropCode;
import kiver.core.crop.LessonAbout;
import kiver.core.crop.LessonDecision;
import kiver.core.learning.Proposal;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.account.Person;
import kiver.server.clock.NurseryClock;
import kiver.server.crop.LessonBook;
import kiver.server.problem.Refusal;
import kiver.server.problem.Requests;
import kiver.server.space.RateBook;
import kiver.server.wording.Said;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** What this nursery's own batches taught: proposed, taken or turned down, undone. */
@RestController
class LessonsController {

    private final LessonViews views;
    private final LessonBook lessons;
    private final RateBook rates;
    private final Requests requests;
    private final NurseryClock clock;

    LessonsController(LessonViews views, LessonBook lessons, RateBook rates, Requests requests, NurseryClock clock) {
        this.rates = rates;
        this.views = views;
        this.lessons = lessons;
        this.requests = requests;
        this.clock = clock;
    }

    /** What is decided about what is proposed; its figure is worked out here, never sent. */
    record LessonEntry(
            @NotNull UUID requestId,
            @NotNull(message = "Say what it is about.") LessonAbout.Matter matter,
            @NotBlank(message = "Name the crop.") String crop,
            @NotNull(message = "Say what it holds for.") LessonAbout.Beside beside,

            @NotNull @Min(value = 0, message = "Enter 0 or more.")
            Long number,

            @NotNull(message = "Say whether plans are to go by it.")
            Boolean taken) {}

    /** What is undone. */
    record UndoneLesson(@NotNull UUID requestId) {}

    @OpenTo(Callers.THE_NURSERY)
    @GetMapping("/api/lessons")
    LessonViews.LessonsView lessons() {
        return views.all();
    }

    @OpenTo(Callers.PROPAGATOR)
    @PostMapping("/api/lessons/decisions")
    @Transactional
    void decide(@Valid @RequestBody LessonEntry entry, @AuthenticationPrincipal Person person) {
        requests.once(
                entry.requestId(),
                List.of(
                        "lesson",
                        person.id(),
                        entry.matter(),
                        entry.crop(),
                        entry.beside(),
                        entry.number(),
                        entry.taken()),
                () -> {
                    Proposal proposal = proposed(entry);
                    return lessons.decide(
                            proposal.about(),
                            new LessonDecision(entry.taken(), proposal.value(), proposal.weight()),
                            proposal.batches(),
                            proposal.inUse(),
                            clock.today(),
                            person.id());
                });
    }

    private Proposal proposed(LessonEntry entry) {
        return views.proposals().stream()
                .filter(each -> each.about().matter() == entry.matter()
                        && each.about().crop().equals(new CropCode(entry.crop()))
                        && each.about().beside() == entry.beside()
                        && each.about().number() == entry.number())
                .findFirst()
                .orElseThrow(
                        () -> new Refusal(
                                "matter",
                                Said.of(
                                        "This is not proposed any more: the counts say something else now, or somebody decided. Look at the page anew.")));
    }

    /** Has costs and hours go by what the times of entries tell. */
    @OpenTo(Callers.PROPAGATOR)
    @PutMapping("/api/lessons/work/{work}")
    @Transactional
    public void reckonWith(@PathVariable LessonViews.Work work) {
        double seconds = views.work(work)
                .orElseThrow(() ->
                        new Refusal("work", Said.of("Too few entries follow one another to tell how long this takes.")))
                .seconds();
        rates.set(work.rate(), Math.round(seconds * 10) / 10.0);
    }

    @OpenTo(Callers.PROPAGATOR)
    @PostMapping("/api/lessons/decisions/{id}/undo")
    @Transactional
    void undo(@PathVariable long id, @Valid @RequestBody UndoneLesson entry, @AuthenticationPrincipal Person person) {
        requests.once(entry.requestId(), List.of("lesson undone", person.id(), id), () -> {
            lessons.undo(id, clock.today(), person.id());
            return id;
        });
    }
}
