package kiver.server.promise;

import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import kiver.core.order.LineId;
import kiver.core.order.SiteClimate;
import kiver.core.outlook.BatchFile;
import kiver.core.plan.InPlace;
import kiver.core.plan.PlanRequest;
import kiver.core.seed.LotId;
import kiver.server.clock.NurseryClock;
import kiver.server.growth.SeasonService;
import kiver.server.order.OrderedLine;
import kiver.server.order.OutdoorsBook;
import kiver.server.plan.PlanRequests;
import kiver.server.plan.Wish;
import kiver.server.problem.Refusal;
import kiver.server.wording.Said;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Lines that are met by seed sown in place: what would come of it, setting the seed aside, and handing it over. */
@Component
public class InPlaceBook {

    /** Seed goes so long before it is to be sown, in weeks. */
    private static final int WEEKS_BEFORE = 2;

    private final InPlaceMapper mapper;
    private final PlanRequests plans;
    private final OutdoorsBook outdoors;
    private final SeasonService seasons;
    private final NurseryClock clock;

    InPlaceBook(
            InPlaceMapper mapper,
            PlanRequests plans,
            OutdoorsBook outdoors,
            SeasonService seasons,
            NurseryClock clock) {
        this.mapper = mapper;
        this.plans = plans;
        this.outdoors = outdoors;
        this.seasons = seasons;
        this.clock = clock;
    }

    /**
     * What would come of a sowing in place.
     *
     * @param outcome in days, seed and chances
     * @param lot that would be sown; empty where there is none
     */
    public record Planned(InPlace outcome, Optional<LotId> lot) {}

    /**
     * What would come of it, were so many plants of a line sown in place.
     *
     * @param instead a batch that is planned for it and would leave the plan, so that its seed is free
     */
    @Transactional(readOnly = true)
    public Planned plan(OrderedLine line, int plants, Optional<BatchFile> instead) {
        Wish wish = PromiseService.wishFor(line, plants, line.target());
        PlanRequests.Prepared prepared =
                instead.map(planned -> plans.prepareInsteadOf(wish, planned)).orElseGet(() -> plans.prepare(wish));
        PlanRequest request = prepared.request();
        return new Planned(
                outcome(line, request, request.seedsInStock()), prepared.lot().map(lot -> lot.id()));
    }

    /** What is to be expected by now of seed that was set aside; nothing once its day has passed, or where it has gone. */
    @Transactional(readOnly = true)
    public Optional<InPlace> outlookOf(OrderedLine line, SownInPlace sown) {
        if (sown.isHandedOver() || line.target().isBefore(clock.today())) {
            return Optional.empty();
        }
        PlanRequest request = plans.prepare(PromiseService.wishFor(line, sown.plants(), line.target())
                        .from(sown.lotId().number()))
                .request();
        return Optional.of(outcome(line, request, Integer.MAX_VALUE));
    }

    private InPlace outcome(OrderedLine line, PlanRequest request, int seeds) {
        SiteClimate climate = outdoors.climate(line);
        InPlace.Ask ask = new InPlace.Ask(
                request.line(),
                request.crop(),
                request.germination(),
                seeds,
                climate,
                outdoors.frost(climate, request.crop().hardiness().harmedAt()),
                clock.today());
        return InPlace.of(ask, seasons.scenarios(ask.firstDay(), ask.lastDay()));
    }

    /**
     * Seed that is to go by now, so that it is there when it is to be sown.
     *
     * @param order number
     * @param variety name
     * @param grower name
     * @param seeds that go
     * @param sowFrom first day on which it is to be sown
     * @param sowUntil last day
     */
    public record SeedToGo(
            int order, String variety, String grower, int seeds, LocalDate sowFrom, LocalDate sowUntil) {}

    /** The seed that is to go by now, what is sown first coming first. */
    public List<SeedToGo> toGo() {
        return mapper.toGo(clock.today().plusWeeks(WEEKS_BEFORE));
    }

    /** What of these lines is sown in place, by the line's number in the database. */
    public Map<LineId, SownInPlace> of(Collection<LineId> lines) {
        return lines.isEmpty()
                ? Map.of()
                : mapper.ofLines(lines.stream().map(LineId::number).toArray(Long[]::new)).stream()
                        .collect(Collectors.toMap(SownInPlace::lineId, Function.identity()));
    }

    /** What of a line is sown in place. */
    public Optional<SownInPlace> of(OrderedLine line) {
        return Optional.ofNullable(of(List.of(line.id())).get(line.id()));
    }

    /** The seed of a lot that growers have. */
    public List<SownInPlace> goneFrom(LotId lot) {
        return mapper.goneFrom(lot);
    }

    /** The seed that went with a note. */
    public List<SownInPlace> onNote(int release) {
        return mapper.onNote(release);
    }

    /**
     * Sets seed aside for so many plants of a line.
     *
     * @throws Refusal where no day is fit for sowing, or the seed is not there
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public void setAside(OrderedLine line, int plants, Long by) {
        Planned planned = plan(line, plants, Optional.empty());
        InPlace outcome = planned.outcome();
        outcome.hindrance().ifPresent(hindrance -> {
            throw new Refusal("route", Said.of((Record) hindrance));
        });
        LotId lot = planned.lot().orElseThrow();
        mapper.insert(
                new SownInPlace(
                        line.id(),
                        lot,
                        plants,
                        outcome.spots(),
                        outcome.seedsPerSpot(),
                        outcome.from().get(),
                        outcome.until().orElseThrow(),
                        null),
                clock.today(),
                by);
    }

    /** Puts the seed of a line back; nothing where none is set aside, or where it has gone. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void putBack(OrderedLine line) {
        mapper.withdraw(line.id(), clock.today());
    }

    /**
     * Lets the seed of a line go with a note.
     *
     * @throws Refusal where none waits to go
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public void handOver(OrderedLine line, int release) {
        if (mapper.handOver(line.id(), release) != 1) {
            throw new Refusal(
                    "seedOf", Said.of("No seed of line {position} waits to go.").with("position", line.position()));
        }
    }

    /**
     * Seed that went turned out not to have gone; its note stays and names it no more.
     *
     * @throws Refusal where none went
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public void takeBack(OrderedLine line) {
        if (mapper.takeBack(line.id()) != 1) {
            throw new Refusal(
                    "line", Said.of("No seed went with line {position}.").with("position", line.position()));
        }
    }

    /** Days and seed anew after a line has changed: for so many plants, or none. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void follow(OrderedLine line, int plants, Long by) {
        if (of(line).filter(sown -> !sown.isHandedOver()).isPresent()) {
            putBack(line);
            if (plants > 0) {
                setAside(line, plants, by);
            }
        }
    }

    /** From when on seed is to go, so that it is there when it is to be sown. */
    public static boolean isDue(SownInPlace sown, LocalDate today) {
        return !today.isBefore(sown.sowFrom().minusWeeks(WEEKS_BEFORE));
    }
}
