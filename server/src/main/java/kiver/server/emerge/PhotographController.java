package kiver.server.emerge;

import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import kiver.core.crop.Container;
import kiver.core.emerge.TrayCorners;
import kiver.core.emerge.TrayPhotograph;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.account.Person;
import kiver.server.clock.NurseryClock;
import kiver.server.crop.CropBook;
import kiver.server.problem.NotFound;
import kiver.server.problem.Refusal;
import kiver.server.tray.Tray;
import kiver.server.tray.TrayBook;
import kiver.server.wording.Said;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What a photograph of a tray shows; nothing is recorded of it until somebody has confirmed the count. */
@RestController
class PhotographController {

    private static final double SLOT_AREA = 54 * 28;

    private final TrayBook trays;
    private final CropBook crops;
    private final PhotographBook kept;
    private final NurseryClock clock;

    PhotographController(TrayBook trays, CropBook crops, PhotographBook kept, NurseryClock clock) {
        this.trays = trays;
        this.crops = crops;
        this.kept = kept;
        this.clock = clock;
    }

    /**
     * A cell as the photograph shows it.
     *
     * @param leafArea cm² of leaves seen from above
     * @param apart whether it shows green in places apart, as two seedlings do
     * @param weak whether what stands in it is far behind most
     */
    record SeenCell(int cell, double leafArea, boolean up, boolean apart, boolean weak) {}

    /**
     * What a photograph shows.
     *
     * @param up cells in which something stands
     * @param leafArea cm² of leaves in the whole tray
     */
    record SeenOnPhotograph(List<SeenCell> cells, int up, double leafArea) {}

    /** A photograph that is kept. */
    record KeptPhotograph(
            long id, LocalDate takenOn, @Nullable String by) {}

    /**
     * Reads a photograph, and keeps a small copy of it where that is wished.
     *
     * @param corners of the tray's cells as one reads from above left round to below left: eight numbers, across and down, each
     *     as a share of the photograph, 0 to 1
     * @param keep number of the request, the same on every retry; missing where nothing is to be kept
     */
    @OpenTo(Callers.THE_NURSERY)
    @PostMapping("/api/trays/{number}/photographs/file")
    SeenOnPhotograph read(
            @PathVariable int number,
            @RequestParam List<Double> corners,
            @RequestParam(required = false) @Nullable UUID keep,
            @RequestBody byte[] bytes,
            @AuthenticationPrincipal Person person) {
        Tray tray = trays.numbered(number);
        Container container = tray.of(crops.container(tray.container()));
        Photograph photograph = Photograph.of(bytes);
        TrayCorners places = corners(corners, photograph);
        Optional<TrayPhotograph.Unreadable> trouble =
                TrayPhotograph.unreadable(places, container.rows(), container.columns());
        TrayPhotograph seen = trouble.isPresent()
                ? null
                : TrayPhotograph.of(photograph, places, container.rows(), container.columns());
        if (seen == null || seen.isAllGreen()) {
            throw new Refusal("corners", words(trouble.orElse(TrayPhotograph.Unreadable.ALL_GREEN)));
        }
        if (keep != null) {
            kept.keep(keep, number, clock.today(), person.id(), photograph.small());
        }
        double cellArea = container.slots() * SLOT_AREA / container.cells();
        return new SeenOnPhotograph(
                seen.cells().stream()
                        .map(cell -> new SeenCell(
                                cell.number(), cell.green() * cellArea, cell.up(), cell.apart(), cell.weak()))
                        .toList(),
                (int) seen.cells().stream().filter(TrayPhotograph.Cell::up).count(),
                seen.cells().stream().mapToDouble(TrayPhotograph.Cell::green).sum() * cellArea);
    }

    private static TrayCorners corners(List<Double> shares, Photograph photograph) {
        if (shares.size() != 8 || shares.stream().anyMatch(share -> share == null || !(share >= 0 && share <= 1))) {
            throw new Refusal("corners", Said.of("Put the four corners on the tray: each lies inside the photograph."));
        }
        List<TrayCorners.Point> points = new ArrayList<>();
        for (int index = 0; index < shares.size(); index += 2) {
            points.add(new TrayCorners.Point(
                    shares.get(index) * photograph.width(), shares.get(index + 1) * photograph.height()));
        }
        return new TrayCorners(points);
    }

    private static Said words(TrayPhotograph.Unreadable trouble) {
        return switch (trouble) {
            case NO_TRAY ->
                Said.of("These corners make no tray: above left first, then round with the clock to below left.");
            case TOO_SMALL ->
                Said.of(
                        "The tray is too small on this photograph to tell its cells apart. Go nearer, or send it larger.");
            case ALL_GREEN ->
                Said.of(
                        "Between these corners nearly everything is green: no cell can be told from the next. Count by hand.");
        };
    }

    @OpenTo(Callers.THE_NURSERY)
    @GetMapping("/api/trays/{number}/photographs")
    List<KeptPhotograph> kept(@PathVariable int number) {
        trays.numbered(number);
        return kept.of(number).stream()
                .map(each -> new KeptPhotograph(each.id(), each.takenOn(), each.by()))
                .toList();
    }

    @OpenTo(Callers.THE_NURSERY)
    @GetMapping("/api/trays/{number}/photographs/{id}.jpg")
    ResponseEntity<byte[]> picture(@PathVariable int number, @PathVariable long id) {
        return kept.picture(number, id).stream()
                .findFirst()
                .map(each ->
                        ResponseEntity.ok().contentType(MediaType.IMAGE_JPEG).body(each.picture()))
                .orElseThrow(PhotographController::noSuch);
    }

    @OpenTo(Callers.THE_NURSERY)
    @DeleteMapping("/api/trays/{number}/photographs/{id}")
    void forget(@PathVariable int number, @PathVariable long id) {
        if (kept.forget(number, id) == 0) {
            throw noSuch();
        }
    }

    private static NotFound noSuch() {
        return new NotFound(Said.of("There is no such photograph of this tray."));
    }
}
