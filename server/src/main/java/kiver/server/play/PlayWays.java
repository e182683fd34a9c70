package kiver.server.play;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import kiver.core.care.WaterCall;
import kiver.core.care.WaterSeen.How;
import kiver.core.media.Recipe;
import kiver.server.care.WaterBook;
import kiver.server.clock.NurseryClock;
import kiver.server.media.MediaBook;
import kiver.server.stock.MixLot;
import kiver.server.stock.StockLedger;
import kiver.server.water.WaterRound;
import org.springframework.context.annotation.Primary;
import org.springframework.context.annotation.Profile;
import org.springframework.stereotype.Component;

/** Where a season is played, hands take of the heaps that are there and water what wants water. */
@Component
@Primary
@Profile("play")
class PlayWays implements HandsWays {

    private final StockLedger ledger;
    private final MediaBook media;
    private final WaterRound round;
    private final WaterBook water;
    private final NurseryClock clock;

    private final WaterAgain again;

    PlayWays(
            StockLedger ledger,
            MediaBook media,
            WaterRound round,
            WaterBook water,
            WaterAgain again,
            NurseryClock clock) {
        this.again = again;
        this.ledger = ledger;
        this.media = media;
        this.round = round;
        this.water = water;
        this.clock = clock;
    }

    @Override
    public Optional<MixLot> mixForSowing(int batch, boolean blocks, double litres, LocalDate today) {
        return heap(blocks ? Recipe.Use.BLOCKS : Recipe.Use.SOWING, litres);
    }

    @Override
    public Optional<MixLot> mixForPots(double litres, LocalDate today) {
        return heap(Recipe.Use.POTTING, litres);
    }

    /** A nursery that is being tried may lack anything. */
    @Override
    public boolean goOnAfterARefusal() {
        return true;
    }

    private Optional<MixLot> heap(Recipe.Use use, double litres) {
        return ledger.mixes().stream()
                .filter(mix -> mix.litres() >= litres)
                .filter(mix -> media.recipe(mix.recipe()).recipe().use() == use)
                .findFirst();
    }

    @Override
    public void water() {
        Map<How, List<Integer>> given = new EnumMap<>(How.class);
        for (WaterRound.Called called : round.calls()) {
            boolean wants = called.call().advice() == WaterCall.Advice.WATER
                    || called.call().advice() == WaterCall.Advice.SPRAY;
            if (wants) {
                given.computeIfAbsent(called.call().how(), how -> new ArrayList<>())
                        .add(called.standing().tray().number());
            }
        }
        given.forEach((how, trays) -> water.note(
                UUID.nameUUIDFromBytes(("played " + clock.today() + " " + how).getBytes(StandardCharsets.UTF_8)),
                trays,
                clock.now(),
                new WaterBook.Done(WaterBook.Kind.WATERED, null, how.name()),
                null));
        again.today();
    }
}
