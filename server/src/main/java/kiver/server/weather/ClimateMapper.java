package kiver.server.weather;

import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** The table of what was told of the climate. */
@Mapper
interface ClimateMapper {

    /** Temperatures in °C; dates as month-day, null where there is hardly any frost. */
    record Row(
            double coldestMinimum,
            double coldestMaximum,
            double warmestMinimum,
            double warmestMaximum,
            String lastFrost,
            String lastFrostAtWorst,
            String firstFrost,
            String firstFrostAtWorst) {}

    @Select("""
            select coldest_minimum, coldest_maximum, warmest_minimum, warmest_maximum,
                last_frost, last_frost_at_worst, first_frost, first_frost_at_worst
            from told_climate
            """)
    Optional<Row> told();

    @Delete("delete from told_climate")
    void forget();

    @Insert("""
            insert into told_climate (coldest_minimum, coldest_maximum, warmest_minimum, warmest_maximum,
                last_frost, last_frost_at_worst, first_frost, first_frost_at_worst)
            values (#{coldestMinimum}, #{coldestMaximum}, #{warmestMinimum}, #{warmestMaximum},
                #{lastFrost}, #{lastFrostAtWorst}, #{firstFrost}, #{firstFrostAtWorst})
            """)
    void tell(Row row);
}
