package kiver.server.release;

import jakarta.annotation.Nullable;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import kiver.core.crop.ContainerCode;
import kiver.core.crop.CropCode;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.springframework.stereotype.Component;

/** What a plant of a crop costs in a container. */
@Component
class PriceBook {

    private final PriceMapper mapper;

    PriceBook(PriceMapper mapper) {
        this.mapper = mapper;
    }

    /** A crop in a container. */
    record Ware(CropCode crop, ContainerCode container) {}

    /** All prices there are. */
    Map<Ware, Double> all() {
        return mapper.all().stream()
                .collect(Collectors.toMap(
                        row -> new Ware(new CropCode(row.crop()), new ContainerCode(row.container())),
                        PriceMapper.PriceRow::price));
    }

    /** What was ordered so far, and what has a price. */
    List<Ware> wares() {
        return mapper.wares().stream()
                .map(row -> new Ware(new CropCode(row.crop()), new ContainerCode(row.container())))
                .toList();
    }

    /** Sets a price, or takes it away. */
    void set(Ware ware, @Nullable Double price) {
        if (price == null) {
            mapper.delete(ware.crop(), ware.container());
        } else {
            mapper.put(ware.crop(), ware.container(), price);
        }
    }
}

/** The table of prices. */
@Mapper
interface PriceMapper {

    /** A price as it is stored. */
    record PriceRow(String crop, String container, double price) {}

    /** A crop in a container. */
    record WareRow(String crop, String container) {}

    @Select("select crop, container, price from plant_price")
    List<PriceRow> all();

    @Select("""
            select variety.crop, line.container from order_line line join variety on variety.id = line.variety_id
            union select crop, container from plant_price order by 1, 2
            """)
    List<WareRow> wares();

    @Insert("""
            insert into plant_price (crop, container, price) values (#{crop}, #{container}, #{price})
            on conflict (crop, container) do update set price = excluded.price
            """)
    void put(@Param("crop") CropCode crop, @Param("container") ContainerCode container, @Param("price") double price);

    @Delete("delete from plant_price where crop = #{crop} and container = #{container}")
    void delete(@Param("crop") CropCode crop, @Param("container") ContainerCode container);
}
