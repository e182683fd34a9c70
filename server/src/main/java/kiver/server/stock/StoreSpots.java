package kiver.server.stock;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Where in the store trays, mixes and packets are kept, and in which order one walks past those spots. */
@Component
public class StoreSpots {

    private final StoreMapper mapper;

    StoreSpots(StoreMapper mapper) {
        this.mapper = mapper;
    }

    /** What is fetched from the store. */
    public enum Kind {
        /** Known by the code of the container. */
        CONTAINER,
        /** Known by the code of its recipe. */
        MIX,
        /** Known by the code of its seed lot. */
        PACKET
    }

    /** One thing of the store. */
    public record Thing(Kind kind, String code) {}

    /** The spots in walking order. */
    public List<String> inWalkingOrder() {
        return mapper.spots();
    }

    /** The spot of each thing of which somebody said one. */
    public Map<Thing, String> whereKept() {
        return mapper.all().stream().collect(Collectors.toMap(kept -> new Thing(kept.kind(), kept.code()), Kept::spot));
    }

    /**
     * Some things as one passes them: by spot in walking order, those without one under the empty name at the end. Within
     * a spot they stay in the order in which they came.
     */
    public <T> Map<String, List<T>> walk(Map<T, Thing> things) {
        Map<Thing, String> kept = whereKept();
        Map<String, List<T>> walk = new LinkedHashMap<>();
        inWalkingOrder().forEach(spot -> walk.put(spot, new ArrayList<>()));
        walk.put("", new ArrayList<>());
        things.forEach((what, thing) -> walk.get(kept.getOrDefault(thing, "")).add(what));
        walk.values().removeIf(List::isEmpty);
        return walk;
    }

    /** Says where a thing is kept; a spot that is new comes last in the walk, an empty name says that it has none. */
    @Transactional
    public void keep(Thing thing, String spot) {
        mapper.lock();
        if (spot.isEmpty()) {
            mapper.forget(thing.kind(), thing.code());
        } else {
            mapper.addSpot(spot);
            mapper.put(thing.kind(), thing.code(), spot);
        }
        mapper.dropEmpty();
    }

    /** Says the order of the walk; answers false where these are not the spots that there are. */
    @Transactional
    public boolean walkBy(List<String> spots) {
        mapper.lock();
        List<String> present = mapper.spots();
        if (spots.size() != present.size() || !new HashSet<>(spots).equals(new HashSet<>(present))) {
            return false;
        }
        for (int place = 0; place < spots.size(); place++) {
            mapper.order(spots.get(place), place);
        }
        return true;
    }

    /** Where a thing is kept. */
    record Kept(Kind kind, String code, String spot) {}

    /** The tables of spots. */
    @Mapper
    interface StoreMapper {
        /** Two who change the walk wait for each other. */
        @Update("lock table store_spot in share row exclusive mode")
        void lock();

        @Select("select name from store_spot order by walk_order, name")
        List<String> spots();

        @Select("select kind, code, spot from kept_at")
        List<Kept> all();

        @Insert("""
                insert into store_spot (name, walk_order)
                select #{spot}, coalesce(max(walk_order), 0) + 1 from store_spot on conflict do nothing
                """)
        void addSpot(@Param("spot") String spot);

        @Insert("""
                insert into kept_at (kind, code, spot) values (#{kind}, #{code}, #{spot})
                on conflict (kind, code) do update set spot = #{spot}
                """)
        void put(@Param("kind") Kind kind, @Param("code") String code, @Param("spot") String spot);

        @Delete("delete from kept_at where kind = #{kind} and code = #{code}")
        void forget(@Param("kind") Kind kind, @Param("code") String code);

        @Delete("delete from store_spot where not exists (select 1 from kept_at where spot = name)")
        void dropEmpty();

        @Update("update store_spot set walk_order = #{place} where name = #{spot}")
        void order(@Param("spot") String spot, @Param("place") int place);
    }
}
