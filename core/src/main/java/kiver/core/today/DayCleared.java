package kiver.core.today;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** A day on which there is no time: what of its work goes to other days. */
public final class DayCleared {

    private DayCleared() {}

    /**
     * A piece of work of that day.
     *
     * @param batch number
     * @param kind of work
     * @param minutes it takes
     * @param lastDay on which it still serves; empty for what cannot wait
     */
    public record Piece(int batch, TaskKind kind, double minutes, Optional<LocalDate> lastDay) {}

    /** A piece of work that goes to another day. */
    public record Move(Piece piece, LocalDate to) {}

    /**
     * Where the work goes: the longest first, each to the first later day that has room for it, or where none has to the one
     * within its time that has most. What cannot wait, or may only wait for days without hands, stays.
     *
     * @param day to be cleared
     * @param pieces its work
     * @param free minutes left on the days after it; a day without hands is missing
     */
    public static List<Move> of(LocalDate day, List<Piece> pieces, Map<LocalDate, Double> free) {
        Map<LocalDate, Double> left = new HashMap<>(free);
        List<Move> moves = new ArrayList<>();
        pieces.stream()
                .filter(piece -> piece.lastDay().isPresent())
                .sorted(Comparator.comparingDouble(Piece::minutes).reversed().thenComparing(Piece::batch))
                .forEach(piece -> to(day, piece, left).ifPresent(chosen -> {
                    left.merge(chosen, -piece.minutes(), Double::sum);
                    moves.add(new Move(piece, chosen));
                }));
        return moves;
    }

    private static Optional<LocalDate> to(LocalDate day, Piece piece, Map<LocalDate, Double> left) {
        List<LocalDate> within = left.keySet().stream()
                .filter(each ->
                        each.isAfter(day) && !each.isAfter(piece.lastDay().orElseThrow()))
                .sorted()
                .toList();
        return within.stream()
                .filter(each -> left.get(each) >= piece.minutes())
                .findFirst()
                .or(() -> within.stream().max(Comparator.comparingDouble(left::get)));
    }
}
