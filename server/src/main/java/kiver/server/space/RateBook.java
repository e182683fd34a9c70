package kiver.server.space;

import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import kiver.core.space.Rates;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.springframework.stereotype.Component;

/** Keeps what things cost. */
@Component
public class RateBook {

    private final RateMapper mapper;

    RateBook(RateMapper mapper) {
        this.mapper = mapper;
    }

    /** One rate. */
    public record Rate(String code, String words, double value) {}

    /** All rates. */
    public List<Rate> all() {
        return mapper.all();
    }

    /** All rates as the core takes them. */
    public Rates rates() {
        Map<String, Double> by = mapper.all().stream().collect(Collectors.toMap(Rate::code, Rate::value));
        return new Rates(
                by.get("mix_per_litre"),
                by.get("seed_per_thousand"),
                by.get("label"),
                by.get("slot_week"),
                by.get("hour"),
                by.get("seconds_to_sow"),
                by.get("seconds_to_pot"),
                by.get("seed_waste"),
                by.get("mix_loss"),
                by.get("label_waste"));
    }

    /** Sets a rate; answers false when there is none of that code. */
    public boolean set(String code, double value) {
        return mapper.set(code, value) == 1;
    }

    /** The table of rates. */
    @Mapper
    interface RateMapper {
        @Select("select code, words, value from rate order by words")
        List<Rate> all();

        @Update("update rate set value = #{value} where code = #{code}")
        int set(@Param("code") String code, @Param("value") double value);
    }
}
