package kiver.server.today;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import kiver.core.today.WorkPace;
import kiver.server.space.RateBook;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.springframework.stereotype.Component;

/** How many hands there are on which day, and how fast they work. */
@Component
public class HandsBook {

    private final HandsMapper mapper;
    private final RateBook rates;

    HandsBook(HandsMapper mapper, RateBook rates) {
        this.mapper = mapper;
        this.rates = rates;
    }

    public WorkPace pace() {
        Map<String, Double> by =
                rates.all().stream().collect(Collectors.toMap(RateBook.Rate::code, RateBook.Rate::value));
        return new WorkPace(
                by.get("seconds_to_sow"),
                by.get("seconds_to_pot"),
                by.get("seconds_to_count"),
                by.get("seconds_to_carry"),
                by.get("seconds_to_look"));
    }

    /** Minutes of all hands together on each of some days, both inclusive. */
    public Map<LocalDate, Integer> minutes(LocalDate from, LocalDate to) {
        Map<Integer, Integer> usual = mapper.usual().stream().collect(Collectors.toMap(Usual::weekday, Usual::minutes));
        Map<LocalDate, Integer> minutes = new TreeMap<>();
        from.datesUntil(to.plusDays(1))
                .forEach(day ->
                        minutes.put(day, usual.getOrDefault(day.getDayOfWeek().getValue(), 0)));
        mapper.otherwise(from, to).forEach(each -> minutes.put(each.day(), each.minutes()));
        return minutes;
    }

    /** Says how many there are on a day, or on all days of its weekday. */
    public void set(LocalDate day, int minutes, boolean everyWeek) {
        if (everyWeek) {
            mapper.setUsual(day.getDayOfWeek().getValue(), minutes);
            mapper.forget(day);
        } else {
            mapper.setOn(day, minutes);
        }
    }

    /** On a weekday. */
    public record Usual(int weekday, int minutes) {}

    /** On a day that is otherwise. */
    public record Otherwise(LocalDate day, int minutes) {}

    /** The tables of hands. */
    @Mapper
    interface HandsMapper {
        @Select("select weekday, minutes from hands")
        List<Usual> usual();

        @Select("select day, minutes from hands_on_day where day between #{from} and #{to}")
        List<Otherwise> otherwise(@Param("from") LocalDate from, @Param("to") LocalDate to);

        @Insert("""
                insert into hands (weekday, minutes) values (#{weekday}, #{minutes})
                on conflict (weekday) do update set minutes = #{minutes}
                """)
        void setUsual(@Param("weekday") int weekday, @Param("minutes") int minutes);

        @Insert("""
                insert into hands_on_day (day, minutes) values (#{day}, #{minutes})
                on conflict (day) do update set minutes = #{minutes}
                """)
        void setOn(@Param("day") LocalDate day, @Param("minutes") int minutes);

        @Insert("delete from hands_on_day where day = #{day}")
        void forget(@Param("day") LocalDate day);
    }
}
