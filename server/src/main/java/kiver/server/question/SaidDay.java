package kiver.server.question;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import kiver.server.clock.NurseryClock;
import kiver.server.wording.Speech;
import kiver.server.wording.SpokenTo;
import org.springframework.stereotype.Component;

/** Reads a day as people say and write it, where they say nothing else. */
@Component
public class SaidDay {

    private final NurseryClock clock;

    SaidDay(NurseryClock clock) {
        this.clock = clock;
    }

    /** The day that a text is, the first one of a span; a day without a year is the next one from today on. */
    public Optional<LocalDate> day(String text) {
        boolean monthFirst = SpokenTo.now().language() == Speech.Language.AMERICAN;
        Spoken said = new Spoken(text);
        List<Spoken.Taken<DaySpan>> when = new EnglishDays(clock.today(), monthFirst).read(said);
        return when.size() == 1 && said.words().isEmpty()
                ? Optional.of(when.get(0).value().first())
                : Optional.empty();
    }
}
