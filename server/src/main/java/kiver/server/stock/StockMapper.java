package kiver.server.stock;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import kiver.core.media.IngredientCode;
import kiver.core.media.RecipeCode;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Options.FlushCachePolicy;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** The ledger of the store and the lots it is kept by. */
@Mapper
interface StockMapper {

    /** What a mix was blended of. */
    record PartRow(int mix, IngredientCode ingredient, String name, String lot, String supplier, double litres) {}

    /** A batch that was filled from a mix. */
    record FilledRow(int mix, int batch, LocalDate day, double litres) {}

    String MIXES = """
            select mix.number, mix.recipe, mix.name, mix.made_on,
                   coalesce(sum(movement.litres) filter (where movement.kind = 'MADE'), 0) as made,
                   coalesce(sum(movement.litres), 0) as litres
            from mix_lot mix left join stock_movement movement on movement.mix_lot = mix.number
            """;

    @Select("""
            select lot.id, lot.ingredient, lot.code, lot.supplier, lot.bought_on, coalesce(sum(movement.litres), 0) as litres
            from ingredient_lot lot left join stock_movement movement on movement.ingredient_lot = lot.id
            group by lot.id order by lot.bought_on, lot.id
            """)
    List<IngredientLot> lots();

    @Select(MIXES + """
             group by mix.number
            having mix.made_on >= #{since} or abs(coalesce(sum(movement.litres), 0)) > 0.05
            order by mix.made_on desc, mix.number desc
            """)
    List<MixLot> mixes(@Param("since") LocalDate since);

    @Select(MIXES + " where mix.number = #{number} group by mix.number")
    List<MixLot> mix(@Param("number") int number);

    @Select("""
            select movement.into_mix as mix, lot.ingredient, ingredient.name, lot.code as lot, lot.supplier, -movement.litres as litres
            from stock_movement movement
            join ingredient_lot lot on lot.id = movement.ingredient_lot
            join ingredient on ingredient.code = lot.ingredient
            where movement.into_mix = any(#{mixes, typeHandler=org.apache.ibatis.type.ArrayTypeHandler})
            order by movement.id
            """)
    List<PartRow> parts(@Param("mixes") Integer[] mixes);

    @Select("""
            select movement.mix_lot as mix, batch.number as batch, movement.day, -movement.litres as litres
            from stock_movement movement join batch on batch.id = movement.batch_id
            where movement.kind = 'FILLED' and movement.mix_lot = any(#{mixes, typeHandler=org.apache.ibatis.type.ArrayTypeHandler})
            order by movement.id
            """)
    List<FilledRow> filled(@Param("mixes") Integer[] mixes);

    @Select("""
            select distinct movement.mix_lot from stock_movement movement join batch on batch.id = movement.batch_id
            where movement.kind = 'FILLED' and batch.number = any(#{batches, typeHandler=org.apache.ibatis.type.ArrayTypeHandler})
            order by movement.mix_lot
            """)
    List<Integer> mixesOf(@Param("batches") Integer[] batches);

    @Select("""
            insert into ingredient_lot (ingredient, code, supplier, bought_on)
            values (#{ingredient}, #{code}, #{supplier}, #{day})
            on conflict (ingredient, code) do update set code = excluded.code
            returning id
            """)
    @Options(flushCache = FlushCachePolicy.TRUE)
    long lot(
            @Param("ingredient") IngredientCode ingredient,
            @Param("code") String code,
            @Param("supplier") String supplier,
            @Param("day") LocalDate day);

    @Select("""
            insert into mix_lot (recipe, name, made_on, detail) values (#{recipe}, #{name}, #{day}, #{detail}::jsonb) returning number
            """)
    @Options(flushCache = FlushCachePolicy.TRUE)
    int addMix(
            @Param("recipe") RecipeCode recipe,
            @Param("name") String name,
            @Param("day") LocalDate day,
            @Param("detail") String detail);

    @Insert("""
            insert into stock_movement (kind, ingredient_lot, litres, day, into_mix, recorded_by, request)
            values (#{kind}, #{lot}, #{litres}, #{day}, #{intoMix}, #{by}, #{request}::uuid)
            """)
    void moveIngredient(
            @Param("kind") String kind,
            @Param("lot") long lot,
            @Param("litres") double litres,
            @Param("day") LocalDate day,
            @Param("intoMix") Integer intoMix,
            @Param("by") Long by,
            @Param("request") UUID request);

    @Insert("""
            insert into stock_movement (kind, mix_lot, litres, day, batch_id, recorded_by, request)
            values (#{kind}, #{mix}, #{litres}, #{day}, (select id from batch where number = #{batch}), #{by}, #{request}::uuid)
            on conflict (request) where kind = 'FILLED' do nothing
            """)
    void moveMix(
            @Param("kind") String kind,
            @Param("mix") int mix,
            @Param("litres") double litres,
            @Param("day") LocalDate day,
            @Param("batch") Integer batch,
            @Param("by") Long by,
            @Param("request") UUID request);

    @Select("select true from (select pg_advisory_xact_lock(4721)) as held")
    boolean oneAtATime();
}
