package kiver.server.question;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** "A week earlier", "and 200 leeks", "in the tunnel": a change to what was asked just before. */
final class FollowUp {

    private FollowUp() {}

    /** What is asked now, of what was asked before and a question that changes it. */
    static List<Asked> of(Question change, List<Asked> before) {
        if (!change.adds() || change.lines().get(0).varieties().isEmpty()) {
            return before.stream()
                    .map(line -> changed(line, change.lines().get(0)))
                    .toList();
        }
        List<Asked> all = new ArrayList<>(before);
        Asked last = before.get(before.size() - 1);
        change.lines().forEach(line -> all.add(besides(line, last)));
        return all;
    }

    private static Asked changed(Asked line, Asked change) {
        return new Asked(
                change.amount().or(line::amount),
                change.varieties().isEmpty() ? line.varieties() : change.varieties(),
                change.day().or(() -> moved(line.day(), change.daysLater())),
                Optional.empty(),
                change.sites().isEmpty() ? line.sites() : change.sites(),
                change.containers().isEmpty() ? line.containers() : change.containers(),
                change.stage().or(line::stage),
                change.protection().or(line::protection));
    }

    private static Optional<DaySpan> moved(Optional<DaySpan> day, Optional<Integer> daysLater) {
        return day.map(span -> span.later(daysLater.orElse(0)));
    }

    /** Another line, for the same day and place unless it says otherwise. */
    private static Asked besides(Asked line, Asked last) {
        return new Asked(
                line.amount(),
                line.varieties(),
                line.day().or(() -> moved(last.day(), line.daysLater())),
                Optional.empty(),
                line.sites().isEmpty() ? last.sites() : line.sites(),
                line.containers(),
                line.stage(),
                line.protection().or(last::protection));
    }
}
