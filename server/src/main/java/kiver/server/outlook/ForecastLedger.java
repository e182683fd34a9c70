package kiver.server.outlook;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import kiver.core.batch.BatchStage;
import kiver.core.growth.DateSpread;
import kiver.core.outlook.BatchOutlook;
import kiver.core.outlook.ForecastChange;
import kiver.core.place.Place;
import kiver.core.place.PlaceId;
import kiver.core.weather.DailyRange;
import kiver.core.weather.StationRecord;
import kiver.server.clock.NurseryClock;
import kiver.server.growth.SeasonService;
import kiver.server.place.PlaceBook;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Remembers what was forecast, and notes what has moved by more than a day, with the cause. */
@Component
public class ForecastLedger {

    private static final int WORTH_TELLING = 2;
    private static final int DAYS_SHOWN = 7;

    private final LedgerMapper mapper;
    private final ToldBook told;
    private final BatchAnalyst analyst;
    private final SeasonService seasons;
    private final PlaceBook places;
    private final NurseryClock clock;

    ForecastLedger(
            LedgerMapper mapper,
            ToldBook told,
            BatchAnalyst analyst,
            SeasonService seasons,
            PlaceBook places,
            NurseryClock clock) {
        this.mapper = mapper;
        this.told = told;
        this.analyst = analyst;
        this.seasons = seasons;
        this.places = places;
        this.clock = clock;
    }

    /** A change that was noted. */
    public record Noted(
            LocalDate day,
            int batch,
            String variety,
            long placeId,
            LocalDate readyBefore,
            LocalDate readyAfter,
            ForecastChange.Cause cause) {

        ForecastChange change() {
            return new ForecastChange(day, batch, new PlaceId(placeId), readyBefore, readyAfter, cause);
        }
    }

    /** What was forecast last. */
    record KeptForecast(long batchId, LocalDate day, LocalDate ready, int sequence) {}

    /** Compares today's forecasts with the last ones and notes what has moved. Does nothing the second time. */
    @Transactional
    public void compare() {
        LocalDate today = clock.today();
        Map<Long, KeptForecast> kept = new HashMap<>();
        mapper.kept().forEach(each -> kept.put(each.batchId(), each));
        Means means = new Means(today);
        List<BatchOutlook> batches = analyst.all();
        told.tell(batches, today);
        for (BatchOutlook batch : batches) {
            LocalDate ready = batch.forecast().ready().map(DateSpread::middle).orElse(null);
            boolean settled = batch.file().state().hardenedOn().isPresent()
                    || batch.stage() == BatchStage.RELEASED
                    || batch.stage() == BatchStage.FAILED;
            if (ready == null || settled) {
                continue;
            }
            long id = batch.file().batch().id().number();
            int sequence = batch.file().state().changes().size();
            KeptForecast before = kept.get(id);
            if (before == null) {
                mapper.keep(new KeptForecast(id, today, ready, sequence));
            } else if (Math.abs(before.ready().toEpochDay() - ready.toEpochDay()) >= WORTH_TELLING) {
                PlaceId place = batch.place();
                boolean recorded = batch.file().state().changes().size() > before.sequence()
                        || batch.file().state().sownOn().isEmpty();
                ForecastChange.Cause cause = ForecastChange.causeOf(
                        recorded, means.seen(place, before.day()), means.expected(place, before.day()));
                mapper.note(today, id, place.number(), before.ready(), ready, cause);
                mapper.keep(new KeptForecast(id, today, ready, sequence));
            } else if (before.sequence() != sequence) {
                mapper.keep(new KeptForecast(id, before.day(), before.ready(), sequence));
            }
        }
    }

    /** Keeps what is forecast today to be held against what happens, unless that was done within the week. */
    @Transactional
    public void tell() {
        told.tell(analyst.all(), clock.today());
    }

    /** The changes of the last days, the newest first. */
    public List<Noted> lately() {
        return mapper.since(clock.today().minusDays(DAYS_SHOWN));
    }

    /** Temperatures of places since a day, as they were and as they were to be expected. */
    private final class Means {

        private final LocalDate today;
        private final StationRecord record = seasons.record();
        private final Map<PlaceId, Map<LocalDate, DailyRange>> readings;

        Means(LocalDate today) {
            this.today = today;
            readings = places.readings(today.minusDays(60));
        }

        double seen(PlaceId place, LocalDate since) {
            List<Double> middles = new ArrayList<>();
            for (LocalDate day = since; day.isBefore(today); day = day.plusDays(1)) {
                DailyRange read = readings.getOrDefault(place, Map.of()).get(day);
                if (read != null) {
                    middles.add(read.middle());
                }
            }
            return middles.stream().mapToDouble(Double::doubleValue).average().orElse(expected(place, since));
        }

        double expected(PlaceId id, LocalDate since) {
            Place place = seasons.season().place(id);
            double sum = 0;
            int count = 0;
            for (LocalDate day = since; day.isBefore(today); day = day.plusDays(1)) {
                for (int back = 1; record.covers(day.minusYears(back)); back++) {
                    sum += place.climate()
                            .inside(record.on(day.minusYears(back)))
                            .middle();
                    count++;
                }
            }
            return count == 0 ? 0 : sum / count;
        }
    }

    /** The tables of kept forecasts and of changes. */
    @Mapper
    interface LedgerMapper {
        @Select("select batch_id, day, ready, sequence from forecast_kept")
        List<KeptForecast> kept();

        @Insert("""
                insert into forecast_kept (batch_id, day, ready, sequence)
                values (#{batchId}, #{day}, #{ready}, #{sequence})
                on conflict (batch_id) do update set day = excluded.day, ready = excluded.ready, sequence = excluded.sequence
                """)
        void keep(KeptForecast forecast);

        @Insert("""
                insert into forecast_change (day, batch_id, place_id, ready_before, ready_after, cause)
                values (#{day}, #{batch}, #{place}, #{before}, #{after}, #{cause})
                on conflict (day, batch_id) do update set ready_after = excluded.ready_after, cause = excluded.cause
                """)
        void note(
                @Param("day") LocalDate day,
                @Param("batch") long batch,
                @Param("place") long place,
                @Param("before") LocalDate before,
                @Param("after") LocalDate after,
                @Param("cause") ForecastChange.Cause cause);

        @Select("""
                select change.day, batch.number as batch, variety.name as variety, change.place_id, change.ready_before,
                       change.ready_after, change.cause
                from forecast_change change
                join batch on batch.id = change.batch_id
                join variety on variety.id = batch.variety_id
                where change.day > #{day} order by change.day desc, change.place_id, batch.number
                """)
        List<Noted> since(@Param("day") LocalDate day);
    }
}
