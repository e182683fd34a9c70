package kiver.server.crop;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import kiver.core.crop.LessonAbout;
import kiver.core.crop.LessonDecision;
import kiver.core.crop.LessonsInUse;
import kiver.server.kept.Kept;
import kiver.server.kept.Revisions;
import kiver.server.problem.NotFound;
import kiver.server.problem.Refusal;
import kiver.server.wording.Said;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** What was decided about lessons, and what plans and forecasts go by. */
@Component
public class LessonBook {

    private final LessonDecisionMapper mapper;
    private final PaceTellings tellings;
    private final Kept<Map<LessonAbout, LessonDecision>> decided;

    LessonBook(LessonDecisionMapper mapper, PaceTellings tellings, Revisions revisions) {
        this.mapper = mapper;
        this.tellings = tellings;
        decided = new Kept<>(() -> lastOf(mapper.all()));
        revisions.whenChanged("lesson_decision", decided::discard);
    }

    private static Map<LessonAbout, LessonDecision> lastOf(List<DecidedLesson> rows) {
        Map<LessonAbout, LessonDecision> last = new HashMap<>();
        for (DecidedLesson row : rows) {
            if (row.undoneOn() == null) {
                last.put(row.about(), new LessonDecision(row.taken(), row.value(), row.weight()));
            }
        }
        return last;
    }

    /** What plans and forecasts go by. */
    public LessonsInUse inUse() {
        return new LessonsInUse(tellings.ofLeaves(), decided.get());
    }

    /** All decisions, the first first, those that were undone among them. */
    public List<DecidedLesson> history() {
        return mapper.all();
    }

    /**
     * Writes a decision down.
     *
     * @param was what plans went by before it
     * @return its number
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public long decide(
            LessonAbout about, LessonDecision decision, int batches, double was, LocalDate today, long person) {
        long id = mapper.insert(about, decision, batches, was, today, person);
        decided.forget();
        return id;
    }

    /** Undoes a decision: what was decided before it about the same holds again. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void undo(long id, LocalDate today, long person) {
        DecidedLesson row = mapper.all().stream()
                .filter(each -> each.id() == id)
                .findFirst()
                .orElseThrow(() -> new NotFound(Said.of("There is no such decision.")));
        if (mapper.undo(id, today, person) == 0) {
            throw new Refusal("id", Said.of("This was undone already on {day}.").with("day", row.undoneOn()));
        }
        decided.forget();
    }
}
