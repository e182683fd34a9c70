package kiver.server.emerge;

import java.util.List;
import kiver.core.seed.Shortfall;
import kiver.server.clock.NurseryClock;
import kiver.server.crop.CropBook;
import kiver.server.print.Paper;
import kiver.server.print.SheetSize;
import kiver.server.seed.SeedLot;
import kiver.server.wording.Celsius;
import kiver.server.wording.Said;
import kiver.server.wording.Speech;
import kiver.server.wording.SpokenTo;
import kiver.server.wording.WholeDay;
import kiver.server.wording.Wording;
import org.springframework.stereotype.Component;

/** A letter to whom a lot came from: what its label says, every count, and how seldom that happens if the label is true. */
@Component
class ClaimLetter {

    private static final float LEFT = 20;
    private static final float WIDTH = 170;
    private static final float FOOT = 25;
    private static final float LINE = 6;
    private static final double SELDOM = 0.05;
    private static final double HARDLY_EVER = 1e-4;

    private final CropBook crops;
    private final NurseryClock clock;
    private final Wording wording;

    ClaimLetter(CropBook crops, NurseryClock clock, Wording wording) {
        this.crops = crops;
        this.clock = clock;
        this.wording = wording;
    }

    /** Prints it; there must be a count. */
    byte[] print(SeedLot lot, List<LotEvidence.Told> counts) {
        Speech.Language language = SpokenTo.now().language();
        SheetSize sheet = SheetSize.usualFor(language);
        Said title = Said.of("Germination of lot {lot}").with("lot", lot.code());
        try (Paper paper = new Paper(say(title), language.tag())) {
            paper.page(sheet.width(), sheet.height());
            paper.text(Paper.Kind.STRONG, LEFT, 20, 11, nursery());
            paper.text(LEFT, 30, 11, say(Said.of("To {supplier}").with("supplier", lot.supplier())));
            paper.text(LEFT, 36, 11, say(Said.of("{day}").with("day", new WholeDay(clock.today()))));
            paper.text(Paper.Kind.TITLE, LEFT, 46, 20, say(title));
            float next = paper.wrapped(
                    LEFT,
                    60,
                    WIDTH,
                    11,
                    say(Said.of(
                                    "We sowed seed of {variety}, your lot {lot}. Its label says {share} % of {tested, plural, one {# seed} other {# seeds}}, tested on {day}. This is what came up with us:")
                            .with("variety", crops.variety(lot.varietyId()).name())
                            .with("lot", lot.code())
                            .with("share", Math.round(100 * lot.germinationLabel()))
                            .with("tested", lot.testedSeeds())
                            .with("day", new WholeDay(lot.testedOn()))));
            next += 3;
            for (LotEvidence.Told told : counts) {
                if (next > sheet.height() - FOOT) {
                    paper.page(sheet.width(), sheet.height());
                    next = 20;
                }
                paper.rule(LEFT, next, WIDTH);
                next = paper.wrapped(LEFT, next + 2, WIDTH, 11, say(count(told))) + 2;
            }
            if (next > sheet.height() - 4 * FOOT) {
                paper.page(sheet.width(), sheet.height());
                next = 20;
            }
            paper.rule(LEFT, next, WIDTH);
            next = paper.wrapped(LEFT, next + LINE, WIDTH, 11, say(together(counts)));
            next = paper.wrapped(
                    LEFT,
                    next + LINE,
                    WIDTH,
                    11,
                    say(
                            Said.of(
                                    "Please tell us what your own test of this lot gave, and what you propose. We keep the rest of the packet for a test by whoever is licensed to make one.")));
            paper.wrapped(
                    LEFT,
                    next + LINE,
                    WIDTH,
                    9,
                    say(
                            Said.of(
                                    "Counted in trays and not in a seed laboratory. The label's test is taken to weigh less the longer ago it was made.")));
            return paper.bytes();
        }
    }

    private static Said count(LotEvidence.Told told) {
        boolean cells = told.count().trials().stream().anyMatch(trials -> trials.seeds() > 1);
        return Said.of(
                        "Batch {batch}, sown on {day} in {place}{known, select, true { at {temperature} on average} other {}}: {up} of {tried} {cells, select, true {cells showed something} other {seeds came up}}.")
                .with("batch", told.count().batch())
                .with("day", new WholeDay(told.sown()))
                .with("place", told.place())
                .when("known", told.meanCelsius().isPresent())
                .with("temperature", new Celsius(told.meanCelsius().orElse(0.0)))
                .with("up", told.count().up())
                .with("tried", told.count().tried())
                .when("cells", cells);
    }

    /** What all counts say together, from the label as it was when the first of them was sown. */
    private static Said together(List<LotEvidence.Told> counts) {
        LotEvidence.Told first = counts.stream()
                .min((one, other) -> one.sown().compareTo(other.sown()))
                .orElseThrow();
        List<Shortfall.Trials> all =
                counts.stream().flatMap(told -> told.count().trials().stream()).toList();
        double tail = Shortfall.tail(first.count().label(), all);
        boolean hardlyEver = tail < HARDLY_EVER;
        int once = hardlyEver ? 0 : (int) Math.round(1 / tail);
        return tail <= SELDOM
                ? Said.of(
                                "If the label were true, so few would come up {hardlyEver, select, true {less than once in ten thousand} other {about once in {once}}} such sowings.")
                        .when("hardlyEver", hardlyEver)
                        .with("once", once)
                : Said.of(
                        "If the label were true, so few would come up more often than once in twenty such sowings; chance alone may have done it.");
    }

    private String nursery() {
        return clock.nursery()
                .map(nursery -> nursery.telephone().isEmpty()
                        ? nursery.name()
                        : say(Said.of("{nursery}, telephone {telephone}")
                                .with("nursery", nursery.name())
                                .with("telephone", nursery.telephone())))
                .orElse("");
    }

    private String say(Said said) {
        return wording.say(said);
    }
}
