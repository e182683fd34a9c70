package kiver.server.release;

import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import kiver.server.order.OrderBook;
import kiver.server.order.Site;
import kiver.server.problem.Refusal;
import kiver.server.wording.Said;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** The round by which orders are delivered. */
@Component
class RoundBook {

    private final DeliveryStopMapper mapper;
    private final OrderBook orders;

    RoundBook(DeliveryStopMapper mapper, OrderBook orders) {
        this.mapper = mapper;
        this.orders = orders;
    }

    /** All sites as they are driven to: as somebody set it, then up the valley. */
    List<Site> sites() {
        Map<Long, Integer> stops = mapper.all().stream()
                .collect(Collectors.toMap(DeliveryStopMapper.StopRow::siteId, DeliveryStopMapper.StopRow::stop));
        return orders.sites().stream()
                .sorted(Comparator.comparing((Site site) -> stops.getOrDefault(site.id(), Integer.MAX_VALUE))
                        .thenComparing(Site::altitude)
                        .thenComparing(Site::id))
                .toList();
    }

    /** Sets the order of sites. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void set(List<Long> sites) {
        sites.forEach(orders::site);
        if (new HashSet<>(sites).size() < sites.size()) {
            throw new Refusal("sites", Said.of("Name each site once."));
        }
        mapper.clear();
        for (int index = 0; index < sites.size(); index++) {
            mapper.insert(sites.get(index), index + 1);
        }
    }
}

/** The table of stops. */
@Mapper
interface DeliveryStopMapper {

    /** A stop as it is stored. */
    record StopRow(long siteId, int stop) {}

    @Select("select site_id, stop from delivery_stop order by stop")
    List<StopRow> all();

    @Delete("delete from delivery_stop")
    void clear();

    @Insert("insert into delivery_stop (site_id, stop) values (#{site}, #{stop})")
    void insert(@Param("site") long site, @Param("stop") int stop);
}
