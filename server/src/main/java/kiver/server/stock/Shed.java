package kiver.server.stock;

import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import kiver.core.crop.Container;
import kiver.core.crop.ContainerCode;
import kiver.server.clock.NurseryClock;
import kiver.server.crop.CropBook;
import kiver.server.problem.Requests;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Pots and trays that stand empty in the shed, as far as somebody counted them. */
@Component
public class Shed {

    private final ShedMapper mapper;
    private final CropBook crops;
    private final Requests requests;
    private final NurseryClock clock;

    Shed(ShedMapper mapper, CropBook crops, Requests requests, NurseryClock clock) {
        this.mapper = mapper;
        this.crops = crops;
        this.requests = requests;
        this.clock = clock;
    }

    /** Pots, or trays of cells, by container; what was used without being counted does not go below nothing. */
    public Map<ContainerCode, Integer> pieces() {
        Map<ContainerCode, Integer> there = new HashMap<>();
        mapper.sums().forEach(sum -> there.put(sum.container(), Math.max(0, sum.pieces())));
        return there;
    }

    /** Somebody counted what is there. */
    @Transactional
    public void counted(UUID request, ContainerCode container, int pieces, Long by) {
        crops.container(container);
        requests.once(request, Arrays.asList("shed counted", container, pieces, by), () -> {
            mapper.oneAtATime();
            int sum = mapper.sums().stream()
                    .filter(each -> each.container().equals(container))
                    .mapToInt(ShedMapper.Sum::pieces)
                    .sum();
            mapper.move("COUNTED", container, pieces - sum, clock.today(), null, by, request);
            return pieces;
        });
    }

    /** Some came. */
    @Transactional
    public void came(UUID request, ContainerCode container, int pieces, Long by) {
        crops.container(container);
        requests.once(request, Arrays.asList("shed came", container, pieces, by), () -> {
            mapper.move("BOUGHT", container, pieces, clock.today(), null, by, request);
            return pieces;
        });
    }

    /**
     * Plants were potted into some; must run in the transaction that records it. Of what nobody ever counted nothing is taken.
     *
     * @param batch number
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public void potted(Container container, int plants, LocalDate day, int batch, @Nullable Long by, UUID request) {
        if (pieces().containsKey(container.code())) {
            mapper.move("POTTED", container.code(), -container.pieces(plants), day, batch, by, request);
        }
    }

    /** The part of the ledger that tells of containers. */
    @Mapper
    interface ShedMapper {

        /** What came less what went. */
        record Sum(ContainerCode container, int pieces) {}

        @Select("""
                select container, sum(pieces)::int as pieces from stock_movement where container is not null group by container
                """)
        List<Sum> sums();

        @Insert("""
                insert into stock_movement (kind, container, pieces, day, batch_id, recorded_by, request)
                values (#{kind}, #{container}, #{pieces}, #{day}, (select id from batch where number = #{batch}), #{by},
                        #{request}::uuid)
                on conflict (request) where kind = 'POTTED' do nothing
                """)
        void move(
                @Param("kind") String kind,
                @Param("container") ContainerCode container,
                @Param("pieces") int pieces,
                @Param("day") LocalDate day,
                @Param("batch") @Nullable Integer batch,
                @Param("by") @Nullable Long by,
                @Param("request") UUID request);

        @Select("select true from (select pg_advisory_xact_lock(4722)) as held")
        boolean oneAtATime();
    }
}
