package kiver.server.batch;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import kiver.server.problem.NotFound;
import kiver.server.problem.Refusal;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** Changes the plans of batches, keeps what they were so that it can be undone, and keeps drafts. */
@Component
public class PlanChanges {

    private final PlanChangeMapper mapper;
    private final BatchBook batches;
    private final TrayLayout layout;
    private final JsonMapper json;

    PlanChanges(PlanChangeMapper mapper, BatchBook batches, TrayLayout layout, JsonMapper json) {
        this.mapper = mapper;
        this.batches = batches;
        this.layout = layout;
        this.json = json;
    }

    /**
     * Changes the plans of some batches in one go.
     *
     * @param by account number, or null
     * @param words what the change is, for example "Sow batch 214 on 3 May"
     * @param plans by batch number
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public void change(Long by, String words, Map<Integer, BatchPlan> plans) {
        if (plans.isEmpty()) {
            return;
        }
        long change = mapper.insertChange(by, words);
        new TreeMap<>(plans).forEach((number, plan) -> {
            batches.lock(number);
            Batch batch = batches.file(number).batch();
            mapper.insertPart(change, number, json.writeValueAsString(BatchPlan.of(batch)), json.writeValueAsString(plan));
            set(batch, plan);
        });
    }

    /** Sets a plan; in other containers its cells are laid out anew. */
    private void set(Batch batch, BatchPlan plan) {
        mapper.setPlan(batch.number(), plan);
        if (!plan.containers().equals(batch.containers())) {
            batches.layOutAnew(batch.number(), layout.runs(plan.containers().split(" ")[0], batch.cells()));
        }
    }

    /** What the last change was that can still be undone. */
    public Optional<String> lastWords() {
        return mapper.lastChange().map(PlanChangeMapper.PlanChangeRow::words);
    }

    /** Undoes the last change, unless its batches were changed otherwise since. Answers what it was. */
    @Transactional(propagation = Propagation.MANDATORY)
    public String undo() {
        mapper.lockChanges();
        PlanChangeMapper.PlanChangeRow last =
                mapper.lastChange().orElseThrow(() -> new Refusal("change", "There is no change of the plan to undo."));
        for (PlanChangeMapper.PartRow part : mapper.parts(last.id())) {
            batches.lock(part.number());
            BatchFile file = batches.file(part.number());
            if (file.state().sownOn().isPresent() && !read(part.before()).sowsLike(BatchPlan.of(file.batch()))) {
                throw new Refusal("change", "Batch " + part.number()
                        + " has been sown since; its sow day and its containers cannot be put back.");
            }
            set(file.batch(), read(part.before()));
        }
        mapper.markUndone(last.id());
        return last.words();
    }

    /** All drafts. */
    public List<Draft> drafts() {
        return mapper.drafts();
    }

    /** Begins a draft and answers its number. */
    @Transactional(propagation = Propagation.MANDATORY)
    public long begin(String name, LocalDate day) {
        Long id = mapper.insertDraft(name, day);
        if (id == null) {
            throw new Refusal("name", "There is a draft named \"" + name + "\" already.");
        }
        return id;
    }

    /** The plans of a draft, by batch number. */
    public Map<Integer, BatchPlan> plansOf(long draft) {
        Map<Integer, BatchPlan> plans = new TreeMap<>();
        mapper.draftParts(draft).forEach(part -> plans.put(part.number(), read(part.change())));
        return plans;
    }

    /** Puts a batch's plan into a draft. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void put(long draft, int number, BatchPlan plan) {
        requireDraft(draft);
        mapper.putDraftPart(draft, number, json.writeValueAsString(plan));
    }

    /** Makes a draft the plan; it is gone then. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void take(long draft, Long by) {
        Draft taken = requireDraft(draft);
        Map<Integer, BatchPlan> plans = plansOf(draft);
        for (PlanChangeMapper.DraftPartRow part : mapper.draftParts(draft)) {
            batches.lock(part.number());
            Batch planned = batches.file(part.number()).batch();
            if (part.planVersion() != planned.planVersion()) {
                throw new Refusal("draft", "The plan of batch " + part.number() + " was changed since it was put into this draft: it"
                        + " is to be sown on " + planned.sowDay() + " now, and on " + plans.get(part.number()).sowDay()
                        + " in the draft. Change it again in the draft, or drop the draft.");
            }
        }
        change(by, "Take the draft \"" + taken.name() + "\"", plans);
        mapper.deleteDraft(draft);
    }

    /** Throws a draft away. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void drop(long draft) {
        requireDraft(draft);
        mapper.deleteDraft(draft);
    }

    /** The draft of that number. */
    public Draft requireDraft(long draft) {
        return mapper.drafts().stream()
                .filter(each -> each.id() == draft)
                .findFirst()
                .orElseThrow(() -> new NotFound("such draft"));
    }

    private BatchPlan read(String plan) {
        return json.readValue(plan, BatchPlan.class);
    }
}
