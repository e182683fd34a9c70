package kiver.server.question;

import jakarta.annotation.Nullable;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.plan.Wish;
import kiver.server.wording.Speech;
import kiver.server.wording.SpokenTo;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Questions as they come over the telephone. */
@RestController
class QuestionController {

    private static final int MOST_LINES = 12;

    private final Questions questions;

    QuestionController(Questions questions) {
        this.questions = questions;
    }

    /**
     * A line of a question that was settled by choosing.
     *
     * @param line its place in the question, from 0
     * @param wish what it is now
     */
    record Settled(
            @Min(value = 0, message = "Lines are counted from 0.")
            @Max(value = MOST_LINES, message = "So many lines are not asked at once.")
            int line,

            @NotNull @Valid Wish wish) {}

    /**
     * A question as it was typed.
     *
     * @param before what was asked just before, for a question that only changes something
     * @param settled lines of this question for which something was chosen
     */
    record QuestionEntry(
            @NotBlank(message = "Say how many of what for which day, for example: 400 curly kale, 12 May.")
            @Size(max = 300, message = "Use at most 300 letters.")
            String text,

            @Nullable @Size(max = MOST_LINES, message = "So many lines are not asked at once.")
            List<@NotNull @Valid Wish> before,

            @Nullable @Size(max = MOST_LINES, message = "So many lines are not asked at once.")
            List<@NotNull @Valid Settled> settled) {

        private List<Wish> wishesBefore() {
            return before == null ? List.of() : before;
        }

        private Map<Integer, Wish> settledByLine() {
            return settled == null
                    ? Map.of()
                    : settled.stream().collect(Collectors.toMap(Settled::line, Settled::wish, (one, later) -> later));
        }
    }

    @OpenTo(Callers.PROPAGATOR)
    @PostMapping("/api/promises")
    Answered answer(@Valid @RequestBody QuestionEntry entry) {
        return questions.answer(
                entry.text(),
                SpokenTo.now().language() == Speech.Language.AMERICAN,
                entry.wishesBefore(),
                entry.settledByLine());
    }
}
