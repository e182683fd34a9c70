package kiver.server.pot;

import jakarta.annotation.Nullable;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.account.Person;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Seedlings that go over into other cells: apart from those not yet up, into gaps, out of one tray into two. */
@RestController
class CellMovesController {

    private static final int MOST_CELLS = 2_000;

    private final CellMoves moves;

    CellMovesController(CellMoves moves) {
        this.moves = moves;
    }

    /**
     * Cells that went over together.
     *
     * @param tray they stood in
     * @param into tray they went to; missing for a new one of the same kind
     * @param goals cells of it, one for each; missing for the first ones open to the batch
     */
    record CellsMovedEntry(
            @NotNull(message = "Say which tray.") Integer tray,

            @NotEmpty(message = "Pick at least one cell.")
            @Size(max = MOST_CELLS, message = "At most 2,000 cells at once.")
            List<
                            @NotNull(message = "A cell is missing.")
                            @Min(value = 1, message = "Cells are counted from 1.") Integer>
                    cells,

            @Nullable Integer into,

            @Nullable @Size(max = MOST_CELLS, message = "At most 2,000 cells at once.")
            List<
                            @NotNull(message = "A cell is missing.")
                            @Min(value = 1, message = "Cells are counted from 1.") Integer>
                    goals) {}

    /**
     * Seedlings that went over.
     *
     * @param placeId where the trays were put that they went to; missing where they stay
     */
    record CellMovesEntry(
            @NotNull UUID requestId,

            @NotEmpty(message = "Say what went where.") @Size(max = 200, message = "At most 200 moves at once.")
            List<@NotNull(message = "A move is missing.") @Valid CellsMovedEntry> moves,

            @Nullable Long placeId,
            @Nullable LocalDate day) {}

    /**
     * What would have to be moved for a batch to stand in as few trays as it fills.
     *
     * @param moves what goes where
     * @param emptied numbers of the trays that are free afterwards
     * @param plants how many are moved; 0 where no tray would come free
     */
    record ClosingUpView(List<CellsMovedEntry> moves, List<Integer> emptied, int plants) {}

    @OpenTo(Callers.THE_NURSERY)
    @GetMapping("/api/batches/{number}/closing-up")
    ClosingUpView closingUp(@PathVariable int number) {
        CellMoves.Proposal proposal = moves.closingUp(number);
        return new ClosingUpView(
                proposal.moves().stream()
                        .map(move -> new CellsMovedEntry(move.tray(), move.cells(), move.into(), move.goals()))
                        .toList(),
                proposal.emptied(),
                proposal.moves().stream().mapToInt(move -> move.cells().size()).sum());
    }

    @OpenTo(Callers.THE_NURSERY)
    @PostMapping("/api/batches/{number}/cell-moves")
    void move(
            @PathVariable int number,
            @Valid @RequestBody CellMovesEntry entry,
            @AuthenticationPrincipal Person person) {
        moves.move(
                entry.requestId(),
                number,
                entry.day(),
                entry.moves().stream()
                        .map(move -> new CellMoves.Move(move.tray(), move.cells(), move.into(), move.goals()))
                        .toList(),
                entry.placeId(),
                person.id());
    }
}
