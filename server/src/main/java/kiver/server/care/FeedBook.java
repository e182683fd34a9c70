package kiver.server.care;

import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import kiver.core.care.FeedProduct;
import kiver.core.care.FeedSchool;
import kiver.core.media.RecipeCode;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.springframework.stereotype.Component;

/** Feeds in the store, how this nursery feeds, and what was given. */
@Component
public class FeedBook {

    /** As long as nobody has said how the nursery feeds. */
    public static final Way UNSAID = new Way(FeedSchool.NEVER, 100, 10);

    private final FeedMapper mapper;

    FeedBook(FeedMapper mapper) {
        this.mapper = mapper;
    }

    /**
     * How the nursery feeds.
     *
     * @param school when
     * @param strength mg of nitrogen in a litre
     * @param canLitres of the watering can
     */
    public record Way(FeedSchool school, double strength, double canLitres) {}

    /**
     * A feed in the store; the figures are those of its label.
     *
     * @param density kg/L
     */
    public record Feed(
            long id,
            String name,
            FeedProduct.Form form,
            double nitrogen,
            double phosphorus,
            double potassium,
            double density) {

        /** As the core takes it. */
        public FeedProduct product() {
            return new FeedProduct(form, nitrogen, phosphorus, potassium, density);
        }
    }

    /**
     * What a batch was given.
     *
     * @param strength mg of nitrogen in a litre
     * @param conductivity mS/cm; missing where nobody measured it
     */
    public record Given(
            int batch,
            String feed,
            double strength,
            @Nullable Double conductivity,
            LocalDate fedOn,
            @Nullable String by) {}

    /**
     * A mix that a batch was filled from.
     *
     * @param reserveDays days after emergence, or after potting, that it feeds
     * @param recipe it was made by
     */
    public record Filled(int batch, LocalDate day, int reserveDays, RecipeCode recipe) {}

    /** A mix whose plants are fed otherwise than the nursery does. */
    public record OfRecipe(RecipeCode recipe, FeedSchool school) {}

    /** How the nursery feeds; {@link #UNSAID} as long as nobody has said. */
    public Way way() {
        return mapper.way().orElse(UNSAID);
    }

    /** Says how the nursery feeds from now on. */
    public void feedBy(Way way) {
        mapper.put(way);
    }

    /** Mixes whose plants are fed otherwise than the nursery does. */
    public Map<RecipeCode, FeedSchool> byRecipe() {
        return mapper.byRecipe().stream().collect(Collectors.toMap(OfRecipe::recipe, OfRecipe::school));
    }

    /** Says how plants in a mix are fed; as the nursery does where nothing is said. */
    public void feedBy(RecipeCode recipe, @Nullable FeedSchool school) {
        mapper.forget(recipe);
        if (school != null) {
            mapper.putOfRecipe(recipe, school);
        }
    }

    /** All feeds by name. */
    public List<Feed> feeds() {
        return mapper.feeds();
    }

    /** A feed, if there is one of that number. */
    public Optional<Feed> feed(long id) {
        return feeds().stream().filter(feed -> feed.id() == id).findFirst();
    }

    /** Adds a feed; answers false where one of its name is there. */
    public boolean add(Feed feed) {
        return mapper.add(feed) == 1;
    }

    /** When each batch was last fed, of those that were since a day. */
    public Map<Integer, LocalDate> lastFed(LocalDate since) {
        return mapper.lastFed(since).stream().collect(Collectors.toMap(LastFed::batch, LastFed::day));
    }

    /** What each batch was filled from since a day, the latest last. */
    public Map<Integer, List<Filled>> fillings(LocalDate since) {
        return mapper.fillings(since).stream().collect(Collectors.groupingBy(Filled::batch));
    }

    /** What was given from a day on, the latest first. */
    public List<Given> givenSince(LocalDate from) {
        return mapper.givenSince(from);
    }

    /** Notes what a batch was given; the same request counts once. */
    public void give(
            UUID request,
            int batch,
            long feed,
            double strength,
            @Nullable Double conductivity,
            LocalDate day,
            @Nullable Long by) {
        mapper.give(request, batch, feed, strength, conductivity, day, by);
    }

    /** When a batch was last fed. */
    record LastFed(int batch, LocalDate day) {}

    /** The tables of feeds and of what was given. */
    @Mapper
    interface FeedMapper {
        @Select("select school, strength, can_litres from feeding_way")
        Optional<Way> way();

        @Insert("""
                insert into feeding_way (school, strength, can_litres) values (#{school}, #{strength}, #{canLitres})
                on conflict (only_one) do update
                set school = excluded.school, strength = excluded.strength, can_litres = excluded.can_litres
                """)
        void put(Way way);

        @Select("select recipe, school from feeding_of_recipe")
        List<OfRecipe> byRecipe();

        @Delete("delete from feeding_of_recipe where recipe = #{recipe}")
        void forget(@Param("recipe") RecipeCode recipe);

        @Insert("insert into feeding_of_recipe (recipe, school) values (#{recipe}, #{school})")
        void putOfRecipe(@Param("recipe") RecipeCode recipe, @Param("school") FeedSchool school);

        @Select("select id, name, form, nitrogen, phosphorus, potassium, density from feed_product order by name")
        List<Feed> feeds();

        @Insert("""
                insert into feed_product (name, form, nitrogen, phosphorus, potassium, density)
                values (#{name}, #{form}, #{nitrogen}, #{phosphorus}, #{potassium}, #{density}) on conflict (name) do nothing
                """)
        int add(Feed feed);

        @Select("""
                select batch.number as batch, max(feeding.fed_on) as day from feeding join batch on batch.id = feeding.batch_id
                where feeding.fed_on >= #{since} group by batch.number
                """)
        List<LastFed> lastFed(@Param("since") LocalDate since);

        @Select("""
                select batch.number as batch, movement.day, (mix.detail ->> 'reserveDays')::int as reserve_days, mix.recipe
                from stock_movement movement
                join mix_lot mix on mix.number = movement.mix_lot
                join batch on batch.id = movement.batch_id
                where movement.kind = 'FILLED' and movement.day >= #{since} order by movement.day, movement.id
                """)
        List<Filled> fillings(@Param("since") LocalDate since);

        @Select("""
                select batch.number as batch, feed.name as feed, feeding.strength, feeding.conductivity, feeding.fed_on, account.name as by
                from feeding join batch on batch.id = feeding.batch_id join feed_product feed on feed.id = feeding.product_id
                left join account on account.id = feeding.fed_by
                where feeding.fed_on >= #{from} order by feeding.fed_on desc, feeding.recorded_at desc, batch.number
                """)
        List<Given> givenSince(@Param("from") LocalDate from);

        @Insert("""
                insert into feeding (request_id, batch_id, product_id, strength, conductivity, fed_on, fed_by)
                values (#{request}, (select id from batch where number = #{batch}), #{feed}, #{strength}, #{conductivity}, #{day}, #{by})
                on conflict (request_id) do nothing
                """)
        void give(
                @Param("request") UUID request,
                @Param("batch") int batch,
                @Param("feed") long feed,
                @Param("strength") double strength,
                @Param("conductivity") @Nullable Double conductivity,
                @Param("day") LocalDate day,
                @Param("by") @Nullable Long by);
    }
}
