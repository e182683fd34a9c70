package kiver.server.seed;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import kiver.core.seed.LotId;
import kiver.core.seed.PacketSays;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** The table of seed lots. What is left follows from the sowings recorded and the seed set aside. */
@Mapper
interface SeedLotMapper {

    String LOTS = """
            select lot.id, lot.code, lot.variety_id, lot.supplier, lot.germination_label, lot.tested_seeds,
                   lot.tested_on, lot.seeds_bought, lot.seeds_bought - coalesce(taken.seeds, 0)::int as seeds_left
            from seed_lot lot
            left join (
                select lot_id, sum(seeds) as seeds from (
                    select lot_id, seeds from batch_origin
                    union all
                    select lot_id, spots * seeds_per_spot from sowing_in_place where withdrawn_on is null) each
                group by lot_id) taken on taken.lot_id = lot.id
            """;

    @Select(LOTS + " where lot.kind = 'SEED' order by lot.code")
    List<SeedLot> all();

    /** Consignments of plants raised elsewhere. */
    @Select(LOTS + " where lot.kind = 'PLANTS' order by lot.code")
    List<SeedLot> consignments();

    @Select(value = """
            insert into seed_lot (code, variety_id, supplier, germination_label, tested_seeds, tested_on, seeds_bought, kind, price_each)
            values (#{code}, #{varietyId}, #{supplier}, 1, 1, #{arrives}, #{plants}, 'PLANTS', #{price})
            on conflict (code) do nothing returning id
            """, affectData = true)
    Optional<LotId> insertConsignment(
            @Param("code") String code,
            @Param("varietyId") long varietyId,
            @Param("supplier") String supplier,
            @Param("arrives") LocalDate arrives,
            @Param("plants") int plants,
            @Param("price") Double price);

    @Select("""
            select lot.price_each from seed_lot lot join variety on variety.id = lot.variety_id
            where lot.kind = 'PLANTS' and lot.price_each is not null and variety.crop = #{crop} order by lot.id desc limit 1
            """)
    Optional<Double> lastPrice(@Param("crop") String crop);

    @Select("select price_each from seed_lot where id = #{id}")
    Optional<Double> price(@Param("id") LotId id);

    /**
     * What a packet says; nulls where it does not.
     *
     * @param daysFrom until it comes up
     * @param depth mm
     * @param sowBy year
     */
    record PacketRow(
            String code,
            Integer daysFrom,
            Integer daysTo,
            Double depth,
            Integer sowBy,
            boolean coated,
            boolean ownSaved) {
        static PacketRow of(String lot, PacketSays packet) {
            return new PacketRow(
                    lot,
                    packet.emergence().map(PacketSays.Days::from).orElse(null),
                    packet.emergence().map(PacketSays.Days::to).orElse(null),
                    packet.depth().isPresent() ? packet.depth().getAsDouble() : null,
                    packet.sowBy().isPresent() ? packet.sowBy().getAsInt() : null,
                    packet.coated(),
                    packet.ownSaved());
        }

        PacketSays packet() {
            return new PacketSays(
                    daysFrom == null ? Optional.empty() : Optional.of(new PacketSays.Days(daysFrom, daysTo)),
                    depth == null ? OptionalDouble.empty() : OptionalDouble.of(depth),
                    sowBy == null ? OptionalInt.empty() : OptionalInt.of(sowBy),
                    coated,
                    ownSaved);
        }
    }

    @Select("""
            select code, packet_days_from as days_from, packet_days_to as days_to, packet_depth as depth, sow_by, coated,
                own_saved
            from seed_lot
            where kind = 'SEED' and (packet_days_from is not null or packet_depth is not null or sow_by is not null
                or coated or own_saved)
            """)
    List<PacketRow> packets();

    @Update("""
            update seed_lot set packet_days_from = #{daysFrom}, packet_days_to = #{daysTo}, packet_depth = #{depth},
                sow_by = #{sowBy}, coated = #{coated}, own_saved = #{ownSaved}
            where code = #{code}
            """)
    void sayOf(PacketRow packet);

    @Select("select id from seed_lot where coated")
    List<Long> coated();

    @Select(LOTS + " where lot.id = #{id}")
    Optional<SeedLot> byId(@Param("id") LotId id);

    /** Waits for others who take seed from this lot. */
    @Select("select id from seed_lot where id = #{id} for update")
    Long lock(@Param("id") LotId id);

    @Insert("""
            insert into seed_lot (code, variety_id, supplier, germination_label, tested_seeds, tested_on, seeds_bought)
            values (#{code}, #{varietyId}, #{supplier}, #{germinationLabel}, #{testedSeeds}, #{testedOn}, #{seedsBought})
            on conflict (code) do nothing
            """)
    int insert(SeedLot lot);

    @Insert("""
            insert into seed_lot (code, variety_id, supplier, germination_label, tested_seeds, tested_on, seeds_bought)
            values (#{code}, #{varietyId}, #{supplier}, #{germinationLabel}, #{testedSeeds}, #{testedOn}, #{seedsBought})
            on conflict (code) do update set supplier = excluded.supplier, germination_label = excluded.germination_label,
                tested_seeds = excluded.tested_seeds, tested_on = excluded.tested_on, seeds_bought = excluded.seeds_bought
            """)
    void put(SeedLot lot);
}
