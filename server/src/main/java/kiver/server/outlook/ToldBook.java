package kiver.server.outlook;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import kiver.core.batch.BatchStage;
import kiver.core.crop.LessonAbout.Matter;
import kiver.core.growth.DateSpread;
import kiver.core.order.LineId;
import kiver.core.outlook.BatchOutlook;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Keeps once a week what was forecast, so that it can be held against what happened. */
@Component
public class ToldBook {

    private static final int DAYS_BETWEEN = 7;
    private static final int ROWS_AT_ONCE = 1_000;

    private final ToldMapper mapper;

    ToldBook(ToldMapper mapper) {
        this.mapper = mapper;
    }

    /** A band that was told of a batch. */
    public record BandRow(long batchId, Matter matter, LocalDate toldOn, LocalDate early, LocalDate late) {}

    /** A chance that was told of a line. */
    public record ChanceRow(long lineId, LocalDate toldOn, double chance) {}

    /** Bands told from a day until another, both included. */
    public List<BandRow> bands(LocalDate from, LocalDate until) {
        return mapper.bands(from, until);
    }

    /** Chances told from a day until another, both included. */
    public List<ChanceRow> chances(LocalDate from, LocalDate until) {
        return mapper.chances(from, until);
    }

    /** Keeps what is forecast today, unless that was done within the week. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void tell(List<BatchOutlook> batches, LocalDate today) {
        LocalDate last = mapper.last();
        if (last != null && last.isAfter(today.minusDays(DAYS_BETWEEN))) {
            return;
        }
        List<BandRow> bands = new ArrayList<>();
        Map<LineId, Double> chances = new HashMap<>();
        for (BatchOutlook batch : batches) {
            if (batch.trouble().isPresent() || batch.stage().compareTo(BatchStage.READY) > 0) {
                continue;
            }
            if (batch.stage() != BatchStage.READY && !batch.file().batch().isBoughtIn()) {
                addBands(bands, batch, today);
            }
            // Also of what is ready: were it left out, only lines that are behind would be judged near their day.
            batch.chances()
                    .byLine()
                    .keySet()
                    .forEach(line -> chances.merge(line, batch.chanceFor(line), (a, b) -> a * b));
        }
        inParts(bands, mapper::putBands);
        inParts(
                chances.entrySet().stream()
                        .map(entry -> new ChanceRow(entry.getKey().number(), today, entry.getValue()))
                        .toList(),
                mapper::putChances);
    }

    private static void addBands(List<BandRow> bands, BatchOutlook batch, LocalDate today) {
        long id = batch.file().batch().id().number();
        if (!batch.standing().hasEmerged()) {
            band(id, Matter.EMERGENCE, batch.forecast().emerged(), today).ifPresent(bands::add);
        }
        band(id, Matter.LEAVES, batch.forecast().stageReached(), today).ifPresent(bands::add);
    }

    private static Optional<BandRow> band(long batch, Matter matter, Optional<DateSpread> spread, LocalDate today) {
        return spread.filter(each -> each.late().isAfter(today))
                .map(each -> new BandRow(batch, matter, today, each.early(), each.late()));
    }

    private static <T> void inParts(List<T> rows, Consumer<List<T>> put) {
        for (int from = 0; from < rows.size(); from += ROWS_AT_ONCE) {
            put.accept(rows.subList(from, Math.min(from + ROWS_AT_ONCE, rows.size())));
        }
    }

    /** The tables of what was told. */
    @Mapper
    interface ToldMapper {
        @Select("select greatest((select max(told_on) from forecast_told), (select max(told_on) from chance_told))")
        LocalDate last();

        @Insert("""
                <script>
                insert into forecast_told (batch_id, matter, told_on, early, late) values
                <foreach collection="rows" item="each" separator=",">(#{each.batchId}, #{each.matter}, #{each.toldOn}, #{each.early}, #{each.late})</foreach>
                on conflict do nothing
                </script>
                """)
        void putBands(@Param("rows") List<BandRow> rows);

        @Insert("""
                <script>
                insert into chance_told (line_id, told_on, chance) values
                <foreach collection="rows" item="each" separator=",">(#{each.lineId}, #{each.toldOn}, #{each.chance})</foreach>
                on conflict do nothing
                </script>
                """)
        void putChances(@Param("rows") List<ChanceRow> rows);

        @Select("""
                select batch_id, matter, told_on, early, late from forecast_told where told_on between #{from} and #{until}
                """)
        List<BandRow> bands(@Param("from") LocalDate from, @Param("until") LocalDate until);

        @Select("select line_id, told_on, chance from chance_told where told_on between #{from} and #{until}")
        List<ChanceRow> chances(@Param("from") LocalDate from, @Param("until") LocalDate until);
    }
}
