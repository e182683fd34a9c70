package kiver.server.batch;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import kiver.core.outlook.Batch;
import kiver.core.outlook.BatchFile;
import kiver.core.outlook.BatchPlan;
import kiver.server.problem.NotFound;
import kiver.server.problem.Refusal;
import kiver.server.wording.Said;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.core.type.TypeReference;
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
     * @param words what the change is; its parts are numbers and names
     * @param plans by batch number
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public void change(Long by, Said words, Map<Integer, BatchPlan> plans) {
        if (plans.isEmpty()) {
            return;
        }
        long change = mapper.insertChange(by, words.message(), json.writeValueAsString(words.parts()));
        new TreeMap<>(plans).forEach((number, plan) -> {
            batches.lock(number);
            Batch batch = batches.file(number).batch();
            mapper.insertPart(change, number, json.writeValueAsString(batch.plan()), json.writeValueAsString(plan));
            set(batch, plan);
        });
    }

    /** Sets a plan; in other containers its cells are laid out anew. */
    private void set(Batch batch, BatchPlan plan) {
        mapper.setPlan(batch.number(), plan);
        if (!plan.containers().equals(batch.plan().containers())) {
            batches.layOutAnew(batch.number(), layout.runs(plan.containerCodes().get(0), batch.cells()));
        }
    }

    /** What the last change was that can still be undone. */
    public Optional<Said> lastWords() {
        return mapper.lastChange().map(this::words);
    }

    /** Undoes the last change, unless its batches were changed otherwise since. Answers what it was. */
    @Transactional(propagation = Propagation.MANDATORY)
    public Said undo() {
        mapper.lockChanges();
        PlanChangeMapper.PlanChangeRow last = mapper.lastChange()
                .orElseThrow(() -> new Refusal("change", Said.of("There is no change of the plan to undo.")));
        for (PlanChangeMapper.PartRow part : mapper.parts(last.id())) {
            batches.lock(part.number());
            BatchFile file = batches.file(part.number());
            if (file.state().sownOn().isPresent()
                    && !read(part.before()).sowsLike(file.batch().plan())) {
                throw new Refusal(
                        "change",
                        Said.of("Batch {batch} has been sown since; its sow day and its containers cannot be put back.")
                                .with("batch", part.number()));
            }
            set(file.batch(), read(part.before()));
        }
        mapper.markUndone(last.id());
        return words(last);
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
            throw new Refusal(
                    "name",
                    Said.of("There is a draft named \"{name}\" already.").with("name", name));
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
                throw new Refusal(
                        "draft",
                        Said.of(
                                        "The plan of batch {batch} was changed since it was put into this draft: it is to be sown on {sowDay} now, and on {drafted} in the draft. Change it again in the draft, or drop the draft.")
                                .with("batch", part.number())
                                .with("sowDay", planned.sowDay())
                                .with("drafted", plans.get(part.number()).sowDay()));
            }
        }
        change(by, Said.of("Take the draft \"{name}\"").with("name", taken.name()), plans);
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
                .orElseThrow(() -> new NotFound(Said.of("There is no such draft.")));
    }

    /** What was written down before messages had parts is told as it stands. */
    private Said words(PlanChangeMapper.PlanChangeRow row) {
        return row.parts() == null
                ? Said.plain(row.words())
                : new Said(row.words(), json.readValue(row.parts(), new TypeReference<Map<String, Object>>() {}));
    }

    private BatchPlan read(String plan) {
        return json.readValue(plan, BatchPlan.class);
    }
}
