package kiver.server.media;

import java.util.List;
import kiver.core.media.Ingredient;
import kiver.core.media.IngredientCode;
import kiver.core.media.Recipe;
import kiver.core.media.RecipeCode;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** The tables of ingredients and recipes. */
@Mapper
interface MediaMapper {

    /** A recipe as it stands in its row. */
    record RecipeRow(
            RecipeCode code, String name, Recipe.Use use, boolean usual, boolean retired, int version, String detail) {}

    @Select("select code, name, density, bag_litres, bag_price, dusty, alive from ingredient order by name")
    List<Ingredient> ingredients();

    @Insert("""
            insert into ingredient (code, name, density, bag_litres, bag_price, dusty, alive)
            values (#{code}, #{name}, #{density}, #{bagLitres}, #{bagPrice}, #{dusty}, #{alive})
            on conflict (code) do update set name = excluded.name, density = excluded.density,
                bag_litres = excluded.bag_litres, bag_price = excluded.bag_price, dusty = excluded.dusty, alive = excluded.alive
            """)
    void putIngredient(Ingredient ingredient);

    @Select(
            "select code, name, use, usual, retired, version, detail::text as detail from recipe order by retired, name")
    List<RecipeRow> recipes();

    @Insert("""
            insert into recipe (code, name, use, detail) values (#{code}, #{name}, #{use}, #{detail}::jsonb)
            on conflict (code) do nothing
            """)
    int addRecipe(
            @Param("code") RecipeCode code,
            @Param("name") String name,
            @Param("use") Recipe.Use use,
            @Param("detail") String detail);

    @Update("""
            update recipe set name = #{name}, use = #{use}, detail = #{detail}::jsonb, version = version + 1,
                usual = usual and use = #{use}
            where code = #{code} and version = #{version}
            """)
    int changeRecipe(
            @Param("code") RecipeCode code,
            @Param("version") int version,
            @Param("name") String name,
            @Param("use") Recipe.Use use,
            @Param("detail") String detail);

    @Update("update recipe set usual = false where usual and use = (select use from recipe where code = #{code})")
    void nothingUsualLike(@Param("code") RecipeCode code);

    @Update("update recipe set usual = true, retired = false where code = #{code}")
    int makeUsual(@Param("code") RecipeCode code);

    @Update("update recipe set retired = #{retired}, usual = usual and not #{retired} where code = #{code}")
    int retire(@Param("code") RecipeCode code, @Param("retired") boolean retired);

    @Select(
            "select bucket_litres as bucket, barrow_litres as barrow, waste, least_plants, bought_per_litre, work_per_barrow from mixing")
    Mixing mixing();

    @Update("""
            update mixing set bucket_litres = #{bucket}, barrow_litres = #{barrow}, waste = #{waste},
                least_plants = #{leastPlants}, bought_per_litre = #{boughtPerLitre}, work_per_barrow = #{workPerBarrow}
            """)
    void setMixing(Mixing mixing);

    @Select("select name from ingredient where lower(name) = lower(#{name}) and code <> #{code}")
    List<String> othersCalled(@Param("code") IngredientCode code, @Param("name") String name);
}
